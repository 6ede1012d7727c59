import { techniqueOf } from "../techniques/library";
import type { Position, Technique } from "../techniques/technique";
import type { Step } from "./plan";
import { isClosing, isOpening, isRising, neededCover, prepares, regionsWorked, workingDepth } from "./rulebook";

const positions: readonly Position[] = ["prone", "supine", "side", "seated"];
const anywhere = positions.length;

/** What a step after another costs: turning the client dearly, going back up a layer or to another place a little. */
const cost = { turn: 10, shallower: 0.4, elsewhere: 0.15 };

/** Unfinished orders looked on from: to find a first good order, and to prove that none is better. */
const few = 40;
const many = 100_000;

/** The steps that are finished, the last of them, how the client lies; what that cost, and what the whole will at least. */
type State = {
  cost: number;
  least: number;
  mask: number;
  last: number;
  position: number;
  before: State | undefined;
};

/**
 * The best order of a session's steps, with a position for each: fewest turns, then from shallow to deep and from
 * place to neighbouring place. Preparation comes before what it prepares, dry before oil in the same region, opening
 * first, closing last.
 *
 * Exact for up to 20 steps between opening and closing: a dynamic programme over sets of finished steps (states: set,
 * last step, position; Held & Karp 1962, from memory), of which only those are looked on from that may still cost no more
 * than a good order found before. Undefined when no order obeys the rules.
 *
 * `allowed`: positions the session may use; all when left out. `positionsOf`: those a technique may be done in; its
 * own when left out.
 */
export function orderSteps(
  steps: readonly Step[],
  allowed: readonly Position[] = positions,
  positionsOf: (technique: Technique) => readonly Position[] = (technique) => technique.positions,
): Step[] | undefined {
  const kind = (step: Step) => {
    const technique = techniqueOf(step.technique);
    return isOpening(technique) ? 0 : isRising(technique) ? 3 : isClosing(technique) ? 2 : 1;
  };
  const usual = allowed.includes("supine") ? "supine" : (allowed[0] ?? "supine");
  const middle = steps.filter((step) => kind(step) === 1);
  const opening = steps.filter((step) => kind(step) === 0);
  const ending = [...steps.filter((step) => kind(step) === 2), ...steps.filter((step) => kind(step) === 3)];
  const n = middle.length;
  if (n > 20) return undefined;

  const techniques = middle.map((step) => techniqueOf(step.technique));
  const worked = techniques.map((technique) => new Set(regionsWorked(technique)));
  const places = techniques.map((technique) => {
    const own = positionsOf(technique);
    return own.length === 0
      ? [anywhere]
      : own.filter((position) => allowed.includes(position)).map((position) => positions.indexOf(position));
  });
  if (places.some((options) => options.length === 0)) return undefined;
  const opened = opening.map((step) => techniqueOf(step.technique));
  /** For each step: groups of which one member must be finished, and steps that must all be. */
  const oneOf = techniques.map((technique) =>
    neededCover(technique) === 0
      ? []
      : regionsWorked(technique)
          .filter((region) => !opened.some((cover) => prepares(cover, technique, region)))
          .map((region) =>
            techniques.reduce((mask, cover, i) => mask | (prepares(cover, technique, region) ? 1 << i : 0), 0),
          ),
  );
  const allOf = techniques.map((technique, i) =>
    technique.medium !== "oil"
      ? 0
      : techniques.reduce(
          (mask, other, j) =>
            mask |
            (j !== i && other.medium === "dry" && [...worked[j]!].some((region) => worked[i]!.has(region))
              ? 1 << j
              : 0),
          0,
        ),
  );
  const step = (from: number, to: number): number => {
    const up = workingDepth(techniques[to]!) < workingDepth(techniques[from]!) ? cost.shallower : 0;
    const near = [...worked[to]!].some((region) => worked[from]!.has(region));
    return up + (near ? 0 : cost.elsewhere);
  };
  const between = techniques.map((_, from) => techniques.map((__, to) => step(from, to)));

  const endings = ending.map((each) =>
    positionsOf(techniqueOf(each.technique))
      .filter((place) => allowed.includes(place))
      .map((place) => positions.indexOf(place)),
  );
  /** Where the closing steps are done after a position, and how often the client turns for them. */
  const endFrom = [...positions, anywhere].map((_, from) => {
    let position = from;
    let turns = 0;
    const lies = endings.map((options) => {
      if (options.length > 0 && !options.includes(position)) {
        if (position !== anywhere) turns++;
        position = options[0]!;
      }
      return position;
    });
    return { turns, lies };
  });
  /** Steps that can be done within a set of positions, and the turns that its best end asks for. */
  const within = Array.from({ length: 1 << positions.length }, (_, set) => ({
    set,
    size: positions.filter((__, place) => set & (1 << place)).length,
    serves: places.reduce(
      (mask, own, i) => (own.some((place) => place === anywhere || set & (1 << place)) ? mask | (1 << i) : mask),
      0,
    ),
  }));
  /** Turns that are left at the least: over every set of positions that serves what is still to be done. */
  const turnsLeft = (mask: number, position: number): number => {
    const left = ((1 << n) - 1) & ~mask;
    let least = Infinity;
    for (const { set, size, serves } of within) {
      if (left & ~serves) continue;
      let turns = position === anywhere ? Math.max(0, size - 1) : size - ((set >> position) & 1);
      if (turns >= least) continue;
      let end = endFrom[position]!.turns;
      for (let place = 0; place < positions.length; place++)
        if ((set >> place) & 1) end = Math.min(end, endFrom[place]!.turns);
      turns += end;
      if (turns < least) least = turns;
    }
    return least;
  };

  // The position after the opening: the one it is done in, or none yet.
  const openingPlaces = opened[0] ? positionsOf(opened[0]).filter((position) => allowed.includes(position)) : [];
  const starts = openingPlaces.length > 0 ? openingPlaces.map((position) => positions.indexOf(position)) : [anywhere];

  /** The cheapest order that costs no more than `most`, looking on from so many unfinished orders of each length at once. */
  function cheapest(width: number, most: number): State | undefined {
    let frontier = new Map<number, State>();
    for (const position of starts)
      frontier.set(position, { cost: 0, least: 0, mask: 0, last: -1, position, before: undefined });
    for (let done = 0; done < n; done++) {
      const next = new Map<number, State>();
      for (const state of frontier.values())
        for (let i = 0; i < n; i++) {
          if (state.mask & (1 << i)) continue;
          if (oneOf[i]!.some((group) => (state.mask & group) === 0) || (state.mask & allOf[i]!) !== allOf[i]) continue;
          for (const place of places[i]!) {
            const position = place === anywhere ? state.position : place;
            const turned = state.position !== anywhere && position !== state.position;
            const total = state.cost + (turned ? cost.turn : 0) + (state.last < 0 ? 0 : between[state.last]![i]!);
            const mask = state.mask | (1 << i);
            const key = (mask * 32 + i) * 8 + position;
            const known = next.get(key);
            if (known && total >= known.cost) continue;
            const least = total + cost.turn * turnsLeft(mask, position);
            if (least <= most + 1e-9) next.set(key, { cost: total, least, mask, last: i, position, before: state });
          }
        }
      frontier = next.size > width ? new Map([...next].sort((a, b) => a[1].least - b[1].least).slice(0, width)) : next;
    }
    // with nothing left to do, the least is what it costs
    return [...frontier.values()].reduce<State | undefined>(
      (best, state) => (best && best.least <= state.least ? best : state),
      undefined,
    );
  }
  const first = cheapest(few, Infinity);
  // Beyond some 10^5 states only the cheapest are looked on from: still a checkPlan order, no longer proven best.
  const best = cheapest(many, first?.least ?? Infinity) ?? first;
  if (!best) return undefined;

  const path: State[] = [];
  for (let state: State | undefined = best; state && state.last >= 0; state = state.before) path.unshift(state);
  const begun = path[0]?.before ?? best;
  const resolve = (index: number) =>
    positions[index] ?? positions[path.find((state) => state.position !== anywhere)?.position ?? anywhere] ?? usual;
  return [
    ...opening.map((each) => ({ ...each, position: resolve(begun.position) })),
    ...path.map((state) => ({ ...middle[state.last]!, position: resolve(state.position) })),
    ...ending.map((each, i) => ({ ...each, position: positions[endFrom[best.position]!.lies[i]!] ?? usual })),
  ];
}

