import fc from "fast-check";
import { readPhoto } from "../measure/read-photo";
import { views, type View } from "../measure/view";
import { references, standing } from "../test/standing";
import { besideVisit, formerOf, heldAgainst, inView, momentsBeside } from "./beside";
import { momentsOf, type PhotoAtVisit } from "./moments";

type Taken = PhotoAtVisit & { id: string };

const stood = new Map(views.map((view) => [view, standing(view)]));
const seen = new Map<string, ReturnType<typeof readPhoto>>();
/** Read once for each view and state of its marks: all are the same person. */
const read = (photo: Taken) => {
  const key = `${photo.view} ${Object.keys(photo.marks).length} ${photo.marks["plumb.top"]?.x}`;
  return seen.get(key) ?? (seen.set(key, readPhoto(photo)), seen.get(key)!);
};
/** A series of pictures: some marked, some taken over point by point from the one before, some not marked at all. */
const series = fc
  .uniqueArray(
    fc.record({
      ordinal: fc.integer({ min: 1, max: 5 }),
      moment: fc.constantFrom("before" as const, "after" as const),
      view: fc.constantFrom(...views),
      standing: fc.constantFrom(1, 2),
      marked: fc.constantFrom("own", "own", "as ever", "not"),
    }),
    { selector: (each) => `${each.ordinal} ${each.moment} ${each.view} ${each.standing}`, maxLength: 40 },
  )
  .map((all) =>
    all
      .sort(
        (a, b) =>
          a.ordinal - b.ordinal || b.moment.localeCompare(a.moment) || views.indexOf(a.view) - views.indexOf(b.view),
      )
      .map(({ marked, view, ...where }, i): Taken => {
        const { setup, marks } = stood.get(view)!;
        // another picture has its points elsewhere by a hair, unless they were taken over
        const own = Object.fromEntries(
          Object.entries(marks).map(([key, at]) => [
            key,
            key in references ? at : { ...at!, x: at!.x + (i + 1) / 1000 },
          ]),
        );
        return { ...where, id: String(i), view, setup, marks: marked === "not" ? {} : marked === "own" ? own : marks };
      }),
  );

describe("what a visit's page takes of a client's pictures", () => {
  it("says of the visit all that the whole of them says, at either moment and in every view", () => {
    fc.assert(
      fc.property(series, fc.integer({ min: 1, max: 5 }), (photos, ordinal) => {
        const all = momentsOf(photos, [], read);
        const few = besideVisit(photos, all, ordinal);
        const again = momentsBeside(few, [], read, {}, ordinal);
        for (const moment of ["before", "after"] as const)
          for (const view of [...views, "whole"] as const) {
            const said = (moments: typeof all) => ({
              now: moments.find(({ key }) => key === `${ordinal}-${moment}`)?.readings.filter(inView(view)),
              against: heldAgainst(moments, ordinal, moment, view)?.key,
              earlier: heldAgainst(moments, ordinal, moment, view)?.readings.filter(inView(view)),
            });
            expect(said(again)).toEqual(said(all));
            if (view !== "whole")
              expect(formerOf(few, again, ordinal, moment, view)?.id).toBe(
                formerOf(photos, all, ordinal, moment, view)?.id,
              );
          }
      }),
      { numRuns: 150 },
    );
  });

  it("is no more for the thirtieth visit than for the third", () => {
    const at = (ordinal: number, moment: "before" | "after", view: View) => ({
      ...stood.get(view)!,
      id: `${ordinal} ${moment} ${view}`,
      ordinal,
      moment,
      view,
    });
    const photos = Array.from({ length: 30 }, (_, i) =>
      (["before", "after"] as const).flatMap((moment) => views.map((view) => at(i + 1, moment, view))),
    ).flat();
    const few = besideVisit(photos, momentsOf(photos, [], read), 30);
    expect(few.map(({ ordinal }) => ordinal).filter((n) => n < 28)).toEqual([]);
    expect(few).toHaveLength(20);
  });
});
