import { enterSession, type Entered } from "~data/practitioners";
import { begin, rollBack } from "~data/transaction";
import { database } from "./database.server";

/** Opens the transaction of whoever carries `token`; undefined, and nothing left open, where their session is over. */
export async function enter(token: string): Promise<Entered | undefined> {
  const trx = await begin(database());
  try {
    const entered = await enterSession(trx, token);
    if (!entered) await rollBack(trx);
    return entered;
  } catch (error) {
    await rollBack(trx);
    throw error;
  }
}
