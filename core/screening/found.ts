import { sideBehind } from "../words";
import { placeNames, withNeighbours } from "../anatomy/places";
import { plusDays } from "../days";
import { scarDays, type Scar } from "../findings/scar";
import { afterWords, restsUntil, skinPlace, skinWords, type SkinFound } from "../findings/skin";
import { movementOf } from "../move/movements";
import { hardAndPainful, type Taken } from "../move/ranges";
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
    title: `Scar: ${placeNames(places)}${side === "both" ? "" : sideBehind[side]}`,
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

/** Days that a range which ended hard and hurt is kept from levers: until it is looked at again at a later visit, at most. */
export const hardRangeDays = 42;

/**
 * The cautions of ranges that ended hard or empty and hurt (`on`: the day of the visit): no levers and no end-range stretch of
 * those joints. A later look at the same range without it ends them; so do six weeks. Common practice; check local codes.
 */
export function rangeCautions(visits: readonly { on: string; ranges: readonly Taken[] }[]): Outcome[] {
  const latest = new Map<string, { on: string; taken: Taken }>();
  for (const { on, ranges } of visits)
    for (const moment of ["before", "after"] as const)
      for (const taken of ranges.filter((each) => each.moment === moment && each.endFeel !== null))
        latest.set(`${taken.movement} ${taken.side} ${taken.drive}`, { on, taken });
  return [...latest].flatMap(([slot, { on, taken }]): Outcome[] => {
    if (hardAndPainful([taken]).length === 0) return [];
    const { name, joints } = movementOf(taken.movement);
    const side = taken.side === null ? "" : sideBehind[taken.side];
    return [
      {
        // found again on another day it is another matter
        key: `range ${slot} ${on}`,
        kind: "exclude",
        title: `Ends ${taken.endFeel!}: ${name.toLowerCase()}${side}`,
        reason: `${name}${side} ended ${taken.endFeel!} and hurt, ${taken.pain} of 10: levers and end-range stretch wait until it is known why.`,
        scope: { joints, tags: ["lever", "end range"], ...(taken.side ? { side: taken.side } : {}) },
        until: plusDays(on, hardRangeDays),
        origin: "history",
      },
    ];
  });
}
