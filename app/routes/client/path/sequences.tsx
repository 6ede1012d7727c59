import { memo } from "react";
import type { PlanInput, PlannedSession } from "~core/series/plan";
import { sequencePrice, sequencesIn } from "~core/series/sequence";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { oncePer } from "~app/ui/once-per";

const reckoned = oncePer((input: PlanInput, sessions: readonly PlannedSession[]) => ({
  all: sequencesIn(input, sessions),
  price: sequencePrice(input, sessions),
}));

const around = (session: number) => `session ${(Math.round(session * 10) / 10).toFixed(1)}`;

/** The usual order of the patterns that hold: where the plan follows it, and what the wish costs. */
export const Sequences = memo(function Sequences({
  input,
  sessions,
}: {
  input: PlanInput;
  sessions: readonly PlannedSession[];
}) {
  const { all, price } = reckoned(input, sessions);
  if (all.length === 0) return null;
  return (
    <Box component="section" aria-label="Usual order of patterns" sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Usual order of patterns
      </Typography>
      {all.map(({ pattern, name, order, first, then, kept }) => (
        <Box key={pattern} sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 0.9 })}>
          <Typography sx={{ fontWeight: 600, fontSize: 15 }}>{order}</Typography>
          <Fine>
            {name}: {kept ? "kept" : "not kept"}, the first around {around(first)}, what comes after around{" "}
            {around(then)}.
          </Fine>
        </Box>
      ))}
      <Fine sx={{ mt: 0.5 }}>
        {input.order
          ? `Work that lies at the other end than the order would have it costs this plan ${price.toFixed(1)} points of 100.`
          : "The order weighs nothing in this series; it can be given a weight under “Change series”."}
      </Fine>
    </Box>
  );
});
