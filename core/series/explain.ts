import { cautionsAt } from "../screening/consequence";
import { regionName } from "../anatomy/regions";
import { depthOf } from "../anatomy/layers";
import { placeNames } from "../anatomy/places";
import { structureOf } from "../anatomy/structures";
import { techniqueOf } from "../techniques/library";
import type { Reach, Technique } from "../techniques/technique";
import type { PlanInput, PlannedSession, Step } from "./plan";
import {
  candidates,
  dwellsIn,
  cautionsIn,
  verdictIn,
  isClosing,
  isLightBlock,
  isOpening,
  isRising,
  needsOpened,
  opensRegion,
  prepares,
  regionsWorked,
  rulebook,
} from "./rulebook";
import { coverageItems, delivered, doseOfStep, scoreOf, worthOf, type CoverageItem } from "./score";
import { sessionsOf } from "./course";

const minutes = (value: number) => `${Math.round(value * 10) / 10} min`;
const list = (words: readonly string[]) =>
  words.length <= 1 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words[words.length - 1]}`;

/** Why a step is in the plan, as sentences, the weightiest first. Never empty. */
export function whyStep(input: PlanInput, sessions: readonly PlannedSession[], session: number, step: Step): string[] {
  const technique = techniqueOf(step.technique);
  const template = sessionsOf(input)[session]!;
  const steps = sessions[session]!.steps;
  const reasons: string[] = [];
  if (input.locks.some((lock) => lock.session === session && lock.technique === step.technique && lock.kind === "keep"))
    reasons.push("You locked it in.");
  if (isOpening(technique)) reasons.push("It opens the session: breath and settling before anything else.");
  if (isRising(technique)) reasons.push("Every session ends with rising slowly.");
  if (isClosing(technique)) reasons.push("It closes the session, so that deep work ends in something light.");
  if (isLightBlock(technique)) reasons.push("A light-touch block: nothing is pushed through.");

  const served = input.targets
    .map((target) => {
      const item = coverageItems(input).find((each) => each.id === `target ${target.id}`);
      return { target, dose: item ? doseOfStep(step, item) : 0, item };
    })
    .filter(({ dose }) => dose > 0)
    .sort((a, b) => b.target.weight * b.dose - a.target.weight * a.dose);
  const clearly = served.filter(({ dose }) => dose >= 0.5);
  for (const { target, dose, item } of clearly.slice(0, 3))
    reasons.push(
      `${target.because} It gets ${minutes(dose)} here, ${minutes(delivered(item!, sessions))} of the ${minutes(target.wanted)} wanted over the series.`,
    );

  const prepared = steps
    .slice(steps.indexOf(step) + 1)
    .map((later) => techniqueOf(later.technique))
    .filter((later) => regionsWorked(later).some((region) => prepares(technique, later, region)));
  for (const later of prepared.slice(0, 2)) reasons.push(softening(technique, later));

  const territory = technique.doses
    .filter((dose) => template.territory[dose.region] && dose.share >= rulebook.softens)
    .map((dose) => regionName(dose.region).toLowerCase());
  if (territory.length > 0)
    reasons.push(
      `Session ${session + 1}, ${template.name}, is for ${list([...new Set(territory)])}: ${template.intent.toLowerCase()}`,
    );
  const complaint = input.complaintRegion;
  if (complaint && technique.doses.some((dose) => dose.region === complaint && dose.share >= rulebook.softens))
    reasons.push(`The complaint's own region, ${regionName(complaint).toLowerCase()}, gets some work every session.`);
  if (reasons.length === 0) {
    const opens = openedFor(technique, sessions, session);
    if (opens) reasons.push(opens);
  }
  if (reasons.length === 0 && served[0])
    reasons.push(`It adds a little to ${served[0].target.name}, in time that nothing else could use better.`);
  return reasons.length > 0 ? reasons : ["It fills time that nothing else could use better."];
}

/** Inner work in a later session that this outer work opens a region for, as a sentence. */
function openedFor(technique: Technique, sessions: readonly PlannedSession[], session: number): string | undefined {
  for (const [s, { steps }] of sessions.entries()) {
    if (s <= session) continue;
    for (const later of steps.map((step) => techniqueOf(step.technique)).filter(needsOpened)) {
      const region = regionsWorked(later).find((each) => opensRegion(technique, each));
      if (region)
        return `Outer work, ${regionName(region).toLowerCase()}: ${rulebook.opened} minutes of it have to come before ${later.name} goes deeper there in session ${s + 1}.`;
    }
  }
  return undefined;
}

/** What of `later` lies under what `cover` softens, structure by structure and place by place. */
function softening(cover: Technique, later: Technique): string {
  const region = regionsWorked(later).find((each) => prepares(cover, later, each))!;
  const places = dwellsIn(later, region);
  const over = cover.reach.filter(
    (reach) => reach.share >= rulebook.softens && reach.places.some((place) => places.includes(place)),
  );
  const at = places.filter((place) => over.some((reach) => reach.places.includes(place)));
  const depth = ({ structure }: Reach) => depthOf(structureOf(structure)!.layer);
  const top = Math.min(...over.map(depth));
  // what lies no deeper than all that is softened is not under it
  const under = later.reach.filter((reach) => depth(reach) > top && reach.places.some((place) => at.includes(place)));
  if (under.length === 0) return `It softens the layer above ${later.name} at the ${placeNames(at.slice(0, 3))}.`;
  const bottom = Math.max(...under.map(depth));
  const lying = over.filter((reach) => depth(reach) < bottom);
  const names = (list: readonly Reach[]) => list.map(({ structure }) => structureOf(structure)!.name.toLowerCase());
  return `It softens ${list(names(lying).slice(0, 3))} over ${list(names(under).slice(0, 3))}, at the ${placeNames(at.slice(0, 3))}, before ${later.name} goes there.`;
}

