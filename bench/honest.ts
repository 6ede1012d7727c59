/**
 * What may be called a change, tried on people of its own (bench/bodies): bodies, swaying, camera and hands that share
 * nothing with the camera stand-in. Before: as it was judged until 2026-11 (marking and camera alone, each figure by
 * itself). After: as it is judged now.
 */
import { keptShare, misfit, sharedBy, triplesOf } from "../core/change/carry-over";
import { pairsOf, compareMoments } from "../core/change/judge";
import { landmarks, splitPoint, type PointKey } from "../core/anatomy/landmarks";
import { rateBand, rateOfTaps } from "../core/light-touch/rhythm";
import type { BodyPoint } from "../core/measure/calibration";
import { metricsOf, sidesIn } from "../core/measure/metrics";
import { readPhoto } from "../core/measure/read-photo";
import { readingId, type Reading } from "../core/measure/reading";
import { pointsOfView, views, type View } from "../core/measure/view";
import { stances } from "../core/measure/stance";
import { withinSubject } from "../core/statistics/within";
import {
  chance,
  drawLook,
  drawPerson,
  height,
  plus,
  posed,
  references,
  seen,
  standingOf,
  stick,
  times,
  width,
  type Body,
  type Chance,
  type Person,
  type Stance,
} from "./bodies/people";
import { report } from "./report";

/** A hand that marks: its own way of finding each point (stays), and how it varies (heavy tails). */
type Hand = Record<string, { x: number; y: number }>;
const drawHand = (of: Chance): Hand =>
  Object.fromEntries(Object.keys(landmarks).map((key) => [key, { x: of.normal(), y: of.normal() }]));

/** All four views of somebody at one moment, each another standing, marked by one hand. */
function measured(person: Person, of: Chance, hand: Hand, change?: Stance): Reading[] {
  return views.flatMap((view) => {
    const stance = standingOf(person, of);
    const body = posed(person, change ? plus(stance, change) : stance);
    const look = drawLook(view, of);
    const marks: Record<string, { x: number; y: number }> = {};
    for (const [key, at] of Object.entries(references(look)))
      marks[key] = { x: at.x + of.normal(), y: at.y + of.normal() };
    for (const key of pointsOfView[view]) {
      const at = seen(body[key]!, look);
      const { landmark } = splitPoint(key);
      // what varies from time to time, and beside it the hand's own way of finding the point, which stays
      const sd = landmarks[landmark].placing / (look.distance / 1900);
      const way = hand[landmark]!;
      marks[key] = {
        x: at.x + sd * (0.6 * way.x + of.tailed()) + of.normal(),
        y: at.y + sd * (0.6 * way.y + of.tailed()) + of.normal(),
      };
    }
    const setup = {
      width,
      height,
      stickLength: stick,
      cameraDistance: 3000,
      cameraHeight: 950,
      stature: Math.round(person.stature),
    };
    return readPhoto({ view, setup, marks, markedBy: "one hand" });
  });
}

/** What the metrics of a body truly are. */
function truth(body: Body, view: View): Map<string, number> {
  const place = (key: PointKey): BodyPoint => {
    const { x, y, z } = body[key]!;
    return view === "front" || view === "back"
      ? { across: x, up: z, near: view === "front" ? y : -y }
      : { across: y, up: z, near: view === "left" ? x : -x };
  };
  const found = new Map<string, number>();
  for (const metric of metricsOf(view))
    for (const side of sidesIn(metric, view)) {
      const points = metric
        .points(side ?? "L")
        .map((key) => place(key))
        .map((each) => (metric.sides === "each" && side === "R" ? { ...each, across: -each.across } : each));
      found.set(readingId(metric, side, view), metric.value(points));
    }
  return found;
}
const trueOf = (person: Person, change?: Stance) => {
  const body = posed(person, change ? plus(person.stance, change) : person.stance);
  return new Map(views.flatMap((view) => [...truth(body, view)]));
};

/** How it was judged before: by marking and camera, each figure by itself. */
const wasReal = (first: Reading, second: Reading) =>
  Math.abs(second.value - first.value) > 1.96 * Math.hypot(first.seRepeat, second.seRepeat);

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
const lines: string[] = [];
const people = Number(process.env.HONEST_PEOPLE ?? 1000);

