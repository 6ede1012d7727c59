import { currentKey } from "../techniques/library";
import { regionKeys } from "../anatomy/regions";
import { handParts } from "../techniques/hand-parts";
import type { PlannedSession } from "./plan";
import { halves } from "./plan";
import { rulebook } from "./rulebook";
import type { Choice, Item, Room, SearchSpace, Stance } from "./search-space";

/**
 * What a kept plan is worth when another is looked for: points for a step that is new, for one of its own that is gone, and for
 * a re-timed half minute. Without a price for what goes, steps that serve little would drop out by themselves.
 */
export type Stability = { kept: readonly PlannedSession[]; newStep: number; goneStep: number; retimed: number };

/** Enough that near-equal plans stay as they are, and little beside what a better one gains (tried on the bench). */
export const usualStability = { newStep: 0.1, goneStep: 0.1, retimed: 0.01 } as const;

/**
 * A repair changes a step only where a rule asks for it. Tried on the example: one to four further steps come or go, none is
 * re-timed; at a quarter of these prices three to six, and up to three re-timed.
 */
export const repairStability = { newStep: 4, goneStep: 4, retimed: 0.3 } as const;

const regionCount = regionKeys.length;
const openedAsked = halves(rulebook.opened);

/** Worth of an item at `got` useful half minutes, in points: concave in three pieces. */
function worthAt({ third, first, second, last }: Item, got: number): number {
  if (got <= third) return first * got;
  if (got <= 2 * third) return first * third + second * (got - third);
  if (got <= 3 * third) return (first + second) * third + last * (got - 2 * third);
  return (first + second + last) * third;
}

/** What one session holds at the moment. */
type Held = {
  room: Room;
  /** Choices that are in, in no order. */
  in: number[];
  has: Uint8Array;
  /** Half minutes of a choice: its first and second side. */
  half: Int16Array;
  time: number;
  /** Load on each of `handParts`. */
  hands: Float64Array;
  prone: number;
  front: number;
  light: number;
  kinds: Record<Choice["kind"], number>;
  /** How many of those that are in give each asked-for preparation. */
  given: Int16Array;
  /** How many of those that are in stand in each set of positions. */
  standing: Int16Array;
  strong: Int16Array;
  deep: Int16Array;
  outer: Int32Array;
  stance: Stance;
  /** The kept plan's half minutes here; −1 where it has no such step. */
  kept: Int16Array | undefined;
};

/**
 * A plan in the making: which techniques each session holds and for how long, in no order, with running totals, so that
 * an edit costs a few additions. Every edit is remembered until `settle`, and `undo` takes back what came since.
 *
 * What it counts as `worth` is the plan's score, less what differs from a kept plan, plus a reward for the complaint's
 * own minutes that outweighs all else.
 */
export class Draft {
  readonly held: Held[];
  readonly usesLeft: Int16Array;
  private readonly got: Float64Array;
  private total = 0;
  /** Half minutes that the left has more than the right. */
  private leftMore: number;
  private log: number[] = [];

  constructor(
    readonly space: SearchSpace,
    private readonly stability?: Stability,
  ) {
    this.usesLeft = space.usesLeft.slice();
    this.got = Float64Array.from(space.items, (item) => item.start);
    this.total = space.items.reduce((sum, item) => sum + worthAt(item, item.start), 0);
    this.leftMore = space.leftBefore;
    this.total -= space.uneven * Math.abs(this.leftMore);
    this.held = space.rooms.map((room) => {
      const stance = room.stances[0]!;
      const kept = stability && new Int16Array(room.choices.length * 2).fill(-1);
      for (const step of stability?.kept[room.session]?.steps ?? []) {
        // what was changed in the library since is kept in the version now in use
        const c = room.indexOf.get(step.technique) ?? room.indexOf.get(currentKey(step.technique));
        if (c !== undefined)
          room.choices[c]!.sides.forEach((side, k) => (kept![2 * c + k] = timeOf(step.minutes, side)));
      }
      this.total -= stance?.cost ?? 0;
      return {
        room,
        in: [],
        has: new Uint8Array(room.choices.length),
        half: new Int16Array(room.choices.length * 2),
        time: 0,
        hands: new Float64Array(handParts.length),
        prone: 0,
        front: 0,
        light: 0,
        kinds: { opening: 0, middle: 0, closing: 0, rising: 0 },
        given: new Int16Array(room.covers.length),
        standing: new Int16Array(16),
        strong: new Int16Array(regionCount),
        deep: new Int16Array(regionCount),
        outer: new Int32Array(regionCount),
        stance,
        kept,
      };
    });
  }

  get worth(): number {
    return this.total;
  }

  /** Edits up to here are kept for good. */
  settle(): void {
    this.log.length = 0;
  }

  /** Takes back everything since the last `settle`. */
  undo(): void {
    this.undoTo(0);
  }

  /** A point to come back to with `undoTo`. */
  mark(): number {
    return this.log.length;
  }

