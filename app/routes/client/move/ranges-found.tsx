import type { ReactNode } from "react";
import { asymmetries, compareRanges, hardAndPainful, missing, type Range } from "~core/move/ranges";
import { movementOf } from "~core/move/movements";
import { z95 } from "~core/units";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { comparedWords, differenceWords, rangeName, round, unitOf } from "~core/move/words";
import { sideWord } from "~core/words";

/** What the ranges say: how the sides differ, what the work changed, and what changed since the visit before. */
export function RangesFound({
  before,
  after,
  earlier,
}: {
  before: readonly Range[];
  after: readonly Range[];
  earlier: { visit: number; ranges: readonly Range[] } | undefined;
}) {
  const sides = asymmetries(before);
  const worked = compareRanges(before, after);
  const since = earlier ? compareRanges(earlier.ranges, before) : [];
  const short = before.filter((range) => missing(range) > 0);
  const hard = hardAndPainful([...before, ...after].map(({ taken }) => taken));
  if (before.length + after.length === 0) return null;
  return (
    <Box sx={{ maxWidth: 820 }}>
      {hard.length > 0 && (
        <Typography sx={(t) => ({ color: t.tokens.amber, mb: 1.5 })}>
          {hard
            .map(({ movement, side }) => `${movementOf(movement).name}${side ? `, ${sideWord[side]}` : ""}`)
            .join("; ")}{" "}
          ended hard or empty and hurt: no levers and no end-range stretch there until it is known why. The plan keeps
          to it.
        </Typography>
      )}
      <Part title="Sides differ" list={sides}>
        {(each) => (
          <>
            {each.left.movement.name}
            {each.left.taken.drive === "passive" ? ", passive" : ""}: left {round(each.left.value)}, right{" "}
            {round(each.right.value)}; left less right {differenceWords(each, each.left)} ({each.verdict}); together{" "}
            {round(each.left.value + each.right.value)} ±{round(z95 * Math.hypot(each.left.se, each.right.se))}
            {unitOf(each.left.movement)}
          </>
        )}
      </Part>
      <Part title="Before and after the work" list={worked}>
        {(each) => `${rangeName(each.second)}: ${comparedWords(each)}`}
      </Part>
      <Part title={`Since visit ${earlier?.visit}`} list={since}>
        {(each) => `${rangeName(each.second)}: ${comparedWords(each)}`}
      </Part>
      <Part title="Short of the reference" list={short}>
        {(each) => (
          <>
            {rangeName(each)}: {round(missing(each))} ±{round(z95 * each.se)}
            {unitOf(each.movement)} to {each.movement.reference}
            {unitOf(each.movement)}
            {missing(each) <= z95 * each.se && ", within its error"}
          </>
        )}
      </Part>
    </Box>
  );
}

function Part<T>({ title, list, children }: { title: string; list: readonly T[]; children: (each: T) => ReactNode }) {
  if (list.length === 0) return null;
  return (
    <Box component="section" aria-label={title} sx={{ mb: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {list.map((each, i) => (
          <li key={i}>{children(each)}</li>
        ))}
      </Box>
    </Box>
  );
}