// --- how the people of this simulation sway, against what is assumed
{
  const of = chance(11);
  const squares = new Map<string, number[]>();
  for (let i = 0; i < 150; i++) {
    const person = drawPerson(of);
    const stood = Array.from({ length: 5 }, () => {
      const body = posed(person, standingOf(person, of));
      return new Map(views.flatMap((view) => [...truth(body, view)]));
    });
    for (const id of stood[0]!.keys())
      squares.set(id, [...(squares.get(id) ?? []), withinSubject([stood.map((each) => each.get(id)!)]).sd ** 2]);
  }
  const ratios = [...squares].map(([id, list]) => {
    const key = id.split(".")[0] as keyof typeof stances;
    return { id, ratio: Math.sqrt(mean(list)) / stances[key].sd };
  });
  if (process.env.HONEST_SWAY) for (const { id, ratio } of ratios) console.log(id.padEnd(34), ratio.toFixed(2));
  lines.push(
    `Own people sway by ${Math.min(...ratios.map(({ ratio }) => ratio)).toFixed(2)} to ${Math.max(...ratios.map(({ ratio }) => ratio)).toFixed(2)} times what is assumed for a metric (median ${[...ratios].sort((a, b) => a.ratio - b.ratio)[Math.floor(ratios.length / 2)]!.ratio.toFixed(2)}), with the tails of Student's t (6 degrees of freedom); marks have the same tails, and each hand its own way of finding a point (0.6 of the placing error) that stays.`,
    "",
  );
}

// --- visits at which nothing changed
{
  const of = chance(23);
  let [wasAny, wasCount, anyClear, clear, possible, rows, figures] = [0, 0, 0, 0, 0, 0, 0];
  const perMetric = new Map<string, { n: number; possible: number }>();
  for (let i = 0; i < people; i++) {
    const person = drawPerson(of);
    const hand = drawHand(of);
    const [before, after] = [measured(person, of, hand), measured(person, of, hand)];
    const was = before.filter((reading, k) => wasReal(reading, after[k]!)).length;
    figures += before.length;
    wasCount += was;
    if (was > 0) wasAny++;
    const changes = compareMoments(before, after).filter(({ unjudged }) => unjudged === undefined);
    rows += changes.length;
    const clears = changes.filter(({ verdict }) => verdict === "clear").length;
    clear += clears;
    possible += changes.filter(({ p }) => p < 0.05).length;
    if (clears > 0) anyClear++;
    for (const change of pairsOf(before, after)) {
      const entry = perMetric.get(change.id) ?? { n: 0, possible: 0 };
      entry.n++;
      if (change.p < 0.05) entry.possible++;
      perMetric.set(change.id, entry);
    }
  }
  const rates = [...perMetric]
    .filter(([, { n }]) => n > people / 2)
    .map(([id, { n, possible: k }]) => ({ id, rate: k / n }));
  const sorted = [...rates].sort((a, b) => a.rate - b.rate);
  lines.push(
    `## Visits at which nothing changed (${people} people, four views before and after)`,
    "",
    "| | before | now | goal |",
    "| --- | --- | --- | --- |",
    `| figures looked at | ${(figures / people).toFixed(0)} | ${(rows / people).toFixed(1)} (views of one thing together, what one picture cannot tell left out) | |`,
    `| called a change (before: real; now: clear), a visit | ${(wasCount / people).toFixed(2)} | ${(clear / people).toFixed(2)} | |`,
    `| visits with any | ${percent(wasAny / people)} | ${percent(anyClear / people)} | ≤ 10 % |`,
    `| each figure by itself beyond 1 in 20 | ${percent(wasCount / figures)} | ${percent(possible / rows)} | 4–6 % |`,
    `| the same, lowest and highest of any metric | | ${percent(sorted[0]!.rate)} (${sorted[0]!.id}) to ${percent(sorted.at(-1)!.rate)} (${sorted.at(-1)!.id}) | |`,
    "",
  );
}

