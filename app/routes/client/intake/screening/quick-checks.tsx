import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import {
  beightonKeys,
  beightonScore,
  beightonSigns,
  hypermobileFrom,
  trunkRotation,
  type SignKey,
} from "~core/screening/thresholds";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useNotify } from "~app/ui/notices";
import { WhenReady } from "~app/ui/when-ready";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

const rotationWord = {
  usual: "Within what is usual.",
  "look again": "Look again in some weeks; from 7° a doctor sees it.",
  refer: "A doctor sees it.",
} as const;

/** Two checks with published thresholds. What they find is told to the history, where its rules come from. */
export function QuickChecks({ clientId, age, closed }: { clientId: string; age: number | undefined; closed: boolean }) {
  const fetcher = useFetcher<{ ok?: boolean }>();
  const notify = useNotify();
  const [found, setFound] = useState<SignKey[]>([]);
  const [turned, setTurned] = useState("");
  const answer = fetcher.data;
  useEffect(() => {
    if (answer?.ok) notify("Told to the history.");
  }, [answer, notify]);
  const tell = (what: string, condition: string) =>
    void fetcher.submit(
      {
        intent: "tell",
        entryId: crypto.randomUUID(),
        versionId: crypto.randomUUID(),
        after: null,
        what,
        condition,
        kind: "condition",
        when: "today",
      },
      { method: "post", action: `/clients/${clientId}/intake`, encType: "application/json" },
    );
  const score = beightonScore(new Set(found));
  const from = hypermobileFrom(age);
  const angle = Number(turned.replace(",", "."));
  const verdict = turned.trim() !== "" && Number.isFinite(angle) ? trunkRotation(angle) : undefined;
  const busy = closed || fetcher.state !== "idle";
  return (
    <WhenReady>
      <Box component="section" aria-label="Quick checks" sx={{ mb: 4 }}>
        <Typography variant="h2">Quick checks</Typography>
        <Typography sx={{ color: "text.secondary", mb: 1 }}>
          Loose joints by nine signs (2017 criteria), and trunk rotation in forward bend (Bunnell 1984); thresholds from
          memory.
        </Typography>
        {beightonSigns.map((sign) => (
          <Box
            key={sign.key}
            sx={(t) => ({
              borderTop: `1px solid ${t.tokens.line}`,
              py: 0.75,
              display: "flex",
              alignItems: "center",
              gap: 1.5,
            })}
          >
            <Typography sx={{ flex: 1 }}>{sign.name}</Typography>
            <ToggleButtonGroup
              size="small"
              aria-label={sign.name}
              value={found}
              onChange={(_, next: SignKey[]) => setFound(next)}
            >
              {beightonKeys
                .filter((key) => key.startsWith(sign.key))
                .map((key) => (
                  <ToggleButton key={key} value={key}>
                    {key.endsWith(" L") ? "Left" : key.endsWith(" R") ? "Right" : "Yes"}
                  </ToggleButton>
                ))}
            </ToggleButtonGroup>
          </Box>
        ))}
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, mt: 1, flexWrap: "wrap" }}>
          <Typography role="status" sx={{ flex: 1 }}>
            <strong>{score} of 9.</strong>{" "}
            {score >= from ? "Hypermobile: no end-range stretch." : `Hypermobile from ${from}.`}
          </Typography>
          <Button
            variant="outlined"
            disabled={busy || score < from}
            onClick={() => tell(`Beighton score ${score} of 9`, "hypermobility")}
          >
            Tell it to the history
          </Button>
        </Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, mt: 2, flexWrap: "wrap" }}>
          <TextField
            label="Trunk rotation (°)"
            value={turned}
            onChange={(event) => setTurned(event.target.value)}
            sx={{ width: 180 }}
          />
          <Typography sx={{ flex: 1 }}>
            {verdict ? rotationWord[verdict] : "By inclinometer, at the highest hump."}
          </Typography>
          <Button
            variant="outlined"
            disabled={busy || verdict !== "refer"}
            onClick={() => tell(`trunk rotation ${angle}° in forward bend`, "trunk-rotation")}
          >
            Tell the rotation
          </Button>
        </Box>
      </Box>
    </WhenReady>
  );
}
