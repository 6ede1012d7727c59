import Button from "@mui/material/Button";
import { data, Link, useRevalidator, useSearchParams } from "react-router";
import { useEffect, useMemo, useState } from "react";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/stand";
import { besideVisit, formerOf, heldAgainst, inView, momentsBeside } from "~core/change/beside";
import { stands } from "~core/consent/consent";
import type { Moment } from "~core/findings/restriction";
import { measurable } from "~core/measure/by-hand";
import { readBy, readOnce } from "~core/measure/read-photo";
import { mostStandings } from "~core/measure/standings";
import { views, viewName, type View } from "~core/measure/view";
import { keeping } from "~app/server/request/session.server";
import { momentsOfClient } from "~app/server/client/readings.server";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import { validate } from "~app/validation";
import { consentsOf } from "~data/consents";
import { measurementsOf, saveMeasurement } from "~data/measurements";
import { getClient } from "~data/clients";
import { jobsOf } from "~data/jobs";
import { deletePictures, photosOfClient, putAsideOf } from "~data/photos";
import { ownFigures } from "~app/server/client/own-figures.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { oncePer } from "~app/ui/once-per";
import { Empty } from "~app/ui/page";
import { useJobs } from "~app/ui/use-jobs";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { deserialised, type LoaderData } from "~app/serialised";
import { figureOf } from "~devices/camera/camera";
import { stanceOf } from "~devices/camera/person";
import { trueMetrics } from "~devices/camera/truth";
import { ByHand } from "./by-hand";
import { Incoming } from "./incoming";
import { MarkPhoto } from "./mark-photo";
import { measuredSchema } from "./measured-form";
import { PutAside } from "./put-aside";
import { ReadOuts } from "./read-outs";
import { Standings, standingWords } from "./standings";
import { TakePhoto } from "./take-photo";
import { preload } from "./use-picture";
import { WholeBody } from "./whole-body";
import { WithoutPicture } from "./without-picture";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "stand", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const photos = await photosOfClient(tx, client.id);
    const byHand = await measurementsOf(tx, client.id);
    const figures = await ownFigures(tx);
    const putAside = await putAsideOf(tx, client.id);
    return {
      client,
      visit,
      // a long series has hundreds: what this visit is not held against does not travel
      photos: besideVisit(photos, await momentsOfClient(tx, client.id), visit.ordinal),
      jobs: await jobsOf(tx, client.id),
      putAside,
      pictured: [...photos, ...putAside].filter((each) => each.pictured).length,
      figures,
      me: practitioner.id,
      setup: practitioner.settings.setup ?? null,
      byHand,
      mayPicture: stands(await consentsOf(tx, client.id), "photographs", visit.id),
      workedSessions: visits.filter((each) => each.status === "closed").length,
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Keeps one measurement that was taken by hand; or deletes every picture of the client for good. */
export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, practitioner, body: { fields: body } }) => {
    if (body.intent === "delete-pictures") {
      const { id } = await getClient(tx, params.clientId);
      return { deleted: await deletePictures(tx, id) };
    }
    const { value, errors } = await validate(measuredSchema, body);
    if (errors) return data({ errors }, { status: 400 });
    const visit = await ownVisit(tx, params.clientId, value.visitId);
    await saveMeasurement(tx, visit.id, value, value.was, practitioner.id);
    return { ok: true };
  });
}

/** The order in which the client turns: a quarter each time, and then all of it together. */
const nextViewOf: Record<View, View | "whole"> = { front: "left", left: "back", back: "right", right: "whole" };
const momentName: Record<Moment, string> = { before: "Before", after: "After" };

const momentsOf = oncePer(
  ({ photos, byHand, figures }: LoaderData<typeof loader>, { ordinal }: LoaderData<typeof loader>["visit"]) =>
    momentsBeside(photos, byHand, readBy(figures), figures, ordinal),
);

