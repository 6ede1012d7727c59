import pino from "pino";

/** Structured log to standard output. Never pass it names, e-mails, notes or request bodies. */
export const log = pino({ level: process.env.LOG_LEVEL ?? "info", base: null });

/**
 * A fault as it may be written down: its kind, its code and where it happened. Messages are left out: those of a database
 * or a parser quote what was sent.
 */
export function withoutWords(error: unknown): { name: string; code?: string; at?: string[] } {
  if (!(error instanceof Error)) return { name: typeof error };
  const at = (error.stack ?? "")
    .split("\n")
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 12)
    .map((line) => line.trim());
  return { name: error.name, ...("code" in error ? { code: String(error.code) } : {}), at };
}
