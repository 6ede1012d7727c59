import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { useMemo, useRef, useState, type PointerEvent } from "react";
import { pointName, type PointKey } from "~core/anatomy/landmarks";
import { referenceName, type MarkKey, type PhotoSetup, type Px, type ReferenceKey } from "~core/measure/calibration";
import { isReference, marksOfView, markSide, type Marking, type MarkingCommand } from "~core/measure/marking";
import type { View } from "~core/measure/view";

export const markName = (key: MarkKey): string =>
  isReference(key) ? referenceName[key as ReferenceKey] : pointName(key as PointKey);

const lines: Record<"front" | "back" | "side", (readonly string[])[]> = {
  front: [
    ["tragus.R", "tragus.L"],
    ["acromion.R", "acromion.L"],
    ["asis.R", "asis.L"],
    ["asis.R", "patella.R", "ankle.R"],
    ["asis.L", "patella.L", "ankle.L"],
  ],
  back: [
    ["tragus.R", "tragus.L"],
    ["acromion.R", "acromion.L"],
    ["psis.R", "psis.L"],
  ],
  side: [
    ["c7", "tragus"],
    ["tragus", "acromion", "trochanter", "condyle", "malleolus"],
    ["psis", "asis"],
  ],
};

/**
 * How near (screen px) a pointer must come to take hold of a mark: less while another point waits to be placed, so
 * that the canthus can be set next to the tragus.
 */
const reach = { waiting: 6, free: 16 };

/**
 * The photograph with its marks. Mouse and touch place and drag, arrows nudge; a magnifier shows the place under the
 * pointer in the corner furthest from it, so that finger and glass never cover the point.
 */
