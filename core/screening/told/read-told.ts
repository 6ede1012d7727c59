import { readPlace, type NamedPlace } from "../../anatomy/read-place";
import type { IsoDay } from "../../days";
import { conditionOf } from "../conditions";
import type { RoughDate } from "../rough-date";
import { alarm, organ } from "./alarm";
import { drugEndings } from "./drugs";
import { drugOf, hitsOf, isPlace, known, settle, stronger, wordsOf, type Hit } from "./match";
import { figureIn, usualPlaceOf } from "./figures";
import { partsOf, type Part } from "./parts";
import { circumstance, commentary, filler, forbidden, medicineCue, others } from "./small-talk";
import { isNo, listGoesOn, stanceOf, type Stance } from "./stance";
import { findDate, findDue } from "./when";
import { realWords } from "./real-words";
import { inFigures, isSmall, tokens, type Token } from "./words";

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
  place: NamedPlace | null;
};

/** Conditions that stand for a question of the refer-first list. */
const isSign = (condition: string) => condition.startsWith("sign-");

/**
 * Reads what a client tells, in ordinary sentences: which conditions it names, whether they are theirs, when and where.
 * Nothing is silent: a part with words that were not understood comes back with condition null, to be kept as it was
 * said and asked about. `today` and `born` are ISO days.
 */
export function readTold(text: string, today: IsoDay, born: IsoDay | null): Read[] {
  const parts = partsOf(text);
  const whole = inFigures(parts.map((part) => part.text.toLowerCase()).join(" "));
  const read: (Read & { dated: boolean; placed: boolean; part: number })[] = [];
  let carried = false;
  // a date or a place that stands in a part of its own belongs to its neighbour
  const dates = parts.map((part) =>
    findDate(
      part.tokens.map((token) => token.word),
      today,
      born,
    ),
  );
  const places = parts.map((part) => readPlace(part.text) ?? null);
  const banned = parts.map((part) => forbidden.test(part.text.toLowerCase().replace(/’/g, "'")));
  const all = parts.map((part, i) =>
    withFigure(part, settle(hitsOf(part.tokens))).filter((hit) => !(banned[i] && hit.condition === "tried")),
  );
  const told = new Set<string>();
  // a sign may be told in two parts: "fever and back pain", "lost ten kilos and pain wakes me at night"
  if (parts.length > 1) {
    const there = new Set(all.flat().map((hit) => hit.condition));
    const together = settle(hitsOf(tokens(parts.map((part) => part.text).join(" "))));
    for (const { condition } of together)
      if (isSign(condition) && !there.has(condition)) all[0] = [...all[0]!, { condition, used: new Set([0]) }];
  }
  // a sign counts for the whole of what is told: what it is stronger than is part of it, in every part
  const signs = all.flatMap((hits, i) =>
    hits.filter((hit) => isSign(hit.condition) && /^(has|suspected)$/.test(stanceOf(parts[i]!, hit, false, dates[i]))),
  );
  if (signs.length > 0) {
    const outdone = new Set(signs.flatMap((hit) => stronger[hit.condition] ?? []));
    all.forEach((hits, i) => (all[i] = hits.filter((hit) => !outdone.has(hit.condition))));
    for (const part of parts) for (const token of part.tokens) if (known.has(token.stem)) told.add(token.stem);
  }
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
        !isNo(token.word) &&
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
        place: places[index] ?? usualPlace(hit.condition, part.text),
        dated: spare !== undefined,
        placed: places[index] !== null,
        part: index,
      });
      carried = stance === "denied" && listGoesOn(parts, index);
    }
    const unknownDrug = part.tokens.some(
      (token) =>
        drugEndings.some((ending) => token.word.length > 6 && token.word.endsWith(ending)) &&
        !known.has(token.stem) &&
        !drugOf.has(token.word),
    );
    const takes = medicineCue.test(part.text.toLowerCase());
    // what changes nothing explains nothing else: of "an artery in my neck tore" a torn muscle would leave the artery
    const unexplained = hits.every((hit) => conditionOf(hit.condition)?.rules.length === 0);
    const left = rest.filter(
      (token) =>
        hits.length === 0 ||
        (!circumstance.has(token.stem) && !hits.some((hit) => hit.used.has(part.tokens.indexOf(token)))),
    );
    const denied = hits.length > 0 && hits.every((hit) => stanceOf(part, hit, false, spare) === "denied");
    const strange =
      unexplained && !denied && (left.length > 0 || (takes && !hits.some((hit) => hit.condition === "quiet")));
    // what waits for a doctor anyway needs no second question
    const alarming =
      hits.length > 0 &&
      !denied &&
      !signs.length &&
      part.tokens.some(
        ({ stem }, i) =>
          alarm.has(stem) &&
          !hits.some((hit) => hit.used.has(i) || wordsOf.get(hit.condition)?.has(stem)) &&
          !(organ.has(stem) && onlyNames(part, i, hits)),
      );
    const strangeDrug =
      hits.length > 0 &&
      ((unknownDrug &&
        !hits.some((hit) =>
          [...hit.used].some((i) => drugEndings.some((ending) => part.tokens[i]!.word.endsWith(ending))),
        )) ||
        rest.some((token) => namesMedicine(part, token, hits)));
    if (strange || strangeDrug || alarming || banned[index]) {
      const stance = banned[index] ? "has" : stanceOf(part, undefined, false, spare);
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
    if (hits.length === 0) carried = false;
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
  return merged([...complete, ...joined(complete)]);
}

