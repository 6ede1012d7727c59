import { techniqueOf } from "../techniques/library";
import { alike } from "../techniques/find";
import type { Position, Technique } from "../techniques/technique";
import { turnsIn } from "./order";
import { minutesOf, type PlanInput, type PlannedSession, type Step, type StepMinutes } from "./plan";
import {
  dosed,
  dryAfterOil,
  isClosing,
  isOpening,
  isRising,
  neededCover,
  positionsIn,
  prepares,
  regionsWorked,
  timeRange,
  usualMinutes,
  verdictIn,
  whyNot,
} from "./rulebook";
import { violations, type Violation } from "./rules";
import { scoreOf } from "./score";

/** One change by hand. Sessions count from 0; `by` in whole half minutes a side. */
export type Edit =
  | { kind: "move"; technique: string; from: number; to: number }
  | { kind: "time"; technique: string; session: number; by: number }
  | { kind: "add"; technique: string; session: number }
  | { kind: "replace"; technique: string; session: number; with: string }
  | { kind: "remove"; technique: string; session: number };

const phaseOf = (technique: Technique) =>
  isOpening(technique) ? 0 : isRising(technique) ? 3 : isClosing(technique) ? 2 : 1;

/** Rules of order that a row of steps breaks: phases, dry before oil, preparation. */
function faultsIn(steps: readonly Step[]): number {
  const own = steps.map((step) => techniqueOf(step.technique));
  let faults = 0;
  for (const [i, technique] of own.entries()) {
    const before = own.slice(0, i);
    if (before.some((earlier) => phaseOf(earlier) > phaseOf(technique))) faults += 1;
    if (before.some((earlier) => dryAfterOil(earlier, technique))) faults += 1;
    if (neededCover(technique) > 0)
      faults += regionsWorked(technique).filter(
        (region) => !before.some((cover) => prepares(cover, technique, region)),
      ).length;
  }
  return faults;
}

/** A step put where it breaks least of the order and turns the client least; the others stay in their order. */
function inserted(
  input: PlanInput,
  session: number,
  steps: readonly Step[],
  technique: Technique,
  minutes: StepMinutes,
): Step[] {
  const allowed = positionsIn(session, input);
  const own = verdictIn(technique, session, input).positions.filter((position) => allowed.includes(position));
  let best: { steps: Step[]; cost: number } | undefined;
  for (let at = 0; at <= steps.length; at++) {
    const beside = (steps[at - 1] ?? steps[at])?.position ?? allowed[0] ?? null;
    const places: readonly (Position | null)[] =
      own.length > 0 ? own : [technique.positions.length > 0 ? null : beside];
    for (const position of places) {
      const row = [...steps.slice(0, at), { technique: technique.key, position, minutes }, ...steps.slice(at)];
      const cost = 100 * faultsIn(row) + turnsIn(row);
      if (!best || cost < best.cost) best = { steps: row, cost };
    }
  }
  return best!.steps;
}

const halfMinutes = (minutes: StepMinutes, change: (each: number, side: "L" | "R" | "mid") => number): StepMinutes =>
  "mid" in minutes
    ? { mid: change(minutes.mid, "mid") }
    : { L: minutes.L === 0 ? 0 : change(minutes.L, "L"), R: minutes.R === 0 ? 0 : change(minutes.R, "R") };

/**
 * A plan after one change by hand. What does not exist, or is there already, changes nothing; rules may be broken by it:
 * `weigh` says which. Sessions that were worked are not changed.
 */
export function edited(input: PlanInput, sessions: readonly PlannedSession[], edit: Edit): PlannedSession[] {
  const next = sessions.map(({ steps }) => ({ steps: [...steps] }));
  const open = (session: number) => session >= input.done.length && next[session] !== undefined;
  const find = (session: number) => next[session]?.steps.find((step) => step.technique === edit.technique);
  const take = (session: number) => {
    next[session] = { steps: next[session]!.steps.filter((step) => step.technique !== edit.technique) };
  };
  const put = (session: number, key: string, minutes?: StepMinutes) => {
    const technique = techniqueOf(key);
    if (next[session]!.steps.some((step) => step.technique === key)) return;
    const dose = minutes ?? dosed(technique, usualMinutes(technique, session, input), session, input);
    next[session] = { steps: inserted(input, session, next[session]!.steps, technique, dose) };
  };
  if (edit.kind === "move") {
    const step = find(edit.from);
    if (!step || !open(edit.from) || !open(edit.to) || find(edit.to)) return next;
    take(edit.from);
    // a side may be closed there, or open again: the dose stays, its sides are the session's own
    const technique = techniqueOf(step.technique);
    const each = "mid" in step.minutes ? step.minutes.mid : Math.max(step.minutes.L, step.minutes.R);
    put(edit.to, step.technique, dosed(technique, each, edit.to, input));
    return next;
  }
  const { session } = edit;
  if (!open(session)) return next;
  if (edit.kind === "add") put(session, edit.technique);
  else if (!find(session)) return next;
  else if (edit.kind === "remove") take(session);
  else if (edit.kind === "replace") {
    if (edit.with === edit.technique || next[session]!.steps.some((step) => step.technique === edit.with)) return next;
    take(session);
    put(session, edit.with);
  } else {
    const technique = techniqueOf(edit.technique);
    const within = (each: number, side: "L" | "R" | "mid") => {
      const { least, most } = timeRange(technique, session, input, side);
      return Math.min(most, Math.max(least, each));
    };
    next[session] = {
      steps: next[session]!.steps.map((step) =>
        step.technique === edit.technique
          ? {
              ...step,
              minutes: halfMinutes(step.minutes, (each, side) => within(each + edit.by / 2, side)),
            }
          : step,
      ),
    };
  }
  return next;
}

