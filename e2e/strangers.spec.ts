import { existsSync } from "node:fs";
import { randomUUID } from "node:crypto";
import { expect, test } from "@playwright/test";
import pg from "pg";
import { halfSent, hostileBodies, hostileFiles, meanwhile, sound } from "../bench/probe/hostile";
import { behindProxy, haproxy } from "../bench/probe/proxy";
import { killed } from "../bench/probe/killed";
import { kiln, secondPractice, within } from "../bench/probe/practices";
import { reusedIds } from "../bench/probe/reused-ids";
import { end, pause, post, ruben, serve, signIn } from "../bench/server";

/**
 * The probes of `npm run probe`, in small: what a second practice, hostile requests, kill -9 and a proxy do to servers of
 * this file's own, each on a database of its own. No browser is needed.
 */
test.describe.configure({ mode: "serial" });

async function withDatabase(work: (url: (role: "owner" | "app") => string) => Promise<void>) {
  const urls = JSON.parse(process.env.EMBER_TEST_CLUSTER!) as { super: string };
  const name = `probe_${randomUUID().slice(0, 8)}`;
  const admin = new pg.Client(urls.super);
  await admin.connect();
  await admin.query(`create database ${name} owner ember_owner`);
  const at = (url: string) => Object.assign(new URL(url), { pathname: `/${name}` }).href;
  try {
    await work((role) => at(role === "app" ? process.env.APP_DATABASE_URL! : process.env.OWNER_DATABASE_URL!));
  } finally {
    await admin.query(`drop database ${name} with (force)`);
    await admin.end();
  }
}

test("a second practice that knows every id reads nothing and changes nothing, under its own rows of the same ids either", async () => {
  await withDatabase(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      const found = await reusedIds(server.base, url("app"), 2);
      expect(found.requests).toBeGreaterThan(200);
      expect(found).toMatchObject({ leaks: [], changed: [], readings: [] });
    } finally {
      await end(server, "SIGKILL");
    }
  });
});

test("hostile bodies and files are refused with the right words, store nothing, and stop nobody", async () => {
  await withDatabase(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      const { base, pid } = server;
      const other = await secondPractice(url("app"));
      const [stranger, mine] = [await signIn(base, other.email, other.password), await signIn(base)];
      const visitId = await within(url("app"), kiln, async (tx) => {
        return (await tx("visit").where({ client_id: ruben, status: "planned" }).first("id")).id as string;
      });
      const [, half] = await halfSent(base, stranger, 30, () => meanwhile(base, mine, () => pause(2500)));
      expect(half.failed).toBe(0);
      // a busy machine answers few, but it answers
      expect(half.requests).toBeGreaterThan(0);
      const [bodies, beside] = await meanwhile(base, mine, () => hostileBodies(base, mine, visitId));
      expect(bodies.faults).toEqual([]);
      expect(beside.failed).toBe(0);
      const statuses = Object.keys(bodies.statuses);
      for (const status of ["400", "404", "413", "415", "422"]) expect(statuses).toContain(status);

      const client = randomUUID();
      await post(base, "/clients/new.data", stranger, { id: client, name: "A Client", pressureCeiling: 5 });
      const visit = await within(url("app"), other.id, async (tx) => (await tx("visit").first("id")).id as string);
      const consent = {
        id: randomUUID(),
        visitId: visit,
        subject: "photographs",
        given: true,
        seen: 0,
        signedBy: "them",
      };
      await post(base, `/clients/${client}/intake/consent.data`, stranger, consent);
      const [files, meantime] = await meanwhile(base, mine, () =>
        hostileFiles(base, [stranger], { clientId: client, visitId: visit }, pid, "small"),
      );
      expect(files.faults).toEqual([]);
      expect(files.stored.filter((name) => !Object.values(sound).includes(name))).toEqual([]);
      expect(files.statuses["503"]).toBeGreaterThan(0);
      expect(meantime.failed).toBe(0);

      // at the door: strangers who try passwords shut nobody out, who knows the right one waits at the most
      for (let i = 0; i < 6; i++) await signIn(base, "odile@kiln.example", "a guess", "").catch(() => undefined);
      expect(await signIn(base)).toContain("ember_session");
      expect(await signIn(base, undefined, undefined, mine)).toContain("ember_session");
    } finally {
      await end(server, "SIGKILL");
    }
  });
});

test("killed again and again, the server loses and doubles nothing it confirmed", async () => {
  await withDatabase(async (url) => {
    const found = await killed(url, 5);
    expect(found.confirmed).toBeGreaterThan(10);
    expect(found).toMatchObject({ lost: [], doubled: [] });
  });
});

test("behind a TLS proxy two processes end and begin under load, and no request fails", async () => {
  // npm test installs it; elsewhere the probe says how
  expect(existsSync(haproxy ?? "")).toBe(true);
  await withDatabase(async (url) => {
    const found = await behindProxy(url, 8);
    expect(found.failed).toEqual([]);
    expect(found.stored).toBe(found.confirmed);
    expect(found).toMatchObject({
      secureCookie: true,
      hsts: true,
      foreignRefused: true,
      spoofedAddressIgnored: true,
      endedWith: [0, 0],
    });
  });
});
