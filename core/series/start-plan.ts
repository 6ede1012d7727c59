import type { Random } from "../random";
import { BuildUp } from "./build-up";
import { fit, withinLoads } from "./deal-minutes";
import { Draft, type Stability } from "./draft";
import { rulebook } from "./rulebook";
import type { SearchSpace } from "./search-space";

const startsTried = 60;

/** A checkPlan plan to begin with: built anew a number of times, each time by other chance. */
export function startOf(space: SearchSpace, random: Random, stability: Stability | undefined): BuildUp | undefined {
  for (let attempt = 0; attempt < startsTried; attempt++) {
    const plan = new Draft(space, stability);
    const build = new BuildUp(plan, random);
    // what was kept comes first, as far as it still may
    if (attempt < startsTried / 2) plan.held.forEach(({ kept }, s) => kept && rejoin(build, s, kept));
    if (plan.held.every((_, s) => furnish(build, s)) && plan.opened(0)) {
      plan.settle();
      return build;
    }
  }
  return undefined;
}

function furnish(build: BuildUp, s: number): boolean {
  const { plan } = build;
  const { room } = plan.held[s]!;
  const frame = (kind: "opening" | "closing" | "rising") => {
    if (plan.held[s]!.kinds[kind] > 0) return true;
    const options = room.choices.flatMap((choice, c) => (choice.kind === kind && plan.mayJoin(s, c) ? [c] : []));
    if (options.length === 0) return false;
    plan.join(s, build.pick(options));
    return true;
  };
  for (const [c, choice] of room.choices.entries()) {
    if (!choice.locked || plan.held[s]!.has[c]) continue;
    build.makeRoom(s);
    if (choice.kind === "opening" || choice.kind === "closing")
      for (const other of [...plan.held[s]!.in])
        if (room.choices[other]!.kind === choice.kind && !room.choices[other]!.locked) plan.leave(s, other);
    if (!build.bring(s, c)) return false;
  }
  if (!frame("rising") || !frame("opening") || !frame("closing")) return false;
  // steps locked in later on have to be opened first
  for (const [later, { room: ahead }] of plan.held.entries())
    if (later > s)
      for (const choice of ahead.choices)
        if (choice.locked && choice.deep)
          for (let r = 0, left = choice.deep; left; r++, left >>= 1) if (left & 1) openUp(build, s, r, later);
  if (!squeeze(build, s)) return false;
  build.grow(s);
  return fit(plan, s) && plan.balanced(s);
}

/** Takes steps out until the rest fits. */
function squeeze(build: BuildUp, s: number): boolean {
  const { plan } = build;
  for (let steps = 0; steps < rulebook.mostSteps; steps++) {
    if (build.mend(s) && fit(plan, s)) return true;
    if (build.dropAny(s) === undefined) return false;
  }
  return false;
}

/** Brings back the kept plan's steps, with their minutes as far as there is room. */
function rejoin(build: BuildUp, s: number, kept: Int16Array) {
  const { plan } = build;
  const { room } = plan.held[s]!;
  let missing = room.choices.flatMap((_, c) => (kept[2 * c]! >= 0 && !plan.held[s]!.has[c] ? [c] : []));
  for (let again = true; again;) {
    again = false;
    for (const c of missing) {
      const { needs } = room.choices[c]!;
      if (!plan.mayJoin(s, c) || needs.some((need) => plan.held[s]!.given[need] === 0)) continue;
      const mark = plan.mark();
      plan.join(s, c);
      if (plan.takeStance(s) && plan.free(s) >= 0 && withinLoads(plan, s)) again = true;
      else plan.undoTo(mark);
    }
    missing = missing.filter((c) => !plan.held[s]!.has[c]);
  }
  for (const c of plan.held[s]!.in)
    room.choices[c]!.sides.forEach((_, k) => {
      const part = 2 * c + k;
      while (plan.held[s]!.half[part]! < kept[part]! && plan.held[s]!.half[part]! < room.choices[c]!.most[k]!) {
        const mark = plan.mark();
        plan.set(s, part, plan.held[s]!.half[part]! + 1);
        if (plan.free(s) >= 0 && withinLoads(plan, s)) continue;
        plan.undoTo(mark);
        break;
      }
    });
}

function openUp(build: BuildUp, s: number, region: number, until: number) {
  const { plan } = build;
  for (let tries = 0; tries < 4 && plan.openedBefore(until, region) < 2 * rulebook.opened; tries++) {
    const options = plan.held[s]!.room.choices.flatMap((choice, c) =>
      choice.kind === "middle" && choice.outer & (1 << region) && plan.mayJoin(s, c) ? [c] : [],
    );
    if (options.length === 0) return;
    const mark = plan.mark();
    if (!(build.bring(s, build.pick(options)) && plan.takeStance(s) && plan.free(s) >= 0 && withinLoads(plan, s)))
      plan.undoTo(mark);
  }
}