/**
 * What a change costs or gains in points, and which rules it breaks or mends, each a sentence. `standing`: broken before and
 * after, as by findings or work that came after the plan was solved.
 */
export type Weighed = { points: number; broken: Violation[]; mended: Violation[]; standing: Violation[] };

export function weigh(input: PlanInput, before: readonly PlannedSession[], after: readonly PlannedSession[]): Weighed {
  const [was, is] = [violations(input, before), violations(input, after)];
  const missing = (list: readonly Violation[], from: readonly Violation[]) =>
    list.filter(({ sentence }) => !from.some((other) => other.sentence === sentence));
  return {
    points: scoreOf(input, after) - scoreOf(input, before),
    broken: missing(is, was),
    mended: missing(was, is),
    standing: is.filter((each) => !missing([each], was).length),
  };
}

/** How a step differs between two plans; `from` and `to` are sessions, minutes those of the later plan, or of the one it left. */
export type StepDifference =
  | { kind: "moved"; technique: string; from: number; to: number }
  | { kind: "new"; technique: string; session: number; minutes: number }
  | { kind: "gone"; technique: string; session: number; minutes: number }
  | { kind: "longer" | "shorter"; technique: string; session: number; minutes: number; by: number };

/**
 * Every step that differs from session `from` on (those before it were worked): what left one session and came to another is
 * moved, not gone and new.
 */
export function differences(
  before: readonly PlannedSession[],
  after: readonly PlannedSession[],
  from = 0,
): StepDifference[] {
  const gone: { technique: string; session: number; minutes: number }[] = [];
  const fresh: typeof gone = [];
  const timed: StepDifference[] = [];
  for (let session = from; session < Math.max(before.length, after.length); session++) {
    const [was, is] = [before[session]?.steps ?? [], after[session]?.steps ?? []];
    for (const step of was) {
      const same = is.find(({ technique }) => technique === step.technique);
      const minutes = minutesOf(step.minutes);
      if (!same) gone.push({ technique: step.technique, session, minutes });
      else {
        const by = minutesOf(same.minutes) - minutes;
        if (Math.abs(by) > 1e-9)
          timed.push({
            kind: by > 0 ? "longer" : "shorter",
            technique: step.technique,
            session,
            minutes: minutes + by,
            by: Math.abs(by),
          });
      }
    }
    for (const step of is)
      if (!was.some(({ technique }) => technique === step.technique))
        fresh.push({ technique: step.technique, session, minutes: minutesOf(step.minutes) });
  }
  const moved: StepDifference[] = [];
  for (const one of [...gone]) {
    const to = fresh.find(({ technique }) => technique === one.technique);
    if (!to) continue;
    moved.push({ kind: "moved", technique: one.technique, from: one.session, to: to.session });
    gone.splice(gone.indexOf(one), 1);
    fresh.splice(fresh.indexOf(to), 1);
  }
  return [
    ...moved,
    ...gone.map((each): StepDifference => ({ kind: "gone", ...each })),
    ...fresh.map((each): StepDifference => ({ kind: "new", ...each })),
    ...timed,
  ];
}

const tenth = (minutes: number) => Math.round(10 * minutes) / 10;

/** "Calf melt: from session 3 to session 4", "Calf melt, session 3: 4 min, 1 less". */
export function differenceWords(each: StepDifference): string {
  const { name } = techniqueOf(each.technique);
  if (each.kind === "moved") return `${name}: from session ${each.from + 1} to session ${each.to + 1}`;
  const at = `${name}, session ${each.session + 1}`;
  if (each.kind === "new") return `${at}: new, ${tenth(each.minutes)} min`;
  if (each.kind === "gone") return `${at}: gone, ${tenth(each.minutes)} min`;
  return `${at}: ${tenth(each.minutes)} min, ${tenth(each.by)} ${each.kind === "longer" ? "more" : "less"}`;
}

/** Techniques that may be in a session and are not, those that reach most of the same structures as another first. */
export function insteadOf(
  input: PlanInput,
  planned: PlannedSession,
  session: number,
  technique: Technique,
  all: readonly Technique[],
): Technique[] {
  return alike(technique, all)
    .map((each) => each.technique)
    .filter(({ key }) => !planned.steps.some((step) => step.technique === key))
    .filter((other) => whyNot(other, session, input) === undefined);
}
