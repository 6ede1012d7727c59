import { randomBytes } from "node:crypto";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import { RouterContextProvider } from "react-router";
import { nonceContext } from "./nonce";
import { log } from "./log.server";
import { database } from "./database.server";

export { prepare } from "./prepare.server";
export { closeDatabase } from "./database.server";

const production = process.env.NODE_ENV === "production";

/** The whole application as one express app; `scripts/serve.mjs` listens with it. */
export const app = express();
app.disable("x-powered-by");
app.set("trust proxy", process.env.TRUST_PROXY ?? false);

app.get("/livez", (_request, response) => void response.type("text").send("alive"));
app.get("/readyz", async (_request, response) => {
  try {
    await database().raw("select 1");
    response.type("text").send("ready");
  } catch {
    response.status(503).type("text").send("database unreachable");
  }
});
/** A bare JSON answer, so that `npm run bench` can compare pages with it in one run. */
app.get("/bench/bare", (_request, response) => void response.json({ ok: true }));

app.use(compression());
if (production) {
  app.use("/assets", express.static("build/client/assets", { immutable: true, maxAge: "1y" }));
  app.use(express.static("build/client", { maxAge: "1h", index: false }));
}

app.use((request, response, next) => {
  // Throttling counts by address; only we may say which one it is.
  request.headers["x-client-address"] = request.ip ?? "unknown";
  const nonce = randomBytes(16).toString("base64");
  response.locals.nonce = nonce;
  response.setHeader("X-Content-Type-Options", "nosniff");
  response.setHeader("X-Frame-Options", "DENY");
  response.setHeader("Referrer-Policy", "same-origin");
  response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
  response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
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
  const started = performance.now();
  response.on("finish", () => {
    // Ids are enough to follow a fault; names, search words and bodies stay out of the log.
    const path = request.path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, ":id");
    log.info({
      method: request.method,
      path,
      status: response.statusCode,
      ms: Math.round(performance.now() - started),
    });
  });
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
    build: () => import("virtual:react-router/server-build"),
    mode: process.env.NODE_ENV,
    getLoadContext: (_request, response) => {
      const context = new RouterContextProvider();
      context.set(nonceContext, String(response.locals.nonce ?? ""));
      return context;
    },
  }),
);
