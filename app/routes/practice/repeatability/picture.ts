import type { Route } from "./+types/picture";
import { stands } from "~core/consent/consent";
import { inSession } from "~app/server/request/session.server";
import { consentsOf } from "~data/consents";
import { NotFound } from "~data/errors";
import { photoFile } from "~data/photos";
import { studyPictureFile } from "~data/study-set";
import { getStudy } from "~data/studies";

/** The picture of one item of one's own study; a client's only while consent stands. */
export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const { items } = await getStudy(tx, practitioner.id, params.studyId);
    const source = items[Number(params.item)]?.source;
    if (!source) throw new NotFound("item");
    if (source.kind === "set") {
      const bytes = studyPictureFile(source.key);
      if (!bytes) throw new NotFound("picture");
      return new Response(new Uint8Array(bytes), { headers: { "Content-Type": "image/webp" } });
    }
    const file = await photoFile(tx, source.clientId, source.id);
    if (stands(await consentsOf(tx, source.clientId), "photographs", file.visitId) !== true)
      throw new NotFound("picture");
    return new Response(new Uint8Array(file.bytes), { headers: { "Content-Type": file.mime } });
  });
}
