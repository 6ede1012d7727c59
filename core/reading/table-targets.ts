import { normal } from "../statistics/quantiles";
import type { VisitAnswers } from "../table/answers";
import { checkOf, type Check } from "../table/checks";
import { latestOf, resultsOf, wordsOf, type Result } from "../table/results";
import type { Side } from "../units";
import { aim, leastSure, targetOfAim, type Aim } from "./aim";
import type { Target } from "./target";

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

/** The side a result is about: the one that stands out, its own, or both. */
function sideOf({ check, side, value }: Result): Side | "both" {
  if (side !== null) return side;
  return check.kind === "side" ? (value > 0 ? "L" : "R") : "both";
}

function targetsOfCheck(check: Check, { answers, visit }: VisitAnswers, moment: "before" | "after"): Target[] {
  return resultsOf(check, answers, moment).flatMap((result) => {
    const sure = result.off === 0 ? 0 : normal(result.off / result.se);
    if (sure < leastSure) return [];
    return (aims[check.key] ?? []).map((each) =>
      targetOfAim(each, {
        id: `table-${check.key}`,
        name: check.name,
        out: sideOf(result),
        sure,
        size: Math.min(1.5, 0.5 + result.off / (result.way === "hand" ? 2 : 4 * result.se)),
        because: `${check.name} at the table: ${wordsOf(check, answers, moment)} ${moment} visit ${visit}.`,
      }),
    );
  });
}

/** Targets from what the table said last: of each check its latest answer, whatever is even by now asks for nothing. */
export const targetsOfTable = (table: readonly VisitAnswers[]): Target[] =>
  Object.keys(aims).flatMap((key) => {
    const check = checkOf(key);
    const latest = latestOf(check, table);
    return latest ? targetsOfCheck(check, latest.at, latest.moment) : [];
  });
