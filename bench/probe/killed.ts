import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { end, family, pause, post, ruben, serve, signIn, type OwnCluster, type Running } from "../server";
import { kiln, within } from "./practices";

export type Killed = { rounds: number; confirmed: number; lost: string[]; doubled: string[] };

/** Kills the postmaster, as a machine that runs out of memory does: what it had started ends by itself. */
const killPostgres = (cluster: OwnCluster) =>
  process.kill(Number(readFileSync(`${cluster.data}/postmaster.pid`, "utf8").split("\n")[0]), "SIGKILL");

/**
 * Kills the server with SIGKILL again and again while four writers work on: what was confirmed is there afterwards, and
 * there once. Writers send again under the same ids what was not confirmed, as the pages do.
 */
export async function killed(
  url: (role: "owner" | "app") => string,
  rounds: number,
  /** Its server and the worker are killed in turn with ours, where given. */
  cluster?: OwnCluster,
): Promise<Killed> {
  const env = { APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" };
  let server: Running = await serve(env);
  const { base, port } = server;
  const cookie = await signIn(base);
  const visitId = await within(url("app"), kiln, async (tx) => {
    const [visit] = await tx("visit").where({ client_id: ruben, status: "open" });
    const found =
      visit ?? (await tx("visit").where({ client_id: ruben, status: "planned" }).orderBy("ordinal").first());
    // a session that runs: notes belong to one
    await tx("session_event").insert({
      id: randomUUID(),
      visit_id: found.id,
      at: new Date().toISOString(),
      kind: "started",
      body: JSON.stringify({
        steps: [{ technique: "neck-sway", side: "mid", position: null, planned: 60, passes: 1 }],
      }),
    });
    return found.id as string;
  });
  const confirmed = new Map<string, string>();
  const sent: string[] = [];
  let over = false;
  const writer = async (which: number) => {
    while (!over) {
      const id = randomUUID();
      const text = `${which} ${sent.length}`;
      sent.push(id);
      const event = { id, at: new Date().toISOString(), kind: "note", body: { step: 0, text } };
      for (;;) {
        const answer = await post(base, `/run/${visitId}/events`, cookie, [event]).catch(() => undefined);
        const body = (await answer?.json().catch(() => undefined)) as { stored?: string[] } | undefined;
        if (body?.stored?.includes(id)) {
          confirmed.set(id, text);
          break;
        }
        if (over) break;
        await pause(20);
      }
    }
  };
  const writers = [0, 1, 2, 3].map(writer);
  for (let round = 0; round < rounds; round++) {
    await pause((cluster ? 900 : 150) + Math.floor(Math.random() * 400));
    const which = cluster ? round % 3 : 0;
    if (which === 0) {
      await end(server, "SIGKILL");
      server = await serve({ APP_DATABASE_URL: url("app") }, port);
    } else if (which === 1) killPostgres(cluster!);
    else for (const worker of family(server.pid).slice(1)) process.kill(worker, "SIGKILL");
    // what the dead one had started is still ending: until then it cannot be started again, or seems to run
    for (let again = 0; which === 1; again++) {
      const state = await cluster!.start({ samePort: true }).catch((error: unknown) => {
        if (again > 120) throw error;
        return "not yet";
      });
      if (state === undefined) break;
      await pause(250);
    }
  }
  over = true;
  await Promise.all(writers);
  await end(server);
  const rows = await within(url("app"), kiln, (tx) => tx("session_event").where({ visit_id: visitId, kind: "note" }));
  const there = new Map<string, number>();
  for (const row of rows) there.set(row.id, (there.get(row.id) ?? 0) + 1);
  const texts = new Map<string, number>();
  for (const row of rows) texts.set(row.body.text, (texts.get(row.body.text) ?? 0) + 1);
  return {
    rounds,
    confirmed: confirmed.size,
    lost: [...confirmed.keys()].filter((id) => !there.has(id)),
    doubled: [...confirmed.values()].filter((text) => (texts.get(text) ?? 0) > 1),
  };
}
