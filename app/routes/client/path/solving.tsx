import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import type { SolverState } from "./use-solver";

/** What the solver is doing, or why it could not. */
export function Solving({ state, cancel }: { state: SolverState; cancel: (keep: boolean) => void }) {
  const [now, setNow] = useState(() => Date.now());
  const running = state.kind === "solving";
  useEffect(() => {
    if (!running) return;
    const timer = window.setInterval(() => setNow(Date.now()), 250);
    return () => window.clearInterval(timer);
  }, [running]);
  if (state.kind === "solving") {
    const seconds = Math.max(0, (now - state.since) / 1000);
    const { plan } = state;
    return (
      <Box role="status" sx={{ mb: 2 }}>
        <LinearProgress
          variant="determinate"
          value={Math.min(100, (100 * seconds) / state.seconds)}
          aria-label="Solving"
        />
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, mt: 1 }}>
          <Typography sx={{ flex: 1, color: "text.secondary" }}>
            {plan
              ? `Already usable: ${Math.floor(plan.score)} of 100 points${plan.bound ? `, no plan can pass ${Math.ceil(plan.bound)}` : ""}. Looking for better, ${Math.ceil(Math.max(0, state.seconds - seconds))} s left.`
              : "Looking for a first plan."}
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
