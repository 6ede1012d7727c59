import { sideWord } from "../words";
import { handError } from "../statistics/hand-errors";
import type { Moment } from "../findings/restriction";
import { falseDiscovery } from "../statistics/false-discovery";
import { differing, verdictOf, type Difference, type Verdict } from "../statistics/verdict";
import { z95, type Side } from "../units";
import { gradeError, type HandsBy } from "./own-hands";

/** Two opposite motions that a bone is tested in. `ends`: the words of either end. */
export type BoneTest = { key: string; name: string; ends: readonly [string, string] };
/** A bone or sheet whose motion the hands follow, and the tests that are made of it. Common teaching. */
export type Segment = {
  key: string;
  name: string;
  /** Tested on each side for itself. */
  sided: boolean;
  hands: string;
  tests: readonly BoneTest[];
};

const flexion: BoneTest = { key: "flexion", name: "Flexion and extension", ends: ["flexion", "extension"] };
const sideBend: BoneTest = { key: "side-bend", name: "Side-bend", ends: ["left", "right"] };
const torsion: BoneTest = { key: "torsion", name: "Torsion", ends: ["left", "right"] };
const pressed: BoneTest = { key: "compression", name: "Compression and decompression", ends: ["together", "apart"] };
const rotation: BoneTest = { key: "rotation", name: "Rotation", ends: ["outward", "inward"] };
const inOut: BoneTest = { key: "in-out", name: "In and out", ends: ["in", "out"] };

/** In the order of the arc, from the foot end to the head. */
export const segments: readonly Segment[] = [
  {
    key: "sacrum",
    name: "Sacrum",
    sided: false,
    hands: "A palm under the sacrum, fingertips towards the head.",
    tests: [flexion, sideBend, torsion, pressed],
  },
  {
    key: "occiput",
    name: "Occiput",
    sided: false,
    hands: "Both hands under the back of the head, fingertips at its edge.",
    tests: [flexion, sideBend, pressed],
  },
  {
    key: "frontal",
    name: "Frontal",
    sided: false,
    hands: "Fingers at the ridges at the sides of the forehead.",
    tests: [flexion, rotation, pressed],
  },
  {
    key: "parietals",
    name: "Parietals",
    sided: true,
    hands: "A finger's breadth above the ears, thumbs off the mid-line.",
    tests: [inOut, rotation],
  },
  {
    key: "sphenoid",
    name: "Sphenoid",
    sided: false,
    hands: "Thumbs at the outer corners of the brow, fingers at the occiput.",
    tests: [flexion, sideBend, torsion, pressed],
  },
  {
    key: "temporals",
    name: "Temporals",
    sided: true,
    hands: "Around the ears: middle finger in front of the mastoid, heel of the hand off the bone.",
    tests: [rotation, inOut],
  },
  {
    key: "jaw",
    name: "Jaw",
    sided: false,
    hands: "Fingertips along the edge of the lower jaw.",
    tests: [pressed, sideBend],
  },
];

export const segmentOf = (key: string): Segment | undefined => segments.find((segment) => segment.key === key);

export const steps = ["in step", "left leads", "right leads"] as const;
export type Step = (typeof steps)[number];

/** How far a bone goes at either end, 0 stuck … 3 free; null: not felt. */
export type BoneFelt = {
  /** `again`: felt a second time before any work, blind, to know one's own hands; it says nothing of the client. */
  moment: Moment | "again";
  segment: string;
  test: string;
  side: Side | null;
  range: readonly [number | null, number | null];
  /** Whether both sides of it go together. */
  step: Step | null;
  /** Held at that end with 5 g, and felt again. */
  eased: readonly [boolean, boolean];
  /** Whose hands, once it is stored. */
  by?: string;
};
/** As it was pressed. Nothing in it takes it back. */
export type BoneEvent = { id: string; at: string; kind: "bone"; body: BoneFelt; by?: string };

/** Why something is no such finding: field, rule and value; undefined when it is one. */
export function boneFault({
  segment: key,
  test,
  side,
  range,
  step,
}: Omit<BoneFelt, "moment" | "eased" | "by">): string | undefined {
  const segment = segmentOf(key);
  if (!segment) return `Segment: “${key}” is not felt here.`;
  if (!segment.tests.some((each) => each.key === test))
    return `Test of ${segment.name.toLowerCase()}: “${test}” is none.`;
  if (segment.sided !== (side !== null))
    return `Side of ${segment.name.toLowerCase()}: ${segment.sided ? "left or right" : "none is taken"}.`;
  const off = range.find((each) => each !== null && !(Number.isInteger(each) && each >= 0 && each <= 3));
  if (range.length !== 2 || off !== undefined)
    return `Range: whole grades from 0 to 3 at two ends, got ${String(off ?? range.length)}.`;
  return step === null || steps.includes(step) ? undefined : `In step: “${String(step)}” is not one of the words.`;
}

