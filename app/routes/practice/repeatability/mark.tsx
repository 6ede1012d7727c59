import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { useEffect, useReducer } from "react";
import { data, Link, redirect, useFetcher } from "react-router";
import type { Route } from "./+types/mark";
import type { Marks } from "~core/measure/calibration";
import { lawfulMarks, mark, marksOfView, startMarking, type Marking, type MarkingCommand } from "~core/measure/marking";
import type { View } from "~core/measure/view";
import { inSession } from "~app/server/request/session.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Page } from "~app/ui/page";
import { markName, Picture } from "~app/routes/client/stand/picture";
import { useSnapping } from "~app/routes/client/stand/use-snapping";
import { preload, usePicture } from "~app/routes/client/stand/use-picture";
import { getStudy, keepMarking, markingsOf } from "~data/studies";

export const meta: Route.MetaFunction = () => [{ title: "Marking blind · Ember Path" }];

/** The first item that was not marked yet. Nothing of its earlier marking goes to the screen. */
export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const study = await getStudy(tx, practitioner.id, params.studyId);
    const done = await markingsOf(tx, study.id);
    const item = study.items.findIndex((_, i) => !done.has(i));
    if (item < 0 || study.finishedAt) throw redirect("/practice/repeatability");
    const { view, setup } = study.items[item]!;
    const { width, height } = setup;
    return { id: study.id, item, of: study.items.length, view, size: { width, height }, setup };
  });
}

/** Keeps one marking; it is not corrected afterwards. */
export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const study = await getStudy(tx, practitioner.id, params.studyId);
    const sent = body.fields;
    const item = study.items[Number(sent.item)];
    const marks = item && lawfulMarks(item.view, item.setup, sent.marks);
    if (!marks) return data({ error: "Marks: one of them is unknown or outside the picture." }, { status: 400 });
    const done = await keepMarking(tx, study, Number(sent.item), marks);
    return done ? redirect("/practice/repeatability") : { ok: true };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

const draft = (id: string, item: number) => `ember-study-${id}-${item}`;

export default function MarkBlind({ loaderData }: Route.ComponentProps) {
  const { item, of } = loaderData;
  return (
    <Page
      title="Marking blind"
      note={`Marking ${item + 1} of ${of}. Mark it as you always do; what you marked before is not shown.`}
      actions={
        <Button component={Link} to="/practice/repeatability" variant="outlined">
          Go on later
        </Button>
      }
    >
      <LinearProgress variant="determinate" value={(100 * item) / of} aria-label="Markings done" sx={{ mb: 2 }} />
      <OneMarking key={item} {...loaderData} />
    </Page>
  );
}

function OneMarking({ id, item, of, view, setup }: Route.ComponentProps["loaderData"]) {
  const url = (which: number) => `/practice/repeatability/${id}/picture/${which}`;
  const image = usePicture(url(item));
  const fetcher = useFetcher<{ error?: string }>();
  const [marking, act] = useReducer(
    (state: Marking, command: MarkingCommand) => mark(state, command, view, setup),
    undefined,
    () => startMarking(view, {}),
  );
  const placed = useSnapping(image, marking.marks, act);
  // a reload in the middle of a picture loses no mark
  useEffect(() => {
    const kept = restored(draft(id, item), view);
    if (kept) act({ kind: "refine", marks: kept });
  }, [id, item, view]);
  useEffect(() => {
    try {
      if (Object.keys(marking.marks).length > 0) sessionStorage.setItem(draft(id, item), JSON.stringify(marking.marks));
    } catch {
      // storage full or forbidden
    }
  }, [id, item, marking.marks]);
  useEffect(() => {
    if (item + 1 < of) void preload(`/practice/repeatability/${id}/picture/${item + 1}`).catch(() => undefined);
  }, [id, item, of]);
  const order = marksOfView(view);
  const missing = order.filter((key) => !marking.marks[key]);
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "auto minmax(0, 1fr)" }, gap: 3 }}>
      <Picture
        image={image === "lost" ? undefined : image}
        view={view}
        setup={setup}
        marking={marking}
        guesses={{}}
        act={act}
        line={undefined}
        placed={placed}
      />
      <Box sx={{ maxWidth: 420 }}>
        {image === "lost" && (
          <Alert severity="warning" sx={{ mb: 2 }}>
            This picture is not there any more. Go on without it.
          </Alert>
        )}
        {fetcher.data?.error && (
          <Alert severity="error" role="alert" sx={{ mb: 2 }}>
            {fetcher.data.error}
          </Alert>
        )}
        <Typography sx={{ mb: 2 }}>
          {missing.length === 0
            ? "All points are placed."
            : missing.length === order.length
              ? `${order.length} points to place, plumb and stick first.`
              : `Still missing: ${missing.map((key) => markName(key).toLowerCase()).join(", ")}.`}
        </Typography>
        <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
          <Button
            variant={missing.length === 0 ? "contained" : "outlined"}
            disabled={fetcher.state !== "idle"}
            onClick={() => {
              void fetcher.submit(
                { item, marks: marking.marks as Record<string, { x: number; y: number }> },
                { method: "post", encType: "application/json" },
              );
            }}
          >
            {missing.length === 0 ? "Next picture" : "Go on without what is missing"}
          </Button>
          <Button variant="outlined" disabled={marking.past.length === 0} onClick={() => act({ kind: "undo" })}>
            Undo
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

function restored(key: string, view: View): Marks | undefined {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(key) ?? "null");
    return lawfulMarks(view, { width: Infinity, height: Infinity }, kept);
  } catch {
    return undefined;
  }
}
