import { randomBytes, randomUUID } from "node:crypto";
import { readdirSync } from "node:fs";
import { monitorEventLoopDelay } from "node:perf_hooks";
import { setFlagsFromString } from "node:v8";
import { runInNewContext } from "node:vm";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type ErrorRequestHandler } from "express";
import { RouterContextProvider } from "react-router";
import { getClient } from "~data/clients";
import { commit } from "~data/transaction";
import { nonceContext } from "./nonce";
import { retryAfter } from "~app/server/request/faults.server";
import { log, withoutWords } from "~app/server/request/log.server";
import { closePool } from "~app/server/request/database.server";
import { enter } from "~app/server/request/enter.server";
import { closeReady, isDraining, isReady } from "~app/server/request/ready.server";
import { overTls } from "~app/server/request/session.server";
import { requestContext, type RequestNotes } from "~app/server/request/request.server";
import { trustedProxies } from "~app/server/request/trusted-proxies";

export { prepare } from "~app/server/request/prepare.server";
export { addPractitioner } from "~app/server/request/new-practice.server";
export { drain } from "~app/server/request/ready.server";
export const closeDatabase = async (): Promise<void> => {
  await Promise.all([closePool(), closeReady()]);
};

const production = process.env.NODE_ENV === "production";

/** The whole application as one express app; `scripts/lib/serve.mjs` listens with it and ends it. */
export const app = express();
app.disable("x-powered-by");
app.set("trust proxy", trustedProxies(process.env.TRUST_PROXY));

/** Whether a proxy has been seen: said once. */
let proxied = false;

app.use((request, response, next) => {
  const notes: RequestNotes = { id: randomUUID(), address: request.ip ?? "unknown" };
  response.locals.notes = notes;
  response.setHeader("X-Request-Id", notes.id);
  // on everything that leaves here, static files included
  response.setHeader("X-Content-Type-Options", "nosniff");
  response.setHeader("Referrer-Policy", "same-origin");
  response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
  const forwarded = request.get("x-forwarded-proto");
  if (overTls(request.protocol, forwarded)) response.setHeader("Strict-Transport-Security", "max-age=31536000");
  if (!proxied && forwarded) {
    proxied = true;
    if (!process.env.TRUST_PROXY)
      log.warn("a proxy stands before this process and TRUST_PROXY is unset: everybody counts as one address");
  }
  // whatever answers 503, in whichever layer, says when to come again
  const writeHead = response.writeHead.bind(response) as (...all: unknown[]) => typeof response;
  response.writeHead = ((...all: unknown[]) => {
    const status = typeof all[0] === "number" ? all[0] : response.statusCode;
    if (status === 503 && !response.hasHeader("Retry-After")) response.setHeader("Retry-After", String(retryAfter));
    return writeHead(...all);
  }) as typeof response.writeHead;
  // a balancer's connections end with the answers they are waiting for
  if (isDraining()) response.setHeader("Connection", "close");
  const started = performance.now();
  response.on("finish", () => {
    // A body that was refused is thrown away for as long as the answer needs to arrive, then the line is cut.
    if (!request.complete) {
      request.removeAllListeners("data");
      request.resume();
      setTimeout(() => request.complete || request.socket.destroy(), 3000).unref();
    }
    if (request.path === "/livez" || request.path === "/readyz" || request.path.startsWith("/assets/")) return;
    // Ids are enough to follow a fault; names, search words and bodies stay out of the log.
    const path = request.path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, ":id");
    log.info({
      id: notes.id,
      user: notes.user,
      method: request.method,
      path: path.length > 200 ? `${path.slice(0, 200)}…` : path,
      status: response.statusCode,
      ms: Math.round(performance.now() - started),
    });
  });
  next();
});

