import { enterSession, type Entered } from "~data/practitioners";
import { database } from "./database.server";

/** Opens the transaction of whoever carries `token`; undefined, and nothing left open, where their session is over. */
export async function enter(token: string): Promise<Entered | undefined> {
  const trx = await database().transaction();
  try {
    const entered = await enterSession(trx, token);
    if (!entered) await trx.rollback();
    return entered;
  } catch (error) {
    await trx.rollback().catch(() => undefined);
    throw error;
  }
}
