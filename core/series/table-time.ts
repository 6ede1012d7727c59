import { counted } from "../words";
import { turnsIn } from "./order";
import { sessionMinutes, type PlannedSession } from "./plan";
import { rulebook } from "./rulebook";
import type { Minutes } from "../units";

/** What a session takes at the table: hands on, and the turns as its order has them. In half minutes, so nothing is rounded. */
export function tableTime(session: PlannedSession): { work: Minutes; turns: number; all: Minutes } {
  const work = sessionMinutes(session);
  const turns = turnsIn(session.steps);
  return { work, turns, all: work + rulebook.turn * turns };
}

/** "67 min of work and 5 turns, 72 of 70 min"; without a limit "…, 72 min". */
export function tableTimeWords(session: PlannedSession, of?: Minutes): string {
  const { work, turns, all } = tableTime(session);
  const limit = of === undefined ? "" : ` of ${of}`;
  return turns === 0
    ? `${work}${limit} min, no turns`
    : `${work} min of work and ${counted(turns, "turn")}, ${all}${limit} min`;
}
