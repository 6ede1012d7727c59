import { useMemo } from "react";
import type { PointKey } from "~core/anatomy/landmarks";
import type { MarkKey, Marks, Px } from "~core/measure/calibration";
import { isReference, marksOfView } from "~core/measure/marking";
import { isSideView, type View } from "~core/measure/view";

const lines: Record<"front" | "back" | "side", (readonly string[])[]> = {
  front: [
    ["tragus.R", "tragus.L"],
    ["acromion.R", "acromion.L"],
    ["asis.R", "asis.L"],
    ["asis.R", "patella.R", "ankle.R", "toe.R"],
    ["asis.L", "patella.L", "ankle.L", "toe.L"],
  ],
  back: [
    ["tragus.R", "tragus.L"],
    ["acromion.R", "acromion.L"],
    ["c7", "t12"],
    ["scapula-root.R", "scapula-low.R"],
    ["scapula-root.L", "scapula-low.L"],
    ["psis.R", "psis.L"],
    ["calf.R", "heel-top.R", "heel.R"],
    ["calf.L", "heel-top.L", "heel.L"],
  ],
  side: [
    ["c7", "tragus"],
    ["tragus", "acromion", "trochanter", "condyle", "malleolus"],
    ["psis", "asis"],
  ],
};

/** The true vertical through the ankles. `r` is the size of a mark in the picture's pixels. */
export function PlumbThrough({ line, r }: { line: { from: Px; to: Px }; r: number }) {
  return (
    <line
      x1={line.from.x}
      y1={line.from.y}
      x2={line.to.x}
      y2={line.to.y}
      stroke="#B4431F"
      strokeWidth={r / 3.6}
      opacity={0.85}
    />
  );
}

/** Marks, the lines between them, and guesses, dashed; all in the picture's pixels, `r` the size of a mark. */
export function MarksLayer({
  view,
  marks,
  guesses,
  active: asked,
  r,
}: {
  view: View;
  marks: Marks;
  guesses: Marks;
  active: MarkKey;
  r: number;
}) {
  const chains = useMemo(() => {
    const side = view === "left" ? "L" : "R";
    const key = (name: string) => (!isSideView(view) || name === "c7" ? name : `${name}.${side}`);
    return lines[isSideView(view) ? "side" : (view as "front" | "back")].map((chain) => chain.map(key) as PointKey[]);
  }, [view]);
  const placed = marksOfView(view).filter((key) => marks[key]);
  return (
    <>
      {chains.map((chain) => {
        const places = chain.map((key) => marks[key]).filter((place) => place !== undefined);
        return places.length > 1 ? (
          <polyline
            key={chain.join()}
            points={places.map(({ x, y }) => `${x},${y}`).join(" ")}
            fill="none"
            stroke="#2B2622"
            strokeWidth={r / 2.8}
          />
        ) : null;
      })}
      {Object.entries(guesses).map(([key, { x, y }]) => (
        <g key={key} data-guess={key} fill="none" stroke={key === asked ? "#B4431F" : "#2B2622"}>
          <circle cx={x} cy={y} r={r * 1.1} stroke="#FFFDFA" strokeWidth={r / 1.4} opacity={0.8} />
          <circle
            cx={x}
            cy={y}
            r={key === asked ? r * 1.7 : r * 1.1}
            strokeWidth={r / 3}
            strokeDasharray={`${r / 2} ${r / 2}`}
          />
        </g>
      ))}
      {placed.map((key) => {
        const { x, y } = marks[key]!;
        const active = key === asked;
        return isReference(key) ? (
          <g key={key} stroke={active ? "#B4431F" : "#2B2622"} strokeWidth={r / 2.6}>
            <line x1={x - r * 1.3} x2={x + r * 1.3} y1={y} y2={y} />
            <line x1={x} x2={x} y1={y - r * 1.3} y2={y + r * 1.3} />
          </g>
        ) : (
          <g key={key}>
            <circle cx={x} cy={y} r={r} fill="#FFFDFA" stroke={active ? "#B4431F" : "#2B2622"} strokeWidth={r / 2.4} />
            <circle cx={x} cy={y} r={r / 4} fill={active ? "#B4431F" : "#2B2622"} />
            {active && <circle cx={x} cy={y} r={r * 1.9} fill="none" stroke="#B4431F" strokeWidth={r / 3} />}
          </g>
        );
      })}
    </>
  );
}
