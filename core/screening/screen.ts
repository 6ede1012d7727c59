import { sideWord } from "../words";
import { jointsAt } from "../anatomy/joints";
import { furtherOut, isPlace, nameOf, placesIn, withNeighbours, type PlaceKey } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import { plusDays, plusMonths, type IsoDay } from "../days";
import type { Medium } from "../techniques/technique";
import type { Side } from "../units";
import { conditionOf, type Around, type Condition, type Rule } from "./conditions";
import type { Facts, GivenAnswer, HistoryEntry } from "./facts";
import type { Outcome, Scope } from "./outcome";
import { questionOf, rescreen } from "./questions";

type Found = Outcome & { factAt: string };

/** Pressure that is still allowed while an answer is not known. */
const unsurePressure = 3;
/** Preferences and settings are as old as the client: no decision is about them. */
const always = "";

/**
 * Every caution that follows from what is known, each with the days it acts on: the same facts serve every visit of a
 * series, and `acting` picks those of a day. Rules are common practice; check them against local codes.
 */
export function screen(facts: Facts): Found[] {
  return [
    ...facts.answers.flatMap(ofAnswer),
    ...facts.history.flatMap(ofEntry),
    ...ofAge(facts.born),
    ...ofPreferences(facts),
    ...ofSchool(facts),
  ];
}

function ofAnswer({ question: key, answer, at }: GivenAnswer): Found[] {
  if (answer === "no") return [];
  const again = rescreen.find((each) => each.key === key);
  if (again)
    return [
      {
        key: `answer ${key} ${at}`,
        kind: "inform",
        title: "Something changed",
        reason: `${again.ask} ${answer === "yes" ? "Yes" : "Not sure"}: put it into the history before you work.`,
        // asked for one visit; by the next one it is asked again
        until: plusDays(at.slice(0, 10), 2),
        origin: "answer",
        factAt: at,
      },
    ];
  const question = questionOf(key);
  if (!question) return [];
  const common = { title: question.title, factAt: at, origin: "answer" as const };
  const scope: Scope = { tags: ["cranial", "neck lever"] };
  if (answer === "unsure")
    return [
      {
        ...common,
        key: `answer ${key} unsure`,
        ...(question.blocks === "all work" ? { kind: "limit", pressure: unsurePressure } : { kind: "exclude", scope }),
        reason: `Not sure is not no. ${question.reason} Ask again; until then ${question.blocks === "all work" ? "work lightly" : "it waits"}.`,
      },
    ];
  return question.blocks === "all work"
    ? [{ ...common, key: `answer ${key}`, kind: "refer", reason: question.reason }]
    : [{ ...common, key: `answer ${key}`, kind: "exclude", scope, reason: question.reason }];
}

/** First and last day of a rule for an entry; undefined when it does not hold at all. */
function windowOf(rule: Rule, entry: HistoryEntry): Pick<Outcome, "from" | "until"> | undefined {
  const ended = entry.status === "ended" ? (entry.endedOn ?? undefined) : undefined;
  const told = entry.when?.latest;
  if (rule.due) {
    // without a due date every rule of a pregnancy holds until it is over
    const start = told && plusDays(told, -280);
    return start
      ? span(plusDays(start, rule.due.from), earlier(plusDays(start, rule.due.until), ended))
      : span(undefined, ended);
  }
  if (rule.days) {
    const { from, until } = rule.days;
    // what began then and goes on is as new as on its first day
    if (rule.lasts && entry.when?.onset) return span(undefined, ended);
    // when the date is not known, what holds early holds until it is known, and what comes later waits
    if (!told) return from === undefined ? span(undefined, ended) : undefined;
    return span(
      from === undefined ? undefined : plusDays(told, from),
      until === undefined ? ended : plusDays(told, until),
    );
  }
  const least = rule.leastDays !== undefined && told ? plusDays(told, rule.leastDays) : undefined;
  return span(undefined, ended && least && least > ended ? least : ended);
}

const earlier = (a: IsoDay, b: IsoDay | undefined) => (b !== undefined && b < a ? b : a);
const span = (from: IsoDay | undefined, until: IsoDay | undefined): Pick<Outcome, "from" | "until"> => ({
  ...(from === undefined ? {} : { from }),
  ...(until === undefined ? {} : { until }),
});

