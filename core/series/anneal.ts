import { seeded } from "../random";
import type { BuildUp } from "./build-up";
import { fit } from "./deal-minutes";
import type { Draft, Stability } from "./draft";
import { rulebook } from "./rulebook";
import type { SearchSpace } from "./search-space";
import { startOf } from "./start-plan";

export type Search = {
  seed: number;
  /** How many changes are tried. The same number finds the same plan on every machine. */
  moves: number;
  /** Points by which a change may worsen the plan and still be taken now and then: at the start and at the end. */
  warm: number;
  cold: number;
};

/** A plan the search came to: half minutes of every choice, and what they are worth. */
export type Found = { halves: Int16Array[]; worth: number };

/** How often each kind of change is tried. */
const weights = [
  ["swap", 40],
  ["add", 18],
  ["drop", 6],
  ["exchange", 10],
  ["frame", 8],
  ["ruin", 10],
  ["ruin two", 1],
  ["take up", 8],
  ["stand", 20],
] as const;
const weightSum = weights.reduce((sum, [, weight]) => sum + weight, 0);

/**
 * Looks for a good series by annealing over sets of steps (Kirkpatrick, Gelatt & Vecchi 1983, from memory): a change is
 * tried, minutes are dealt out anew in the sessions it touched, rules are checked, and it is kept when it is better, or
 * now and then when it is a little worse. All rules are hard but the complaint's minutes, which are dear.
 *
 * `better` is told every plan that keeps all rules and is the best so far, and after how many changes. Returns false when
 * no plan to begin with was found.
 */
