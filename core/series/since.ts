import type { Target } from "../reading/target";
import { techniqueOf } from "../techniques/library";
import { counted } from "../words";
import { arcOf, isListening } from "./arc-session";
import { differenceWords, type StepDifference } from "./edit";
import { whyStep } from "./explain";
import { minutesOf, type PlanInput, type PlannedSession, type Step } from "./plan";
import { isRising, offeredIn } from "./rulebook";
import { coverageItems, doseOfStep } from "./score";

/** What a plan was solved for, and what it holds. */
export type Solved = { sessions: readonly PlannedSession[]; targets: readonly Target[] };

/** What came since a plan was solved: of its targets, and of the sessions that were worked. */
export type Since = {
  fresh: Target[];
  /** Nothing asks for them any more: even, free, or left out of the reading. */
  met: Target[];
  heavier: Target[];
  lighter: Target[];
  /** Steps that were planned and not worked, by session (from 0). */
  skipped: { session: number; techniques: string[] }[];
  /** Steps still to come whose technique was changed or retired in the library, by session. */
  outdated: { session: number; techniques: string[] }[];
};

/** A weight that differs by less is the same finding, read once more. */
const leastShift = 0.25;
/** Worked for less than this share of what was planned, a step still is to be done. */
const leastWorked = 0.5;

const placeOf = ({ structures, region, layer, side }: Target): string =>
  `${structures?.join(" ") ?? `${region} ${layer}`} ${side}`;

/** Several findings may ask for one place: the heaviest of them speaks for it. */
function heaviestByPlace(targets: readonly Target[]): Map<string, Target> {
  const found = new Map<string, Target>();
  for (const target of targets) {
    const known = found.get(placeOf(target));
    if (!known || target.weight > known.weight) found.set(placeOf(target), target);
  }
  return found;
}

export function sinceSolved(plan: Solved, input: PlanInput): Since {
  const [before, now] = [heaviestByPlace(plan.targets), heaviestByPlace(input.targets)];
  const shifted = (sign: 1 | -1) =>
    [...now.values()].filter((target) => {
      const was = before.get(placeOf(target));
      return (
        was !== undefined && sign * (target.weight - was.weight) > leastShift * Math.max(was.weight, target.weight)
      );
    });
  const offered = new Set(offeredIn(input).map(({ key }) => key));
  return {
    outdated: plan.sessions.flatMap(({ steps }, session) => {
      const techniques = steps.map(({ technique }) => technique).filter((key) => !offered.has(key));
      return session >= input.done.length && techniques.length > 0 ? [{ session, techniques }] : [];
    }),
    fresh: [...now.values()].filter((target) => !before.has(placeOf(target))),
    met: [...before.values()].filter((target) => !now.has(placeOf(target))),
    heavier: shifted(1),
    lighter: shifted(-1),
    skipped: input.done.flatMap((worked, session) => {
      const spent = new Map(worked.steps.map((step) => [step.technique, minutesOf(step.minutes)]));
      // in an arc the tissue leads: what was held at all was worked
      const share = arcOf(session, input) ? 0 : leastWorked;
      const techniques = (plan.sessions[session]?.steps ?? [])
        .filter(({ technique, minutes }) => {
          // nothing is made up for by listening or rising another time
          if (isListening(techniqueOf(technique)) || isRising(techniqueOf(technique))) return false;
          const given = spent.get(technique);
          return given === undefined || given < share * minutesOf(minutes);
        })
        .map(({ technique }) => technique);
      return techniques.length > 0 ? [{ session, techniques }] : [];
    }),
  };
}

const named = (targets: readonly Target[]) => {
  const names = targets.slice(0, 3).map(({ name }) => name.toLowerCase());
  return `${names.join("; ")}${targets.length > 3 ? ` and ${targets.length - 3} more` : ""}`;
};

const listed = (keys: readonly string[]) =>
  `${keys
    .slice(0, 4)
    .map((key) => techniqueOf(key).name.toLowerCase())
    .join(", ")}${keys.length > 4 ? ` and ${keys.length - 4} more` : ""}`;

