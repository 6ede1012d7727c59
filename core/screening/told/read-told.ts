import { readPlace, type Place } from "../../anatomy/places";
import type { IsoDay } from "../../days";
import { conditionOf } from "../conditions";
import type { RoughDate } from "../rough-date";
import { drugEndings, drugs, families } from "./drugs";
import { phrases } from "./vocabulary";
import { findDate, findDue, type FoundDate } from "./when";
import { isSmall, spelling, stemOf, tokens, type Token } from "./words";

/**
 * How something stands to the client: theirs; perhaps theirs, not settled; not theirs; somebody else's.
 */
export const stances = ["has", "suspected", "denied", "other"] as const;
export type Stance = (typeof stances)[number];

/** One thing that was read in what a client told. */
export type Read = {
  /** The client's own words for it: the part of the sentence. */
  words: string;
  /** Key of the condition it was read as; null when it was not understood: then it is asked about. */
  condition: string | null;
  stance: Stance;
  /** Not understood, and taken as a medicine. */
  medicine: boolean;
  when: RoughDate | null;
  place: Place | null;
};

type Pattern = { condition: string; words: readonly (readonly string[])[]; weight: number };

const stemsOf = (text: string) => text.split("/").flatMap((each) => tokens(each).map((token) => token.stem));
const patterns: readonly Pattern[] = Object.entries(phrases)
  .flatMap(([condition, list]) =>
    list.split(",").map((phrase): Pattern => {
      const words = phrase
        .trim()
        .split(/\s+/)
        .map((word) => (word === "*" ? ["*"] : stemsOf(word)))
        .filter((alternatives) => alternatives.length > 0);
      // a place weighs less than a word: "arthritis" with a place is the same as without
      const weight = words.reduce((sum, [word]) => sum + (word === "*" ? 0.5 : 1), 0);
      return { condition, words, weight };
    }),
  )
  .sort((a, b) => b.weight - a.weight || b.words.length - a.words.length);

const drugOf = new Map(
  Object.entries(drugs).flatMap(([condition, list]) => list.split(" ").map((name) => [name, condition] as const)),
);

/** Every stem a phrase is made of, and every medicine: what a misspelt word may have been meant to be. */
const known = new Set([...patterns.flatMap((pattern) => pattern.words.flat()).filter((word) => word !== "*")]);
const drugNames = new Set(drugOf.keys());

