import { useTheme } from "@mui/material/styles";
import { useRef, useState, type PointerEvent } from "react";
import { figureBox, placesSeen, within, type FigureView, type Point } from "~core/anatomy/figure";
import { simplified } from "~core/anatomy/simplify";
import type { PlaceKey } from "~core/anatomy/places";
import type { Side } from "~core/units";

/** What was drawn: where, and the places it crosses. */
export type DrawnLine = { view: FigureView; points: Point[]; places: PlaceKey[]; side: Side | "both" };

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

/** A clear sheet over one view of the figure, in its own units: a finger or a mouse draws one line on it. */
export function DrawSheet({
  view,
  line,
  done,
}: {
  view: FigureView;
  line: readonly Point[] | undefined;
  done: (drawn: DrawnLine) => void;
}) {
  const sheet = useRef<SVGRectElement>(null);
  const [points, setPoints] = useState<readonly Point[] | undefined>();
  const at = (event: PointerEvent): Point => {
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(
      sheet.current!.getScreenCTM()!.inverse(),
    );
    return [x, y];
  };
  const finish = () => {
    if (points && points.length > 1) {
      const simple = simplified(points, 0.8);
      const seen = placesSeen(view).map((each) => ({ ...each, outlines: [each.points] }));
      const crossed = simple.flatMap((point) => within(seen, point, 0).slice(0, 1));
      const sides = new Set(crossed.flatMap(({ side }) => (side ? [side] : [])));
      if (crossed.length > 0)
        done({
          view,
          points: simple,
          places: [...new Set(crossed.map(({ place }) => place))],
          side: sides.size === 1 ? [...sides][0]! : "both",
        });
    }
    setPoints(undefined);
  };
  const shown = points ?? line;
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
      {shown && shown.length > 1 && <ScarLine points={shown} />}
    </g>
  );
}
