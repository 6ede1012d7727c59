import type { Px } from "~core/measure/calibration";

/** The part of a picture that is shown: top left corner and width in the picture's pixels; its shape is the picture's. */
export type Viewport = { x: number; y: number; w: number };
export type Size = { width: number; height: number };

const most = 12;

export const wholePicture = ({ width }: Size): Viewport => ({ x: 0, y: 0, w: width });
export const heightOf = (view: Viewport, { width, height }: Size): number => (view.w * height) / width;
export const isWhole = (view: Viewport, { width }: Size): boolean => view.w >= width - 0.5;

/** Keeps a viewport inside the picture and its magnification between 1 and 12. */
function kept(view: Viewport, size: Size): Viewport {
  const w = Math.min(size.width, Math.max(size.width / most, view.w));
  const h = (w * size.height) / size.width;
  const within = (value: number, room: number) => Math.min(Math.max(0, room), Math.max(0, value));
  return { w, x: within(view.x, size.width - w), y: within(view.y, size.height - h) };
}

/** Magnifies by `factor` so that the place `at` (picture px) stays where it is on the screen. */
export function zoomed(view: Viewport, factor: number, at: Px, size: Size): Viewport {
  const w = Math.min(size.width, Math.max(size.width / most, view.w / factor));
  const share = w / view.w;
  return kept({ w, x: at.x - (at.x - view.x) * share, y: at.y - (at.y - view.y) * share }, size);
}

/** Moves the viewport by a distance in picture px. */
export const panned = (view: Viewport, dx: number, dy: number, size: Size): Viewport =>
  kept({ ...view, x: view.x + dx, y: view.y + dy }, size);

/**
 * Two fingers: the places in the picture they took hold of (`from`) stay under them (`to`, as shares 0–1 of the
 * screen's width and height).
 */
export function pinched(from: readonly [Px, Px], to: readonly [Px, Px], size: Size): Viewport {
  const apart = (a: Px, b: Px, sx = 1, sy = 1) => Math.hypot((a.x - b.x) * sx, (a.y - b.y) * sy);
  const ratio = size.height / size.width;
  const w = apart(...from) / Math.max(0.02, apart(to[0], to[1], 1, ratio));
  const shown = Math.min(size.width, Math.max(size.width / most, w));
  const middle = (a: Px, b: Px): Px => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
  const [held, finger] = [middle(...from), middle(...to)];
  return kept({ w: shown, x: held.x - finger.x * shown, y: held.y - finger.y * shown * ratio }, size);
}

/** Brings a place into view: unmoved when it is well inside, centred on it otherwise. */
export function showing(view: Viewport, at: Px, size: Size): Viewport {
  const h = heightOf(view, size);
  const margin = 0.12;
  const inside =
    at.x > view.x + margin * view.w &&
    at.x < view.x + (1 - margin) * view.w &&
    at.y > view.y + margin * h &&
    at.y < view.y + (1 - margin) * h;
  return inside ? view : kept({ ...view, x: at.x - view.w / 2, y: at.y - h / 2 }, size);
}