  undoTo(mark: number): void {
    const { log } = this;
    for (let i = log.length - 3; i >= mark; i -= 3) {
      const [what, at, before] = [log[i]!, log[i + 1]!, log[i + 2]!];
      const s = at >> 16;
      const rest = at & 0xffff;
      if (what === 0) this.time(s, rest, before);
      else if (what === 1) this.put(s, rest, before);
      else this.stand(s, this.held[s]!.room.stances[before]!);
    }
    log.length = mark;
  }

  /** Useful half minutes of an item so far. */
  covered(item: number): number {
    return this.got[item]!;
  }

  /** Whether a choice may come into a session as it is now; its time and preparation are another question. */
  mayJoin(s: number, c: number): boolean {
    const held = this.held[s]!;
    const choice = held.room.choices[c]!;
    if (held.has[c] || this.usesLeft[choice.id]! <= 0 || held.in.length >= rulebook.mostSteps) return false;
    if (choice.kind === "opening" && held.kinds.opening > 0) return false;
    if (choice.kind === "closing" && held.kinds.closing >= rulebook.closings.most) return false;
    if (choice.light && held.light >= held.room.lightBlocks) return false;
    for (const other of choice.against) if (held.has[other]) return false;
    for (let r = 0, left = choice.strong; left; r++, left >>= 1)
      if (left & 1 && (this.strongAt(s - 1, r) || this.strongAt(s + 1, r))) return false;
    for (let r = 0, left = choice.deep; left; r++, left >>= 1)
      if (left & 1 && this.openedBefore(s, r) < openedAsked) return false;
    return true;
  }

  private strongAt(s: number, region: number): boolean {
    if (s < 0) return (this.space.strongBefore & (1 << region)) !== 0;
    return (this.held[s]?.strong[region] ?? 0) > 0;
  }

  /** Half minutes of outer work in a region before a session. */
  openedBefore(s: number, region: number): number {
    let sum = this.space.openedBefore[region]!;
    for (let before = 0; before < s; before++) sum += this.held[before]!.outer[region]!;
    return sum;
  }

  /** Brings a choice in, with its least time on each side. */
  join(s: number, c: number): void {
    this.log.push(1, (s << 16) | c, 0);
    this.put(s, c, 1);
    const { least, sides } = this.held[s]!.room.choices[c]!;
    for (let k = 0; k < sides.length; k++) this.set(s, 2 * c + k, least[k]!);
  }

  leave(s: number, c: number): void {
    for (let k = 0; k < this.held[s]!.room.choices[c]!.sides.length; k++) this.set(s, 2 * c + k, 0);
    this.log.push(1, (s << 16) | c, 1);
    this.put(s, c, 0);
  }

  /** Gives a side of a choice so many half minutes. */
  set(s: number, part: number, half: number): void {
    this.log.push(0, (s << 16) | part, this.held[s]!.half[part]!);
    this.time(s, part, half);
  }

  private put(s: number, c: number, into: number): void {
    const held = this.held[s]!;
    const choice = held.room.choices[c]!;
    const by = into ? 1 : -1;
    held.has[c] = into;
    if (into) held.in.push(c);
    else held.in.splice(held.in.indexOf(c), 1);
    held.kinds[choice.kind] += by;
    if (choice.light) held.light += by;
    held.standing[choice.positions]! += by;
    for (const g of choice.gives) held.given[g]! += by;
    for (let r = 0, left = choice.strong; left; r++, left >>= 1) if (left & 1) held.strong[r]! += by;
    for (let r = 0, left = choice.deep; left; r++, left >>= 1) if (left & 1) held.deep[r]! += by;
    this.usesLeft[choice.id]! -= by;
    if (held.kept) this.total += by * (this.isKept(held, c) ? this.stability!.goneStep : -this.stability!.newStep);
  }

  /** Whether the kept plan has this step in its session. */
  private isKept({ kept, room }: Held, c: number): boolean {
    return room.choices[c]!.sides.some((_, k) => kept![2 * c + k]! >= 0);
  }

  private time(s: number, part: number, half: number): void {
    const held = this.held[s]!;
    const choice = held.room.choices[part >> 1]!;
    const before = held.half[part]!;
    const by = half - before;
    if (by === 0) return;
    held.half[part] = half;
    held.time += by;
    for (const part of choice.tires) held.hands[part]! += by * choice.hands[part]!;
    held.prone += by * choice.prone;
    held.front += by * choice.front;
    for (let r = 0, left = choice.outer; left; r++, left >>= 1) if (left & 1) held.outer[r]! += by;
    const doses = choice.doses[part & 1]!;
    for (let i = 0; i < choice.items.length; i++) {
      const n = choice.items[i]!;
      const item = this.space.items[n]!;
      const now = this.got[n]! + by * doses[i]!;
      this.total += worthAt(item, now) - worthAt(item, this.got[n]!);
      this.got[n] = now;
    }
    this.total -= by * choice.load;
    if (this.space.uneven > 0) {
      const more = this.leftMore + by * signOf(choice, part);
      this.total -= this.space.uneven * (Math.abs(more) - Math.abs(this.leftMore));
      this.leftMore = more;
    }
    const kept = held.kept?.[part] ?? -1;
    // a step that is taken out or brought in is not re-timed
    if (kept >= 0) this.total -= this.stability!.retimed * (retimed(kept, half) - retimed(kept, before));
  }

