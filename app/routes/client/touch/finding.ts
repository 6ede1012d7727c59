import { structureOf } from "~core/anatomy/structures";
import { findingName } from "~core/findings/finding-name";
import type { Named } from "~core/findings/read-line";
import type { Direction, Grade, Moment, Quality, Restriction } from "~core/findings/restriction";
import type { Side } from "~core/units";

/** What was felt, as it is about to be kept. */
export type Finding = {
  structure: string;
  side: Side | "both";
  grade: Grade;
  quality: Quality;
  tenderness: number;
  bind: Direction;
  ease: Direction;
};

/** One sending of a finding: the same however often it is tried, so that it is kept once. */
export type Sending = { id: string; name: string; body: Record<string, unknown> };

/** The line of a spot that was found before: the same structure on the same side. */
export const sameSpot = (
  restrictions: readonly Restriction[],
  { structure, side }: Pick<Finding, "structure" | "side">,
): Restriction | undefined => restrictions.find((each) => each.structure === structure && each.side === side);

/**
 * What is sent for a finding: the same structure and side found again goes on with its line, anything else begins one.
 */
export function sendingOf(
  finding: Finding,
  at: { visit: { id: string; ordinal: number }; moment: Moment },
  restrictions: readonly Restriction[],
): Sending {
  const { structure, side, grade, tenderness } = finding;
  const known = sameSpot(restrictions, finding);
  const id = known?.id ?? crypto.randomUUID();
  const felt = { id, visitId: at.visit.id, moment: at.moment, grade, tenderness };
  if (known) {
    const before = known.grades.find((each) => each.visit === at.visit.ordinal && each.moment === at.moment);
    const was = before ? { grade: before.grade, tenderness: before.tenderness } : null;
    return { id: crypto.randomUUID(), name: findingName(finding), body: { intent: "grade", ...felt, was } };
  }
  const { region, layer } = structureOf(structure)!;
  const { quality, bind, ease } = finding;
  return {
    id,
    name: findingName(finding),
    body: { intent: "add", ...felt, region, structure, layer, side, quality, bind, ease },
  };
}

/** The side of a structure where a place of one side was chosen. */
export const sideFor = (named: Pick<Named, "midline">, side: Side | "both" | null | undefined): Side | "both" =>
  named.midline ? "both" : (side ?? "both");
