import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useCallback, useDeferredValue, useEffect, useMemo, useReducer, useRef, useState } from "react";
import type { MarkKey, Px } from "~core/measure/calibration";
import { calibrate } from "~core/measure/calibration";
import { guessesOf, mark, startMarking, type Marking, type MarkingCommand } from "~core/measure/marking";
import { feetOf } from "~core/measure/propose";
import { readOnce, sceneOf } from "~core/measure/read-photo";
import type { Reading } from "~core/measure/reading";
import { averaged } from "~core/measure/standings";
import { viewName } from "~core/measure/view";
import type { OwnFigures } from "~core/measure/own-figures";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useNotify } from "~app/ui/notices";
import type { Photo } from "~data/photos";
import type { Earlier } from "./earlier";
import { useCompared } from "./compare-pictures";
import { keepHistory, keptHistory } from "./marking-history";
import { NoticeList } from "./notice-list";
import { MarkingTools, PointList, progressOf, UndoRedo } from "./marking-tools";
import { Picture } from "./picture";
import { findPoints, type Proposal } from "./proposals";
import { ReadOuts } from "./read-outs";
import { SetUp } from "./set-up";
import { standingWords } from "./standings";
import { useSnapping } from "./use-snapping";
import { usePicture } from "./use-picture";
import { fetchSignedIn } from "~app/ui/signed-in";
import { unsavedMarks, useSaving } from "./use-saving";

/** Marking one picture: the photograph on the left, what it says on the right, saved as you go. */
export function MarkPhoto({
  photo,
  clientId,
  own,
  others,
  earlier,
  earlierName,
  earlierPhoto,
  removed,
}: {
  photo: Photo;
  clientId: string;
  /** Whose marking error the readings carry. */
  own: OwnFigures | undefined;
  /** What the other standings of this view and moment say, each by itself. */
  others: readonly (readonly Reading[])[];
  earlier: readonly Reading[];
  earlierName: string | undefined;
  earlierPhoto: Earlier | undefined;
  removed: () => void;
}) {
  const { view } = photo;
  const [setup, setSetup] = useState(photo.setup);
  const [marking, act] = useReducer(
    (state: Marking, command: MarkingCommand) => mark(state, command, view, photo.setup),
    undefined,
    () => startMarking(view, photo.marks),
  );
  const url = `/clients/${clientId}/photos/${photo.id}`;
  const image = usePicture(photo.pictured ? url : undefined);
  const shown = image === "lost" ? undefined : image;
  const { state: saved, save, versionNow } = useSaving(url, photo.id, photo.version);
  const first = useRef(true);
  useEffect(() => {
    const history = keptHistory(photo.id, photo.marks);
    if (history) act({ kind: "recall", history });
  }, [photo.id, photo.marks]);
  // Marks a reload caught before they were confirmed are put back, as one undoable step.
  useEffect(() => {
    const kept = unsavedMarks(photo.id, photo.version);
    if (!kept) return;
    setSetup(kept.setup);
    for (const [key, at] of Object.entries(kept.marks)) {
      act({ kind: "choose", mark: key as Marking["active"] });
      act({ kind: "place", at, gesture: "restored" });
    }
  }, [photo.id, photo.version]);
  useEffect(() => {
    if (first.current) first.current = false;
    else save({ marks: marking.marks, setup });
  }, [marking.marks, setup, save]);
  useEffect(() => {
    if (marking.past.length + marking.future.length > 0) keepHistory(photo.id, marking);
  }, [photo.id, marking]);

  // the picture follows the pointer at once; what is read from it is drawn when there is time between two frames
  const settled = useDeferredValue(marking);
  const { markedBy } = photo;
  const now = useMemo(() => ({ view, setup, marks: settled.marks, markedBy }), [view, setup, settled.marks, markedBy]);
  const progress = progressOf(settled);
  const held = useRef(now);
  useEffect(() => {
    held.current = now;
  }, [now]);
  const latest = useCallback(() => held.current, []);
  const readings = useMemo(() => {
    const one = readOnce(now, own);
    return one.length > 0 ? averaged([one, ...others]) : one;
  }, [now, own, others]);
  const guesses = useMemo(() => guessesOf(marking, setup.height / 8), [marking, setup.height]);
  const line = useMemo(() => ankleLine(photo, marking), [photo, marking]);
  const compared = useCompared(now, earlierPhoto, own);
  const [sure, setSure] = useState<Partial<Record<MarkKey, number>>>({});
  const [snapping, setSnapping] = useState(true);
  const placed = useSnapping(image, marking.marks, act, snapping);
  const notify = useNotify();
  const propose = useCallback(
    (found: Proposal | string) => {
      if (typeof found === "string") return notify(found);
      setSure(found.sure ?? {});
      act({ kind: "propose", proposal: found.marks });
    },
    [notify],
  );
  // dots, and what was marked a minute ago, are looked for at once
  const searched = useRef(false);
  useEffect(() => {
    if (searched.current || !shown || Object.keys(photo.marks).length > 0) return;
    if (!earlierPhoto?.same && !photo.setup.dotted) return;
    searched.current = true;
    void findPoints(held.current, shown, earlierPhoto).then(propose);
  }, [shown, earlierPhoto, photo.marks, photo.setup.dotted, propose]);
  const remove = useCallback(async () => {
    const send = (act: object) =>
      fetchSignedIn(url, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify(act),
      });
    const response = await send({ intent: "remove", version: versionNow() });
    if (response.status === 409)
      return notify(
        "Somebody marked this picture meanwhile: load the page again and look first. Nothing was changed.",
        {
          severity: "error",
        },
      );
    if (!response.ok) return notify("The picture could not be taken away. Nothing was changed.", { severity: "error" });
    removed();
    notify("The picture is taken away, its marks with it.", {
      undo: () => void send({ intent: "restore", instead: null }).then(removed),
    });
  }, [url, removed, notify, versionNow]);

  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "auto minmax(0, 1fr)" },
        gap: 3,
        alignItems: "start",
      }}
    >
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", position: { md: "sticky" }, top: 8 }}>
        <Picture
          image={shown}
          view={view}
          setup={setup}
          marking={marking}
          guesses={guesses}
          sure={sure}
          act={act}
          line={line}
          placed={placed}
          under={compared.under}
          over={compared.over}
        />
        {compared.beside}
      </Box>
      <Box>
        {!photo.pictured && (
          <Alert severity="info" sx={{ mb: 1 }}>
            This picture was deleted for good. Its marks and readings are kept.
          </Alert>
        )}
        {image === "lost" && (
          <Alert severity="error" sx={{ mb: 1 }}>
            The picture could not be fetched. Its marks and readings are kept; reload when the connection is back.
          </Alert>
        )}
        <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, minHeight: 40 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            {viewName[view]}
            {others.length > 0 && (
              <Typography component="span" sx={{ color: "text.secondary", ml: 1 }}>
                mean of {others.length + 1} standings
              </Typography>
            )}
          </Typography>
          <SavedWord saved={saved} />
          <UndoRedo back={marking.past.length > 0} on={marking.future.length > 0} act={act} />
        </Box>
        {saved.kind === "stale" && (
          <Alert
            severity="warning"
            action={
              <Button color="inherit" onClick={() => window.location.reload()}>
                Load theirs
              </Button>
            }
            sx={{ my: 1 }}
          >
            This picture was marked in another tab meanwhile. Your last marks are not saved.
          </Alert>
        )}
        {saved.kind === "failed" && (
          <Alert severity="error" sx={{ my: 1 }}>
            {saved.message}
          </Alert>
        )}
        <MarkingTools
          view={view}
          progress={progress}
          photo={latest}
          image={shown}
          earlier={earlierPhoto}
          propose={propose}
          sure={sure}
          snapping={snapping}
          setSnapping={setSnapping}
          act={act}
        />
        <NoticeList photo={now} earlier={earlierPhoto} save={setSetup} />
        {readings.length > 0 ? (
          <>
            <ReadOuts readings={readings} earlier={earlier} earlierName={earlierName} />
            <Typography sx={{ fontSize: 13.5, color: "text.secondary", my: 1 }}>
              {standingWords(readings, "photo")}
            </Typography>
          </>
        ) : (
          <Typography sx={{ color: "text.secondary", my: 2, maxWidth: 460 }}>
            Mark both ends of the plumb line and of the stick first: they give true vertical and scale. Every metric
            then appears as soon as its landmarks are placed.
          </Typography>
        )}
        {compared.controls}
        <PointList view={view} progress={progress} remove={remove} act={act} />
        <SetUp setup={setup} save={setSetup} />
      </Box>
    </Box>
  );
}

