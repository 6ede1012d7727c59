import { useTheme } from "@mui/material/styles";
import type { IsoDay } from "~core/days";
import type { HistoryEntry } from "~core/screening/facts";
import Box from "@mui/material/Box";
import { laneY, timeLineLayout } from "./time-line-layout";

/** The dated entries of a history along one life line; choosing one opens it. */
export function TimeLine({
  entries,
  labels,
  today,
  chosen,
  choose,
}: {
  entries: readonly HistoryEntry[];
  labels: ReadonlyMap<string, string>;
  today: IsoDay;
  chosen: string | undefined;
  choose: (id: string) => void;
}) {
  const { tokens } = useTheme();
  const shape = timeLineLayout(entries, labels, today, 820);
  return (
    <Box sx={{ overflowX: "auto" }}>
      <svg
        viewBox={`0 0 ${shape.width} ${shape.height}`}
        width="100%"
        style={{ minWidth: 620, display: "block" }}
        role="group"
        aria-label="Time line of the history"
      >
        {shape.ticks.map((tick) => (
          <g key={tick.text}>
            <line x1={tick.x} x2={tick.x} y1={20} y2={shape.height} stroke={tokens.line} />
            <text x={tick.x} y={13} fontSize={12} textAnchor="middle" fill={tokens.inkSoft}>
              {tick.text}
            </text>
          </g>
        ))}
        {shape.bars.map((bar) => {
          const y = laneY(bar.lane);
          const active = bar.id === chosen;
          const colour = active ? tokens.ember : bar.open ? tokens.ink : tokens.inkSoft;
          return (
            <g key={bar.id} style={{ cursor: "pointer" }} onClick={() => choose(bar.id)}>
              <rect
                x={bar.from - 4}
                width={bar.until - bar.from + 8}
                y={y}
                height={24}
                fill={active ? tokens.emberWash : "transparent"}
                rx={5}
              />
              <line
                x1={bar.to}
                x2={bar.until}
                y1={y + 19}
                y2={y + 19}
                stroke={colour}
                strokeWidth={1.4}
                strokeDasharray={bar.open ? undefined : "2 3"}
              />
              <rect x={bar.from} width={bar.to - bar.from} y={y + 16} height={6} rx={3} fill={colour} />
              <text
                x={bar.labelAt}
                y={y + 13}
                fontSize={13}
                textAnchor={bar.anchor}
                fill={tokens.ink}
                fontWeight={active ? 700 : 450}
                stroke={tokens.paper}
                strokeWidth={3}
                paintOrder="stroke"
              >
                {bar.label}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}
