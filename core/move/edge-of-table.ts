import type { Moment } from "../findings/restriction";
import type { Side } from "../units";

/**
 * The test at the edge of the table: face up, the other knee held to the chest, this leg hangs over the edge. Three angles:
 * the thigh above the table's plane (degrees, below it negative), the knee from straight, and how far the thigh drifts outward.
 */
export type EdgeOfTable = {
  thigh: number;
  knee: number;
  drift: number;
  /** The thigh once more with the knee held straight; undefined: not looked at. */
  thighStraight?: number | undefined;
};

export const edgeParts = ["hip flexor", "rectus femoris", "outer band"] as const;
export type EdgePart = (typeof edgeParts)[number];

/** As it was pressed, of one leg; null takes it back. */
export type EdgeEvent = {
  id: string;
  at: string;
  kind: "edge";
  body: { moment: Moment; side: Side; angles: EdgeOfTable | null };
};
export type EdgeTaken = { moment: Moment; side: Side; angles: EdgeOfTable };

/** What one press stands in the place of. */
export const edgeSlot = ({ moment, side }: Pick<EdgeTaken, "moment" | "side">) => `${moment} ${side}`;

/** What stands after everything that was pressed. */
export function edgesAfter(events: readonly (EdgeEvent | { kind: string })[]): EdgeTaken[] {
  const latest = new Map<string, EdgeTaken>();
  for (const { body } of events.filter((event): event is EdgeEvent => event.kind === "edge"))
    if (body.angles) latest.set(edgeSlot(body), { ...body, angles: body.angles });
    else latest.delete(edgeSlot(body));
  return [...latest.values()];
}

/** What its angles may be: beyond them it is a slip of the pen (degrees). */
export const edgeLimits = { thigh: [-40, 70], knee: [0, 150], drift: [-30, 60], thighStraight: [-40, 70] } as const;
export const edgeNames = {
  thigh: "Thigh above the table",
  knee: "Knee from straight",
  drift: "Thigh drifts outward",
  thighStraight: "Thigh, knee held straight",
} as const;

/** Why angles are none of this test: field, rule and value. */
export function edgeFault(angles: EdgeOfTable): string | undefined {
  for (const key of ["thigh", "knee", "drift", "thighStraight"] as const) {
    const value = angles[key];
    if (value === undefined && key === "thighStraight") continue;
    const [low, high] = edgeLimits[key];
    if (typeof value !== "number" || !Number.isFinite(value)) return `${edgeNames[key]}: type a number of degrees.`;
    if (value < low || value > high) return `${edgeNames[key]}: from ${low} to ${high}°, got ${value}.`;
  }
  return undefined;
}

/** How much a part is short (degrees), or that it is not. `settle`: which of two it is cannot be told from three angles, and this would tell. */
export type EdgeReading = { short: Partial<Record<EdgePart, number>>; settle: string | undefined };

/** From where on it counts, common practice: thigh on the table, knee at 80° or more, no more than 15° outward. */
export const edgeUsual = { thigh: 0, knee: 80, drift: 15 } as const;

/** An angle is told from the usual when it is beyond it by more than this (95 % of a goniometer's 2.5°). */
export const edgeBand = 5;

/**
 * Which part is short. A short hip flexor (it crosses the hip alone) holds the thigh up whatever the knee does; a short rectus
 * femoris (it crosses both) pulls the knee straight, and lets the thigh down when the knee is held straight; a short outer band
 * draws the thigh outward. What only the knee's straightening would tell is said so.
 */
export function readEdge({ thigh, knee, drift, thighStraight }: EdgeOfTable): EdgeReading {
  const beyond = (value: number) => (value > edgeBand ? value : 0);
  const [raised, straight, outward] = [
    beyond(thigh - edgeUsual.thigh),
    beyond(edgeUsual.knee - knee),
    beyond(drift - edgeUsual.drift),
  ];
  const short: Partial<Record<EdgePart, number>> = {};
  let settle: string | undefined;
  if (thighStraight !== undefined) {
    const still = beyond(thighStraight - edgeUsual.thigh);
    if (still > 0) short["hip flexor"] = still;
    const eased = beyond(thigh - thighStraight);
    if (eased + straight > 0) short["rectus femoris"] = eased + straight;
  } else {
    // a thigh that is up may hang on either of the two: only the knee tells them apart
    if (raised > 0)
      settle =
        "The thigh is up: hold the knee straight and look again. If it stays up the hip flexor holds it, if it goes down rectus femoris did.";
    else if (straight > 0) short["rectus femoris"] = straight;
  }
  if (outward > 0) short["outer band"] = outward;
  return { short, settle };
}
