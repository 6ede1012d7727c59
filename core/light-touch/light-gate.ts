import { joints } from "../anatomy/joints";
import { placeOf } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import type { Outcome } from "../screening/outcome";
import { verdictOn } from "../screening/verdict";
import { techniqueOf } from "../techniques/library";
import type { Side } from "../units";
import { holds } from "./arc-steps";
import type { Unwound } from "./unwinding";

const regionsOfPart: Record<Unwound, readonly RegionKey[] | "all"> = {
  neck: ["neck", "head"],
  "left arm": ["shoulder", "arm"],
  "right arm": ["shoulder", "arm"],
  "left leg": ["pelvis", "thigh", "leg"],
  "right leg": ["pelvis", "thigh", "leg"],
  "whole body": "all",
};
const sideOfPart = (part: Unwound): Side | undefined =>
  part.startsWith("left") ? "L" : part.startsWith("right") ? "R" : undefined;

const overlap = <T>(a: readonly T[], b: readonly T[]) => a.some((each) => b.includes(each));

/** Whether a caution speaks of following a part along its own way: it moves every joint of it, and hands hold it. */
function reachesPart(caution: Outcome, part: Unwound): boolean {
  const { scope } = caution;
  const side = sideOfPart(part);
  if (scope?.side && side && scope.side !== side) return false;
  if (!scope) return true;
  if (scope.tags) {
    const moving = part === "neck" || part === "whole body" ? ["unwinding", "neck lever"] : ["unwinding"];
    if (scope.tags.some((tag) => moving.includes(tag))) return true;
  }
  const own = regionsOfPart[part];
  const within = (list: readonly RegionKey[]) => own === "all" || overlap(own, list);
  if (scope.joints)
    return scope.joints.some((key) => {
      const joint = joints.find((each) => each.key === key);
      return joint !== undefined && within(joint.places.map((place) => placeOf(place).region));
    });
  // light as it is, what is not to be touched is not to be held, and what is only not to be pressed may be
  if (scope.tags || scope.fromDepth !== undefined || (scope.fromPressure ?? 0) > 1) return false;
  if (scope.places) return within(scope.places.map((place) => placeOf(place).region));
  return scope.regions ? within(scope.regions) : true;
}

/** Why a part may not be unwound under these cautions, those that act on the day; undefined when it may. Consent comes first. */
export function unwindingGate(
  part: Unwound,
  cautions: readonly Outcome[],
  consent: boolean | undefined,
): string | undefined {
  if (consent !== true)
    return consent === false
      ? "The client declined unwinding."
      : "Unwinding needs the client’s explicit consent before the first time.";
  const no = cautions.find(
    (caution) => caution.kind === "refer" || (caution.kind === "exclude" && reachesPart(caution, part)),
  );
  return no && `${no.title}: ${no.reason}`;
}

/** Why holds of the arc, and a still point at the feet, are out under these cautions, by the technique whose cautions hold. */
export const arcGate = (cautions: readonly Outcome[]): Partial<Record<string, string>> =>
  Object.fromEntries(
    [...new Set([...holds.map(({ technique }) => technique), "lt-still-point"])].flatMap((key) => {
      const { no } = verdictOn(techniqueOf(key), cautions);
      return no ? [[key, no.replace(/^./, (first) => first.toUpperCase())]] : [];
    }),
  );
