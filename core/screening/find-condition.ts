import { withoutPlace } from "../anatomy/read-place";
import { conditionOf, conditions, type Condition } from "./conditions";
import { readTold } from "./told/read-told";

/** Which conditions a sentence names does not turn on the day it is read. */
const anyDay = "2026-01-01";

/**
 * Conditions for what was typed, best first: names that begin with it, then words that do, then anything containing
 * it. Every typed word has to be found.
 */
export function findConditions(typed: string): Condition[] {
  // a plural asks for the same thing
  const asked = typed
    .toLowerCase()
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => (word.length > 3 ? word.replace(/s$/, "") : word));
  if (asked.length === 0) return [...conditions];
  const rank = (condition: Condition): number => {
    const texts = [condition.name, ...condition.synonyms].map((text) => text.toLowerCase());
    if (texts[0]!.startsWith(asked.join(" "))) return 0;
    if (texts.some((text) => text.startsWith(asked.join(" ")))) return 1;
    const words = texts.flatMap((text) => text.split(/[\s,]+/));
    if (asked.every((part) => words.some((word) => word.startsWith(part)))) return 2;
    return asked.every((part) => texts.some((text) => text.includes(part))) ? 3 : Infinity;
  };
  return conditions
    .map((condition) => ({ condition, at: rank(condition) }))
    .filter(({ at }) => at < Infinity)
    .sort((a, b) => a.at - b.at)
    .map(({ condition }) => condition);
}

/** Catalogue conditions for what was typed, best first; place and side in it are no hindrance. */
export function suggest(what: string): Condition[] {
  const read = readTold(what, anyDay, null).flatMap(({ condition }) => (condition ? [conditionOf(condition)!] : []));
  const found = findConditions(what);
  return [...new Set([...read, ...(found.length > 0 ? found : findConditions(withoutPlace(what) || what))])];
}