app.get("/livez", (_request, response) => void response.type("text").send("alive"));
app.get("/readyz", async (_request, response) => {
  const ready = await isReady();
  response
    .status(ready ? 200 : 503)
    .type("text")
    .send(ready ? "ready" : "not ready");
});
// For `npm run bench` and `npm run probe`, and nowhere else: a bare answer to compare pages with, and how long the event
// loop was held up since it was last asked (ms).
if (process.env.EMBER_BENCH === "1") {
  const delay = monitorEventLoopDelay({ resolution: 5 });
  delay.enable();
  app.get("/bench/bare", (_request, response) => void response.json({ ok: true }));
  // what any page has to do at least: find the session, open the practice's transaction, read one row
  app.get("/bench/peer/:clientId", async (request, response) => {
    const token = /ember_session=([\w-]+)/.exec(request.headers.cookie ?? "")?.[1];
    const entered = token ? await enter(token) : undefined;
    if (!entered) return void response.status(401).end();
    const { name } = await getClient(entered.tx, request.params.clientId);
    await commit(entered.tx);
    response.json({ name });
  });
  setFlagsFromString("--expose-gc");
  const collect = runInNewContext("gc") as () => void;
  app.get("/bench/loop", (request, response) => {
    if (request.query.collect) collect();
    response.json({ p99: delay.percentile(99) / 1e6, max: delay.max / 1e6, memory: process.memoryUsage() });
    delay.reset();
  });
}

app.use(compression());
if (production) {
  app.use("/assets", express.static("build/client/assets", { immutable: true, maxAge: "1y" }));
  // only what is there by that name: no page waits while the disk is asked for a file of its address
  const others = readdirSync("build/client").filter((name) => name !== "assets");
  app.get(
    others.flatMap((name) => [`/${name}`, `/${name}/*within`]),
    express.static("build/client", { maxAge: "1h", index: false }),
  );
}

app.use((_request, response, next) => {
  const nonce = randomBytes(16).toString("base64");
  response.locals.nonce = nonce;
  response.setHeader("X-Frame-Options", "DENY");
  response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
  response.setHeader("Permissions-Policy", "camera=(self), microphone=(), geolocation=()");
  response.setHeader("Cache-Control", "private, no-store");
  if (production)
    response.setHeader(
      "Content-Security-Policy",
      [
        "default-src 'self'",
        `script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'`,
        `style-src 'self' 'nonce-${nonce}'`,
        "style-src-attr 'unsafe-inline'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self' blob:",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ].join("; "),
    );
  next();
});

/** Every request that changes something must come from our own pages. */
app.use((request, response, next) => {
  if (request.method === "GET" || request.method === "HEAD") return next();
  const site = request.get("sec-fetch-site");
  const origin = request.get("origin");
  const own = `${request.protocol}://${request.get("host")}`;
  if (site ? site === "same-origin" : origin === own) return next();
  response.status(403).type("text").send("This request did not come from Ember Path's own pages.");
});

app.use(
  createRequestHandler({
    // handed over as it is: a function would have the routes' tree made anew for every request
    build: production
      ? await import("virtual:react-router/server-build")
      : () => import("virtual:react-router/server-build"),
    mode: process.env.NODE_ENV,
    getLoadContext: (_request, response) => {
      const context = new RouterContextProvider();
      context.set(nonceContext, String(response.locals.nonce ?? ""));
      context.set(requestContext, response.locals.notes as RequestNotes);
      return context;
    },
  }),
);

/** What no page answered: an address or a host that is none, or a fault of ours. */
const last: ErrorRequestHandler = (error, _request, response, next) => {
  if (response.headersSent) return next(error);
  const theirs = error instanceof URIError || (error as { code?: string }).code === "ERR_INVALID_URL";
  if (!theirs) log.error({ id: (response.locals.notes as RequestNotes).id, ...withoutWords(error) }, "request failed");
  response
    .status(theirs ? 400 : 500)
    .type("text")
    .send(theirs ? "This address cannot be read." : "Something went wrong here. Nothing was stored.");
};
app.use(last);
