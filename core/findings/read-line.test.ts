import fc from "fast-check";
import { structureGroups, structures } from "../anatomy/structures";
import { findStructures, readLine, spoken } from "./read-line";

const first = (text: string) => readLine(text).structures[0]?.key;

describe("a finding in one line", () => {
  it("reads side, structure, grade, quality, tenderness, bind and ease, in any order and cut short", () => {
    for (const line of [
      "l qu lu 2 band t4 bind head",
      "2 t4 left quadratus lumborum bind head band",
      "ql l bind hea ban 2 t4",
    ])
      expect(readLine(line)).toMatchObject({
        side: "L",
        grade: 2,
        quality: "band",
        tenderness: 4,
        bind: "head",
        ease: undefined,
        unread: [],
      });
    expect(first("l qu lu 2 band t4 bind head")).toBe("quadratus-lumborum");
  });

  it.each([
    ["r upper trap 3", "upper-trapezius"],
    ["psoas", "psoas-major"],
    ["hamstr", "hamstrings"],
    ["calf", "calf"],
    ["sole l 1 drag", "sole-of-the-foot"],
    ["soleus", "soleus"],
    ["scm", "sternocleidomastoid"],
    ["tfl", "tensor-fasciae-latae"],
    ["levator", "levator-scapulae"],
    ["it band 2", "iliotibial-band"],
    ["plantar fasc", "sole-of-the-foot"],
    ["lumbar er", "lumbar-erectors"],
    ["pec min", "pectoralis-minor"],
  ])("“%s” names %s", (line, key) => expect(first(line)).toBe(key));

  it("marks what it cannot read, and drops nothing", () => {
    expect(readLine("l psoas xyzzy 2 t14")).toMatchObject({ side: "L", grade: 2, unread: ["xyzzy", "t14"] });
    expect(readLine("qqq")).toMatchObject({ structures: [], unread: ["qqq"] });
    expect(readLine("")).toMatchObject({ structures: [], unread: [], grade: undefined });
  });

  it("finds every structure and group by its own name, and says it as a screen reader does", () => {
    for (const each of [...structures, ...structureGroups]) {
      const hits = findStructures(each.name).map(({ key }) => key);
      expect([each.key, hits.indexOf(each.key) <= 1]).toEqual([each.key, true]);
    }
    expect(spoken(findStructures("ql")[0]!, "L")).toBe("quadratus lumborum, left, inner muscle");
    expect(spoken(findStructures("galea")[0]!, "both")).toBe("galea, deep fascia");
  });

  it("puts what was found lately before what fits as well", () => {
    const order = (recent: string[]) => findStructures("erectors", recent).map(({ key }) => key);
    expect(order([])[0]).not.toBe(
      order(["lumbar-erectors", "thoracic-erectors"].filter((key) => key !== order([])[0]))[0],
    );
  });

  it("never throws, and every word is either used or marked", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const read = readLine(text);
        for (const word of read.unread) expect(text.toLowerCase()).toContain(word);
      }),
    );
  });
});
