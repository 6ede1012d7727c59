import { useTheme } from "@mui/material/styles";
import { Link, useLocation } from "react-router";
import Box from "@mui/material/Box";
import { CautionMark } from "~app/ui/caution-mark";
import { stripLayout, type StripVisit } from "./path-strip-layout";

const stateWord = { done: "done", current: "current", planned: "planned" } as const;

/** The series as one line from the surface to the depth and back. Choosing a node sets the visit that is shown. */
export function PathStrip({ visits, shown }: { visits: readonly StripVisit[]; shown: number }) {
  const { tokens } = useTheme();
  const { pathname } = useLocation();
  const strip = stripLayout(visits, 1148);
  return (
    <Box component="nav" aria-label="Visits of the series" sx={{ overflowX: "auto" }}>
      <svg
        viewBox={`0 0 ${strip.width} ${strip.height}`}
        width="100%"
        style={{ minWidth: 760, display: "block", maxWidth: 1240 }}
      >
        {strip.bands.map((band, i) => (
          <g key={band.name}>
            <line
              x1={118}
              x2={strip.width}
              y1={band.y}
              y2={band.y}
              stroke={tokens.line}
              strokeDasharray={i === 0 ? undefined : "2 5"}
            />
            <text x={108} y={band.y + 4} textAnchor="end" fontSize={12} fill={tokens.inkSoft}>
              {band.name}
            </text>
          </g>
        ))}
        <path
          d={strip.ahead}
          fill="none"
          stroke={tokens.inkSoft}
          strokeWidth={1.8}
          strokeDasharray="1 5"
          strokeLinecap="round"
        />
        <path d={strip.walked} fill="none" stroke={tokens.ink} strokeWidth={2.6} strokeLinecap="round" />
        {strip.nodes.map((node, i) => {
          const before = strip.nodes[i - 1];
          const colour = node.state === "current" ? tokens.ember : node.light ? tokens.plum : tokens.ink;
          return (
            <g key={node.ordinal}>
              {node.kept && before && (
                <text
                  x={(node.x + before.x) / 2}
                  y={Math.min(node.y, before.y) - 9}
                  textAnchor="middle"
                  fontSize={12}
                  fill={tokens.inkSoft}
                >
                  {node.kept}
                </text>
              )}
              <Link
                to={`${pathname}?visit=${node.ordinal}`}
                preventScrollReset
                aria-label={`Visit ${node.ordinal}, ${node.name}, ${stateWord[node.state]}${node.light ? ", light touch" : ""}${node.broken ? ", breaks a caution" : ""}`}
                aria-current={node.ordinal === shown ? "step" : undefined}
              >
                <circle cx={node.x} cy={node.y} r={20} fill="transparent" />
                {node.ordinal === shown && <circle cx={node.x} cy={node.y} r={14} fill={tokens.emberWash} />}
                {node.light ? (
                  <>
                    <circle
                      cx={node.x}
                      cy={node.y}
                      r={7.5}
                      fill={tokens.paper}
                      stroke={colour}
                      strokeWidth={2}
                      strokeDasharray={node.state === "planned" ? "2 2.4" : undefined}
                    />
                    <circle cx={node.x} cy={node.y} r={2.6} fill={colour} />
                  </>
                ) : (
                  <circle
                    cx={node.x}
                    cy={node.y}
                    r={node.state === "current" ? 8 : 6.5}
                    fill={node.state === "planned" ? tokens.paper : colour}
                    stroke={node.state === "planned" ? tokens.inkSoft : colour}
                    strokeWidth={1.8}
                  />
                )}
                {node.broken && <CautionMark x={node.x + 17} y={node.y - 5} />}
                <text
                  x={node.x}
                  y={node.y + 25}
                  textAnchor="middle"
                  fontSize={12.5}
                  fontWeight={node.ordinal === shown ? 750 : 600}
                  fill={node.state === "current" ? tokens.ember : tokens.ink}
                >
                  {node.ordinal} {node.name}
                </text>
              </Link>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}
