import { sideBehind } from "../words";
import { layers } from "../anatomy/layers";
import { jointOf } from "../anatomy/joints";
import { placeOf, placesIn } from "../anatomy/places";
import { regionKeys, regionName } from "../anatomy/regions";
import type { SafetyTag } from "../techniques/safety-tags";
import { positionName, type Technique } from "../techniques/technique";
import type { Outcome, Scope } from "./outcome";
import { reaches } from "./verdict";

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
  instrument: "work with instruments",
  jaw: "jaw work",
};

/** The last layer that a rule from this depth on leaves open: "surface fascia". Light touch lies above all of them. */
const above = (depth: number) => layers.find((layer) => layer.depth === depth - 1)!.name.toLowerCase();

/** The work a scope speaks of, in words: "levers at the neck, left". */
export function scopeInWords(scope: Scope | undefined): string {
  if (!scope) return "all work";
  const what = scope.tags?.map((tag) => tagWord[tag]).join(", ");
  const where = whereInWords(scope);
  const side = scope.side ? sideBehind[scope.side] : "";
  const deep = scope.fromDepth !== undefined && scope.fromDepth > 1 ? ` below the ${above(scope.fromDepth)}` : "";
  const hard = scope.fromPressure !== undefined ? ` at ${scope.fromPressure} of 10 or more` : "";
  const across = scope.joints ? ` across ${scope.joints.map((key) => jointOf(key).name.toLowerCase()).join("; ")}` : "";
  if (what) return `${what}${where ? ` at ${where}` : ""}${across}${side}${deep}${hard}`;
  return `${where ?? "all work"}${across}${side}${deep}${hard}`;
}

/** Regions, and places beside them; places that make up a whole region are named as that. */
function whereInWords({ regions = [], places = [] }: Scope): string | undefined {
  const whole = regionKeys.filter((region) => placesIn(region).every((place) => places.includes(place)));
  const rest = places.filter((place) => !whole.includes(placeOf(place).region));
  const names = [...regions, ...whole].map((region) => regionName(region).toLowerCase());
  const said = [...names, ...rest.map((place) => placeOf(place).name.toLowerCase())];
  return said.length > 0 ? said.join("; ") : undefined;
}

/** Whether a caution is about places or joints that a technique reaches: it names where it holds, and that is there. */
function isAbout({ scope }: Outcome, technique: Technique): boolean {
  if (!scope?.regions && !scope?.places && !scope?.joints) return false;
  const { regions, places, joints } = scope;
  return reaches(
    { ...(regions ? { regions } : {}), ...(places ? { places } : {}), ...(joints ? { joints } : {}) },
    technique,
  );
}

/**
 * What cautions say about the places a technique's hands reach, whether or not they change the technique: who works
 * there knows it. Their own wishes and settings are said where they were made.
 */
export function cautionsAt(technique: Technique, cautions: readonly Outcome[]): string[] {
  return [
    ...new Set(
      cautions
        .filter((caution) => isAbout(caution, technique))
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
