import { regionName } from "../anatomy/regions";
import type { SafetyTag } from "../techniques/safety-tags";
import { positionName } from "../techniques/technique";
import type { Outcome, Scope } from "./outcome";

const tagWord: Record<SafetyTag, string> = {
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

/** The work a scope speaks of, in words: "levers at the neck, left". */
export function scopeInWords(scope: Scope | undefined): string {
  if (!scope) return "all work";
  const what = scope.tags?.map((tag) => tagWord[tag]).join(", ");
  const where = scope.regions?.map((region) => regionName(region).toLowerCase()).join("; ");
  const side = scope.side ? (scope.side === "L" ? ", left" : ", right") : "";
  const deep = scope.fromDepth !== undefined && scope.fromDepth > 1 ? " below the surface" : "";
  const hard = scope.fromPressure !== undefined ? ` at ${scope.fromPressure} of 10 or more` : "";
  if (what) return `${what}${where ? ` at ${where}` : ""}${side}${deep}${hard}`;
  return `${where ?? "all work"}${side}${deep}${hard}`;
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
