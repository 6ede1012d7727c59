import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import type { SxProps, Theme } from "@mui/material/styles";
import { memo } from "react";
import type { MarkKey } from "~core/measure/calibration";
import { marksOfView, type Marking, type MarkingCommand } from "~core/measure/marking";
import type { MarkedPhoto } from "~core/measure/read-photo";
import { sureEnough } from "~core/measure/found-points";
import { isSideView, type View } from "~core/measure/view";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import Redo from "@mui/icons-material/Redo";
import Undo from "@mui/icons-material/Undo";
import Tooltip from "@mui/material/Tooltip";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Earlier } from "./earlier";
import { markName } from "./picture";
import { Proposals, type Proposal } from "./proposals";

// None of these is drawn again for every pixel that a mark is dragged.

type Act = (command: MarkingCommand) => void;

/** What these show of a marking: which points there are, not where. */
export type Progress = Pick<Marking, "active" | "order"> & { placed: readonly MarkKey[]; guessed: readonly MarkKey[] };

export const progressOf = ({ active, order, marks, proposal }: Marking): Progress => ({
  active,
  order,
  placed: Object.keys(marks) as MarkKey[],
  guessed: (Object.keys(proposal) as MarkKey[]).filter((key) => !marks[key]),
});

/** The same while nothing that is shown differs. */
function sameProps<P extends { progress: Progress }>({ progress: a, ...before }: P, { progress: b, ...after }: P) {
  const same = (before: object, after: object) =>
    Object.entries(before).every(([key, value]) => value === after[key as keyof typeof after]);
  return (
    same(before, after) &&
    a.active === b.active &&
    a.order === b.order &&
    String(a.placed) === String(b.placed) &&
    String(a.guessed) === String(b.guessed)
  );
}

export const UndoRedo = memo(function UndoRedo({ back, on, act }: { back: boolean; on: boolean; act: Act }) {
  return (
    <>
      <Tooltip describeChild title="Undo (Ctrl+Z)">
        <span>
          <IconButton aria-label="Undo" disabled={!back} onClick={() => act({ kind: "undo" })}>
            <Undo />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip describeChild title="Redo (Ctrl+Y)">
        <span>
          <IconButton aria-label="Redo" disabled={!on} onClick={() => act({ kind: "redo" })}>
            <Redo />
          </IconButton>
        </span>
      </Tooltip>
    </>
  );
});

/** How to mark: in which order, from which guesses, and with or without the line that is seen. */
export const MarkingTools = memo(function MarkingTools({
  view,
  progress,
  photo,
  image,
  earlier,
  propose,
  sure,
  snapping,
  setSnapping,
  act,
}: {
  view: View;
  progress: Progress;
  photo: () => MarkedPhoto;
  image: HTMLImageElement | undefined;
  earlier: Earlier | undefined;
  propose: (guesses: Proposal | string) => void;
  /** How sure the source of each guess is (0–1), where it says. */
  sure: Partial<Record<MarkKey, number>>;
  snapping: boolean;
  setSnapping: (on: boolean) => void;
  act: Act;
}) {
  const certain = progress.guessed.filter((key) => (sure[key] ?? 0) >= sureEnough);
  return (
    <>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", mb: 1 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={progress.order}
          onChange={(_, order: Marking["order"] | null) => order && act({ kind: "order", order })}
          aria-label="Order of marking"
        >
          <ToggleButton value="guided">Guided</ToggleButton>
          <ToggleButton value="free">Free</ToggleButton>
        </ToggleButtonGroup>
        <Proposals photo={photo} image={image} earlier={earlier} propose={propose} />
        {!isSideView(view) && (
          <Button size="small" variant="outlined" onClick={() => act({ kind: "swap" })}>
            Swap left and right
          </Button>
        )}
        <FormControlLabel
          slotProps={{ typography: { variant: "body2" } }}
          control={<Switch size="small" checked={snapping} onChange={(_, on) => setSnapping(on)} />}
          label="Snap plumb and stick"
        />
      </Box>
      {progress.guessed.length > 0 && (
        <Typography sx={{ fontSize: 13.5, color: "text.secondary", mb: 1 }}>
          {certain.length > 0 && (
            <Button
              size="small"
              variant="contained"
              sx={{ mr: 1 }}
              onClick={() => act({ kind: "accept", marks: certain })}
            >
              Confirm the {certain.length} that are sure
            </Button>
          )}
          Dashed: guesses. Enter confirms the one asked for, a click or drag sets it; nothing is measured from a guess.{" "}
          <Button size="small" sx={{ p: 0, minHeight: 24 }} onClick={() => act({ kind: "propose", proposal: {} })}>
            Drop the guesses
          </Button>
        </Typography>
      )}
    </>
  );
}, sameProps);

/** Each as an outlined button looks: there are two dozen of them, redrawn with every press, dressed by what they lie in. */
const points: SxProps<Theme> = ({ tokens }) => ({
  display: "flex",
  flexWrap: "wrap",
  gap: 0.75,
  "& button": {
    font: "inherit",
    fontSize: 13,
    fontVariantNumeric: "normal",
    lineHeight: 1.75,
    fontWeight: 450,
    cursor: "pointer",
    boxSizing: "border-box",
    minWidth: 64,
    minHeight: 32,
    py: 0,
    px: 1.25,
    border: `1px dashed ${tokens.line}`,
    borderRadius: "6px",
    bgcolor: "transparent",
    color: tokens.inkSoft,
    "&.there": { borderStyle: "solid", bgcolor: tokens.sheet, color: tokens.ink },
    "&[aria-pressed=true]": {
      fontWeight: 700,
      bgcolor: tokens.emberWash,
      borderColor: tokens.ember,
      color: tokens.ink,
    },
    "&:hover": { bgcolor: tokens.emberWash },
  },
});

/** Every point of the view: placed, guessed or still to come. The one that is asked for can be changed here. */
export const PointList = memo(function PointList({
  view,
  progress: { active: asked, placed, guessed },
  remove,
  act,
}: {
  view: View;
  progress: Progress;
  /** Takes the whole picture away. */
  remove: () => void;
  act: Act;
}) {
  return (
    <Box sx={{ mt: 2 }}>
      <Typography variant="h3" component="h2" sx={{ mb: 0.75 }}>
        Points
      </Typography>
      <Box sx={points}>
        {marksOfView(view).map((key) => {
          const there = placed.includes(key);
          return (
            <button
              type="button"
              key={key}
              className={there ? "there" : undefined}
              aria-pressed={key === asked}
              onClick={() => act({ kind: "choose", mark: key })}
            >
              {markName(key)}
              {there ? " ✓" : guessed.includes(key) ? " ?" : ""}
            </button>
          );
        })}
      </Box>
      <Box sx={{ mt: 1.5, display: "flex", gap: 1.5 }}>
        {guessed.includes(asked) && (
          <Button size="small" variant="outlined" onClick={() => act({ kind: "confirm" })}>
            Confirm {markName(asked).toLowerCase()}
          </Button>
        )}
        <Button
          size="small"
          variant="outlined"
          disabled={!placed.includes(asked)}
          onClick={() => act({ kind: "remove" })}
        >
          Remove this point
        </Button>
        <Button size="small" color="inherit" sx={{ color: "text.secondary" }} onClick={remove}>
          Take the picture away
        </Button>
      </Box>
    </Box>
  );
}, sameProps);
