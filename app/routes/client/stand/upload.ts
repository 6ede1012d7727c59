import type { Route } from "./+types/upload";
import { stands } from "~core/consent/consent";
import { pictures } from "~app/server/request/pictures.server";
import { bodyOf, inSession, letGo } from "~app/server/request/session.server";
import { validate } from "~app/validation";
import type { Tx } from "~data/database";
import { consentsOf } from "~data/consents";
import { addPhoto } from "~data/photos";
import { takeIn, UnfitPicture, type Face } from "~data/photo-intake";
import { saveSettings } from "~data/practitioners";
import { getClient } from "~data/clients";
import { ownVisit } from "~app/server/client/workspace.server";
import { uploadSchema } from "./setup-form";

/** "0.5,0.12,0.07" as a face; undefined when none was given. */
function faceOf(text: string | undefined): Face | undefined {
  if (text === undefined) return undefined;
  const [x, y, r] = text.split(",").map(Number) as [number, number, number];
  return { x, y, r };
}

const diskFull = (error: unknown) =>
  error instanceof Error && "code" in error && (error.code === "53100" || error.code === "ENOSPC");

/**
 * Takes a picture for a visit: the body is the file, the address says what it shows and how it was taken. Whether it may
 * be taken is asked before it is decoded and again before it is stored; in between no connection is held.
 */
export async function action({ request, params, context }: Route.ActionArgs) {
  const query = Object.fromEntries(new URL(request.url).searchParams);
  const { value, errors } = await validate(uploadSchema, query);
  if (errors) return Response.json({ error: Object.values(errors)[0] }, { status: 400 });
  const allowed = async (tx: Tx) => {
    const client = await getClient(tx, params.clientId);
    const visit = await ownVisit(tx, client.id, value.visit);
    return stands(await consentsOf(tx, client.id), "photographs", visit.id) === true ? { client, visit } : undefined;
  };
  const refused = () =>
    Response.json({ error: "Photographs need the client's consent first. Nothing was stored." }, { status: 403 });
  if (!(await inSession(context, ({ tx }) => allowed(tx)))) return refused();
  await letGo(context);
  try {
    const picture = await pictures.turn(() => takeIn(bodyOf(context).bytes, faceOf(value.face)));
    return await inSession(context, async ({ tx, practitioner }) => {
      const may = await allowed(tx);
      if (!may) return refused();
      const { client, visit } = may;
      const { stickLength, cameraDistance, cameraHeight, stickBehind = 0, stickHangs = false, dotted = false } = value;
      const noted = { stickLength, cameraDistance, cameraHeight, stickBehind, stickHangs, dotted };
      await addPhoto(
        tx,
        {
          id: value.id,
          visitId: visit.id,
          moment: value.moment,
          view: value.view,
          standing: value.standing ?? 1,
          marks: {},
          setup: {
            width: picture.width,
            height: picture.height,
            ...noted,
            stature: value.stature ?? client.statureMm ?? 1700,
          },
        },
        picture,
      );
      // asked once for a set-up: the next picture starts from what was noted for this one
      await saveSettings(tx, practitioner.id, { setup: noted });
      return Response.json({ id: value.id });
    });
  } catch (error) {
    if (error instanceof UnfitPicture)
      return Response.json({ error: `${error.message} Nothing was stored.` }, { status: 422 });
    if (diskFull(error))
      return Response.json(
        { error: "The server’s disk is full. Nothing was stored; free some space and store the picture again." },
        { status: 507 },
      );
    throw error;
  }
}
