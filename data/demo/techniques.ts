import type { Definition } from "../../core/techniques/definition";

/** What the demo practice does its own way. */
export const ownTechniques: readonly Definition[] = [
  {
    key: "bench-arm-rest",
    name: "Bench-arm rest",
    what: "The working arm rests on a cushion across the table; both palms settle on the shoulder blade and wait for it to widen.",
    intent: "settle",
    layer: "DF",
    positions: ["side"],
    medium: "dry",
    phase: "warm",
    minutes: { ideal: 3, least: 2 },
    hold: { least: 4, most: 8, unit: "breaths" },
    sided: true,
    pressure: 3,
    load: { wrist: 1 },
    tools: ["palm"],
    effort: "breathes",
    reach: [
      { structure: "infraspinous-fascia", share: 0.8 },
      { structure: "shoulder-fascia", places: ["blade", "shoulder-point"], share: 0.5 },
      { structure: "upper-back-fascia", places: ["blade-edge"], share: 0.4 },
    ],
    force: { kind: "rests", ways: [] },
    tags: [],
  },
];