/** The steps of an arc in the arc's own order, rising at the end; the client stays as they lie for as long as that will do. */
export function inArcOrder(
  steps: readonly Step[],
  arc: readonly { technique: string }[],
  allowed: readonly Position[],
  positionsOf: (technique: Technique) => readonly Position[],
): Step[] {
  const place = ({ technique }: Step) => {
    const at = arc.findIndex((part) => part.technique === technique);
    return at < 0 ? arc.length : at;
  };
  let lies = allowed.includes("supine") ? ("supine" as const) : (allowed[0] ?? "supine");
  return [...steps]
    .sort((a, b) => place(a) - place(b))
    .map((step) => {
      const own = positionsOf(techniqueOf(step.technique)).filter((position) => allowed.includes(position));
      if (own.length > 0 && !own.includes(lies)) lies = own[0]!;
      return { ...step, position: lies };
    });
}

/**
 * How often the client turns over in a session, as it is run: on the side all work on one side is done before the turn
 * to the other.
 */
export function turnsIn(steps: readonly Step[]): number {
  let turns = 0;
  for (const [i, step] of steps.entries()) {
    const before = steps[i - 1];
    if (before && step.position !== before.position) turns++;
    // the first of a run on the side: one more turn when both sides are worked in it
    if (step.position === "side" && before?.position !== "side") {
      const end = steps.findIndex((each, k) => k > i && each.position !== "side");
      const sides = new Set(steps.slice(i, end < 0 ? undefined : end).flatMap(({ minutes }) => sidesWorked(minutes)));
      if (sides.size > 1) turns++;
    }
  }
  return turns;
}

const sidesWorked = (minutes: Step["minutes"]): string[] =>
  "mid" in minutes ? [] : (["L", "R"] as const).filter((side) => minutes[side] > 0);
