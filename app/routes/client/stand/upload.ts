import type { Route } from "./+types/upload";
import { stands } from "~core/consent/consent";
import { inSession } from "~app/server/request/session.server";
import { validate } from "~app/validation";
import { consentsOf } from "~data/consents";
import { ask } from "~data/jobs";
import { unfit } from "~data/picture-kinds";
import { isTakenIn } from "~data/photos";
import { saveSettings } from "~data/practitioners";
import { getClient } from "~data/clients";
import { ownVisit } from "~app/server/client/workspace.server";
import { uploadSchema } from "./setup-form";

/**
 * Takes a picture for a visit: the body is the file, the address says what it shows and how it was taken. What is answered
 * with its id is kept; it is read, checked and encoded anew by whoever works on the queue.
 */
export async function action({ request, params, context }: Route.ActionArgs) {
  const query = Object.fromEntries(new URL(request.url).searchParams);
  const { value, errors } = await validate(uploadSchema, query);
  if (errors) return Response.json({ error: Object.values(errors)[0] }, { status: 400 });
  return inSession(context, async ({ tx, practitioner, body: { bytes } }) => {
    const client = await getClient(tx, params.clientId);
    const visit = await ownVisit(tx, client.id, value.visit);
    if (stands(await consentsOf(tx, client.id), "photographs", visit.id) !== true)
      return Response.json(
        { error: "Photographs need the client's consent first. Nothing was stored." },
        { status: 403 },
      );
    const wrong = unfit(bytes);
    if (wrong) return Response.json({ error: `${wrong} Nothing was stored.` }, { status: 422 });
    const { id, moment, view, standing = 1, stature = client.statureMm ?? 1700 } = value;
    const { stickLength, cameraDistance, cameraHeight, stickBehind = 0, stickHangs = false, dotted = false } = value;
    const noted = { stickLength, cameraDistance, cameraHeight, stickBehind, stickHangs, dotted };
    if (!(await isTakenIn(tx, { id, visitId: visit.id, moment, view, standing }))) {
      const about = { moment, view, standing, setup: { ...noted, stature } };
      await ask(tx, { id, kind: "picture", clientId: client.id, visitId: visit.id, by: practitioner.id, about }, bytes);
      // asked once for a set-up: the next picture starts from what was noted for this one
      await saveSettings(tx, practitioner.id, { setup: noted });
    }
    return Response.json({ id }, { status: 202 });
  });
}
