import { sideWord } from "../words";
import { structureOf } from "../anatomy/structures";
import type { Side } from "../units";
import { patternRows } from "./pattern-table";
import { signId, signKindOf, type SignId } from "./signs";

const states = ["short", "long", "stuck", "weak"] as const;
/** How a structure is held in a pattern; what is long or weak is not worked to be longer. */
export type State = (typeof states)[number];
export type Holding = { structure: string; state: State; side: Side | "both" };

/** Where something is worked. */
export type Site = { structure: string; side: Side | "both" };

/** A pattern of one side, or of the whole. `shows`: how often it shows each of its signs. */
export type Pattern = {
  id: string;
  key: string;
  name: string;
  side: Side | null;
  /** How often it is met among clients, before anything is known of one. */
  prior: number;
  shows: ReadonlyMap<SignId, number>;
  holds: readonly Holding[];
  /** Work on the first ones comes before work on the others. */
  before: { first: readonly Site[]; then: readonly Site[] } | undefined;
  order: string;
  means: string;
};

/** An estimate of the trade, set so that a client has two or three patterns; a side each has half. */
const met = { common: 0.08, usual: 0.05, rare: 0.025 } as const;
const other = (side: Side): Side => (side === "L" ? "R" : "L");

type Relative = "s" | "o" | undefined;
const token = /^(.+?)(?:@([so]))?(?:\*(\.\d+))?$/;

function patternsOf(block: string): Pattern[] {
  const [head, ...lines] = block.trim().split("\n") as [string, ...string[]];
  const [name, starred, often] = head.split(" | ") as [string, string, keyof typeof met];
  const key = starred.replace("*", "");
  const sided = starred.endsWith("*");
  const line = (word: string) => lines.find((each) => each.startsWith(`${word} `))?.slice(word.length + 1) ?? "";
  return (sided ? (["L", "R"] as const) : [null]).map((side): Pattern => {
    const on = (relative: Relative): Side | null => (side && relative ? (relative === "s" ? side : other(side)) : null);
    const shows = new Map<SignId, number>();
    for (const text of line("signs").split(" ")) {
      const [, sign, relative, share] = token.exec(text) as unknown as [string, string, Relative, string];
      const kind = signKindOf(sign);
      const q = Number(share);
      const own = on(relative);
      // a sign with sides in a pattern without is shown on either side
      if (kind.sided && !own) for (const each of ["L", "R"] as const) shows.set(signId(sign, each), q);
      else shows.set(signId(sign, kind.sided ? own : null), q);
    }
    const holds = states.flatMap((state) =>
      line(state)
        .split(" ")
        .filter(Boolean)
        .map((text): Holding => {
          const [, structure, relative] = token.exec(text) as unknown as [string, string, Relative];
          if (!structureOf(structure)) throw new RangeError(`pattern "${key}": structure "${structure}" is not known`);
          return { structure, state, side: on(relative) ?? "both" };
        }),
    );
    const sequence = (text: string): Pattern["before"] => {
      if (text === "") return undefined;
      const [first, then] = text.split(" > ").map((list) =>
        list.split(" ").map((each): Site => {
          const [, structure, relative] = token.exec(each) as unknown as [string, string, Relative];
          if (!structureOf(structure)) throw new RangeError(`pattern "${key}": structure "${structure}" is not known`);
          return { structure, side: on(relative) ?? "both" };
        }),
      ) as [Site[], Site[]];
      return { first, then };
    };
    return {
      id: side ? `${key}.${side}` : key,
      key,
      name: side ? `${name}, ${sideWord[side]}` : name,
      side,
      prior: sided ? met[often] / 2 : met[often],
      shows,
      holds,
      before: sequence(line("before")),
      order: line("order"),
      means: line("means"),
    };
  });
}

/** Every pattern, those with sides once for each. */
export const patterns: readonly Pattern[] = patternRows.trim().split("\n\n").flatMap(patternsOf);
const byId = new Map(patterns.map((pattern) => [pattern.id, pattern]));
export const patternOf = (id: string): Pattern | undefined => byId.get(id);

/** How often a sign is there without any pattern that shows it: an estimate of the trade. */
export function leakOf(sign: SignId): number {
  if (sign.startsWith("at-")) return 0.1;
  if (sign.startsWith("told-")) return 0.04;
  return sign.startsWith("touch:") ? 0.1 : 0.07;
}
