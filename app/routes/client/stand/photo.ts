import type { Route } from "./+types/photo";
import { lawfulMarks } from "~core/measure/marking";
import { answering, session } from "~app/session.server";
import { validate } from "~app/validation";
import { NotFound, Stale } from "~data/errors";
import { photoFile, photosOfClient, removePhoto, restorePhoto, saveMarks } from "~data/photos";
import { setupSchema } from "./setup-form";

/** The picture itself: for those signed in to its practice only, and never for shared caches. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { tx } = session(context);
  const file = await answering(() => photoFile(tx, params.photoId));
  return new Response(new Uint8Array(file.bytes), {
    headers: {
      "Content-Type": file.mime,
      "Cache-Control": "private, max-age=86400, immutable",
      "Content-Disposition": "inline",
    },
  });
}

/** Saves marks and set-up, takes the picture away, or brings it back. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const { tx } = session(context);
  const body = (await request.json()) as {
    intent?: string;
    version?: number;
    marks?: unknown;
    setup?: unknown;
  };
  return answering(async () => {
    if (body.intent === "remove") await removePhoto(tx, params.photoId);
    else if (body.intent === "restore") await restorePhoto(tx, params.photoId);
    else {
      const photo = (await photosOfClient(tx, params.clientId)).find((each) => each.id === params.photoId);
      if (!photo) throw new NotFound("photo");
      const { value, errors } = await validate(setupSchema, body.setup);
      if (errors) return Response.json({ error: Object.values(errors)[0] }, { status: 400 });
      const marks = lawfulMarks(photo.view, photo.setup, body.marks);
      if (!marks)
        return Response.json(
          { error: "Marks: one of them is unknown or outside the picture." },
          { status: 400 },
        );
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
