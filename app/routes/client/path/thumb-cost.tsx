import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import * as Comlink from "comlink";
import { useEffect, useRef, useState } from "react";
import type { PlanInput } from "~core/series/plan";
import { curveShares, type CurvePoint } from "~core/series/thumb-curve";
import { openSearch } from "~app/workers/open";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";

const size = { width: 300, height: 64 };

/** What sparing the thumbs costs: the series solved at smaller budgets, as a small curve to choose from. */
export function ThumbCost({
  input,
  chosen,
  choose,
}: {
  input: PlanInput;
  chosen: number;
  choose: (budget: number) => void;
}) {
  const { tokens } = useTheme();
  const [points, setPoints] = useState<readonly CurvePoint[]>();
  const [busy, setBusy] = useState(false);
  const worker = useRef<Worker | undefined>(undefined);
  useEffect(() => () => worker.current?.terminate(), []);
  const look = () => {
    worker.current?.terminate();
    const { worker: own, asked } = openSearch();
    worker.current = own;
    setPoints([]);
    setBusy(true);
    const end = () => {
      own.terminate();
      setBusy(false);
    };
    own.onerror = end;
    asked
      .curve(
        input,
        Comlink.proxy((point: CurvePoint) => setPoints((known) => [point, ...(known ?? [])])),
      )
      .then(end, end);
  };
  const best = points?.[0];
  const [low, high] = [
    Math.min(...(points ?? []).map(({ score }) => score)),
    Math.max(...(points ?? []).map(({ score }) => score)),
  ];
  const x = (budget: number) => 8 + (budget / Math.max(1, input.thumbBudget)) * (size.width - 16);
  const y = (score: number) => 8 + ((high - score) / Math.max(0.5, high - low)) * (size.height - 16);
  return (
    <Box component="section" aria-label="What sparing the thumbs costs" sx={{ mt: 1.5 }}>
      {!points ? (
        <Button size="small" variant="outlined" disabled={input.thumbBudget <= 0} onClick={look}>
          What would sparing my thumbs cost?
        </Button>
      ) : (
        <>
          {points.length > 1 && (
            <svg width={size.width} height={size.height} aria-hidden style={{ display: "block" }}>
              <polyline
                points={points.map(({ budget, score }) => `${x(budget)},${y(score)}`).join(" ")}
                fill="none"
                stroke={tokens.slate}
                strokeWidth={2}
              />
              {points.map(({ budget, score }) => (
                <circle
                  key={budget}
                  cx={x(budget)}
                  cy={y(score)}
                  r={4}
                  fill={budget === chosen ? tokens.ember : tokens.slate}
                />
              ))}
            </svg>
          )}
          <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
            {points.map(({ budget, score, most }) => (
              <Box component="li" key={budget} sx={{ display: "flex", alignItems: "center", gap: 1 }}>
                <Typography sx={{ flex: 1, fontSize: 14.5 }}>
                  Budget {budget}: {score.toFixed(1)} points
                  {best &&
                    best.budget !== budget &&
                    (best.score - score < 0.05 ? ", as good" : `, ${(best.score - score).toFixed(1)} fewer`)}
                  ; at most {most} in a session
                </Typography>
                <Button size="small" color="inherit" disabled={budget === chosen} onClick={() => choose(budget)}>
                  {budget === chosen ? "Chosen" : "Take it"}
                </Button>
              </Box>
            ))}
          </Box>
          <Fine role="status">
            {busy
              ? `Solving: ${points.length} of ${curveShares.length + 1} budgets.`
              : "Each solved briefly with what is planned now; other minutes or another template would change it."}
          </Fine>
        </>
      )}
    </Box>
  );
}
