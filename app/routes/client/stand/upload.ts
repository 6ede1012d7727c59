import type { Route } from "./+types/upload";
import { stands } from "~core/consent/consent";
import { inSession } from "~app/session.server";
import { validate } from "~app/validation";
import { consentsOf } from "~data/consents";
import { addPhoto } from "~data/photos";
import { mostBytes, takeIn, UnfitPicture } from "~data/photo-intake";
import { getClient } from "~data/clients";
import { ownVisit } from "~app/routes/client/workspace.server";
import { uploadSchema } from "./setup-form";

/** Reads a body up to the limit and no further: a huge file is refused without being held in memory. */
async function readBody(request: Request): Promise<Buffer> {
  if (Number(request.headers.get("content-length") ?? 0) > mostBytes)
    throw new UnfitPicture("The file is larger than 25 MB.");
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? new ReadableStream<Uint8Array>({ start: (c) => c.close() })) {
    size += chunk.length;
    if (size > mostBytes) throw new UnfitPicture("The file is larger than 25 MB.");
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** Takes a picture for a visit: the body is the file, the address says what it shows and how it was taken. */
export function action({ request, params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx }) => {
    const query = Object.fromEntries(new URL(request.url).searchParams);
    const { value, errors } = await validate(uploadSchema, query);
    if (errors) return Response.json({ error: Object.values(errors)[0] }, { status: 400 });
    const client = await getClient(tx, params.clientId);
    const visit = await ownVisit(tx, client.id, value.visit);
    if (stands(await consentsOf(tx, client.id), "photographs", visit.id) !== true)
      return Response.json(
        { error: "Photographs need the client's consent first. Nothing was stored." },
        { status: 403 },
      );
    try {
      const picture = await takeIn(await readBody(request));
      await addPhoto(
        tx,
        {
          id: value.id,
          visitId: visit.id,
          moment: value.moment,
          view: value.view,
          marks: {},
          setup: {
            width: picture.width,
            height: picture.height,
            stickLength: value.stickLength,
            cameraDistance: value.cameraDistance,
            cameraHeight: value.cameraHeight,
            stature: value.stature ?? client.statureMm ?? 1700,
          },
        },
        picture,
      );
      return Response.json({ id: value.id });
    } catch (error) {
      if (error instanceof UnfitPicture)
        return Response.json({ error: `${error.message} Nothing was stored.` }, { status: 422 });
      throw error;
    }
  });
}
