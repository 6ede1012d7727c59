import { useTheme } from "@mui/material/styles";
import type { StanceLine } from "~core/measure/stance-line";
import { isSideView, viewName, type View } from "~core/measure/view";
import { stancePaths } from "./stance-paths";

/** How someone stands in each view, as lines through the joints; an earlier stance dashed beneath. */
export function StanceOverlay({
  views,
}: {
  views: readonly { view: View; before: StanceLine | undefined; after: StanceLine | undefined }[];
}) {
  const { tokens } = useTheme();
  const scale = 0.19;
  const gap = 420 / views.length;
  return (
    <svg
      viewBox="0 0 420 390"
      width="100%"
      role="img"
      aria-label={`Stance lines of ${views.map(({ view }) => viewName[view].toLowerCase()).join(" and ")}, laid over each other`}
    >
      <line x1={10} x2={410} y1={358} y2={358} stroke={tokens.line} strokeWidth={1.5} />
      {views.map(({ view, before, after }, i) => (
        <g key={view} transform={`translate(${gap * (i + 0.5)} 358)`}>
          <line x1={0} x2={0} y1={6} y2={-345} stroke={tokens.ember} strokeWidth={1.4} opacity={0.65} />
          {/* side views are drawn as seen: facing left from the left side */}
          <g
            transform={view === "left" || view === "back" ? "scale(-1 1)" : undefined}
            fill="none"
            strokeLinecap="round"
            strokeLinejoin="round"
          >
            {(before ? stancePaths(before, scale) : []).map((d) => (
              <path key={d} d={d} stroke={tokens.inkSoft} strokeWidth={1.6} strokeDasharray="4 4" />
            ))}
            {(after ? stancePaths(after, scale) : []).map((d) => (
              <path key={d} d={d} stroke={tokens.ink} strokeWidth={2.3} />
            ))}
            {isSideView(view) &&
              [before, after].map((line, k) =>
                line?.chains
                  .flat()
                  .map(({ across, up }, n) => (
                    <circle
                      key={`${k} ${n}`}
                      cx={across * scale}
                      cy={-up * scale}
                      r={k === 0 ? 3 : 3.6}
                      fill={k === 0 ? tokens.sheet : tokens.ink}
                      stroke={k === 0 ? tokens.inkSoft : tokens.ink}
                      strokeWidth={1.2}
                    />
                  )),
              )}
          </g>
          <text y={24} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
            {viewName[view].toLowerCase()}
          </text>
        </g>
      ))}
    </svg>
  );
}
