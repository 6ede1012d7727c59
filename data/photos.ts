import type { Marks, PhotoSetup } from "../core/measure/calibration";
import type { View } from "../core/measure/view";
import type { Moment } from "../core/findings/restriction";
import type { Tx } from "./database";
import { NotFound, Stale } from "./errors";

export type Photo = {
  id: string;
  visitId: string;
  ordinal: number;
  moment: Moment;
  view: View;
  setup: PhotoSetup;
  marks: Marks;
  version: number;
};

const select = (tx: Tx) =>
  tx("photo as p").join("visit as v", "v.id", "p.visit_id").whereNull("p.replaced_at").select({
    id: "p.id",
    visitId: "p.visit_id",
    ordinal: "v.ordinal",
    moment: "p.moment",
    view: "p.view",
    setup: "p.setup",
    marks: "p.points",
    version: "p.version",
  });

/** Current pictures of a client, in the order of visits; replaced ones are left out. */
export const photosOfClient = (tx: Tx, clientId: string): Promise<Photo[]> =>
  select(tx).where("v.client_id", clientId).orderBy(["v.ordinal", "p.moment", "p.view"]);

/**
 * Stores a picture (already checked, stripped and re-encoded) under an id the client made. An earlier picture of the
 * same visit, moment and view is kept aside, so that replacing it can be undone.
 */
export async function addPhoto(
  tx: Tx,
  photo: { id: string; visitId: string; moment: Moment; view: View; setup: PhotoSetup; marks: Marks },
  file: { mime: string; bytes: Buffer },
): Promise<void> {
  const again = await tx("photo").where({ id: photo.id }).first("id");
  if (again) return;
  await tx("photo")
    .where({ visit_id: photo.visitId, moment: photo.moment, view: photo.view })
    .whereNull("replaced_at")
    .update({ replaced_at: tx.fn.now() });
  await tx("photo").insert({
    id: photo.id,
    visit_id: photo.visitId,
    moment: photo.moment,
    view: photo.view,
    width: photo.setup.width,
    height: photo.setup.height,
    setup: JSON.stringify(photo.setup),
    points: JSON.stringify(photo.marks),
  });
  await tx("photo_file").insert({ photo_id: photo.id, mime: file.mime, bytes: file.bytes });
}

export async function photoFile(tx: Tx, id: string): Promise<{ mime: string; bytes: Buffer }> {
  const file = await tx("photo_file").where({ photo_id: id }).first<{ mime: string; bytes: Buffer } | undefined>();
  if (!file) throw new NotFound("photo");
  return file;
}

/** Saves marks and set-up if nobody else has since `version`; returns the new version. */
export async function saveMarks(tx: Tx, id: string, version: number, marks: Marks, setup: PhotoSetup): Promise<number> {
  const rows = await tx("photo")
    .where({ id, version })
    .update({ points: JSON.stringify(marks), setup: JSON.stringify(setup) })
    .returning<{ version: number }[]>("version");
  if (rows[0]) return rows[0].version;
  if (!(await tx("photo").where({ id }).first("id"))) throw new NotFound("photo");
  throw new Stale("photo");
}

/** Takes a picture away; `restorePhoto` brings it back. */
export async function removePhoto(tx: Tx, id: string): Promise<void> {
  const changed = await tx("photo").where({ id }).whereNull("replaced_at").update({ replaced_at: tx.fn.now() });
  if (!changed) throw new NotFound("photo");
}

export async function restorePhoto(tx: Tx, id: string): Promise<void> {
  const photo = await tx("photo").where({ id }).first<{ visit_id: string; moment: string; view: string } | undefined>();
  if (!photo) throw new NotFound("photo");
  const { visit_id, moment, view } = photo;
  await tx("photo").where({ visit_id, moment, view }).whereNull("replaced_at").update({ replaced_at: tx.fn.now() });
  await tx("photo").where({ id }).update({ replaced_at: null });
}