/** Two that are told together and are more than each by itself. */
const together: readonly [string, string, string][] = [["pregnancy", "blood-pressure", "pre-eclampsia"]];

function joined(list: readonly Read[]): Read[] {
  const theirs = (key: string) => list.find((each) => each.condition === key && each.stance === "has");
  return together.flatMap(([one, other, both]) => {
    const [first, second] = [theirs(one), theirs(other)];
    return first && second && !theirs(both) ? [{ ...second, condition: both }] : [];
  });
}

/** A measurement says more than the word beside it: "temperature 36.8" is no fever, 190 over 115 not just high. */
function withFigure(part: Part, hits: Hit[]): Hit[] {
  const figure = figureIn(part.text);
  if (!figure) return hits;
  const about = ["blood-pressure", "low-pressure", "sign-infection", "quiet"];
  const used = new Set(hits.filter((hit) => about.includes(hit.condition)).flatMap((hit) => [...hit.used]));
  return [
    ...hits.filter((hit) => !about.includes(hit.condition)),
    { condition: figure.condition, used: used.size > 0 ? used : new Set([0]) },
  ];
}

/** Where an operation is that names no place; null where it has no usual one. */
function usualPlace(condition: string, text: string): NamedPlace | null {
  if (condition !== "operation" && condition !== "scar" && condition !== "lymph-nodes") return null;
  const words = usualPlaceOf(text);
  return words === undefined ? null : (readPlace(words) ?? null);
}

const takenBefore = /^(on|take|takes|taking|took|started|prescribed|given|using|use)$/;
const takenAfter = /^(since|against|because)$/;

/**
 * Whether a word that nobody knows stands where a medicine stands: "zelvexa since the clot", "taking zelvexa for it". What
 * else was read in the sentence does not explain it.
 */
function namesMedicine(part: Part, token: Token, hits: readonly Hit[]): boolean {
  const i = part.tokens.indexOf(token);
  const strange =
    /^[a-z]{5,}$/.test(token.word) &&
    !known.has(token.stem) &&
    !drugOf.has(token.word) &&
    !realWords.has(token.word) &&
    !/(day|days|thing|one|body)$/.test(token.word) &&
    !circumstance.has(token.stem) &&
    !hits.some((hit) => hit.used.has(i));
  return (
    strange &&
    (takenBefore.test(part.tokens[i - 1]?.word ?? "") || (i === 0 && takenAfter.test(part.tokens[i + 1]?.word ?? "")))
  );
}

/** Whether the name of an organ only says what the word beside it is of: "blood clot", "tumour in the bowel". */
function onlyNames(part: Part, i: number, hits: readonly Hit[]): boolean {
  const used = (at: number) => hits.some((hit) => hit.used.has(at));
  const word = (at: number) => part.tokens[at]?.word ?? "";
  const before = word(i - 1) === "the" || word(i - 1) === "my" ? i - 2 : i - 1;
  return used(i + 1) || used(i - 1) || /^(in|of|for)$/.test(word(before)) || (word(i - 1) === "the" && used(i - 2));
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
