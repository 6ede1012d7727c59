import { randomUUID } from "node:crypto";
import { readUnwinding, unwindingsAfter, type PathPoint, type UnwindEvent } from "../core/light-touch/unwinding";
import { seeded } from "../core/random";
import { inBrowser } from "./in-browser";
import { quantile, report } from "./report";
import { end, serve, signIn, withCluster } from "./server";

/** An hour of a limb that wanders at ten places a second, as its log: pieces of forty points. */
function hour(): UnwindEvent[] {
  const random = seeded(20261126);
  const run = randomUUID();
  const began = Date.UTC(2026, 2, 2, 10);
  const event = (second: number, body: UnwindEvent["body"]): UnwindEvent => ({
    id: `${second}`,
    at: new Date(began + 1000 * second).toISOString(),
    kind: "unwind",
    body,
  });
  const path: PathPoint[] = [];
  let [x, y, heading] = [500, 500, 0];
  for (let i = 0; i < 36_000; i++) {
    heading += 0.25 * random.normal();
    x = Math.max(0, Math.min(1000, x + 12 * Math.cos(heading)));
    y = Math.max(0, Math.min(1000, y + 12 * Math.sin(heading)));
    if (x === 0 || y === 0 || x === 1000 || y === 1000) heading += Math.PI / 2;
    path.push([Math.round(x), Math.round(y), i / 10]);
  }
  const pieces = Array.from({ length: path.length / 40 }, (_, i) =>
    event(4 * i + 4, { run, press: "path", points: path.slice(40 * i, 40 * i + 40) }),
  );
  return [event(0, { run, press: "begun", part: "whole body" }), ...pieces];
}

/** How the trace of a hundred readings a second is drawn: milliseconds from frame to frame. */
const frames = (base: string) =>
  inBrowser(base, async (page) => {
    await page.goto("/practice/trainer");
    await page.getByRole("button", { name: "Begin" }).click();
    await page.getByText(/Hands on, and hold/).waitFor();
    const force = page.getByRole("slider", { name: "Force on the stand-in" });
    for (let i = 0; i < 50; i++) await force.press("ArrowUp");
    return page.evaluate(async () => {
      const gaps: number[] = [];
      let last = performance.now();
      const until = last + 10_000;
      while (last < until) {
        await new Promise((resolve) => requestAnimationFrame(resolve));
        const now = performance.now();
        gaps.push(now - last);
        last = now;
      }
      return gaps;
    });
  });

async function main() {
  const log = hour();
  const times = Array.from({ length: 20 }, () => {
    const started = performance.now();
    const read = readUnwinding(unwindingsAfter(log)[0]!);
    return { ms: performance.now() - started, read };
  });
  await withCluster(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      await signIn(server.base);
      const gaps = await frames(server.base);
      const usual = quantile(gaps, 0.5);
      const ms = times.map((each) => each.ms);
      report("light", "Light touch and the trainer", [
        "| what | figure | budget |",
        "| --- | --- | --- |",
        `| an hour of unwinding (36,000 places in ${log.length} events) put together and read, median / p95 | ${quantile(ms, 0.5).toFixed(0)} / ${quantile(ms, 0.95).toFixed(0)} ms | 100 ms |`,
        `| a hundred readings a second on the trace for 10 s, in a browser without a graphics processor | ${gaps.length} frames, one every ${usual.toFixed(1)} ms, ${gaps.filter((gap) => gap > 1.5 * usual).length} dropped | none dropped |`,
      ]);
    } finally {
      await end(server, "SIGKILL");
    }
  });
}
void main();