export default function Stand({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { client, visit, photos, putAside, pictured, figures, me, setup, byHand, mayPicture, workedSessions } =
    loaderData;
  const [params, setParams] = useSearchParams();
  // the standing that a picture is being taken of
  const [taking, setTaking] = useState<number | undefined>();
  const { revalidate } = useRevalidator();
  const changed = () => void revalidate();
  const jobs = useJobs(client.id, loaderData.jobs, changed);
  const view = views.find((each) => each === params.get("view")) ?? "front";
  const whole = params.get("view") === "whole";
  const ofVisit = photos.filter((photo) => photo.visitId === visit.id);
  const asked = params.get("moment");
  const moment: Moment =
    asked === "after" || asked === "before"
      ? asked
      : visit.status !== "planned" && ofVisit.some((photo) => photo.moment === "after")
        ? "after"
        : "before";
  // without consent no picture is shown; what was measured from it stays
  const askedStanding = Number(params.get("standing"));
  const standing = askedStanding >= 1 && askedStanding <= mostStandings ? askedStanding : 1;
  const taken = mayPicture === false ? [] : ofVisit.filter((each) => each.moment === moment && each.view === view);
  const photo = taken.find((each) => each.standing === standing);
  const coming = jobs.some(
    ({ problem, visitId, about }) =>
      problem === null &&
      visitId === visit.id &&
      about.moment === moment &&
      about.view === view &&
      about.standing === standing,
  );
  const unseen = mayPicture === false ? pictured : 0;
  const set = (change: Record<string, string>) => {
    const next = new URLSearchParams(params);
    // another view or moment begins with its first standing
    next.delete("standing");
    for (const [key, value] of Object.entries(change)) next.set(key, value);
    next.set("visit", String(visit.ordinal));
    setParams(next, { replace: true, preventScrollReset: true });
  };
  const moments = momentsOf(loaderData, visit);
  const shown = whole ? "whole" : view;
  const earlier = heldAgainst(moments, visit.ordinal, moment, shown);
  const former = formerOf(photos, moments, visit.ordinal, moment, view);
  const urlOf = (id: string) => `/clients/${client.id}/photos/${id}`;
  // another standing of the same minute lies nearest
  const last = taken.findLast((each) => each.standing < standing && Object.keys(each.marks).length > 0);
  const copied = last ?? former;
  const earlierPhoto = copied?.pictured && {
    photo: copied,
    url: urlOf(copied.id),
    name: last ? `standing ${last.standing}` : `${copied.moment} visit ${copied.ordinal}`,
    same: last !== undefined,
  };
  const ofEarlier = {
    earlier: earlier?.readings.filter(inView(shown)) ?? [],
    earlierName: earlier && `${earlier.moment} visit ${earlier.ordinal}`,
  };
  const others = useMemo(
    () =>
      taken
        .filter((each) => each !== photo && Object.keys(each.marks).length > 0)
        .map((each) => readOnce(each, figures[each.markedBy ?? me])),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- photos are new whenever one of them is
    [photos, view, moment, standing, figures, me],
  );
  const readings =
    moments.find((each) => each.key === `${visit.ordinal}-${moment}`)?.readings.filter(inView(shown)) ?? [];
  const ofHand = byHand.filter(
    (each) => each.ordinal === visit.ordinal && each.moment === moment && each.readingId.endsWith(`.${view}`),
  );
  // the stand-in inclinometer is laid on the same simulated person the stand-in camera sees
  const angleOf = (id: string) => {
    const what = measurable.find((each) => each.id === id);
    if (!what) return 0;
    const figure = figureOf(
      stanceOf(client.id, client.statureMm ?? undefined, workedSessions, moment, `by hand ${standing}`),
    );
    return trueMetrics(figure.truth, what.view).get(id) ?? 0;
  };
  const hand =
    !photo &&
    !coming &&
    taken.length === 0 &&
    (mayPicture !== true || params.get("by") === "hand" || readings.length > 0);
  const nextPhoto =
    mayPicture !== false && ofVisit.find((each) => each.moment === moment && each.view === nextViewOf[view]);
  const nextUrl = nextPhoto && nextPhoto.pictured ? urlOf(nextPhoto.id) : undefined;
  // the view that comes next is there when it is asked for
  useEffect(() => {
    if (nextUrl) void preload(nextUrl).catch(() => undefined);
  }, [nextUrl]);
  const nextView = nextViewOf[view];

  return (
    <Box sx={{ px: { xs: 2, sm: 3 }, py: 1.5 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.25, alignItems: "center", mb: 1.5 }}>
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
          value={whole ? "whole" : view}
          onChange={(_, value: View | "whole" | null) => value && set({ view: value })}
          aria-label="View"
        >
          {views.map((each) => (
            <ToggleButton key={each} value={each}>
              {viewName[each]}
              {ofVisit.some((other) => other.moment === moment && other.view === each) ? " ✓" : ""}
            </ToggleButton>
          ))}
          <ToggleButton value="whole">Whole body</ToggleButton>
        </ToggleButtonGroup>
        {!whole && taken.length > 0 && (
          <Standings
            taken={taken.map((each) => each.standing)}
            standing={standing}
            choose={(n) => (taken.some((each) => each.standing === n) ? set({ standing: String(n) }) : setTaking(n))}
          />
        )}
        {!whole && hand && ofHand.length > 0 && (
          <Standings
            taken={ofHand.map((each) => each.standing ?? 1)}
            standing={standing}
            choose={(n) => set({ standing: String(n) })}
          />
        )}
        <Box sx={{ flex: 1 }} />
        {photo && !whole && mayPicture === true && (
          <Button variant="outlined" onClick={() => setTaking(standing)}>
            Take again
          </Button>
        )}
        {hand && !whole && mayPicture === true && (
          <Button variant="outlined" onClick={() => setTaking(standing)}>
            Take or choose a picture
          </Button>
        )}
        {!whole && (photo || coming || readings.length > 0) && (
          <Button variant="contained" onClick={() => set({ view: nextView })}>
            {nextView === "whole" ? "Next: whole body" : `Next view: ${viewName[nextView].toLowerCase()}`}
          </Button>
        )}
      </Box>
      <Incoming jobs={jobs} clientId={client.id} changed={changed} />
      {whole ? (
        <WholeBody
          readings={readings}
          photos={ofVisit.filter((each) => each.moment === moment)}
          earlier={earlier?.photos ?? []}
          earlierName={ofEarlier.earlierName}
        />
      ) : photo ? (
        <MarkPhoto
          key={photo.id}
          photo={photo}
          clientId={client.id}
          own={figures[photo.markedBy ?? me]}
          others={others}
          {...ofEarlier}
          earlierPhoto={earlierPhoto || undefined}
          removed={changed}
        />
      ) : hand ? (
        <WithoutPicture
          clientId={client.id}
          ordinal={visit.ordinal}
          mayPicture={mayPicture}
          unseen={unseen}
          readOuts={readings.length > 0 && <ReadOuts readings={readings} {...ofEarlier} />}
        >
          <ByHand
            view={view}
            moment={moment}
            visit={visit}
            standing={standing}
            measured={ofHand}
            more={standingWords(readings, "hand")}
            angleOf={angleOf}
          />
        </WithoutPicture>
      ) : coming ? (
        <Empty title="The picture is being taken in">
          It is kept, and goes on without this page: take the next view meanwhile.
        </Empty>
      ) : (
        <Empty
          title={`No ${viewName[view].toLowerCase()} picture ${moment} visit ${visit.ordinal}${standing > 1 ? `, standing ${standing}` : ""}`}
          action={
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, "& > *": { whiteSpace: "nowrap" } }}>
              <Button variant="contained" onClick={() => setTaking(standing)}>
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
        The band of a value covers placing of points, plumb, stick, camera and depth of this picture. Changes, sides
        from two pictures and targets count how differently one stands from one time to the next, too.
      </Typography>
      {mayPicture !== false && <PutAside photos={putAside} standing={photos} clientId={client.id} changed={changed} />}
      {taking !== undefined && (
        <TakePhoto
          client={client}
          visit={visit}
          view={view}
          moment={moment}
          standing={taking}
          worked={workedSessions}
          replaces={taken.some((each) => each.standing === taking)}
          lastSetup={setup}
          close={(done) => {
            setTaking(undefined);
            if (done) {
              set({ view, moment, standing: String(taking) });
              changed();
            }
          }}
        />
      )}
    </Box>
  );
}
