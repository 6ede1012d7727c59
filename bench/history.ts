import { structures } from "../core/anatomy/structures";
import { kiln, within } from "./probe/practices";
import { inBrowser } from "./in-browser";
import { quantile, report } from "./report";
import { end, serve, signIn, withCluster } from "./server";

const lines = 40;
const visits = 60;

/** A client who has come sixty times, with forty spots graded at fifty of them; and one who came for the first time. */
const fill = (appUrl: string) =>
  within(appUrl, kiln, async (tx) => {
    const made: string[] = [];
    for (const [name, times] of [
      ["First Time", 1],
      ["Sixty Times", visits],
    ] as const) {
      const [{ id }] = (await tx("client")
        .insert({
          id: tx.raw("gen_random_uuid()"),
          name,
          occupation: "weaver",
          complaint: "stiff",
          pressure_ceiling: 5,
        })
        .returning("id")) as [{ id: string }];
      made.push(id);
      await tx.raw(
        `insert into visit (id, client_id, ordinal, on_date, status)
         select gen_random_uuid(), ?, n, current_date - 7 * (?::int - n), case when n < ? then 'closed' else 'planned' end
         from generate_series(1, ?::int) n`,
        [id, times, times, times],
      );
      if (times === 1) continue;
      const rows = structures.slice(0, lines).map(({ key, region, layer, midline }) => ({
        id: tx.raw("gen_random_uuid()"),
        client_id: id,
        region,
        structure: key,
        layer,
        side: midline ? "both" : "L",
        quality: "band",
        bind: "",
        ease: "",
      }));
      await tx("restriction").insert(rows);
      await tx.raw(
        `insert into restriction_grade (restriction_id, visit_id, moment, grade, tenderness)
         select r.id, v.id, 'before', (v.ordinal + length(r.structure)) % 4, 3
         from restriction r join visit v on v.client_id = r.client_id and v.ordinal <= 50 where r.client_id = ?`,
        [id],
      );
    }
    const [{ n }] = (await tx("restriction_grade as g")
      .join("restriction as r", "r.id", "g.restriction_id")
      .where("r.client_id", made[1]!)
      .count("* as n")) as [{ n: string }];
    return { made, findings: Number(n) };
  });

/** A client with three hundred findings, each once. */
async function many(appUrl: string): Promise<string> {
  return within(appUrl, kiln, async (tx) => {
    const [{ id }] = (await tx("client")
      .insert({
        id: tx.raw("gen_random_uuid()"),
        name: "Three Hundred",
        occupation: "",
        complaint: "",
        pressure_ceiling: 5,
      })
      .returning("id")) as [{ id: string }];
    await tx.raw(
      "insert into visit (id, client_id, ordinal, on_date, status) values (gen_random_uuid(), ?, 1, current_date, 'planned')",
      [id],
    );
    const rows = structures
      .flatMap((own) => (own.midline ? [{ own, side: "both" }] : ["L", "R"].map((side) => ({ own, side }))))
      .slice(0, 300)
      .map(({ own: { key, region, layer }, side }) => ({
        id: tx.raw("gen_random_uuid()"),
        client_id: id,
        region,
        structure: key,
        layer,
        side,
        quality: "band",
        bind: "",
        ease: "",
      }));
    await tx("restriction").insert(rows);
    await tx.raw(
      `insert into restriction_grade (restriction_id, visit_id, moment, grade, tenderness)
       select r.id, v.id, 'before', length(r.structure) % 4, 2
       from restriction r join visit v on v.client_id = r.client_id where r.client_id = ?`,
      [id],
    );
    return id;
  });
}

