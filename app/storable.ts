/** No form and no log of ours is nested deeper. */
const deepest = 24;
/** Names that every value answers to: in what is sent they only serve to lead the reader astray. */
const everyones = new Set(["toString", "valueOf", "toJSON", "constructor", "__proto__", "hasOwnProperty"]);

/**
 * Why a JSON value cannot be taken, as a sentence, or undefined where it can: text with a character that no database
 * stores, names that are no field's, or lists in lists without an end. Looks at each value once.
 */
export function unstorable(value: unknown): string | undefined {
  const open: [value: unknown, depth: number][] = [[value, 0]];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const [each, depth] = next;
    if (typeof each === "string") {
      const fault = textFault(each);
      if (fault) return fault;
    } else if (typeof each === "object" && each !== null) {
      if (depth === deepest) return `It is nested deeper than ${deepest} levels.`;
      if (Array.isArray(each)) for (const one of each) open.push([one, depth + 1]);
      else
        for (const [name, one] of Object.entries(each)) {
          if (everyones.has(name)) return `It has a field “${name}”, which is none.`;
          const fault = textFault(name);
          if (fault) return fault;
          open.push([one, depth + 1]);
        }
    }
  }
  return undefined;
}

const halfOfAPair = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;

/** Text that holds what no database stores: NUL, or half of a pair of code units. */
export const textFault = (text: string): string | undefined =>
  text.includes("\u0000") || halfOfAPair.test(text)
    ? "It holds a character that cannot be stored: type or paste it anew."
    : undefined;
