import type { RegionKey } from "../anatomy/regions";
import { regionName } from "../anatomy/regions";
import { partsOf, structureOf } from "../anatomy/structures";
import { latestGrade, type Restriction } from "../findings/restriction";
import { feltInOrder, type TriggerPoint } from "../findings/trigger-point";
import { lockedSegments, segmentOf, type BoneFelt } from "../light-touch/bones";
import { freedom, freedomSe, type StationKey } from "../light-touch/stations";
import { bringTogether } from "../measure/combine";
import { formatBand, formatValue, unitSign } from "../measure/format";
import { oneEach, seUsual, type Reading } from "../measure/reading";
import { edgeUsual, readEdge, type EdgePart } from "../move/edge-of-table";
import { lastEdges, rangeFigure, rangesNow, shortChance, type VisitMoved } from "../move/short";
import { handError } from "../statistics/hand-errors";
import { normal } from "../statistics/quantiles";
import type { VisitAnswers } from "../table/answers";
import { checkOf } from "../table/checks";
import { latestOf, leftLessRight, resultsOf, wordsOf } from "../table/results";
import type { Side } from "../units";
import type { VisitHeard } from "./listening-targets";
import type { Weighed } from "./network";
import { wordsIn } from "./own-words";
import { signId, signWords, splitSign, type SignId, type Source } from "./signs";

/** All that is known of a client, as it stands. */
export type Known = {
  readings: readonly Reading[];
  table: readonly VisitAnswers[];
  moved: readonly VisitMoved[];
  restrictions: readonly Restriction[];
  points: readonly TriggerPoint[];
  heard: readonly VisitHeard[];
  bones: readonly { visit: number; felt: readonly BoneFelt[] }[];
  /** Conditions of the history, by key, with what was told. */
  told: readonly { condition: string; words: string }[];
  /** Complaint and occupation in the client's own words. */
  words: string;
  complaintRegion: RegionKey | null;
};

/** What was found of a sign: how much it speaks for the sign being there, and what it rests on. */
export type Evidence = Weighed & { name: string; words: string };

/**
 * How much more probable a finding may be at most if its sign is there, by how it was found; as much the other way round.
 * Common practice: what hands feel is repeated less well than what is measured, and published agreement on light touch is poor.
 */
const strongest = { measured: 20, hand: 8, light: 4, told: 8, words: 4, complaint: 6 } as const;
type Way = keyof typeof strongest;

/** One source's word on a side: how probable the sign is by it alone. */
type Told = { side: Side | null; chance: number; way: Way; words: string };

const sides = ["L", "R"] as const;
const other = (side: Side): Side => (side === "L" ? "R" : "L");
const viewSide = ({ id, side }: Reading): Side | null =>
  side ?? (id.endsWith(".left") ? "L" : id.endsWith(".right") ? "R" : null);

/** A grade of 0–3 under the hand is bound from 2 on. */
const bound = 1.5;
/** Tenderness of a point from which on it counts, 0–10. */
const tenderFrom = 3;
/** Little motion: less than this of free. */
const quiet = 0.45;
const headStations: readonly StationKey[] = ["vault-sides", "vault-front-back", "vault-under"];

const figure = (reading: Reading) =>
  `${reading.metric.name.toLowerCase()} ${formatValue(reading, reading.value)}${unitSign(reading)} ${formatBand(reading, reading.se)}`;

function ofMetric({ kind, key }: Source, readings: readonly Reading[]): Told[] {
  return readings.flatMap((reading): Told[] => {
    if (reading.metric.key !== key || reading.copied) return [];
    const [low, high] = reading.usual;
    const se = seUsual(reading);
    const over = normal((reading.value - high) / se);
    const under = normal((low - reading.value) / se);
    const words = figure(reading);
    const way = reading.method === "photo" || reading.unit !== "grade" ? "measured" : "hand";
    // positive: the left is higher, or it is shifted to the left
    if (kind === "level" || kind === "shift")
      return [
        { side: "L", chance: over, way, words },
        { side: "R", chance: under, way, words },
      ];
    return [{ side: viewSide(reading), chance: kind === "above" ? over : under, way, words }];
  });
}