/** What one press of a test stands in the place of. */
export const boneSlot = ({ moment, segment, test, side }: BoneFelt) => [moment, segment, test, side].join(" ");

/** What stands after everything that was pressed. */
export function bonesAfter(events: readonly (BoneEvent | { kind: string })[]): BoneFelt[] {
  const latest = new Map<string, BoneFelt>();
  for (const { body, by } of events.filter((event): event is BoneEvent => event.kind === "bone"))
    if (body.range.every((each) => each === null) && body.step === null && !body.eased.includes(true))
      latest.delete(boneSlot(body));
    else latest.set(boneSlot(body), { ...body, ...(by && { by }) });
  return [...latest.values()];
}

/** A balance of two opposite motions with its standard error, −1 to 1. Undefined until both ends are felt. */
export type Balance = { index: number; se: number };

/**
 * (a − b) / (a + b), 0 when both are 0; its error by propagating that of both grades. Where both are 0, or its error would
 * pass the whole scale, it says nothing: the error is 1.
 */
export function balanceOf([a, b]: BoneFelt["range"], se: number = handError.grade): Balance | undefined {
  if (a === null || b === null) return undefined;
  const sum = a + b;
  if (sum === 0) return { index: 0, se: 1 };
  return { index: (a - b) / sum, se: Math.min(1, (2 * se * Math.hypot(a, b)) / sum ** 2) };
}

/** One end of one test, before the work against after it. */
export type BoneCompared = Difference & {
  segment: Segment;
  test: BoneTest;
  side: Side | null;
  end: 0 | 1;
  before: number;
  after: number;
  /** Felt by two practitioners. */
  otherHands: boolean;
  verdict: Verdict;
};

/**
 * Every end that was felt at both moments, judged together by the error of whose hands felt it. Two practitioners' hands: how they
 * agree is not known, so that nothing can be told.
 */
export function compareBones(
  first: readonly BoneFelt[],
  second: readonly BoneFelt[],
  hands: HandsBy = {},
): BoneCompared[] {
  const pairs = first.flatMap((before) => {
    const after = second.find(
      (each) => each.segment === before.segment && each.test === before.test && each.side === before.side,
    );
    const otherHands = before.by !== undefined && after?.by !== undefined && before.by !== after.by;
    const { se } = gradeError("bones", hands[before.by ?? ""]);
    const segment = segmentOf(before.segment)!;
    const test = segment.tests.find(({ key }) => key === before.test)!;
    return ([0, 1] as const).flatMap((end) => {
      const [was, is] = [before.range[end], after?.range[end]];
      if (was === null || was === undefined || is === null || is === undefined) return [];
      const difference = differing(is - was, Math.SQRT2 * se);
      return [{ segment, test, side: before.side, end, before: was, after: is, otherHands, ...difference }];
    });
  });
  const judged = pairs.filter(({ otherHands }) => !otherHands);
  const q = new Map(falseDiscovery(judged.map(({ p }) => p)).map((each, i) => [judged[i]!, each]));
  return pairs.map((pair) => ({
    ...pair,
    verdict: q.has(pair) ? verdictOf(pair.p, q.get(pair)!) : ("cannot be told" as const),
  }));
}

/** Ends that do not move, or hardly (0 or 1), where the other end of the test moves more: stuck towards one side. */
export const stuckEnds = (felt: readonly BoneFelt[]): { felt: BoneFelt; end: 0 | 1 }[] =>
  felt.flatMap((each) => {
    const [a, b] = each.range;
    return ([0, 1] as const)
      .filter((end) => (end === 0 ? a : b) === 0 || ((end === 0 ? a : b) === 1 && ((end === 0 ? b : a) ?? 0) >= 2))
      .map((end) => ({ felt: each, end }));
  });

/** Segments that were felt in two tests or more and move at none of their ends by more than 1: locked altogether. */
export const lockedSegments = (felt: readonly BoneFelt[]): Segment[] =>
  segments.filter(({ key }) => {
    const own = felt.filter((each) => each.segment === key);
    const ends = own.flatMap(({ range }) => range).filter((each) => each !== null);
    return own.length >= 2 && ends.length >= 4 && ends.every((each) => each <= 1);
  });

/** "Sphenoid, torsion": what was tested, and on which side. */
export const boneName = (segment: Segment, test: BoneTest, side: Side | null): string =>
  `${segment.name}${side ? `, ${sideWord[side]}` : ""}, ${test.name.toLowerCase()}`;
export const rangeWords = ["stuck", "hardly", "some", "free"] as const;
export const balanceWords = ({ index, se }: Balance, [first, second]: BoneTest["ends"]): string =>
  se >= 1
    ? "balance: cannot be told"
    : `balance ${Math.abs(index).toFixed(2)} ±${Math.min(1, z95 * se).toFixed(2)}${index === 0 ? "" : ` towards ${index > 0 ? first : second}`}`;
