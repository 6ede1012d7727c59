import type { RegionKey } from "../anatomy/regions";
import type { Restriction } from "../findings/restriction";
import type { TriggerPoint } from "../findings/trigger-point";
import { metrics } from "../measure/metrics";
import type { Reading } from "../measure/reading";
import type { EdgeTaken } from "../move/edge-of-table";
import type { Taken } from "../move/ranges";
import { testReading } from "../test/reading";
import type { Answer } from "../table/answers";
import type { Side } from "../units";
import { evidenceOf, type Known } from "./evidence";
import { patterns } from "./patterns";
import { readBody } from "./reading";

/** A case as it is found: the raw records of a visit, for one side; the mirror image is made of it. */
type Case = {
  metrics?: [key: string, side: Side | null, value: number, se: number][];
  table?: [check: string, side: Side | null, value: number, way?: Answer["way"]][];
  ranges?: [movement: string, side: Side | null, value: number][];
  edges?: [side: Side, angles: EdgeTaken["angles"]][];
  bound?: [structure: string, side: Side | "both", grade?: 2 | 3][];
  points?: [structure: string, side: Side][];
  told?: string[];
  words?: string;
  at?: RegionKey;
};

const other = (side: Side): Side => (side === "L" ? "R" : "L");
const signs = [...new Set(patterns.flatMap(({ shows }) => [...shows.keys()]))];
const level = new Set(["head-tilt", "shoulder-level", "pelvic-level", "head-shift", "trunk-shift"]);
const sideChecks = /^(malleoli|hip-height|shoulder-height|high-)/;

/** The records of a case, as they are or seen in a mirror. */
function known(found: Case, mirror = false): Known {
  const side = <S extends Side | "both" | null>(own: S) =>
    (mirror && (own === "L" || own === "R") ? other(own) : own) as S;
  const turned = (value: number, has: boolean) => (mirror && has ? -value : value);
  return {
    readings: (found.metrics ?? []).map(([key, own, value, se]): Reading => {
      const metric = metrics.find((each) => each.key === key)!;
      return testReading(metric, turned(value, level.has(key)), {
        side: side(own) ?? undefined,
        id: [key, side(own), metric.views[0]].filter(Boolean).join("."),
        se,
        seRepeat: se,
        seStanding: se,
      });
    }),
    table: [
      {
        visit: 1,
        answers: (found.table ?? []).map(([check, own, value, way = "hand"]): Answer => ({
          moment: "before",
          check,
          side: side(own),
          way,
          value: turned(value, sideChecks.test(check)),
        })),
      },
    ],
    moved: [
      {
        visit: 1,
        ranges: (found.ranges ?? []).map(([movement, own, value]): Taken => ({
          moment: "before",
          movement,
          side: side(own),
          drive: "passive",
          values: [value, value, value],
          endFeel: "firm",
          pain: 0,
        })),
        edges: (found.edges ?? []).map(([own, angles]): EdgeTaken => ({ moment: "before", side: side(own), angles })),
      },
    ],
    restrictions: (found.bound ?? []).map(([structure, own, grade = 3], i): Restriction => ({
      id: `${i}`,
      region: "neck",
      structure,
      side: side(own),
      layer: "SM",
      quality: "band",
      bind: "",
      ease: "",
      grades: [{ visit: 1, moment: "before", grade, tenderness: 4 }],
    })),
    points: (found.points ?? []).map(([structure, own], i): TriggerPoint => ({
      id: `${i}`,
      structure,
      side: side(own),
      at: null,
      area: null,
      referral: [],
      felt: [{ visit: 1, moment: "before", tenderness: 7, reproduced: true, held: null }],
    })),
    heard: [],
    bones: [],
    told: (found.told ?? []).map((condition) => ({ condition, words: condition })),
    words: found.words ?? "",
    complaintRegion: found.at ?? null,
  };
}

