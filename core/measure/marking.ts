import { splitPoint, type PointKey } from "../anatomy/landmarks";
import { referenceKeys, type MarkKey, type Marks, type Px } from "./calibration";
import { isSideView, pointsOfView, type View } from "./view";

/** Marking a picture as commands on a state, so that undo, redo and keyboard come from one place. */
export type Marking = {
  marks: Marks;
  /** Proposed places. They are guesses: nothing is computed from them until each is confirmed. */
  proposal: Marks;
  past: readonly Marks[];
  future: readonly Marks[];
  /** The mark that clicks and arrows act on. */
  active: MarkKey;
  /** Guided: a placed mark asks for the next one. Free: the one chosen stays chosen. */
  order: "guided" | "free";
  /** Name of the drag in progress: its moves are one step of undo. */
  gesture: string | undefined;
};

export type MarkingCommand =
  | { kind: "place"; at: Px; gesture?: string }
  | { kind: "nudge"; dx: number; dy: number }
  | { kind: "remove" }
  | { kind: "choose"; mark: MarkKey }
  | { kind: "advance"; by: 1 | -1 }
  | { kind: "order"; order: Marking["order"] }
  | { kind: "propose"; proposal: Marks }
  | { kind: "confirm" }
  | { kind: "accept"; marks: readonly MarkKey[] }
  | { kind: "swap" }
  | { kind: "refine"; marks: Marks }
  | { kind: "recall"; history: MarkingHistory }
  | { kind: "undo" }
  | { kind: "redo" };

/** Plumb and stick first, then the view's landmarks from the ground up: the order they are asked for. */
export const marksOfView = (view: View): readonly MarkKey[] => [...referenceKeys, ...pointsOfView[view]];

const firstMissing = (view: View, marks: Marks, after?: MarkKey): MarkKey => {
  const order = marksOfView(view);
  const start = after ? order.indexOf(after) + 1 : 0;
  const rotated = [...order.slice(start), ...order.slice(0, start)];
  return rotated.find((mark) => !marks[mark]) ?? after ?? order[0]!;
};

/** What was done to a picture before and can be undone or redone still. */
export type MarkingHistory = Pick<Marking, "past" | "future">;

export const startMarking = (view: View, marks: Marks): Marking => ({
  marks,
  proposal: {},
  past: [],
  future: [],
  active: firstMissing(view, marks),
  order: "guided",
  gesture: undefined,
});

/**
 * Where the proposed marks that are not placed yet now seem to lie. Every confirmed mark pulls the guesses near it
 * along, by how far it lay from its own proposal (weights fall with the square of the distance; `reach` in pixels is
 * the distance at which they have halved).
 */
export function guessesOf({ marks, proposal }: Marking, reach: number): Marks {
  const placed = (Object.keys(proposal) as MarkKey[]).filter((key) => marks[key]);
  const guesses: Marks = {};
  for (const [key, at] of Object.entries(proposal) as [MarkKey, Px][]) {
    if (marks[key]) continue;
    let [dx, dy, sum] = [0, 0, 0];
    for (const other of placed) {
      if (isReference(other) !== isReference(key)) continue;
      const [from, to] = [proposal[other]!, marks[other]!];
      const weight = 1 / (1 + ((from.x - at.x) ** 2 + (from.y - at.y) ** 2) / reach ** 2);
      dx += weight * (to.x - from.x);
      dy += weight * (to.y - from.y);
      sum += weight;
    }
    guesses[key] = sum === 0 ? at : { x: at.x + dx / sum, y: at.y + dy / sum };
  }
  return guesses;
}

/** Left and right exchanged in every paired mark. */
function swapSides(marks: Marks): Marks {
  return Object.fromEntries(
    Object.entries(marks).map(([key, at]) => [
      key.replace(/\.([LR])$/, (_, side: string) => (side === "L" ? ".R" : ".L")),
      at,
    ]),
  );
}

