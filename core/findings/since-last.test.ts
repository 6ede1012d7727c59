import type { Grading, Restriction } from "./restriction";
import { sinceLast } from "./since-last";

const spot = (
  id: string,
  ...grades: [visit: number, moment: "before" | "after", grade: 0 | 1 | 2 | 3][]
): Restriction => ({
  id,
  region: "neck",
  structure: "upper-trapezius",
  side: "R",
  layer: "SM",
  quality: "band",
  bind: "",
  ease: "",
  grades: grades.map(([visit, moment, grade]): Grading => ({ visit, moment, grade, tenderness: 0 })),
});

describe("what is different from last time", () => {
  it("holds the first grade of a visit against the latest before it, the largest change first", () => {
    const found = sinceLast(
      [
        spot("same", [1, "before", 2], [2, "before", 2]),
        spot("less", [1, "before", 3], [1, "after", 2], [3, "before", 1], [3, "after", 0]),
        spot("gone", [2, "after", 3], [3, "before", 0]),
        spot("new", [3, "before", 2]),
        spot("not looked at", [1, "before", 3]),
      ],
      3,
    );
    expect(found.map(({ restriction, from, to }) => [restriction.id, from?.visit, from?.grade, to])).toEqual([
      ["gone", 2, 3, 0],
      ["less", 1, 2, 1],
      ["new", undefined, undefined, 2],
    ]);
    // three steps are beyond half a step of error on each; one is not, and what is new is not judged
    expect(found.map(({ verdict }) => verdict)).toEqual(["clear", "cannot be told", undefined]);
  });

  it("says nothing of a visit at which nothing was graded", () =>
    expect(sinceLast([spot("a", [1, "before", 2])], 2)).toEqual([]));
});