/** "1 finding is new (…). 2 are met (…). 3 steps were not worked (…).": sentences, none where nothing came since. */
export function sinceWords({ fresh, met, heavier, lighter, skipped, outdated }: Since): string[] {
  const of = (list: readonly Target[], word: (n: number) => string) =>
    list.length > 0 ? [`${word(list.length)}: ${named(list)}.`] : [];
  return [
    ...of(fresh, (n) => `${counted(n, "target")} ${n === 1 ? "is" : "are"} new`),
    ...of(met, (n) => `${counted(n, "target")} ${n === 1 ? "asks" : "ask"} for nothing any more`),
    ...of(heavier, (n) => `${counted(n, "target")} ${n === 1 ? "weighs" : "weigh"} more`),
    ...of(lighter, (n) => `${counted(n, "target")} ${n === 1 ? "weighs" : "weigh"} less`),
    ...skipped.map(
      ({ session, techniques }) =>
        `Session ${session + 1}: ${counted(techniques.length, "step")} not worked (${listed(techniques)}).`,
    ),
    ...outdated.map(
      ({ session, techniques }) =>
        `Session ${session + 1}: changed or retired in the library since: ${listed(techniques)}.`,
    ),
  ];
}

/** "5 targets are new, 3 ask for nothing any more, 2 steps were not worked": the same in one line; "" where nothing came since. */
export function sinceInShort({ fresh, met, heavier, lighter, skipped, outdated }: Since): string {
  const all = (list: Since["skipped"]) => list.reduce((sum, { techniques }) => sum + techniques.length, 0);
  const [steps, old] = [all(skipped), all(outdated)];
  const parts = [
    [fresh.length, "is new", "are new"],
    [met.length, "asks for nothing any more", "ask for nothing any more"],
    [heavier.length, "weighs more", "weigh more"],
    [lighter.length, "weighs less", "weigh less"],
  ] as const;
  const targets = parts
    .filter(([n]) => n > 0)
    .map(([n, one, many], i) => `${i === 0 ? counted(n, "target") : n} ${n === 1 ? one : many}`);
  return [
    ...targets,
    ...(steps > 0 ? [`${counted(steps, "step")} ${steps === 1 ? "was" : "were"} not worked`] : []),
    ...(old > 0 ? [`${counted(old, "technique")} ${old === 1 ? "was" : "were"} changed or retired`] : []),
  ].join(", ");
}

/** Why a step differs between the plan in force and the one that is offered, as a sentence. */
export function whyDifferent(
  input: PlanInput,
  solved: Solved,
  after: readonly PlannedSession[],
  each: StepDifference,
): string {
  const session = each.kind === "moved" ? each.to : each.session;
  const step = after[session]?.steps.find(({ technique }) => technique === each.technique);
  if (step && each.kind !== "shorter") {
    const returned = input.done.some(
      (worked, s) =>
        solved.sessions[s]?.steps.some(({ technique }) => technique === each.technique) &&
        !worked.steps.some(({ technique }) => technique === each.technique),
    );
    const [why] = whyStep(input, after, session, step);
    return returned ? `It was left out before. ${why}` : why!;
  }
  const was = solved.sessions[session]?.steps.find(({ technique }) => technique === each.technique);
  const less = was ? servedLess(input, solved, was) : [];
  return less.length > 0 ? `Less is asked of ${named(less)}.` : "Its minutes do more elsewhere now.";
}

/** Targets a step served when the plan was solved, and that ask for less or nothing now. */
function servedLess(input: PlanInput, { targets }: Solved, step: Step): Target[] {
  const items = coverageItems({ ...input, targets });
  const now = new Map(input.targets.map((target) => [placeOf(target), target.weight]));
  return targets.filter((target) => {
    const item = items.find(({ id }) => id === `target ${target.id}`);
    return (
      item !== undefined &&
      doseOfStep(step, item) >= 0.5 &&
      (now.get(placeOf(target)) ?? 0) < (1 - leastShift) * target.weight
    );
  });
}

/** A difference with its reason, one line. */
export const differenceWithReason = (
  input: PlanInput,
  solved: Solved,
  after: readonly PlannedSession[],
  each: StepDifference,
): { what: string; why: string } => ({ what: differenceWords(each), why: whyDifferent(input, solved, after, each) });
