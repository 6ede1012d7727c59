import type { RegionKey } from "../anatomy/regions";
import type { Technique } from "../techniques/technique";
import type { Minutes } from "../units";
import type { PlanInput, PlannedSession } from "./plan";
import { isClosing } from "./rulebook";
import type { WishKey } from "./wish-keys";

/** Of 100 points, what each wish with minutes of its own is worth; the rest is for targets and territories. */
const worth = 4;
const dearer = 4;
const quietMinutes: Minutes = 8;
const localShare = 1 / 3;
/** A wish as minutes: points, how many are wanted, and which count. `session` undefined: over the whole series. */
export type WishItem = {
  id: string;
  points: number;
  wanted: Minutes;
  session: number | undefined;
  dose: (technique: Technique) => { L: number; R: number; mid: number };
};

const has = ({ wishes: own = [] }: PlanInput, key: WishKey) => own.includes(key);

/** Closing work and light touch: what a quiet ending is made of. */
export const isQuiet = (technique: Technique): boolean => isClosing(technique) || technique.layer === "LT";

/** Share of a technique's time (0–1) that reaches a region. */
export const shareAt = (technique: Technique, at: RegionKey): number =>
  Math.max(0, ...technique.doses.map(({ region, share }) => (region === at ? share : 0)));

export function wishItems(input: PlanInput, sessions: number): WishItem[] {
  const every = (key: WishKey, wanted: Minutes, share: (technique: Technique) => number): WishItem[] =>
    has(input, key)
      ? Array.from({ length: sessions }, (_, session) => ({
          id: `wish ${key} ${session}`,
          points: worth / sessions,
          wanted,
          session,
          dose: (technique: Technique) => {
            const each = share(technique);
            return { L: each, R: each, mid: each };
          },
        }))
      : [];
  const { complaintRegion } = input;
  return [
    ...every("quiet", quietMinutes, (technique) => (isQuiet(technique) ? 1 : 0)),
    ...(complaintRegion
      ? every("local", localShare * input.tableMinutes, (technique) => shareAt(technique, complaintRegion))
      : []),
  ];
}

/** What a wish makes of the cost of a position. */
export const turnsFactor = (input: PlanInput): number => (has(input, "turns") ? dearer : 1);

/** Points for each minute by which the sides of a whole series differ. */
const uneven = 0.05;
export const unevenCost = (input: PlanInput): number => (has(input, "even") ? uneven : 0);

/** Minutes that the left gets more than the right; negative when the right does. */
export const leftMore = (sessions: readonly PlannedSession[]): Minutes =>
  sessions.reduce(
    (sum, { steps }) =>
      sum + steps.reduce((own, { minutes }) => own + ("mid" in minutes ? 0 : minutes.L - minutes.R), 0),
    0,
  );