const readingOf = (records: Known) => readBody(evidenceOf(records, signs)).suggestions;
/** What is seen, what is thought of it, and which of the records it rests on most. All of it as practitioners told it. */
const judgements: [thought: string, pattern: string, found: Case, key: keyof Case][] = [
  [
    "one hip high lying face down, the other low back tight",
    "crossed-legs",
    {
      table: [["hip-height", null, 2]],
      bound: [
        ["quadratus-lumborum", "L"],
        ["lumbar-erectors", "R", 2],
      ],
      at: "low-back",
    },
    "table",
  ],
  [
    "ankle bones uneven lying, toes out",
    "pelvis-turned",
    {
      table: [
        ["malleoli", null, 2],
        ["turn-out", "L", 65, "measured"],
        ["turn-out", "R", 20, "measured"],
      ],
      ranges: [["hip-inward", "L", 20]],
      bound: [["piriformis", "L"]],
    },
    "table",
  ],
  [
    "upper arms rolled in",
    "drawn-in",
    {
      metrics: [["shoulder-forward", "L", 140, 8]],
      bound: [["pectoralis-minor", "L"]],
      ranges: [["shoulder-flexion", "L", 140]],
      words: "works at a screen",
    },
    "metrics",
  ],
  [
    "the blade far from the spine",
    "blade-not-held",
    {
      table: [
        ["blade-rest", "L", 105, "measured"],
        ["blade-rest", "R", 60, "measured"],
      ],
      bound: [["rhomboid-major", "L", 2]],
      at: "upper-back",
    },
    "table",
  ],
  [
    "the hand behind the back shows no ridge",
    "held-from-front",
    {
      table: [
        ["ridge", "L", 2],
        ["ridge", "R", 0],
      ],
      ranges: [["shoulder-outward", "L", 55]],
      bound: [["subscapularis", "L"]],
    },
    "table",
  ],
  [
    "pain under the blade",
    "under-blade",
    {
      at: "upper-back",
      points: [["middle-trapezius", "L"]],
      bound: [
        ["middle-trapezius", "L"],
        ["upper-trapezius", "L", 2],
      ],
    },
    "bound",
  ],
  [
    "one strip beside the thoracic spine high",
    "thorax-turned",
    {
      table: [
        ["high-t-mid", null, 3],
        ["high-t-low", null, 2],
        ["rock-t-mid", "L", 2],
        ["rib-spring-back", "L", 2],
      ],
      bound: [["thoracic-erectors", "L"]],
    },
    "table",
  ],
  [
    "kneecap off its line",
    "kneecap",
    {
      at: "leg",
      bound: [
        ["kneecap-bands", "L"],
        ["iliotibial-band", "L"],
        ["vastus-lateralis", "L"],
      ],
      metrics: [["knee-line", "L", 14, 1.5]],
    },
    "bound",
  ],
  [
    "pain at the sole",
    "sole-chain",
    {
      words: "my heels hurt in the morning",
      at: "leg",
      bound: [
        ["sole-of-the-foot", "L"],
        ["gastrocnemius", "L"],
        ["gluteus-maximus", "L", 2],
      ],
      ranges: [["ankle-lunge", "L", 60]],
    },
    "bound",
  ],
  [
    "wrist and hand tingling",
    "forearm",
    {
      words: "my hand tingles, I grip all day",
      at: "arm",
      bound: [
        ["flexor-carpi-radialis", "L"],
        ["forearm-fascia", "L"],
      ],
    },
    "bound",
  ],
  [
    "the thigh up at the edge of the table",
    "short-flexor",
    {
      edges: [
        ["L", { thigh: 18, knee: 92, drift: 0, thighStraight: 18 }],
        ["R", { thigh: 0, knee: 90, drift: 0, thighStraight: 0 }],
      ],
      bound: [["psoas-major", "L"]],
      words: "drives all day",
    },
    "edges",
  ],
];
const unsided: [thought: string, pattern: string, found: Case, key: keyof Case][] = [
  [
    "headache from the skull base",
    "skull-base",
    {
      told: ["migraine"],
      at: "head",
      bound: [
        ["suboccipitals", "both"],
        ["upper-trapezius", "both", 2],
      ],
    },
    "bound",
  ],
  [
    "pelvis tipped forward, both sides",
    "tipped-forward",
    {
      metrics: [["pelvic-tilt", "L", 24, 1.5]],
      bound: [
        ["rectus-femoris", "both", 2],
        ["lumbar-erectors", "both", 2],
      ],
      at: "low-back",
    },
    "metrics",
  ],
  [
    "skull bones that move unevenly after a collision",
    "shaken-neck",
    {
      told: ["whiplash"],
      at: "neck",
      bound: [
        ["suboccipitals", "both", 2],
        ["sternocleidomastoid", "both", 2],
      ],
    },
    "told",
  ],
  [
    "head forward of the trunk, at a desk all day",
    "head-forward",
    {
      metrics: [["craniovertebral", "L", 38, 1.5]],
      words: "office, screen all day",
      bound: [
        ["sternocleidomastoid", "both"],
        ["suboccipitals", "both", 2],
      ],
      at: "neck",
    },
    "metrics",
  ],
  [
    "breath in the chest first",
    "chest-breath",
    {
      table: [["breath-path", null, 3]],
      bound: [
        ["anterior-scalene", "both"],
        ["diaphragm", "both"],
      ],
    },
    "table",
  ],
];

describe("judgements practitioners gave", () => {
  it.each(judgements)("%s: %s comes first on its side, and on the other in the mirror", (_, pattern, found, key) => {
    const own = readingOf(known(found));
    expect(own[0]!.pattern.id).toBe(`${pattern}.L`);
    const mirror = readingOf(known(found, true));
    expect(mirror[0]!.pattern.id).toBe(`${pattern}.R`);
    expect(mirror[0]!.support).toBeCloseTo(own[0]!.support, 6);
    const without = readingOf(known({ ...found, [key]: undefined }));
    expect(without.find(({ pattern: { id } }) => id === `${pattern}.L`)?.support ?? 0).toBeLessThan(
      own[0]!.support - 0.1,
    );
  });

  it.each(unsided)("%s: %s comes first, and not without its key finding", (_, pattern, found, key) => {
    const own = readingOf(known(found));
    expect(own[0]!.pattern.id).toBe(pattern);
    const without = readingOf(known({ ...found, [key]: undefined }));
    expect(without.find(({ pattern: { id } }) => id === pattern)?.support ?? 0).toBeLessThan(own[0]!.support - 0.1);
  });
});
