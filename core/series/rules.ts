import { sideWord } from "../words";
import { placeNames } from "../anatomy/places";
import { regionKeys, regionName } from "../anatomy/regions";
import { isTechnique, stemOf, techniqueOf } from "../techniques/library";
import { positionName, type Technique } from "../techniques/technique";
import { minutesOf, sessionMinutes, type PlanInput, type PlannedSession, type Step } from "./plan";
import { emptyArc } from "./arc-minutes";
import { arcOf, isListening } from "./arc-session";
import { complaintNeed, helpsComplaint } from "./complaint";
import {
  dwellsIn,
  facing,
  isClosing,
  isLeftOut,
  isClosed,
  isLightBlock,
  lockedMinutes,
  isOpening,
  isRising,
  mostLightBlocks,
  neededCover,
  needsOpened,
  opensRegion,
  positionsIn,
  prepares,
  proneMinutesIn,
  regionsWorked,
  repeatsAllowed,
  rulebook,
  strongIn,
  tableMinutesIn,
  timeRange,
  verdictIn,
  whyNot,
  turnMinutes,
} from "./rulebook";
import { positionsUsed } from "./score";
import { sessionsOf } from "./course";
import { handPartName, handParts } from "../techniques/hand-parts";
import { budgetIn, sessionLoad } from "./hands";

export type RuleName =
  | "technique"
  | "safety"
  | "opening and closing"
  | "time"
  | "step length"
  | "preparation"
  | "opened before"
  | "recovery"
  | "repeats"
  | "light touch"
  | "arc"
  | "positions"
  | "hands"
  | "complaint"
  | "front and back"
  | "order"
  | "locks"
  | "length of series";

/** A rule a plan breaks, where, and by how much (in the unit the sentence names). */
export type Violation = { rule: RuleName; session: number; sentence: string; by: number };

const slack = 1e-6;
const of = (step: Step): Technique => techniqueOf(step.technique);

/**
 * Checks a plan against every rule, without the solver's help: the server refuses what this finds fault with.
 * Sessions already done are not judged, but count for what they opened and tired.
 */
