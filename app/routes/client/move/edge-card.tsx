import { sideTitle } from "~core/words";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Moment } from "~core/findings/restriction";
import {
  edgeFault,
  edgeNames,
  edgeParts,
  readEdge,
  type EdgeEvent,
  type EdgeOfTable,
  type EdgeTaken,
} from "~core/move/edge-of-table";
import type { Side } from "~core/units";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

const keys = ["thigh", "knee", "drift", "thighStraight"] as const;

/** The hip test at the edge of the table: three angles of each leg, and what they say is short. */
export function EdgeCard({
  moment,
  edges,
  keep,
}: {
  moment: Moment;
  edges: readonly EdgeTaken[];
  keep: (body: EdgeEvent["body"]) => void;
}) {
  return (
    <Box component="section" aria-label="Hip at the edge of the table">
      <Typography component="h3" sx={{ fontFamily: "h1.fontFamily", fontSize: 26, fontWeight: 650, lineHeight: 1.2 }}>
        Hip at the edge of the table
      </Typography>
      <Typography sx={{ fontSize: 17, mt: 0.5, mb: 2, maxWidth: 640 }}>
        Face up, the other knee held to the chest until the low back lies flat; this leg hangs over the edge, let go.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" }, gap: 3, maxWidth: 820 }}>
        {(["L", "R"] as const).map((side) => (
          <OneLeg
            key={`${side} ${moment}`}
            side={side}
            taken={edges.find((each) => each.side === side && each.moment === moment)?.angles}
            keep={(angles) => keep({ moment, side, angles })}
          />
        ))}
      </Box>
    </Box>
  );
}

function OneLeg({
  side,
  taken,
  keep,
}: {
  side: Side;
  taken: EdgeOfTable | undefined;
  keep: (angles: EdgeOfTable | null) => void;
}) {
  const [typed, setTyped] = useState<Partial<Record<(typeof keys)[number], string>>>({});
  const textOf = (key: (typeof keys)[number]) => typed[key] ?? (taken?.[key] === undefined ? "" : String(taken[key]));
  const angles = Object.fromEntries(
    keys.flatMap((key) => {
      const text = textOf(key).trim();
      return text === "" ? [] : [[key, Number(text.replace(",", "."))]];
    }),
  ) as Partial<EdgeOfTable>;
  const whole = keys.slice(0, 3).every((key) => angles[key] !== undefined);
  const fault = whole ? edgeFault(angles as EdgeOfTable) : undefined;
  const leave = () => {
    if (!whole || fault || Object.keys(typed).length === 0) return;
    keep(angles as EdgeOfTable);
    setTyped({});
  };
  const reading = taken && readEdge(taken);
  const short = reading ? edgeParts.filter((part) => reading.short[part] !== undefined) : [];
  return (
    <Box role="group" aria-label={`${sideTitle[side]} leg`} sx={{ display: "grid", gap: 1.25, alignContent: "start" }}>
      <Typography sx={{ fontWeight: 650 }}>{sideTitle[side]} leg</Typography>
      {keys.map((key) => (
        <TextField
          key={key}
          label={`${edgeNames[key]}, °${key === "thighStraight" ? " (where three do not tell)" : ""}`}
          value={textOf(key)}
          onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
          onBlur={leave}
          onKeyDown={(event) => event.key === "Enter" && leave()}
          slotProps={{ htmlInput: { inputMode: "decimal", autoComplete: "off" } }}
        />
      ))}
      <Typography role="status" sx={(t) => ({ color: fault ? t.tokens.clay : "text.primary" })}>
        {fault ??
          (reading
            ? [
                short.length > 0
                  ? `Short: ${short.map((part) => `${part} by ${Math.round(reading.short[part]!)}°`).join(", ")}.`
                  : reading.settle
                    ? ""
                    : "Nothing is short beyond the error of 5°.",
                reading.settle ?? "",
              ]
                .filter(Boolean)
                .join(" ")
            : "Three angles say which part is short.")}
      </Typography>
      {taken && (
        <Button color="inherit" onClick={() => keep(null)}>
          Take it back
        </Button>
      )}
    </Box>
  );
}
