import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { useState } from "react";
import { viewName } from "~core/measure/view";
import type { Job } from "~data/jobs";
import { fetchSignedIn } from "~app/ui/signed-in";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

/** "Left, standing 2, before visit 3". */
const whereOf = ({ about: { view, moment, standing }, ordinal }: Job) =>
  `${viewName[view]}${standing > 1 ? `, standing ${standing}` : ""}, ${moment} visit ${ordinal}`;

/** Pictures that are being taken in, and those that could not be: what is to become of them is decided here. */
export function Incoming({ jobs, clientId, changed }: { jobs: readonly Job[]; clientId: string; changed: () => void }) {
  const [busy, setBusy] = useState<string | undefined>();
  const [failed, setFailed] = useState(false);
  if (jobs.length === 0) return null;
  const decide = async (id: string, intent: "stop" | "again") => {
    setBusy(id);
    const answer = await fetchSignedIn(`/clients/${clientId}/jobs`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ id, intent }),
    }).catch(() => undefined);
    setBusy(undefined);
    // done meanwhile, or thrown away in another tab: the page shows what is there
    setFailed(!answer || (!answer.ok && answer.status !== 404));
    changed();
  };
  return (
    <Box component="ul" aria-label="Pictures being taken in" sx={{ listStyle: "none", p: 0, m: 0, mb: 1.5 }}>
      {failed && (
        <li>
          <Alert severity="error" role="alert" sx={{ mb: 1 }}>
            No connection. It stands as it did; press again when it is back.
          </Alert>
        </li>
      )}
      {jobs.map((job) => {
        const { id, problem, share, again } = job;
        const buttons = (
          <>
            {again && (
              <Button
                size="small"
                sx={{ whiteSpace: "nowrap" }}
                disabled={busy === id}
                onClick={() => void decide(id, "again")}
              >
                Try again
              </Button>
            )}
            <Button
              size="small"
              color="inherit"
              sx={{ whiteSpace: "nowrap" }}
              disabled={busy === id}
              onClick={() => void decide(id, "stop")}
            >
              {problem ? "Put away" : "Do not keep it"}
            </Button>
          </>
        );
        return problem ? (
          <li key={id}>
            <Alert severity="error" role="alert" action={buttons} sx={{ mb: 1 }}>
              {whereOf(job)}: {problem} {again ? "" : "Nothing was stored."}
            </Alert>
          </li>
        ) : (
          <Box component="li" key={id} sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 40 }}>
            <Typography sx={{ fontSize: 14 }}>
              {whereOf(job)}: {share === null ? "waits its turn" : "being taken in"}
            </Typography>
            <LinearProgress
              variant={share === null ? "indeterminate" : "determinate"}
              value={100 * (share ?? 0)}
              aria-label={`${viewName[job.about.view]} being taken in`}
              sx={{ flex: 1, maxWidth: 260 }}
            />
            {buttons}
          </Box>
        );
      })}
    </Box>
  );
}
