import type { SensitiveArea } from "../anatomy/sensitive";
import { standing, type Said } from "../said";
import { areasOf } from "../techniques/follows";
import type { Technique } from "../techniques/technique";

/** A stroke of a signature drawn on screen: points in a box 1000 wide and 300 high. */
export type Stroke = readonly (readonly [x: number, y: number])[];

/** What a signature pad can make, with room to spare. */
const mostStrokes = 60;
const mostPoints = 4000;

/**
 * A signature as it was sent: null when there is none, undefined when it is not one the pad can make (whole coordinates
 * a little around its box). Looks at each point once, and at none when there are too many.
 */
export function lawfulSignature(sent: unknown): Stroke[] | null | undefined {
  if (sent === null || sent === undefined) return null;
  if (!Array.isArray(sent) || sent.length > mostStrokes) return undefined;
  const strokes = sent as unknown[];
  const points = strokes.reduce<number>((sum, stroke) => sum + (Array.isArray(stroke) ? stroke.length : Infinity), 0);
  if (points > mostPoints) return undefined;
  const within = (each: unknown) => Number.isInteger(each) && Number(each) >= -200 && Number(each) <= 1200;
  const sound = (point: unknown) => Array.isArray(point) && point.length === 2 && point.every(within);
  return strokes.every((stroke) => (stroke as unknown[]).every(sound)) ? (strokes as Stroke[]) : undefined;
}

/** What a consent is about. Those for an area hold for one visit, the others until withdrawn. */
export type Subject = "general" | "photographs" | "unwinding" | "guardian" | `area ${SensitiveArea}`;

export type ConsentRecord = {
  id: string;
  subject: Subject;
  visitId: string | null;
  given: boolean;
  /** The wording that was agreed to is kept with the agreement. */
  textVersion: string;
  text: string;
  signedBy: string;
  /** Null: agreed by word of mouth, or signed on paper. */
  signature: readonly Stroke[] | null;
  by: string;
  at: string;
} & Said;

/** The wordings now in use. A change of wording gets a new version; what was signed keeps its own. */
export const consentTexts: Record<
  "general" | "photographs" | "unwinding" | "guardian" | "area",
  { version: string; text: string }
> = {
  general: {
    version: "2026-11",
    text: "I agree to hands-on bodywork. I was told what will be done and why, that it is no medical treatment and replaces none, and that I may feel sore for up to two days. I say how much pressure I want, and I can stop at any time, without a reason. What I told about my health is true as far as I know; I will say when it changes.",
  },
  photographs: {
    version: "2026-11",
    text: "I agree that photographs of my posture are taken, measured and kept with my record. They are shown to nobody outside this practice. I can refuse or withdraw this at any time; measuring then goes on without pictures, and pictures are deleted when I ask.",
  },
  unwinding: {
    version: "2026-11",
    text: "I agree that a limb, my neck or my whole body is held and followed along its own movement. Nothing is forced. One word from me ends it.",
  },
  guardian: {
    version: "2026-11",
    text: "I am the guardian of this client. I agree to hands-on bodywork for them as described to me, and I stay in the room.",
  },
  area: { version: "2026-11", text: "I agree to work here today. I can change my mind at any moment." },
};

export const textFor = (subject: Subject): { version: string; text: string } =>
  consentTexts[subject.startsWith("area ") ? "area" : (subject as Exclude<Subject, `area ${SensitiveArea}`>)];

/** What was said of a consent, in the order it was said; of an area only what was said at that visit. */
export const saidOf = (records: readonly ConsentRecord[], subject: Subject, visitId: string): ConsentRecord[] =>
  records.filter(
    (record) => record.subject === subject && (!subject.startsWith("area ") || record.visitId === visitId),
  );

/**
 * Whether a consent stands: true given, false declined or withdrawn, undefined never asked. The last word counts; where
 * two were said without knowing of each other, the no.
 */
export function stands(records: readonly ConsentRecord[], subject: Subject, visitId: string): boolean | undefined {
  const last = standing(saidOf(records, subject, visitId));
  return last.length === 0 ? undefined : last.every(({ given }) => given);
}

/** Two words on a consent that contradict each other, said without knowing of each other; undefined where none do. */
export function contradiction(
  records: readonly ConsentRecord[],
  subject: Subject,
  visitId: string,
): { yes: ConsentRecord; no: ConsentRecord } | undefined {
  const last = standing(saidOf(records, subject, visitId));
  const yes = last.findLast(({ given }) => given);
  const no = last.findLast(({ given }) => !given);
  return yes && no && { yes, no };
}

/** Sensitive areas a list of techniques works in, each once. */
export const areasIn = (techniques: readonly Technique[]): SensitiveArea[] => [...new Set(techniques.flatMap(areasOf))];