function ofTable({ key, less }: Source, table: readonly VisitAnswers[]): Told[] {
  const check = checkOf(key);
  const latest = latestOf(check, table);
  if (!latest) return [];
  const { answers } = latest.at;
  const results = resultsOf(check, answers, latest.moment);
  const words = `${check.name.toLowerCase()}: ${wordsOf(check, answers, latest.moment)}`;
  if (key === "leg-tape") {
    const apart = leftLessRight(results);
    if (!apart) return [];
    const by = (check.kind === "each" && check.even) || 0;
    return [
      { side: "L", chance: normal((-apart.value - by) / apart.se), way: "measured", words },
      { side: "R", chance: normal((apart.value - by) / apart.se), way: "measured", words },
    ];
  }
  return results.flatMap((result): Told[] => {
    const { value, se, way } = result;
    const told = { way: way === "hand" ? ("hand" as const) : ("measured" as const), words };
    if (check.kind === "side") {
      const from = way === "hand" ? 0.5 : (check.even ?? 0);
      return [
        { ...told, side: "L", chance: normal((value - from) / se) },
        { ...told, side: "R", chance: normal((-value - from) / se) },
      ];
    }
    const usual = "usual" in check ? check.usual : undefined;
    const steps = check.kind === "one" ? (check.usualSteps ?? 1) : 1;
    const chance =
      way === "hand"
        ? normal((value - (steps - 0.5)) / se)
        : usual
          ? normal((less ? usual[0] - value : value - usual[1]) / se)
          : undefined;
    return chance === undefined ? [] : [{ ...told, side: result.side, chance }];
  });
}

function ofEdge(key: string, moved: readonly VisitMoved[]): Told[] {
  return lastEdges(moved).flatMap(({ taken: { side, angles } }): Told[] => {
    const { short, settle } = readEdge(angles);
    // a thigh that is up may hang on either of two: that says nothing of one
    if (settle && key !== "outer band") return [];
    const by = short[key as EdgePart];
    const words = by === undefined ? `${key} not short at the edge of the table` : `${key} short by ${Math.round(by)}°`;
    const chance =
      by !== undefined
        ? normal(by / handError.goniometer)
        : key === "outer band"
          ? normal((angles.drift - edgeUsual.drift) / handError.goniometer)
          : 0.1;
    return [{ side, chance, way: "measured", words }];
  });
}

function ofTouch(key: string, restrictions: readonly Restriction[]): Told[] {
  const parts = new Set([key, ...partsOf(key)]);
  return restrictions.flatMap((restriction): Told[] => {
    const latest = latestGrade(restriction);
    if (!latest || !parts.has(restriction.structure)) return [];
    const told = {
      chance: normal((latest.grade - bound) / handError.grade),
      way: "hand" as const,
      words: `${structureOf(restriction.structure)!.name.toLowerCase()} graded ${latest.grade} of 3`,
    };
    if (structureOf(key)?.midline) return [{ ...told, side: null }];
    return (restriction.side === "both" ? sides : [restriction.side]).map((side) => ({ ...told, side }));
  });
}

function ofPoint(key: string, points: readonly TriggerPoint[]): Told[] {
  const parts = new Set([key, ...partsOf(key)]);
  return points.flatMap((point): Told[] => {
    const last = feltInOrder(point).at(-1);
    if (!last || !parts.has(point.structure)) return [];
    const told = {
      chance: last.reproduced ? 0.97 : normal((last.tenderness - tenderFrom) / handError.tenderness),
      way: "hand" as const,
      words: `point in ${structureOf(point.structure)!.name.toLowerCase()}, tender ${last.tenderness} of 10`,
    };
    if (structureOf(key)?.midline) return [{ ...told, side: null }];
    return (point.side === "both" ? sides : [point.side]).map((side) => ({ ...told, side }));
  });
}