/** What a caution changes about a step that is planned all the same: a cap, a side, a medium to replace. */
export function cautionsOnStep(input: PlanInput, session: number, step: Step): string[] {
  const technique = techniqueOf(step.technique);
  const { cap, capBy, sides, sideBy } = verdictIn(technique, session, input);
  const said: string[] = [];
  if (capBy) said.push(`Up to ${cap} of 10 instead of ${technique.pressure}. ${sentence(capBy)}`);
  if (sideBy) said.push(`Not on the ${sides.L ? "right" : "left"}. ${sentence(sideBy)}`);
  if (technique.medium !== "dry")
    for (const caution of cautionsIn(session, input))
      if (caution.instead && !caution.instead.includes("gloves"))
        said.push(`Use ${caution.instead}. ${caution.title}.`);
  return [...said, ...cautionsAt(technique, cautionsIn(session, input))];
}

const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

const free = new WeakMap<PlanInput, PlanInput>();

/** The same series without any caution; one for each, so that what is asked of it is answered once. */
function freed(input: PlanInput): PlanInput {
  const made = free.get(input) ?? { ...input, cautions: [], pressureCeiling: 10, pressureMost: 10 };
  free.set(input, made);
  return made;
}

/** Work that would be of use in a session and is held back by cautions, by reason: the most reasons first. */
export function heldBack(input: PlanInput, session: number): { reason: string; techniques: string[] }[] {
  const free = candidates(freed(input), session);
  const byReason = new Map<string, string[]>();
  for (const technique of free) {
    const { no } = verdictIn(technique, session, input);
    if (no) byReason.set(no, [...(byReason.get(no) ?? []), technique.name]);
  }
  return [...byReason]
    .map(([reason, techniques]) => ({ reason: sentence(reason), techniques }))
    .sort((a, b) => b.techniques.length - a.techniques.length);
}

/** What leaving a step out would cost, as points of 100 and steps that lose their preparation. */
export function withoutStep(
  input: PlanInput,
  sessions: readonly PlannedSession[],
  session: number,
  step: Step,
): { points: number; unprepared: string[] } {
  const without = sessions.map((each, i) =>
    i === session ? { steps: each.steps.filter((other) => other.technique !== step.technique) } : each,
  );
  const technique = techniqueOf(step.technique);
  const others = without[session]!.steps.map((other) => techniqueOf(other.technique));
  const unprepared = others
    .filter((later) =>
      regionsWorked(later).some(
        (region) => prepares(technique, later, region) && !others.some((cover) => prepares(cover, later, region)),
      ),
    )
    .map((later) => later.name);
  return { points: scoreOf(input, sessions) - scoreOf(input, without), unprepared };
}

/** How far each target is served by a plan, 0–1, and those that get nothing worth the name. */
export function targetsServed(input: PlanInput, sessions: readonly PlannedSession[]) {
  const items = coverageItems(input);
  return input.targets.map((target) => {
    const item = items.find((each) => each.id === `target ${target.id}`);
    const given = item ? delivered(item, sessions) : 0;
    return {
      target,
      given,
      share: Math.min(1, given / target.wanted),
      worth: worthOf(given / target.wanted),
    };
  });
}

/** Where a plan works for its targets, by their id: sessions (from 0) with the techniques that give half a minute or more, most first. */
export function stepsByTarget(
  input: PlanInput,
  sessions: readonly PlannedSession[],
): Record<string, { session: number; techniques: string[] }[]> {
  const items = coverageItems(input);
  return Object.fromEntries(
    input.targets.map(({ id }) => {
      const item = items.find((each) => each.id === `target ${id}`);
      return [id, item ? stepsFor(item, sessions) : []];
    }),
  );
}

const stepsFor = (item: CoverageItem, sessions: readonly PlannedSession[]) =>
  sessions.flatMap(({ steps }, session) => {
    const own = steps
      .map((step) => ({ name: techniqueOf(step.technique).name, dose: doseOfStep(step, item) }))
      .filter(({ dose }) => dose >= 0.5)
      .sort((a, b) => b.dose - a.dose);
    return own.length > 0 ? [{ session, techniques: own.map(({ name }) => name) }] : [];
  });

/** Patterns of the reading that a step works for: those of the targets it gives half a minute or more. */
export function patternsBehind(input: PlanInput, step: Step): string[] {
  const items = coverageItems(input);
  return [
    ...new Set(
      input.targets.flatMap((target) => {
        const item = items.find(({ id }) => id === `target ${target.id}`);
        return item && target.patterns && doseOfStep(step, item) >= 0.5 ? target.patterns : [];
      }),
    ),
  ];
}
