import type { FigureView, Point } from "./figure";

/** How a person is built, as the eye has it: no measure, only a figure that looks a little more like them. */
export const builds = ["slender", "middle", "broad"] as const;
export type Build = (typeof builds)[number];

/** What the drawing is stretched by: the width of trunk and limbs, and the height of the head. */
export type Shape = { width: number; head: number };

/** The figure as it is drawn. */
export const middleShape: Shape = { width: 1, head: 1 };

const widths: Record<Build, number> = { slender: 0.92, middle: 1, broad: 1.08 };

/**
 * The figure of a build and a stature (mm; null: not known). A head's height differs little among people (common practice: 7
 * to 8 heads to a stature), so that the taller one is, the smaller it is in a figure of one height; half of that is drawn.
 */
export function shapeOf(build: Build, statureMm: number | null): Shape {
  const head = statureMm === null ? 1 : Math.sqrt(1700 / Math.max(1400, Math.min(2100, statureMm)));
  return { width: widths[build], head };
}

/** Heights in the drawing: top of the head, chin, where neck and shoulders are as wide as the build, and the ground. */
const [crown, chin, shoulder, ground] = [10, 72, 100, 498] as const;
const middleLine = 100;

const down = (y: number, { head }: Shape): number => {
  const at = crown + (chin - crown) * head;
  return y <= chin ? crown + (y - crown) * head : at + ((y - chin) * (ground - at)) / (ground - chin);
};
const up = (y: number, { head }: Shape): number => {
  const at = crown + (chin - crown) * head;
  return y <= at ? crown + (y - crown) / head : chin + ((y - at) * (ground - chin)) / (ground - at);
};
/** How wide the drawing is at a height: the head as it is tall, everything below the shoulders by the build. */
const wide = (y: number, { width, head }: Shape): number =>
  y <= chin ? head : y >= shoulder ? width : head + ((width - head) * (y - chin)) / (shoulder - chin);

const isMiddle = ({ width, head }: Shape, view: FigureView): boolean => view === "sole" || (width === 1 && head === 1);

/** Where a point of the drawing lies on the figure of a shape. Nothing overlaps or parts that did not before; soles stay. */
export const shaped = ([x, y]: Point, view: FigureView, shape: Shape): Point =>
  isMiddle(shape, view) ? [x, y] : [middleLine + (x - middleLine) * wide(y, shape), down(y, shape)];

/** Which point of the drawing lies there: what was pressed or drawn is kept as on the middle figure. */
export function unshaped([x, y]: Point, view: FigureView, shape: Shape): Point {
  if (isMiddle(shape, view)) return [x, y];
  const drawn = up(y, shape);
  return [middleLine + (x - middleLine) / wide(drawn, shape), drawn];
}

/** Outlines on the figure of a shape; the very same ones for the middle. */
export const shapedAll = (points: readonly Point[], view: FigureView, shape: Shape): readonly Point[] =>
  isMiddle(shape, view) ? points : points.map((point) => shaped(point, view, shape));
