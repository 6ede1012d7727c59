import { joints } from "../anatomy/joints";
import { layers } from "../anatomy/layers";
import { places, placesIn } from "../anatomy/places";
import { regions } from "../anatomy/regions";
import { catalogue } from "../techniques/catalogue";
import type { SafetyTag } from "../techniques/safety-tags";
import { positionName } from "../techniques/technique";
import { entryOf, factsOf } from "../test/facts";
import { conditions } from "./conditions";
import { cautionsAt, consequences, tagWord } from "./consequence";
import { usualPreferences, usualSchool } from "./facts";
import type { Outcome, Scope } from "./outcome";
import { questions, rescreen } from "./questions";
import { screen } from "./screen";
import { verdictOn } from "./verdict";

/** Every caution there can be: each condition in every state, each answer, each wish and setting. */
const everything: Outcome[] = [
  ...conditions.flatMap(({ key }) =>
    (["yes", "no", "unsure", null] as const).flatMap((answer) =>
      (
        [
          { region: "leg", side: "L" },
          { region: "arm", places: ["wrist"], side: "R" },
          { region: "shoulder", places: ["collarbone"], side: null },
          { region: null },
        ] as const
      ).flatMap((place) =>
        (["has", "suspected"] as const).flatMap((stance) =>
          screen(factsOf({ history: [entryOf(key, { answer, stance, ...place })] })),
        ),
      ),
    ),
  ),
  ...(["yes", "unsure"] as const).flatMap((answer) =>
    [...questions, ...rescreen].flatMap(({ key }) =>
      screen(factsOf({ answers: [{ question: key, answer, visitId: null, at: "2026-06-01T09:00:00.000Z" }] })),
    ),
  ),
  ...screen(
    factsOf({
      born: "2015-01-01",
      history: [{ ...entryOf("pain"), condition: null, answer: "unsure" }],
      preferences: {
        ...usualPreferences,
        oil: false,
        wax: false,
        positionsOut: ["prone", "side"],
        areasOut: [
          { region: "belly", side: "both" },
          { region: "leg", places: ["sole", "heel"], side: "L" },
        ],
        scentFree: true,
        pauseWord: "harbour",
      },
      school: { ...usualSchool, pressureCeiling: 5, oil: false, withoutElbow: true, withoutThumb: true },
    }),
  ),
];

/** Reads a scope back from its words; what is left over is an error. */
function scopeOf(words: string): Scope | undefined {
  let rest = words;
  const scope: { -readonly [K in keyof Scope]: Scope[K] } = {};
  const hard = / at (\d+) of 10 or more$/.exec(rest);
  if (hard) [rest, scope.fromPressure] = [rest.slice(0, hard.index), Number(hard[1])];
  const deep = / below the ([a-z ]+)$/.exec(rest);
  if (deep) {
    scope.fromDepth = layers.find((layer) => layer.name.toLowerCase() === deep[1])!.depth + 1;
    rest = rest.slice(0, deep.index);
  }
  const side = /, (left|right)$/.exec(rest);
  if (side) [rest, scope.side] = [rest.slice(0, side.index), side[1] === "left" ? "L" : "R"];
  const across = / across (.+)$/.exec(rest);
  if (across) {
    scope.joints = across[1]!.split("; ").map((name) => joints.find((each) => each.name.toLowerCase() === name)!.key);
    rest = rest.slice(0, across.index);
  }
  if (rest === "all work") return Object.keys(scope).length > 0 ? scope : undefined;
  const tags: SafetyTag[] = [];
  for (const [tag, word] of (Object.entries(tagWord) as [SafetyTag, string][]).sort(
    (a, b) => b[1].length - a[1].length,
  ))
    if (new RegExp(`(^|, )${word}(,| at |$)`).test(rest)) {
      tags.push(tag);
      rest = rest.replace(word, "").replace(/^, |, (?=, )/, "");
    }
  if (tags.length > 0) scope.tags = tags;
  rest = rest.replace(/^[, ]*(at )?/, "");
  if (rest)
    scope.places = rest.split("; ").flatMap((name) => {
      const region = regions.find((each) => each.name.toLowerCase() === name);
      return region ? placesIn(region.key) : [places.find((each) => each.name.toLowerCase() === name)!.key];
    });
  return scope;
}

/** Reads what a caution does back from its sentences, with nothing else to go by. */
function readBack(sentences: readonly string[]) {
  const read: Partial<Outcome> = {};
  for (const sentence of sentences) {
    const said = (pattern: RegExp) => pattern.exec(sentence);
    let match;
    if (sentence === "No planning and no hands-on work until it is cleared.") read.kind = "refer";
    else if ((match = said(/^Out: (.+)\.$/))) {
      read.kind = "exclude";
      read.scope = scopeOf(match[1]!)!;
    } else if ((match = said(/^Up to (\d+) of 10(?: for (.+))?\.$/))) {
      read.pressure = Number(match[1]);
      if (match[2]) read.scope = scopeOf(match[2])!;
    } else if ((match = said(/^Not (.+)\.$/)))
      read.without = match[1]!
        .split(", not ")
        .map((name) => Object.entries(positionName).find(([, each]) => each.toLowerCase() === name)![0] as never);
    else if ((match = said(/^At most (\d+) min face down\.$/))) read.proneMost = Number(match[1]);
    else if ((match = said(/^At most (\d+) min at the table\.$/))) read.tableMost = Number(match[1]);
    else if ((match = said(/^Use (.+)\.$/))) read.instead = match[1]!;
    else if ((match = said(/^No (.+)\.$/))) read.withoutMedia = match[1]!.split(", no ") as never;
    else throw new Error(`nobody can tell what this changes: ${sentence}`);
  }
  return read;
}

