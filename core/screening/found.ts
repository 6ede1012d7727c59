import { placeNames, withNeighbours } from "../anatomy/places";
import { plusDays } from "../days";
import { scarDays, type Scar } from "../findings/scar";
import { afterWords, restsUntil, skinPlace, skinWords, type SkinFound } from "../findings/skin";
import type { Outcome } from "./outcome";

/** The caution of a mark: its place is out until the mark is gone, two days at least; none where nothing rests. */
export function skinCautions(found: SkinFound): Outcome[] {
  const until = restsUntil(found);
  if (until === undefined) return [];
  return [
    {
      key: `${found.id} skin`,
      kind: "exclude",
      title: `Marked skin: ${skinPlace(found)}`,
      reason: `After ${afterWords[found.after]} at visit ${found.visit} it was ${skinWords[found.response]}: it rests until that is gone, 48 hours at least.`,
      scope: { places: [found.place], ...(found.side ? { side: found.side } : {}) },
      ...(until === null ? {} : { until }),
      origin: "history",
    },
  ];
}

/**
 * The cautions of a recorded scar: out with what is near it while it is open or rests, up to 3 of 10 until it is half a year
 * old; what is not known counts as recent.
 */
export function scarCautions(scar: Pick<Scar, "id" | "places" | "side" | "since" | "closed">): Outcome[] {
  const { id, places, side, since, closed } = scar;
  const common = {
    title: `Scar: ${placeNames(places)}${side === "both" ? "" : side === "L" ? ", left" : ", right"}`,
    scope: { places: withNeighbours(places), ...(side === "both" ? {} : { side }) },
    origin: "history" as const,
  };
  const day = (age: number) => since && plusDays(since, age);
  const [rested, grown] = [day(scarDays.rest), day(scarDays.gentle)];
  return [
    ...(closed
      ? []
      : [
          {
            ...common,
            key: `${id} open`,
            kind: "exclude" as const,
            reason: "A scar that is not closed, or may not be, is left alone with what is near it.",
          },
        ]),
    ...(rested
      ? [
          {
            ...common,
            key: `${id} rests`,
            kind: "exclude" as const,
            until: rested,
            reason: "A scar and what is near it rests for eight weeks.",
          },
        ]
      : []),
    {
      ...common,
      key: `${id} gentle`,
      kind: "limit",
      pressure: 3,
      ...(rested ? { from: rested } : {}),
      ...(grown ? { until: grown } : {}),
      reason: since
        ? "A scar of up to half a year, and what is near it, is worked gently."
        : "A scar of unknown age, and what is near it, is worked gently until its age is known.",
    },
  ];
}
