import { useTheme, type SxProps, type Theme } from "@mui/material/styles";
import type { PlanInput, PlannedSession } from "~core/series/plan";
import { memo } from "react";
import { targetsServed } from "~core/series/explain";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { oncePer } from "~app/ui/once-per";

const none: readonly PlannedSession[] = [];
const byWeight = oncePer((input: PlanInput, sessions: readonly PlannedSession[]) =>
  targetsServed(input, sessions).sort((a, b) => b.target.weight - a.target.weight),
);

/** All rows are dressed by what they lie in. */
const rows: SxProps<Theme> = ({ tokens }) => ({
  listStyle: "none",
  p: 0,
  m: 0,
  "& > li": {
    display: "grid",
    gridTemplateColumns: { xs: "1fr auto", md: "1fr 150px 130px" },
    columnGap: 2,
    alignItems: "center",
    borderTop: `1px solid ${tokens.line}`,
    py: 0.9,
  },
  "& h3": { typography: "body1", m: 0, fontWeight: 600, fontSize: 15 },
  "& p": { m: 0, fontSize: 13.5, color: "text.secondary" },
  "& span": { fontSize: 14, textAlign: "right" },
});

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
      <Box component="ul" sx={rows}>
        {served.map(({ target, given, share }) => (
          <li key={target.id}>
            <div>
              <h3>{target.name}</h3>
              <p>{target.because}</p>
            </div>
            <svg width={150} height={10} aria-hidden>
              <rect width={150} height={6} y={2} rx={3} fill={tokens.line} />
              <rect width={150 * share} height={6} y={2} rx={3} fill={tokens.slate} />
            </svg>
            <span>
              {sessions
                ? `${Math.round(given)} of ${Math.round(target.wanted)} min`
                : `${Math.round(target.wanted)} min wanted`}
            </span>
          </li>
        ))}
      </Box>
    </Box>
  );
});
