import { sideBehind } from "~core/words";
import { useTheme, type SxProps, type Theme } from "@mui/material/styles";
import { memo, useState } from "react";
import { sameIn, type Change } from "~core/change/compare";
import { changeIn, compareMoments } from "~core/change/judge";
import { methodName } from "~core/measure/methods";
import { directionWord, formatBand, formatDifference, formatValue } from "~core/measure/format";
import type { Reading } from "~core/measure/reading";
import type { ErrorPart } from "~core/measure/propagate";
import { markName } from "./picture";
import { readOutBar } from "./read-out-layout";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { changeColour } from "~app/ui/change-colour";
import { depthColours } from "~app/ui/theme";

const keyOf = (reading: Reading) => `${reading.id} ${reading.method}`;
const sideWord = (reading: Reading) => (reading.metric.sides === "each" ? sideBehind[reading.side ?? "mid"] : "");

/** One line per metric: value and band now, the earlier value, the usual range, and what may be said of the change. */
export function ReadOuts({
  readings,
  earlier,
  earlierName,
}: {
  readings: readonly Reading[];
  earlier: readonly Reading[];
  earlierName: string | undefined;
}) {
  const [chosen, setChosen] = useState<string | undefined>();
  const changes = compareMoments(earlier, readings);
  const shown = readings.find((reading) => keyOf(reading) === chosen) ?? readings[0];
  return (
    <Box>
      <Typography sx={{ color: "text.secondary", fontSize: 13.5, mb: 0.5 }}>
        filled: now, with 95% band{earlierName ? ` · hollow: ${earlierName}` : ""} · pale: usual range
      </Typography>
      <Box role="list" aria-label="Measurements" sx={rows}>
        {readings.map((reading) => (
          <Row
            key={keyOf(reading)}
            reading={reading}
            earlier={sameIn(earlier, reading)}
            change={changeIn(changes, reading)}
            chosen={reading === shown}
            choose={setChosen}
          />
        ))}
      </Box>
      {shown && <Budget reading={shown} />}
    </Box>
  );
}

/** All rows are dressed by what they lie in. */
const rows: SxProps<Theme> = ({ tokens }) => ({
  "& > div": {
    borderTop: `1px solid ${tokens.line}`,
    pl: 1,
    "&:has([aria-pressed=true])": { boxShadow: `-3px 0 0 ${tokens.ember}` },
  },
  "& button": {
    all: "unset",
    cursor: "pointer",
    display: "grid",
    gridTemplateColumns: { xs: "1fr auto", lg: "194px 128px 232px minmax(0, 1fr)" },
    alignItems: "center",
    columnGap: 2,
    width: "100%",
    minHeight: 38,
    py: { xs: 0.5, lg: 0 },
    "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" },
  },
  "& .amount": {
    textAlign: "right",
    whiteSpace: "nowrap",
    color: "text.secondary",
    "& strong": { fontSize: 17, color: "text.primary" },
  },
  "& .said": {
    fontSize: 14,
    lineHeight: 1.2,
    textAlign: { xs: "right", lg: "left" },
    "& > span:first-of-type": { display: "block", color: "text.secondary" },
  },
});

type RowProps = {
  reading: Reading;
  earlier: Reading | undefined;
  /** As it was judged among all the readings; of both views together where they are one thing. */
  change: Change | undefined;
  chosen: boolean;
  /** Is told the key of the reading that is to be explained. */
  choose: (key: string) => void;
};

