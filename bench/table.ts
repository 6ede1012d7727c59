import { kiln, within } from "./probe/practices";
import { inBrowser } from "./in-browser";
import { quantile, report } from "./report";
import { end, serve, signIn, withCluster } from "./server";

/** A client at the first visit. */
const fill = (appUrl: string) =>
  within(appUrl, kiln, async (tx) => {
    const [{ id }] = (await tx("client")
      .insert({
        id: tx.raw("gen_random_uuid()"),
        name: "At The Table",
        occupation: "",
        complaint: "",
        pressure_ceiling: 5,
      })
      .returning("id")) as [{ id: string }];
    await tx.raw(
      "insert into visit (id, client_id, ordinal, on_date, status) values (gen_random_uuid(), ?, 1, current_date, 'planned')",
      [id],
    );
    return id;
  });

/** So long a press takes a practised finger (keystroke-level model of Card, Moran & Newell 1980, from memory): 0.28 s. */
const pressMs = 280;
const words = (list: readonly number[]) => `${quantile(list, 0.5).toFixed(1)} / ${quantile(list, 0.95).toFixed(1)} ms`;

const seen = (base: string, client: string) =>
  inBrowser(base, async (page) => {
    let [posts, presses] = [0, 0];
    page.on("request", (request) => {
      if (request.method() === "POST" && request.url().includes("/table/")) posts += 1;
    });
    await page.goto(`/clients/${client}/assess/table`);
    await page.locator("button:enabled", { hasText: "Even, next" }).waitFor();

    // a whole run: two checks stand out, what is measured is left out, everything else is as it should be
    const press = async (key: string) => {
      presses += 1;
      await page.keyboard.press(key);
      await page.waitForTimeout(pressMs);
    };
    const began = performance.now();
    for (let i = 0; i < 80 && !(await page.getByText("That was the last one").isVisible()); i++) {
      const name = await page.locator("section[aria-label] h3").first().innerText();
      if (["Ankle bones", "Hip height"].includes(name)) await press("ArrowRight");
      await press((await page.getByRole("button", { name: "Next", exact: true }).isVisible()) ? "ArrowDown" : "Space");
    }
    const run = { presses, seconds: (performance.now() - began) / 1000 };
    await page.getByText("Being kept …").waitFor({ state: "detached" });
    const sent = posts;

    presses = 0;
    await page.getByRole("button", { name: /^Retest these/ }).click();
    await page.locator("body").click({ position: { x: 700, y: 150 } });
    const again = performance.now();
    await press("Space");
    await press("Space");
    const retest = { presses: presses + 1, seconds: (performance.now() - again) / 1000 };

    const painted: Record<string, number[]> = {};
    for (const network of ["online", "offline"] as const) {
      await page.context().setOffline(network === "offline");
      await page.getByRole("button", { name: /^Hip height/ }).click();
      painted[network] = await page.evaluate(async () => {
        const times: number[] = [];
        for (let i = 0; i < 100; i++) {
          await new Promise((resolve) => setTimeout(resolve, 60));
          const started = performance.now();
          window.dispatchEvent(
            new KeyboardEvent("keydown", { key: i % 2 ? "ArrowLeft" : "ArrowRight", bubbles: true }),
          );
          await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
          times.push(performance.now() - started);
        }
        return times;
      });
    }
    await page.context().setOffline(false);

    // fifty angles a second on the dial
    await page.goto(`/clients/${client}/assess/move`);
    await page.getByRole("group", { name: "Left" }).getByRole("button", { name: "Hear 3 in a row" }).click();
    const frames = await page.evaluate(async () => {
      const gaps: number[] = [];
      // the press that begins it is past
      await new Promise((resolve) => setTimeout(resolve, 300));
      let last = performance.now();
      const until = last + 8000;
      while (last < until) {
        await new Promise((resolve) => requestAnimationFrame(resolve));
        const now = performance.now();
        gaps.push(now - last);
        last = now;
      }
      return gaps;
    });
    return { run, sent, retest, painted, frames };
  });

async function main() {
  await withCluster(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      // signing in loads the demo practice that the client belongs to
      await signIn(server.base);
      const { run, sent, retest, painted, frames } = await seen(server.base, await fill(url("app")));
      // a frame is dropped where the next one comes later than one and a half of the usual distance
      const usual = quantile(frames, 0.5);
      const dropped = frames.filter((gap) => gap > 1.5 * usual).length;
      report("table", "Table and Move in a browser", [
        "At 1280 × 800 on two cores without a graphics processor.",
        "",
        "| what | figure | budget |",
        "| --- | --- | --- |",
        `| a press until its answer is painted, online, median / p95 | ${words(painted.online!)} | 50 ms |`,
        `| the same offline | ${words(painted.offline!)} | 50 ms |`,
        `| a whole run, two checks off, at ${pressMs} ms a press | ${run.presses} presses, ${run.seconds.toFixed(0)} s | 180 s |`,
        `| small requests it sent | ${sent} | under 30 |`,
        `| two looked at again | ${retest.presses} presses, ${retest.seconds.toFixed(1)} s | 15 s |`,
        `| fifty angles a second on the dial for 8 s | ${frames.length} frames, one every ${usual.toFixed(1)} ms, ${dropped} dropped | none dropped |`,
      ]);
    } finally {
      await end(server, "SIGKILL");
    }
  });
}
void main();
