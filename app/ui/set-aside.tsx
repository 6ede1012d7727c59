import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import Button from "@mui/material/Button";
import type { useOutbox } from "./use-outbox";

/** What was pressed and not taken, with the reason: sent once more when that is settled, or given up. */
export function SetAside({
  log: { aside, tryAgain, discard },
  size = 16,
}: {
  log: Pick<ReturnType<typeof useOutbox>, "aside" | "tryAgain" | "discard">;
  size?: number;
}) {
  if (aside.length === 0) return null;
  const reasons = [...new Set(aside.map(({ reason }) => reason))];
  return (
    <Box role="alert" sx={{ my: 1.5, fontSize: size, color: "warning.main" }}>
      <Typography sx={{ fontSize: size }}>
        {aside.length === 1
          ? "What you pressed was not taken, and is kept here."
          : `${aside.length} presses were not taken, and are kept here.`}{" "}
        {reasons.slice(0, 3).join(" ")}
      </Typography>
      <Box sx={{ display: "flex", gap: 1.5, mt: 1, flexWrap: "wrap" }}>
        <Button variant="outlined" onClick={tryAgain} sx={{ fontSize: size, minHeight: size * 2.5 }}>
          Send again
        </Button>
        <Button color="inherit" onClick={discard} sx={{ fontSize: size, minHeight: size * 2.5 }}>
          Give {aside.length === 1 ? "it" : "them"} up
        </Button>
      </Box>
    </Box>
  );
}