const Row = memo(function Row({ reading, earlier, change, chosen, choose }: RowProps) {
  const { tokens } = useTheme();
  const bar = readOutBar(reading, earlier, 230);
  const colour = changeColour(tokens, change);
  const Verdict = change?.verdict === "clear" ? "strong" : "span";
  return (
    <div role="listitem">
      <button
        type="button"
        onClick={() => choose(keyOf(reading))}
        aria-pressed={chosen}
        title={`${reading.metric.definition} Usual range: ${reading.metric.source}.`}
      >
        <span>
          {reading.metric.name}
          {sideWord(reading)}
          {reading.method === "photo" ? "" : `, ${methodName(reading.method).toLowerCase()}`}
        </span>
        <span className="amount">
          <strong>{formatValue(reading, reading.value)}</strong> {formatBand(reading, reading.se)}
        </span>
        <svg width={bar.width} height={32} aria-hidden style={{ display: "block" }}>
          <rect
            x={bar.usual.from}
            width={Math.max(1, bar.usual.to - bar.usual.from)}
            y={4}
            height={24}
            fill={tokens.band}
          />
          <line x1={0} x2={bar.width} y1={16} y2={16} stroke={tokens.line} />
          {bar.earlier && (
            <>
              <line
                x1={bar.earlier.from}
                x2={bar.earlier.to}
                y1={21}
                y2={21}
                stroke={tokens.inkSoft}
                strokeWidth={2.5}
                opacity={0.45}
                strokeLinecap="round"
              />
              <circle cx={bar.earlier.at} cy={21} r={3.6} fill={tokens.paper} stroke={tokens.ink} strokeWidth={1.4} />
            </>
          )}
          <line
            x1={bar.now.from}
            x2={bar.now.to}
            y1={12}
            y2={12}
            stroke={colour}
            strokeWidth={4}
            opacity={0.5}
            strokeLinecap="round"
          />
          <circle cx={bar.now.at} cy={12} r={4.6} fill={colour} />
        </svg>
        <span className="said">
          <span>{directionWord(reading, reading.value)}</span>
          {change && (
            <Verdict
              title={change.unjudged ?? (change.parts ? "Both views together" : undefined)}
              style={{ color: colour }}
            >
              {change.unjudged
                ? "not judged"
                : change.verdict === "cannot be told"
                  ? "change cannot be told"
                  : `${formatDifference(reading, change)} ${change.verdict}`}
            </Verdict>
          )}
        </span>
      </button>
    </div>
  );
}, sameRow);

/** Dragging one mark changes few of the readings: the others are not drawn again. */
function sameRow(a: RowProps, b: RowProps): boolean {
  const same = (a?: Reading, b?: Reading) => a?.value === b?.value && a?.se === b?.se;
  const judged = ({ change }: RowProps) => `${change?.verdict} ${change?.unjudged} ${change?.difference.toFixed(2)}`;
  return same(a.reading, b.reading) && same(a.earlier, b.earlier) && a.chosen === b.chosen && judged(a) === judged(b);
}

const causeName = (part: ErrorPart): string => {
  switch (part.cause) {
    case "method":
      return "the method";
    case "placing":
      return part.point ? `${markName(part.point).split(",")[0]} point` : "points";
    case "depth":
      return "depth of the body";
    case "turn":
      return "how squarely they stand";
    case "camera":
      return "camera place";
    case "stick-depth":
      return "depth of the stick";
    default:
      return part.cause;
  }
};

/** Where a metric's error comes from, largest part first. */
function Budget({ reading }: { reading: Reading }) {
  const { tokens } = useTheme();
  const total = reading.se ** 2;
  const named = new Map<string, number>();
  for (const part of reading.parts)
    named.set(causeName(part), (named.get(causeName(part)) ?? 0) + part.variance / total);
  const parts = [...named]
    .sort((a, b) => b[1] - a[1])
    .filter(([, share]) => share >= 0.01)
    .slice(0, 5);
  let x = 0;
  return (
    <Box sx={{ mt: 2, maxWidth: 520 }}>
      <Typography variant="h3">
        Where the {formatBand(reading, reading.se)} of {reading.metric.name.toLowerCase()} comes from
      </Typography>
      <svg
        viewBox="0 0 400 12"
        width="100%"
        height={12}
        preserveAspectRatio="none"
        aria-hidden
        style={{ display: "block", margin: "6px 0 4px" }}
      >
        {parts.map(([name, share], i) => {
          const start = x;
          x += share * 400;
          return (
            <rect
              key={name}
              x={start}
              width={Math.max(0, share * 400 - 1)}
              height={12}
              fill={depthColours[Math.max(0, 3 - i)]}
              stroke={tokens.inkSoft}
              strokeWidth={i > 2 ? 0.5 : 0}
            />
          );
        })}
      </svg>
      <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>
        {parts.map(([name, share]) => `${name} ${Math.round(share * 100)}%`).join(" · ")}
      </Typography>
      {reading.method === "photo" && (
        <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>
          {reading.basis.kind === "own"
            ? `Marking: the marker’s own figures from ${reading.basis.dof} repeat pairs, pooled with the model’s.`
            : "Marking: the model’s figures, not yet the marker’s own."}
        </Typography>
      )}
    </Box>
  );
}
