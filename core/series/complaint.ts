import { stemOf } from "../techniques/library";
import type { Technique } from "../techniques/technique";
import { halves, minutesOf, type PlanInput } from "./plan";
import { arcOf } from "./arc-session";
import { candidates, dosed, neededCover, regionsWorked, repeatsAllowed, rulebook, timeRange } from "./rulebook";
import { sessionsOf } from "./course";

/** Whether a technique's minutes count for the complaint's own region. */
export const helpsComplaint = (technique: Technique, input: PlanInput): boolean =>
  technique.doses.some((dose) => dose.region === input.complaintRegion && dose.share >= rulebook.softens);

const known = new WeakMap<PlanInput, number[]>();

/**
 * Minutes the complaint's own region is to get in a session: what the rulebook asks, or as much as cautions leave room
 * for. Each technique returns only so often, so what is left is shared out over the sessions to come; where it does not
 * go round, some sessions are asked for nothing.
 */
export function complaintNeed(session: number, input: PlanInput): number {
  const needs = known.get(input) ?? needsOf(input);
  known.set(input, needs);
  return needs[session] ?? 0;
}

function needsOf(input: PlanInput): number[] {
  const sessions = sessionsOf(input);
  const needs = sessions.map(() => 0);
  if (input.complaintRegion === null) return needs;
  const usesLeft = new Map<string, number>();
  const used = input.done.flatMap(({ steps }) => steps.map(({ technique }) => stemOf(technique)));
  const options = sessions.map((_, s) => {
    // an arc follows its own order, whatever the complaint is
    if (s < input.done.length || arcOf(s, input)) return [];
    const most = (technique: Technique) => minutesOf(dosed(technique, timeRange(technique, s, input).most, s, input));
    return (
      candidates(input, s)
        .filter(({ phase }) => phase !== "open" && phase !== "close")
        .filter((technique) => helpsComplaint(technique, input))
        // what has to be prepared there comes with what prepares it, and that helps already: it adds no session of its own
        .filter(
          (technique) => neededCover(technique) === 0 || !regionsWorked(technique).includes(input.complaintRegion!),
        )
        .map((technique) => {
          const spent = used.filter((stem) => stem === technique.stem).length;
          usesLeft.set(technique.stem, Math.max(0, repeatsAllowed(technique, sessions.length) - spent));
          return { key: technique.stem, most: most(technique) };
        })
        .sort((a, b) => b.most - a.most)
    );
  });
  // one use for each session, by augmenting paths (Kuhn 1955, from memory); those with least to choose from first
  const holders = new Map<string, number[]>();
  const place = (session: number, tried: Set<string>): boolean => {
    for (const { key, most } of options[session]!) {
      if (tried.has(key)) continue;
      tried.add(key);
      const held = holders.get(key) ?? [];
      const free = held.length < usesLeft.get(key)!;
      const moved = free ? undefined : held.find((other) => place(other, tried));
      if (!free && moved === undefined) continue;
      holders.set(key, [...(holders.get(key) ?? []).filter((other) => other !== moved), session]);
      needs[session] = halves(Math.min(rulebook.complaint, most)) / 2;
      return true;
    }
    return false;
  };
  const open = sessions.map((_, s) => s).filter((s) => options[s]!.length > 0);
  for (const session of open.sort((a, b) => options[a]!.length - options[b]!.length)) place(session, new Set());
  return needs;
}
