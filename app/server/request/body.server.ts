import { unstorable } from "~app/storable";

/** A body of which nothing more comes for so long is given up; a long one has to come at least so fast by then (bytes a second). */
const silentSeconds = 15;
const slowest = 8 * 1024;

/** What may be sent: how much of it, and for how long it may take to arrive. The longest first address that fits counts. */
const rules: { path: RegExp; most: number; seconds: number; what?: string }[] = [
  { path: /^\/clients\/[^/]+\/photos\/upload$/, most: 25 * 1024 * 1024, seconds: 180, what: "The file" },
  { path: /^\/(run\/[^/]+\/events|clients\/[^/]+\/table\/[^/]+)$/, most: 1024 * 1024, seconds: 30 },
  { path: /^\/library\/import$/, most: 2 * 1024 * 1024, seconds: 30, what: "The file" },
  { path: /^\/sign-in(\/again)?$/, most: 8 * 1024, seconds: 15 },
  { path: /./, most: 256 * 1024, seconds: 30 },
];

const spoken = (bytes: number) => (bytes >= 1048576 ? `${bytes / 1048576} MB` : `${bytes / 1024} kB`);

const refuse = (status: number, error: string) => Response.json({ error }, { status });

/**
 * The body of a request, read whole and parsed. Actions get it from their session: it was read within its limits while
 * no connection was held.
 */
export class Body {
  constructor(
    private readonly type: string,
    readonly bytes: Buffer,
    private readonly parsed: unknown,
  ) {}

  /** A JSON value of any shape, for what is judged piece by piece; anything else is answered 415. */
  get json(): unknown {
    if (this.type !== "application/json")
      throw refuse(415, "This address takes JSON: send it as application/json. Nothing was stored.");
    return this.parsed;
  }

  /** A JSON list of at most `most` items of any shape, for what is judged item by item. */
  list(most: number): unknown[] {
    const value = this.json;
    if (!Array.isArray(value)) throw refuse(400, "A list is needed. Nothing was stored.");
    if (value.length > most) throw refuse(413, `At most ${most} at a time, got ${value.length}. Nothing was stored.`);
    return value as unknown[];
  }

  /** The fields of a form or of a JSON object. */
  get fields(): Record<string, unknown> {
    const value = this.type === "application/x-www-form-urlencoded" ? this.parsed : this.json;
    if (typeof value !== "object" || value === null || Array.isArray(value))
      throw refuse(400, "A JSON object with named fields is needed. Nothing was stored.");
    const fault = unstorable(value);
    if (fault) throw refuse(400, `${fault} Nothing was stored.`);
    return value as Record<string, unknown>;
  }
}

function parse(type: string, bytes: Buffer): unknown {
  if (type === "application/x-www-form-urlencoded")
    return Object.fromEntries(new URLSearchParams(bytes.toString("utf8")));
  if (type !== "application/json") return undefined;
  try {
    return JSON.parse(bytes.toString("utf8"));
  } catch {
    throw refuse(400, "This is not well-formed JSON. Nothing was stored.");
  }
}

/** What `reading` brings within so many seconds; "late" where it does not come, "broken" where the line was cut. */
async function inTime<T>(reading: Promise<T>, seconds: number): Promise<T | "late" | "broken"> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<"late">((resolve) => (timer = setTimeout(resolve, Math.max(0, seconds) * 1000, "late")));
  try {
    return await Promise.race([reading.catch(() => "broken" as const), late]);
  } finally {
    clearTimeout(timer);
  }
}

/** Reads a body up to its limit and no further; what is too large, too slow or cut off is answered 413, 408 or 400. */
export async function readBody(request: Request): Promise<Body> {
  const path = new URL(request.url).pathname.replace(/\.data$/, "");
  const { most, seconds, what = "What was sent" } = rules.find((rule) => rule.path.test(path))!;
  const type = (request.headers.get("content-type") ?? "").split(";")[0]!.trim().toLowerCase();
  const told = request.headers.get("content-length");
  const large = () => refuse(413, `${what} is larger than ${spoken(most)}. Nothing was stored.`);
  if (Number(told ?? 0) > most) throw large();
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  if (reader) {
    const began = performance.now();
    try {
      for (;;) {
        const waited = (performance.now() - began) / 1000;
        const crawls = waited > silentSeconds && size < slowest * (waited - silentSeconds);
        const next = crawls ? "late" : await inTime(reader.read(), Math.min(silentSeconds, seconds - waited));
        if (next === "late") throw refuse(408, "It took too long to arrive. Nothing was stored; send it again.");
        if (next === "broken" || next.done) break;
        size += next.value.length;
        if (size > most) throw large();
        chunks.push(next.value);
      }
    } finally {
      reader.releaseLock();
    }
  }
  if (told !== null && size < Number(told))
    throw refuse(
      400,
      `${what} was cut off after ${Math.round(size / 1024)} of ${Math.round(Number(told) / 1024)} kB. Nothing was stored.`,
    );
  const bytes = Buffer.concat(chunks);
  return new Body(type, bytes, parse(type, bytes));
}
