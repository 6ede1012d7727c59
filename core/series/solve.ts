import { anneal, type Found } from "./anneal";
import type { Stability } from "./draft";
import { inArcOrder, orderSteps } from "./order";
import type { Plan, PlanInput, PlannedSession, Step } from "./plan";
import { emptyArc } from "./arc-minutes";
import { arcOf } from "./arc-session";
import { verdictIn } from "./rulebook";
import { scoreOf } from "./score";
import { searchSpace, type Room } from "./search-space";
import { turnsFactor } from "./wishes";
import type { Technique } from "../techniques/technique";

/** Raised whenever the same input, seed and moves would find another plan than before. */
export const solverVersion = 4;

/** How long a plan is looked for: by changes tried, not by the clock, so that every machine finds the same plan. */
export type Effort = { seed: number; moves: number };
export const usualEffort: Effort = { seed: 1, moves: 80_000 };

/** Points by which a worse plan is still taken now and then: from nothing, and when an earlier plan is to be kept. */
const heat = { anew: { warm: 0.2, cold: 0.004 }, kept: { warm: 0.03, cold: 0.004 } };

/** Better plans are ordered and shown so many times at most while the search goes on. */
const showings = 20;

/**
 * Looks for a series plan that keeps every rule and has a high score (`score.ts`), in half minutes. `improved` is told
 * better plans as they are found, the first within milliseconds, with the share of the search that is done. The same
 * input, effort and kept plan give the same plan on every machine. Undefined when no plan was found: `prove.ts` says
 * what contradicts what. Blocks its thread: call it in a worker.
 */
export function solve(
  input: PlanInput,
  effort: Effort = usualEffort,
  improved: (plan: Plan, share: number) => void = () => undefined,
  stability?: Stability,
): Plan | undefined {
  const space = searchSpace(input);
  if (space.rooms.some(({ session }) => emptyArc(session, input))) return undefined;
  let found: Found | undefined;
  let shown = -Infinity;
  const orders = space.rooms.map((): Orders => new Map());
  const planOf = ({ halves }: Found): Plan => {
    const sessions = [...input.done, ...space.rooms.map((room, i) => sessionFrom(input, room, halves[i]!, orders[i]!))];
    return { sessions, score: scoreOf(input, sessions), made: { solver: solverVersion, ...effort } };
  };
  // to leave a position takes as much warmth as it costs
  const { warm, cold } = stability ? heat.kept : heat.anew;
  anneal(
    space,
    { ...effort, cold, warm: warm * turnsFactor(input) },
    (better, move) => {
      found = better;
      if (move - shown < effort.moves / showings) return;
      shown = move;
      improved(planOf(better), move / Math.max(1, effort.moves));
    },
    stability,
  );
  return found && planOf(found);
}

/** Orders found so far of one session, by the choices that are in: minutes do not change them. */
type Orders = Map<string, readonly Step[]>;

/** The steps of one session in order, each with its position. */
function sessionFrom(input: PlanInput, room: Room, half: Int16Array, orders: Orders): PlannedSession {
  const steps = new Map<string, Step>();
  const standing = new Set<number>();
  for (const [c, choice] of room.choices.entries()) {
    const minutes = choice.sides.map((_, k) => half[2 * c + k]! / 2);
    if (!minutes.some((each) => each > 0)) continue;
    standing.add(choice.positions);
    const on = (side: "L" | "R") => minutes[choice.sides.indexOf(side)] ?? 0;
    steps.set(choice.technique.key, {
      technique: choice.technique.key,
      position: null,
      minutes: choice.technique.sided ? { L: on("L"), R: on("R") } : { mid: minutes[0]! },
    });
  }
  const set = [...steps.keys()].join(" ");
  const stance = room.stances.find(({ bits }) => [...standing].every((set) => set === 0 || (set & bits) !== 0))!;
  const positionsOf = (technique: Technique) => verdictIn(technique, room.session, input).positions;
  const arc = arcOf(room.session, input);
  const ordered =
    orders.get(set) ??
    (arc
      ? inArcOrder([...steps.values()], arc, stance.positions, positionsOf)
      : orderSteps([...steps.values()], stance.positions, positionsOf));
  // a step's preparation is shallower and no oilier than the step, so some order always exists
  if (!ordered) throw new Error(`session ${room.session + 1}: its ${steps.size} steps have no order`);
  orders.set(set, ordered);
  return { steps: ordered.map(({ technique, position }) => ({ ...steps.get(technique)!, position })) };
}
