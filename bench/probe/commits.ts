import { randomUUID } from "node:crypto";
import pg from "pg";
import { post, ruben } from "../server";
import { addresses, kiln, within } from "./practices";
import { bodiesFor, idsOf } from "./reused-ids";

export type Commits = {
  /** Tables whose every write fails at COMMIT. */
  tables: number;
  requests: number;
  /** Requests that wrote something before their COMMIT failed. */
  wrote: number;
  answeredStored: string[];
};

/**
 * Has every COMMIT that wrote anything fail, as a full disk does, and sends to every address what its pages send: nothing that
 * wrote may be answered as stored, and nothing may be there afterwards. What is put into the database for it is taken
 * away again.
 */
export async function failingCommits(base: string, cookie: string, superUrl: string, appUrl: string): Promise<Commits> {
  const acts = await actsOf(appUrl);
  const db = new pg.Client(superUrl);
  await db.connect();
  const { rows } = await db.query<{ name: string }>(
    `select table_name as name from information_schema.columns
     where table_schema = 'public' and column_name = 'practice_id' and table_name not in ('auth_session', 'stamp')`,
  );
  const tables = rows.map(({ name }) => name);
  await db.query(`
    create sequence probe_writes;
    create function probe_wrote() returns trigger language plpgsql security definer as
      $$ begin perform nextval('public.probe_writes'); return null; end $$;
    create function probe_no_room() returns trigger language plpgsql as
      $$ begin raise exception 'no room' using errcode = '53100'; end $$;`);
  for (const name of tables)
    await db.query(`
      create trigger probe_wrote after insert or update or delete on ${name} for each row execute function probe_wrote();
      create constraint trigger probe_full after insert or update or delete on ${name}
        deferrable initially deferred for each row execute function probe_no_room();`);
  const written = async () =>
    Number((await db.query("select last_value, is_called from probe_writes")).rows[0].last_value);
  const counts = async () => {
    const all = tables.map((name) => `select count(*) as n from ${name}`).join(" union all ");
    return (await db.query<{ n: string }>(all)).rows.map(({ n }) => n).join();
  };
  const found: Commits = { tables: tables.length, requests: 0, wrote: 0, answeredStored: [] };
  try {
    const there = await counts();
    for (const { path, body } of acts) {
      const before = await written();
      const answer = await post(base, path, cookie, body);
      await answer.arrayBuffer();
      found.requests++;
      const wrote = (await written()) !== before;
      if (wrote) found.wrote++;
      if (wrote && answer.status < 400) found.answeredStored.push(`${answer.status} ${path} ${JSON.stringify(body)}`);
    }
    if ((await counts()) !== there) found.answeredStored.push("something is there that no COMMIT stored");
  } finally {
    for (const name of tables)
      await db.query(`drop trigger probe_wrote on ${name}; drop trigger probe_full on ${name}`);
    await db.query("drop function probe_wrote, probe_no_room; drop sequence probe_writes");
    await db.end();
  }
  return found;
}

/** What pages send, to every address, about what is there; and what begins something new. */
async function actsOf(appUrl: string): Promise<{ path: string; body: unknown }[]> {
  const ids = await idsOf(appUrl);
  // of one client, so that each act is about something that is theirs
  const own = await within(appUrl, kiln, async (tx) => {
    const first = async (table: string, column = "client_id", of = ruben) =>
      (await tx(table).where(column, of).first("id"))?.id as string | undefined;
    const visitId = (
      await tx("visit").where({ client_id: ruben }).whereNot("status", "closed").orderBy("ordinal").first("id")
    ).id as string;
    const photo = await tx("photo as p")
      .join("visit as v", "v.id", "p.visit_id")
      .where("v.client_id", ruben)
      .first("p.id");
    return {
      clientId: ruben,
      visitId,
      restriction: await first("restriction"),
      measure: await first("own_measure"),
      entry: await first("history_version"),
      photoId: photo?.id as string | undefined,
    } as Record<string, string | undefined>;
  });
  const id = (name: string) => own[name] ?? ids[name]?.[0] ?? randomUUID();
  const acts = addresses().flatMap((pattern) => {
    const path = pattern.replace(/:(\w+)/g, (_, name: string) => (name === "item" ? "0" : id(name)));
    // signing out would end the probe
    if (path === "/account" || path.startsWith("/sign-in")) return [];
    const raw = /\/(events|photos\/|table\/)/.test(path);
    return bodiesFor(path, id).map((body) => ({ path: path === "/" || raw ? path : `${path}.data`, body }));
  });
  const at = new Date().toISOString();
  const [clientId, visitId] = [id("clientId"), id("visitId")];
  const fresh = () => randomUUID();
  return [
    ...acts,
    { path: "/clients/new.data", body: { id: fresh(), name: "A Client", pressureCeiling: 5 } },
    {
      path: `/clients/${clientId}/intake.data`,
      body: {
        intent: "tell",
        entryId: fresh(),
        versionId: fresh(),
        after: null,
        what: "osteoporosis",
        condition: "osteoporosis",
        kind: "condition",
      },
    },
    {
      path: `/clients/${clientId}/intake/scales.data`,
      body: { intent: "add", id: fresh(), kind: "pain", name: "Low back" },
    },
    {
      path: `/clients/${clientId}/table/${visitId}`,
      body: [
        {
          id: fresh(),
          at,
          kind: "range",
          body: { moment: "before", movement: "hip-in", side: "L", drive: "passive", values: [30] },
        },
        {
          id: fresh(),
          at,
          kind: "answer",
          body: { moment: "before", check: "ankle-bones", side: null, way: "hand", value: 1 },
        },
      ],
    },
    { path: "/account.data", body: { intent: "dim", dim: "true" } },
    { path: "/practice.data", body: { bookedMinutes: 60 } },
  ];
}