// --- visits that changed something: bands, and what is found
{
  const of = chance(37);
  let [n, wasInside, inside, clear, clearBig, big, wrong] = [0, 0, 0, 0, 0, 0, 0];
  const eased = people / 2;
  for (let i = 0; i < eased; i++) {
    const person = drawPerson(of);
    const hand = drawHand(of);
    const change = times(person.stance, -0.5);
    const [start, end] = [trueOf(person), trueOf(person, change)];
    const [before, after] = [measured(person, of, hand), measured(person, of, hand, change)];
    before.forEach((reading, k) => {
      const off = after[k]!.value - reading.value - (end.get(reading.id)! - start.get(reading.id)!);
      if (Math.abs(off) < 1.96 * Math.hypot(reading.seRepeat, after[k]!.seRepeat)) wasInside++;
      n++;
    });
    for (const found of pairsOf(before, after).flatMap((pair) => pair.parts ?? [pair])) {
      const real = end.get(found.id)! - start.get(found.id)!;
      if (Math.abs(found.difference - real) < found.band) inside++;
    }
    for (const found of compareMoments(before, after)) {
      const parts = found.parts ?? [found];
      const real = mean(parts.map(({ id }) => end.get(id)! - start.get(id)!));
      if (found.verdict === "clear") {
        clear++;
        if (Math.sign(real) !== Math.sign(found.difference)) wrong++;
      }
      if (Math.abs(real) > 1.5 * found.band) {
        big++;
        if (found.verdict === "clear") clearBig++;
      }
    }
  }
  lines.push(
    `## Visits that took half of what stood out (${eased} people)`,
    "",
    "| | before | now | goal |",
    "| --- | --- | --- | --- |",
    `| true difference inside the 95 % band | ${percent(wasInside / n)} | ${percent(inside / n)} | 93–97 % |`,
    `| clear changes a visit | | ${(clear / eased).toFixed(2)} | |`,
    `| of them in the wrong direction | | ${percent(wrong / Math.max(1, clear))} | |`,
    `| true changes of 1.5 bands or more that are called clear | | ${percent(clearBig / Math.max(1, big))} (${(big / eased).toFixed(2)} a visit) | |`,
    "",
  );
}

// --- what was kept
{
  lines.push(
    `## Kept until the next visit (${Math.round(people / 4)} people each)`,
    "",
    "| what the visit took | truly kept | interval holds it | told at all | of those told, median width | deff that would give 95 % |",
    "| --- | --- | --- | --- | --- | --- |",
  );
  for (const took of [0, 0.5, 0.9])
    for (const share of took === 0 ? [0.5] : [0.3, 0.6, 0.9]) {
      const of = chance(100 + 10 * took + share);
      const runs = Math.round(people / 4);
      let [held, told] = [0, 0];
      const widths: number[] = [];
      const excess: number[] = [];
      for (let i = 0; i < runs; i++) {
        const person = drawPerson(of);
        const hand = drawHand(of);
        // people who come stand further out than people do on average
        const client = { ...person, stance: times(person.stance, 1.6) };
        const change = times(client.stance, -took);
        const moments = [
          measured(client, of, hand),
          measured(client, of, hand, change),
          measured(client, of, hand, times(change, share)),
        ] as const;
        const triples = triplesOf(...moments);
        const kept = keptShare(triples)!;
        if (kept.low <= share && kept.high >= share) held++;
        if (kept.told) {
          told++;
          widths.push(kept.high - kept.low);
        }
        excess.push(misfit(triples, share) - misfit(triples, kept.share));
      }
      const needed = excess.sort((a, b) => a - b)[Math.floor(0.95 * excess.length)]! / 3.84;
      widths.sort((a, b) => a - b);
      lines.push(
        `| ${took === 0 ? "nothing" : percent(took)} | ${took === 0 ? "(nothing to keep)" : percent(share)} | ${took === 0 ? "" : percent(held / runs)} | ${percent(told / runs)} | ${widths.length ? percent(widths[Math.floor(widths.length / 2)]!) : ""} | ${took === 0 ? "" : needed.toFixed(1)} |`,
      );
    }
  lines.push(
    "",
    `The interval is Q − Qmin ≤ 3.84 · ${sharedBy}. Where nothing was changed there is nothing to keep: it must not be told.`,
    "",
  );
}

// --- the rate of a rhythm
{
  lines.push(
    "## Rate of a felt rhythm (1500 countings each, 10 a minute)",
    "",
    "| finger (SD) | rhythm (SD) | taps | true rate inside the 95 % band |",
    "| --- | --- | --- | --- |",
  );
  for (const [finger, rhythm, taps] of [
    [0.4, 0, 6],
    [0.4, 0, 25],
    [0, 0.5, 6],
    [0, 0.5, 12],
    [0.3, 0.4, 10],
  ] as const) {
    const of = chance(5);
    let inside = 0;
    for (let i = 0; i < 1500; i++) {
      let clock = 0;
      const rate = rateOfTaps(
        Array.from({ length: taps }, () => (clock += 6 + rhythm * of.normal()) + finger * of.normal()),
      )!;
      if (Math.abs(rate.perMinute - 10) < rateBand(rate)) inside++;
    }
    lines.push(`| ${finger} s | ${rhythm} s | ${taps} | ${percent(inside / 1500)} |`);
  }
}

report("honest", "What may be called a change", lines);
