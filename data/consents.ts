import type { ConsentRecord, Stroke, Subject } from "../core/consent/consent";
import { addOnce } from "./add-once";
import type { Tx } from "./database";

/** Every consent and withdrawal, oldest first. */
export async function consentsOf(tx: Tx, clientId: string): Promise<ConsentRecord[]> {
  const rows = await tx("consent").where({ client_id: clientId }).orderBy("seq");
  return rows.map((row) => ({
    id: row.id,
    subject: row.subject as Subject,
    visitId: row.visit_id,
    given: row.given,
    textVersion: row.text_version,
    text: row.text,
    signedBy: row.signed_by,
    signature: row.signature as Stroke[] | null,
    by: row.recorded_by,
    at: (row.created_at as Date).toISOString(),
    seq: Number(row.seq),
    seen: Number(row.seen ?? row.seq - 1),
  }));
}

/**
 * Adds a consent or its withdrawal; the same id twice is one record, and says `Taken` where it says something else. `seen`: the
 * last word on it that whoever asked had before their eyes; left out, all that is there.
 */
export async function recordConsent(
  tx: Tx,
  clientId: string,
  consent: Omit<ConsentRecord, "at" | "seq" | "seen"> & { seen?: number },
): Promise<void> {
  await addOnce(
    tx,
    "this consent",
    "consent",
    { id: consent.id },
    {
      client_id: clientId,
      visit_id: consent.visitId,
      subject: consent.subject,
      given: consent.given,
      text_version: consent.textVersion,
      text: consent.text,
      signed_by: consent.signedBy,
      signature: consent.signature === null ? null : JSON.stringify(consent.signature),
      recorded_by: consent.by,
      seen: consent.seen ?? null,
    },
  );
}