/** One command's effect in a picture of the given view and size; positions stay inside the picture. */
export function mark(
  state: Marking,
  command: MarkingCommand,
  view: View,
  size: { width: number; height: number },
): Marking {
  const inside = ({ x, y }: Px): Px => ({
    x: Math.min(size.width, Math.max(0, x)),
    y: Math.min(size.height, Math.max(0, y)),
  });
  const change = (marks: Marks, gesture?: string): Marking => {
    const continued = gesture !== undefined && gesture === state.gesture;
    return {
      ...state,
      marks,
      past: continued ? state.past : [...state.past, state.marks],
      future: [],
      gesture,
    };
  };
  const next = (from: Marking): MarkKey => firstMissing(view, from.marks, from.active);
  switch (command.kind) {
    case "place":
      return change({ ...state.marks, [state.active]: inside(command.at) }, command.gesture);
    case "nudge": {
      const at = state.marks[state.active] ?? guessesOf(state, size.height / 8)[state.active];
      if (!at) return state;
      return change(
        { ...state.marks, [state.active]: inside({ x: at.x + command.dx, y: at.y + command.dy }) },
        `nudge ${state.active}`,
      );
    }
    case "remove": {
      if (!state.marks[state.active]) {
        const proposal = { ...state.proposal };
        delete proposal[state.active];
        return { ...state, proposal };
      }
      const marks = { ...state.marks };
      delete marks[state.active];
      return change(marks);
    }
    case "choose":
      return { ...state, active: command.mark, gesture: undefined };
    case "advance": {
      const order = marksOfView(view);
      const before = order[(order.indexOf(state.active) - 1 + order.length) % order.length]!;
      return { ...state, active: command.by === 1 ? next(state) : before, gesture: undefined };
    }
    case "order":
      return { ...state, order: command.order };
    case "propose": {
      const known = new Set<string>(marksOfView(view));
      const lawful = Object.entries(command.proposal).filter(([key]) => known.has(key));
      return { ...state, proposal: Object.fromEntries(lawful.map(([key, at]) => [key, inside(at)])) };
    }
    case "confirm": {
      const at = guessesOf(state, size.height / 8)[state.active];
      const confirmed = at ? change({ ...state.marks, [state.active]: inside(at) }) : state;
      return { ...confirmed, active: next(confirmed), gesture: undefined };
    }
    case "accept": {
      // several guesses at once, as one step
      const guesses = guessesOf(state, size.height / 8);
      const taken = command.marks.flatMap((key) => (guesses[key] ? [[key, inside(guesses[key])] as const] : []));
      if (taken.length === 0) return state;
      const accepted = change({ ...state.marks, ...Object.fromEntries(taken) });
      return { ...accepted, active: firstMissing(view, accepted.marks), gesture: undefined };
    }
    case "swap":
      // in a side view only the side that faces the camera is marked
      if (isSideView(view)) return state;
      return { ...change(swapSides(state.marks)), proposal: swapSides(state.proposal) };
    case "refine":
      return change({ ...state.marks, ...command.marks });
    case "recall":
      return { ...state, past: command.history.past, future: command.history.future };
    case "undo": {
      const marks = state.past.at(-1);
      if (!marks) return state;
      return {
        ...state,
        marks,
        past: state.past.slice(0, -1),
        future: [state.marks, ...state.future],
        gesture: undefined,
      };
    }
    case "redo": {
      const marks = state.future[0];
      if (!marks) return state;
      return {
        ...state,
        marks,
        past: [...state.past, state.marks],
        future: state.future.slice(1),
        gesture: undefined,
      };
    }
  }
}

/** Marks that a stored or received picture may carry: known keys of its view, finite and inside it. */
export function lawfulMarks(view: View, size: { width: number; height: number }, value: unknown): Marks | undefined {
  if (typeof value !== "object" || value === null || Array.isArray(value)) return undefined;
  const known = new Set<string>(marksOfView(view));
  const marks: Marks = {};
  for (const [key, place] of Object.entries(value)) {
    const { x, y } = (place ?? {}) as Partial<Px>;
    if (!known.has(key) || typeof x !== "number" || typeof y !== "number") return undefined;
    if (!(x >= 0 && x <= size.width && y >= 0 && y <= size.height)) return undefined;
    marks[key as MarkKey] = { x, y };
  }
  return marks;
}

/** Whether a mark is an end of plumb or stick. */
export const isReference = (key: MarkKey): boolean => (referenceKeys as readonly string[]).includes(key);

/** The landmark's side, for labels; undefined for references and the mid-plane. */
export const markSide = (key: MarkKey) => (isReference(key) ? undefined : splitPoint(key as PointKey).side);
