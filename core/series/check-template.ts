import { depthOf, layerName } from "../anatomy/layers";
import { regionName, type RegionKey } from "../anatomy/regions";
import { usualInterval } from "./dates";
import { rulebook } from "./rulebook";
import type { TemplateDefinition, TemplateSession } from "./template";

/** Attention that makes a territory one of those a session is for. */
const meant = 0.5;
const list = (words: readonly string[]) =>
  words.length <= 1 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;

/** Outer work opens a region from any territory it has in an earlier session; nothing does before the first. */
function unopened(sessions: readonly TemplateSession[], s: number): RegionKey[] {
  const { ceiling, territory, arc } = sessions[s]!;
  if (arc || depthOf(ceiling) < 4) return [];
  return (Object.entries(territory) as [RegionKey, number][])
    .filter(([, share]) => share >= meant)
    .map(([region]) => region)
    .filter((region) => !sessions.slice(0, s).some((before) => (before.territory[region] ?? 0) > 0));
}

/** What the rules of the plan will not let a template do, or the trade does otherwise: sentences, none where nothing. */
export function templateHints({ sessions }: TemplateDefinition): string[] {
  const hints = sessions.flatMap((session, s) => {
    const closed = unopened(sessions, s).map((region) => regionName(region).toLowerCase());
    return closed.length > 0
      ? [
          `Session ${s + 1} goes to ${layerName(session.ceiling).toLowerCase()} at ${list(closed)}, ${
            s === 0
              ? "and nothing comes before it: inner work cannot be planned there."
              : `which no session before it names: ${rulebook.opened} minutes of outer work there have to find room in earlier ones.`
          }`,
        ]
      : [];
  });
  const last = sessions.at(-1);
  if (last && sessions.length > 1 && !last.arc && depthOf(last.ceiling) > 3)
    hints.push("The last session goes deep; series usually end in joining (common practice).");
  return hints;
}

/** In what two templates differ, in words. */
export function templateDifferences(from: TemplateDefinition, to: TemplateDefinition): string[] {
  const words: string[] = [];
  if (from.name !== to.name) words.push(`Name: ${from.name} → ${to.name}`);
  const days = ({ everyDays }: TemplateDefinition) => everyDays ?? usualInterval;
  if (days(from) !== days(to)) words.push(`Days between sessions: ${days(from)} → ${days(to)}`);
  if (from.sessions.length !== to.sessions.length)
    words.push(`Sessions: ${from.sessions.length} → ${to.sessions.length}`);
  const told = (session: TemplateSession | undefined) =>
    session === undefined
      ? "none"
      : `${session.name}, ${session.arc ? `arc ${session.arc}` : `to ${layerName(session.ceiling).toLowerCase()}`}${session.light ? ", light touch" : ""}; ${Object.entries(
          session.territory,
        )
          .sort(([a], [b]) => a.localeCompare(b))
          .map(([region, share]) => `${regionName(region as RegionKey).toLowerCase()} ${Math.round(100 * share)} %`)
          .join(", ")}; ${session.intent}`;
  for (let s = 0; s < Math.max(from.sessions.length, to.sessions.length); s++) {
    const [before, after] = [told(from.sessions[s]), told(to.sessions[s])];
    if (before !== after) words.push(`Session ${s + 1}: ${before} → ${after}`);
  }
  return words;
}
