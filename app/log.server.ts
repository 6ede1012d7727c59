import pino from "pino";

/** Structured log to standard output. Never pass it names, e-mails, notes or request bodies. */
export const log = pino({ level: process.env.LOG_LEVEL ?? "info", base: null });