function scopeOf(rule: Rule, entry: HistoryEntry): Scope | undefined {
  if (!rule.scope) return undefined;
  const { at, ...rest } = rule.scope;
  // a place that was not told: the rule holds everywhere
  if (at === undefined || !entry.region) return rest;
  const side: { side?: Side } = entry.side === "L" || entry.side === "R" ? { side: entry.side } : {};
  return { ...rest, ...side, ...around(at, entry.region, entry.places ?? []) };
}

/** The places or joints a rule speaks of. No places: the whole region. */
function around(at: Around, region: RegionKey, named: readonly PlaceKey[]): Scope {
  const told = named.filter(isPlace);
  const hands = at === "here" || at === "near" || at === "outward";
  if (at === "region" || (hands && told.length === 0)) return { regions: [region] };
  const places = told.length > 0 ? told : placesIn(region);
  if (at === "here") return { places };
  if (at === "near") return { places: withNeighbours(places) };
  if (at === "outward") return { places: [...new Set([...withNeighbours(places), ...furtherOut(places)])] };
  return { joints: jointsAt(at === "joints" ? places : withNeighbours(withNeighbours(places))) };
}

export function entryTitle(entry: HistoryEntry): string {
  const condition = entry.condition ? conditionOf(entry.condition) : undefined;
  const name = condition?.name ?? entry.words;
  const whose = entry.stance === "denied" ? "No: " : entry.stance === "other" ? "Not theirs: " : "";
  if (whose || !condition?.place || !entry.region) return `${whose}${name}`;
  const side = entry.side ? `, ${sideWord[entry.side]}` : "";
  return `${name}: ${nameOf(entry.region, entry.places ?? [])}${side}`;
}

function lifted(rule: Rule, condition: Condition, entry: HistoryEntry): boolean {
  return condition.question !== undefined && rule.unless !== undefined && entry.answer === rule.unless;
}

/** What is asked of everything that was told and is not in the catalogue. */
export const unknownQuestion = "Does it change what may be done?";

/** Suspected and not settled, these are seen by a doctor before anything else. */
const seriousIf = ["fracture", "clot", "cancer", "aneurysm", "stroke", "skull-fracture"];

function ofUnknown(entry: HistoryEntry): Found[] {
  if (entry.answer === "no" || entry.status === "ended") return [];
  const common = { title: short(entry.words), origin: "history" as const, factAt: entry.at };
  const key = `${entry.id} unknown`;
  // recorded before it was asked
  if (entry.answer === null)
    return [
      { ...common, key, kind: "inform", reason: `Not understood yet. ${unknownQuestion} Ask, and note the answer.` },
    ];
  if (entry.answer === "doctor")
    return [{ ...common, key, kind: "refer", reason: "A doctor says first what may be done." }];
  const reason =
    entry.answer === "yes"
      ? "It changes what may be done: work lightly and ask their doctor how."
      : "Not sure is not no: work lightly until it is known what it changes.";
  return [{ ...common, key, kind: "limit", pressure: unsurePressure, reason }];
}

const short = (words: string) => (words.length > 40 ? `${words.slice(0, 38).trimEnd()}…` : words);

function ofEntry(entry: HistoryEntry): Found[] {
  // what is not theirs is kept, and changes nothing
  if (entry.stance === "denied" || entry.stance === "other") return [];
  const condition = entry.condition ? conditionOf(entry.condition) : undefined;
  if (!condition) return ofUnknown(entry);
  const maybe: Found[] =
    entry.stance === "suspected" && seriousIf.includes(condition.key) && entry.status === "open"
      ? [
          {
            key: `${entry.id} suspected`,
            kind: "refer",
            title: `Maybe: ${entryTitle(entry).toLowerCase()}`,
            reason: "It is suspected and not settled: a doctor says first what it is.",
            origin: "history",
            factAt: entry.at,
          },
        ]
      : [];
  return [...maybe, ...rulesOf(entry, condition)];
}

function rulesOf(entry: HistoryEntry, condition: Condition): Found[] {
  return condition.rules.flatMap((rule): Found[] => {
    if (lifted(rule, condition, entry)) return [];
    const window = windowOf(rule, entry);
    if (!window || (window.from !== undefined && window.until !== undefined && window.until <= window.from)) return [];
    const scope = scopeOf(rule, entry);
    const { key, kind, reason, pressure, without, withoutMedia, instead, proneMost, tableMost } = rule;
    return [
      {
        key: `${entry.id} ${key}`,
        kind,
        title: entryTitle(entry),
        reason,
        origin: "history",
        factAt: entry.at,
        ...window,
        ...(scope ? { scope } : {}),
        ...(pressure === undefined ? {} : { pressure }),
        ...(without ? { without } : {}),
        ...(withoutMedia ? { withoutMedia } : {}),
        ...(instead ? { instead } : {}),
        ...(proneMost === undefined ? {} : { proneMost }),
        ...(tableMost === undefined ? {} : { tableMost }),
      },
    ];
  });
}

