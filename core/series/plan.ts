import type { RegionKey } from "../anatomy/regions";
import type { IsoDay } from "../days";
import type { Target } from "../reading/target";
import type { Outcome } from "../screening/outcome";
import type { Position } from "../techniques/technique";
import type { Minutes } from "../units";
import type { Course } from "./course";
import type { WishKey } from "./wish-keys";
import type { HandBudget } from "../techniques/hand-parts";

/**
 * What the practitioner fixed by hand. Sessions count from 0. What is kept may have its minutes fixed, too; a closed session
 * takes nothing in beside what is kept in it, and names no technique.
 */
export type Lock = {
  session: number;
  technique: string;
  kind: "keep" | "leave-out" | "closed";
  minutes?: StepMinutes | undefined;
};

/** What a lock on a session as a whole has in a technique's place. */
export const wholeSession = "*";

/** Minutes of a step: left and right for a two-sided technique, else the whole. */
export type StepMinutes = { L: Minutes; R: Minutes } | { mid: Minutes };

export type Step = { technique: string; position: Position | null; minutes: StepMinutes };

export type PlannedSession = { steps: readonly Step[] };

/** Everything a plan is solved from. The same input, solved to the same gap, gives the same plan. */
export type PlanInput = {
  template: string;
  /** Which of its sessions, where that is not one after the other. */
  course?: Course;
  /** Minutes of hands-on work per session. */
  tableMinutes: Minutes;
  targets: readonly Target[];
  complaintRegion: RegionKey | null;
  pressureCeiling: number;
  /** A lower ceiling that was chosen for this series. */
  pressureMost?: number;
  /** What the screening says, whatever it was decided to set aside left out; each acts on its own days. */
  cautions: readonly Outcome[];
  /** Day of each session, so that a caution that ends or begins meanwhile is judged for the right one. */
  days: readonly IsoDay[];
  /** Strain a practitioner's thumbs take in one session: load (0–3) × minutes. */
  thumbBudget: number;
  /** What a practitioner's parts may take at most in each session, where that is less: by session, day and week. */
  hands?: readonly HandBudget[];
  locks: readonly Lock[];
  /** Sessions that have been worked already, from the first on: they stay as they were. */
  done: readonly PlannedSession[];
  /**
   * How much the usual order of patterns weighs: a minute at the wrong end of the series serves its target by this share less
   * (0–1). Left out: not at all.
   */
  order?: number;
  /** What is wished beside the targets. */
  wishes?: readonly WishKey[];
  /** Keys of what may be planned, where a practice changed the starting catalogue. */
  techniques?: readonly string[];
};

export type Plan = {
  sessions: readonly PlannedSession[];
  score: number;
  /** How it was found: the same input, seed and number of moves give the same plan, and where one was kept, that plan. */
  made?: { solver: number; seed: number; moves: number };
  /** Best score that can be proven possible; undefined while nothing is proven. */
  bound?: number;
};

export const minutesOf = (minutes: StepMinutes): Minutes => ("mid" in minutes ? minutes.mid : minutes.L + minutes.R);

/** Plans are made in half minutes: as many of them as fit. */
export const halves = (minutes: Minutes): number => Math.floor(2 * minutes + 1e-9);

export const sessionMinutes = (session: PlannedSession): Minutes =>
  session.steps.reduce((sum, step) => sum + minutesOf(step.minutes), 0);

/** Table minutes that remain of a booking after talk, retest, undressing and closing (common practice: 15–25). */
export const tableMinutesOf = (booked: Minutes): Minutes => Math.max(0, booked - 20);
