import { techniqueOf } from "../techniques/library";
import { arcOf, isListening } from "./arc-session";
import { halves, type PlanInput } from "./plan";
import { candidates, isClosing, isLeftOut, tableMinutesIn, timeRange, whyNot } from "./rulebook";

/** Why nothing of a session's arc is left to be worked, as a sentence; undefined where something is, or it is no arc. */
export function emptyArc(session: number, input: PlanInput): string | undefined {
  const work = arcOf(session, input)
    ?.map((part) => techniqueOf(part.technique))
    .filter((technique) => !isListening(technique) && !isClosing(technique));
  if (!work?.every((technique) => whyNot(technique, session, input) || isLeftOut(technique, session, input)))
    return undefined;
  const no = work.map((technique) => whyNot(technique, session, input)).find((each) => each !== undefined);
  return `nothing of its arc is left to be worked: ${no ?? "you left all of it out"}`;
}

const known = new WeakMap<PlanInput, Map<number, Map<string, number>>>();

/**
 * Minutes of each part of a session's arc, by its technique; undefined for a session that is no arc. No part of an arc is worth
 * more than another: what time there is beyond the least of all is shared out in proportion to what each may take, in whole
 * half minutes, the largest remainders first (Hamilton's method).
 */
export function arcMinutes(session: number, input: PlanInput): ReadonlyMap<string, number> | undefined {
  if (!arcOf(session, input)) return undefined;
  const sessions = known.get(input) ?? new Map<number, Map<string, number>>();
  known.set(input, sessions);
  const found = sessions.get(session) ?? shared(session, input);
  sessions.set(session, found);
  return found;
}

function shared(session: number, input: PlanInput): Map<string, number> {
  const parts = candidates(input, session)
    .filter((technique) => !isLeftOut(technique, session, input))
    .map((technique) => {
      const { least, most } = timeRange(technique, session, input);
      return { key: technique.key, least: halves(least), room: halves(most) - halves(least) };
    });
  const room = parts.reduce((sum, part) => sum + part.room, 0);
  const spare = halves(tableMinutesIn(session, input)) - parts.reduce((sum, part) => sum + part.least, 0);
  const share = room > 0 ? Math.max(0, Math.min(1, spare / room)) : 0;
  let left = Math.round(share * room);
  const dealt = parts.map((part) => {
    const whole = Math.floor(share * part.room + 1e-9);
    left -= whole;
    return { ...part, whole, rest: share * part.room - whole };
  });
  for (const part of [...dealt].sort((a, b) => b.rest - a.rest))
    if (left > 0 && part.whole < part.room) {
      part.whole += 1;
      left -= 1;
    }
  return new Map(dealt.map(({ key, least, whole }) => [key, (least + whole) / 2]));
}

/** What a plan that is solved may give to a step: in an arc what its share is, else anything in its range. */
export function solvedRange(
  technique: Parameters<typeof timeRange>[0],
  session: number,
  input: PlanInput,
  side?: "L" | "R" | "mid",
): { least: number; most: number } {
  const own = arcMinutes(session, input)?.get(technique.key);
  return own === undefined ? timeRange(technique, session, input, side) : { least: own, most: own };
}
