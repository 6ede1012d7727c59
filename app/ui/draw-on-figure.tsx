import { useTheme } from "@mui/material/styles";
import { useContext, useRef, useState, type PointerEvent } from "react";
import { placesCovered, type Covered } from "~core/anatomy/covered";
import { figureBox, placesSeen, within, type FigureView, type Point } from "~core/anatomy/figure";
import { shapedAll, unshaped } from "~core/anatomy/shape";
import { simplified } from "~core/anatomy/simplify";
import type { PlaceKey } from "~core/anatomy/places";
import type { Side } from "~core/units";
import { FigureShape } from "./figure-shape";

/** What a hand does on the sheet: draws a line, draws round an area, or presses a point. */
export type Drawing = "line" | "area" | "point";

/** What was drawn: where, and the places it crosses or covers. */
export type DrawnLine = {
  view: FigureView;
  points: Point[];
  places: PlaceKey[];
  side: Side | "both";
  /** Every place with its own side. */
  over: readonly Covered[];
};

/** A line that lies on the body. */
export function ScarLine({ points }: { points: readonly Point[] }) {
  const { tokens } = useTheme();
  return (
    <polyline
      points={points.map((point) => point.join(",")).join(" ")}
      fill="none"
      stroke={tokens.clay}
      strokeWidth={2.4}
      strokeLinecap="round"
      strokeLinejoin="round"
      pointerEvents="none"
    />
  );
}

/** An area in which something is felt. */
export function FeltArea({ points }: { points: readonly Point[] }) {
  const { tokens } = useTheme();
  return (
    <polygon
      points={points.map((point) => point.join(",")).join(" ")}
      fill={tokens.ember}
      fillOpacity={0.22}
      stroke={tokens.ember}
      strokeWidth={1.4}
      strokeLinejoin="round"
      pointerEvents="none"
    />
  );
}

/** A clear sheet over one view of the figure, in its own units: a finger or a mouse draws on it. */
export function DrawSheet({
  view,
  kind = "line",
  line,
  done,
}: {
  view: FigureView;
  kind?: Drawing | undefined;
  line: readonly Point[] | undefined;
  done: (drawn: DrawnLine) => void;
}) {
  const sheet = useRef<SVGRectElement>(null);
  const shape = useContext(FigureShape);
  const [points, setPoints] = useState<readonly Point[] | undefined>();
  const at = (event: PointerEvent): Point => {
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(
      sheet.current!.getScreenCTM()!.inverse(),
    );
    return unshaped([x, y], view, shape);
  };
  const finish = () => {
    if (points && (points.length > 1 || kind === "point")) {
      const simple = kind === "point" ? points.slice(-1) : simplified(points, 0.8);
      const seen = placesSeen(view).map((each) => ({ ...each, outlines: [each.points] }));
      const crossed =
        kind === "area" ? placesCovered(view, simple) : simple.flatMap((point) => within(seen, point, 0).slice(0, 1));
      const sides = new Set(crossed.flatMap(({ side }) => (side ? [side] : [])));
      if (crossed.length > 0)
        done({
          view,
          points: simple,
          places: [...new Set(crossed.map(({ place }) => place))],
          side: sides.size === 1 ? [...sides][0]! : "both",
          over: crossed.map(({ place, side }) => ({ place, side })),
        });
    }
    setPoints(undefined);
  };
  const drawn = points ?? line;
  const shown = drawn && shapedAll(drawn, view, shape);
  return (
    <g>
      <rect
        ref={sheet}
        width={figureBox.width}
        height={figureBox.height}
        fill="transparent"
        style={{ cursor: "crosshair", touchAction: "none" }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setPoints([at(event)]);
        }}
        onPointerMove={(event) => points && setPoints([...points, at(event)])}
        onPointerUp={finish}
        onPointerCancel={() => setPoints(undefined)}
      />
      {shown && shown.length > 1 && (kind === "area" ? <FeltArea points={shown} /> : <ScarLine points={shown} />)}
    </g>
  );
}
