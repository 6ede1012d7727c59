import type { Metric } from "./metrics";
import type { Unit } from "../units";

/**
 * Ways to take a metric, each with the standard error of one careful measurement (in `unit`); a photograph's follows
 * from its marks. Common practice, from memory: replace them by your own once you know it. One metric taken in two
 * ways is two readings, never one.
 */
export const handMethods = [
  { key: "inclinometer", name: "Inclinometer", unit: "deg", se: 1.5 },
  { key: "goniometer", name: "Goniometer with a level", unit: "deg", se: 2.5 },
  { key: "plumb-line", name: "Plumb line and rule", unit: "mm", se: 6 },
  { key: "tape", name: "Tape", unit: "mm", se: 8 },
  { key: "caliper", name: "Caliper", unit: "mm", se: 4 },
  { key: "eye", name: "By eye, plumb beside", unit: "grade", se: 0.5 },
] as const satisfies readonly { key: string; name: string; unit: Unit; se: number }[];

export type HandMethodKey = (typeof handMethods)[number]["key"];
export type MethodKey = "photo" | HandMethodKey;

export const methodName = (key: MethodKey): string =>
  handMethods.find((method) => method.key === key)?.name ?? "Photograph";

/** How a metric can be taken without a picture. */
export const methodsFor = (metric: Metric) =>
  metric.pictureOnly ? [] : handMethods.filter((method) => method.unit === "grade" || method.unit === metric.unit);

/** Plausible limits of a value by hand: beyond them it is a slip of the pen. */
export const handLimits: Record<Unit, readonly [number, number]> = {
  deg: [-60, 120],
  mm: [-400, 400],
  grade: [-3, 3],
};

/** The steps of an eye grade. */
export const gradeWords = ["as usual", "a little", "clearly", "strongly"] as const;