/** What it is in a browser: opening Touch for both clients, and repainting a figure with three hundred findings. */
const seen = (base: string, made: readonly string[]) =>
  inBrowser(base, async (page) => {
    const opened: number[][] = [[], []];
    for (let i = 0; i < 18; i++)
      for (const [c, id] of made.slice(0, 2).entries()) {
        const started = performance.now();
        await page.goto(`/clients/${id}/assess/touch`, { waitUntil: "commit" });
        // keys work once the page is alive
        await page.locator("input[placeholder]:enabled").waitFor();
        if (i >= 3) opened[c]!.push(performance.now() - started);
      }
    const [first, sixty] = opened.map((list) => ({ p50: quantile(list, 0.5), p95: quantile(list, 0.95) }));
    const ms = ({ p50, p95 }: { p50: number; p95: number }) => `${p50.toFixed(0)} / ${p95.toFixed(0)} ms`;
    const opens = `| opened, median / p95 | ${ms(first!)} | ${ms(sixty!)} | ${(sixty!.p50 / first!.p50).toFixed(2)} |`;

    await page.goto(`/clients/${made[2]!}/assess/touch`);
    const peel = page.getByRole("slider", { name: "Peel to layer" });
    for (let i = 0; i < 4; i++) await peel.press("ArrowRight");
    await page
      .getByRole("button", { name: /inner muscle, seen from the back/ })
      .first()
      .waitFor();
    const times = await page.evaluate(async () => {
      const outlines = [...document.querySelectorAll<SVGGElement>('[aria-label*="inner muscle, seen from"]')];
      const script: number[] = [];
      const painted: number[] = [];
      for (let i = 0; i < 120; i++) {
        const outline = outlines[(i * 7) % outlines.length]!;
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
        const started = performance.now();
        outline.dispatchEvent(new MouseEvent("click", { bubbles: true }));
        // the interface is brought up to date before anything else runs
        await Promise.resolve();
        if (outline.getAttribute("aria-pressed") !== "true") throw new Error("the outline is not drawn as pressed");
        script.push(performance.now() - started);
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
        painted.push(performance.now() - started);
      }
      return { script: script.slice(20), painted: painted.slice(20) };
    });
    const say = (list: number[]) =>
      `median ${quantile(list, 0.5).toFixed(1)} ms, p95 ${quantile(list, 0.95).toFixed(1)} ms`;
    return [
      opens,
      `The outline by our code: ${say(times.script)} (budget 8 ms); all of it on the screen with layout and paint: ${say(times.painted)}.`,
    ] as const;
  });

async function main() {
  await withCluster(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      const cookie = await signIn(server.base);
      const { made: both, findings } = await fill(url("app"));
      const made = [...both, await many(url("app"))];
      const table: string[] = [];
      for (const page of ["/assess/touch", "/assess/touch.data", "/assess/points", "/assess/summary"]) {
        const times: number[][] = [[], []];
        // one after the other, so that both meet the same machine
        for (let i = 0; i < 110; i++)
          for (const [c, id] of both.entries()) {
            const started = performance.now();
            const answer = await fetch(`${server.base}/clients/${id}${page}`, { headers: { Cookie: cookie } });
            await answer.text();
            if (!answer.ok) throw new Error(`${page}: ${answer.status}`);
            if (i >= 10) times[c]!.push(performance.now() - started);
          }
        const [first, sixty] = times.map((list) => ({ p50: quantile(list, 0.5), p95: quantile(list, 0.95) }));
        const ms = ({ p50, p95 }: { p50: number; p95: number }) => `${p50.toFixed(0)} / ${p95.toFixed(0)} ms`;
        table.push(`| ${page} | ${ms(first!)} | ${ms(sixty!)} | ${(sixty!.p50 / first!.p50).toFixed(2)} |`);
      }
      const [opens, repaints] = await seen(server.base, made);
      report("history", "A long history", [
        `One client at the first visit against one with ${findings} gradings of ${lines} spots over ${visits} visits: whole pages as the server sends them, median / p95.`,
        "",
        "| page | first visit | sixtieth visit | ratio of medians |",
        "| --- | --- | --- | --- |",
        ...table,
        "",
        "In a browser at 1280 × 800 on the same two cores, without a graphics processor: from the address to a page that can be worked.",
        "",
        "| Touch | first visit | sixtieth visit | ratio of medians |",
        "| --- | --- | --- | --- |",
        opens,
        "",
        `Three hundred findings, peeled to the inner muscles: a press on an outline until the figure is drawn anew, with the list beside it; then its panel. ${repaints}`,
      ]);
    } finally {
      await end(server, "SIGKILL");
    }
  });
}
void main();
