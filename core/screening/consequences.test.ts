import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { plusDays } from "../days";
import { catalogue } from "../techniques/catalogue";
import { safetyTagKeys } from "../techniques/safety-tags";
import { hasTag } from "../techniques/touches";
import { cautionsOn, entryOf } from "../test/facts";
import { conditions } from "./conditions";
import { consequences } from "./consequence";
import type { Outcome } from "./outcome";
import { timeLimits, verdictOn } from "./verdict";

/**
 * What every condition does to every technique of the starting catalogue, as a table that is read by a person
 * (`consequences.txt`). It was gone through line by line against common practice; a change shows as a changed line and is
 * read again: `WRITE_TABLE=1 npx jest core/screening/consequences`.
 */
const file = join(__dirname, "consequences.txt");
const today = "2026-12-01";
const ago = (days: number) => plusDays(today, -days);

/** Each condition three years old where nothing else is named: most of what they do does not turn on the date. */
type Told = [title: string, key: string, change?: Parameters<typeof entryOf>[1]];
const left = { side: "L" as const };
const at = (region: string, ...places: string[]) => ({ region: region as never, places });
const variants: Record<string, Told[]> = {
  fracture: [
    ["Fracture of a left rib, 5 weeks", "fracture", { on: ago(35), ...at("chest", "side-ribs"), ...left }],
    ["Fracture of the left wrist, 5 weeks", "fracture", { on: ago(35), ...at("arm", "wrist"), ...left }],
    ["Fracture of a lumbar vertebra, 5 weeks", "fracture", { on: ago(35), ...at("low-back", "l-upper") }],
    ["Fracture of the left wrist, 2 years", "fracture", { on: ago(730), ...at("arm", "wrist"), ...left }],
  ],
  operation: [
    [
      "Operation on the left knee, 3 weeks, closed",
      "operation",
      { on: ago(21), ...at("leg", "knee"), ...left, answer: "yes" },
    ],
    [
      "Operation on the left knee, 12 weeks, closed",
      "operation",
      { on: ago(84), ...at("leg", "knee"), ...left, answer: "yes" },
    ],
    ["Caesarean, 2 years, closed", "operation", { on: ago(730), ...at("belly", "lower-belly"), answer: "yes" }],
  ],
  scar: [["Scar on the left shin, not closed", "scar", { ...at("leg", "shin"), ...left, answer: "no" }]],
  pregnancy: [
    ["Pregnancy, week 10", "pregnancy", { on: plusDays(today, 280 - 70) }],
    ["Pregnancy, week 16", "pregnancy", { on: plusDays(today, 280 - 112) }],
    ["Pregnancy, week 32", "pregnancy", { on: plusDays(today, 280 - 224) }],
    ["Pregnancy, no date", "pregnancy", { on: null }],
  ],
  clot: [
    ["Clot in the left calf, 5 weeks", "clot", { on: ago(35), ...at("leg", "calf"), ...left }],
    ["Clot in the left calf, 3 years", "clot", { ...at("leg", "calf"), ...left }],
  ],
  varicose: [["Varicose veins of the left calf", "varicose", { ...at("leg", "calf"), ...left }]],
  cancer: [["Cancer of the left breast, under treatment", "cancer", { ...at("chest", "breast"), ...left }]],
  "joint-replacement": [
    ["Left hip replaced, 5 weeks", "joint-replacement", { on: ago(35), ...at("pelvis", "hip-side"), ...left }],
    ["Left hip replaced, 3 years", "joint-replacement", { ...at("pelvis", "hip-side"), ...left }],
  ],
  whiplash: [
    ["Whiplash, 2 weeks", "whiplash", { on: ago(14) }],
    ["Whiplash, 3 years", "whiplash"],
  ],
  stent: [
    ["Heart attack, 5 weeks", "stent", { on: ago(35) }],
    ["Heart attack, 3 years", "stent"],
  ],
  stroke: [
    ["Stroke, 5 weeks", "stroke", { on: ago(35) }],
    ["Stroke, 3 years", "stroke"],
  ],
  "lumbar-puncture": [
    ["Lumbar puncture, 2 weeks", "lumbar-puncture", { on: ago(14) }],
    ["Lumbar puncture, 3 years", "lumbar-puncture"],
  ],
  "blood-pressure": [
    ["High blood pressure, under control", "blood-pressure", { answer: "yes" }],
    ["High blood pressure, not under control", "blood-pressure", { answer: "no" }],
  ],
  "eye-operation": [["Eye operation, 2 weeks", "eye-operation", { on: ago(14) }]],
  shingles: [
    ["Shingles at the left ribs, 10 days", "shingles", { on: ago(10), ...at("chest", "side-ribs"), ...left }],
    ["Shingles at the left ribs, 3 years", "shingles", { ...at("chest", "side-ribs"), ...left }],
  ],
  numbness: [
    ["Numb left toes, new or not known", "numbness", { ...at("leg", "toes"), ...left }],
    ["Numb left toes, for years and as it was", "numbness", { ...at("leg", "toes"), ...left, answer: "yes" }],
  ],
  skin: [["Open skin on the left shin", "skin", { ...at("leg", "shin"), ...left }]],
  plate: [["Plate in the left collar bone", "plate", { ...at("shoulder", "collarbone"), ...left }]],
  "joint-injection": [
    [
      "Injection into the left shoulder, 5 days",
      "joint-injection",
      { on: ago(5), ...at("shoulder", "shoulder-point"), ...left },
    ],
  ],
  "nerve-block": [["Nerve block at the low back, 3 days", "nerve-block", { on: ago(3), ...at("low-back", "l-low") }]],
  abscess: [["Abscess at the left buttock, 5 days", "abscess", { on: ago(5), ...at("pelvis", "buttock"), ...left }]],
  "kidney-colic": [["Kidney colic, 5 days", "kidney-colic", { on: ago(5) }]],
  "pain-medication": [["Painkiller today", "pain-medication", { on: today }]],
  marked: [["Marked on the left thigh yesterday", "marked", { on: ago(1), ...at("thigh", "thigh-front"), ...left }]],
};

