import { startTransition, useOptimistic } from "react";
import { useTheme } from "@mui/material/styles";
import { layers } from "~core/anatomy/layers";
import { regions } from "~core/anatomy/regions";
import { techniqueOf } from "~core/techniques/library";
import { sessionMinutes, type PlanInput, type PlannedSession } from "~core/series/plan";
import type { TemplateSession } from "~core/series/template";
import { Box } from "~app/ui/box";
import { CautionMark } from "~app/ui/caution-mark";
import { depthColours } from "~app/ui/theme";
import { useSessionDrop } from "./drag-step";
import { planCells } from "./plan-grid-layout";
import { counted } from "~core/words";

const left = 128;
const top = 66;
const row = 33;
const layerHeight = 6.2;

/** Sessions across, territories down; bars hang from the surface, as long as the depth and as wide as the minutes. */
export function PlanGrid({
  input,
  names,
  sessions,
  chosen,
  current,
  broken,
  choose,
}: {
  input: PlanInput;
  /** The sessions as the series has them. */
  names: readonly TemplateSession[];
  sessions: readonly PlannedSession[];
  chosen: number;
  current: number;
  /** Sessions that break a caution as they stand. */
  broken: readonly number[];
  choose: (session: number, step: string | undefined) => void;
}) {
  const { tokens } = useTheme();
  // what is pressed looks chosen at once; its steps, their reasons and what may be added follow when they are drawn
  const [shown, show] = useOptimistic(chosen);
  const pick = (session: number, step: string | undefined) =>
    startTransition(() => {
      show(session);
      choose(session, step);
    });
  const width = 800;
  const column = (width - left) / sessions.length;
  const cells = planCells(sessions, Math.min(44, column - 10));
  const height = top + row * regions.length + 8;
  const x = (session: number) => left + column * (session + 0.5);
  // what has one colour is one shape, however many bars it is part of
  const stripes = cells.map(({ session, region, width, depth }) => {
    const y = top + row * regions.findIndex(({ key }) => key === region);
    return {
      depth,
      done: session < input.done.length,
      stripe: (d: number) => `M${x(session) - width / 2},${y + d * layerHeight}h${width}v${layerHeight}h${-width}z`,
    };
  });
  return (
    <Box sx={{ overflowX: "auto" }}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        style={{ minWidth: 700, display: "block" }}
        role="group"
        aria-label="The plan: sessions by territory"
      >
        <rect x={x(shown) - column / 2 + 2} width={column - 4} y={0} height={height} rx={8} fill={tokens.emberWash} />
        {sessions.map((_, s) => (
          <DropColumn
            key={s}
            session={s}
            x={x(s) - column / 2 + 2}
            width={column - 4}
            height={height}
            closed={s < input.done.length}
          />
        ))}
        {regions.map((region, i) => (
          <g key={region.key}>
            <line x1={0} x2={width} y1={top + i * row} y2={top + i * row} stroke={tokens.line} />
            <text x={0} y={top + i * row + 15} fontSize={12.5} fill={tokens.ink}>
              {region.name}
            </text>
          </g>
        ))}
        {sessions.map((session, s) => {
          const minutes = sessionMinutes(session);
          const share = Math.min(1, minutes / Math.max(1, input.tableMinutes));
          const barWidth = column - 22;
          return (
            <g
              key={s}
              role="button"
              tabIndex={0}
              aria-pressed={s === shown}
              aria-label={`Session ${s + 1}, ${names[s]?.name}, ${Math.round(minutes)} of ${input.tableMinutes} minutes, ${counted(session.steps.length, "step")}${broken.includes(s) ? ", breaks a caution" : ""}`}
              style={{ cursor: "pointer" }}
              onClick={() => pick(s, undefined)}
              onKeyDown={(event) => {
                if (event.key !== "Enter" && event.key !== " ") return;
                // the space bar would roll the page on
                event.preventDefault();
                pick(s, undefined);
              }}
            >
              <rect x={x(s) - column / 2} width={column} y={0} height={top - 2} fill="transparent" />
              <text
                x={x(s)}
                y={16}
                textAnchor="middle"
                fontSize={16}
                fontWeight={750}
                fill={s === current ? tokens.ember : tokens.ink}
                fontFamily="Bricolage Grotesque Variable"
              >
                {s + 1}
              </text>
              <text x={x(s)} y={31} textAnchor="middle" fontSize={11} fill={tokens.inkSoft}>
                {names[s]?.name}
              </text>
              {broken.includes(s) && <CautionMark x={x(s) + 15} y={10} />}
              <rect x={x(s) - barWidth / 2} y={38} width={barWidth} height={4.5} rx={2} fill={tokens.line} />
              <rect x={x(s) - barWidth / 2} y={38} width={barWidth * share} height={4.5} rx={2} fill={tokens.inkSoft} />
              <text x={x(s)} y={56} textAnchor="middle" fontSize={11} fill={tokens.inkSoft}>
                {Math.round(minutes)} min
              </text>
            </g>
          );
        })}
        {[true, false].map((done) => (
          <g key={String(done)} opacity={done ? 0.6 : 1}>
            {depthColours.map((colour, d) => (
              <path
                key={colour}
                d={stripes
                  .filter((each) => each.done === done && each.depth > d)
                  .map((each) => each.stripe(d))
                  .join("")}
                fill={colour}
                stroke={d < 2 ? tokens.inkSoft : colour}
                strokeWidth={0.5}
              />
            ))}
          </g>
        ))}
        {cells.map((cell) => {
          const i = regions.findIndex((region) => region.key === cell.region);
          return (
            <rect
              key={`${cell.session} ${cell.region}`}
              x={x(cell.session) - cell.width / 2}
              y={top + i * row}
              width={cell.width}
              height={cell.depth * layerHeight}
              fill="transparent"
              style={{ cursor: "pointer" }}
              onClick={() =>
                pick(
                  cell.session,
                  sessions[cell.session]!.steps.find((step) =>
                    techniqueOf(step.technique).doses.some((dose) => dose.region === cell.region && dose.share >= 0.5),
                  )?.technique,
                )
              }
            >
              <title>{`${regions[i]!.name}, session ${cell.session + 1}: ${Math.round(cell.minutes)} min, down to ${layers[cell.depth - 1]!.name.toLowerCase()}`}</title>
            </rect>
          );
        })}
      </svg>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mt: 0.5, fontSize: 12.5, color: "text.secondary" }}>
        {layers.map((layer) => (
          <Box key={layer.key} sx={{ display: "flex", alignItems: "center", gap: 0.75 }}>
            <Box
              sx={(t) => ({
                width: 12,
                height: 8,
                bgcolor: depthColours[layer.depth - 1],
                border: `1px solid ${t.tokens.inkSoft}`,
              })}
            />
            {layer.depth} {layer.name.toLowerCase()}
          </Box>
        ))}
        <span>wider: more minutes</span>
      </Box>
    </Box>
  );
}

/** Where a step can be dropped: all of a session's column. */
function DropColumn({
  session,
  closed,
  ...place
}: {
  session: number;
  closed: boolean;
  x: number;
  width: number;
  height: number;
}) {
  const { tokens } = useTheme();
  const { ref, over } = useSessionDrop(session, closed);
  return (
    <rect
      ref={ref}
      {...place}
      y={0}
      rx={8}
      fill={over ? tokens.emberWash : "transparent"}
      stroke={over ? tokens.ember : "none"}
    />
  );
}
