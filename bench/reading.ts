// Reading: how long it takes, and whether a stated support is right as often as it says, over simulated clients.
import { seeded, type Random } from "../core/random";
import type { Evidence } from "../core/reading/evidence";
import { networkOf } from "../core/reading/network";
import { nextChecks, openChecks } from "../core/reading/next-check";
import { leakOf, patterns, type Pattern } from "../core/reading/patterns";
import { readBody } from "../core/reading/reading";
import { signWords } from "../core/reading/signs";
import { report } from "./report";

const signs = [...new Set(patterns.flatMap(({ shows }) => [...shows.keys()]))];
const clients = 10_000;
/** Findings of a page, for its speed; and of a client who was looked at thoroughly on both sides, for what is stated. */
const looked = 80;
const thorough = 150;

/** Looks are right as often as their ratio says: 8 in 9 by hand, 20 in 21 where it is measured. */
const ratioOf = (sign: string) => (/^(touch|point|told|at|head-quiet|works|sits|carries|tingling)/.test(sign) ? 8 : 20);

/** A client with known patterns, and what was found of so many signs; `off`: how far the trade's estimates are from what is so (log odds). */
function simulated(random: Random, off: number, among: number): { holds: Set<string>; evidence: Evidence[] } {
  const shifted = (p: number) => {
    const odds = (p / (1 - p)) * Math.exp(off * random.normal());
    return odds / (1 + odds);
  };
  const holds = new Set<string>();
  for (const { id, prior } of patterns) if (random.uniform() < prior) holds.add(id);
  const held = patterns.filter(({ id }) => holds.has(id));
  const chosen = signs
    .map((sign) => [random.uniform(), sign] as const)
    .sort((a, b) => a[0] - b[0])
    .slice(0, among)
    .map(([, sign]) => sign);
  const evidence = chosen.map((sign): Evidence => {
    const miss = held.reduce((all, { shows }) => all * (1 - (shows.has(sign) ? shifted(shows.get(sign)!) : 0)), 1);
    const present = random.uniform() < 1 - (1 - leakOf(sign)) * miss;
    const ratio = ratioOf(sign);
    const right = random.uniform() < ratio / (1 + ratio);
    return { sign, ratio: present === right ? ratio : 1 / ratio, name: signWords(sign), words: "" };
  });
  return { holds, evidence };
}

type Bin = { stated: number; right: number; n: number };
const edges = [0.1, 0.25, 0.4, 0.55, 0.65, 0.75, 0.85, 0.95, 1.0001];

function calibration(off: number): { bins: Bin[]; first: number; firstOf: number } {
  const random = seeded(11);
  const bins = edges.slice(1).map((): Bin => ({ stated: 0, right: 0, n: 0 }));
  let [first, firstOf] = [0, 0];
  for (let i = 0; i < clients; i++) {
    const { holds, evidence } = simulated(random, off, thorough);
    const { support } = networkOf(patterns, evidence);
    let best = 0;
    support.forEach((p, at) => {
      if (p > support[best]!) best = at;
      const bin = bins[edges.findIndex((edge) => p < edge) - 1];
      if (!bin) return;
      bin.stated += p;
      bin.right += holds.has(patterns[at]!.id) ? 1 : 0;
      bin.n += 1;
    });
    if (holds.size > 0) {
      firstOf += 1;
      if (holds.has(patterns[best]!.id)) first += 1;
    }
  }
  return { bins, first, firstOf };
}

function timed(work: () => unknown, runs: number): string {
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return `${times[runs >> 1]!.toFixed(1)} | ${times[Math.floor(0.95 * runs)]!.toFixed(1)}`;
}

const random = seeded(3);
const many = Array.from({ length: 60 }, () => simulated(random, 0, looked).evidence);
let at = 0;
const next = () => many[at++ % many.length]!;
for (let i = 0; i < 20; i++) readBody(next());
const networks = many.map((evidence) => networkOf(patterns, evidence));
const open = many.map((evidence) => openChecks(patterns, new Set(evidence.map(({ sign }) => sign))));
const percent = (value: number) => `${(100 * value).toFixed(0)} %`;
const kinds = (pattern: readonly Pattern[]) => new Set(pattern.map(({ key }) => key)).size;

const lines = [
  `${kinds(patterns)} patterns (${patterns.length} with their sides), ${looked} findings.`,
  "",
  "| | median ms | p95 ms | budget p95 |",
  "| --- | --- | --- | --- |",
  `| reading: what explains it | ${timed(() => networkOf(patterns, next()), 120)} | 10 |`,
  `| next best check over ${open[0]!.length} | ${timed(() => nextChecks(networks[at % 60]!, open[at++ % 60]!), 120)} | 50 |`,
  `| with intervals and each finding's part | ${timed(() => readBody(next()), 120)} | |`,
  "",
];
for (const off of [0, 0.6]) {
  const { bins, first, firstOf } = calibration(off);
  lines.push(
    off === 0
      ? `${clients} simulated clients with ${thorough} findings each, whose patterns show their signs as often as the table says:`
      : `The same with every share wrong by a random factor (odds × e^±${off}):`,
    "",
    "| stated support | right | so many |",
    "| --- | --- | --- |",
    ...bins.map(({ stated, right, n }) => `| ${percent(stated / n)} | ${percent(right / n)} | ${n} |`),
    "",
    `The first suggestion is one of the client's patterns in ${percent(first / firstOf)} of ${firstOf} that have any.`,
    "",
  );
}
report("reading", "Reading: speed, and whether what is stated is right", lines);
