import { structureOf } from "../anatomy/structures";
import { normal } from "../statistics/quantiles";
import type { VisitAnswers } from "../table/answers";
import { checkOf, type Check } from "../table/checks";
import { latestOf, resultsOf, wordsOf, type Result } from "../table/results";
import type { Side } from "../units";
import type { Target } from "./target";

/** What is usually worked where a check is off: which structures, on the side that stands out, the other one or both. */
type Aim = { structures: readonly string[]; side: "out" | "other" | "both"; weight: number };
const aim = (structures: string, weight: number, side: Aim["side"] = "out"): Aim => ({
  structures: structures.split(" "),
  side,
  weight,
});

const strip: Record<string, string> = {
  neck: "splenius",
  "t-upper": "thoracic-erectors thoracic-groove",
  "t-mid": "thoracic-erectors thoracic-groove",
  "t-low": "thoracic-erectors thoracic-groove",
  "l-upper": "lumbar-erectors multifidus-groove",
  "l-low": "lumbar-erectors multifidus-groove",
  sacrum: "multifidus-groove back-sacroiliac-ligaments",
};

/** Common practice. A blade that stands wide is pulled from the front; what is long beside the spine is not made longer. */
const aims: Record<string, Aim[]> = {
  malleoli: [aim("quadratus-lumborum", 0.7), aim("hip-rotators", 0.6)],
  "turn-out": [aim("hip-rotators", 0.8)],
  "shoulder-point": [aim("pectoralis-minor", 1)],
  "chest-expansion": [aim("rib-spaces diaphragm", 0.8, "both")],
  "breath-path": [aim("scalenes", 0.7, "both"), aim("diaphragm", 0.7, "both")],
  "rib-spring-front": [aim("rib-spaces", 0.7)],
  "rib-spring-back": [aim("thoracic-erectors", 0.6)],
  "hip-height": [aim("quadratus-lumborum", 1), aim("lumbar-erectors", 0.6, "other")],
  "shoulder-height": [aim("upper-trapezius levator-scapulae", 1), aim("latissimus", 0.5, "other")],
  ...Object.fromEntries(Object.entries(strip).map(([key, list]) => [`high-${key}`, [aim(list, 0.8)]])),
  ...Object.fromEntries(
    Object.entries(strip).map(([key, list]) => [`rock-${key}`, [aim(list.split(" ").at(-1)!, 0.6)]]),
  ),
  "blade-rest": [aim("pectoralis-minor", 0.6)],
  ridge: [aim("subscapularis", 0.8)],
};

/** What a result has to seem off by, to be worked at: four chances in five, as for what is measured standing. */
const least = 0.8;
const sideWord = { L: "left", R: "right", both: "both sides" } as const;
const other = (side: Side): Side => (side === "L" ? "R" : "L");

/** The side a result is about: the one that stands out, its own, or both. */
function sideOf({ check, side, value }: Result): Side | "both" {
  if (side !== null) return side;
  return check.kind === "side" ? (value > 0 ? "L" : "R") : "both";
}

function targetsOfCheck(check: Check, { answers, visit }: VisitAnswers, moment: "before" | "after"): Target[] {
  return resultsOf(check, answers, moment).flatMap((result) => {
    const sure = result.off === 0 ? 0 : normal(result.off / result.se);
    if (sure < least) return [];
    const out = sideOf(result);
    return (aims[check.key] ?? []).map(({ structures, side: which, weight }): Target => {
      const side = which === "both" || out === "both" ? "both" : which === "out" ? out : other(out);
      const aimed = structures.map((key) => structureOf(key)!);
      const [{ region, layer }] = aimed as [(typeof aimed)[number]];
      return {
        id: `table-${check.key}-${structures[0]}-${side}`,
        name: `${check.name}: ${aimed.map(({ name }) => name.toLowerCase()).join(", ")}${side === "both" ? "" : `, ${sideWord[side]}`}`,
        structures,
        region,
        layer,
        side,
        weight: weight * sure * Math.min(1.5, 0.5 + result.off / (result.way === "hand" ? 2 : 4 * result.se)),
        wanted: (side === "both" ? 12 : 7) * sure,
        because: `${check.name} at the table: ${wordsOf(check, answers, moment)} ${moment} visit ${visit}.`,
      };
    });
  });
}

/** Targets from what the table said last: of each check its latest answer, whatever is even by now asks for nothing. */
export const targetsOfTable = (table: readonly VisitAnswers[]): Target[] =>
  Object.keys(aims).flatMap((key) => {
    const check = checkOf(key);
    const latest = latestOf(check, table);
    return latest ? targetsOfCheck(check, latest.at, latest.moment) : [];
  });
