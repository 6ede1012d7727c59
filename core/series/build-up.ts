import type { Random } from "../random";
import { withinLoads } from "./deal-minutes";
import type { Draft } from "./draft";
import { rulebook } from "./rulebook";

/** Brings steps into a plan and takes them out, by chance, so that everything keeps its preparation. */
export class BuildUp {
  constructor(
    readonly plan: Draft,
    readonly random: Random,
  ) {}

  /** A whole number from 0 on, below `count`. */
  below(count: number): number {
    return Math.floor(this.random.uniform() * count);
  }

  pick<T>(list: readonly T[]): T {
    return list[this.below(list.length)]!;
  }

  /** Takes out a random step of the middle; which one. */
  dropAny(s: number): number | undefined {
    const { room, in: list } = this.plan.held[s]!;
    const free = list.filter((c) => room.choices[c]!.kind === "middle" && !room.choices[c]!.locked);
    if (free.length === 0) return undefined;
    let c = this.pick(free);
    for (let draws = this.below(3); draws > 0; draws--) {
      const other = this.pick(free);
      if (this.plan.density(s, other) < this.plan.density(s, c)) c = other;
    }
    this.plan.leave(s, c);
    return c;
  }

  /** Where a session has as many steps as it may have, one goes before another can come. */
  makeRoom(s: number) {
    if (this.plan.held[s]!.in.length >= rulebook.mostSteps - this.below(2)) this.dropAny(s);
  }

  /** Brings a choice in with whatever has to prepare it, picked at random among what may. False when that cannot be. */
  bring(s: number, c: number, depth = 0): boolean {
    if (depth > 4 || !this.plan.mayJoin(s, c)) return false;
    const { room } = this.plan.held[s]!;
    this.plan.join(s, c);
    for (const need of room.choices[c]!.needs) if (!this.prepare(s, need, depth)) return false;
    return true;
  }

  prepare(s: number, need: number, depth: number): boolean {
    const { room, given } = this.plan.held[s]!;
    if (given[need]! > 0) return true;
    const options = [...room.covers[need]!].filter(
      (cover) => room.choices[cover]!.kind === "middle" && this.plan.mayJoin(s, cover),
    );
    if (options.length === 0) return false;
    // the better of two at random: good covers are found, and others now and then
    const [one, two] = [this.pick(options), this.pick(options)];
    return this.bring(s, this.plan.density(s, one) >= this.plan.density(s, two) ? one : two, depth + 1);
  }

  /** After steps were taken out: what lost its preparation gets another or goes, too. False when a locked step is left bare. */
  mend(s: number): boolean {
    for (let round = 0; round < 40; round++) {
      const bare = this.plan.unprepared(s);
      if (!bare) return true;
      const [c, need] = bare;
      const { locked } = this.plan.held[s]!.room.choices[c]!;
      if (!locked && this.random.uniform() < 0.5) this.plan.leave(s, c);
      else if (!this.prepare(s, need, 1)) {
        if (locked) return false;
        if (this.plan.held[s]!.has[c]) this.plan.leave(s, c);
      }
    }
    return false;
  }

  /** Brings in the best of a few that are drawn. */
  addGood(s: number, except?: number, fits?: (choice: number) => boolean): boolean {
    const { room } = this.plan.held[s]!;
    const draws = 1 + this.below(5);
    let found = -1;
    let value = -Infinity;
    for (let i = 0, tries = 0; i < draws && tries < 40; tries++) {
      const c = this.below(room.choices.length);
      if (c === except || (fits && !fits(c)) || room.choices[c]!.kind !== "middle" || !this.plan.mayJoin(s, c))
        continue;
      i++;
      const each = this.plan.density(s, c);
      if (each > value) [found, value] = [c, each];
    }
    return found >= 0 && this.bring(s, found);
  }

  /** Fills free time with steps. */
  grow(s: number, fits?: (choice: number) => boolean) {
    for (let failed = 0; failed < 3;) {
      if (!this.plan.takeStance(s) || this.plan.free(s) < 2) return;
      const mark = this.plan.mark();
      if (
        this.addGood(s, undefined, fits) &&
        this.plan.takeStance(s) &&
        this.plan.free(s) >= 0 &&
        withinLoads(this.plan, s)
      )
        continue;
      this.plan.undoTo(mark);
      failed++;
    }
  }
}
