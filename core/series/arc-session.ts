import { holds, listeningAgain, listeningFirst, partsOfForm, type ArcPart } from "../light-touch/arc-steps";
import type { Technique } from "../techniques/technique";
import { sessionsOf, type Coursed } from "./course";

/** What a session makes of the light-touch arc, in its order; undefined for a session that is no arc. */
export function arcOf(session: number, input: Coursed): ArcPart[] | undefined {
  const { arc } = sessionsOf(input)[session] ?? {};
  return arc && partsOfForm(arc);
}

/** Listening is what an arc begins and ends with: no one leaves it out. */
/** Parts of a whole that is told elsewhere (the arc, rising): none of them is changed or retired by itself. */
const fixed = new Set([
  ...holds.map(({ technique }) => technique),
  "lt-still-point",
  listeningFirst,
  listeningAgain,
  "rise-slowly",
]);
export const isFixed = (stem: string): boolean => fixed.has(stem);

export const isListening = ({ key }: Technique): boolean => key === listeningFirst || key === listeningAgain;
