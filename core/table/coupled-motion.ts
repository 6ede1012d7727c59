import { sideWord } from "../words";
import type { Side } from "../units";
import { answersTo, type Answer } from "./answers";
import { segmentGroups } from "./checks";

/** Where a turned segment comes level: sitting straight, bent forward, bent back, or nowhere. */
export const evensIn = ["straight", "bent forward", "bent back", "in none"] as const;
export type EvensIn = (typeof evensIn)[number];

/**
 * How segments are held, by which way they bend and turn together (Fryette 1918, from memory: side-bending and turning go to
 * opposite sides in neutral, to the same side bent forward or back).
 */
export type Coupling = {
  /** First: several segments, held in neutral. Second: one segment, held bent forward or back. */
  type: "first" | "second" | "ambiguous";
  /** How it is held, as a sentence. */
  held: string;
  /** Which way to work; undefined while it is ambiguous. */
  work: string | undefined;
  because: string;
  /** What would settle it. */
  settle: string | undefined;
};

const other = (side: Side): Side => (side === "L" ? "R" : "L");

/**
 * The reading of one segment group. `high`: the side that stands higher, to which it is turned. `short`: the hollow side, to
 * which it is bent. All sixteen cases have an answer; those in which the findings contradict each other say what would settle it.
 */
export function readCoupling(high: Side, short: Side, evens: EvensIn): Coupling {
  const [turned, bent, same] = [sideWord[high], sideWord[short], high === short];
  const together = same
    ? `It is bent and turned to the ${turned}`
    : `It is bent to the ${bent} and turned to the ${turned}`;
  if (evens === "in none" && !same)
    return {
      type: "first",
      held: `Several segments held in neutral, bent to the ${bent}, turned to the ${turned}.`,
      work: `Lengthen the ${bent} side, bring the high ${turned} side to the mid-line, then look again. Common practice: muscles first.`,
      because: `${together}: opposite sides go with neutral, and it stays bent forward and bent back.`,
      settle: undefined,
    };
  if ((evens === "bent forward" || evens === "bent back") && same) {
    const away = evens === "bent forward" ? "bent back" : "bent forward";
    return {
      type: "second",
      held: `One segment held ${evens}, bent and turned to the ${turned}.`,
      work: `Towards what it will not do: ${away}, bent and turned to the ${sideWord[other(high)]}; gently, and only as far as it goes by itself. Then look again.`,
      because: `${together}: the same side goes with being bent; it comes level ${evens}, where it is held, and stands out ${away}.`,
      settle: undefined,
    };
  }
  if (evens === "straight")
    return {
      type: "ambiguous",
      held: `${together}, and it is level while straight.`,
      work: undefined,
      because: same
        ? "The same side goes with being bent; which way it is held does not show while it is level straight."
        : "Opposite sides go with neutral, but in neutral it is level.",
      settle: "Look bent forward and bent back, one after the other: in which of them does it stand out?",
    };
  return same
    ? {
        type: "ambiguous",
        held: `${together}, and it comes level nowhere.`,
        work: undefined,
        because: "The same side goes with one segment held bent, but that comes level one way.",
        settle:
          "Bend further forward and back and look again; feel the ribs there, and ask about an old injury. It may be the shape of the bone.",
      }
    : {
        type: "ambiguous",
        held: `${together}, and it comes level ${evens}.`,
        work: undefined,
        because: "Opposite sides go with neutral, but what is held in neutral does not come level by bending.",
        settle:
          "Look at the hollow side again: is it one segment, or a curve of several with one in it that is held otherwise?",
      };
}

/** Every group whose high side, hollow side and level position were told. The latest of the moment counts. */
export function couplings(
  answers: readonly Answer[],
  moment: "before" | "after" = "before",
): { key: string; group: string; reading: Coupling }[] {
  return segmentGroups.flatMap(({ key, name }) => {
    const of = (check: string) => answersTo({ key: check }, answers, moment)[0]?.value;
    const [high, short, evens] = [of(`high-${key}`), of(`bend-${key}`), of(`evens-${key}`)];
    if (!high || !short || evens === undefined) return [];
    const side = (value: number): Side => (value > 0 ? "L" : "R");
    return [{ key, group: name, reading: readCoupling(side(high), side(short), evensIn[evens]!) }];
  });
}
