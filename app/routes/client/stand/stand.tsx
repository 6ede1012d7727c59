import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { data, Link, useRevalidator, useSearchParams } from "react-router";
import { useState } from "react";
import { number, object, string } from "yup";
import type { Route } from "./+types/stand";
import { momentsOf } from "~core/change/moments";
import { stands } from "~core/consent/consent";
import type { Moment } from "~core/findings/restriction";
import { handLimits, measurable, methods, type MethodKey } from "~core/measure/by-hand";
import { views, viewName, type View } from "~core/measure/view";
import { inSession } from "~app/session.server";
import { ownVisit, visitOf } from "~app/routes/client/workspace.server";
import { validate } from "~app/validation";
import { consentsOf } from "~data/consents";
import { measurementsOf, saveMeasurement } from "~data/measurements";
import { getClient } from "~data/clients";
import { photosOfClient } from "~data/photos";
import { Empty } from "~app/ui/page";
import { ByHand } from "./by-hand";
import { MarkPhoto } from "./mark-photo";
import { ReadOuts } from "./read-outs";
import { TakePhoto } from "./take-photo";

export const handle = { slim: true };

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const client = await getClient(tx, params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, request);
    const photos = await photosOfClient(tx, client.id);
    return {
      client,
      visit,
      photos,
      byHand: await measurementsOf(tx, client.id),
      mayPicture: stands(await consentsOf(tx, client.id), "photographs", visit.id),
      workedSessions: visits.filter((each) => each.status === "closed").length,
    };
  });
}

const measuredSchema = object({
  visitId: string().uuid().required(),
  moment: string<Moment>().oneOf(["before", "after"]).required(),
  readingId: string()
    .oneOf(
      measurable.map((each) => each.id),
      "Metric: “${value}” is not measured here.",
    )
    .required(),
  method: string<MethodKey>()
    .oneOf(
      methods.map((each) => each.key),
      "Method: “${value}” is not known.",
    )
    .required(),
  value: number().nullable().default(null).typeError("Type a number, or leave it empty."),
});

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Keeps one measurement that was taken by hand. */
export function action({ request, params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx }) => {
    const { value, errors } = await validate(measuredSchema, await request.json());
    if (errors) return data({ errors }, { status: 400 });
    const visit = await ownVisit(tx, params.clientId, value.visitId);
    const { unit } = measurable.find((each) => each.id === value.readingId)!.metric;
    const [low, high] = handLimits[unit];
    if (value.value !== null && (value.value < low || value.value > high))
      return data(
        { errors: { value: `From ${low} to ${high} ${unit === "deg" ? "°" : "mm"}, got ${value.value}.` } },
        { status: 400 },
      );
    await saveMeasurement(tx, visit.id, value);
    return { ok: true };
  });
}

const momentName: Record<Moment, string> = { before: "Before", after: "After" };

