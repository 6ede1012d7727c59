import type { MouseEvent, SyntheticEvent } from "react";
import type { FigureView, Point } from "~core/anatomy/figure";
import { unshaped, type Shape } from "~core/anatomy/shape";

/** Half of what a finger covers, in pixels. */
const fingertip = 12;

/**
 * Where a finger came down in the drawing's units, and how far it reaches; nothing for a mouse, which is sure. `within` is
 * an element of the view.
 */
export function fingerAt(
  event: MouseEvent,
  within: SVGGraphicsElement | null,
  view: FigureView,
  shape: Shape,
): { point: Point; reach: number } | undefined {
  if ((event.nativeEvent as PointerEvent).pointerType !== "touch") return undefined;
  const matrix = within?.getScreenCTM();
  if (!matrix) return undefined;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return { point: unshaped([x, y], view, shape), reach: fingertip / matrix.a };
}

/** Which of a group's outlines an event is about. */
export function indexAt(event: SyntheticEvent): number | undefined {
  const at = (event.target as Element).closest("[data-at]")?.getAttribute("data-at");
  return at === null || at === undefined ? undefined : Number(at);
}
