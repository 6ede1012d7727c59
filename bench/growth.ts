import { kiln, within } from "./probe/practices";
import { quantile, report } from "./report";
import { end, serve, signIn, withCluster } from "./server";

/** Invented clients with three visits each, spread over two years as a busy practice's are, and a log of some events, so that there are `many` in all. */
const fill = (appUrl: string, many: number) =>
  within(appUrl, kiln, async (tx) => {
    await tx.raw("set local statement_timeout = '5min'");
    const there = Number((await tx("client").count<{ count: string }[]>("* as count"))[0]!.count);
    await tx.raw(
      `with fresh as (
         insert into client (id, name, occupation, complaint, pressure_ceiling)
         select gen_random_uuid(), 'Client ' || md5(i::text), 'weaver', 'stiff since ' || i, 5
         from generate_series(?::int, ?::int) i returning id),
       made as (
         insert into visit (id, client_id, ordinal, on_date, status)
         select gen_random_uuid(), id, n, current_date + case when n < 3 then 30 * n - 800 else 0 end + abs(hashtext(id::text)) % 700,
                case when n < 3 then 'closed' else 'planned' end
         from fresh, generate_series(1, 3) n returning id, status)
       insert into session_event (id, visit_id, at, kind, body)
       select gen_random_uuid(), id, now(), 'note', '{"step": 0, "text": "x"}' from made, generate_series(1, 5)
       where status = 'closed'`,
      [there + 1, many],
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
      const pages = ["/", "/clients", "/clients?q=weaver+stiff", "/clients?q=nobody+here", "/clients?archived=1"];
      const measure = async () => {
        const found: Record<string, number> = {};
        for (const page of pages) {
          const times: number[] = [];
          for (let i = 0; i < 105; i++) {
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
