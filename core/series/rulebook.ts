import { depthOf } from "../anatomy/layers";
import { placeOf, type PlaceKey } from "../anatomy/places";
import { regionKeys, type RegionKey } from "../anatomy/regions";
import { isActive, type Outcome } from "../screening/outcome";
import { positionsLeft, timeLimits, verdictOn, type Verdict } from "../screening/verdict";
import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { isStrong, type Medium, type Position, type Technique } from "../techniques/technique";
import { arcOf, isListening } from "./arc-session";
import { halves, type PlanInput, type StepMinutes } from "./plan";
import { sessionsOf } from "./course";

/**
 * The numbers of the plan's rules, in one place for the model that obeys them and the checker that does not trust
 * it. Common practice unless a practice says otherwise.
 */
export const rulebook = {
  /** Minutes lost by turning the client over. */
  turn: 1,
  mostPositions: 3,
  mostSteps: 16,
  /** Steps other than rising that end a session. */
  closings: { least: 1, most: 2 },
  /** Light-touch blocks inside a structural session, and inside a light-touch one. */
  lightBlocks: { structural: 1, light: 3 },
  /** How often one technique may return in a series. */
  repeats: 4,
  closingRepeats: 7,
  /** Minutes of outer work in a region, in earlier sessions, before inner muscle or joint is entered. */
  opened: 8,
  /** Minutes the complaint's own region gets in every session. */
  complaint: 3,
  /** Share of two sessions' minutes by which front and back may differ. */
  frontBack: 0.7,
  /** A step may take up to this much of its ideal time. */
  stretch: 1.25,
  /** A share of a technique that counts as working a region. */
  worksRegion: 0.5,
  /** A share that counts as softening a region for what comes after. */
  softens: 0.3,
  /** Light joint movement (pressure up to this) counts as outer work. */
  gentle: 3,
  fingerBudget: 50,
} as const;

/** How deep a technique works, 1–5; light touch opens nothing and counts 0. */
export function workingDepth(technique: Technique): number {
  if (technique.layer === "LT") return 0;
  if (technique.layer === "AR" && technique.pressure <= rulebook.gentle) return 2;
  return depthOf(technique.layer);
}

/** What the rules ask of a technique again and again. It follows from the technique alone, which never changes. */
type Traits = {
  works: readonly RegionKey[];
  /** Places it gives enough to soften them. */
  softens: ReadonlySet<PlaceKey>;
  dwells: Map<RegionKey, readonly PlaceKey[]>;
};
const traits = new WeakMap<Technique, Traits>();
function traitsOf(technique: Technique): Traits {
  const found = traits.get(technique);
  if (found) return found;
  const made: Traits = {
    works: technique.doses.filter((dose) => dose.share >= rulebook.worksRegion).map((dose) => dose.region),
    softens: new Set(technique.reach.filter(({ share }) => share >= rulebook.softens).flatMap(({ places }) => places)),
    dwells: new Map(),
  };
  traits.set(technique, made);
  return made;
}

/** Regions a technique works in earnest, as against touching in passing. */
export const regionsWorked = (technique: Technique): readonly RegionKey[] => traitsOf(technique).works;

/** The layer that has to be softened before, in the same session and region; 0 when none. */
export function neededCover(technique: Technique): number {
  if (technique.phase !== "work" && technique.phase !== "balance") return 0;
  const depth = workingDepth(technique);
  return depth === 5 ? 3 : Math.max(0, depth - 1);
}

/** Dry work first, then what goes either way, then oil: skin that is oiled gives no grip. */
const mediumRank: Record<Medium, number> = { dry: 0, wax: 1, any: 1, oil: 2 };

/**
 * Whether `later` needs dry skin where `earlier`, which always comes before it, has oiled it: an opening comes before
 * all, a closing after all, and rising minds neither.
 */
export function dryAfterOil(earlier: Technique, later: Technique): boolean {
  if (earlier.medium !== "oil" || later.medium !== "dry" || isRising(later)) return false;
  const always = (isOpening(earlier) && !isOpening(later)) || (isClosing(later) && !isClosing(earlier));
  return always && regionsWorked(earlier).some((region) => regionsWorked(later).includes(region));
}

