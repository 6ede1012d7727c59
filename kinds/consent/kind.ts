import type { ConsentRecord } from "../../core/consent/consent";
import { none, type Kind } from "../kind";

export const consent: Kind<ConsentRecord> = {
  name: "Consent",
  homes: [
    {
      path: "intake/consent",
      part: "Consent",
      command: "Consent",
      act: { role: "button", name: "Ask|Sign again" },
    },
  ],
  tables: { consent: { rights: "select, insert", of: "visit" } },
  moments: none("asked before the work"),
  differences: none("it is agreed, not measured"),
  summary: none("the sheet of a visit says what was felt"),
  note: none("kept with its wording and signature"),
  exported: (list) =>
    list.map(({ subject, given, text, textVersion, signedBy, by, at }) => ({
      subject,
      given,
      text,
      textVersion,
      signedBy,
      by,
      at,
    })),
};
