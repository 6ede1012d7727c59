import { startTransition, useOptimistic, useRef, type MouseEvent } from "react";
import { useTheme } from "@mui/material/styles";
import { layers } from "~core/anatomy/layers";
import { regionName, regions, type RegionKey } from "~core/anatomy/regions";
import { techniqueOf } from "~core/techniques/library";
import type { PlanInput, PlannedSession } from "~core/series/plan";
import { tableTime } from "~core/series/table-time";
import type { TemplateSession } from "~core/series/template";
import Box from "@mui/material/Box";
import { CautionMark } from "~app/ui/caution-mark";
import { oncePer } from "~app/ui/once-per";
import { depthColours } from "~app/ui/theme";
import { useSessionDrop } from "./drag-step";
import { planCells, type Cell } from "./plan-grid-layout";
import { counted } from "~core/words";

const left = 128;
const top = 66;
const row = 33;
const layerHeight = 6.2;
const thick = 4.5;

const cellsOf = oncePer((sessions: readonly PlannedSession[], _: typeof regions, width: number) =>
  planCells(sessions, width),
);

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
  const cells = cellsOf(sessions, regions, Math.min(44, column - 10));
  const height = top + row * regions.length + 8;
  const x = (session: number) => left + column * (session + 0.5);
  const place = (region: string) => top + row * regions.findIndex(({ key }) => key === region);
  // what has one colour is one shape, however many bars it is part of
  const stripes = cells.map(({ session, region, width, depth }) => ({
    depth,
    done: session < input.done.length,
    stripe: (d: number) =>
      `M${x(session) - width / 2},${place(region) + d * layerHeight}h${width}v${layerHeight}h${-width}z`,
  }));
  const minutes = sessions.map((session) => tableTime(session).all);
  // round at its ends
  const timeline = (share: (session: number) => number) =>
    sessions
      .map((_, s) => `M${x(s) - (barWidth - thick) / 2},40.25h${Math.max(0, barWidth * share(s) - thick)}`)
      .join("");
  const barWidth = column - 22;
  /** What lies under a pointer: always a session, and the bar beside it in its row, if there is one. */
  const under = ({ currentTarget, clientX, clientY }: MouseEvent<SVGElement>) => {
    const { left: from, top: above, width, height } = currentTarget.getBoundingClientRect();
    const session = clamp(Math.floor(((clientX - from) / width) * sessions.length), sessions.length);
    const region = regions[clamp(Math.floor(((clientY - above) / height) * regions.length), regions.length)]!;
    return { session, cell: cells.find((cell) => cell.session === session && cell.region === region.key) };
  };
  const said = useRef<HTMLTitleElement>(null);
  return (
    <Box sx={{ overflowX: "auto" }}>
      <Box
        component="svg"
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        role="group"
        aria-label="The plan: sessions by territory"
        sx={{
          minWidth: 700,
          display: "block",
          "& [role=button] > text": { fill: tokens.inkSoft, fontSize: 11, textAnchor: "middle" },
          "& .territory": { fill: tokens.ink, fontSize: 12.5 },
          "& [role=button] > .ordinal": {
            fill: tokens.ink,
            fontSize: 16,
            fontWeight: 750,
            fontFamily: "Bricolage Grotesque Variable",
          },
          "& [role=button] > .current": { fill: tokens.ember },
          "& .reach": { cursor: "pointer", fill: "transparent" },
        }}
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
        <path d={regions.map((_, i) => `M0,${top + i * row}h${width}`).join("")} stroke={tokens.line} />
        {regions.map((region, i) => (
          <text key={region.key} className="territory" x={0} y={top + i * row + 15}>
            {region.name}
          </text>
        ))}
        <path d={timeline(() => 1)} stroke={tokens.line} strokeWidth={thick} strokeLinecap="round" />
        <path
          d={timeline((s) => Math.min(1, minutes[s]! / Math.max(1, input.tableMinutes)))}
          stroke={tokens.inkSoft}
          strokeWidth={thick}
          strokeLinecap="round"
        />
        {sessions.map((session, s) => (
          <g
            key={s}
            role="button"
            tabIndex={0}
            aria-pressed={s === shown}
            aria-label={`Session ${s + 1}, ${names[s]?.name}, ${minutes[s]!} of ${input.tableMinutes} minutes, ${counted(session.steps.length, "step")}${broken.includes(s) ? ", breaks a caution" : ""}`}
            onClick={() => pick(s, undefined)}
            onKeyDown={(event) => {
              if (event.key !== "Enter" && event.key !== " ") return;
              // the space bar would roll the page on
              event.preventDefault();
              pick(s, undefined);
            }}
          >
            <text x={x(s)} y={16} className={s === current ? "ordinal current" : "ordinal"}>
              {s + 1}
            </text>
            <text x={x(s)} y={31}>
              {names[s]?.name}
            </text>
            {broken.includes(s) && <CautionMark x={x(s) + 15} y={10} />}
            <text x={x(s)} y={56}>
              {minutes[s]!} min
            </text>
            <rect x={x(s) - column / 2} width={column} y={0} height={top - 2} className="reach" />
          </g>
        ))}
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
        {/* one shape for every bar: a bar is found by its place, and a finger need not hit it */}
        <rect
          x={left}
          width={width - left}
          y={top}
          height={row * regions.length}
          className="reach"
          onPointerMove={(event) => {
            const { cell } = under(event);
            said.current!.textContent = cell ? barWords(cell) : "";
          }}
          onClick={(event) => {
            const { session, cell } = under(event);
            pick(session, cell && stepThere(sessions[session]!, cell.region));
          }}
        >
          <title ref={said} />
        </rect>
      </Box>
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

/** The edge of the last one is the last one. */
const clamp = (index: number, count: number) => Math.max(0, Math.min(count - 1, index));

const barWords = ({ region, session, minutes, depth }: Cell) =>
  `${regionName(region)}, session ${session + 1}: ${Math.round(minutes)} min, down to ${layers[depth - 1]!.name.toLowerCase()}`;

/** The first step that is mostly for a territory. */
const stepThere = ({ steps }: PlannedSession, region: RegionKey) =>
  steps.find((step) => techniqueOf(step.technique).doses.some((dose) => dose.region === region && dose.share >= 0.5))
    ?.technique;

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