function SavedWord({ saved }: { saved: ReturnType<typeof useSaving>["state"] }) {
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = window.setInterval(() => tick((n) => n + 1), 5000);
    return () => window.clearInterval(timer);
  }, []);
  const words =
    saved.kind === "saved"
      ? saved.at === undefined
        ? ""
        : `Saved ${Math.max(1, Math.round((Date.now() - saved.at) / 1000))} s ago`
      : saved.kind === "failed" || saved.kind === "stale"
        ? "Not saved"
        : "Saving";
  return (
    <Typography component="span" role="status" sx={{ color: "text.secondary", fontSize: 14, mr: 1 }}>
      {words}
    </Typography>
  );
}

/** The true vertical through the ankles (or the ankle facing the camera), from floor to above the head. */
function ankleLine(photo: Photo, marking: Marking): { from: Px; to: Px } | undefined {
  const { marks } = marking;
  const calibration = calibrate(sceneOf({ ...photo, marks }));
  const feet = feetOf(photo.view).map((key) => marks[key]);
  if (!calibration || feet.some((foot) => !foot)) return undefined;
  const x = feet.reduce((sum, foot) => sum + foot!.x, 0) / feet.length;
  const y = feet.reduce((sum, foot) => sum + foot!.y, 0) / feet.length;
  const up = photo.setup.height * 0.9;
  return {
    from: { x, y },
    to: { x: x - Math.sin(calibration.roll) * up, y: y - Math.cos(calibration.roll) * up },
  };
}
