import { techniqueOf } from "../techniques/catalogue";
import type { Position, Technique } from "../techniques/technique";
import { orderSteps } from "./order";
import { minutesOf, type PlanInput, type PlannedSession, type Step, type StepMinutes } from "./plan";
import { breaches } from "./rules";
import {
  candidates,
  complaintNeed,
  dosed,
  facing,
  isClosing,
  isLightBlock,
  isOpening,
  isRising,
  neededCover,
  needsOpened,
  opensRegion,
  positionsIn,
  prepares,
  proneMinutesIn,
  proneOnly,
  regionsWorked,
  repeatsAllowed,
  rulebook,
  strongIn,
  tableMinutesIn,
  verdictIn,
  turnMinutes,
} from "./rulebook";
import { coverageItems, delivered, strain, worthOf } from "./score";
import { templateOf } from "./template";
import { topUp } from "./top-up";

/**
 * A lawful plan within milliseconds, session by session by gain per minute: something to look at while the solver
 * works, and the solver's first incumbent. Undefined when it paints itself into a corner.
 */
export function greedyPlan(input: PlanInput): PlannedSession[] | undefined {
  const { sessions: template } = templateOf(input.template);
  const items = coverageItems(input);
  const got = items.map((item) => delivered(item, input.done));
  const plan: PlannedSession[] = [...input.done];
  const uses = new Map<string, number>();
  for (const step of input.done.flatMap((session) => session.steps))
    uses.set(step.technique, (uses.get(step.technique) ?? 0) + 1);

  for (let s = input.done.length; s < template.length; s++) {
    const out = new Set(
      input.locks.filter((lock) => lock.session === s && lock.kind === "leave-out").map((lock) => lock.technique),
    );
    const minutesFor = (technique: Technique): StepMinutes => dosed(technique, technique.minutes.ideal, s, input);
    const placesOf = (technique: Technique) => verdictIn(technique, s, input).positions;
    const tableMinutes = tableMinutesIn(s, input);
    const proneMinutes = proneMinutesIn(s, input);
    const pool = candidates(input, s).filter((technique) => !out.has(technique.key));
    const steps: Step[] = [];
    const used = new Set<Position>();
    const before = plan[s - 1];

    const band = rulebook.frontBack * 2 * input.tableMinutes;
    /** Minutes by which front and back differ over the last session and this one. */
    const apart = (now: readonly Step[]) => {
      const both = [...(s - 1 >= input.done.length ? before!.steps : []), ...now];
      const on = (side: "front" | "back") =>
        both
          .filter((step) => facing(techniqueOf(step.technique)) === side)
          .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
      return Math.abs(on("front") - on("back"));
    };

    const doses = (technique: Technique, minutes: StepMinutes) =>
      items.map((item) => {
        if (item.session !== undefined && item.session !== s) return 0;
        const dose = item.dose(technique);
        return "mid" in minutes ? dose.mid * minutes.mid : dose.L * minutes.L + dose.R * minutes.R;
      });
    const gain = (bundle: readonly Technique[]) => {
      const more = items.map(() => 0);
      for (const technique of bundle) doses(technique, minutesFor(technique)).forEach((dose, i) => (more[i]! += dose));
      return items.reduce(
        (sum, item, i) =>
          more[i] === 0
            ? sum
            : sum + item.points * (worthOf((got[i]! + more[i]!) / item.wanted) - worthOf(got[i]! / item.wanted)),
        0,
      );
    };
    const time = () => steps.reduce((sum, step) => sum + minutesOf(step.minutes), 0) + turnMinutes(used);
    const turnsFor = (bundle: readonly Technique[]) => {
      const places = new Set(used);
      for (const technique of bundle)
        if (placesOf(technique).length > 0 && !placesOf(technique).some((place) => places.has(place)))
          places.add(placesOf(technique)[0]!);
      return places;
    };
    const allowed = (technique: Technique): boolean => {
      if (steps.some((step) => step.technique === technique.key)) return false;
      if ((uses.get(technique.key) ?? 0) >= repeatsAllowed(technique, template.length)) return false;
      if (isLightBlock(technique)) {
        const most = template[s]!.light ? rulebook.lightBlocks.light : rulebook.lightBlocks.structural;
        if (steps.filter((step) => isLightBlock(techniqueOf(step.technique))).length >= most) return false;
      }
      for (const region of regionsWorked(technique)) {
        if (strongIn(technique, region) && before?.steps.some((step) => strongIn(techniqueOf(step.technique), region)))
          return false;
        if (needsOpened(technique)) {
          const opened = plan
            .flatMap((session) => session.steps)
            .filter((step) => opensRegion(techniqueOf(step.technique), region))
            .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
          if (opened < rulebook.opened) return false;
        }
      }
      return true;
    };
    /** The technique with whatever has to come before it, cheapest first; undefined when that cannot be. */
    const bundleOf = (technique: Technique, depth = 0): Technique[] | undefined => {
      if (!allowed(technique) || depth > 4) return undefined;
      const bundle: Technique[] = [];
      if (neededCover(technique) > 0)
        for (const region of regionsWorked(technique)) {
          const has = (cover: Technique) => prepares(cover, technique, region);
          if (steps.some((step) => has(techniqueOf(step.technique))) || bundle.some(has)) continue;
          const options = pool
            .filter((cover) => has(cover) && !isOpening(cover))
            .map((cover) => bundleOf(cover, depth + 1))
            .filter((option) => option !== undefined)
            .sort((a, b) => gain(b) / cost(b) - gain(a) / cost(a));
          if (!options[0]) return undefined;
          for (const cover of options[0]) if (!bundle.includes(cover)) bundle.push(cover);
        }
      return [...bundle, technique];
    };
    const cost = (bundle: readonly Technique[]) =>
      bundle.reduce((sum, technique) => sum + minutesOf(minutesFor(technique)), 0);
    const fits = (bundle: readonly Technique[], reserve: number): boolean => {
      const places = turnsFor(bundle);
      if (
        places.size > rulebook.mostPositions ||
        steps.length + bundle.length > rulebook.mostSteps - (reserve > 0 ? 2 : 0)
      )
        return false;
      const turns = turnMinutes(places) - turnMinutes(used);
      if (time() + cost(bundle) + turns > tableMinutes - reserve) return false;
      const trial = {
        steps: [
          ...steps,
          ...bundle.map((technique) => ({
            technique: technique.key,
            position: null,
            minutes: minutesFor(technique),
          })),
        ],
      };
      const prone = trial.steps
        .filter((step) => proneOnly(techniqueOf(step.technique), s, input))
        .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
      if (prone > proneMinutes) return false;
      if (apart(trial.steps) > Math.max(band, apart(steps))) return false;
      return strain(trial, "thumb") <= input.thumbBudget && strain(trial, "fingers") <= rulebook.fingerBudget;
    };
    const take = (bundle: readonly Technique[]) => {
      turnsFor(bundle).forEach((place) => used.add(place));
      for (const technique of bundle) {
        const minutes = minutesFor(technique);
        steps.push({ technique: technique.key, position: null, minutes });
        uses.set(technique.key, (uses.get(technique.key) ?? 0) + 1);
        doses(technique, minutes).forEach((dose, i) => (got[i]! += dose));
      }
    };
    const best = (test: (technique: Technique) => boolean, reserve: number) => {
      let found: Technique[] | undefined;
      let value = -Infinity;
      for (const technique of pool.filter(test)) {
        const bundle = bundleOf(technique);
        if (!bundle || !fits(bundle, reserve)) continue;
        const density = (gain(bundle) - 0.25 * (turnsFor(bundle).size - used.size)) / cost(bundle);
        if (density > value) [found, value] = [bundle, density];
      }
      if (found) take(found);
      return found !== undefined && value > 1e-6;
    };

    for (const lock of input.locks.filter((each) => each.session === s && each.kind === "keep")) {
      const technique = pool.find((each) => each.key === lock.technique);
      const bundle = technique && bundleOf(technique);
      if (bundle) take(bundle);
    }
    const has = (test: (technique: Technique) => boolean) => steps.some((step) => test(techniqueOf(step.technique)));
    if (!has(isOpening)) best(isOpening, 0);
    const rising = pool.find(isRising);
    if (rising && !has(isRising)) take([rising]);
    if (!has(isClosing)) best(isClosing, 0);
    const need = complaintNeed(s, input);
    const reaches = (technique: Technique) =>
      technique.doses.some((dose) => dose.region === input.complaintRegion && dose.share >= rulebook.softens);
    if (need > 0) {
      const given = () =>
        steps
          .filter((step) => reaches(techniqueOf(step.technique)))
          .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
      for (let i = 0; i < 3 && given() < need; i++)
        best((technique) => reaches(technique) && !isOpening(technique) && !isClosing(technique), 0);
    }
    /** Where little reaches the complaint's region, what is left of it is kept for the sessions to come. */
    const scarce = () => {
      const left = pool
        .filter((technique) => reaches(technique) && !isOpening(technique) && !isClosing(technique))
        .reduce((sum, each) => sum + repeatsAllowed(each, template.length) - (uses.get(each.key) ?? 0), 0);
      return need > 0 && left <= 2 * (template.length - 1 - s);
    };
    const free = (technique: Technique) =>
      !isOpening(technique) && !isClosing(technique) && !isRising(technique) && !(reaches(technique) && scarce());
    while (best(free, 0));

    const ordered = orderSteps(steps, used.size > 0 ? [...used] : positionsIn(s, input), placesOf);
    if (!ordered) return undefined;
    plan.push({ steps: ordered });
  }
  return breaches(input, plan).length === 0 ? topUp(input, plan) : undefined;
}
