import { faultOf, ways, type Pressed, type TableEvent } from "~core/table/answers";
import { headOf, type Refused } from "~app/event-head";

const oneOf = <T extends string>(value: unknown, list: readonly T[]): value is T =>
  typeof value === "string" && (list as readonly string[]).includes(value);

/** One answer as the table sends it, or why it is none: field, rule and value. */
export function parseAnswer(value: unknown): TableEvent | Refused {
  const head = headOf(value);
  if ("reason" in head) return head;
  const { id, at, kind } = head;
  if (kind !== "answer") return { id, reason: "Event: its kind is not known." };
  const sent = (typeof head.body === "object" && head.body !== null ? head.body : {}) as Record<string, unknown>;
  const { moment, check, side = null, way, value: answered = null } = sent;
  if (!oneOf(moment, ["before", "after"])) return { id, reason: "Moment: before or after." };
  if (typeof check !== "string") return { id, reason: "Check: choose one." };
  if (side !== null && !oneOf(side, ["L", "R"])) return { id, reason: "Side: left, right or none." };
  if (!oneOf(way, ways)) return { id, reason: "Way: by hand or measured." };
  if (answered !== null && (typeof answered !== "number" || !Number.isFinite(answered)))
    return { id, reason: "Value: a number." };
  const body: Pressed = { moment, check, side, way, value: answered };
  const fault = faultOf(body);
  return fault ? { id, reason: fault } : { id, at, kind, body };
}
