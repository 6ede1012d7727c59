import { execFileSync, spawn } from "node:child_process";
import { randomUUID } from "node:crypto";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { request } from "node:https";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { questions } from "../../core/screening/questions";
import { kiln, within } from "./practices";
import { end, freePort, pause, serve } from "../server";

export const haproxy = ["/usr/sbin/haproxy", "/usr/bin/haproxy"].find((path) => existsSync(path));

/** What every haproxy of ours has: no request is tried again that a process may have begun to answer. */
export const common = `global
  maxconn 500
defaults
  mode http
  timeout connect 2s
  timeout check 3s
  timeout client 240s
  timeout server 240s
  option redispatch
  retries 3
  retry-on conn-failure
`;

/** A TLS proxy before several processes: certificate, checks of readiness, addresses told onward. As in the README. */
const config = (port: number, pem: string, servers: readonly number[]) => `
${common}frontend tls
  bind 127.0.0.1:${port} ssl crt ${pem}
  http-request set-header X-Forwarded-Proto https
  option forwardfor
  default_backend ember
backend ember
  balance roundrobin
  option httpchk GET /readyz
  default-server inter 300 fall 1 rise 1
${servers.map((each) => `  server p${each} 127.0.0.1:${each} check`).join("\n")}
`;

type Answer = { status: number; headers: Record<string, string | string[] | undefined>; text: string };

function ask(
  port: number,
  ca: Buffer,
  path: string,
  options: { method?: string; headers?: object; body?: string | Buffer } = {},
) {
  return new Promise<Answer>((resolve, reject) => {
    const { method = "GET", headers = {}, body } = options;
    const sent = request(
      {
        host: "127.0.0.1",
        port,
        path,
        method,
        ca,
        servername: "ember.test",
        headers: { Host: `ember.test:${port}`, ...headers },
      },
      (answer) => {
        const chunks: Buffer[] = [];
        answer.on("data", (chunk: Buffer) => chunks.push(chunk));
        answer.on("end", () =>
          resolve({ status: answer.statusCode!, headers: answer.headers, text: Buffer.concat(chunks).toString() }),
        );
        answer.on("error", reject);
      },
    );
    sent.on("error", reject);
    sent.end(body);
  });
}

export type Behind = {
  requests: number;
  failed: string[];
  secureCookie: boolean;
  hsts: boolean;
  foreignRefused: boolean;
  spoofedAddressIgnored: boolean;
  confirmed: number;
  stored: number;
  endedWith: (number | null)[];
};

/**
 * Two processes behind a TLS proxy: signs in, takes a picture, runs a session, all over HTTPS; under load one process
 * after the other is ended with SIGTERM and started anew. `failed`: every answer that was no success.
 */
