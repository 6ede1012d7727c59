import { kiln, within } from "./probe/practices";
import { quantile, report } from "./report";
import { end, serve, signIn, withCluster } from "./server";

/** Invented clients with three visits each and a log of some events, so that there are `many` in all. */
const fill = (appUrl: string, many: number) =>
  within(appUrl, kiln, async (tx) => {
    const there = Number((await tx("client").count<{ count: string }[]>("* as count"))[0]!.count);
    await tx.raw(
      `insert into client (id, name, occupation, complaint, pressure_ceiling)
       select gen_random_uuid(), 'Client ' || md5(i::text), 'weaver', 'stiff since ' || i, 5 from generate_series(?::int, ?::int) i`,
      [there + 1, many],
    );
    await tx.raw(
      `insert into visit (id, client_id, ordinal, on_date, status)
       select gen_random_uuid(), c.id, n, current_date - 60 + 20 * n + (hashtext(c.id::text) % 20), case when n < 3 then 'closed' else 'planned' end
       from client c, generate_series(1, 3) n where not exists (select from visit v where v.client_id = c.id)`,
    );
    await tx.raw(
      `insert into session_event (id, visit_id, at, kind, body)
       select gen_random_uuid(), v.id, now(), 'note', '{"step": 0, "text": "x"}' from visit v, generate_series(1, ?::int) where v.status = 'closed'
       and not exists (select from session_event e where e.visit_id = v.id)`,
      [many > 1000 ? 50 : 5],
    );
  });

async function main() {
  await withCluster(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    const lines = [
      "| page, one at a time | 100 clients, p95 | 10,000 clients, p95 | ratio |",
      "| --- | --- | --- | --- |",
    ];
    try {
      const cookie = await signIn(server.base);
      const pages = ["/", "/clients", "/clients?q=weaver+stiff", "/clients?q=nobody+here", "/calendar"];
      const measure = async () => {
        const found: Record<string, number> = {};
        for (const page of pages) {
          const times: number[] = [];
          for (let i = 0; i < 45; i++) {
            const started = performance.now();
            const answer = await fetch(`${server.base}${page}`, { headers: { Cookie: cookie } });
            await answer.text();
            if (!answer.ok) throw new Error(`${page}: ${answer.status}`);
            if (i >= 5) times.push(performance.now() - started);
          }
          found[page] = quantile(times, 0.95);
        }
        return found;
      };
      await fill(url("app"), 100);
      const few = await measure();
      await fill(url("app"), 10_000);
      await within(url("owner"), kiln, (tx) => tx.raw("analyze")).catch(() => undefined);
      const events = await within(url("app"), kiln, async (tx) => (await tx("session_event").count("* as n"))[0]!.n);
      const many = await measure();
      for (const page of pages)
        lines.push(
          `| ${page} | ${Math.round(few[page]!)} ms | ${Math.round(many[page]!)} ms | ${(many[page]! / few[page]!).toFixed(2)} |`,
        );
      lines.push("", `At 10,000 clients: 30,000 visits, ${Number(events).toLocaleString("en")} events.`);
    } finally {
      await end(server, "SIGKILL");
    }
    report("growth", "From 100 clients to 10,000", lines);
  });
}
void main();
