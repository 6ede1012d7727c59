import { useTheme } from "@mui/material/styles";
import { depthOf } from "~core/anatomy/layers";
import type { TemplateSession } from "~core/series/template";
import { stripLayout } from "~app/routes/client/path-strip-layout";

/** The way of a series through the layers: down, and back up; a light-touch session is hollow. */
export function TemplateCurve({ sessions, width = 520 }: { sessions: readonly TemplateSession[]; width?: number }) {
  const { tokens } = useTheme();
  const { nodes, bands, ahead, height } = stripLayout(
    sessions.map(({ name, ceiling, light, arc }, i) => ({
      ordinal: i + 1,
      name,
      depth: arc ? 1 : depthOf(ceiling),
      light: Boolean(light),
      state: "planned",
    })),
    width,
  );
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} ${height}`}
      style={{ maxWidth: width, display: "block" }}
      role="img"
      aria-label={sessions.map(({ name }, i) => `${i + 1} ${name}`).join(", ")}
    >
      {bands.map(({ name, y }) => (
        <g key={name}>
          <text x={118} y={y + 4} textAnchor="end" fontSize={11} fill={tokens.inkSoft}>
            {name}
          </text>
          <line x1={128} x2={width - 8} y1={y} y2={y} stroke={tokens.line} strokeDasharray="2 4" />
        </g>
      ))}
      <path d={ahead} fill="none" stroke={tokens.inkSoft} strokeWidth={1.5} />
      {nodes.map(({ ordinal, x, y, light }) => (
        <g key={ordinal}>
          <circle
            cx={x}
            cy={y}
            r={9}
            fill={light ? tokens.paper : tokens.slate}
            stroke={light ? tokens.plum : tokens.slate}
            strokeWidth={2}
          />
          <text x={x} y={y + 4} textAnchor="middle" fontSize={10.5} fill={light ? tokens.ink : tokens.paper}>
            {ordinal}
          </text>
        </g>
      ))}
    </svg>
  );
}
