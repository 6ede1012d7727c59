import type { Hit } from "./match";
import type { Part } from "./parts";
import { others } from "./small-talk";
import type { FoundDate } from "./when";
import { stemOf } from "./words";

/** How something stands to the client: theirs; perhaps theirs, not settled; not theirs; somebody else's. */
export const stances = ["has", "suspected", "denied", "other"] as const;
export type Stance = (typeof stances)[number];

/** Words that say that something is not there. */
const noes = new Set([
  "no",
  "not",
  "never",
  "none",
  "without",
  "denies",
  "neither",
  "nor",
  "don't",
  "dont",
  "doesn't",
  "haven't",
  "havent",
  "hasn't",
  "isn't",
  "aren't",
  "didn't",
  "didnt",
  "free",
]);
export const isNo = (word: string): boolean => noes.has(word);

/** After these a "no" says something else. */
const noButYes =
  /\b(no longer|not only|not sure|not certain|no idea|not healed|not closed|not settled|not well|no feeling|not been able|haven't been able|havent been able|no (\w+ )?(lymph|glands|nodes|spleen|thyroid|womb|gallbladder)|without fainting|without warning|not feel|can't feel|not under control|not controlled|not properly|not clot|not yet|cannot|can not|not put weight|not stand|not pee|nothing now|no matter|not the same|never the same|never been the same|not go away|never healed|not help|did not help|no better|no reason|so i don't|so i do not|so that i|so it doesn't|to not|in case)\b/;

/**
 * What may stand between a "no" and what it denies: "never in my life had a". Any other word has the no to itself:
 * "could not walk after my stroke".
 */
const between = new Set(
  "a an any the have had having has got get been be being ever on taking take taken using use of in my life known history sign signs with diagnosed diagnosis told real serious big such as more other kind sort type to or nor and current currently present previous past major for at all i i've it them that there is are was were high actually really yet".split(
    " ",
  ),
);

const suspicion =
  /\b(might|maybe|perhaps|possibly|possible|probable|probably|suspect\w*|suspicion|they think|thinks?|testing|being tested|tests? for|investigat\w*|checking|could be|may be|may have|not sure|waiting for|awaiting|rule out|ruling out|query|biopsy|found a lump|unclear|worried (that|about)|to be confirmed|looking into)\b/;

/**
 * How what was read stands to the client. `carried`: a "no" that goes on from the part before. `span`: the words that name
 * a time, in which nobody else is meant ("as a child"). When in doubt it is theirs.
 */
export function stanceOf(part: Part, hit: Hit | undefined, carried: boolean, span: FoundDate | undefined): Stance {
  const text = part.tokens.map((token) => token.word).join(" ");
  const possessed = part.tokens.some(
    (token, i) => others.has(token.stem) && !(span && i >= span.from && i < span.to) && !(hit?.used.has(i) ?? false),
  );
  const own = /\b(i|my|i've|i'm|me)\b/.test(
    text.replace(/\bmy (\w+)/g, (said, whose: string) => (others.has(stemOf(whose)) ? "" : said)),
  );
  // a loss is one's own, whoever died
  if (
    possessed &&
    !own &&
    hit?.condition !== "trauma-history" &&
    (hit || !/\b(lost|died|passed|suicide)\b/.test(text)) &&
    !/\b(born|birth|delivery|gave birth)\b/.test(text)
  )
    return "other";
  if ((denies(part, hit) && !noButYes.test(text)) || carried) return "denied";
  return suspicion.test(text) ? "suspected" : "has";
}

/** Whether a "no" of the part reaches what was read in it, or, where nothing was, begins it. */
function denies(part: Part, hit: Hit | undefined): boolean {
  const words = part.tokens.map((token) => token.word);
  if (!hit) return words.slice(0, 2).some((word) => noes.has(word));
  const from = Math.min(...hit.used);
  // a no that the phrase is made of is what was told: "no feeling", "no breath"
  const last = words.slice(0, from).findLastIndex((word) => noes.has(word));
  // "not a day without": two noes say yes
  if (words[last] === "without" && words.slice(0, last).some((word) => noes.has(word))) return false;
  return last >= 0 && words.slice(last + 1, from).every((word) => between.has(word) || noes.has(word));
}

/** Whether a "no" goes on to the next part: in "no clots, diabetes or epilepsy", where an "or" ends a bare list. */
export function listGoesOn(parts: readonly Part[], index: number): boolean {
  for (let i = index; i < parts.length; i++) {
    const next = parts[i + 1];
    if (!next || (parts[i]!.after !== "," && parts[i]!.after !== "or")) return false;
    if (
      next.tokens.some((token) =>
        /^(i|i'm|i've|im|ive|my|we|have|had|has|take|takes|taking|on|since|am|was|but|now|only)$/.test(token.word),
      )
    )
      return false;
    if (parts[i]!.after === "or") return true;
  }
  return false;
}