export function Picture({
  src,
  view,
  setup,
  marking,
  act,
  line,
}: {
  src: string;
  view: View;
  setup: PhotoSetup;
  marking: Marking;
  act: (command: MarkingCommand) => void;
  /** Plumb through the ankles, in the picture's pixels. */
  line: { from: Px; to: Px } | undefined;
}) {
  const { tokens } = useTheme();
  const svg = useRef<SVGSVGElement>(null);
  const [hover, setHover] = useState<Px | undefined>();
  const [dragging, setDragging] = useState<{ gesture: string; offset: Px } | undefined>();
  const { width, height } = setup;
  const placed = marksOfView(view).filter((key) => marking.marks[key]);

  const scale = () => {
    const box = svg.current!.getBoundingClientRect();
    return { box, px: width / box.width };
  };
  const toPicture = (event: PointerEvent): Px => {
    const { box, px } = scale();
    return { x: (event.clientX - box.left) * px, y: (event.clientY - box.top) * px };
  };
  const nearest = (at: Px): MarkKey | undefined => {
    const { px } = scale();
    let best: MarkKey | undefined;
    let distance = (marking.marks[marking.active] ? reach.free : reach.waiting) * px;
    for (const key of placed) {
      const place = marking.marks[key]!;
      const d = Math.hypot(place.x - at.x, place.y - at.y);
      if (d < distance) [best, distance] = [key, d];
    }
    return best;
  };

  const down = (event: PointerEvent<SVGSVGElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus({ preventScroll: true });
    const at = toPicture(event);
    const hit = nearest(at);
    const gesture = `drag ${event.timeStamp}`;
    if (hit) {
      const place = marking.marks[hit]!;
      act({ kind: "choose", mark: hit });
      setDragging({ gesture, offset: { x: place.x - at.x, y: place.y - at.y } });
    } else {
      act({ kind: "place", at, gesture });
      setDragging({ gesture, offset: { x: 0, y: 0 } });
    }
    setHover(at);
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    const at = toPicture(event);
    if (dragging) {
      const place = { x: at.x + dragging.offset.x, y: at.y + dragging.offset.y };
      act({ kind: "place", at: place, gesture: dragging.gesture });
      setHover(place);
    } else setHover(at);
  };
  const up = () => {
    if (!dragging) return;
    // a fresh mark asks for the next one; a moved one stays chosen
    if (dragging.offset.x === 0 && dragging.offset.y === 0) act({ kind: "advance", by: 1 });
    setDragging(undefined);
  };
  const onKey = (event: React.KeyboardEvent) => {
    const far = event.shiftKey ? 10 : 1;
    const arrows: Record<string, [number, number]> = {
      ArrowLeft: [-far, 0],
      ArrowRight: [far, 0],
      ArrowUp: [0, -far],
      ArrowDown: [0, far],
    };
    const arrow = arrows[event.key];
    const command = (event.ctrlKey || event.metaKey) && event.key.toLowerCase();
    if (command === "z") act({ kind: event.shiftKey ? "redo" : "undo" });
    else if (command === "y") act({ kind: "redo" });
    else if (command) return;
    else if (arrow) {
      if (marking.marks[marking.active]) act({ kind: "nudge", dx: arrow[0], dy: arrow[1] });
      else act({ kind: "place", at: hover ?? { x: width / 2, y: height / 2 } });
    } else if (event.key === "Enter") {
      if (!marking.marks[marking.active]) act({ kind: "place", at: hover ?? { x: width / 2, y: height / 2 } });
      act({ kind: "advance", by: 1 });
    } else if (event.key === "Delete" || event.key === "Backspace") act({ kind: "remove" });
    else if (event.key === "[") act({ kind: "advance", by: -1 });
    else if (event.key === "]") act({ kind: "advance", by: 1 });
    else return;
    event.preventDefault();
  };

  const r = width / 130;
  const focus = dragging ? hover : (hover ?? marking.marks[marking.active]);
  const chains = useMemo(() => {
    const side = view === "left" ? "L" : "R";
    const key = (name: string) =>
      view === "front" || view === "back" ? name : name === "c7" ? name : `${name}.${side}`;
    return lines[view === "front" || view === "back" ? view : "side"].map((chain) => chain.map(key) as PointKey[]);
  }, [view]);
  const order = marksOfView(view);

  return (
    <Box
      sx={{
        position: "relative",
        borderRadius: "10px",
        overflow: "hidden",
        bgcolor: "divider",
        aspectRatio: `${width} / ${height}`,
        height: { xs: "auto", md: "calc(100dvh - 226px)" },
        minHeight: { md: 440 },
        maxWidth: "100%",
      }}
    >
      <Box
        component="img"
        src={src}
        alt=""
        draggable={false}
        sx={{ position: "absolute", inset: 0, width: "100%", height: "100%" }}
      />
      <svg
        ref={svg}
        viewBox={`0 0 ${width} ${height}`}
        role="application"
        tabIndex={0}
        aria-label={`Photograph to mark. Active: ${markName(marking.active)}. Arrows move it, Enter goes on, Delete takes it away, square brackets change the point.`}
        style={{
          position: "absolute",
          inset: 0,
          width: "100%",
          height: "100%",
          touchAction: "none",
          cursor: "crosshair",
        }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
        onPointerLeave={() => !dragging && setHover(undefined)}
        onKeyDown={onKey}
      >
        {line && (
          <line
            x1={line.from.x}
            y1={line.from.y}
            x2={line.to.x}
            y2={line.to.y}
            stroke="#B4431F"
            strokeWidth={r / 3.6}
            opacity={0.85}
          />
        )}
        {chains.map((chain) => {
          const places = chain.map((key) => marking.marks[key]).filter((place) => place !== undefined);
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
        {placed.map((key) => {
          const { x, y } = marking.marks[key]!;
          const active = key === marking.active;
          return isReference(key) ? (
            <g key={key} stroke={active ? "#B4431F" : "#2B2622"} strokeWidth={r / 2.6}>
              <line x1={x - r * 1.3} x2={x + r * 1.3} y1={y} y2={y} />
              <line x1={x} x2={x} y1={y - r * 1.3} y2={y + r * 1.3} />
            </g>
          ) : (
            <g key={key}>
              <circle
                cx={x}
                cy={y}
                r={r}
                fill="#FFFDFA"
                stroke={active ? "#B4431F" : "#2B2622"}
                strokeWidth={r / 2.4}
              />
              <circle cx={x} cy={y} r={r / 4} fill={active ? "#B4431F" : "#2B2622"} />
              {active && <circle cx={x} cy={y} r={r * 1.9} fill="none" stroke="#B4431F" strokeWidth={r / 3} />}
            </g>
          );
        })}
      </svg>
      {focus && <Magnifier src={src} at={focus} width={width} height={height} colour={tokens.ember} />}
      <Box
        sx={(t) => ({
          position: "absolute",
          left: 10,
          bottom: 10,
          bgcolor: "background.paper",
          borderRadius: "6px",
          px: 1.25,
          py: 0.75,
          fontSize: 13.5,
          border: `1px solid ${t.tokens.line}`,
          pointerEvents: "none",
        })}
        aria-live="polite"
      >
        {placed.length === order.length ? "All points placed. " : "Place "}
        <strong>{markName(marking.active)}</strong>, {order.indexOf(marking.active) + 1} of {order.length}
        {markSide(marking.active) && view === "front"
          ? markSide(marking.active) === "R"
            ? " (on the left of the picture)"
            : " (on the right of the picture)"
          : ""}
      </Box>
    </Box>
  );
}

function Magnifier({
  src,
  at,
  width,
  height,
  colour,
}: {
  src: string;
  at: Px;
  width: number;
  height: number;
  colour: string;
}) {
  const size = 128;
  const zoom = 3;
  const onRight = at.x < width * 0.55;
  return (
    <Box
      aria-hidden
      data-testid="magnifier"
      sx={(t) => ({
        position: "absolute",
        top: 12,
        [onRight ? "right" : "left"]: 12,
        width: size,
        height: size,
        borderRadius: "50%",
        overflow: "hidden",
        border: `4px solid ${t.tokens.sheet}`,
        outline: `1px solid ${t.tokens.line}`,
        pointerEvents: "none",
        bgcolor: t.tokens.line,
      })}
    >
      <svg viewBox={`${at.x - width / 14} ${at.y - width / 14} ${width / 7} ${width / 7}`} width="100%" height="100%">
        <image href={src} width={width} height={height} preserveAspectRatio="none" />
        <g stroke={colour} strokeWidth={(width / 7 / size) * 1.6}>
          {[
            [-1, 0],
            [1, 0],
            [0, -1],
            [0, 1],
          ].map(([dx, dy]) => (
            <line
              key={`${dx}${dy}`}
              x1={at.x + (dx! * width) / 14 / 4}
              y1={at.y + (dy! * width) / 14 / 4}
              x2={at.x + ((dx! * width) / 14) * (zoom / 4)}
              y2={at.y + ((dy! * width) / 14) * (zoom / 4)}
            />
          ))}
        </g>
      </svg>
    </Box>
  );
}
