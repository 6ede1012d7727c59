/** Names for the unit a number is in. They are plain numbers, so that arithmetic stays plain. */
export type Degrees = number;
export type Millimetres = number;
export type Pixels = number;
export type Seconds = number;
export type Minutes = number;
/** What a number of a reading counts: degrees, millimetres, or the steps of an eye grade from −3 to 3. */
export type Unit = "deg" | "mm" | "grade";
export type Side = "L" | "R";
export type BodySide = Side | "mid";

export const toRadians = (angle: Degrees): number => (angle * Math.PI) / 180;
export const toDegrees = (radians: number): Degrees => (radians * 180) / Math.PI;

/** Half-width of a 95 % interval of a normal error, in standard errors. */
export const z95 = 1.959963984540054;
