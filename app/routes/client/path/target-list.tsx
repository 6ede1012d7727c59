import { useTheme } from "@mui/material/styles";
import type { PlanInput, PlannedSession } from "~core/series/plan";
import { memo } from "react";
import { targetsServed } from "~core/series/explain";
import { Box, Typography } from "~app/ui/box";
import { oncePer } from "~app/ui/once-per";

const none: readonly PlannedSession[] = [];
const byWeight = oncePer((input: PlanInput, sessions: readonly PlannedSession[]) =>
  targetsServed(input, sessions).sort((a, b) => b.target.weight - a.target.weight),
);

/** The targets by weight: what was found, and how much of the wanted work the plan gives. */
export const TargetList = memo(function TargetList({
  input,
  sessions,
}: {
  input: PlanInput;
  sessions: readonly PlannedSession[] | undefined;
}) {
  const { tokens } = useTheme();
  const served = byWeight(input, sessions ?? none);
  if (served.length === 0) return null;
  return (
    <Box sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {served.length === 1 ? "One target" : `${served.length} targets`}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {served.map(({ target, given, share }) => (
          <Box
            component="li"
            key={target.id}
            sx={(t) => ({
              display: "grid",
              gridTemplateColumns: { xs: "1fr auto", md: "1fr 150px 130px" },
              columnGap: 2,
              alignItems: "center",
              borderTop: `1px solid ${t.tokens.line}`,
              py: 0.9,
            })}
          >
            <Box>
              <Typography sx={{ fontWeight: 600, fontSize: 15 }}>{target.name}</Typography>
              <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>{target.because}</Typography>
            </Box>
            <svg width={150} height={10} aria-hidden>
              <rect width={150} height={6} y={2} rx={3} fill={tokens.line} />
              <rect width={150 * share} height={6} y={2} rx={3} fill={tokens.slate} />
            </svg>
            <Typography sx={{ fontSize: 14, textAlign: "right" }}>
              {sessions
                ? `${Math.round(given)} of ${Math.round(target.wanted)} min`
                : `${Math.round(target.wanted)} min wanted`}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
});
