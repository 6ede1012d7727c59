import { splitPoint, type PointKey } from "../anatomy/landmarks";
import { referenceKeys, type MarkKey, type Marks, type Px } from "./calibration";
import { pointsOfView, type View } from "./view";

/** Marking a picture as commands on a state, so that undo, redo and keyboard come from one place. */
export type Marking = {
  marks: Marks;
  past: readonly Marks[];
  future: readonly Marks[];
  /** The mark that clicks and arrows act on. */
  active: MarkKey;
  /** Name of the drag in progress: its moves are one step of undo. */
  gesture: string | undefined;
};

export type MarkingCommand =
  | { kind: "place"; at: Px; gesture?: string }
  | { kind: "nudge"; dx: number; dy: number }
  | { kind: "remove" }
  | { kind: "choose"; mark: MarkKey }
  | { kind: "advance"; by: 1 | -1 }
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

export const startMarking = (view: View, marks: Marks): Marking => ({
  marks,
  past: [],
  future: [],
  active: firstMissing(view, marks),
  gesture: undefined,
});

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
  switch (command.kind) {
    case "place":
      return change({ ...state.marks, [state.active]: inside(command.at) }, command.gesture);
    case "nudge": {
      const at = state.marks[state.active];
      if (!at) return state;
      return change(
        { ...state.marks, [state.active]: inside({ x: at.x + command.dx, y: at.y + command.dy }) },
        `nudge ${state.active}`,
      );
    }
    case "remove": {
      if (!state.marks[state.active]) return state;
      const marks = { ...state.marks };
      delete marks[state.active];
      return change(marks);
    }
    case "choose":
      return { ...state, active: command.mark, gesture: undefined };
    case "advance": {
      const order = marksOfView(view);
      const next =
        command.by === 1
          ? firstMissing(view, state.marks, state.active)
          : order[(order.indexOf(state.active) - 1 + order.length) % order.length]!;
      return { ...state, active: next, gesture: undefined };
    }
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
