import { seeded, seedOf } from "../random";
import { checkOf, type Check } from "../table/checks";
import { blindOrder } from "./study";
import type { LookedAgain } from "./table-rounds";

/** What eyes alone can compare on a drawing: which of the two sides stands out. */
export const sights = ["malleoli", "hip-height", "shoulder-height", "high-t-mid"] as const;
export type Sight = (typeof sights)[number];

export const layCount = 10;
/** One drawing: a lay figure, what is looked at, and how far its left side stands out, in mm (of the strip: degrees). */
export type LayItem = { figure: number; sight: Sight; truth: number };

/** Sides of ordinary clients differ by a few millimetres, some by more: a normal spread of this standard deviation. */
const spread: Record<Sight, number> = { malleoli: 7, "hip-height": 8, "shoulder-height": 9, "high-t-mid": 3.2 };

/** The ten lay figures that ship, each seen at every sight: the same for everybody. */
export const layFigures: readonly LayItem[] = Array.from({ length: layCount }, (_, figure) =>
  sights.map((sight): LayItem => {
    const random = seeded(seedOf(`lay figure ${figure} ${sight}`));
    return { figure, sight, truth: Math.round(10 * spread[sight] * random.normal()) / 10 };
  }),
).flat();

/** The drawings of a study in its order, each twice and never twice running. The id alone makes the order. */
export const layOrder = (studyId: string): LayItem[] => blindOrder(layFigures, 2, seeded(seedOf(studyId)));

export const layCheck = ({ sight }: LayItem): Check & { kind: "side" } => checkOf(sight) as Check & { kind: "side" };

/** A grade of a drawing: 1–3 to the side that stands out, positive the left one; 0 even. */
export const isLayGrade = (value: unknown): value is number =>
  typeof value === "number" && Number.isInteger(value) && Math.abs(value) <= 3;

/** The drawings that were graded twice in a study, `grades` by their place in its order. */
export function drawnAgain(studyId: string, grades: ReadonlyMap<number, number>): LookedAgain[] {
  const order = layOrder(studyId);
  return order.flatMap((item, i) => {
    const j = order.indexOf(item, i + 1);
    const [first, second] = [grades.get(i), grades.get(j)];
    return j > i && first !== undefined && second !== undefined
      ? [{ check: layCheck(item), way: "hand" as const, first, second }]
      : [];
  });
}

/** A study's grades beside what was drawn, of what stands out by millimetres. */
export const gradedTruths = (
  studyId: string,
  grades: ReadonlyMap<number, number>,
): { truth: number; grade: number }[] => {
  const order = layOrder(studyId);
  return [...grades].flatMap(([i, grade]) => {
    const item = order[i];
    return item && item.sight !== "high-t-mid" ? [{ truth: item.truth, grade }] : [];
  });
};

/** From how many millimetres on the side named was the right one at least nine times in ten; undefined where from none. */
export function toldFrom(graded: readonly { truth: number; grade: number }[]): number | undefined {
  const sizes = [...new Set(graded.map(({ truth }) => Math.abs(truth)))].sort((a, b) => a - b);
  const right = (from: number) => {
    const beyond = graded.filter(({ truth }) => Math.abs(truth) >= from);
    // of fewer than ten one slip is more than a tenth: nothing is said
    return beyond.length < 10 ? 0 : beyond.filter(({ truth, grade }) => truth * grade > 0).length / beyond.length;
  };
  return sizes.find((size) => right(size) >= 0.9);
}
