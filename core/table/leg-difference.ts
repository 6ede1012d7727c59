import { z95 } from "../units";
import type { Answer } from "./answers";
import { checkOf } from "./checks";
import { leftLessRight, resultsOf, type Result } from "./results";

/**
 * What a difference between the legs comes from: "functional" goes with the pelvis, "structural" is only ever suspected, and
 * settled by imaging.
 */
export type LegReading = {
  conclusion: "even" | "functional" | "suspected structural" | "both" | "cannot be told";
  /** What speaks for it, a sentence each, in the order it was found. */
  because: string[];
  /** What would settle it. */
  next: string | undefined;
};

/** A difference that most healthy people have (Knutson 2005: mean 5.2 mm, SD 4.1; from memory). */
export const commonDifference = 5;

type Sign = { for: "functional" | "structural"; says: string };

const shortSide = (value: number) => (value > 0 ? "left" : "right");

/** Whether a difference changed between two looks: by more than both errors; stayed, within half of itself; or neither can be told. */
function changed(first: Result, second: Result): "changed" | "stayed" | undefined {
  const band = z95 * Math.hypot(first.se, second.se);
  const by = second.value - first.value;
  if (Math.abs(by) > band) return "changed";
  return Math.abs(by) + band < Math.abs(first.value) ? "stayed" : undefined;
}

/** The same way of looking at both; measured before graded. */
function pairOf(first: readonly Result[], second: readonly Result[]): [Result, Result] | undefined {
  for (const way of ["measured", "hand"] as const) {
    const [a, b] = [first.find((each) => each.way === way), second.find((each) => each.way === way)];
    if (a && b) return [a, b];
  }
  return undefined;
}

/**
 * Reads the ankle bones lying, after work on the pelvis and sitting up, and the tape: what changes with the pelvis is
 * functional, what stays through everything is suspected to be structural. Common practice.
 */
export function readLegs(answers: readonly Answer[]): LegReading | undefined {
  const malleoli = checkOf("malleoli");
  const lying = resultsOf(malleoli, answers, "before");
  if (lying.length === 0) return undefined;
  const main = lying.find((each) => each.way === "measured") ?? lying[0]!;
  const measured = main.way === "measured";
  const size = measured ? `${Math.abs(main.value)} ±${Math.round(z95 * main.se)} mm` : `graded ${Math.abs(main.value)}`;
  if (measured ? Math.abs(main.value) <= commonDifference : main.value === 0)
    return {
      conclusion: "even",
      because: [
        measured && main.value !== 0 ? `${size}: up to 5 mm is common in the healthy.` : "The ankle bones are even.",
      ],
      next: undefined,
    };
  const short = shortSide(main.value);
  const because = [`Lying face up the ${short} leg is short, ${size}.`];
  const signs: Sign[] = [];
  const look = (second: readonly Result[], when: string) => {
    const pair = pairOf(lying, second);
    if (!pair) return;
    const how = changed(...pair);
    const to = pair[1].value === 0 ? "even" : `${shortSide(pair[1].value)} short`;
    if (how === "changed")
      signs.push({ for: "functional", says: `${when} it changed (${to}): it goes with the pelvis.` });
    else if (how === "stayed")
      signs.push({ for: "structural", says: `${when} it stayed (${to}): the pelvis does not make it.` });
    else because.push(`${when} it cannot be told whether it changed: both looks differ by less than their error.`);
  };
  look(resultsOf(malleoli, answers, "after"), "After the work on the pelvis");
  look(resultsOf(checkOf("malleoli-sitting"), answers, "before"), "Sitting up");
  const tape = leftLessRight(resultsOf(checkOf("leg-tape"), answers, "before"));
  if (tape) {
    const band = z95 * tape.se;
    // a leg is short by the tape where its length is less: the sign is the other way round
    const value = -tape.value;
    const said = `By the tape ${value === 0 ? "both are as long" : `the ${shortSide(value)} leg is ${Math.abs(value)} ±${Math.round(band)} mm shorter`}`;
    const [same, told] = [shortSide(value) === short, Math.abs(value) > band];
    // less than the ankle bones say, by more than the error of both
    const less = measured && Math.abs(main.value - value) > z95 * Math.hypot(main.se, tape.se);
    if (told && same && !less) signs.push({ for: "structural", says: `${said}: the same leg.` });
    else if (less || (told && !same)) signs.push({ for: "functional", says: `${said}: not what the ankle bones say.` });
    else because.push(`${said}: within its error, it tells neither.`);
  }
  because.push(...signs.map(({ says }) => says));
  const [functional, structural] = (["functional", "structural"] as const).map(
    (kind) => signs.filter((sign) => sign.for === kind).length,
  ) as [number, number];
  if (functional > 0 && structural > 0)
    return {
      conclusion: "both",
      because,
      next: "A difference of the bones may lie under one of the pelvis: work the pelvis again, then look once more.",
    };
  if (functional > 0)
    return { conclusion: "functional", because, next: "Work the pelvis and the hip rotators; look again after it." };
  if (structural > 0)
    return {
      conclusion: "suspected structural",
      because,
      next: "Hands cannot settle it: only imaging can. A lift is for those who are licensed to prescribe one.",
    };
  return {
    conclusion: "cannot be told",
    because,
    next:
      resultsOf(checkOf("malleoli-sitting"), answers, "before").length === 0
        ? "Let them sit up with straight legs and look again."
        : "Work the pelvis, then look at the ankle bones again.",
  };
}
