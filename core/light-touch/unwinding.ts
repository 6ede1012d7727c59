/** What is taken up and followed. */
export const unwound = ["neck", "left arm", "right arm", "left leg", "right leg", "whole body"] as const;
export type Unwound = (typeof unwound)[number];

/** A point of a path, in a box of 1000 by 1000, and seconds since it began. */
export type PathPoint = readonly [x: number, y: number, at: number];

export const enders = ["tissue", "practitioner", "client"] as const;
export type Ender = (typeof enders)[number];

/** Presses of an unwinding: begun, pieces of its path as they are drawn, a still point, a barrier, how it ended. */
export type UnwindEvent = {
  id: string;
  at: string;
  kind: "unwind";
  body:
    | { run: string; press: "begun"; part: Unwound }
    | { run: string; press: "path"; points: readonly PathPoint[] }
    | { run: string; press: "still" }
    | { run: string; press: "barrier" }
    | { run: string; press: "ended"; by: Ender; emotion: boolean };
};

export const mostPoints = 600;

/** Why a piece of a path is none: field, rule and value. */
export function pathFault(points: readonly PathPoint[]): string | undefined {
  if (points.length === 0 || points.length > mostPoints)
    return `Path: from 1 to ${mostPoints} points, got ${points.length}.`;
  const slip = points.find(([x, y]) => !(x >= 0 && x <= 1000 && y >= 0 && y <= 1000));
  if (slip) return `Path: within a box of 1000 by 1000, got ${slip[0]}, ${slip[1]}.`;
  return points.some(([, , at], i) => !(at >= 0 && at < 1e5) || (i > 0 && at < points[i - 1]![2]))
    ? "Path: its seconds go up from 0."
    : undefined;
}

export type Unwinding = {
  run: string;
  part: Unwound;
  begun: string;
  path: readonly PathPoint[];
  /** Seconds since it began. */
  stills: readonly number[];
  barriers: number;
  ended?: { after: number; by: Ender; emotion: boolean };
};

const seconds = (from: string, to: string) => Math.max(0, (Date.parse(to) - Date.parse(from)) / 1000);

/** Unwindings as they were logged. Nothing that happened after its end counts. */
export function unwindingsAfter(events: readonly (UnwindEvent | { kind: string })[]): Unwinding[] {
  type Open = Omit<Unwinding, "path" | "stills"> & { path: PathPoint[]; stills: number[] };
  const runs = new Map<string, Open>();
  for (const { at, body } of events.filter((event): event is UnwindEvent => event.kind === "unwind")) {
    const known = runs.get(body.run);
    if (body.press === "begun") {
      if (!known) runs.set(body.run, { run: body.run, part: body.part, begun: at, path: [], stills: [], barriers: 0 });
    } else if (!known) continue;
    // a piece that was still in the hand when it ended comes after the end: its points know their own time
    else if (body.press === "path")
      known.path.push(...body.points.filter(([, , second]) => second <= (known.ended?.after ?? Infinity) + 0.5));
    else if (known.ended) continue;
    else if (body.press === "still") known.stills.push(seconds(known.begun, at));
    else if (body.press === "barrier") known.barriers += 1;
    else known.ended = { after: seconds(known.begun, at), by: body.by, emotion: body.emotion };
  }
  return [...runs.values()];
}

/** What counts as one place of a path: nearer than this it is the same (of a box of 1000). */
const near = 90;
/** Staying this long within one place is a position, not a passage (seconds). */
const holdSeconds = 2;

/**
 * What a path says: `positions`, distinct places in which it stayed for two seconds or more; `loops`, how often it went round
 * and came back to where it had been. Both depend on the sizes named here (common practice): they are compared between
 * sessions, not read as such.
 */
export const measurePath = (path: readonly PathPoint[]): { positions: number; loops: number } => ({
  positions: positionsOf(path).length,
  loops: loopsOf(path),
});

/** The distinct places in which a path stayed. */
export function positionsOf(path: readonly PathPoint[]): [number, number][] {
  const places: [number, number][] = [];
  for (let i = 0; i < path.length;) {
    const [x, y, at] = path[i]!;
    let j = i;
    while (j + 1 < path.length && Math.hypot(path[j + 1]![0] - x, path[j + 1]![1] - y) < near / 2) j++;
    // a stretch without points is a finger that lay still
    const until = path[j + 1]?.[2] ?? path[j]![2];
    if (until - at >= holdSeconds && !places.some(([px, py]) => Math.hypot(px - x, py - y) < near)) places.push([x, y]);
    i = j + 1;
  }
  return places;
}

/** Steps of a path that are long enough to have a direction: the trembling of a finger has none. */
const stepLength = 25;
function stepped(path: readonly PathPoint[]): [number, number][] {
  const steps: [number, number][] = [];
  for (const [x, y] of path) {
    const last = steps.at(-1);
    if (!last || Math.hypot(x - last[0], y - last[1]) >= stepLength) steps.push([x, y]);
  }
  return steps;
}

/** A loop has turned by this much when it is back (radians): not quite a whole turn, since it may cross itself. */
const leastTurn = 1.4 * Math.PI;

/**
 * How often a path goes round: comes back to within half a place of an earlier point of it, having turned by most of a whole
 * turn to one side since then. To and fro is no loop: turning round on the spot counts to neither side.
 */
export function loopsOf(path: readonly PathPoint[]): number {
  const steps = stepped(path);
  // squares half a place wide, each with the steps that lie in it, latest last
  const wide = Math.ceil(1000 / (near / 2)) + 3;
  const square = ([x, y]: readonly [number, number]) =>
    (Math.floor(x / (near / 2)) + 1) * wide + Math.floor(y / (near / 2)) + 1;
  const beside = [-wide - 1, -wide, -wide + 1, -1, 0, 1, wide - 1, wide, wide + 1];
  const seen = new Map<number, number[]>();
  const turned = [0];
  let [loops, from, heading]: [number, number, number | undefined] = [0, 0, undefined];
  for (const [i, step] of steps.entries()) {
    if (i > 0) {
      const next = Math.atan2(step[1] - steps[i - 1]![1], step[0] - steps[i - 1]![0]);
      let turn = heading === undefined ? 0 : next - heading;
      if (turn > Math.PI) turn -= 2 * Math.PI;
      if (turn < -Math.PI) turn += 2 * Math.PI;
      turned.push(turned[i - 1]! + (Math.abs(turn) < 0.9 * Math.PI ? turn : 0));
      heading = next;
    }
    const here = square(step);
    const back = beside.some((by) => {
      const list = seen.get(here + by) ?? [];
      for (let at = list.length - 1; at >= 0 && list[at]! >= from; at--) {
        const k = list[at]!;
        const away = Math.hypot(steps[k]![0] - step[0], steps[k]![1] - step[1]);
        if (away < near / 2 && Math.abs(turned[i]! - turned[k]!) > leastTurn) return true;
      }
      return false;
    });
    if (back) {
      loops += 1;
      from = i;
    }
    const own = seen.get(here);
    if (own) own.push(i);
    else seen.set(here, [i]);
  }
  return loops;
}

/** One unwinding as it is read and compared: times in seconds, undefined where there was none. */
export type UnwindingRead = {
  positions: number;
  loops: number;
  toStill: number | undefined;
  lasted: number | undefined;
};
export const readUnwinding = (run: Unwinding): UnwindingRead => ({
  ...measurePath(run.path),
  toStill: run.stills[0],
  lasted: run.ended?.after,
});
