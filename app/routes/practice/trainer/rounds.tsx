import { useTheme } from "@mui/material/styles";
import { scaleLinear } from "d3";

/** Rounds in their order as dots, less further down. */
export function Rounds({ scores, unit }: { scores: readonly number[]; unit: string }) {
  const { tokens } = useTheme();
  if (scores.length === 0) return null;
  const [width, height] = [320, 110];
  const x = scaleLinear([0, Math.max(1, scores.length - 1)], [8, width - 8]);
  const y = scaleLinear([0, Math.max(...scores) * 1.1 || 1], [height, 6]);
  return (
    <svg
      viewBox={`-34 0 ${width + 40} ${height + 8}`}
      width="100%"
      style={{ maxWidth: 380, display: "block" }}
      role="img"
      aria-label={`${scores.length} rounds, the last ${scores.at(-1)!.toFixed(2)}${unit}`}
    >
      {y.ticks(3).map((tick) => (
        <g key={tick}>
          <line x1={0} x2={width} y1={y(tick)} y2={y(tick)} stroke={tokens.line} />
          <text x={-4} y={y(tick) + 4} textAnchor="end" fontSize={12} fill={tokens.inkSoft}>
            {tick}
          </text>
        </g>
      ))}
      {scores.map((score, i) => (
        <circle key={i} cx={x(i)} cy={y(score)} r={4} fill={tokens.plum} />
      ))}
    </svg>
  );
}
