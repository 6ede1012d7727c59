import { sideWord } from "../words";
import { structureOf } from "../anatomy/structures";
import { regionName } from "../anatomy/regions";
import { latestGrade, type Restriction } from "../findings/restriction";
import { directionWord, formatBand, formatValue, unitSign } from "../measure/format";
import { stances } from "../measure/stance";
import { normal } from "../statistics/quantiles";
import { bringTogether } from "../measure/combine";
import type { MetricKey } from "../measure/metrics";
import { oneEach, seUsual, type Reading } from "../measure/reading";
import type { VisitAnswers } from "../table/answers";
import type { VisitMoved } from "../move/short";
import { targetsOfListening, type VisitHeard } from "./listening-targets";
import { targetsOfMoved } from "./range-targets";
import { targetsOfTable } from "./table-targets";
import type { Target } from "./target";
import { z95, type Side } from "../units";

/** A restriction graded 2 or 3 asks for work; one that only drags asks for a little; a free one for none. */
export function targetOfRestriction(restriction: Restriction): Target | undefined {
  const latest = latestGrade(restriction);
  if (!latest || latest.grade === 0) return undefined;
  const name = structureOf(restriction.structure)?.name ?? regionName(restriction.region);
  const sides = restriction.side === "both" ? 2 : 1;
  return {
    id: `restriction-${restriction.id}`,
    name: `${name}, ${sideWord[restriction.side]}`,
    ...(structureOf(restriction.structure) ? { structures: [restriction.structure] } : {}),
    region: restriction.region,
    layer: restriction.layer,
    side: restriction.side,
    grade: latest.grade,
    weight: latest.grade * (1 + latest.tenderness / 20),
    wanted: (4 + 4 * latest.grade) * sides,
    because: `${name}, ${sideWord[restriction.side]}, graded ${latest.grade} of 3 at visit ${latest.visit}${latest.tenderness > 0 ? `, tender ${latest.tenderness} of 10` : ""}.`,
  };
}

type Aim = { structures: readonly string[]; side: "low" | "high" | "both"; weight: number };
const aim = (structures: string, side: Aim["side"], weight: number): Aim => ({
  structures: structures.split(" "),
  side,
  weight,
});

/**
 * What is usually worked when a metric lies outside its usual range: common practice. "high" and "low" are the sides
 * a level metric finds higher or lower; `above` and `below` say which way out of range.
 */
const aims: Partial<Record<MetricKey, { above: Aim[]; below: Aim[] }>> = {
  "shoulder-level": level([aim("upper-trapezius", "high", 1.2), aim("rhomboids subscapularis", "low", 0.8)]),
  "pelvic-level": level([aim("quadratus-lumborum", "high", 1.2), aim("adductors hamstrings", "high", 0.7)]),
  "head-tilt": level([aim("levator-scapulae scalenes", "low", 1)]),
  "head-shift": level([aim("scalenes splenius", "both", 0.8)]),
  "trunk-shift": level([aim("lumbar-erectors", "both", 0.8)]),
  craniovertebral: {
    above: [],
    below: [aim("suboccipitals splenius", "both", 1.2), aim("pectoralis-minor", "both", 0.8)],
  },
  "shoulder-forward": {
    above: [aim("pectoralis-minor", "both", 1.2)],
    below: [aim("rhomboids", "both", 0.6)],
  },
  "pelvic-tilt": {
    above: [aim("rectus-femoris vastus-intermedius", "both", 1.2), aim("lumbar-erectors", "both", 1)],
    below: [aim("hamstrings", "both", 1)],
  },
  "knee-position": { above: [aim("calf", "both", 0.8)], below: [aim("hamstrings", "both", 0.8)] },
  "trunk-lean": { above: [aim("iliopsoas", "both", 0.8)], below: [aim("lumbar-erectors", "both", 0.8)] },
};

function level(list: Aim[]): { above: Aim[]; below: Aim[] } {
  return { above: list, below: list };
}

/** What a reading has to seem outside by, to be worked at: four chances in five that whoever stands so is outside. */
const least = 0.8;

/**
 * How far a reading lies outside its usual range (0 inside, in its unit), and how probable it is that the person usually
 * stands outside: Φ(by / √(se² + stance²)), measuring and one standing counted.
 */
export function outOfRange(reading: Reading): { by: number; sure: number } {
  const [low, high] = reading.usual;
  const by = reading.value > high ? reading.value - high : reading.value < low ? reading.value - low : 0;
  return { by, sure: by === 0 ? 0 : normal(Math.abs(by) / seUsual(reading)) };
}

/** Whether one picture can tell this metric at all: its band is narrower than any change to be expected of it. */
const judgeable = ({ metric, unit, seStanding, method }: Reading): boolean =>
  method !== "photo" || unit === "grade" || z95 * Math.SQRT2 * seStanding <= stances[metric.key].plausible;

/** Targets from metrics that seem outside their range; the surer, the heavier. What one picture cannot tell gives none. */
export function targetsOfReading(reading: Reading): Target[] {
  const { by, sure } = outOfRange(reading);
  const chosen = by > 0 ? aims[reading.metric.key]?.above : by < 0 ? aims[reading.metric.key]?.below : undefined;
  if (!chosen || sure < least || reading.copied || !judgeable(reading)) return [];
  // a positive level means the left is higher
  const higher: Side = reading.value > 0 ? "L" : "R";
  const lower: Side = higher === "L" ? "R" : "L";
  return chosen.map((aim): Target => {
    const side = aim.side === "both" ? "both" : aim.side === "high" ? higher : lower;
    const word = directionWord(reading, reading.value);
    const aimed = aim.structures.map((key) => structureOf(key)!);
    const [{ region, layer }] = aimed as [(typeof aimed)[number]];
    return {
      id: `metric-${reading.id}-${aim.structures[0]}`,
      name: `${reading.metric.name}: ${aimed.map(({ name }) => name.toLowerCase()).join(", ")}${side === "both" ? "" : `, ${sideWord[side]}`}`,
      structures: aim.structures,
      region,
      layer,
      side,
      weight: aim.weight * sure,
      wanted: (side === "both" ? 14 : 8) * (0.5 + 0.5 * sure),
      because: `${reading.metric.name} is ${formatValue(reading, Math.abs(reading.value))}${unitSign(reading)}${word ? ` ${word}` : ""} ${formatBand(reading, reading.se)}: it seems outside the usual ${formatValue(reading, reading.usual[0])} to ${formatValue(reading, reading.usual[1])}${unitSign(reading)}.`,
    };
  });
}

/**
 * All targets, restrictions first; several readings of one place and side are one target, the
 * heavier's reason kept; what the table and ranges said counts like what was measured. Of a metric taken in several ways the most precise speaks, of two views of one thing both together.
 */
export function targetsFrom(
  restrictions: readonly Restriction[],
  readings: readonly Reading[],
  table: readonly VisitAnswers[] = [],
  moved: readonly VisitMoved[] = [],
  heard: readonly VisitHeard[] = [],
): Target[] {
  const found = restrictions.map(targetOfRestriction).filter((target) => target !== undefined);
  const fromMetrics = new Map<string, Target>();
  const measured = bringTogether(oneEach(readings)).flatMap(targetsOfReading);
  for (const target of [
    ...measured,
    ...targetsOfTable(table),
    ...targetsOfMoved(moved),
    ...targetsOfListening(heard),
  ]) {
    const place = `${target.structures?.join(" ")} ${target.side}`;
    const known = fromMetrics.get(place);
    if (!known || known.weight < target.weight) fromMetrics.set(place, target);
  }
  return [...found, ...fromMetrics.values()];
}
