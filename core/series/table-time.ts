import { counted } from "../words";
import { turnsIn } from "./order";
import { sessionMinutes, type PlannedSession } from "./plan";
import { rulebook } from "./rulebook";
import type { Minutes } from "../units";

/**
 * What a session takes at the table: hands on, and the turns as its order has them. A plan is in half minutes and what was
 * worked in tenths; the sum is rounded to those, once.
 */
export function tableTime(session: PlannedSession): { work: Minutes; turns: number; all: Minutes } {
  const work = Math.round(10 * sessionMinutes(session)) / 10;
  const turns = turnsIn(session.steps);
  return { work, turns, all: Math.round(10 * (work + rulebook.turn * turns)) / 10 };
}

/** "67 min of work and 5 turns, 72 of 70 min"; without a limit "…, 72 min". */
export function tableTimeWords(session: PlannedSession, of?: Minutes): string {
  const { work, turns, all } = tableTime(session);
  const limit = of === undefined ? "" : ` of ${of}`;
  return turns === 0
    ? `${work}${limit} min, no turns`
    : `${work} min of work and ${counted(turns, "turn")}, ${all}${limit} min`;
}
