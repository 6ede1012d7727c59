import { randomUUID } from "node:crypto";
import { behindProxy } from "./probe/proxy";
import { halfSent, hostileBodies, hostileFiles, meanwhile, sound } from "./probe/hostile";
import { failingCommits } from "./probe/commits";
import { killed } from "./probe/killed";
import { malformed } from "./probe/malformed";
import { kiln, secondPractice, within } from "./probe/practices";
import { reusedIds } from "./probe/reused-ids";
import { hostileImports, tabletsAtOnce } from "./probe/tablets";
import { leftRunning, markChildren } from "../scripts/lib/left-running.mjs";
import { report } from "./report";
import { end, memory, pause, post, ruben, serve, signIn, withCluster } from "./server";

const lines: string[] = [];
const faults: string[] = [];
const say = (title: string, rows: [figure: string, value: string, means: string][]) => {
  lines.push("", `## ${title}`, "", "| figure | value | what it means |", "| --- | --- | --- |");
  for (const [figure, value, means] of rows) lines.push(`| ${figure} | ${value} | ${means} |`);
};
const none = (list: readonly string[], what: string) => {
  for (const each of list.slice(0, 10)) faults.push(`${what}: ${each}`);
  return String(list.length);
};
const ms = (value: number) => `${Math.round(value)} ms`;
const asked = process.argv.slice(2);
const wants = (part: string) => asked.length === 0 || asked.includes(part);

