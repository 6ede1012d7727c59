import { connect } from "../data/database";
import { kiln, within } from "./probe/practices";
import { quantile, report } from "./report";
import { end, pause, ruben, serve, signIn, withCluster } from "./server";

/**
 * A practice that grows from the demo's few clients, over as many as fill every list's page, to 10,000, with 200,000 visits and a million
 * events: how long its pages take, one at a time, and which tables they read from one end to the other.
 */
const sizes = { few: 0, pages: 260, many: Number(process.env.CLIENTS ?? 10_000) };
const visitsEach = 20;
const eventsEach = 5;

/** Invented clients, so that there are `many` in all; visits over ten years, the last two planned, none within the next two months. */
const fill = (appUrl: string, many: number) =>
  within(appUrl, kiln, async (tx) => {
    await tx.raw("set local statement_timeout = '10min'");
    const there = Number((await tx("client").count<{ count: string }[]>("* as count"))[0]!.count);
    if (there >= many) return;
    await tx.raw(
      `create temporary table fresh on commit drop as
         select gen_random_uuid() as id, i from generate_series(?::int, ?::int) i`,
      [there + 1, many],
    );
    await tx.raw(
      `insert into client (id, name, occupation, complaint, pressure_ceiling)
       select id, initcap(substr(md5(i::text), 1, 6)) || ' ' || initcap(substr(md5((7 * i)::text), 1, 8)),
              (array['weaver', 'smith', 'driver', 'nurse', 'miller'])[1 + i % 5], 'stiff since ' || 1990 + i % 30, 5 from fresh`,
    );
    await tx.raw(
      `create temporary table made on commit drop as
         select gen_random_uuid() as id, f.id as client_id, n as ordinal, n > ${visitsEach - 2} as ahead, f.i
         from fresh f, generate_series(1, ${visitsEach}) n`,
    );
    await tx.raw(
      `insert into visit (id, client_id, ordinal, on_date, status)
       select id, client_id, ordinal,
              case when ahead then current_date + 60 + (i * 13 + ordinal) % 700 else current_date - 3650 + ordinal * 180 + i % 170 end,
              case when ahead then 'planned' else 'closed' end from made`,
    );
    await tx.raw(
      `insert into session_event (id, visit_id, at, kind, body)
       select gen_random_uuid(), id, now(), 'note', '{"step": 0, "text": "x"}' from made, generate_series(1, ${eventsEach})`,
    );
  });

/** Tables that a practice's work makes longer, and how often each was read from end to end so far. */
async function scans(superUrl: string): Promise<Map<string, number>> {
  await pause(2500);
  const db = connect(superUrl, 1);
  try {
    const rows = await db("pg_stat_user_tables").select<{ relname: string; seq_scan: string }[]>("relname", "seq_scan");
    return new Map(rows.map(({ relname, seq_scan }) => [relname, Number(seq_scan)]));
  } finally {
    await db.destroy();
  }
}
const growing = ["client", "visit", "session_event", "table_event", "stamp", "photo", "measurement", "restriction"];

const pages: [string, string][] = [
  ["today", "/"],
  ["clients", "/clients"],
  ["clients, the second page", "after"],
  ["search by a word that many have", "/clients?q=weaver"],
  ["search by a name", "/clients?q=ruben"],
  ["search that finds nobody", "/clients?q=nobody+here"],
  ["calendar", "/calendar"],
  ["overview", `/clients/${ruben}`],
  ["path", `/clients/${ruben}/path`],
  ["change", `/clients/${ruben}/change`],
];

async function main() {
  await withCluster(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      const cookie = await signIn(server.base);
      const second = async () => {
        const [many, last] = await within(url("app"), kiln, (tx) =>
          tx("client").whereNull("archived_at").orderByRaw("lower(name), id").limit(50).select<{ id: string }[]>("id"),
        ).then((rows) => [rows.length, rows.at(-1)!.id] as const);
        return many === 50 ? `/clients?after=${last}` : undefined;
      };
      const measure = async () => {
        const found = new Map<string, number>();
        for (const [name, asked] of pages) {
          const path = asked === "after" ? await second() : asked;
          if (path === undefined) continue;
          const times: number[] = [];
          for (let i = 0; i < 110; i++) {
            const started = performance.now();
            const answer = await fetch(`${server.base}${path}`, { headers: { Cookie: cookie } });
            await answer.text();
            if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
            if (i >= 10) times.push(performance.now() - started);
          }
          found.set(name, quantile(times, 0.95));
        }
        return found;
      };
      /** What was filled in is looked through and written down: nothing of it goes on while pages are measured. */
      const settled = async () => {
        const owner = connect(url("super"), 1, { patient: true });
        await owner.raw("vacuum analyze");
        await owner.raw("checkpoint");
        await owner.destroy();
      };
      const few = await measure();
      await fill(url("app"), sizes.pages);
      await settled();
      const filled = await measure();
      const started = performance.now();
      await fill(url("app"), sizes.many);
      const took = (performance.now() - started) / 1000;
      await settled();
      const before = await scans(url("super"));
      const many = await measure();
      const after = await scans(url("super"));
      const read = growing.filter((table) => (after.get(table) ?? 0) > (before.get(table) ?? 0));
      const [{ visits, events }] = await within(url("app"), kiln, (tx) =>
        tx
          .raw("select (select count(*) from visit) as visits, (select count(*) from session_event) as events")
          .then(({ rows }) => rows),
      );
      const count = (n: unknown) => Number(n).toLocaleString("en");
      const ratio = (of: number, to: number | undefined) => (to === undefined ? "" : (of / to).toFixed(2));
      report("scale", `From a dozen clients to ${count(sizes.many)}`, [
        `${count(visits)} visits, ${count(events)} events (made in ${took.toFixed(0)} s). Pages one at a time, a hundred times, the slowest of each twenty (p95), ms; the same people are booked on the day that is shown. With ${sizes.pages} clients every list fills its page of 50 rows, as with ${count(sizes.many)}: the ratio to them is that of the database, the ratio to a dozen that of the rows drawn, too.`,
        "",
        `| page | a dozen | ${sizes.pages} clients | ${count(sizes.many)} | to a dozen | to ${sizes.pages} (≤ 1.5) |`,
        "| --- | --- | --- | --- | --- | --- |",
        ...pages.map(([name]) => {
          const [a, b, c] = [few.get(name), filled.get(name)!, many.get(name)!];
          return `| ${name} | ${a?.toFixed(0) ?? ""} | ${b.toFixed(0)} | ${c.toFixed(0)} | ${ratio(c, a)} | ${ratio(c, b)} |`;
        }),
        "",
        `Growing tables that a page read from end to end (${growing.join(", ")}; PostgreSQL's own count): ${read.length === 0 ? "none" : read.join(", ")}.`,
      ]);
    } finally {
      await end(server, "SIGKILL");
    }
  });
}
void main();