  /** What one half minute more (or less, `by` = −1) on a side would change. */
  marginal(s: number, part: number, by: 1 | -1): number {
    const held = this.held[s]!;
    const choice = held.room.choices[part >> 1]!;
    const doses = choice.doses[part & 1]!;
    let sum = -by * choice.load;
    for (let i = 0; i < choice.items.length; i++) {
      const n = choice.items[i]!;
      const item = this.space.items[n]!;
      const got = this.got[n]!;
      sum += worthAt(item, got + by * doses[i]!) - worthAt(item, got);
    }
    if (this.space.uneven > 0) {
      const more = this.leftMore + by * signOf(choice, part);
      sum -= this.space.uneven * (Math.abs(more) - Math.abs(this.leftMore));
    }
    const kept = held.kept?.[part] ?? -1;
    if (kept >= 0) {
      const half = held.half[part]!;
      sum -= this.stability!.retimed * (retimed(kept, half + by) - retimed(kept, half));
    }
    return sum;
  }

  /** What a choice adds at its least time, or what it adds as it is when it is in, for each of its half minutes. */
  density(s: number, c: number): number {
    const held = this.held[s]!;
    const { items, doses, least, load, sides } = held.room.choices[c]!;
    const inside = held.has[c] === 1;
    let time = 0;
    for (let k = 0; k < sides.length; k++) time += inside ? held.half[2 * c + k]! : least[k]!;
    let sum = -load * time;
    for (let i = 0; i < items.length; i++) {
      const n = items[i]!;
      const item = this.space.items[n]!;
      let dose = 0;
      for (let k = 0; k < sides.length; k++) dose += doses[k]![i]! * (inside ? held.half[2 * c + k]! : least[k]!);
      const got = this.got[n]!;
      sum += inside ? worthAt(item, got) - worthAt(item, got - dose) : worthAt(item, got + dose) - worthAt(item, got);
    }
    return sum / time;
  }

  private stand(s: number, stance: Stance): void {
    const held = this.held[s]!;
    this.total += held.stance.cost - stance.cost;
    held.stance = stance;
  }

  /** The least costly positions that serve every step. False when there are none. */
  takeStance(s: number): boolean {
    const held = this.held[s]!;
    const found = held.room.stances.find(({ bits }) => {
      for (let set = 1; set < 16; set++) if (held.standing[set]! > 0 && (set & bits) === 0) return false;
      return true;
    });
    if (!found) return false;
    if (found !== held.stance) {
      this.log.push(2, s << 16, held.room.stances.indexOf(held.stance));
      this.stand(s, found);
    }
    return true;
  }

  /** Half minutes that are still free, after turning. */
  free(s: number): number {
    const held = this.held[s]!;
    return held.room.time - held.stance.turns - held.time;
  }

  /** Whether front and back keep their balance with the sessions beside, and what is deep in later ones stays opened. */
  balanced(s: number): boolean {
    const { band } = this.space;
    for (const pair of [s - 1, s])
      if (pair >= 0 && pair + 1 < this.held.length)
        if (Math.abs(this.held[pair]!.front + this.held[pair + 1]!.front) > band) return false;
    return true;
  }

  /** Whether everything deep from session `s` on has been opened in the sessions before it. */
  opened(s: number): boolean {
    for (let r = 0; r < regionCount; r++) {
      let sum = -1;
      for (let later = s; later < this.held.length; later++) {
        if (sum >= 0) sum += this.held[later - 1]!.outer[r]!;
        if (this.held[later]!.deep[r] === 0) continue;
        if (sum < 0) sum = this.openedBefore(later, r);
        if (sum < openedAsked) return false;
      }
    }
    return true;
  }

  /** A preparation that a step of the session asks for and nobody gives: [step, row of `covers`]. */
  unprepared(s: number): [number, number] | undefined {
    const held = this.held[s]!;
    for (const c of held.in)
      for (const need of held.room.choices[c]!.needs) if (held.given[need] === 0) return [c, need];
    return undefined;
  }

  /** A copy of all that was decided, to come back to. */
  snapshot(): Int16Array[] {
    return this.held.map((held) => held.half.slice());
  }
}

/** Left counts for, right against; the whole neither. */
const signOf = (choice: Choice, part: number): number => {
  const side = choice.sides[part & 1];
  return side === "L" ? 1 : side === "R" ? -1 : 0;
};

/** Half minutes by which a step that is in both plans differs. */
const retimed = (kept: number, half: number): number => (half > 0 ? Math.abs(half - kept) : 0);

const timeOf = (minutes: PlannedSession["steps"][number]["minutes"], side: "L" | "R" | "mid"): number =>
  halves((minutes as Partial<Record<"L" | "R" | "mid", number>>)[side] ?? 0);
