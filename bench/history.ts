import { structures } from "../core/anatomy/structures";
import { kiln, within } from "./probe/practices";
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

async function main() {
  await withCluster(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      const cookie = await signIn(server.base);
      const { made, findings } = await fill(url("app"));
      const table: string[] = [];
      for (const page of ["/assess/touch", "/assess/touch.data", "/assess/points", "/assess/summary"]) {
        const times: number[][] = [[], []];
        // one after the other, so that both meet the same machine
        for (let i = 0; i < 110; i++)
          for (const [c, id] of made.entries()) {
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
      report("history", "A long history", [
        `One client at the first visit against one with ${findings} gradings of ${lines} spots over ${visits} visits: whole pages as the server sends them, median / p95.`,
        "",
        "| page | first visit | sixtieth visit | ratio of medians |",
        "| --- | --- | --- | --- |",
        ...table,
      ]);
    } finally {
      await end(server, "SIGKILL");
    }
  });
}
void main();
