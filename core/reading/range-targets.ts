import { sideTitle, sideWord } from "../words";
import { edgeBand, readEdge, type EdgePart } from "../move/edge-of-table";
import { lastEdges, rangeFigure, shortNow, type VisitMoved } from "../move/short";
import { aim, leastSure, targetOfAim, type Aim } from "./aim";
import type { Target } from "./target";

/**
 * What usually shortens a range, common practice. Turning is held back by what turns the other way: the muscle of the same side
 * in front, of the other side behind; bending to a side by the other side's.
 */
const aims: Record<string, Aim[]> = {
  "neck-rotation": [
    aim("sternocleidomastoid", 0.7),
    aim("levator-scapulae", 0.8, "other"),
    aim("splenius", 0.6, "other"),
  ],
  "neck-side-bend": [aim("scalenes", 0.8, "other"), aim("upper-trapezius", 0.7, "other")],
  "neck-flexion": [aim("suboccipitals", 0.8, "both"), aim("splenius", 0.6, "both")],
  "shoulder-flexion": [aim("latissimus", 0.8), aim("pectoralis-minor", 0.6)],
  "shoulder-abduction": [aim("subscapularis", 0.8), aim("latissimus", 0.5)],
  "shoulder-outward": [aim("subscapularis", 1), aim("pectoralis-major", 0.6)],
  "shoulder-inward": [aim("infraspinatus", 0.8), aim("teres-minor", 0.5)],
  schober: [aim("lumbar-erectors", 0.8, "both")],
  "finger-floor": [aim("hamstrings", 0.7, "both"), aim("lumbar-erectors", 0.5, "both")],
  "trunk-side-bend": [aim("quadratus-lumborum", 0.8, "other"), aim("external-oblique", 0.5, "other")],
  "hip-inward": [aim("hip-rotators", 1)],
  "hip-outward": [aim("tensor-fasciae-latae", 0.6), aim("gluteus-minimus", 0.6)],
  "leg-raise": [aim("hamstrings", 0.9)],
  "knee-extension": [aim("hamstrings", 0.8)],
  "ankle-lunge": [aim("soleus", 0.8)],
  "ankle-dorsiflexion": [aim("gastrocnemius", 0.8)],
  "jaw-opening": [aim("masseter", 0.8, "both"), aim("medial-pterygoid", 0.5, "both")],
};
const edgeAims: Record<EdgePart, Aim> = {
  "hip flexor": aim("iliopsoas", 1),
  "rectus femoris": aim("rectus-femoris", 0.9),
  "outer band": aim("tensor-fasciae-latae", 0.7),
};

/**
 * Targets from ranges as they were last taken, and from the hip at the edge of the table. A range that ended hard or hurt asks
 * for none: what stops there may not be flesh.
 */
export function targetsOfMoved(moved: readonly VisitMoved[]): Target[] {
  const short = shortNow(moved).filter(
    ({ sure, range: { taken } }) =>
      sure >= leastSure && taken.endFeel !== "hard" && taken.endFeel !== "empty" && !taken.pain,
  );
  const ranges = short.flatMap(({ range, by, sure, against, visit, moment }) => {
    const { movement, taken } = range;
    return (aims[movement.key] ?? []).map((each) =>
      targetOfAim(each, {
        id: `range-${movement.key}`,
        name: movement.name,
        out: taken.side ?? "both",
        sure,
        size: Math.min(1.5, 0.5 + by / (8 * range.se)),
        because: `${movement.name}${taken.side ? `, ${sideWord[taken.side]}` : ""}: ${rangeFigure(range)}, short of ${
          against === "the reference" ? `the usual (${movement.reference} in the mean)` : against
        } ${moment} visit ${visit}.`,
      }),
    );
  });
  const edges = lastEdges(moved).flatMap(({ taken, visit, moment }) =>
    Object.entries(readEdge(taken.angles).short).map(([part, by]) =>
      targetOfAim(edgeAims[part as EdgePart], {
        id: `edge-${part.replace(" ", "-")}`,
        name: "Hip at the edge of the table",
        out: taken.side,
        // what is beyond the band of reading it is off for sure, or nearly so (95 %)
        sure: 0.975,
        size: Math.min(1.5, 0.5 + by / (4 * edgeBand)),
        because: `${sideTitle[taken.side]} hip at the edge of the table: ${part} short by ${Math.round(by)} ±${edgeBand}° ${moment} visit ${visit}.`,
      }),
    ),
  );
  return [...ranges, ...edges];
}
