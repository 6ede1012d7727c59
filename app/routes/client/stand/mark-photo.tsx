import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import IconButton from "@mui/material/IconButton";
import Redo from "@mui/icons-material/Redo";
import Switch from "@mui/material/Switch";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import Undo from "@mui/icons-material/Undo";
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from "react";
import type { MarkKey, Px } from "~core/measure/calibration";
import { calibrate } from "~core/measure/calibration";
import { guessesOf, mark, marksOfView, startMarking, type Marking, type MarkingCommand } from "~core/measure/marking";
import { feetOf } from "~core/measure/propose";
import { readPhoto, sceneOf, type MarkedPhoto } from "~core/measure/read-photo";
import type { Reading } from "~core/measure/reading";
import { isSideView, viewName } from "~core/measure/view";
import type { OwnFigures } from "~core/repeatability/own-figures";
import { useNotify } from "~app/ui/notices";
import type { Photo } from "~data/photos";
import { useCompared } from "./compare-pictures";
import { keepHistory, keptHistory } from "./marking-history";
import { NoticeList } from "./notice-list";
import { markName, Picture } from "./picture";
import { Proposals } from "./proposals";
import { ReadOuts } from "./read-outs";
import { SetUp } from "./set-up";
import { useSnapping } from "./use-snapping";
import { usePicture } from "./use-picture";
import { unsavedMarks, useSaving } from "./use-saving";

/** An earlier picture of the same view, to copy marks from and to compare with. */
export type Earlier = { photo: MarkedPhoto; url: string; name: string };

/** Marking one picture: the photograph on the left, what it says on the right, saved as you go. */
export function MarkPhoto({
  photo,
  clientId,
  own,
  earlier,
  earlierName,
  earlierPhoto,
  removed,
}: {
  photo: Photo;
  clientId: string;
  /** Whose marking error the readings carry. */
  own: OwnFigures | undefined;
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
  const { state: saved, save } = useSaving(url, photo.id, photo.version);
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

  const now = useMemo(() => ({ view, setup, marks: marking.marks }), [view, setup, marking.marks]);
  const readings = useMemo(() => readPhoto(now, own), [now, own]);
  const guesses = useMemo(() => guessesOf(marking, setup.height / 8), [marking, setup.height]);
  const line = useMemo(() => ankleLine(photo, marking), [photo, marking]);
  const compared = useCompared(now, earlierPhoto, own);
  const [sure, setSure] = useState<Partial<Record<MarkKey, number>>>({});
  const [snapping, setSnapping] = useState(true);
  const placed = useSnapping(image, marking.marks, act, snapping);
  const order = marksOfView(view);
  const notify = useNotify();
  const remove = useCallback(async () => {
    const send = (intent: string) =>
      fetch(url, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ intent }),
      });
    const response = await send("remove");
    if (!response.ok) return notify("The picture could not be taken away. Nothing was changed.", { severity: "error" });
    removed();
    notify("The picture is taken away, its marks with it.", {
      undo: () => void send("restore").then(removed),
    });
  }, [url, removed, notify]);

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
          image={image === "lost" ? undefined : image}
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
          </Typography>
          <SavedWord saved={saved} />
          <Tooltip title="Undo (Ctrl+Z)">
            <span>
              <IconButton aria-label="Undo" disabled={marking.past.length === 0} onClick={() => act({ kind: "undo" })}>
                <Undo />
              </IconButton>
            </span>
          </Tooltip>
          <Tooltip title="Redo (Ctrl+Y)">
            <span>
              <IconButton
                aria-label="Redo"
                disabled={marking.future.length === 0}
                onClick={() => act({ kind: "redo" })}
              >
                <Redo />
              </IconButton>
            </span>
          </Tooltip>
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
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", mb: 1 }}>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={marking.order}
            onChange={(_, order: Marking["order"] | null) => order && act({ kind: "order", order })}
            aria-label="Order of marking"
          >
            <ToggleButton value="guided">Guided</ToggleButton>
            <ToggleButton value="free">Free</ToggleButton>
          </ToggleButtonGroup>
          <Proposals
            photo={now}
            image={image && image !== "lost" ? image : undefined}
            earlier={earlierPhoto}
            propose={(found) => {
              if (typeof found === "string") return notify(found);
              setSure(found.sure ?? {});
              act({ kind: "propose", proposal: found.marks });
            }}
          />
          {!isSideView(view) && (
            <Button size="small" variant="outlined" onClick={() => act({ kind: "swap" })}>
              Swap left and right
            </Button>
          )}
          <FormControlLabel
            control={<Switch size="small" checked={snapping} onChange={(_, on) => setSnapping(on)} />}
            label="Snap plumb and stick"
            slotProps={{ typography: { sx: { fontSize: 14 } } }}
          />
        </Box>
        {Object.keys(guesses).length > 0 && (
          <Typography sx={{ fontSize: 13.5, color: "text.secondary", mb: 1 }}>
            Dashed: guesses. Enter confirms the one asked for, a click or drag sets it; nothing is measured from a
            guess.{" "}
            <Button size="small" sx={{ p: 0, minHeight: 24 }} onClick={() => act({ kind: "propose", proposal: {} })}>
              Drop the guesses
            </Button>
          </Typography>
        )}
        <NoticeList photo={now} save={setSetup} />
        {readings.length > 0 ? (
          <ReadOuts readings={readings} earlier={earlier} earlierName={earlierName} />
        ) : (
          <Typography sx={{ color: "text.secondary", my: 2, maxWidth: 460 }}>
            Mark both ends of the plumb line and of the stick first: they give true vertical and scale. Every metric
            then appears as soon as its landmarks are placed.
          </Typography>
        )}
        {compared.controls}
        <Box sx={{ mt: 2 }}>
          <Typography variant="h3" component="h2" sx={{ mb: 0.75 }}>
            Points
          </Typography>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
            {order.map((key) => {
              const active = key === marking.active;
              const there = Boolean(marking.marks[key]);
              return (
                <Button
                  key={key}
                  size="small"
                  variant="outlined"
                  aria-pressed={active}
                  onClick={() => act({ kind: "choose", mark: key })}
                  sx={(t) => ({
                    minHeight: 32,
                    py: 0,
                    px: 1.25,
                    fontSize: 13,
                    fontWeight: active ? 700 : 450,
                    bgcolor: active ? t.tokens.emberWash : there ? t.tokens.sheet : "transparent",
                    borderStyle: there ? "solid" : "dashed",
                    borderColor: active ? t.tokens.ember : t.tokens.line,
                    color: there || active ? t.tokens.ink : t.tokens.inkSoft,
                  })}
                >
                  {markName(key)}
                  {there ? " ✓" : guesses[key] ? " ?" : ""}
                </Button>
              );
            })}
          </Box>
          <Box sx={{ mt: 1.5, display: "flex", gap: 1.5 }}>
            {guesses[marking.active] && (
              <Button size="small" variant="outlined" onClick={() => act({ kind: "confirm" })}>
                Confirm {markName(marking.active).toLowerCase()}
              </Button>
            )}
            <Button
              size="small"
              variant="outlined"
              disabled={!marking.marks[marking.active]}
              onClick={() => act({ kind: "remove" })}
            >
              Remove this point
            </Button>
            <Button size="small" color="inherit" sx={{ color: "text.secondary" }} onClick={() => void remove()}>
              Take the picture away
            </Button>
          </Box>
        </Box>
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
