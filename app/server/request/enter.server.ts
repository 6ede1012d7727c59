import { bind, prove, type Tx } from "~data/database";
import { handoverOfSession, type Handover } from "~data/handovers";
import { practitionerOfToken, proofOfToken, type Practitioner } from "~data/practitioners";
import { database } from "./database.server";

/** Who carries a session's token, in a transaction that sees their practice and no other. */
export type Entered = { tx: Tx; practitioner: Practitioner; handover: Handover | undefined };

/** Opens the transaction of whoever carries `token`; undefined, and nothing left open, where their session is over. */
export async function enter(token: string): Promise<Entered | undefined> {
  const trx = await database().transaction();
  try {
    await prove(trx, "app.session_hash", proofOfToken(token));
    const session = await trx("auth_session").first<{ practice_id: string } | undefined>("practice_id");
    const tx = session && (await bind(trx, session.practice_id));
    const practitioner = tx && (await practitionerOfToken(tx, token));
    if (tx && practitioner) return { tx, practitioner, handover: await handoverOfSession(tx, practitioner.sessionId) };
    await trx.rollback();
    return undefined;
  } catch (error) {
    await trx.rollback().catch(() => undefined);
    throw error;
  }
}
