import { sideTitle } from "~core/words";
import Button from "@mui/material/Button";
import { useState } from "react";
import { answered, isOver, startStaircase, thresholdOf, turnsWanted, type Staircase } from "~core/trainer/staircase";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { WhenReady } from "~app/ui/when-ready";
import { Fine } from "~app/ui/fine";
import { Hands } from "./hands";
import type { Keep } from "./kinds";

const side = () => (Math.random() < 0.5 ? ("L" as const) : ("R" as const));

/** Which of two hands is carried further: harder after two right answers running, easier after a wrong one. */
export function Listening({ keep }: { keep: Keep }) {
  const [stair, setStair] = useState<Staircase>();
  const [more, setMore] = useState<"L" | "R">("L");
  const found = stair && thresholdOf(stair);
  const answer = (given: "L" | "R") => {
    const next = answered(stair!, given === more);
    setStair(next);
    setMore(side());
    const threshold = thresholdOf(next);
    if (threshold)
      keep(100 * threshold.value, { low: 100 * threshold.low, high: 100 * threshold.high, trials: next.trials });
  };
  const at = (seconds: number) => {
    const swing = 0.6 * Math.sin((2 * Math.PI * 10 * seconds) / 60);
    const further = swing * (1 + (stair?.level ?? 0));
    return more === "L" ? { L: further, R: swing } : { L: swing, R: further };
  };
  const running = stair !== undefined && !isOver(stair);
  return (
    <WhenReady>
      <Hands at={at} running={running} />
      {running ? (
        <>
          <Typography sx={{ mt: 2 }}>
            Which hand is carried further? {stair.turns.length} of {turnsWanted} turns.
          </Typography>
          <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5, maxWidth: 520, mt: 1 }}>
            {(["L", "R"] as const).map((each) => (
              <Button key={each} variant="outlined" sx={{ minHeight: 90, fontSize: 20 }} onClick={() => answer(each)}>
                {sideTitle[each]}
              </Button>
            ))}
          </Box>
        </>
      ) : (
        <>
          {found && (
            <Typography sx={{ mt: 2, fontSize: 17 }}>
              You tell them apart from {(100 * found.value).toFixed(0)} % more on (95 %: {(100 * found.low).toFixed(0)}{" "}
              to {(100 * found.high).toFixed(0)} %), right in 71 of a hundred.
            </Typography>
          )}
          <Button
            variant="contained"
            sx={{ mt: 2 }}
            onClick={() => {
              setStair(startStaircase());
              setMore(side());
            }}
          >
            {found ? "Another round" : "Begin"}
          </Button>
          <Fine sx={{ mt: 1, maxWidth: 520 }}>
            By an adaptive staircase, two right answers down and one wrong one up (Levitt 1971). It is told by eye here:
            of what hands feel it says only how far one tells two sides apart at all.
          </Fine>
        </>
      )}
    </WhenReady>
  );
}
