import { sideWord } from "../words";
import { depthOf } from "../anatomy/layers";
import type { PlaceKey } from "../anatomy/places";
import { structures } from "../anatomy/structures";
import { techniqueFrom } from "../techniques/definition";
import type { Position, Technique } from "../techniques/technique";
import type { Side } from "../units";
import type { Outcome } from "./outcome";
import { verdictOn } from "./verdict";

/**
 * What a screen tells somebody to do without its being a technique: look at, hold a point, rock a joint. It is put into the
 * body's model, so that cautions rule it out as they would a technique.
 */
export type Act = "look" | "hold" | "move";

/** How hard it is done, 0–10: points are pressed to 5 at most, joints rocked with less. Common practice. */
const pressure = { look: 0, hold: 4, move: 3 } as const;

/** An act at places of the body, or at one structure; lying so. */
export function workOf(
  act: Act,
  at: { places: readonly PlaceKey[]; structure?: string },
  positions: readonly Position[] = [],
): Technique {
  const here = structures.filter(
    ({ key, layer, places }) =>
      places.some((place) => at.places.includes(place)) &&
      (at.structure !== undefined ? key === at.structure : act === "move" ? layer === "AR" : depthOf(layer) <= 4),
  );
  const reach = here.map(({ key, places }) => ({
    structure: key,
    places: places.filter((place) => at.places.includes(place)),
  }));
  return techniqueFrom({
    key: `${act}-at`,
    name: act,
    what: act,
    layer: act === "look" ? "LT" : act === "move" ? "AR" : "DM",
    positions: [...positions],
    medium: "any",
    phase: "work",
    minutes: { ideal: 1, least: 1 },
    sided: true,
    pressure: pressure[act],
    load: {},
    tools: [act === "move" ? "palm" : "fingers"],
    reach: act === "look" ? [] : reach,
    ...(act === "hold" && {
      hold: { least: 20, most: 60, unit: "s" as const },
      force: { kind: "sinks" as const, ways: [] },
    }),
    ...(act === "move" && {
      force: { kind: "moves" as const, ways: [] },
      joints: here.map(({ key }) => key),
    }),
  });
}

/** Why an act is out for a client, as a clause ("osteoporosis: thin bones …"); on that side, where one is named. Undefined: it may be done. */
export function outFor(work: Technique, cautions: readonly Outcome[], side?: Side | "both" | null): string | undefined {
  const { no, sides, sideBy } = verdictOn(work, cautions);
  if (no !== undefined) return no;
  if (side === "L" || side === "R") return sides[side] ? undefined : sideBy;
  const barred = (["L", "R"] as const).filter((each) => !sides[each]);
  return barred.length > 0 ? `not on the ${barred.map((each) => sideWord[each]).join(" and ")} (${sideBy})` : undefined;
}

/**
 * The highest pressure, 0–10, that holds for a client's whole body: their own ceiling or what a caution leaves of it, the
 * lowest of all. Caps of a place or a kind of work are said where they act.
 */
export const ceilingUnder = (own: number, cautions: readonly Outcome[]): number =>
  cautions.reduce(
    (least, { kind, scope, pressure: cap }) =>
      kind === "refer" ? 0 : cap !== undefined && scope === undefined ? Math.min(least, cap) : least,
    own,
  );

/** The ceiling as it is read: without any work left it is no number. */
export const ceilingWords = (ceiling: number): string =>
  ceiling === 0 ? "No hands-on work until cleared" : `Pressure up to ${ceiling}`;
