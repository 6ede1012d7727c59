import { useTheme } from "@mui/material/styles";
import { forwardRef, useImperativeHandle, useRef } from "react";
import type { Movement } from "~core/move/movements";
import type { Range } from "~core/move/ranges";
import { z95, type Side } from "~core/units";
import { at, dial, scaleFor, wedge } from "./dial-layout";

/** Moves the needle that is heard, without drawing anything else anew. */
export type Live = { show: (angle: number | undefined, side: Side | null) => void };

/** Both sides of one movement: what it is now with its 95 % band, what it was, and the reference. */
export const Dial = forwardRef<
  Live,
  { movement: Movement; now: readonly Range[]; earlier: readonly Range[]; label: string }
>(function Dial({ movement, now, earlier, label }, live) {
  const { tokens } = useTheme();
  const needle = useRef<SVGLineElement>(null);
  const scale = scaleFor(
    movement,
    [...now, ...earlier].map(({ value }) => value),
  );
  useImperativeHandle(live, () => ({
    show: (angle, side) => {
      const line = needle.current;
      if (!line) return;
      line.style.visibility = angle === undefined ? "hidden" : "visible";
      if (angle === undefined) return;
      const [x, y] = at(side, scale.away(angle), dial.r);
      line.setAttribute("x2", String(x));
      line.setAttribute("y2", String(y));
    },
  }));
  const sides: readonly (Side | null)[] = movement.sided ? ["L", "R"] : [null];
  const away = scale.away(movement.reference);
  const of = (list: readonly Range[], side: Side | null) => list.filter(({ taken }) => taken.side === side);
  return (
    <svg
      viewBox={`0 0 ${dial.width} ${dial.height}`}
      width="100%"
      style={{ maxWidth: 420, display: "block" }}
      role="img"
      aria-label={label}
    >
      {sides.map((side) => (
        <g key={String(side)}>
          <path d={wedge(side, 0, scale.away(scale.full), dial.r - 12, dial.r)} fill={tokens.band} />
          {/* what is usual is reached, or the floor is as near as this */}
          <path
            d={
              movement.lessIsMore
                ? wedge(side, 0, away, dial.r - 12, dial.r)
                : wedge(side, away, scale.away(scale.full), dial.r - 12, dial.r)
            }
            fill={`${tokens.moss}44`}
          />
          {of(earlier, side).map((range, i) => {
            const [x, y] = at(side, scale.away(range.value), dial.r - 22);
            return <circle key={i} cx={x} cy={y} r={4.5} fill="none" stroke={tokens.inkSoft} strokeWidth={1.5} />;
          })}
          {of(now, side).map((range) => {
            const active = range.taken.drive === "active";
            const r = active ? dial.r - 14 : dial.r - 34;
            const [x, y] = at(side, scale.away(range.value), r);
            const band = z95 * range.se;
            return (
              <g key={range.taken.drive}>
                <path
                  d={wedge(side, scale.away(range.value - band), scale.away(range.value + band), 40, r)}
                  fill={`${tokens.ember}2E`}
                />
                <line
                  x1={dial.cx}
                  y1={dial.cy}
                  x2={x}
                  y2={y}
                  stroke={tokens.ember}
                  strokeWidth={active ? 3 : 2}
                  strokeDasharray={active ? undefined : "5 4"}
                />
              </g>
            );
          })}
          {side && (
            <text
              x={side === "L" ? 14 : dial.width - 14}
              y={dial.cy}
              textAnchor="middle"
              fontSize={15}
              fontWeight={650}
              fill={tokens.inkSoft}
            >
              {side}
            </text>
          )}
        </g>
      ))}
      <line x1={dial.cx} x2={dial.cx} y1={dial.cy - dial.r - 4} y2={dial.cy - dial.r + 16} stroke={tokens.inkSoft} />
      <line
        ref={needle}
        x1={dial.cx}
        y1={dial.cy}
        stroke={tokens.ink}
        strokeWidth={2}
        style={{ visibility: "hidden" }}
      />
      <circle cx={dial.cx} cy={dial.cy} r={4} fill={tokens.ink} />
    </svg>
  );
});
