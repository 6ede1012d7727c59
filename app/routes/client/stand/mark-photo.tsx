import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Redo from "@mui/icons-material/Redo";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import Undo from "@mui/icons-material/Undo";
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from "react";
import type { Px } from "~core/measure/calibration";
import { calibrate } from "~core/measure/calibration";
import { mark, marksOfView, startMarking, type Marking, type MarkingCommand } from "~core/measure/marking";
import { readPhoto, sceneOf, type Reading } from "~core/measure/read-photo";
import { viewName } from "~core/measure/view";
import { useNotify } from "~app/ui/notices";
import type { Photo } from "~data/photos";
import { markName, Picture } from "./picture";
import { ReadOuts } from "./read-outs";
import { unsavedMarks, useSaving } from "./use-saving";

/** Marking one picture: the photograph on the left, what it says on the right, saved as you go. */
export function MarkPhoto({
  photo,
  clientId,
  earlier,
  earlierName,
  removed,
}: {
  photo: Photo;
  clientId: string;
  earlier: readonly Reading[];
  earlierName: string | undefined;
  removed: () => void;
}) {
  const { view, setup } = photo;
  const [marking, act] = useReducer(
    (state: Marking, command: MarkingCommand) => mark(state, command, view, setup),
    undefined,
    () => startMarking(view, photo.marks),
  );
  const url = `/clients/${clientId}/photos/${photo.id}`;
  const { state: saved, save } = useSaving(url, photo.id, photo.version);
  const first = useRef(true);
  // Marks a reload caught before they were confirmed are put back, as one undoable step.
  useEffect(() => {
    const kept = unsavedMarks(photo.id, photo.version);
    if (!kept) return;
    for (const [key, at] of Object.entries(kept.marks)) {
      act({ kind: "choose", mark: key as Marking["active"] });
      act({ kind: "place", at, gesture: "restored" });
    }
  }, [photo.id, photo.version]);
  useEffect(() => {
    if (first.current) first.current = false;
    else save({ marks: marking.marks, setup });
  }, [marking.marks, setup, save]);

  const readings = useMemo(() => readPhoto({ view, setup, marks: marking.marks }), [view, setup, marking.marks]);
  const line = useMemo(() => ankleLine(photo, marking), [photo, marking]);
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
      <Picture src={url} view={view} setup={setup} marking={marking} act={act} line={line} />
      <Box>
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
        {readings.length > 0 ? (
          <ReadOuts readings={readings} earlier={earlier} earlierName={earlierName} />
        ) : (
          <Typography sx={{ color: "text.secondary", my: 2, maxWidth: 460 }}>
            Mark both ends of the plumb line and of the stick first: they give true vertical and scale. Every metric
            then appears as soon as its landmarks are placed.
          </Typography>
        )}
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
                  {there ? " ✓" : ""}
                </Button>
              );
            })}
          </Box>
          <Box sx={{ mt: 1.5, display: "flex", gap: 1.5 }}>
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
  const feet =
    photo.view === "front" || photo.view === "back"
      ? [marks["ankle.R"], marks["ankle.L"]]
      : [marks[photo.view === "left" ? "malleolus.L" : "malleolus.R"]];
  if (!calibration || feet.some((foot) => !foot)) return undefined;
  const x = feet.reduce((sum, foot) => sum + foot!.x, 0) / feet.length;
  const y = feet.reduce((sum, foot) => sum + foot!.y, 0) / feet.length;
  const up = photo.setup.height * 0.9;
  return {
    from: { x, y },
    to: { x: x - Math.sin(calibration.roll) * up, y: y - Math.cos(calibration.roll) * up },
  };
}