const longAgo = "2023-12-01";
const tables: Told[] = conditions
  .filter(({ rules }) => rules.length > 0)
  .filter(({ key }) => !key.startsWith("sign "))
  .flatMap(({ key, name }) => variants[key] ?? [[name, key] as Told]);

const wrapped = (words: readonly string[]) => {
  const lines = [""];
  for (const word of words) {
    const line = lines.at(-1)!;
    if (line.length + word.length > 105) lines.push(word);
    else lines[lines.length - 1] = line ? `${line} ${word}` : word;
  }
  return lines.map((line) => `      ${line}`);
};

/** Techniques as whole kinds where they are one, and by name for the rest. */
function named(keys: ReadonlySet<string>): string[] {
  const kinds = safetyTagKeys.filter((tag) => {
    const all = catalogue.filter((each) => hasTag(each, tag));
    return all.length > 1 && all.every(({ key }) => keys.has(key));
  });
  const rest = [...keys].filter(
    (key) => !catalogue.some((each) => each.key === key && kinds.some((tag) => hasTag(each, tag))),
  );
  return [...kinds.map((tag) => `[all ${tag}]`), ...rest];
}

function lineOf(caution: Outcome): string[] {
  const verdicts = catalogue.map((technique) => ({ technique, verdict: verdictOn(technique, [caution]) }));
  const out = new Set(verdicts.filter(({ verdict }) => verdict.no !== undefined).map(({ technique }) => technique.key));
  const oneSide = verdicts.filter(({ verdict }) => verdict.no === undefined && (!verdict.sides.L || !verdict.sides.R));
  const softer = verdicts.filter(({ technique, verdict }) => !verdict.no && verdict.cap < technique.pressure);
  return [
    `  ${caution.kind}: ${consequences(caution).join(" ") || caution.reason}`,
    ...(out.size === catalogue.length
      ? [`    out: all ${out.size}`]
      : out.size > 0
        ? [`    out: ${out.size}`, ...wrapped(named(out))]
        : []),
    ...(oneSide.length > 0
      ? [
          `    out on one side: ${oneSide.length}`,
          ...wrapped(named(new Set(oneSide.map(({ technique }) => technique.key)))),
        ]
      : []),
    ...(softer.length > 0 ? [`    done more lightly: ${softer.length}`] : []),
  ];
}

const sectionOf = ([title, key, change = {}]: Told): string =>
  [
    `${title} (${key})`,
    ...cautionsOn(today, { history: [entryOf(key, { on: longAgo, ...change })] }).flatMap(lineOf),
  ].join("\n");

const table = () => `${tables.map(sectionOf).join("\n\n")}\n`;

describe("what conditions do to techniques", () => {
  it("is the table that was read line by line", () => {
    if (process.env.WRITE_TABLE) writeFileSync(file, table());
    expect(table()).toBe(readFileSync(file, "utf8"));
  });

  it("has a line for seventy conditions at least, each doing or asking something", () => {
    expect(new Set(tables.map(([, key]) => key)).size).toBeGreaterThanOrEqual(70);
    // only these are over, or well looked after
    const quiet = /(2|3) years|, under control|^Skull fracture|^Dental work/;
    for (const [title, key, change = {}] of tables)
      if (!quiet.test(title))
        expect([title, cautionsOn(today, { history: [entryOf(key, { on: longAgo, ...change })] }).length > 0]).toEqual([
          title,
          true,
        ]);
  });

  it("keeps to the shortest of several times", () => {
    const both = cautionsOn(today, { history: [entryOf("heart-failure"), entryOf("eye")] });
    expect(timeLimits(both)).toEqual({ prone: 10, table: 45 });
  });
});
