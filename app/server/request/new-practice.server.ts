import { randomUUID } from "node:crypto";
import { inPractice } from "~data/database";
import { hashPassword } from "~data/practitioners";
import { database } from "./database.server";

/** Adds a practitioner, and the practice when it has a name: for whoever runs the server, not for a page. */
export async function addPractitioner(
  practice: { id: string; name?: string },
  person: { name: string; email: string; password: string },
): Promise<void> {
  const password_hash = await hashPassword(person.password);
  await inPractice(database(), practice.id, async (tx) => {
    if (practice.name) await tx("practice").insert({ practice_id: practice.id, name: practice.name });
    await tx("practitioner").insert({ id: randomUUID(), name: person.name, email: person.email, password_hash });
  });
}