function ofAge(born: IsoDay | null): Found[] {
  if (!born) return [];
  return [
    {
      key: "age minor",
      kind: "inform",
      title: "Under 18",
      reason: "A guardian consents and is present.",
      until: plusMonths(born, 18 * 12),
      origin: "preference",
      factAt: always,
    },
  ];
}

function ofPreferences({ preferences: wish }: Facts): Found[] {
  const found: Found[] = [];
  const say = (key: string, rest: Pick<Outcome, "kind" | "title" | "reason"> & Partial<Outcome>) =>
    found.push({ ...rest, key: `wish ${key}`, origin: "preference", factAt: always });
  if (wish.covering === "clothed")
    say("clothed", {
      kind: "limit",
      title: "Stays clothed",
      reason: "They keep their clothes on: no oil, no wax.",
      withoutMedia: ["oil", "wax"],
    });
  const media: Medium[] = [...(wish.oil ? [] : ["oil" as const]), ...(wish.wax ? [] : ["wax" as const])];
  if (wish.covering === "draped" && media.length > 0)
    say("media", {
      kind: "limit",
      title: `No ${media.join(", no ")}`,
      reason: `They do not want ${media.join(" or ")} on the skin.`,
      withoutMedia: media,
    });
  for (const position of wish.positionsOut)
    say(`position ${position}`, {
      kind: "limit",
      title: `Not ${position === "side" ? "side-lying" : position}`,
      reason: `They cannot or do not want to be ${position === "side" ? "on the side" : position}.`,
      without: [position],
    });
  for (const { region, places = [], side } of wish.areasOut)
    say(`area ${[region, ...places].join(" ")} ${side}`, {
      kind: "exclude",
      title: `Not touched: ${nameOf(region, places)}${side === "both" ? "" : `, ${sideWord[side]}`}`,
      reason: "They do not want to be touched there.",
      scope: { ...around("here", region, places), ...(side === "both" ? {} : { side }) },
    });
  if (wish.scentFree)
    say("scent", {
      kind: "inform",
      title: "No scent",
      reason: "They want nothing scented.",
      instead: "unscented oil and wax",
    });
  if (wish.pauseWord)
    say("pause", {
      kind: "inform",
      title: `Pause word: ${wish.pauseWord}`,
      reason: `On “${wish.pauseWord}” everything stops at once.`,
    });
  if (wish.talk === "quiet") say("quiet", { kind: "inform", title: "Quiet", reason: "They want a quiet session." });
  if (wish.chaperone)
    say("chaperone", { kind: "inform", title: "Chaperone", reason: "They want a third person in the room." });
  return found;
}

function ofSchool({ school }: Facts): Found[] {
  const media: Medium[] = [...(school.oil ? [] : ["oil" as const]), ...(school.wax ? [] : ["wax" as const])];
  const common = { kind: "limit" as const, origin: "setting" as const, factAt: always };
  const tool = (key: string, tag: "elbow" | "thumb") => ({
    ...common,
    kind: "exclude" as const,
    key: `school ${key}`,
    title: `You use no ${tag}`,
    reason: `Your way of working uses no ${tag}.`,
    scope: { tags: [tag] },
  });
  return [
    ...(school.withoutElbow ? [tool("elbow", "elbow")] : []),
    ...(school.withoutThumb ? [tool("thumb", "thumb")] : []),
    ...school.avoids.map((tag) => ({
      ...common,
      kind: "exclude" as const,
      key: `school avoids ${tag}`,
      title: `You leave out: ${tag}`,
      reason: `Your way of working leaves out ${tag === "unwinding" || tag === "cranial" ? `${tag} work` : `work of the kind “${tag}”`}.`,
      scope: { tags: [tag] },
    })),
    ...(school.pressureCeiling < 10
      ? [
          {
            ...common,
            key: "school pressure",
            title: "Your own ceiling",
            reason: `You work up to ${school.pressureCeiling} of 10.`,
            pressure: school.pressureCeiling,
          },
        ]
      : []),
    ...(media.length > 0
      ? [
          {
            ...common,
            key: "school media",
            title: `You use no ${media.join(", no ")}`,
            reason: `Your way of working uses no ${media.join(" and no ")}.`,
            withoutMedia: media,
          },
        ]
      : []),
  ];
}