function ofLight({ kind, key }: Source, { heard, bones }: Known): Told[] {
  if (kind === "heard") {
    const latest = [...heard]
      .sort((a, b) => b.visit - a.visit)
      .flatMap((each) => each.heard.after ?? each.heard.before ?? [])[0];
    const felt = headStations.flatMap((station) => sides.flatMap((side) => latest?.[station]?.[side] ?? []));
    if (felt.length < 2) return [];
    const mean = felt.reduce((sum, hand) => sum + freedom(hand), 0) / felt.length;
    const chance = normal((quiet - mean) / (freedomSe() / Math.sqrt(felt.length / 2)));
    return [
      { side: null, chance, way: "light", words: `head ${Math.round(100 * mean)} % of free under listening hands` },
    ];
  }
  const latest = [...bones]
    .sort((a, b) => b.visit - a.visit)
    .find(({ felt }) => felt.some(({ segment }) => segment === key));
  if (!latest) return [];
  const own = latest.felt.filter(({ segment }) => segment === key);
  const moment = own.some((each) => each.moment === "after") ? "after" : "before";
  const now = own.filter((each) => each.moment === moment);
  if (now.length < 2) return [];
  const locked = lockedSegments(now).some((segment) => segment.key === key);
  const name = segmentOf(key)!.name.toLowerCase();
  return [{ side: null, chance: locked ? 0.85 : 0.25, way: "light", words: `${name} ${locked ? "locked" : "moves"}` }];
}

/** What one source says of a sign, a word for each side or figure; nothing where it was not looked at. */
function ask(source: Source, known: Known, readings: readonly Reading[], words: ReadonlyMap<string, string>): Told[] {
  const { kind, key } = source;
  if (kind === "table") return ofTable(source, known.table);
  if (kind === "short")
    return rangesNow(known.moved).flatMap((last): Told[] =>
      last.range.movement.key === key
        ? [
            {
              side: last.range.taken.side,
              chance: shortChance(last),
              way: "measured",
              words: `${last.range.movement.name.toLowerCase()} ${rangeFigure(last.range)}`,
            },
          ]
        : [],
    );
  if (kind === "edge") return ofEdge(key, known.moved);
  if (kind === "touch") return ofTouch(key, known.restrictions);
  if (kind === "point") return ofPoint(key, known.points);
  if (kind === "heard" || kind === "locked") return ofLight(source, known);
  // what was not said is not known: only what was said counts
  if (kind === "told")
    return known.told
      .filter(({ condition }) => condition === key)
      .slice(0, 1)
      .map((each) => ({ side: null, chance: 0.95, way: "told", words: `told: ${each.words}` }));
  if (kind === "words") {
    const said = words.get(key);
    return said ? [{ side: null, chance: 0.9, way: "words", words: `in their words: “${said}”` }] : [];
  }
  if (kind === "at") {
    const at = known.complaintRegion;
    if (at === null) return [];
    return [
      {
        side: null,
        chance: at === key ? 0.9 : 0.33,
        way: "complaint",
        words: `the complaint is in ${regionName(at).toLowerCase()}`,
      },
    ];
  }
  return ofMetric(source, readings);
}

const logRatio = ({ chance, way }: Told): number => {
  const most = Math.log(strongest[way]);
  return Math.max(-most, Math.min(most, Math.log(chance / (1 - chance))));
};

/**
 * What was found of each of these signs. Several words on one sign (two views, standing and lying, two ranges) are one finding:
 * their log ratios are added and divided by the root of their number, so that words that rest on one thing do not count twice and
 * two that agree still count for more than one. Signs nobody looked at are not there at all.
 */
export function evidenceOf(known: Known, signs: Iterable<SignId>): Evidence[] {
  const readings = bringTogether(oneEach(known.readings));
  const words = wordsIn(known.words);
  const asked = new Map<string, Told[]>();
  return [...signs].flatMap((sign): Evidence[] => {
    const { kind, side } = splitSign(sign);
    const told = asked.get(kind.key) ?? kind.sources.flatMap((source) => ask(source, known, readings, words));
    asked.set(kind.key, told);
    // a sign without sides is told by either side's figure
    const own = told.filter((each) => !kind.sided || each.side === side);
    if (own.length === 0) return [];
    const log = own.reduce((sum, each) => sum + logRatio(each), 0) / Math.sqrt(own.length);
    return [
      {
        sign,
        ratio: Math.exp(log),
        name: signWords(sign),
        words: [...new Set(own.map((each) => each.words))].join("; "),
      },
    ];
  });
}

/** A sign of the other side. */
export const mirrored = (sign: SignId): SignId => {
  const { kind, side } = splitSign(sign);
  return signId(kind.key, side && other(side));
};
