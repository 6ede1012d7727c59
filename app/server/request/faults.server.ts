import { Busy } from "~data/concurrency-limiter";
import { NotFound, Stale, Taken } from "~data/errors";
import { NotStored } from "~data/transaction";

/** Seconds after which somebody who was told "not now" may ask again. */
export const retryAfter = 5;

const unreachable = new Set([
  "ECONNREFUSED",
  "ECONNRESET",
  "ETIMEDOUT",
  "EPIPE",
  // shut down, crashed, starting; connection lost; too many connections; database closed to us
  "57P01",
  "57P02",
  "57P03",
  "08000",
  "08003",
  "08006",
  "53300",
  "55000",
  "3D000",
  // a statement, a lock or a silent transaction took too long; two that waited for each other
  "57014",
  "55P03",
  "25P03",
  "40001",
  "40P01",
]);

const codeOf = (error: unknown) => (error instanceof Error && "code" in error ? String(error.code) : "");

/** The database's disk is full, or the server's own. */
const full = new Set(["53100", "58030", "ENOSPC", "EDQUOT"]);

/** The database is away, or did not answer in time. */
export const isUnreachable = (error: unknown): boolean =>
  unreachable.has(codeOf(error)) ||
  (error instanceof Error && (error.name === "KnexTimeoutError" || error.name === "AggregateError")) ||
  /Connection terminated|not queryable|Query read timeout|timeout exceeded when trying to connect/.test(String(error));

/**
 * What a fault is answered with, or undefined for one of our own. Nothing of what was sent is repeated: database messages
 * can quote it.
 */
export function answerTo(error: unknown): Response | undefined {
  if (error instanceof NotFound) return new Response("Not found", { status: 404, statusText: error.what });
  if (error instanceof Stale) return new Response(error.message, { status: 409, statusText: "Changed elsewhere" });
  if (error instanceof Taken) return Response.json({ error: error.message }, { status: 409 });
  if (error instanceof Busy)
    return Response.json({ error: "Too much is waiting at the moment. Try again in a few seconds." }, { status: 503 });
  if (full.has(codeOf(error)))
    return Response.json(
      { error: "The server’s disk is full. Nothing was stored; free some space and send it again." },
      { status: 507 },
    );
  if (error instanceof NotStored)
    return Response.json({ error: "Nothing was stored. Send it again." }, { status: 503 });
  if (isUnreachable(error)) return new Response("The database does not answer", { status: 503 });
  const code = codeOf(error);
  // text that is no id, no day, no number or no character PostgreSQL stores
  if (/^(22P02|22P05|22007|22008|22003|22021)$/.test(code))
    return Response.json({ error: "A value that was sent is not of the kind that is needed." }, { status: 400 });
  if (code === "23503") return new Response("Not found", { status: 404, statusText: "what this belongs to" });
  if (code === "23505") return Response.json({ error: "This is there already." }, { status: 409 });
  if (code === "23514" || code === "23502")
    return Response.json({ error: "A value that was sent is outside what may be stored." }, { status: 422 });
  return undefined;
}

/** Runs `work`; what it throws becomes an answer where there is one. */
export async function answering<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw answerTo(error) ?? error;
  }
}