export default function Stand({ loaderData }: Route.ComponentProps) {
  const { client, visit, photos, byHand, mayPicture, workedSessions } = loaderData;
  const [params, setParams] = useSearchParams();
  const [taking, setTaking] = useState(false);
  const { revalidate } = useRevalidator();
  const view = views.find((each) => each === params.get("view")) ?? "front";
  const ofVisit = photos.filter((photo) => photo.visitId === visit.id);
  const asked = params.get("moment");
  const moment: Moment =
    asked === "after" || asked === "before"
      ? asked
      : visit.status !== "planned" && ofVisit.some((photo) => photo.moment === "after")
        ? "after"
        : "before";
  const photo = ofVisit.find((each) => each.moment === moment && each.view === view);
  const set = (change: Record<string, string>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change)) next.set(key, value);
    next.set("visit", String(visit.ordinal));
    setParams(next, { replace: true, preventScrollReset: true });
  };
  // "After" is held against this visit's "before"; "before" against the visit before it.
  const moments = momentsOf(photos, byHand);
  const inView = (each: { id: string }) => each.id.endsWith(`.${view}`);
  const earlier = moments
    .filter((each) => each.moment === "before" && each.ordinal < visit.ordinal + (moment === "after" ? 1 : 0))
    .findLast((each) => each.readings.some(inView));
  const ofEarlier = {
    earlier: earlier?.readings.filter(inView) ?? [],
    earlierName: earlier && `${earlier.moment} visit ${earlier.ordinal}`,
  };
  const readings = moments.find((each) => each.key === `${visit.ordinal}-${moment}`)?.readings.filter(inView) ?? [];
  const hand = !photo && (mayPicture !== true || params.get("by") === "hand" || readings.length > 0);
  const nextView = ({ front: "left", left: "back", back: "right", right: "front" } as const)[view];

  return (
    <Box sx={{ px: { xs: 2, sm: 3 }, py: 1.5 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center", mb: 1.5 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={moment}
          onChange={(_, value: Moment | null) => value && set({ moment: value })}
          aria-label="Moment"
        >
          {(["before", "after"] as const).map((each) => (
            <ToggleButton key={each} value={each}>
              {momentName[each]} visit {visit.ordinal}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={view}
          onChange={(_, value: View | null) => value && set({ view: value })}
          aria-label="View"
        >
          {views.map((each) => (
            <ToggleButton key={each} value={each}>
              {viewName[each]}
              {ofVisit.some((other) => other.moment === moment && other.view === each) ? " ✓" : ""}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box sx={{ flex: 1 }} />
        {photo && mayPicture === true && (
          <Button variant="outlined" onClick={() => setTaking(true)}>
            Take again
          </Button>
        )}
        {hand && mayPicture === true && (
          <Button variant="outlined" onClick={() => setTaking(true)}>
            Take or choose a picture
          </Button>
        )}
        {(photo || readings.length > 0) && (
          <Button variant="contained" onClick={() => set({ view: nextView })}>
            Next view: {viewName[nextView].toLowerCase()}
          </Button>
        )}
      </Box>
      {photo ? (
        <MarkPhoto key={photo.id} photo={photo} clientId={client.id} {...ofEarlier} removed={() => void revalidate()} />
      ) : hand ? (
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "minmax(0,490px) minmax(0,1fr)" }, gap: 3 }}>
          <Box>
            {mayPicture !== true && (
              <Box
                sx={(t) => ({
                  display: "flex",
                  gap: 2,
                  alignItems: "center",
                  mb: 2,
                  pl: 1.5,
                  borderLeft: `3px solid ${t.tokens.slate}`,
                })}
              >
                <Typography sx={{ flex: 1 }}>
                  {mayPicture === undefined
                    ? "Photographs were not agreed to yet: no picture is taken."
                    : "Photographs were declined: no picture is taken."}{" "}
                  Everything can be measured by hand.
                </Typography>
                <Button
                  component={Link}
                  to={`/clients/${client.id}/intake/consent?visit=${visit.ordinal}`}
                  variant="outlined"
                >
                  Ask for consent
                </Button>
              </Box>
            )}
            <ByHand view={view} moment={moment} visit={visit} measured={byHand} />
          </Box>
          <Box>{readings.length > 0 && <ReadOuts readings={readings} {...ofEarlier} />}</Box>
        </Box>
      ) : (
        <Empty
          title={`No ${viewName[view].toLowerCase()} picture ${moment} visit ${visit.ordinal}`}
          action={
            <Box sx={{ display: "flex", gap: 1.5 }}>
              <Button variant="contained" onClick={() => setTaking(true)}>
                Take or choose a picture
              </Button>
              <Button variant="outlined" onClick={() => set({ by: "hand" })}>
                Measure by hand
              </Button>
              <Button
                component={Link}
                to={`/clients/${client.id}/assess/touch?visit=${visit.ordinal}`}
                variant="outlined"
              >
                Skip to touch
              </Button>
            </Box>
          }
        >
          Camera at navel height, 3 m away; plumb line and stick in the plane of the ankles; three seconds of stillness.
        </Empty>
      )}
      <Typography sx={{ mt: 2, fontSize: 13, color: "text.secondary" }}>
        Errors are the model’s: placing of points, plumb, stick, camera and depth. They do not include how differently
        someone stands from one minute to the next.
      </Typography>
      {taking && (
        <TakePhoto
          client={client}
          visit={visit}
          view={view}
          moment={moment}
          worked={workedSessions}
          replaces={Boolean(photo)}
          close={(done) => {
            setTaking(false);
            if (done) {
              set({ view, moment });
              void revalidate();
            }
          }}
        />
      )}
    </Box>
  );
}
