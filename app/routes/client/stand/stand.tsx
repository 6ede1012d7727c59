import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { Link, useRevalidator, useSearchParams } from "react-router";
import { useState } from "react";
import type { Route } from "./+types/stand";
import { momentsOf } from "~core/change/moments";
import type { Moment } from "~core/findings/restriction";
import { views, viewName, type View } from "~core/measure/view";
import { inSession } from "~app/session.server";
import { visitOf } from "~app/routes/client/workspace.server";
import { getClient } from "~data/clients";
import { photosOfClient } from "~data/photos";
import { Empty } from "~app/ui/page";
import { MarkPhoto } from "./mark-photo";
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
      workedSessions: visits.filter((each) => each.status === "closed").length,
    };
  });
}

const momentName: Record<Moment, string> = { before: "Before", after: "After" };

export default function Stand({ loaderData: { client, visit, photos, workedSessions } }: Route.ComponentProps) {
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
  const earlier = momentsOf(photos)
    .filter((each) => each.moment === "before" && each.ordinal < visit.ordinal + (moment === "after" ? 1 : 0))
    .findLast((each) => each.photos.some((other) => other.view === view));
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
        {photo && (
          <Button variant="outlined" onClick={() => setTaking(true)}>
            Take again
          </Button>
        )}
        {photo && (
          <Button variant="contained" onClick={() => set({ view: nextView })}>
            Next view: {viewName[nextView].toLowerCase()}
          </Button>
        )}
      </Box>
      {photo ? (
        <MarkPhoto
          key={photo.id}
          photo={photo}
          clientId={client.id}
          earlier={earlier?.readings.filter((reading) => reading.id.endsWith(`.${view}`)) ?? []}
          earlierName={earlier && `${earlier.moment} visit ${earlier.ordinal}`}
          removed={() => void revalidate()}
        />
      ) : (
        <Empty
          title={`No ${viewName[view].toLowerCase()} picture ${moment} visit ${visit.ordinal}`}
          action={
            <Box sx={{ display: "flex", gap: 1.5 }}>
              <Button variant="contained" onClick={() => setTaking(true)}>
                Take or choose a picture
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
