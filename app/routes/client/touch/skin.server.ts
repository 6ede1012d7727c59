import { data } from "react-router";
import { ownVisit } from "~app/server/client/workspace.server";
import { validate } from "~app/validation";
import type { Tx } from "~data/database";
import { NotFound } from "~data/errors";
import { addSkin, setSkinGone, setSkinRemoved } from "~data/skin";
import { skinGoneSchema, skinSchema } from "./skin-form.server";

/** What Touch keeps of the skin. */
export async function actOnSkin(tx: Tx, clientId: string, sent: Record<string, unknown>) {
  if (sent.intent === "skin-remove" || sent.intent === "skin-restore") {
    // taken back before it was kept, it is not there yet
    await setSkinRemoved(tx, clientId, String(sent.id), sent.intent === "skin-remove").catch((error: unknown) => {
      if (!(error instanceof NotFound && sent.ifThere === true)) throw error;
    });
    return { ok: true };
  }
  if (sent.intent === "skin-gone") {
    const { value, errors } = await validate(skinGoneSchema, sent);
    if (errors) return data({ errors }, { status: 400 });
    await setSkinGone(tx, clientId, value.id, value.gone);
    return { ok: true };
  }
  const { value, errors } = await validate(skinSchema, sent);
  if (errors) return data({ errors }, { status: 400 });
  const visit = await ownVisit(tx, clientId, sent.visitId);
  await addSkin(tx, clientId, visit.id, value);
  return { ok: true };
}
