import { useTheme } from "@mui/material/styles";
import type { OwnScore } from "~core/own-measures/own-measures";

/** A scale over the visits: 0 at the foot, 10 at the top, the first and latest value written out. */
export function Trend({ scores, visits, label }: { scores: readonly OwnScore[]; visits: number; label: string }) {
  const { tokens } = useTheme();
  const width = 220;
  const x = (visit: number) => 14 + ((width - 28) * (visit - 1)) / Math.max(1, visits - 1);
  const y = (score: number) => 44 - 3.4 * score;
  const last = scores.at(-1);
  return (
    <svg
      width={width}
      height={56}
      role="img"
      aria-label={`${label}: ${scores.map((each) => `visit ${each.visit} ${each.score}`).join(", ") || "no scores yet"}`}
    >
      <line x1={8} x2={width - 8} y1={y(0)} y2={y(0)} stroke={tokens.line} />
      <line x1={8} x2={width - 8} y1={y(10)} y2={y(10)} stroke={tokens.line} strokeDasharray="2 4" />
      <polyline
        points={scores.map((each) => `${x(each.visit)},${y(each.score)}`).join(" ")}
        fill="none"
        stroke={tokens.slate}
        strokeWidth={1.8}
      />
      {scores.map((each) => (
        <circle
          key={each.visit}
          cx={x(each.visit)}
          cy={y(each.score)}
          r={each === last ? 4 : 2.8}
          fill={each === last ? tokens.ember : tokens.slate}
        />
      ))}
    </svg>
  );
}
