import { entryOf } from "../test/facts";
import { readEntry } from "./entry";
import { toldAlready } from "./told-already";

const today = "2026-12-01";
const read = (what: string, condition: string | null, rest: { when?: string; where?: string } = {}) =>
  readEntry({ what, condition, kind: "condition", when: "", where: "", answer: null, ...rest }, today, null).body!;
const wrist = entryOf("fracture", { region: "arm", places: ["wrist"], side: "L", on: "2026-10-01" });

describe("what is on record already", () => {
  it("is not told anew by saying it again, with less or as much", () => {
    expect(toldAlready(read("osteopenia", "osteopenia"), [entryOf("osteopenia")])?.condition).toBe("osteopenia");
    expect(toldAlready(read("broken wrist, left", "fracture"), [wrist])).toBe(wrist);
    const own = { ...entryOf("osteopenia"), condition: null, words: "Funny  Turn" };
    expect(toldAlready(read("funny turn", null), [own])).toBe(own);
  });

  it("is told anew with another place, side, time, person or answer, or after it was over", () => {
    expect(toldAlready(read("broken right wrist", "fracture"), [wrist])).toBeUndefined();
    expect(toldAlready(read("broken toe", "fracture"), [wrist])).toBeUndefined();
    expect(toldAlready(read("broken left wrist", "fracture", { when: "March 2020" }), [wrist])).toBeUndefined();
    expect(toldAlready({ ...read("wrist", "fracture"), stance: "other" }, [wrist])).toBeUndefined();
    expect(toldAlready(read("osteopenia", "osteopenia"), [entryOf("osteopenia", { status: "ended" })])).toBeUndefined();
    const pressure = entryOf("blood-pressure", { answer: "yes" });
    expect(toldAlready({ ...read("blood pressure", "blood-pressure"), answer: "no" }, [pressure])).toBeUndefined();
    expect(toldAlready(read("osteoporosis", "osteoporosis"), [entryOf("osteopenia")])).toBeUndefined();
  });
});