export function violations(input: PlanInput, sessions: readonly PlannedSession[]): Violation[] {
  const found: Violation[] = [];
  const { length } = sessionsOf(input);
  const say = (rule: RuleName, session: number, sentence: string, by = 1) =>
    found.push({ rule, session, sentence: `Session ${session + 1}: ${sentence}`, by });

  if (sessions.length !== length)
    return [
      {
        rule: "length of series",
        session: 0,
        sentence: `The series has ${length} sessions and the plan ${sessions.length}.`,
        by: Math.abs(sessions.length - length),
      },
    ];
  for (const [index, session] of sessions.entries())
    for (const step of session.steps)
      if (!isTechnique(step.technique)) say("technique", index, `“${step.technique}” is not in the catalogue.`);
  if (found.length > 0) return found;

  for (let s = input.done.length; s < sessions.length; s++) {
    const { steps } = sessions[s]!;
    const names = new Set(steps.map((step) => step.technique));
    if (names.size !== steps.length) say("technique", s, "a technique is listed twice.");
    if (steps.length > rulebook.mostSteps)
      say(
        "technique",
        s,
        `${steps.length} steps are more than ${rulebook.mostSteps}.`,
        steps.length - rulebook.mostSteps,
      );

    for (const [place, step] of steps.entries()) {
      const technique = of(step);
      const verdict = verdictIn(technique, s, input);
      const no = whyNot(technique, s, input);
      if (no) say(verdict.no ? "safety" : "technique", s, `${technique.name} cannot be used: ${no}.`);
      const closed = (["L", "R"] as const).filter((side) => !verdict.sides[side]);
      if (!no && "L" in step.minutes)
        for (const side of closed)
          if (step.minutes[side] > slack)
            say(
              "safety",
              s,
              `${technique.name} is not done on the ${sideWord[side]}: ${verdict.sideBy}.`,
              step.minutes[side],
            );
      if (!no && step.position && !isRising(technique) && !positionsIn(s, input).includes(step.position))
        say("safety", s, `${technique.name} is planned ${positionName[step.position].toLowerCase()}, which is out.`);
      const minutesOn = step.minutes;
      const parts =
        "mid" in minutesOn
          ? [["mid", minutesOn.mid] as const]
          : (["L", "R"] as const).filter((side) => verdict.sides[side]).map((side) => [side, minutesOn[side]] as const);
      if ("mid" in step.minutes === technique.sided)
        say("step length", s, `${technique.name} is ${technique.sided ? "done on both sides" : "not two-sided"}.`);
      for (const [side, minutes] of parts) {
        const { least, most } = timeRange(technique, s, input, side);
        const locked = lockedMinutes(technique, s, input)[side] ?? 0;
        if (locked > 0 && Math.abs(minutes - locked) > slack)
          say("locks", s, `${technique.name} gets ${minutes} min, locked at ${locked}.`, Math.abs(minutes - locked));
        else if (!(minutes >= least - slack))
          say("step length", s, `${technique.name} needs ${least} min and gets ${minutes}.`, least - minutes);
        else if (minutes > most + slack)
          say("step length", s, `${technique.name} gets ${minutes} min, more than ${most}.`, minutes - most);
      }
      const places = verdict.positions;
      if (places.length > 0 && (!step.position || !places.includes(step.position)))
        say(
          "positions",
          s,
          `${technique.name} cannot be done ${step.position ? positionName[step.position].toLowerCase() : "without a position"}.`,
        );
      if (neededCover(technique) > 0)
        for (const region of regionsWorked(technique))
          if (!steps.slice(0, place).some((before) => prepares(of(before), technique, region)))
            say(
              "preparation",
              s,
              `${technique.name} is not prepared: nothing softens the layer above it at the ${placeNames(dwellsIn(technique, region))} first.`,
            );
      if (needsOpened(technique))
        for (const region of regionsWorked(technique)) {
          const opened = sessions
            .slice(0, s)
            .flatMap((earlier) => earlier.steps)
            .filter((earlier) => opensRegion(of(earlier), region))
            .reduce((sum, earlier) => sum + minutesOf(earlier.minutes), 0);
          if (opened < rulebook.opened - slack)
            say(
              "opened before",
              s,
              `${technique.name} goes deep into ${regionName(region).toLowerCase()} after only ${opened} of ${rulebook.opened} min of outer work in earlier sessions.`,
              rulebook.opened - opened,
            );
        }
    }

    const count = (test: (technique: Technique) => boolean) => steps.filter((step) => test(of(step))).length;
    if (count(isOpening) !== 1) say("opening and closing", s, `it has ${count(isOpening)} openings instead of one.`);
    if (count(isRising) !== 1) say("opening and closing", s, "it does not end with rising slowly.");
    const closings = count(isClosing);
    if (closings < rulebook.closings.least || closings > rulebook.closings.most)
      say(
        "opening and closing",
        s,
        `it has ${closings} closing steps instead of ${rulebook.closings.least} to ${rulebook.closings.most}.`,
      );
    const phases = steps.map((step) =>
      isRising(of(step)) ? 3 : isClosing(of(step)) ? 2 : isOpening(of(step)) ? 0 : 1,
    );
    if (phases.some((phase, i) => i > 0 && phase < phases[i - 1]!))
      say("order", s, "opening comes first, closing last and rising at the very end.");
    for (const region of regionKeys) {
      let oiled = false;
      for (const step of steps) {
        const technique = of(step);
        if (!regionsWorked(technique).includes(region)) continue;
        if (oiled && technique.medium === "dry" && !isRising(technique))
          say(
            "order",
            s,
            `${technique.name} needs dry skin and comes after oil in ${regionName(region).toLowerCase()}.`,
          );
        if (technique.medium === "oil") oiled = true;
      }
    }

    const arc = arcOf(s, input);
    if (arc) {
      const empty = emptyArc(s, input);
      if (empty) say("arc", s, `${empty}.`);
      const place = (step: Step) => arc.findIndex((part) => part.technique === step.technique);
      const own = steps.filter((step) => place(step) >= 0);
      for (const [i, step] of own.entries())
        if (i > 0 && place(step) < place(own[i - 1]!))
          say("arc", s, `${of(step).name} comes before ${of(own[i - 1]!).name} in the arc, whose order is kept.`);
      for (const part of arc) {
        const technique = techniqueOf(part.technique);
        if (names.has(part.technique) || isLeftOut(technique, s, input) || whyNot(technique, s, input)) continue;
        say(
          "arc",
          s,
          isListening(technique)
            ? `${technique.name.toLowerCase()} is missing: without it nothing can be compared.`
            : `${technique.name} is missing from the arc.`,
        );
      }
    }

    const positions = positionsUsed(sessions[s]!);
    if (positions.length > rulebook.mostPositions)
      say(
        "positions",
        s,
        `${positions.length} positions are more than ${rulebook.mostPositions}.`,
        positions.length - rulebook.mostPositions,
      );
    const prone = steps
      .filter((step) => step.position === "prone" && !isRising(of(step)))
      .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
    const proneMost = proneMinutesIn(s, input);
    if (prone > proneMost + slack)
      say("safety", s, `${prone} min face down are more than ${proneMost}.`, prone - proneMost);
    const tableMinutes = tableMinutesIn(s, input);
    const needed = sessionMinutes(sessions[s]!) + turnMinutes(positions);
    if (needed > tableMinutes + slack)
      say(
        tableMinutes < input.tableMinutes ? "safety" : "time",
        s,
        `it needs ${needed} min at the table and has ${tableMinutes}.`,
        needed - tableMinutes,
      );
    const blocks = count(isLightBlock);
    const mostBlocks = mostLightBlocks(s, input);
    if (blocks > mostBlocks)
      say("light touch", s, `${blocks} light-touch blocks are more than ${mostBlocks}.`, blocks - mostBlocks);
    const load = sessionLoad(sessions[s]!);
    for (const part of handParts) {
      const most = budgetIn(part, s, input);
      if (load[part] > most + slack)
        say(
          "hands",
          s,
          `the ${handPartName[part].toLowerCase()} would take ${Math.round(10 * load[part]) / 10} of ${most}.`,
          load[part] - most,
        );
    }
    const need = complaintNeed(s, input);
    if (input.complaintRegion && need > 0) {
      const region = input.complaintRegion;
      const minutes = steps
        .filter((step) => helpsComplaint(of(step), input))
        .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
      if (minutes < need - slack)
        say(
          "complaint",
          s,
          `the complaint's own region (${regionName(region).toLowerCase()}) gets ${minutes} of ${Math.round(need * 10) / 10} min.`,
          need - minutes,
        );
    }

    if (s > 0) {
      const before = sessions[s - 1]!;
      for (const region of regionKeys)
        if (steps.some((step) => strongIn(of(step), region)) && before.steps.some((step) => strongIn(of(step), region)))
          say("recovery", s, `${regionName(region).toLowerCase()} is worked strongly twice running.`);
      if (s - 1 >= input.done.length) {
        const both = [...steps, ...before.steps];
        const sum = (side: "front" | "back") =>
          both.filter((step) => facing(of(step)) === side).reduce((total, step) => total + minutesOf(step.minutes), 0);
        const band = rulebook.frontBack * 2 * input.tableMinutes;
        const apart = Math.abs(sum("front") - sum("back"));
        if (apart > band + slack)
          say(
            "front and back",
            s,
            `front and back differ by ${apart} min over two sessions, more than ${band}.`,
            apart - band,
          );
      }
    }
    if (isClosed(s, input))
      for (const { technique } of steps)
        if (
          !isRising(techniqueOf(technique)) &&
          !input.locks.some((lock) => lock.session === s && lock.kind === "keep" && lock.technique === technique)
        )
          say("locks", s, `${techniqueOf(technique).name} is not among the steps of a session you locked.`);
    for (const lock of input.locks.filter((each) => each.session === s && each.kind !== "closed"))
      if (steps.some((step) => stemOf(step.technique) === stemOf(lock.technique)) !== (lock.kind === "keep"))
        say(
          "locks",
          s,
          `${techniqueOf(lock.technique).name} is ${lock.kind === "keep" ? "locked in and missing" : "left out by you and planned"}.`,
        );
  }

  const uses = new Map<string, Technique[]>();
  for (const step of sessions.flatMap((session) => session.steps))
    uses.set(stemOf(step.technique), [...(uses.get(stemOf(step.technique)) ?? []), of(step)]);
  for (const own of uses.values()) {
    const [technique, times] = [own.at(-1)!, own.length];
    const most = repeatsAllowed(technique, sessions.length);
    if (times > most) say("repeats", 0, `${technique.name} returns ${times} times, more than ${most}.`, times - most);
  }
  return found;
}

/** The safety rules a plan breaks, by session: what to look for when a caution is new. Done sessions stay as they are. */
export const unsafe = (input: PlanInput, sessions: readonly PlannedSession[]): Violation[] =>
  violations(input, sessions).filter(
    (violation) => violation.rule === "safety" && violation.session >= input.done.length,
  );
