import { layers } from "../anatomy/layers";
import { regionName } from "../anatomy/regions";
import { regionsTouched, type SafetyTag } from "../techniques/safety-tags";
import { positionName, type Technique } from "../techniques/technique";
import type { Outcome, Scope } from "./outcome";

export const tagWord: Record<SafetyTag, string> = {
  "rib compression": "rib and chest compression",
  lever: "levers",
  "end range": "end-range stretch",
  "neck lever": "neck traction and levers",
  "skull-base pressure": "pressure under the skull",
  "sustained point": "deep sustained points",
  "deep belly": "deep work on the belly",
  "inner thigh": "deep work on the inner thigh",
  cranial: "cranial work",
  unwinding: "unwinding",
  armpit: "work in the armpit",
  elbow: "elbow work",
  thumb: "thumb work",
  jaw: "jaw work",
};

/** The last layer that a rule from this depth on leaves open: "surface fascia". Light touch lies above all of them. */
const above = (depth: number) => layers.find((layer) => layer.depth === depth - 1)!.name.toLowerCase();

/** The work a scope speaks of, in words: "levers at the neck, left". */
export function scopeInWords(scope: Scope | undefined): string {
  if (!scope) return "all work";
  const what = scope.tags?.map((tag) => tagWord[tag]).join(", ");
  const where = scope.regions?.map((region) => regionName(region).toLowerCase()).join("; ");
  const side = scope.side ? (scope.side === "L" ? ", left" : ", right") : "";
  const deep = scope.fromDepth !== undefined && scope.fromDepth > 1 ? ` below the ${above(scope.fromDepth)}` : "";
  const hard = scope.fromPressure !== undefined ? ` at ${scope.fromPressure} of 10 or more` : "";
  if (what) return `${what}${where ? ` at ${where}` : ""}${side}${deep}${hard}`;
  return `${where ?? "all work"}${side}${deep}${hard}`;
}

/**
 * What cautions say about the places a technique's hands reach, whether or not they change the technique: who works
 * there knows it. Their own wishes and settings are said where they were made.
 */
export function cautionsAt(technique: Technique, cautions: readonly Outcome[]): string[] {
  const touched = regionsTouched(technique);
  return [
    ...new Set(
      cautions
        .filter((caution) => caution.scope?.regions?.some((region) => touched.includes(region)))
        .map((caution) => `${caution.title}. ${consequences(caution).join(" ") || caution.reason}`),
    ),
  ];
}

/** What a caution changes about the work, a sentence each. Empty when it only asks to be known. */
export function consequences(outcome: Outcome): string[] {
  const { kind, scope, pressure, without, withoutMedia, instead, proneMost, tableMost } = outcome;
  const said: string[] = [];
  if (kind === "refer") said.push("No planning and no hands-on work until it is cleared.");
  if (kind === "exclude") said.push(`Out: ${scopeInWords(scope)}.`);
  if (pressure !== undefined) said.push(`Up to ${pressure} of 10${scope ? ` for ${scopeInWords(scope)}` : ""}.`);
  if (without?.length) said.push(`Not ${without.map((each) => positionName[each].toLowerCase()).join(", not ")}.`);
  if (withoutMedia?.length) said.push(`No ${withoutMedia.join(", no ")}.`);
  if (instead) said.push(`Use ${instead}.`);
  if (proneMost !== undefined) said.push(`At most ${proneMost} min face down.`);
  if (tableMost !== undefined) said.push(`At most ${tableMost} min at the table.`);
  return said;
}
