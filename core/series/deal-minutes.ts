import type { Draft } from "./draft";
import { rulebook } from "./rulebook";

/** How many half minutes are traded for better ones after each change. */
const mostTrades = 8;

/** Whether a session's loads and its time face down hold. */
export function withinLoads(plan: Draft, s: number): boolean {
  const { hands, prone, room } = plan.held[s]!;
  for (let part = 0; part < hands.length; part++) if (hands[part]! > room.hands[part]! + 1e-6) return false;
  return prone <= room.prone + 1e-6;
}

/**
 * Deals out the minutes of a session whose steps have changed: takes half minutes back where they are missed least until
 * every budget holds, gives those that are free where they are worth most, and trades a few. False when the steps cannot
 * fit at all, or a rule of the frame is broken.
 */
export function fit(plan: Draft, s: number): boolean {
  const held = plan.held[s]!;
  const { room, kinds } = held;
  if (kinds.opening !== 1 || kinds.rising !== 1 || kinds.closing < rulebook.closings.least) return false;
  if (!plan.takeStance(s)) return false;
  while (plan.free(s) < 0) if (!take(plan, s, () => 1)) return false;
  for (let hand = 0; hand < held.hands.length; hand++)
    while (held.hands[hand]! > room.hands[hand]! + 1e-6)
      if (!take(plan, s, (c) => room.choices[c]!.hands[hand]!)) return false;
  while (held.prone > room.prone + 1e-6) if (!take(plan, s, (c) => room.choices[c]!.prone)) return false;
  fill(plan, s);
  for (let trade = 0; trade < mostTrades; trade++) {
    const before = plan.worth;
    const mark = plan.mark();
    if (!take(plan, s, () => 1) || !give(plan, s) || plan.worth <= before + 1e-9) {
      plan.undoTo(mark);
      break;
    }
  }
  return true;
}

/** Takes a half minute from where it is missed least for what it `frees`. False when every step is at its least. */
function take(plan: Draft, s: number, frees: (choice: number) => number): boolean {
  const { in: list, half, room } = plan.held[s]!;
  let part = -1;
  let least = Infinity;
  for (const c of list) {
    const free = frees(c);
    if (free <= 0) continue;
    const choice = room.choices[c]!;
    for (let k = 0; k < choice.sides.length; k++) {
      if (half[2 * c + k]! <= choice.least[k]!) continue;
      const missed = -plan.marginal(s, 2 * c + k, -1) / free;
      if (missed < least) [part, least] = [2 * c + k, missed];
    }
  }
  if (part < 0) return false;
  plan.set(s, part, half[part]! - 1);
  return true;
}

/** Whether a half minute more on a side of a choice keeps its own limit and the session's loads. */
function roomFor(plan: Draft, s: number, c: number, k: number): boolean {
  const { half, room, hands, prone } = plan.held[s]!;
  const choice = room.choices[c]!;
  for (const part of choice.tires) if (hands[part]! + choice.hands[part]! > room.hands[part]! + 1e-6) return false;
  return half[2 * c + k]! < choice.most[k]! && prone + choice.prone <= room.prone + 1e-6;
}

/** Gives a half minute to where it is worth most. False when it is worth nothing anywhere. */
function give(plan: Draft, s: number): boolean {
  const { in: list, half, room } = plan.held[s]!;
  let part = -1;
  let most = 1e-9;
  for (const c of list)
    for (let k = 0; k < room.choices[c]!.sides.length; k++) {
      if (!roomFor(plan, s, c, k)) continue;
      const worth = plan.marginal(s, 2 * c + k, 1);
      if (worth > most) [part, most] = [2 * c + k, worth];
    }
  if (part < 0) return false;
  plan.set(s, part, half[part]! + 1);
  return true;
}

const parts: number[] = [];
const worths: number[] = [];

/**
 * Gives every free half minute to where it is worth most. More of one thing never makes another worth more, so a worth
 * known from before is an upper bound, and only the largest has to be looked at again (Minoux 1978, from memory).
 */
function fill(plan: Draft, s: number) {
  const { in: list, half, room } = plan.held[s]!;
  let free = plan.free(s);
  if (free <= 0) return;
  parts.length = worths.length = 0;
  for (const c of list)
    for (let k = 0; k < room.choices[c]!.sides.length; k++) {
      parts.push(2 * c + k);
      worths.push(plan.marginal(s, 2 * c + k, 1));
    }
  let fresh = -1;
  while (free > 0) {
    let at = -1;
    let most = 1e-9;
    for (let i = 0; i < parts.length; i++) if (worths[i]! > most) [at, most] = [i, worths[i]!];
    if (at < 0) return;
    const part = parts[at]!;
    if (!roomFor(plan, s, part >> 1, part & 1)) worths[at] = 0;
    else if (fresh === at) {
      plan.set(s, part, half[part]! + 1);
      free--;
      fresh = -1;
    } else {
      worths[at] = plan.marginal(s, part, 1);
      fresh = at;
    }
  }
}
