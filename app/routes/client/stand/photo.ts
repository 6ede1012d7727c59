import type { Route } from "./+types/photo";
import { lawfulMarks } from "~core/measure/marking";
import { inSession } from "~app/session.server";
import { validate } from "~app/validation";
import { NotFound, Stale } from "~data/errors";
import { photoFile, photosOfClient, removePhoto, restorePhoto, saveMarks } from "~data/photos";
import { setupSchema } from "./setup-form";

/** The picture itself: for those signed in to its practice only; the server's no-store keeps it out of caches. */
export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const file = await photoFile(tx, params.photoId);
    return new Response(new Uint8Array(file.bytes), {
      headers: {
        "Content-Type": file.mime,
        "Content-Disposition": "inline",
      },
    });
  });
}

/** Saves marks and set-up, takes the picture away, or brings it back. */
export function action({ request, params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx }) => {
    const body = (await request.json()) as {
      intent?: string;
      version?: number;
      marks?: unknown;
      setup?: unknown;
    };
    if (body.intent === "remove") await removePhoto(tx, params.photoId);
    else if (body.intent === "restore") await restorePhoto(tx, params.photoId);
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
          version: await saveMarks(tx, photo.id, Number(body.version), marks, { ...photo.setup, ...value }),
        });
      } catch (error) {
        if (error instanceof Stale) return Response.json({ stale: true }, { status: 409 });
        throw error;
      }
    }
    return Response.json({ ok: true });
  });
}
