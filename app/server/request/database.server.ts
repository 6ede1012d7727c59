import type { Knex } from "knex";
import { connect } from "~data/database";

let shared: Knex | undefined;

/** The application role's connection pool. `APP_DATABASE_URL` is set by whatever starts the server. */
export function database(): Knex {
  const url = process.env.APP_DATABASE_URL;
  if (!url) throw new Error("APP_DATABASE_URL is not set: start the server with npm run demo or npm run dev");
  return (shared ??= connect(url));
}

export async function closePool(): Promise<void> {
  await shared?.destroy();
  shared = undefined;
}
