import type { Degrees } from "../../core/units";
import type { Inclinometer } from "./inclinometer";

/** How a tablet or phone lies: turns about its axes Z, X′ and Y″, in degrees (W3C Device Orientation). */
export type Orientation = { alpha: Degrees | null; beta: Degrees | null; gamma: Degrees | null };
type Matrix = readonly (readonly [number, number, number])[];

/** The rotation matrix of the specification's own worked equations: R = Z(α) · X(β) · Y(γ). */
function matrixOf({ alpha, beta, gamma }: Orientation): Matrix {
  const [a, b, c] = [alpha ?? 0, beta ?? 0, gamma ?? 0].map((each) => (each * Math.PI) / 180) as [
    number,
    number,
    number,
  ];
  const [ca, sa, cb, sb, cc, sc] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b), Math.cos(c), Math.sin(c)];
  return [
    [ca * cc - sa * sb * sc, -cb * sa, cc * sa * sb + ca * sc],
    [cc * sa + ca * sb * sc, ca * cb, sa * sc - ca * cc * sb],
    [-cb * sc, sb, cb * cc],
  ];
}

/**
 * How far something was turned from one orientation to another, about whatever axis (0–180°): the angle of the rotation between
 * both. It counts a turn beside the movement, too: laid on and moved about one axis it is that axis's angle.
 */
export function turnedBy(from: Orientation, to: Orientation): Degrees {
  const [a, b] = [matrixOf(from), matrixOf(to)];
  const trace = a.reduce((sum, row, i) => sum + row.reduce((inner, value, j) => inner + value * b[i]![j]!, 0), 0);
  return (Math.acos(Math.max(-1, Math.min(1, (trace - 1) / 2))) * 180) / Math.PI;
}

type Tilting = {
  addEventListener: (kind: "deviceorientation", hear: (event: Orientation) => void) => void;
  removeEventListener: (kind: "deviceorientation", hear: (event: Orientation) => void) => void;
};

/** How long a device that says it tells its orientation may keep silent. */
const silentMs = 3000;

/** This tablet or phone, laid on the limb: angles count from how it lies when listening begins. */
export const orientationInclinometer = (
  target: Tilting,
  now: () => number = () => performance.now(),
): Inclinometer => ({
  name: "This device’s own tilt",
  listen(hear, lost) {
    let [first, start]: [Orientation | undefined, number] = [undefined, now()];
    const heard = (event: Orientation) => {
      // a device without the sensor tells nothing but nulls
      if (event.beta === null || event.gamma === null) return;
      if (!first) [first, start] = [{ alpha: event.alpha, beta: event.beta, gamma: event.gamma }, now()];
      hear({ at: (now() - start) / 1000, angle: turnedBy(first, event) });
    };
    target.addEventListener("deviceorientation", heard);
    const silence = setTimeout(() => {
      if (!first) lost?.();
    }, silentMs);
    return () => {
      clearTimeout(silence);
      target.removeEventListener("deviceorientation", heard);
    };
  },
});