/** Words that say that something is not there; what follows in the same part is not theirs. */
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
/** After these a "no" says something else. */
const noButYes =
  /\b(no longer|not only|not sure|not certain|no idea|not healed|not closed|not settled|not well|no feeling|not feel|can't feel|not under control|not controlled|not properly|not clot|not yet|cannot|can not|not put weight|not stand|not pee|nothing now|no matter|not the same|never the same|never been the same|not go away|never healed|not help|did not help|no better|no reason)\b/;
const others = new Set(
  [
    "mother",
    "father",
    "sister",
    "brother",
    "aunt",
    "uncle",
    "grandmother",
    "grandfather",
    "granny",
    "gran",
    "grandma",
    "grandpa",
    "husband",
    "wife",
    "partner",
    "son",
    "daughter",
    "child",
    "cousin",
    "parent",
    "friend",
    "family",
    "mum",
    "dad",
    "mom",
    "niece",
    "nephew",
    "boyfriend",
    "girlfriend",
    "neighbour",
    "colleague",
    "boss",
    "flatmate",
    "grandson",
    "granddaughter",
    "nan",
  ].map(stemOf),
);
const suspicion =
  /\b(might|maybe|perhaps|possibly|possible|probable|probably|suspect\w*|suspicion|they think|thinks?|testing|being tested|tests? for|investigat\w*|checking|could be|may be|may have|not sure|waiting for|awaiting|rule out|ruling out|query|biopsy|found a lump|unclear|worried (that|about)|to be confirmed|looking into)\b/;
const medicineCue =
  /\b(tablets?|pills?|capsules?|medication|medicines?|meds|mg|mcg|injections?|inject|drops|patch(es)?|drug|drugs|prescri\w+|infusions?|i take|taking|i'm on|im on|am on|puts? me on|put me on|started on|inhaler|cream|ointment|dose)\b/;
/** What says that there is nothing to tell, or only leads up to it. */
const filler = new Set(
  "nothing none healthy fit horse fiddle illness illnesses disease diseases problem problems trouble issue issues condition conditions medical history health complaint complaints otherwise apart except besides general happy fine great perfectly perfect strong normal medication medications medicine medicines tablet tablets operations injuries injury accidents serious major big known wrong sick ill age usual people person life body right sure else still thank hello hi"
    .split(" ")
    .map(stemOf),
);
/** What is said about something told beside it, and is no new thing itself. */
const commentary = new Set(
  "due remove splint sling side drop night carry pen everything report finish finished mention speak remember diagnosis twin early late stage last diagnose diagnosed brace teenager scan said watch watching test testing control controlled treatment treat palm floor x-ray xray ray tomorrow idea agony check checked result results appointment specialist consultant monitored stable mild severe bad worse better hospital ambulance stitched plaster doctor's regular regularly occasionally occasional flare flares long ago time believe properly healed heal fully completely gone clear cleared hot red swollen"
    .split(" ")
    .map(stemOf),
);

type Part = { tokens: Token[]; text: string; after: "," | "and" | "or" | "." | "but" | "" };

/** A told text in parts: at full stops, commas, and where "and" or "but" begins something new. */
function partsOf(text: string): Part[] {
  const parts: Part[] = [];
  const joined = text.replace(
    /\b(wear|pins|d|left|right|black|hot|red|stiff|up|on|over|again|more|two|twos) and (tear|needles|c|right|left|blue|swollen|hot|sore|down|off|over|again|more|a half)\b/gi,
    "$1 $2",
  );
  for (const sentence of joined.split(/(?<=[.;!?\n])\s+|\n|;/)) {
    const pieces = sentence.split(/(,|\s+(?:and|but|plus|or|nor|then|also|although|however)\s+|\s+-\s+|:\s)/i);
    for (let i = 0; i < pieces.length; i += 2) {
      const piece = pieces[i]!.trim().replace(/[.;!?]+$/, "");
      const word = (pieces[i + 1] ?? ".").trim().toLowerCase();
      if (!piece) {
        // ", but": the second word says how it goes on
        if (parts.length > 0 && word !== ".")
          parts.at(-1)!.after = word === "or" || word === "nor" ? "or" : word === "and" ? "and" : "but";
        continue;
      }
      const after =
        word === ","
          ? ","
          : word === "and" || word === "plus" || word === "also"
            ? "and"
            : word === "or" || word === "nor"
              ? "or"
              : word === "."
                ? "."
                : "but";
      parts.push({ tokens: tokens(piece), text: piece, after });
    }
  }
  return parts;
}

type Hit = { condition: string; from: number; to: number; used: ReadonlySet<number>; weight: number };

const isPlace = (token: Token, all: readonly Token[], i: number) =>
  readPlace(token.word) !== undefined || readPlace(`${token.word} ${all[i + 1]?.word ?? ""}`) !== undefined;

const saysEnough = new Set(
  ["chemo", "chemotherapy", "radiotherapy", "insulin", "diabetes", "cancer", "mesh", "stent"].map(stemOf),
);

/** All of a pattern's words among the tokens, near one another, in any order. */
function match(
  pattern: Pattern,
  list: readonly Token[],
  meant: readonly string[],
  taken: ReadonlySet<number>,
): Hit | undefined {
  // a word that says enough alone says it also within a longer phrase: "port for chemo"
  const alone = pattern.words.length === 1 && saysEnough.has(pattern.words[0]![0]!);
  const reach = pattern.words.length + 4;
  for (let start = 0; start < list.length; start++) {
    if (taken.has(start) && !alone) continue;
    const used = new Set<number>();
    const fits = pattern.words.every((alternatives) => {
      for (let i = start; i < Math.min(list.length, start + reach); i++) {
        if (used.has(i) || (taken.has(i) && alternatives[0] !== "*" && !alone)) continue;
        const hit = alternatives[0] === "*" ? isPlace(list[i]!, list, i) : alternatives.includes(meant[i]!);
        if (hit) {
          used.add(i);
          return true;
        }
      }
      return false;
    });
    if (fits && used.has(start))
      return {
        condition: pattern.condition,
        from: Math.min(...used),
        to: Math.max(...used),
        used,
        weight: pattern.weight,
      };
  }
  return undefined;
}

/** What a part says, longest phrases first; each word serves one of them. */
function hitsOf(list: readonly Token[]): Hit[] {
  const meant = list.map(({ word, stem }) => {
    if (
      known.has(stem) ||
      isSmall(word) ||
      drugNames.has(word) ||
      others.has(stem) ||
      filler.has(stem) ||
      commentary.has(stem)
    )
      return stem;
    return spelling(stem, known) ?? spelling(word, known) ?? stem;
  });
  const taken = new Set<number>();
  const hits: Hit[] = [];
  const drugged = list.map(({ word }) => {
    if (drugOf.has(word)) return drugOf.get(word);
    if (word.length < 7 || isSmall(word)) return undefined;
    const family = families.find(([ending]) => word.endsWith(ending))?.[1];
    const near = family || known.has(stemOf(word)) ? undefined : spelling(word, drugNames);
    return family ?? (near && drugOf.get(near));
  });
  drugged.forEach((condition, i) => {
    if (!condition) return;
    taken.add(i);
    hits.push({ condition, from: i, to: i, used: new Set([i]), weight: 1 });
  });
  for (const pattern of patterns) {
    const hit = match(pattern, list, meant, taken);
    if (!hit) continue;
    if (!hits.some((other) => other.condition === hit.condition)) hits.push(hit);
    for (const i of hit.used) taken.add(i);
  }
  return hits;
}

/** What is said beside these changes nothing, when something weightier was said in the same part. */
const slight = new Set(["pain", "tried", "quiet", "osteoarthritis", "fall", "migraine", "dizzy"]);
/** A sign is stronger than the illness it may come from; the second is dropped where the first was read. */
const stronger: Record<string, readonly string[]> = {
  "sign-headache": ["migraine"],
  "sign-neck-artery": ["dizzy", "pain"],
  "sign-chest-pain": ["pain", "breathless"],
  "sign-fever-back": ["sign-infection", "pain"],
  "sign-hot-calf": ["pain"],
  "sign-weight-night": ["pain"],
  "sign-major-trauma": ["pain", "fall"],
  whiplash: ["fall"],
  "sign-bladder-bowel": ["neuropathy"],
  "sign-weakness": ["neuropathy", "pain"],
  "skull-fracture": ["fracture"],
  "joint-replacement": ["pain"],
  operation: ["belly-tender", "disc", "pain"],
  hernia: ["pregnancy"],
  dental: ["device"],
  stroke: ["clot", "bleeding"],
  aneurysm: ["bleeding"],
  marked: ["skin"],
  skin: ["marked"],
  fracture: ["marked", "pain", "fall"],
  arthritis: ["osteoarthritis"],
  "nut-allergy": ["allergy", "skin"],
  "scent-allergy": ["allergy"],
  "latex-allergy": ["allergy", "skin"],
  allergy: ["skin"],
  "trunk-rotation": ["scoliosis"],
  reflux: ["hernia"],
  "low-pressure": ["blood-pressure", "dizzy"],
  disc: ["pain"],
  jaw: ["pain"],
};

function settle(hits: readonly Hit[]): Hit[] {
  const keys = new Set(hits.map((hit) => hit.condition));
  const dropped = new Set(hits.flatMap((hit) => stronger[hit.condition] ?? []));
  const weighty = hits.some((hit) => !slight.has(hit.condition));
  return hits.filter(
    (hit, i) =>
      !dropped.has(hit.condition) &&
      !(weighty && slight.has(hit.condition) && hits.some((other) => other !== hit && !slight.has(other.condition))) &&
      keys.has(hit.condition) &&
      hits.findIndex((other) => other.condition === hit.condition) === i,
  );
}

function stanceOf(part: Part, hit: Hit | undefined, carried: Stance, span: FoundDate | undefined): Stance {
  const before = part.tokens.slice(0, hit ? hit.from : part.tokens.length);
  const text = part.tokens.map((token) => token.word).join(" ");
  const possessed = part.tokens.some(
    (token, i) => others.has(token.stem) && !(span && i >= span.from && i < span.to) && !(hit?.used.has(i) ?? false),
  );
  const own = /\b(i|my own|i've|i'm|me)\b/.test(
    text.replace(
      /\bmy (mother|father|mum|dad|mom|sister|brother|aunt|uncle|gran\w*|husband|wife|partner|son|daughter|child|cousin|parents?|family|friend|niece|nephew|twin)\b/g,
      "",
    ),
  );
  // a loss is one's own, whoever died
  if (possessed && !own && hit?.condition !== "trauma-history" && !/\b(born|birth|delivery|gave birth)\b/.test(text))
    return "other";
  const denies =
    before.some((token) => noes.has(token.word)) || part.tokens.slice(0, 2).some((token) => noes.has(token.word));
  if (denies && !noButYes.test(text) && !/\bcancer free|free of cancer\b/.test(text)) return "denied";
  if (carried === "denied" || carried === "other") return carried;
  return suspicion.test(text) ? "suspected" : "has";
}

/** Whether a "no" goes on to the next part: in "no clots, diabetes or epilepsy", where an "or" ends a bare list. */
function listGoesOn(parts: readonly Part[], index: number): boolean {
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

/**
 * Reads what a client tells, in ordinary sentences: which conditions it names, whether they are theirs, when and where.
 * Nothing is silent: a part with words that were not understood comes back with condition null, to be kept as it was
 * said and asked about. `today` and `born` are ISO days.
 */
export function readTold(text: string, today: IsoDay, born: IsoDay | null): Read[] {
  const parts = partsOf(text);
  const whole = parts.map((part) => part.text.toLowerCase()).join(" ");
  const read: (Read & { dated: boolean; placed: boolean; part: number })[] = [];
  let carried: Stance = "has";
  // a date or a place that stands in a part of its own belongs to its neighbour
  const dates = parts.map((part) =>
    findDate(
      part.tokens.map((token) => token.word),
      today,
      born,
    ),
  );
  const places = parts.map((part) => readPlace(part.text) ?? null);
  const all = parts.map((part) => settle(hitsOf(part.tokens)));
  const told = new Set<string>();
  // a sign may be told in two parts: "fever and back pain", "lost ten kilos and pain wakes me at night"
  if (parts.length > 1) {
    const joined = settle(hitsOf(tokens(parts.map((part) => part.text).join(" ")))).filter(
      (hit) => hit.condition.startsWith("sign-") && !all.flat().some((other) => other.condition === hit.condition),
    );
    for (const hit of joined) {
      const dropped = new Set(stronger[hit.condition] ?? []);
      all.forEach((hits, i) => (all[i] = hits.filter((other) => !dropped.has(other.condition))));
      all[0] = [...all[0]!, { ...hit, from: 0 }];
      const together = tokens(parts.map((part) => part.text).join(" "));
      for (const i of hit.used) told.add(together[i]!.stem);
      // what it is stronger than was said, too: the words are part of it
      for (const token of together) if (known.has(token.stem)) told.add(token.stem);
    }
  }
  // a sign counts for the whole of what is told: what it is stronger than is dropped in every part
  const signs = all.flat().filter((hit) => hit.condition.startsWith("sign-"));
  const outdone = new Set(signs.flatMap((hit) => stronger[hit.condition] ?? []));
  if (signs.length > 0)
    for (const part of parts) for (const token of part.tokens) if (known.has(token.stem)) told.add(token.stem);
  if (outdone.size > 0) all.forEach((hits, i) => (all[i] = hits.filter((hit) => !outdone.has(hit.condition))));
  parts.forEach((part, index) => {
    const hits = all[index]!;
    const spare = dates[index];
    // "broke my wrist in May and my toe last week": the same again, elsewhere
    const last = read.at(-1);
    if (hits.length === 0 && places[index] && last?.condition && last.placed && conditionOf(last.condition)?.place) {
      const bare = part.tokens.every(
        (token, i) =>
          isSmall(token.word) ||
          isPlace(token, part.tokens, i) ||
          token.word === "side" ||
          (spare !== undefined && i >= spare.from && i < spare.to),
      );
      if (bare) {
        read.push({
          ...last,
          words: part.text,
          when: spare?.when ?? null,
          dated: spare !== undefined,
          place: places[index]!,
          part: index,
        });
        return;
      }
    }
    const rest = part.tokens.filter(
      (token, i) =>
        !isSmall(token.word) &&
        !filler.has(token.stem) &&
        !noes.has(token.word) &&
        !(spare && i >= spare.from && i < spare.to) &&
        !isPlace(token, part.tokens, i) &&
        !others.has(token.stem) &&
        !told.has(token.stem) &&
        !commentary.has(token.stem),
    );
    for (const hit of hits) {
      const stance = stanceOf(part, hit, carried, spare);
      read.push({
        words: part.text,
        condition: hit.condition,
        stance,
        medicine: false,
        when: spare?.when ?? null,
        place: places[index] ?? null,
        dated: spare !== undefined,
        placed: places[index] !== null,
        part: index,
      });
      carried = stance === "denied" && listGoesOn(parts, index) ? "denied" : "has";
    }
    const unknownDrug = part.tokens.some(
      (token) =>
        drugEndings.some((ending) => token.word.length > 6 && token.word.endsWith(ending)) &&
        !known.has(token.stem) &&
        !drugOf.has(token.word),
    );
    const takes = medicineCue.test(part.text.toLowerCase());
    const strange = hits.length === 0 && (rest.length > 0 || takes);
    const strangeDrug =
      hits.length > 0 &&
      unknownDrug &&
      !hits.some((hit) =>
        [...hit.used].some((i) => drugEndings.some((ending) => part.tokens[i]!.word.endsWith(ending))),
      );
    if (strange || strangeDrug) {
      const stance = stanceOf(part, undefined, "has", spare);
      // "not ill", "no serious illnesses": nothing is told by it
      if (stance === "denied" && rest.length === 0) return;
      read.push({
        words: part.text,
        condition: null,
        stance: stance === "other" ? "other" : "has",
        medicine: takes || unknownDrug,
        when: spare?.when ?? null,
        place: places[index] ?? null,
        dated: spare !== undefined,
        placed: places[index] !== null,
        part: index,
      });
    }
    if (hits.length === 0) carried = "has";
  });
  // a number, a time or a place alone is not nothing
  if (
    read.length === 0 &&
    parts.length > 0 &&
    (dates.some(Boolean) || places.some(Boolean) || /\d|\b(weeks?|months?)\b/.test(whole))
  )
    return [{ words: text.trim(), condition: null, stance: "has", medicine: false, when: null, place: null }];
  const complete = read.map(({ dated, placed, part, ...each }): Read => {
    const near = (list: readonly unknown[]) =>
      [part + 1, part - 1].find((i) => list[i] && all[i]?.length === 0 && !read.some((other) => other.part === i));
    const date = dated ? undefined : near(dates);
    const place = placed ? undefined : near(places);
    const condition = each.condition ? conditionOf(each.condition) : undefined;
    const due = condition?.rules.some((rule) => rule.due) ? (findDue(whole, today) ?? null) : undefined;
    return {
      ...each,
      when: due !== undefined ? due : (each.when ?? (date === undefined ? null : dates[date]!.when)),
      place: each.place ?? (place === undefined ? null : (places[place] ?? null)),
    };
  });
  return merged(complete);
}

/** The same thing told twice in one breath is one, unless its places or times differ. */
function merged(list: readonly Read[]): Read[] {
  const found: Read[] = [];
  for (const each of list) {
    const at = found.findIndex(
      (other) =>
        each.condition !== null &&
        other.condition === each.condition &&
        other.stance === each.stance &&
        (!other.place ||
          !each.place ||
          (other.place.region === each.place.region && other.place.side === each.place.side)) &&
        (!other.when || !each.when || other.when.said === each.when.said),
    );
    if (at < 0) found.push(each);
    else {
      const other = found[at]!;
      const words = other.words.includes(each.words) ? other.words : `${other.words}, ${each.words}`;
      found[at] = { ...other, words, when: other.when ?? each.when, place: other.place ?? each.place };
    }
  }
  return found;
}