/** To compare; no scope and an empty one are the same: all work. A region is all of its places. */
const sorted = (scope: Scope | undefined) => {
  if (scope === undefined || Object.keys(scope).length === 0) return false;
  const { regions: whole, places: named, tags, joints: moved, ...rest } = scope;
  const all = [...(named ?? []), ...(whole ?? []).flatMap(placesIn)];
  return { ...rest, places: all.sort(), tags: [...(tags ?? [])].sort(), joints: [...(moved ?? [])].sort() };
};

describe("a caution's sentences", () => {
  it("say what its rule does, no more and no less: each is read back into the rule it came from", () => {
    expect(everything.length).toBeGreaterThan(400);
    for (const outcome of everything) {
      const read = readBack(consequences(outcome));
      const about = outcome.key;
      expect({ about, kind: read.kind }).toEqual({
        about,
        kind: ["refer", "exclude"].includes(outcome.kind) ? outcome.kind : undefined,
      });
      for (const key of ["pressure", "without", "withoutMedia", "instead", "proneMost", "tableMost"] as const)
        expect({ about, [key]: read[key] }).toEqual({ about, [key]: outcome[key] });
      if (outcome.kind === "exclude" || outcome.pressure !== undefined)
        expect({ about, scope: sorted(read.scope) }).toEqual({ about, scope: sorted(outcome.scope) });
    }
  });

  // what a reason claims in its own words has to stand in the rule
  const claims: [RegExp, (outcome: Outcome) => boolean][] = [
    [/\b(deep|inner) belly|belly that may be inflamed/i, ({ scope }) => Boolean(scope?.tags?.includes("deep belly"))],
    [/\binner thigh\b/i, ({ scope }) => Boolean(scope?.tags?.includes("inner thigh"))],
    [/belly is left alone/i, ({ kind, scope }) => kind === "exclude" && Boolean(scope?.regions?.includes("belly"))],
    [/surface only|only the surface/i, ({ kind, scope }) => kind === "exclude" && scope?.fromDepth === 2],
    [
      /\bis left alone\b|not worked|rests? (for|until)|before its region is worked/i,
      ({ kind }) => kind === "exclude" || kind === "inform",
    ],
    [/end range|stretched to their end/i, ({ scope }) => Boolean(scope?.tags?.includes("end range"))],
    [/side-lying or half-sitting/i, ({ without }) => Boolean(without?.includes("prone") && without.includes("supine"))],
    [/time face down/i, ({ proneMost, tableMost }) => proneMost !== undefined && tableMost !== undefined],
    [/flat on the back/i, ({ without }) => Boolean(without?.includes("supine"))],
    [
      /cranial work waits|clearance for cranial|rules cranial work out/i,
      ({ kind, scope }) => kind === "exclude" && Boolean(scope?.tags?.includes("cranial")),
    ],
    [/no deep held points/i, ({ scope }) => Boolean(scope?.tags?.includes("sustained point"))],
    [
      /no traction|neck is not pulled|before any neck lever/i,
      ({ scope }) => Boolean(scope?.tags?.includes("neck lever")),
    ],
    [
      /worked lightly|work lightly|stays light|rest worked lightly/i,
      ({ pressure, kind }) => pressure !== undefined || kind === "exclude",
    ],
    [/instrument/i, ({ scope }) => Boolean(scope?.tags?.includes("instrument"))],
    [
      /before any hands-on work|no hands-on work is done|doctor first|doctor at once|urgent/i,
      ({ kind }) => kind === "refer" || kind === "inform" || kind === "limit",
    ],
    [
      /no oil|no wax|no nut oils|nothing scented|no latex/i,
      ({ withoutMedia, instead }) => Boolean(withoutMedia?.length) || instead !== undefined,
    ],
  ];
  it("are not outdone by its reason: what the reason claims, the rule does", () => {
    for (const outcome of everything)
      for (const [claim, holds] of claims)
        if (claim.test(outcome.reason) && !holds(outcome))
          throw new Error(`${outcome.key} says “${outcome.reason}” and does ${JSON.stringify(consequences(outcome))}`);
    for (const [claim] of claims) expect(everything.some((outcome) => claim.test(outcome.reason))).toBe(true);
  });
});

describe("a step", () => {
  it("carries every caution about the places it reaches, whether it changes the step or not", () => {
    const veins = everything.filter((outcome) => outcome.key === "varicose deep" && outcome.scope?.side === "L");
    const surface = catalogue.find((each) => each.layer === "SF" && each.doses.some((dose) => dose.region === "leg"))!;
    const fascia = catalogue.find(
      (each) => each.layer === "DF" && each.sided && each.doses.some((dose) => dose.region === "leg"),
    )!;
    expect(verdictOn(surface, veins).no).toBeUndefined();
    expect(cautionsAt(surface, veins)).toEqual([
      "Varicose veins: lower legs, feet, left. Out: lower legs, feet, left below the surface fascia.",
    ]);
    // deep fascia is below the surface: the side is out
    expect(verdictOn(fascia, veins).sides).toEqual({ L: false, R: true });
    const elsewhere = catalogue.find((each) => each.doses.every((dose) => dose.region === "neck"))!;
    expect(cautionsAt(elsewhere, veins)).toEqual([]);
  });
});
