import { cautionsOn } from "../test/facts";
import { readEntry } from "./entry";
import type { HistoryEntry } from "./facts";
import { questions } from "./questions";
import { readTold } from "./told/read-told";

const today = "2026-11-26";
const born = "1970-05-05";

/** Each sign as somebody says it, without a time. */
const signs: Record<string, string> = {
  "bladder-bowel": "numb in the saddle area",
  weakness: "my leg is getting weaker",
  "fever-back": "fever with back pain",
  "weight-night": "losing weight and pain wakes me at night",
  "major-trauma": "fell off a ladder",
  headache: "worst headache ever",
  "neck-artery": "double vision and neck pain",
  "hot-calf": "hot swollen calf",
  "chest-pain": "chest pain",
  infection: "fever",
  "belly-pulse": "pulsing lump in my belly",
};

/** Every way to say a time. */
const times = [
  "January",
  "2024",
  "last year",
  "three weeks",
  "two days",
  "the summer",
  "about two years",
  "May 2023",
  "yesterday",
  "last week",
];

/** Seven ways to put a sign and a time together. */
const wordings: ((sign: string, time: string) => string)[] = [
  (sign, time) => `${sign} since ${time}`,
  (sign, time) => `since ${time} ${sign}`,
  (sign, time) => `I have had ${sign} since ${time}`,
  (sign, time) => `${sign} for ${time}`,
  (sign, time) => `${sign}, began ${time}`,
  (sign, time) => `still ${sign} since ${time}`,
  (sign, time) => `${sign} ${time}`,
];

/** What is told, as it is kept: each thing of it an entry. */
const told = (text: string): HistoryEntry[] =>
  readTold(text, today, born).flatMap((read, i) => {
    const typed = {
      what: read.words,
      condition: read.condition,
      kind: "condition" as const,
      when: read.when?.said ?? "",
      where: "",
      answer: null,
      stance: read.stance,
    };
    const { body } = readEntry(typed, today, born);
    return body ? [{ ...body, id: String(i), at: "2026-11-26T08:00:00.000Z" }] : [];
  });

it("has a sentence for every sign that waits for a doctor", () =>
  expect(Object.keys(signs).sort()).toEqual(
    questions
      .filter(({ blocks }) => blocks === "all work")
      .map(({ key }) => key)
      .sort(),
  ));

describe.each(Object.entries(signs))("the sign %s", (_key, sign) => {
  it.each(wordings.map((wording) => [wording(sign, "…"), wording] as const))(
    "said as “%s”, at any time",
    (_, wording) => {
      const silent = times.filter((time) => {
        const history = told(wording(sign, time));
        const acts = cautionsOn(today, { history });
        const asked = acts.some(({ kind, reason }) => kind === "refer" || /\bask\b/i.test(reason));
        return !asked;
      });
      expect(silent).toEqual([]);
    },
  );
});

describe("what a calendar ends, and what it does not", () => {
  const kinds = (text: string) => cautionsOn(today, { history: told(text) }).map(({ kind }) => kind);

  it("a sign that began long ago still refers; a fall of five years ago is asked about", () => {
    for (const text of [
      "chest pain since January",
      "pulsing lump in my belly since 2024",
      "numb in the saddle area since last year",
    ])
      expect({ text, kinds: kinds(text) }).toEqual({ text, kinds: ["refer"] });
    expect(kinds("fell off a ladder five years ago")).toEqual(["inform"]);
    expect(kinds("fell off a ladder last week")).toEqual(["refer"]);
  });

  it("medicines and leaks that go on hold as on the first day", () => {
    expect(kinds("tramadol since January")).toEqual(["limit"]);
    expect(kinds("tramadol in January")).toEqual([]);
    expect(kinds("spinal fluid leak since 2024")).toEqual(expect.arrayContaining(["exclude"]));
    expect(kinds("lumbar puncture in 2024")).toEqual([]);
  });

  it("an injury is as old as it is, whatever goes on since", () =>
    expect(kinds("whiplash since the accident in 2019")).toEqual(["inform"]));

  it("ends by a clearance or by being over, and by nothing else", () => {
    const [entry] = told("chest pain since January");
    const over = { ...entry!, status: "ended" as const, endedOn: "2026-11-20" };
    expect(cautionsOn(today, { history: [over] })).toEqual([]);
    const decision = {
      outcomeKey: "0 seen",
      kind: "clearance" as const,
      who: "Dr A",
      on: today,
      what: "heart looked at",
      at: "2026-11-26T09:00:00.000Z",
      by: "Una",
    };
    expect(cautionsOn(today, { history: [entry!] }, [decision])).toEqual([]);
  });
});
