import { sideWord } from "~core/words";
import { useTheme } from "@mui/material/styles";
import { pathOf, placesSeen } from "~core/anatomy/figure";
import { placeOf } from "~core/anatomy/places";
import { segments, type BoneFelt, type Segment } from "~core/light-touch/bones";
import type { Side } from "~core/units";
import { arcPath, dialOf } from "./bone-map-layout";

/** Where each segment's arcs stand on the head, seen from the front: the client's right is at the left. */
const places: readonly { segment: string; side: Side | null; at: readonly [number, number]; label?: string }[] = [
  { segment: "frontal", side: null, at: [210, 78] },
  { segment: "parietals", side: "R", at: [96, 62] },
  { segment: "parietals", side: "L", at: [324, 62] },
  { segment: "sphenoid", side: null, at: [210, 178] },
  { segment: "temporals", side: "R", at: [66, 190] },
  { segment: "temporals", side: "L", at: [354, 190] },
  { segment: "jaw", side: null, at: [210, 318] },
  { segment: "occiput", side: null, at: [80, 392], label: "Occiput, behind" },
  { segment: "sacrum", side: null, at: [340, 392] },
];
const head = { x: 72, y: 2, scale: 4.2 };

/**
 * The head with a pair of arcs for every test of every segment: to the left as far as it goes at its first end, to the right at
 * its second. Hollow before, filled after: what is out of balance leans.
 */
export function BoneMap({
  before,
  after,
  chosen,
  choose,
}: {
  before: readonly BoneFelt[];
  after: readonly BoneFelt[];
  chosen: string;
  choose: (segment: string) => void;
}) {
  const { tokens } = useTheme();
  const of = (list: readonly BoneFelt[], segment: Segment, test: string, side: Side | null) =>
    list.find((each) => each.segment === segment.key && each.test === test && each.side === side);
  return (
    <svg
      viewBox="0 0 420 492"
      width="100%"
      style={{ maxWidth: 460, display: "block" }}
      role="group"
      aria-label="How the bones move, before and after"
    >
      <g transform={`translate(${210 - 100 * head.scale} ${-head.y * head.scale + 8}) scale(${head.scale})`}>
        {placesSeen("front")
          .filter(({ place }) => placeOf(place).region === "head")
          .map(({ place, side, points }) => (
            <path
              key={`${place} ${side}`}
              d={pathOf(points)}
              fill={tokens.paper}
              stroke={tokens.line}
              strokeWidth={1 / head.scale}
            />
          ))}
      </g>
      {places.map(({ segment: key, side, at: [x, y], label }) => {
        const segment = segments.find((each) => each.key === key)!;
        const isChosen = key === chosen;
        return (
          <g
            key={`${key} ${side}`}
            transform={`translate(${x} ${y})`}
            role="button"
            tabIndex={0}
            aria-pressed={isChosen}
            aria-label={`${segment.name}${side ? `, ${sideWord[side]}` : ""}`}
            style={{ cursor: "pointer" }}
            onClick={() => choose(key)}
            onKeyDown={(event) => (event.key === "Enter" || event.key === " ") && choose(key)}
          >
            <circle
              r={dialOf(segment.tests.length) + 8}
              fill={isChosen ? tokens.emberWash : tokens.paper}
              fillOpacity={0.85}
              stroke={isChosen ? tokens.ember : tokens.line}
            />
            {segment.tests.map((test, ring) =>
              (
                [
                  [before, false],
                  [after, true],
                ] as const
              ).map(([list, filled]) => {
                const felt = of(list, segment, test.key, side);
                return ([0, 1] as const).map((end) => {
                  const range = felt?.range[end];
                  return range === null || range === undefined ? null : (
                    <path
                      key={`${test.key} ${filled} ${end}`}
                      d={arcPath(ring, end, range, filled ? 1 : -3)}
                      fill="none"
                      stroke={filled ? tokens.plum : tokens.inkSoft}
                      strokeWidth={filled ? 4 : 1.6}
                    />
                  );
                });
              }),
            )}
            <line y1={-dialOf(segment.tests.length) - 6} y2={-8} stroke={tokens.line} />
            <text y={dialOf(segment.tests.length) + 24} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
              {label ?? segment.name}
            </text>
          </g>
        );
      })}
      <text x={210} y={486} textAnchor="middle" fontSize={12.5} fill={tokens.inkSoft}>
        thin: before · thick: after · a dot: stuck
      </text>
    </svg>
  );
}
