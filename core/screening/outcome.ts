import type { IsoDay } from "../days";
import type { PlaceKey } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import type { SafetyTag } from "../techniques/safety-tags";
import type { Medium, Position } from "../techniques/technique";
import type { Minutes, Side } from "../units";

/**
 * What a caution does. `refer`: no hands-on work until cleared. `exclude`: a technique or area is out until cleared.
 * `limit`: a cap on pressure, position, medium or time. `inform`: ask, consent, watch.
 */
export const outcomeKinds = ["refer", "exclude", "limit", "inform"] as const;
export type OutcomeKind = (typeof outcomeKinds)[number];

/** All rules of screening are common practice and have to be checked against local codes before real use. */
export const source = "common practice, check local codes";

/** Which work a caution speaks of: everything left out stays unrestricted. Empty: all work. */
export type Scope = {
  regions?: readonly RegionKey[];
  /** Only work that reaches one of these places. */
  places?: readonly PlaceKey[];
  /** Only work that moves one of these joints. */
  joints?: readonly string[];
  /** Only on these sides; both when left out. */
  side?: Side;
  tags?: readonly SafetyTag[];
  /** Only work that reaches this deep (1–5), or presses at least so hard. */
  fromDepth?: number;
  fromPressure?: number;
};

export type Outcome = {
  /** The same for the same fact and rule, so that a clearance or an override finds it again. */
  key: string;
  kind: OutcomeKind;
  /** What it comes from, in two or three words: "Osteoporosis", "Left knee replaced". */
  title: string;
  /** One sentence in plain words. */
  reason: string;
  /** First day it acts, and first day it no longer does; left out when open. */
  from?: IsoDay;
  until?: IsoDay;
  scope?: Scope;
  /** Highest pressure within the scope, 0–10. */
  pressure?: number;
  /** Positions that are not to be used. */
  without?: readonly Position[];
  /** Media that are not to be used. */
  withoutMedia?: readonly Medium[];
  /** Say what to use instead: "nut-free oil", "nitrile gloves". */
  instead?: string;
  /** Most minutes face down, and most minutes at the table. */
  proneMost?: Minutes;
  tableMost?: Minutes;
  /** A preference or setting is changed where it was made; it cannot be overridden. */
  origin: "history" | "answer" | "preference" | "setting";
};

/** What was decided about a caution, by whom and why. The latest about a key counts. */
export type Decision = {
  outcomeKey: string;
  kind: "clearance" | "override" | "withdrawn";
  /** Who cleared it ("Dr …, by letter"); the practitioner for an override. */
  who: string;
  /** Day of the clearance, or of the override. */
  on: IsoDay;
  /** What was cleared, or the reason for the override. */
  what: string;
  /** When it was recorded (ISO moment): a fact told later than this needs a new decision. */
  at: string;
  by: string;
};

export const isActive = (outcome: Pick<Outcome, "from" | "until">, day: IsoDay): boolean =>
  (outcome.from === undefined || outcome.from <= day) && (outcome.until === undefined || day < outcome.until);

const strictness = (kind: OutcomeKind) => outcomeKinds.indexOf(kind);
/** Strictest first. */
export const byStrictness = (a: Outcome, b: Outcome): number => strictness(a.kind) - strictness(b.kind);

/** Which decision a caution can be set aside by: none for preferences and settings. */
export const decisionFor = (outcome: Outcome): "clearance" | "override" | undefined =>
  outcome.origin === "preference" || outcome.origin === "setting"
    ? undefined
    : outcome.kind === "refer" || outcome.kind === "exclude"
      ? "clearance"
      : "override";

/** A caution with the decision that sets it aside, if there is one. */
export type Judged = Outcome & {
  factAt: string;
  decided: Decision | undefined;
  /** When anything was decided about it last, whether that counts or not; "" where nothing was. */
  lastDecidedAt: string;
};

/** What stood when somebody decided about a caution: they decide about this, and nothing that came meanwhile. */
export const stateOf = ({ factAt, lastDecidedAt }: Pick<Judged, "factAt" | "lastDecidedAt">): string =>
  `${factAt} ${lastDecidedAt}`;

/**
 * Joins cautions with what was decided about them. A decision of the wrong kind, a withdrawn one, or one older than
 * the fact it is about does not count.
 */
export function judge(outcomes: readonly (Outcome & { factAt: string })[], decisions: readonly Decision[]): Judged[] {
  const latest = new Map<string, Decision>();
  for (const decision of [...decisions].sort((a, b) => a.at.localeCompare(b.at)))
    latest.set(decision.outcomeKey, decision);
  return outcomes.map((outcome) => {
    const decision = latest.get(outcome.key);
    const counts = decision && decision.kind === decisionFor(outcome) && decision.at >= outcome.factAt;
    return { ...outcome, decided: counts ? decision : undefined, lastDecidedAt: decision?.at ?? "" };
  });
}

/** What still acts on a day: not set aside, and within its dates. */
export const acting = (judged: readonly Judged[], day: IsoDay): Judged[] =>
  judged.filter((outcome) => !outcome.decided && isActive(outcome, day)).sort(byStrictness);