export async function behindProxy(url: (role: "owner" | "app") => string, seconds: number): Promise<Behind> {
  if (!haproxy) throw new Error("haproxy is missing: apt-get install -y --no-install-recommends haproxy");
  const folder = mkdtempSync(join(tmpdir(), "ember-proxy-"));
  const [key, cert, pem] = ["key.pem", "cert.pem", "both.pem"].map((name) => join(folder, name)) as [
    string,
    string,
    string,
  ];
  execFileSync(
    "openssl",
    [
      "req",
      "-x509",
      "-newkey",
      "rsa:2048",
      "-nodes",
      "-days",
      "2",
      "-subj",
      "/CN=ember.test",
      "-addext",
      "subjectAltName=DNS:ember.test",
      "-keyout",
      key,
      "-out",
      cert,
    ],
    { stdio: "ignore" },
  );
  writeFileSync(pem, readFileSync(cert, "utf8") + readFileSync(key, "utf8"), { mode: 0o600 });
  const ca = readFileSync(cert);
  const env = { APP_DATABASE_URL: url("app"), TRUST_PROXY: "1", DRAIN_SECONDS: "1" };
  const servers = [await serve({ ...env, OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" }), await serve(env)];
  const port = await freePort();
  const file = join(folder, "haproxy.cfg");
  writeFileSync(
    file,
    config(
      port,
      pem,
      servers.map((each) => each.port),
    ),
  );
  const proxy = spawn(haproxy, ["-q", "-db", "-f", file], { stdio: "ignore" });
  const result: Behind = {
    requests: 0,
    failed: [],
    secureCookie: false,
    hsts: false,
    foreignRefused: false,
    spoofedAddressIgnored: false,
    confirmed: 0,
    stored: 0,
    endedWith: [],
  };
  const origin = `https://ember.test:${port}`;
  const go = async (path: string, cookie = "", body?: unknown, type = "application/json"): Promise<Answer> => {
    const headers = { Origin: origin, Cookie: cookie, ...(body === undefined ? {} : { "Content-Type": type }) };
    const sent = body === undefined || Buffer.isBuffer(body) || typeof body === "string" ? body : JSON.stringify(body);
    const asked = { method: body === undefined ? "GET" : "POST", headers, body: sent as string };
    result.requests++;
    const answer = await ask(port, ca, path, asked).catch((error: Error) => ({
      status: 0,
      headers: {},
      text: error.message,
    }));
    if (answer.status === 0 || answer.status >= 400)
      result.failed.push(`${path} ${answer.status} ${answer.text.slice(0, 80)}`);
    return answer;
  };
  try {
    for (let i = 0; i < 100 && (await ask(port, ca, "/readyz").catch(() => undefined))?.status !== 200; i++)
      await pause(100);
    const form = "application/x-www-form-urlencoded";
    const entered = await go("/sign-in", "", "email=odile%40kiln.example&password=slow+warm+hands", form);
    const set = entered.headers["set-cookie"] as string[];
    result.secureCookie = set.every((each) => /; Secure/.test(each));
    result.hsts = /max-age=\d{7,}/.test(String(entered.headers["strict-transport-security"]));
    const cookie = set.map((each) => each.split(";")[0]).join("; ");
    const foreign = await ask(port, ca, "/sign-in", {
      method: "POST",
      headers: { Origin: "https://elsewhere.example" },
      body: "",
    });
    result.foreignRefused = foreign.status === 403;

    // a client from nothing, made ready, with a picture
    const clientId = randomUUID();
    const home = `/clients/${clientId}`;
    await go("/clients/new.data", cookie, { id: clientId, name: "Behind Proxy", pressureCeiling: 5 });
    const visitId = await visitOf(url("app"), clientId);
    const answers = questions.map(({ key }) => ({ id: randomUUID(), question: key, answer: "no", seen: 0 }));
    await go(`${home}/intake/screening.data`, cookie, { visitId, answers });
    for (const subject of ["general", "photographs"])
      await go(`${home}/intake/consent.data`, cookie, {
        id: randomUUID(),
        visitId,
        subject,
        seen: 0,
        given: true,
        signedBy: "them",
      });
    const picture = await sharp({ create: { width: 900, height: 1200, channels: 3, background: "#9a8" } })
      .jpeg()
      .toBuffer();
    const shot = (view: string) =>
      `${home}/photos/upload?id=${randomUUID()}&visit=${visitId}&moment=before&view=${view}&stickLength=1000&cameraDistance=3000&cameraHeight=950`;
    await go(shot("front"), cookie, picture, "image/jpeg");

    // a session is started and written to while processes come and go
    const at = () => new Date().toISOString();
    const steps = [{ technique: "neck-sway", side: "mid", position: null, planned: 60, passes: 1 }];
    await go(`/run/${visitId}/events`, cookie, [{ id: randomUUID(), at: at(), kind: "started", body: { steps } }]);
    let over = false;
    const ids: string[] = [];
    const reader = async (path: string) => {
      while (!over) {
        await go(path, cookie);
        await pause(30);
      }
    };
    const writer = async () => {
      for (let i = 0; !over; i++) {
        const id = randomUUID();
        const answer = await go(`/run/${visitId}/events`, cookie, [
          { id, at: at(), kind: "note", body: { step: 0, text: String(i) } },
        ]);
        if (answer.status === 200) ids.push(id);
        await pause(25);
      }
    };
    const taker = async () => {
      while (!over) {
        await go(shot("back"), cookie, picture, "image/jpeg");
        await pause(100);
      }
    };
    const load = [reader("/clients"), reader(home), reader(`/run/${visitId}`), writer(), writer(), taker()];
    for (const [i, server] of servers.entries()) {
      await pause((seconds * 1000) / 4);
      result.endedWith.push(await end(server));
      servers[i] = await serve(env, server.port);
      await pause((seconds * 1000) / 4);
    }
    over = true;
    await Promise.all(load);
    result.confirmed = ids.length;
    result.stored = await stored(url("app"), visitId, ids);

    // who sits before the proxy cannot say where they are: every try counts for the one address they have
    const wrong = (from: string) =>
      ask(port, ca, "/sign-in", {
        method: "POST",
        headers: { Origin: origin, "Content-Type": form, "X-Forwarded-For": from },
        body: "email=nobody-here%40kiln.example&password=wrong",
      });
    for (let i = 0; i < 6; i++) await wrong(`203.0.113.${i}`);
    // the seventh waits, wherever it says it comes from
    const began = performance.now();
    await wrong("203.0.113.99");
    result.spoofedAddressIgnored = performance.now() - began > 2500;
  } finally {
    proxy.kill("SIGKILL");
    for (const server of servers) await end(server, "SIGKILL");
  }
  return result;
}

const visitOf = (appUrl: string, clientId: string) =>
  within(appUrl, kiln, async (tx) => (await tx("visit").where({ client_id: clientId }).first("id")).id as string);
const stored = (appUrl: string, visitId: string, ids: readonly string[]) =>
  within(
    appUrl,
    kiln,
    async (tx) => (await tx("session_event").where({ visit_id: visitId }).whereIn("id", ids)).length,
  );
