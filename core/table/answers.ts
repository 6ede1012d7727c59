import type { Side } from "../units";
import { checkOf, isCheck, ways, type Check, type Way } from "./checks";
import { lookError, type LookError, type Looks } from "./own-looks";

export { ways, type Way } from "./checks";

/** Before or after the work; or a second round before it, blind, that only tells how repeatable one's own looks are. */
export const tableMoments = ["before", "again", "after"] as const;
export type TableMoment = (typeof tableMoments)[number];

/** What one check said of one side (none: of the whole, or which side stands out) at one moment of a visit. */
export type Answer = {
  moment: TableMoment;
  check: string;
  side: Side | null;
  way: Way;
  value: number;
  /** Whose look it was, where that is known. */
  by?: string;
  /** Error of a look by those hands, once it is known: until then the usual one counts. */
  own?: LookError;
};

/** An answer as it was pressed: null takes it back. */
export type Pressed = Omit<Answer, "value" | "by" | "own"> & { value: number | null };

/** What was pressed at the table, in its order; the latest of each kind counts. `by`: the practitioner, once it is stored. */
export type TableEvent = { id: string; at: string; kind: "answer"; body: Pressed; by?: string };

/** What one press of a check stands in the place of. */
export const answerSlot = ({ moment, check, side, way }: Pressed): string => [moment, check, side, way].join(" ");

/**
 * What stands after everything that was pressed, in the order it was pressed; with what is known of those hands, where it is
 * given. What is not stored yet was pressed by `looks.me`.
 */
export function answersAfter(events: readonly (TableEvent | { kind: string })[], looks?: Looks): Answer[] {
  const latest = new Map<string, Answer>();
  for (const { body, by = looks?.me } of events.filter((event): event is TableEvent => event.kind === "answer"))
    if (body.value === null) latest.delete(answerSlot(body));
    else {
      const own = by === undefined ? undefined : lookError(checkOf(body.check), body.way, looks?.by[by]);
      const known = own !== undefined && own.basis !== "usual";
      latest.set(answerSlot(body), { ...body, value: body.value, ...(by && { by }), ...(known && { own }) });
    }
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
export const answersTo = (check: Pick<Check, "key">, answers: readonly Answer[], moment: TableMoment): Answer[] =>
  answers.filter((each) => each.check === check.key && each.moment === moment);

/** Whether a check was answered at a moment: with both sides where each has its own. */
export function isAnswered(check: Check, answers: readonly Answer[], moment: TableMoment): boolean {
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
  moment: TableMoment,
  from: number,
): number | undefined {
  const order = list.map((_, i) => (from + i) % list.length);
  return order.find((i) => !isAnswered(list[i]!, answers, moment));
}
