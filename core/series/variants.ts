import { sessionsOf } from "./course";
import { leastMissed } from "./figures";
import { wishes, type WishKey } from "./wish-keys";
import { tableMinutesOf, type PlanInput, type PlannedSession } from "./plan";

/** Another way to go about a series: what is changed, in words, and what a plan is then solved within. */
export type Variant = {
  key: "gentler" | "sparing" | "shorter" | "fewer" | WishKey;
  name: string;
  what: string;
  settings: { pressureMost?: number; thumbBudget?: number; bookedMinutes?: number; wishes?: WishKey[] };
  /** Sessions to come that are left out, the last first. */
  skip: readonly number[];
};

const gentler = 2;
const leastBooked = 40;
const shorter = 30;
const fewer = 2;
/** So many sessions to come there are at least where two are left out. */
const enough = 5;

/** The variants that make sense of a series as it stands: none that changes nothing. */
export function variantsOf(
  input: PlanInput,
  sessions: readonly PlannedSession[],
  bookedMinutes: number,
): readonly Variant[] {
  const found: Variant[] = [];
  const pressure = Math.min(input.pressureCeiling, input.pressureMost ?? 10);
  if (pressure - gentler >= 2)
    found.push({
      key: "gentler",
      name: "Gentler",
      what: `Pressure up to ${pressure - gentler} of 10 instead of ${pressure}`,
      settings: { pressureMost: pressure - gentler },
      skip: [],
    });
  const half = Math.round(input.thumbBudget / 2);
  if (half < input.thumbBudget)
    found.push({
      key: "sparing",
      name: "Thumbs spared",
      what: `Thumb budget ${half} instead of ${input.thumbBudget}`,
      settings: { thumbBudget: half },
      skip: [],
    });
  const booked = Math.max(leastBooked, bookedMinutes - shorter);
  if (tableMinutesOf(booked) < tableMinutesOf(bookedMinutes))
    found.push({
      key: "shorter",
      name: "Shorter sessions",
      what: `${booked} min booked instead of ${bookedMinutes}`,
      settings: { bookedMinutes: booked },
      skip: [],
    });
  if (sessions.length - input.done.length >= enough) {
    const skip = leastMissed(input, sessions).slice(0, fewer);
    const names = sessionsOf(input);
    found.push({
      key: "fewer",
      name: "Fewer sessions",
      what: `Without ${[...skip]
        .sort((a, b) => a - b)
        .map((s) => `${s + 1} (${names[s]!.name})`)
        .join(" and ")}, whose steps are missed least`,
      settings: {},
      skip: [...skip].sort((a, b) => b - a),
    });
  }
  const had = input.wishes ?? [];
  for (const { key, name, means } of wishes)
    if (!had.includes(key) && (key !== "local" || input.complaintRegion))
      found.push({ key, name, what: means.replace(/\.$/, ""), settings: { wishes: [...had, key] }, skip: [] });
  return found;
}