/** Places of a region in which a technique works in earnest: those of what gets most of it there. */
export function dwellsIn(technique: Technique, region: RegionKey): readonly PlaceKey[] {
  const { dwells } = traitsOf(technique);
  const found = dwells.get(region);
  if (found) return found;
  const here = technique.reach.filter(({ places }) => placeOf(places[0]!).region === region);
  const most = Math.max(...here.map(({ share }) => share));
  const made = [...new Set(here.filter(({ share }) => share === most).flatMap(({ places }) => places))];
  dwells.set(region, made);
  return made;
}

/**
 * Whether `cover` softens what lies one layer above `technique`, in the very place `technique` dwells in within `region`.
 * Preparation must not need more lubrication than what it prepares, and closing strokes come too late to prepare anything.
 */
export function prepares(cover: Technique, technique: Technique, region: RegionKey): boolean {
  const needed = neededCover(technique);
  if (needed === 0 || cover.key === technique.key || workingDepth(cover) !== needed) return false;
  if (cover.phase === "close" || mediumRank[cover.medium] > mediumRank[technique.medium]) return false;
  const { softens } = traitsOf(cover);
  return dwellsIn(technique, region).some((place) => softens.has(place));
}

/** What is asked of many times while solving and never changes for one input. */
type Known = {
  cautions: Outcome[][];
  verdicts: Map<string, Verdict>[];
  positions: Position[][];
  /** What prepares a technique in a region, among everything that may be planned. */
  covers: Map<Technique, Map<RegionKey, readonly Technique[]>>;
  candidates: Map<number, readonly Technique[]>;
};
const known = new WeakMap<PlanInput, Known>();

function knownOf(input: PlanInput): Known {
  const found = known.get(input);
  if (found) return found;
  const own: Outcome = {
    key: "ceiling",
    kind: "limit",
    title: "their own ceiling",
    reason: `They want no more than ${input.pressureCeiling} of 10.`,
    pressure: input.pressureCeiling,
    origin: "preference",
  };
  const series: Outcome[] =
    input.pressureMost === undefined
      ? []
      : [
          {
            ...own,
            key: "series ceiling",
            title: "the ceiling of this series",
            reason: `It was chosen to go no higher than ${input.pressureMost} of 10.`,
            pressure: input.pressureMost,
          },
        ];
  const cautions = sessionsOf(input).map((_, s) => [
    ...input.cautions.filter((caution) => {
      const day = input.days[s];
      // a session without a day yet is held to everything that is known
      return day === undefined || isActive(caution, day);
    }),
    own,
    ...series,
  ]);
  const made: Known = {
    cautions,
    verdicts: cautions.map(() => new Map()),
    positions: cautions.map(positionsLeft),
    covers: new Map(),
    candidates: new Map(),
  };
  known.set(input, made);
  return made;
}

/** The cautions that act in a session, the client's own ceiling among them. */
export const cautionsIn = (session: number, input: PlanInput): readonly Outcome[] =>
  knownOf(input).cautions[session] ?? [];

/** What the cautions of a session leave of a technique. */
export function verdictIn(technique: Technique, session: number, input: PlanInput): Verdict {
  const verdicts = knownOf(input).verdicts[session]!;
  const found = verdicts.get(technique.key) ?? verdictOn(technique, cautionsIn(session, input));
  verdicts.set(technique.key, found);
  return found;
}

/** Positions the client may be in. */
export const positionsIn = (session: number, input: PlanInput): readonly Position[] =>
  knownOf(input).positions[session]!;

/** Minutes at the table, shorter where a caution says so; minutes face down that a caution allows. */
export const tableMinutesIn = (session: number, input: PlanInput): number =>
  Math.min(input.tableMinutes, timeLimits(cautionsIn(session, input)).table ?? Infinity);
export const proneMinutesIn = (session: number, input: PlanInput): number =>
  timeLimits(cautionsIn(session, input)).prone ?? Infinity;

/** Work that is done face down and no other way. */
export const proneOnly = (technique: Technique, session: number, input: PlanInput): boolean => {
  const { positions } = verdictIn(technique, session, input);
  return positions.length === 1 && positions[0] === "prone";
};

/**
 * The shortest and the longest a step may take on a side, in whole half minutes: from its least to 1.25 times its ideal;
 * rising is not stretched, and in an arc it is what its holds usually take. Minutes that were locked are both. Without a side:
 * what holds for either.
 */
