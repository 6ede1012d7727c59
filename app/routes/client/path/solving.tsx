import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { SolverState } from "./use-solver";

/** What the solver is doing, or why it could not. */
export function Solving({ state, cancel }: { state: SolverState; cancel: (keep: boolean) => void }) {
  if (state.kind === "solving") {
    const { plan, share } = state;
    return (
      <Box role="status" sx={{ mb: 2 }}>
        <LinearProgress variant="determinate" value={100 * share} aria-label="Solving" />
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, mt: 1 }}>
          <Typography sx={{ flex: 1, color: "text.secondary" }}>
            {!plan
              ? "Looking for a first plan."
              : share < 1
                ? `Already usable: ${plan.score.toFixed(1)} of 100 points. Looking for better.`
                : `Found: ${plan.score.toFixed(1)} of 100 points. Proving how much better any plan could be.`}
          </Typography>
          {plan && (
            <Button size="small" variant="outlined" onClick={() => cancel(true)}>
              Take this one
            </Button>
          )}
          <Button size="small" color="inherit" onClick={() => cancel(false)}>
            Cancel
          </Button>
        </Box>
      </Box>
    );
  }
  if (state.kind === "impossible" && state.conflicts.length === 0)
    return (
      <Alert severity="warning" sx={{ mb: 2 }}>
        No plan was found that keeps every rule, and it could not be proven that there is none. The plan you had is
        unchanged. Book more time or release a lock, and solve again.
      </Alert>
    );
  if (state.kind === "impossible")
    return (
      <Alert severity="warning" sx={{ mb: 2 }}>
        These cannot all hold together:
        <Box component="ul" sx={{ my: 0.5, pl: 2.5 }}>
          {state.conflicts.slice(0, 6).map((conflict) => (
            <li key={conflict.rule}>
              {conflict.rule} — {conflict.by} {conflict.unit} short
            </li>
          ))}
        </Box>
        The plan you had is unchanged. Book more time, release a lock, or change the rule that is named.
      </Alert>
    );
  if (state.kind === "failed")
    return (
      <Alert severity="error" sx={{ mb: 2 }}>
        The solver could not run in this browser. The plan you had is unchanged.
      </Alert>
    );
  if (state.kind === "stopped" && !state.kept)
    return (
      <Alert severity="info" sx={{ mb: 2 }}>
        Stopped. The plan you had is unchanged.
      </Alert>
    );
  return null;
}
