import { textFor, type ConsentRecord, type Stroke, type Subject } from "~core/consent/consent";
import { recordConsent } from "~data/consents";
import type { Tx } from "~data/database";

type Said = {
  id: string;
  visitId: string;
  subject: Subject;
  given: boolean;
  /** The last word on it that was there when it was asked. */
  seen: number;
  signedBy: string;
  signature: readonly Stroke[] | null;
};

/** Records what was agreed to or declined, with the wording now in use. Who declines signs nothing. */
export function agree(
  tx: Tx,
  client: { id: string; name: string },
  said: Said,
  by: ConsentRecord["by"],
): Promise<void> {
  const { version, text } = textFor(said.subject);
  return recordConsent(tx, client.id, {
    ...said,
    textVersion: version,
    text,
    signedBy: said.given ? said.signedBy : client.name,
    signature: said.given && said.signature?.length ? said.signature : null,
    by,
  });
}