export function timeRange(
  technique: Technique,
  session: number,
  input: PlanInput,
  side?: keyof StepMinutesBySide,
): { least: number; most: number } {
  const own = arcOf(session, input)?.find((part) => part.technique === technique.key);
  if (own) return own.minutes;
  const locked = lockedMinutes(technique, session, input);
  const fixed = (side === undefined ? Object.values(locked) : [locked[side] ?? 0]).filter((minutes) => minutes > 0);
  if (fixed.length > 0) return { least: Math.min(...fixed), most: Math.max(...fixed) };
  const { least, ideal } = technique.minutes;
  return { least, most: isRising(technique) ? least : halves(ideal * rulebook.stretch) / 2 };
}

type StepMinutesBySide = Partial<Record<"L" | "R" | "mid", number>>;

/** Minutes of a step that were locked in a session, by side; none where they are free. */
export const lockedMinutes = (technique: Technique, session: number, input: PlanInput): StepMinutesBySide =>
  input.locks.find((lock) => lock.session === session && lock.kind === "keep" && lock.technique === technique.key)
    ?.minutes ?? {};

/** Whether a session was locked as a whole. */
export const isClosed = (session: number, input: PlanInput): boolean =>
  input.locks.some((lock) => lock.session === session && lock.kind === "closed");

/** What a step is given when nothing more is said: its ideal, in an arc the middle of what its holds take. */
export function usualMinutes(technique: Technique, session: number, input: PlanInput): number {
  const { least, most } = timeRange(technique, session, input);
  return arcOf(session, input) ? halves((least + most) / 2) / 2 : technique.minutes.ideal;
}

/** Minutes of the least or the ideal dose, on the sides that are left. */
export function dosed(technique: Technique, minutes: number, session: number, input: PlanInput): StepMinutes {
  if (!technique.sided) return { mid: minutes };
  const { sides } = verdictIn(technique, session, input);
  return { L: sides.L ? minutes : 0, R: sides.R ? minutes : 0 };
}

/** Why a technique cannot be in a session at all, as a sentence; undefined when it can. */
export function whyNot(technique: Technique, session: number, input: PlanInput): string | undefined {
  const template = sessionsOf(input)[session];
  if (!template) return `there is no session ${session + 1}`;
  const { no } = verdictIn(technique, session, input);
  if (no) return no;
  const arc = arcOf(session, input);
  if (arc && !isRising(technique) && !arc.some((part) => part.technique === technique.key))
    return `it is no part of the arc in session ${session + 1} (${template.name})`;
  if (!arc && isListening(technique)) return "it begins and ends the light-touch arc, and this session is none";
  if (workingDepth(technique) > depthOf(template.ceiling))
    return `it works deeper than session ${session + 1} (${template.name}) goes`;
  return undefined;
}

export const isOpening = (technique: Technique) => technique.phase === "open";
export const isRising = (technique: Technique) => technique.stem === "rise-slowly";
export const isClosing = (technique: Technique) => technique.phase === "close" && !isRising(technique);
export const isLightBlock = (technique: Technique) => technique.layer === "LT" && technique.phase === "work";
export const opensRegion = (technique: Technique, region: RegionKey): boolean => {
  const depth = workingDepth(technique);
  return depth >= 1 && depth <= 3 && technique.doses.some((dose) => dose.region === region);
};
export const needsOpened = (technique: Technique): boolean =>
  workingDepth(technique) >= 4 && (technique.phase === "work" || technique.phase === "balance");

/**
 * Lying on the front or on the back only: what the balance of front and back is counted by. Light touch opens neither, and is
 * done on the back throughout.
 */
export function facing(technique: Technique): "front" | "back" | undefined {
  if (technique.layer === "LT" || technique.positions.length !== 1) return undefined;
  return technique.positions[0] === "prone" ? "back" : technique.positions[0] === "supine" ? "front" : undefined;
}

/** What is in a session whatever is planned: rising, and every part of an arc that is not left out by the practitioner. */
export const isGiven = (technique: Technique, session: number, input: PlanInput): boolean =>
  isRising(technique) ||
  (arcOf(session, input)?.some((part) => part.technique === technique.key) === true &&
    (isListening(technique) || !isLeftOut(technique, session, input)));

