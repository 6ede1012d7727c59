import { edgeFault, type EdgeEvent, type EdgeOfTable } from "~core/move/edge-of-table";
import { drives, rangeFault, type Taken } from "~core/move/ranges";
import type { EndFeel } from "~core/move/movements";
import { faultOf, tableMoments, ways, type Pressed } from "~core/table/answers";
import { headOf, isId, type Refused } from "~app/event-head";
import type { PressedEvent } from "~data/session-events";
import { arc, bone, still, unwind } from "./parse-light";
import { isNumber, oneOf, type Body } from "./parse-parts";

function answer({ moment, check, side = null, way, value = null }: Record<string, unknown>): Body<Pressed> {
  if (!oneOf(moment, tableMoments)) return { reason: "Moment: before, again or after." };
  if (typeof check !== "string") return { reason: "Check: choose one." };
  if (side !== null && !oneOf(side, ["L", "R"])) return { reason: "Side: left, right or none." };
  if (!oneOf(way, ways)) return { reason: "Way: by hand or measured." };
  if (value !== null && !isNumber(value)) return { reason: "Value: a number." };
  const body: Pressed = { moment, check, side, way, value };
  const reason = faultOf(body);
  return reason ? { reason } : { body };
}

function range(sent: Record<string, unknown>): Body<Taken> {
  const { moment, movement, side = null, drive, values, endFeel = null, pain = null } = sent;
  if (!oneOf(moment, ["before", "after"])) return { reason: "Moment: before or after." };
  if (typeof movement !== "string") return { reason: "Movement: choose one." };
  if (side !== null && !oneOf(side, ["L", "R"])) return { reason: "Side: left, right or none." };
  if (!oneOf(drive, drives)) return { reason: "Active or passive: choose one." };
  if (!Array.isArray(values) || !values.every(isNumber)) return { reason: "Values: a list of numbers." };
  if (pain !== null && !isNumber(pain)) return { reason: "Pain: a number." };
  const body: Taken = { moment, movement, side, drive, values, endFeel: endFeel as EndFeel | null, pain };
  const reason = rangeFault(body);
  return reason ? { reason } : { body };
}

function edge({ moment, side, angles = null }: Record<string, unknown>): Body<EdgeEvent["body"]> {
  if (!oneOf(moment, ["before", "after"])) return { reason: "Moment: before or after." };
  if (!oneOf(side, ["L", "R"])) return { reason: "Side: left or right." };
  if (angles === null) return { body: { moment, side, angles } };
  const { thigh, knee, drift, thighStraight } = angles as EdgeOfTable;
  const own: EdgeOfTable = { thigh, knee, drift, ...(thighStraight === undefined ? {} : { thighStraight }) };
  const reason = edgeFault(own);
  return reason ? { reason } : { body: { moment, side, angles: own } };
}

/** What was in sight when it was pressed: a few ids. */
const seen = (over: unknown): over is string[] => Array.isArray(over) && over.length <= 2 && over.every(isId);

const kinds = { answer, range, edge, bone, still, unwind, arc };

/** What was pressed, as the page sends it, or why it is none: field, rule and value. */
export function parsePressed(value: unknown): PressedEvent | Refused {
  const head = headOf(value);
  if ("reason" in head) return head;
  const { id, at, kind } = head;
  if (!oneOf(kind, Object.keys(kinds) as (keyof typeof kinds)[]))
    return { id, reason: "Event: its kind is not known." };
  const sent = typeof head.body === "object" && head.body !== null ? (head.body as Record<string, unknown>) : {};
  const read = kinds[kind](sent);
  if ("reason" in read) return { id, reason: read.reason };
  const { over } = sent;
  if (over !== undefined && !seen(over)) return { id, reason: "What was in sight: two ids at most." };
  return { id, at, kind, body: { ...read.body, ...(over && { over }) } } as PressedEvent;
}
