import type { PlaceKey } from "../anatomy/places";
import type { Technique } from "./technique";

/** How much of a technique's time reaches each place (0–1): the most that any structure there gets. */
export function placesReached({ reach }: Technique): Map<PlaceKey, number> {
  const reached = new Map<PlaceKey, number>();
  for (const { places, share } of reach)
    for (const place of places) reached.set(place, Math.max(reached.get(place) ?? 0, share));
  return reached;
}
