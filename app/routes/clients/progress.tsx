import { useTheme } from "@mui/material/styles";
import { counted } from "~core/words";

/** A client's place on the path: a node per visit, filled when done, the next one in ember. */
export function Progress({ done, planned }: { done: number; planned: number }) {
  const { tokens } = useTheme();
  const nodes = Math.max(planned, done);
  const gap = Math.min(17, 170 / Math.max(1, nodes));
  return (
    <svg width={190} height={22} role="img" aria-label={`${done} of ${counted(nodes, "visit")} done`}>
      <line x1={6} x2={6 + (nodes - 1) * gap} y1={11} y2={11} stroke={tokens.line} strokeWidth={1.5} />
      {Array.from({ length: nodes }, (_, i) => (
        <circle
          key={i}
          cx={6 + i * gap}
          cy={11}
          r={i === done ? 5 : 4}
          fill={i < done ? tokens.ink : i === done ? tokens.ember : tokens.paper}
          stroke={i < done ? tokens.ink : i === done ? tokens.ember : tokens.inkSoft}
          strokeWidth={1.3}
        />
      ))}
    </svg>
  );
}
