import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { launch } from "./in-browser";
import { quantile, report } from "./report";
import { ruben, withServer } from "./server";

/**
 * What is felt of the application on a slow tablet: Chromium with its processor slowed down four times walks from signing
 * in to the path. The largest paint of each page that is loaded, and how long each press takes until what it asked for
 * is drawn. Also how much memory the page takes while a series is solved.
 */
const slower = 4;
const rounds = Number(process.env.ROUNDS ?? 7);

type Felt = { what: string; paint?: number; press?: number; there?: number };

/** Everything the page's own clock says of its largest paint and of its slowest event so far, ms. */
const watch = `
  window.felt = { paint: 0, event: 0 };
  new PerformanceObserver((list) => { for (const each of list.getEntries()) felt.paint = each.startTime; })
    .observe({ type: "largest-contentful-paint", buffered: true });
  new PerformanceObserver((list) => { for (const each of list.getEntries()) if (each.interactionId) felt.event = Math.max(felt.event, each.duration); })
    .observe({ type: "event", durationThreshold: 16, buffered: true });
`;
type Window = { felt: { paint: number; event: number } };
const told = (page: Page) => page.evaluate(() => (window as unknown as Window).felt);

async function walk(base: string): Promise<{ felt: Felt[]; solving: number }> {
  const browser = await launch();
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base });
    const page = await context.newPage();
    await page.addInitScript(watch);
    const device = await context.newCDPSession(page);
    await device.send("Emulation.setCPUThrottlingRate", { rate: slower });
    const felt: Felt[] = [];
    const settled = () => page.waitForTimeout(1500);

    await page.goto("/sign-in");
    await settled();
    felt.push({ what: "sign-in, loaded", paint: (await told(page)).paint });
    await page.getByLabel("E-mail").fill("odile@kiln.example");
    await page.getByLabel("Password").fill("slow warm hands");

    /** Presses and waits for what was asked for; the browser's own measure of the press, until the next frame was drawn. */
    const press = async (what: string, act: () => Promise<unknown>, there: () => Promise<unknown>) => {
      await page.evaluate(() => ((window as unknown as Window).felt.event = 0));
      const started = performance.now();
      await act();
      await there();
      const took = performance.now() - started;
      await settled();
      felt.push({ what, press: (await told(page)).event, there: took });
    };
    const link = (name: string) => page.getByRole("link", { name, exact: true });
    await press(
      "sign in → today",
      () => page.getByRole("button", { name: "Sign in" }).click(),
      () => page.getByRole("navigation", { name: "Places" }).waitFor(),
    );
    await press(
      "today → client",
      () =>
        page
          .getByRole("link", { name: /Ruben Asplund/ })
          .first()
          .click(),
      () => page.getByRole("heading", { level: 1, name: "Ruben Asplund" }).waitFor(),
    );
    await press(
      "client → stand",
      () => link("Assess").click(),
      () =>
        page
          .getByRole("group", { name: "View" })
          .first()
          .waitFor()
          .catch(() => undefined),
    );
    for (const view of [/^Back/, /^Left/, /^Right/, /^Front/])
      await press(
        `stand: ${view.source.slice(1).toLowerCase()}`,
        () => page.getByRole("group", { name: "View" }).getByRole("button", { name: view }).first().click(),
        () => page.waitForTimeout(300),
      );
    await press(
      "stand → path",
      () => link("Path").click(),
      () => page.getByRole("complementary", { name: "Chosen session" }).waitFor(),
    );
    for (const session of [6, 8])
      await press(
        `path: session ${session}`,
        () => page.getByRole("button", { name: new RegExp(`^Session ${session}, `) }).click(),
        () => page.waitForTimeout(300),
      );
    for (const [what, path] of [
      ["today, loaded", "/"],
      ["client, loaded", `/clients/${ruben}`],
      ["stand, loaded", `/clients/${ruben}/assess/stand`],
      ["path, loaded", `/clients/${ruben}/path`],
    ] as const) {
      await page.goto(path);
      // Stand's largest paint is its photograph: it comes late, and before it there is another
      if (what.startsWith("stand")) await page.getByTestId("photograph").waitFor();
      await settled();
      felt.push({ what, paint: (await told(page)).paint });
    }

    // as fast as the machine is again: how much memory a solver takes does not depend on that
    await device.send("Emulation.setCPUThrottlingRate", { rate: 1 });
    const whole = await browser.newBrowserCDPSession();
    const own = async () => {
      const { processInfo } = await whole.send("SystemInfo.getProcessInfo");
      const sizes = processInfo
        .filter(({ type }) => type === "renderer")
        .map(({ id }) => {
          const text = readFileSync(`/proc/${id}/smaps_rollup`, "utf8");
          return (
            [...text.matchAll(/Private_(?:Clean|Dirty):\s+(\d+)/g)].reduce((sum, [, kB]) => sum + Number(kB), 0) / 1024
          );
        });
      return Math.max(...sizes);
    };
    let solving = 0;
    await page.getByRole("button", { name: "Solve again" }).click();
    for (let i = 0; i < 40; i++) {
      solving = Math.max(solving, await own());
      await page.waitForTimeout(150);
    }
    return { felt, solving };
  } finally {
    await browser.close();
  }
}

async function main() {
  await withServer(async (base) => {
    const walks: Awaited<ReturnType<typeof walk>>[] = [];
    for (let round = 0; round < rounds; round++) walks.push(await walk(base));
    const names = walks[0]!.felt.map(({ what }) => what);
    const of = (what: string, kind: "paint" | "press" | "there") =>
      walks.flatMap(({ felt }) => felt.filter((each) => each.what === what).flatMap((each) => each[kind] ?? []));
    const ms = (values: number[], share: number) => (values.length > 0 ? quantile(values, share).toFixed(0) : "");
    const line = (what: string) => {
      const [paint, press, there] = (["paint", "press", "there"] as const).map((kind) => of(what, kind));
      return `| ${what} | ${ms(paint!, 0.5)} | ${ms(press!, 0.5)} | ${ms(press!, 0.95)} | ${/→/.test(what) ? ms(there!, 0.5) : ""} |`;
    };
    const presses = names.flatMap((what) => of(what, "press"));
    report("felt", "What is felt, on a processor four times slower", [
      `Chromium at 1280 × 800, its processor slowed down ${slower} times, ${rounds} walks on demo data, server and browser on the same machine; ms.`,
      "",
      "| | largest paint, median | press, median | press, p95 | there, median |",
      "| --- | --- | --- | --- | --- |",
      ...names.map(line),
      "",
      `All presses together: median ${quantile(presses, 0.5).toFixed(0)} ms, p95 ${quantile(presses, 0.95).toFixed(0)} ms (≤ 200: ${quantile(presses, 0.95) <= 200 ? "kept" : "**missed**"}).`,
      "A press is the browser's own measure (event timing): from the press until the frame after its handlers was drawn. \"There\": until what was asked for stands on the page, the server's answer and the other page's scripts included.",
      `The page's own memory while a series is solved: at most ${Math.max(...walks.map(({ solving }) => solving)).toFixed(0)} MB (≤ 250).`,
    ]);
  });
}
void main();
