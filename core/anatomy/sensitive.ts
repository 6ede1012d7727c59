import type { PlaceKey } from "./places";

/**
 * Areas that are asked for at every visit before hands come there, and the places that belong to each. Common practice;
 * check local codes.
 */
export const sensitiveAreas = {
  chest: { name: "Chest near the breast", places: ["breast", "breastbone", "upper-chest"] },
  belly: { name: "Abdomen, groin", places: ["upper-belly", "mid-belly", "lower-belly", "groin", "pubis"] },
  "inner-thigh": { name: "Inner thigh", places: ["thigh-inner"] },
  buttock: { name: "Buttock edge", places: ["sit-bone"] },
  armpit: { name: "Armpit", places: ["armpit"] },
} as const satisfies Record<string, { name: string; places: readonly PlaceKey[] }>;

export type SensitiveArea = keyof typeof sensitiveAreas;
export const sensitiveAreaKeys = Object.keys(sensitiveAreas) as SensitiveArea[];

/** Skin below the collar bones is lifted away from breast tissue: the upper chest is asked for from the fascia on, or when a hand rests there. */
const skinOnly: ReadonlySet<PlaceKey> = new Set(["upper-chest"]);

/** Sensitive areas that hands come to at these places; `skin` where they work nothing but skin. */
export const sensitiveAt = (places: readonly PlaceKey[], skin: boolean): SensitiveArea[] =>
  sensitiveAreaKeys.filter((area) =>
    sensitiveAreas[area].places.some((place) => places.includes(place) && !(skin && skinOnly.has(place))),
  );
