import type { Route } from "./+types/photo";
import { stands } from "~core/consent/consent";
import { lawfulMarks } from "~core/measure/marking";
import { addressOf } from "~app/server/request/address.server";
import { inSession } from "~app/server/request/session.server";
import { isId } from "~app/event-head";
import { validate, versionOf } from "~app/validation";
import { getClient } from "~data/clients";
import { consentsOf } from "~data/consents";
import { NotFound, Stale } from "~data/errors";
import { deletePhoto, photoFile, photosOfClient, removePhoto, restorePhoto, saveMarks } from "~data/photos";
import { setupSchema } from "./setup-form";

/**
 * The picture itself, or its small version: for those signed in to its practice only, and not against the client's
 * consent; the server's no-store keeps it out of caches.
 */
export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const size = addressOf(request).is("size", "thumb") ? "thumb" : "full";
    const file = await photoFile(tx, params.clientId, params.photoId, size);
    if (stands(await consentsOf(tx, params.clientId), "photographs", file.visitId) === false)
      throw new Response("The client has withdrawn consent to photographs", { status: 403 });
    return new Response(new Uint8Array(file.bytes), {
      headers: {
        "Content-Type": file.mime,
        "Content-Disposition": "inline",
      },
    });
  });
}

/** Saves marks and set-up; takes the picture away, brings it back, or deletes it for good. */
export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body: { fields: body } }) => {
    await getClient(tx, params.clientId);
    if (body.intent === "remove") await removePhoto(tx, params.clientId, params.photoId, versionOf(body));
    else if (body.intent === "restore")
      await restorePhoto(tx, params.clientId, params.photoId, isId(body.instead) ? body.instead : null);
    else if (body.intent === "delete") await deletePhoto(tx, params.clientId, params.photoId);
    else {
      const photo = (await photosOfClient(tx, params.clientId)).find((each) => each.id === params.photoId);
      if (!photo) throw new NotFound("photo");
      const { value, errors } = await validate(setupSchema, body.setup);
      if (errors) return Response.json({ error: Object.values(errors)[0] }, { status: 400 });
      const marks = lawfulMarks(photo.view, photo.setup, body.marks);
      if (!marks)
        return Response.json({ error: "Marks: one of them is unknown or outside the picture." }, { status: 400 });
      try {
        return Response.json({
          version: await saveMarks(tx, photo.id, versionOf(body), {
            marks,
            setup: { ...photo.setup, ...value },
            markedBy: practitioner.id,
          }),
        });
      } catch (error) {
        if (error instanceof Stale) return Response.json({ stale: true }, { status: 409 });
        throw error;
      }
    }
    return Response.json({ ok: true });
  });
}