/** Left out by the practitioner; what a session cannot be without stays. */
export const isLeftOut = (technique: Technique, session: number, input: PlanInput): boolean =>
  !isRising(technique) &&
  !(isListening(technique) && arcOf(session, input)) &&
  input.locks.some((lock) => lock.session === session && lock.kind === "leave-out" && lock.technique === technique.key);

/** Light-touch blocks a session may have. */
export function mostLightBlocks(session: number, input: PlanInput): number {
  const { arc, light } = sessionsOf(input)[session]!;
  return arc ? rulebook.mostSteps : light ? rulebook.lightBlocks.light : rulebook.lightBlocks.structural;
}

const offers = new WeakMap<PlanInput, readonly Technique[]>();
/** What may be planned at all. */
export function offeredIn(input: PlanInput): readonly Technique[] {
  if (!input.techniques) return catalogue;
  const known = offers.get(input) ?? input.techniques.map(techniqueOf);
  offers.set(input, known);
  return known;
}

/** Techniques that are of use in a session: eligible, reaching its territory or a target, and not without preparation. */
export function candidates(input: PlanInput, session: number): readonly Technique[] {
  const { candidates: all } = knownOf(input);
  const found = all.get(session) ?? candidatesAnew(input, session);
  all.set(session, found);
  return found;
}

function candidatesAnew(input: PlanInput, session: number): Technique[] {
  const template = sessionsOf(input)[session]!;
  // an arc is what it is: nothing has to be found for it, and nothing in it needs preparation
  if (template.arc) return catalogue.filter((technique) => !whyNot(technique, session, input));
  const wanted = new Set<RegionKey>(regionKeys.filter((region) => template.territory[region]));
  for (const target of input.targets) wanted.add(target.region);
  if (input.complaintRegion) wanted.add(input.complaintRegion);
  const kept = new Set(
    input.locks.filter((lock) => lock.session === session && lock.kind === "keep").map((lock) => lock.technique),
  );
  let found = [...new Set([...offeredIn(input), ...[...kept].map(techniqueOf)])].filter(
    (technique) =>
      !whyNot(technique, session, input) &&
      (!isClosed(session, input) || kept.has(technique.key) || isRising(technique)) &&
      (kept.has(technique.key) ||
        technique.phase === "open" ||
        technique.phase === "close" ||
        technique.doses.some((dose) => wanted.has(dose.region) && dose.share >= rulebook.softens)),
  );
  // what nothing here can prepare is of no use, nor is what only that could have prepared
  for (let before = -1; before !== found.length;) {
    before = found.length;
    const left = new Set(found);
    found = found.filter(
      (technique) =>
        kept.has(technique.key) ||
        neededCover(technique) === 0 ||
        regionsWorked(technique).every((region) => coversOf(technique, region, input).some((cover) => left.has(cover))),
    );
  }
  return found;
}

/** What prepares a technique in a region, among all that is on offer or locked in somewhere. */
export function coversOf(technique: Technique, region: RegionKey, input: PlanInput): readonly Technique[] {
  const { covers } = knownOf(input);
  const own = covers.get(technique) ?? new Map<RegionKey, readonly Technique[]>();
  covers.set(technique, own);
  const found =
    own.get(region) ??
    [
      ...new Set([
        ...offeredIn(input),
        ...input.locks.flatMap(({ kind, technique: key }) => (kind === "keep" ? [techniqueOf(key)] : [])),
      ]),
    ].filter((cover) => prepares(cover, technique, region));
  own.set(region, found);
  return found;
}

export const strongIn = (technique: Technique, region: RegionKey): boolean =>
  isStrong(technique) && regionsWorked(technique).includes(region);

export const repeatsAllowed = (technique: Technique, sessions: number): number =>
  technique.phase === "open" || isClosing(technique)
    ? rulebook.closingRepeats
    : isRising(technique)
      ? sessions
      : rulebook.repeats;

/** Minutes of turning in a session that uses these positions. Lying on the side means both sides, one after the other. */
export const turnMinutes = (positions: Iterable<string>): number => {
  const lies = [...positions].reduce((sum, position) => sum + liesIn(position), 0);
  return rulebook.turn * Math.max(0, lies - 1);
};
/** How often a client lies anew for a position: once, and on the side twice. */
export const liesIn = (position: string): number => (position === "side" ? 2 : 1);
