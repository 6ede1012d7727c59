import Button from "@mui/material/Button";
import type { CourseChange } from "~core/series/lengthen";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";

/** One more of a session, or none of it: the rest of the series moves. */
export function CourseButtons({
  no,
  change,
  busy,
}: {
  /** Why a change cannot be. */
  no: (kind: CourseChange["kind"]) => string | undefined;
  change: (kind: CourseChange["kind"]) => void;
  busy: boolean;
}) {
  const [again, skip] = [no("again"), no("skip")];
  return (
    <Box component="section" aria-label="In the series" sx={{ mt: 2 }}>
      <Typography variant="h3">In the series</Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 1 }}>
        <Button size="small" variant="outlined" disabled={busy || again !== undefined} onClick={() => change("again")}>
          Once more after it
        </Button>
        <Button size="small" variant="outlined" disabled={busy || skip !== undefined} onClick={() => change("skip")}>
          Leave the session out
        </Button>
      </Box>
      <Fine sx={{ mt: 0.5 }}>
        {skip ?? again ?? "The rest keeps its steps as far as the rules allow; days follow."}
      </Fine>
    </Box>
  );
}
