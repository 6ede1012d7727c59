import { connect } from "~data/database";
import type { Knex } from "knex";

const within = 1500;
let own: Knex | undefined;
let draining = false;

/** From now on this process says that it is not ready: a balancer sends it nothing new while it ends. */
export const drain = (): void => void (draining = true);
export const isDraining = (): boolean => draining;

/**
 * Whether the database answers, asked on a connection of its own and answered within two seconds whatever happens: a
 * pool that is busy says nothing about readiness, and a question that hangs is an answer.
 */
export async function isReady(): Promise<boolean> {
  if (draining) return false;
  own ??= connect(process.env.APP_DATABASE_URL!, 1, { within });
  const asked = own.raw("select 1").then(
    () => true,
    () => false,
  );
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<false>((resolve) => (timer = setTimeout(resolve, within + 200, false)));
  return Promise.race([asked, late]).finally(() => clearTimeout(timer));
}

export async function closeReady(): Promise<void> {
  await own?.destroy();
  own = undefined;
}
