import { anchorOf, figureViews, placesSeen, structuresSeen, within, type Point } from "../core/anatomy/figure";
import { layerKeys } from "../core/anatomy/layers";
import { readPlace } from "../core/anatomy/read-place";
import { spread } from "../core/anatomy/spread-marks";
import { structureGroups, structures } from "../core/anatomy/structures";
import { readLine } from "../core/findings/read-line";
import { seeded } from "../core/random";
import { quantile, report } from "./report";

/** Milliseconds of each call, after some to warm up. */
function timed(times: number, call: (i: number) => unknown): number[] {
  for (let i = 0; i < Math.min(times, 50); i++) call(i);
  return Array.from({ length: times }, (_, i) => {
    const started = performance.now();
    call(i);
    return performance.now() - started;
  });
}
const row = (what: string, list: number[], budget: string) =>
  `| ${what} | ${quantile(list, 0.5).toFixed(2)} ms | ${quantile(list, 0.95).toFixed(2)} ms | ${budget} |`;

const random = seeded(20261126);
const started = performance.now();
for (const view of figureViews) for (const layer of layerKeys) structuresSeen(view, layer);
const first = performance.now() - started;

// every name, letter by letter, as it is typed
const typed = [...structures, ...structureGroups].flatMap(({ name }) =>
  Array.from({ length: name.length }, (_, i) => `l ${name.slice(0, i + 1).toLowerCase()}`),
);
const views = ["front", "back"] as const;
const found = Array.from({ length: 300 }, () => {
  const own = structures[Math.floor(random.uniform() * structures.length)]!;
  return {
    own,
    side: random.uniform() < 0.5 ? ("L" as const) : ("R" as const),
    r: 5 + 1.6 * Math.floor(4 * random.uniform()),
  };
});
const marks = () => {
  const anchors = found.flatMap(({ own, side, r }) => {
    const anchor = anchorOf(views, { structure: own.key, places: own.places }, side);
    return anchor ? [{ ...anchor, r }] : [];
  });
  for (const view of views) spread(anchors.filter((each) => each.view === view));
};
const inner = structuresSeen("back", "DM");
report("touch", "Touch: finding, placing, hitting", [
  `${structures.length} structures and joints, ${structureGroups.length} groups, ${placesSeen("front").length} outlines in front. All outlines of all layers and views, once: ${first.toFixed(0)} ms.`,
  "",
  "| what | median | p95 | budget |",
  "| --- | --- | --- | --- |",
  row(
    `a keystroke of the line over all names (${typed.length} lines)`,
    timed(typed.length, (i) => readLine(typed[i]!)),
    "5 ms",
  ),
  row(
    "a place read from words",
    timed(2000, (i) => readPlace(`broke my left ${["wrist", "big toe", "L5", "collar bone"][i % 4]}`)),
    "–",
  ),
  row("300 findings placed anew, once one of them changes", timed(60, marks), "–"),
  row(
    "a finger on a peeled layer: all it may have meant",
    timed(2000, () => within(inner, [200 * random.uniform(), 520 * random.uniform()] as Point, 14)),
    "8 ms",
  ),
]);
