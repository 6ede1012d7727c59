import type { Moment } from "../findings/restriction";
import type { Side } from "../units";
import { checkOf, isCheck, type Check } from "./checks";

/** By hand and eye, in words and grades; or by tape, rule or inclinometer. Kept and compared apart. */
export const ways = ["hand", "measured"] as const;
export type Way = (typeof ways)[number];

/** What one check said of one side (none: of the whole, or which side stands out) at one moment of a visit. */
export type Answer = { moment: Moment; check: string; side: Side | null; way: Way; value: number };

/** An answer as it was pressed: null takes it back. */
export type Pressed = Omit<Answer, "value"> & { value: number | null };

/** What was pressed at the table, in its order; the latest of each kind counts. */
export type TableEvent = { id: string; at: string; kind: "answer"; body: Pressed };

const slot = ({ moment, check, side, way }: Omit<Answer, "value">): string => [moment, check, side, way].join(" ");

/** What stands after everything that was pressed, in the order it was pressed. */
export function answersAfter(events: readonly (TableEvent | { kind: string })[]): Answer[] {
  const latest = new Map<string, Answer>();
  for (const { body } of events.filter((event): event is TableEvent => event.kind === "answer"))
    if (body.value === null) latest.delete(slot(body));
    else latest.set(slot(body), { ...body, value: body.value });
  return [...latest.values()];
}

/** Why an event is no answer of its check: field, rule and value; undefined when it is one. */
export function faultOf({ check: key, side, way, value }: Omit<Pressed, "moment">): string | undefined {
  if (!isCheck(key)) return `Check: “${key}” is not made here.`;
  const check = checkOf(key);
  const sided = check.kind === "each";
  if (sided !== (side !== null))
    return `Side of ${check.name.toLowerCase()}: ${sided ? "left or right" : "none is taken"}.`;
  if (value === null) return undefined;
  if (way === "measured") {
    if (!check.measure) return `${check.name}: it is felt, not measured.`;
    const [low, high] = check.measure.limits;
    return value < low || value > high ? `${check.name}: from ${low} to ${high}, got ${value}.` : undefined;
  }
  const [low, high] = check.kind === "side" ? [-3, 3] : [0, (check.steps?.length ?? 0) - 1];
  if (check.kind !== "side" && !check.steps) return `${check.name}: it is measured.`;
  return Number.isInteger(value) && value >= low && value <= high
    ? undefined
    : `${check.name}: whole grades from ${low} to ${high}, got ${value}.`;
}

/** What stands of one visit. */
export type VisitAnswers = { visit: number; answers: readonly Answer[] };

/** The answers of one check at one moment. */
export const answersTo = (check: Pick<Check, "key">, answers: readonly Answer[], moment: Moment): Answer[] =>
  answers.filter((each) => each.check === check.key && each.moment === moment);

/** Whether a check was answered at a moment: with both sides where each has its own. */
export function isAnswered(check: Check, answers: readonly Answer[], moment: Moment): boolean {
  const own = answersTo(check, answers, moment);
  return check.kind === "each"
    ? ways.some((way) =>
        (["L", "R"] as const).every((side) => own.some((each) => each.way === way && each.side === side)),
      )
    : own.length > 0;
}

/** The first check from `from` on that has no answer, round once; undefined when all have. */
export function nextOpen(
  list: readonly Check[],
  answers: readonly Answer[],
  moment: Moment,
  from: number,
): number | undefined {
  const order = list.map((_, i) => (from + i) % list.length);
  return order.find((i) => !isAnswered(list[i]!, answers, moment));
}