export function anneal(
  space: SearchSpace,
  search: Search,
  better: (found: Found, move: number) => void,
  stability?: Stability,
): boolean {
  const random = seeded(search.seed);
  const pickKind = () => {
    let at = random.uniform() * weightSum;
    for (const [kind, weight] of weights) if ((at -= weight) < 0) return kind;
    return "swap";
  };

  const start = startOf(space, random, stability);
  if (!start) return false;
  const build: BuildUp = start;
  const draft = build.plan;
  const { held } = draft;
  const count = held.length;
  let best = -Infinity;
  const keepBest = (move: number) => {
    if (draft.worth <= best + 1e-9 || !complaintMet(draft)) return;
    best = draft.worth;
    better({ halves: draft.snapshot(), worth: best }, move);
  };
  keepBest(0);
  if (count === 0) return true;
  for (let move = 0; move < search.moves; move++) {
    const heat = search.warm * (search.cold / search.warm) ** (move / search.moves);
    const before = draft.worth;
    const touched = change();
    if (touched && [...touched].every((s) => build.mend(s) && fit(draft, s)) && checkPlan(touched)) {
      if (draft.worth >= before || random.uniform() < Math.exp((draft.worth - before) / heat)) {
        draft.settle();
        keepBest(move);
        continue;
      }
    }
    draft.undo();
  }
  if (search.moves > 0) tidy();
  return true;

  /** In the end, what is not missed goes, and its minutes to the others. */
  function tidy() {
    for (let s = 0; s < count; s++)
      for (const c of [...held[s]!.in]) {
        const { kind, locked } = held[s]!.room.choices[c]!;
        if (kind !== "middle" || locked || !held[s]!.has[c]) continue;
        const before = draft.worth;
        draft.leave(s, c);
        if (build.mend(s) && fit(draft, s) && checkPlan(new Set([s])) && draft.worth >= before - 1e-9) {
          draft.settle();
          keepBest(search.moves);
        } else draft.undo();
      }
  }

  function checkPlan(touched: ReadonlySet<number>): boolean {
    let first = count;
    for (const s of touched) {
      if (!draft.balanced(s)) return false;
      first = Math.min(first, s);
    }
    return draft.opened(first);
  }

  /** One random change; the sessions it touched, or undefined when it came to nothing. */
  function change(): Set<number> | undefined {
    const s = build.below(count);
    const touched = new Set([s]);
    switch (pickKind()) {
      case "swap": {
        const out = build.dropAny(s);
        if (out === undefined) return undefined;
        return build.addGood(s, out) ? touched : undefined;
      }
      case "add":
        build.makeRoom(s);
        return build.addGood(s) ? touched : undefined;
      case "drop":
        return build.dropAny(s) !== undefined ? touched : undefined;
      case "exchange": {
        const to = other(s);
        const given = to === undefined ? undefined : handOver(s, to);
        if (given === undefined) return undefined;
        if (random.uniform() < 0.5) handOver(to!, s, given);
        else build.addGood(s);
        return touched.add(to!);
      }
      case "frame":
        return reframe(s) ? touched : undefined;
      case "ruin":
        ruin(s, 2 + build.below(4));
        if (!build.mend(s)) return undefined;
        build.grow(s);
        return touched;
      case "stand":
        return restand(s) ? touched : undefined;
      case "ruin two": {
        const to = other(s);
        for (const each of to === undefined ? [s] : [s, to]) {
          ruin(each, 2 + build.below(3));
          if (!build.mend(each)) return undefined;
          touched.add(each);
        }
        for (const each of random.uniform() < 0.5 ? touched : [...touched].reverse()) build.grow(each);
        return touched;
      }
      case "take up": {
        // a technique that has no use left, taken from the session that has it
        const wanted = held[s]!.room.choices.map((choice, c) => ({ choice, c })).filter(
          ({ choice, c }) => !held[s]!.has[c] && draft.usesLeft[choice.id] === 0,
        );
        if (wanted.length === 0) return undefined;
        const { choice, c } = build.pick(wanted);
        const owners = held.flatMap(({ room, has }, from) => {
          const at = room.indexOf.get(choice.technique.key);
          return at !== undefined && has[at] && !room.choices[at]!.locked ? [[from, at] as const] : [];
        });
        if (owners.length === 0) return undefined;
        const [from, at] = build.pick(owners);
        draft.leave(from, at);
        touched.add(from);
        if (random.uniform() < 0.5) build.dropAny(s);
        if (random.uniform() < 0.5) build.addGood(from);
        return build.bring(s, c) ? touched : undefined;
      }
    }
  }

  function other(s: number): number | undefined {
    return count < 2 ? undefined : (s + 1 + build.below(count - 1)) % count;
  }

  /** Other positions for a session: what cannot be done in them goes, and what can is brought in its place. */
  function restand(s: number): boolean {
    const { room, in: list, stance } = held[s]!;
    const options = room.stances.filter(
      (each) => each !== stance && each.positions.length <= stance.positions.length + (random.uniform() < 0.3 ? 1 : 0),
    );
    if (options.length === 0) return false;
    const { bits } = build.pick(options);
    const fits = (c: number) => room.choices[c]!.positions === 0 || (room.choices[c]!.positions & bits) !== 0;
    for (const c of [...list]) {
      const { kind, locked } = room.choices[c]!;
      if (fits(c)) continue;
      if (locked) return false;
      draft.leave(s, c);
      if (kind === "middle") continue;
      const others = room.choices.flatMap((choice, o) =>
        choice.kind === kind && fits(o) && draft.mayJoin(s, o) ? [o] : [],
      );
      if (others.length > 0) draft.join(s, build.pick(others));
    }
    if (!build.mend(s)) return false;
    build.grow(s, fits);
    return true;
  }

  function ruin(s: number, steps: number) {
    for (let i = 0; i < steps; i++) build.dropAny(s);
  }

  /** Moves a random step of `from` into `to`; its technique, or undefined when none can go. */
  function handOver(from: number, to: number, except?: string): string | undefined {
    const options = held[from]!.in.filter((c) => {
      const choice = held[from]!.room.choices[c]!;
      if (choice.kind !== "middle" || choice.locked || choice.technique.key === except) return false;
      const there = held[to]!.room.indexOf.get(choice.technique.key);
      return there !== undefined && !held[to]!.has[there];
    });
    if (options.length === 0) return undefined;
    const c = build.pick(options);
    const { key } = held[from]!.room.choices[c]!.technique;
    draft.leave(from, c);
    build.makeRoom(to);
    return build.bring(to, held[to]!.room.indexOf.get(key)!) ? key : undefined;
  }

  /** Another opening or other closing steps. */
  function reframe(s: number): boolean {
    const { room, in: list, kinds } = held[s]!;
    const kind = random.uniform() < 0.4 ? "opening" : "closing";
    const present = list.filter((c) => room.choices[c]!.kind === kind && !room.choices[c]!.locked);
    const pair = kind === "closing" && kinds.closing < rulebook.closings.most;
    const alone = kind === "closing" && kinds.closing > rulebook.closings.least;
    const chance = random.uniform();
    if (present.length > 0 && !(pair && chance < 0.4)) {
      draft.leave(s, build.pick(present));
      if (alone && chance < 0.5) return true;
    }
    const options = room.choices.flatMap((choice, c) => (choice.kind === kind && draft.mayJoin(s, c) ? [c] : []));
    if (options.length === 0) return false;
    draft.join(s, build.pick(options));
    return true;
  }
}

const complaintMet = (plan: Draft): boolean =>
  plan.space.items.every((item, n) => !item.complaint || plan.covered(n) >= item.third - 1e-6);
