import { clockWords } from "../words";

/** Where a still point is sought. Common teaching. */
export const stillPlaces = ["feet", "sacrum", "occiput", "temporals"] as const;
export type StillPlace = (typeof stillPlaces)[number];

/** How the rhythm came back. */
export const returns = ["full and even", "small at first", "uneven", "not noticed"] as const;
export type Return = (typeof returns)[number];

/**
 * One press each: hands on, it stands still, it is back (or it never came). `point`: which still point, an id of the client's
 * making; the times are those of the presses.
 */
export type StillEvent = {
  id: string;
  at: string;
  kind: "still";
  body:
    | { point: string; press: "on"; place: StillPlace; rate: number | null }
    | { point: string; press: "still" }
    | { point: string; press: "given up" }
    | { point: string; press: "back"; how: Return | null; rate: number | null };
};

export type StillPoint = {
  point: string;
  place: StillPlace;
  /** When hands were laid on (ISO). */
  on: string;
  /** Seconds until it stood still, and how long it did; undefined while it has not yet. */
  toStill?: number;
  still?: number;
  back?: Return | null;
  givenUp?: true;
  /** Cycles a minute before and after, where they were counted. */
  rateBefore: number | null;
  rateAfter: number | null;
};

const seconds = (from: string, to: string) => Math.max(0, (Date.parse(to) - Date.parse(from)) / 1000);

/** Still points as they were timed, in the order they began. A press that comes twice, or out of its order, changes nothing. */
export function stillPointsAfter(events: readonly (StillEvent | { kind: string })[]): StillPoint[] {
  const points = new Map<string, StillPoint & { stillAt?: string }>();
  for (const { at, body } of events.filter((event): event is StillEvent => event.kind === "still")) {
    const known = points.get(body.point);
    if (body.press === "on") {
      if (!known)
        points.set(body.point, {
          point: body.point,
          place: body.place,
          on: at,
          rateBefore: body.rate,
          rateAfter: null,
        });
    } else if (!known || known.givenUp) continue;
    else if (body.press === "still" && known.toStill === undefined) {
      known.toStill = seconds(known.on, at);
      known.stillAt = at;
    } else if (body.press === "given up" && known.still === undefined) known.givenUp = true;
    else if (body.press === "back" && known.stillAt !== undefined) {
      // how it came back may be told after the press that timed it
      known.still ??= seconds(known.stillAt, at);
      known.back = body.how ?? known.back ?? null;
      known.rateAfter = body.rate ?? known.rateAfter;
    }
  }
  return [...points.values()].map(({ stillAt: _, ...point }) => point);
}

const clock = (seconds: number) => `${clockWords(seconds)} min`;

/** "At the occiput: still after 2:40 min, for 1:10 min; full and even; 9.0 → 7.5 a minute". */
export function stillWords({ place, toStill, still, back, givenUp, rateBefore, rateAfter }: StillPoint): string {
  const parts = [
    givenUp
      ? toStill === undefined
        ? "none came"
        : `still after ${clock(toStill)}, left before it was back`
      : toStill === undefined
        ? "not still yet"
        : `still after ${clock(toStill)}${still === undefined ? ", not back yet" : `, for ${clock(still)}`}`,
    ...(back ? [back] : []),
    ...(rateBefore !== null && rateAfter !== null
      ? [`${rateBefore.toFixed(1)} → ${rateAfter.toFixed(1)} a minute`]
      : []),
  ];
  return `At the ${place}: ${parts.join("; ")}`;
}
