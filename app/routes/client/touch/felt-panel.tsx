import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { memo, useEffect, useRef } from "react";
import { layerName } from "~core/anatomy/layers";
import { structureOf } from "~core/anatomy/structures";
import {
  directions,
  gradeWords,
  historyOf,
  qualities,
  type Direction,
  type Grade,
  type Quality,
  type Restriction,
} from "~core/findings/restriction";
import type { Side } from "~core/units";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Finding } from "./finding";
import { useFelt } from "./use-felt";

/** What is felt at one structure: a press on the grade keeps it, with what was chosen beside it. */
export const FeltPanel = memo(function FeltPanel({
  structure,
  side: first,
  restrictions,
  lastQuality,
  keep,
  close,
}: {
  structure: string;
  side: Side | "both";
  restrictions: readonly Restriction[];
  lastQuality: Quality;
  keep: (finding: Finding) => void;
  close: () => void;
}) {
  const own = structureOf(structure)!;
  const felt = useFelt(structure, first, restrictions, lastQuality);
  const { known, side, setSide, quality, setQuality, tenderness, setTenderness, bind, setBind, ease, setEase } = felt;
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // a key that follows at once is meant for the panel
    panel.current?.querySelector<HTMLElement>("[data-grade]")?.focus({ preventScroll: true });
    // with the next frame, which lays the page out anyway
    const frame = requestAnimationFrame(() => panel.current?.scrollIntoView({ block: "nearest" }));
    return () => cancelAnimationFrame(frame);
  }, []);
  const way = (label: string, value: Direction, set: (next: Direction) => void) => (
    <TextField select label={label} value={value} onChange={(event) => set(event.target.value as Direction)}>
      {(["", ...directions] as const).map((each) => (
        <MenuItem key={each} value={each}>
          {each === "" ? "not told" : `towards ${each}`}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box
      ref={panel}
      role="group"
      aria-label={`Felt at ${own.name.toLowerCase()}`}
      sx={(t) => ({
        border: `1px solid ${t.tokens.line}`,
        bgcolor: "background.paper",
        borderRadius: "10px",
        p: 2,
        mb: 2,
        display: "grid",
        gap: 1.5,
      })}
    >
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "baseline", flexWrap: "wrap" }}>
        <Typography variant="h3" component="h2">
          {own.name}
        </Typography>
        <Typography sx={{ color: "text.secondary", flex: 1 }}>
          {layerName(own.layer).toLowerCase()}
          {known && ` · goes on from ${historyOf(known)}`}
        </Typography>
        <Button size="small" color="inherit" onClick={close}>
          Cancel
        </Button>
      </Box>
      {!own.midline && (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={side}
          onChange={(_, next: Side | "both" | null) => next && setSide(next)}
          aria-label="Side"
        >
          <ToggleButton value="R">Right</ToggleButton>
          <ToggleButton value="L">Left</ToggleButton>
          <ToggleButton value="both">Both</ToggleButton>
        </ToggleButtonGroup>
      )}
      <ToggleButtonGroup
        exclusive
        size="small"
        value={quality}
        onChange={(_, next: Quality | null) => next && setQuality(next)}
        aria-label="Feels like"
        sx={{ flexWrap: "wrap" }}
      >
        {qualities.map((each) => (
          <ToggleButton key={each} value={each}>
            {each}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", md: "1fr 1fr 1fr" }, gap: 1.5 }}>
        <TextField
          select
          label="Tender, 0–10"
          value={tenderness}
          onChange={(event) => setTenderness(Number(event.target.value))}
        >
          {Array.from({ length: 11 }, (_, i) => (
            <MenuItem key={i} value={i}>
              {i}
            </MenuItem>
          ))}
        </TextField>
        {way("Binds", bind, setBind)}
        {way("Eases", ease, setEase)}
      </Box>
      <Box role="group" aria-label="Grade: a press keeps it" sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        {gradeWords.map((word, i) => (
          <Button
            key={word}
            data-grade={i === 0 ? "" : undefined}
            variant={i === 0 ? "outlined" : "contained"}
            sx={{ minHeight: 48, flex: "1 1 110px" }}
            onClick={() => keep(felt.graded(i as Grade))}
          >
            {word}
          </Button>
        ))}
      </Box>
    </Box>
  );
});