async function main() {
  const mark = markChildren();
  if (wants("walls") || wants("hostile") || wants("tablets"))
    await withCluster(async (url) => {
      const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
      const { base, pid } = server;
      try {
        if (wants("walls")) {
          const walls = await reusedIds(base, url("app"));
          say("Another practice that knows every id", [
            [
              "requests",
              String(walls.requests),
              "pages, data requests and forms of a second practice with the first one's ids, then with its own rows under the same ids",
            ],
            [
              "leaks",
              none(walls.leaks, "leak"),
              "answers that held a name or figure of the first practice, or that took a form about its rows",
            ],
            ["tables changed", none(walls.changed, "changed"), "tables of the first practice that are not as before"],
            [
              "readings changed",
              none(walls.readings, "readings"),
              "pages of figures that show the first practice something else than before",
            ],
          ]);
        }
        const other = wants("hostile") || wants("tablets") ? await secondPractice(url("app")) : undefined;
        if (other && wants("tablets")) {
          const [stranger, mine] = [await signIn(base, other.email, other.password), await signIn(base)];
          const [imports, beside] = await meanwhile(base, mine, () => hostileImports(base, stranger));
          const client = randomUUID();
          await post(base, "/clients/new.data", stranger, { id: client, name: "A Client", pressureCeiling: 5 });
          const visit = await within(
            url("app"),
            other.id,
            async (tx) => (await tx("visit").where({ client_id: client }).first("id")).id as string,
          );
          const [tablets, meanwhileThere] = await meanwhile(base, mine, () =>
            tabletsAtOnce(base, url("app"), other, { clientId: client, visitId: visit }, 20),
          );
          const counts = (of: Record<string, number>) =>
            Object.entries(of)
              .map(([status, n]) => `${n} × ${status}`)
              .join(", ");
          say("Files of techniques that are none, and twenty tablets", [
            [
              "files of another practice",
              counts(imports),
              "twelve at once: empty techniques by the ten thousand, no JSON, deep",
            ],
            [
              "a colleague's page meanwhile, p95",
              ms(beside.p95),
              `${beside.requests} requests, ${beside.failed} failed`,
            ],
            ["wrong passwords on twenty tablets", counts(tablets.wrong), "all at once, three times"],
            ["the right one on each", counts(tablets.right), `all let in after ${ms(tablets.slowestMs)}`],
            [
              "a colleague's page meanwhile, p95",
              ms(meanwhileThere.p95),
              `${meanwhileThere.requests} requests, ${meanwhileThere.failed} failed`,
            ],
          ]);
          if (beside.p95 > 500 || meanwhileThere.p95 > 500) faults.push("a colleague waited more than half a second");
          if (beside.failed + meanwhileThere.failed > 0) faults.push("a colleague was not answered");
          if (Object.keys(tablets.right).some((status) => Number(status) >= 400))
            faults.push(`right passwords shut out: ${counts(tablets.right)}`);
          for (const status of Object.keys(imports))
            if (Number(status) >= 500 && status !== "503") faults.push(`import answered ${status}`);
        }
        if (other && wants("hostile")) {
          const [stranger, mine] = [await signIn(base, other.email, other.password), await signIn(base)];
          const visitId = await within(
            url("app"),
            kiln,
            async (tx) => (await tx("visit").where({ client_id: ruben, status: "planned" }).first("id")).id as string,
          );
          await signIn(base);
          const quiet = (await meanwhile(base, mine, () => pause(3000)))[1];
          const half = (await halfSent(base, stranger, 60, () => meanwhile(base, mine, () => pause(6000))))[1];
          say("Sixty requests that never end", [
            [
              "a colleague's page, p95, nobody else there",
              ms(quiet.p95),
              "the clients list, asked for again and again",
            ],
            ["the same meanwhile", ms(half.p95), `${half.requests} requests while sixty bodies stand half sent`],
            [
              "failed",
              none(half.failed ? [`${half.failed} requests`] : [], "half sent"),
              "requests of the colleague that were not answered with the page",
            ],
          ]);
          const [bodies, during] = await meanwhile(base, mine, () => hostileBodies(base, mine, visitId));
          say("Bodies that no page sends", [
            [
              "requests",
              String(bodies.requests),
              Object.entries(bodies.statuses)
                .map(([status, n]) => `${n} × ${status}`)
                .join(", "),
            ],
            ["answered as a fault of ours", none(bodies.faults, "body"), "500 and over, other than “not now” (503)"],
            [
              "event loop, p99 and longest delay",
              `${ms(bodies.loop.p99)}, ${ms(bodies.loop.max)}`,
              "how long anything else had to wait for the process",
            ],
            ["a colleague's page, p95", ms(during.p95), `${during.requests} requests, ${during.failed} failed`],
          ]);
          if (bodies.loop.p99 > 100) faults.push(`event loop p99 ${bodies.loop.p99} ms`);
          if (during.p95 > 1000 || half.p95 > 1000) faults.push("a colleague waited more than a second");
          const target = { clientId: randomUUID(), visitId: "" };
          await post(base, "/clients/new.data", stranger, {
            id: target.clientId,
            name: "A Client",
            pressureCeiling: 5,
          });
          target.visitId = await within(
            url("app"),
            other.id,
            async (tx) => (await tx("visit").where({ client_id: target.clientId }).first("id")).id as string,
          );
          await post(base, `/clients/${target.clientId}/intake/consent.data`, stranger, {
            id: randomUUID(),
            visitId: target.visitId,
            subject: "photographs",
            seen: 0,
            given: true,
            signedBy: "them",
          });
          const idle = memory(pid);
          const [files, beside] = await meanwhile(base, mine, () =>
            hostileFiles(base, [stranger], target, pid, "whole"),
          );
          const wrong = files.stored.filter((name) => !Object.values(sound).includes(name));
          say("Files that are no pictures, or dear ones", [
            [
              "sent",
              String(files.sent),
              Object.entries(files.statuses)
                .map(([status, n]) => `${n} × ${status}`)
                .join(", "),
            ],
            [
              "stored that should not be",
              none(wrong, "stored"),
              "everything but the two that are pictures within the limits",
            ],
            ["answered as a fault of ours", none(files.faults, "file"), "500 and over, other than “not now” (503)"],
            [
              "memory, before and at its highest",
              `${Math.round(idle.now)} MB, ${Math.round(files.peakMb)} MB`,
              "resident; ten pictures of 63 megapixels were sent at once, among others",
            ],
            ["a colleague's page, p95", ms(beside.p95), `${beside.requests} requests, ${beside.failed} failed`],
          ]);
          if (files.peakMb > 700) faults.push(`memory ${files.peakMb} MB`);
          if (beside.p95 > 1000 || beside.failed > 0)
            faults.push(`colleague beside files: p95 ${beside.p95}, ${beside.failed} failed`);
        }
      } finally {
        await end(server, "SIGKILL");
      }
    });
  if (wants("commits"))
    await withCluster(async (url) => {
      const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
      try {
        const cookie = await signIn(server.base);
        const found = await failingCommits(server.base, cookie, url("super"), url("app"));
        say("COMMIT fails, as on a full disk", [
          [
            "tables, requests",
            `${found.tables}, ${found.requests}`,
            "every write to them fails at COMMIT; what pages send, to every address",
          ],
          ["wrote something first", String(found.wrote), "requests whose COMMIT was refused"],
          ["answered as stored", none(found.answeredStored, "stored"), "a success, or rows that are there afterwards"],
        ]);
        const visit = await within(
          url("app"),
          kiln,
          async (tx) => (await tx("visit").where({ client_id: ruben }).first("id")).id as string,
        );
        const ids = {
          clientId: ruben,
          visitId: visit,
          photoId: randomUUID(),
          studyId: randomUUID(),
          handoverId: randomUUID(),
          item: "0",
        };
        const odd = await malformed(server.base, cookie, ids, 3000);
        say("Malformed requests", [
          [
            "requests",
            String(odd.requests),
            Object.entries(odd.statuses)
              .map(([status, n]) => `${n} × ${status}`)
              .join(", "),
          ],
          [
            "answered as a fault of ours",
            none(odd.faults, "malformed"),
            "500 and over, other than “not now” (503), or a cut line",
          ],
        ]);
      } finally {
        await end(server, "SIGKILL");
      }
    });
  if (wants("postgres"))
    await withCluster(async (url, cluster) => {
      const found = await killed(url, 30, cluster);
      say("kill -9 of server, worker and PostgreSQL in turn", [
        ["rounds", String(found.rounds), "each kills one of the three and starts it again while four writers go on"],
        ["confirmed writes", String(found.confirmed), "events the server said were stored"],
        ["lost", none(found.lost, "lost"), "confirmed, and not there afterwards"],
        ["doubled", none(found.doubled, "doubled"), "there more than once"],
      ]);
      if (found.confirmed < 1000) faults.push(`only ${found.confirmed} writes were confirmed`);
    });
  if (wants("killed"))
    await withCluster(async (url) => {
      const found = await killed(url, 40);
      say("kill -9", [
        ["rounds", String(found.rounds), "the server is killed and started again while four writers go on"],
        ["confirmed writes", String(found.confirmed), "events the server said were stored"],
        ["lost", none(found.lost, "lost"), "confirmed, and not there afterwards"],
        ["doubled", none(found.doubled, "doubled"), "there more than once"],
      ]);
    });
  if (wants("proxy"))
    await withCluster(async (url) => {
      const found = await behindProxy(url, 24);
      say("Two processes behind a TLS proxy (haproxy)", [
        [
          "requests",
          String(found.requests),
          "sign-in, client, consent, pictures, run and pages while each process is ended with SIGTERM once and started anew",
        ],
        ["failed", none(found.failed, "proxy"), "answers that were no success"],
        ["events confirmed, stored", `${found.confirmed}, ${found.stored}`, "written by two writers meanwhile"],
        ["ended with", found.endedWith.join(", "), "exit code of the two processes"],
        ["Secure cookies, HSTS", `${found.secureCookie}, ${found.hsts}`, "the server knows that TLS was used"],
        [
          "foreign origin refused, forged addresses ignored",
          `${found.foreignRefused}, ${found.spoofedAddressIgnored}`,
          "X-Forwarded-For of a stranger does not reset the throttle",
        ],
      ]);
      if (found.confirmed !== found.stored) faults.push("events lost behind the proxy");
      if (!found.secureCookie || !found.hsts || !found.foreignRefused || !found.spoofedAddressIgnored)
        faults.push("proxy headers");
    });
  for (const left of await leftRunning(mark)) faults.push(`still running: ${left}`);
  if (asked.length === 0) report("probe", "What strangers and accidents can do", lines);
  else console.log(lines.join("\n"));
  console.log(faults.length === 0 ? "\nNothing found." : `\n${faults.length} found:\n${faults.join("\n")}`);
  process.exit(faults.length === 0 ? 0 : 1);
}
main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
