import { keptBetween } from "../../core/change/carry-over";
import { compareMoments } from "../../core/change/judge";
import { momentsOf } from "../../core/change/moments";
import { madePhotos } from "./made";

const momentsFor = (who: "ruben" | "leontine") =>
  momentsOf(madePhotos(who).map((photo) => ({ ...photo, ordinal: photo.visit })));

describe("what the demo's pictures say", () => {
  it("is nothing clear between any two moments of a client at whom nothing changed, and nothing of what was kept", () => {
    const moments = momentsFor("leontine");
    expect(moments).toHaveLength(6);
    for (const [i, first] of moments.entries())
      for (const second of moments.slice(i + 1)) {
        const clear = compareMoments(first.readings, second.readings).filter(({ verdict }) => verdict === "clear");
        expect({ from: first.key, to: second.key, clear: clear.map(({ id }) => id) }).toMatchObject({ clear: [] });
      }
    for (const visit of [1, 2]) expect(keptBetween(moments, visit)!.told).toBe(false);
  });

  it("is clear, and towards the usual, at one whose stance eased by more than half", () => {
    const moments = momentsFor("ruben");
    const [first, last] = [moments[0]!, moments.at(-1)!];
    const clear = compareMoments(first.readings, last.readings).filter(({ verdict }) => verdict === "clear");
    expect(clear.length).toBeGreaterThan(2);
    expect(clear.filter(({ direction }) => direction === "away")).toEqual([]);
    expect(clear.map(({ first: { metric } }) => metric.key)).toContain("tragus-offset");
  });
});
