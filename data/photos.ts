import type { Marks, PhotoSetup } from "../core/measure/calibration";
import { views, type View } from "../core/measure/view";
import type { Moment } from "../core/findings/restriction";
import { changeSeen } from "./change-seen";
import { once, type Tx } from "./database";
import { isDeepStrictEqual } from "node:util";
import { NotFound, Stale, Taken } from "./errors";
import { jobsOf } from "./jobs";

export type Photo = {
  id: string;
  visitId: string;
  ordinal: number;
  moment: Moment;
  view: View;
  /** Which standing of that moment: whoever steps off and stands again has another picture of the same view. */
  standing: number;
  setup: PhotoSetup;
  marks: Marks;
  version: number;
  /** Practitioner whose marks these are. */
  markedBy: string | null;
  /** False once the picture was deleted for good: marks and readings are all there is. */
  pictured: boolean;
};

const select = (tx: Tx) =>
  tx("photo as p")
    .join("visit as v", "v.id", "p.visit_id")
    .select({
      id: "p.id",
      visitId: "p.visit_id",
      ordinal: "v.ordinal",
      moment: "p.moment",
      view: "p.view",
      standing: "p.standing",
      setup: "p.setup",
      marks: "p.points",
      version: "p.version",
      markedBy: "p.marked_by",
      pictured: tx.raw("exists (select from photo_file f where f.photo_id = p.id)"),
    });

/**
 * Current pictures of a client, in the order of visits and views; replaced ones are left out. What waits to be taken in is
 * asked for before, whoever asks: a picture that is taken in meanwhile is in both lists then, and not in neither.
 */
export const photosOfClient = (tx: Tx, clientId: string): Promise<Photo[]> =>
  once(tx, `photosOfClient ${clientId}`, async () => {
    await jobsOf(tx, clientId);
    return select(tx)
      .where("v.client_id", clientId)
      .whereNull("p.replaced_at")
      .orderBy(["v.ordinal", "p.moment"])
      .orderByRaw("array_position(?::text[], p.view), p.standing", [[...views]]);
  });

/** The latest pictures of all clients that are still there, with whom they show. */
export const picturesOfPractice = (tx: Tx, most: number): Promise<(Photo & { clientId: string })[]> =>
  select(tx)
    .whereNull("p.replaced_at")
    .whereExists(tx("photo_file as f").select(tx.raw("1")).whereRaw("f.photo_id = p.id"))
    .select({ clientId: "v.client_id" })
    .orderBy("p.created_at", "desc")
    .limit(most);

/** Marked pictures of views that were taken of more than one standing at one moment. */
const repeated = (tx: Tx, query: ReturnType<Tx>) =>
  query
    .whereNull("p.replaced_at")
    .whereNotNull("p.marked_by")
    .whereExists(
      tx("photo as o")
        .select(tx.raw("1"))
        .whereRaw("o.visit_id = p.visit_id and o.moment = p.moment and o.view = p.view and o.id <> p.id")
        .whereNull("o.replaced_at"),
    );

/** Every picture that a standing study rests on, standings of one moment together. */
export const stoodAgain = (tx: Tx): Promise<Photo[]> =>
  repeated(tx, select(tx)).orderBy(["p.visit_id", "p.moment", "p.view", "p.standing"]);

/** Pictures that were replaced or taken away, latest first: they can come back, or be deleted for good. */
export const putAsideOf = (tx: Tx, clientId: string): Promise<Photo[]> =>
  select(tx).where("v.client_id", clientId).whereNotNull("p.replaced_at").orderBy("p.replaced_at", "desc");

/**
 * Stores a picture (already checked, stripped and re-encoded) under an id the client made. An earlier picture of the
 * same visit, moment, view and standing is kept aside, so that replacing it can be undone. `sentAt`: when it was sent,
 * where that was before now: of two pictures the one that was sent last stays.
 */
export async function addPhoto(
  tx: Tx,
  photo: {
    id: string;
    visitId: string;
    moment: Moment;
    view: View;
    standing?: number;
    setup: PhotoSetup;
    marks: Marks;
    markedBy?: string;
    sentAt?: Date;
  },
  file: { mime: string; bytes: Buffer; thumb: Buffer },
): Promise<void> {
  if (await isTakenIn(tx, photo)) return;
  const standing = photo.standing ?? 1;
  const sentAt = photo.sentAt ?? tx.fn.now();
  const there = () =>
    tx("photo")
      .where({ visit_id: photo.visitId, moment: photo.moment, view: photo.view, standing })
      .whereNull("replaced_at");
  await there().where("created_at", "<=", sentAt).update({ replaced_at: tx.fn.now() });
  await tx("photo").insert({
    created_at: sentAt,
    replaced_at: (await there().first("id")) ? tx.fn.now() : null,
    id: photo.id,
    visit_id: photo.visitId,
    moment: photo.moment,
    view: photo.view,
    standing,
    width: photo.setup.width,
    height: photo.setup.height,
    setup: JSON.stringify(photo.setup),
    points: JSON.stringify(photo.marks),
    marked_by: photo.markedBy ?? null,
  });
  await tx("photo_file").insert({ photo_id: photo.id, mime: file.mime, bytes: file.bytes, thumb: file.thumb });
}

/** Whether a picture of this id is there already; throws Taken where it is another visit's, moment's or view's. */
export async function isTakenIn(
  tx: Tx,
  {
    id,
    visitId,
    moment,
    view,
    standing = 1,
  }: Pick<Photo, "id" | "visitId" | "moment" | "view"> & { standing?: number },
): Promise<boolean> {
  const there = await tx("photo").where({ id }).first<Row | undefined>("visit_id", "moment", "view", "standing");
  if (there && !isDeepStrictEqual({ ...there }, { visit_id: visitId, moment, view, standing }))
    throw new Taken("this picture");
  return there !== undefined;
}
type Row = Record<string, unknown>;

/** A client's picture, or its small version, with the visit it belongs to. */
export async function photoFile(
  tx: Tx,
  clientId: string,
  id: string,
  size: "full" | "thumb" = "full",
): Promise<{ mime: string; bytes: Buffer; visitId: string }> {
  const file = await tx("photo_file as f")
    .join("photo as p", "p.id", "f.photo_id")
    .join("visit as v", "v.id", "p.visit_id")
    .where({ "f.photo_id": id, "v.client_id": clientId })
    .select({
      mime: "f.mime",
      bytes: size === "full" ? "f.bytes" : tx.raw("coalesce(f.thumb, f.bytes)"),
      visitId: "p.visit_id",
    })
    .first<{ mime: string; bytes: Buffer; visitId: string } | undefined>();
  if (!file) throw new NotFound("photo");
  return file;
}

/** Saves marks and set-up if nobody else has since `version`; returns the new version. */
export async function saveMarks(
  tx: Tx,
  id: string,
  version: number,
  { marks, setup, markedBy }: { marks: Marks; setup: PhotoSetup; markedBy: string | null },
): Promise<number> {
  const rows = await tx("photo")
    .where({ id, version })
    .update({ points: JSON.stringify(marks), setup: JSON.stringify(setup), marked_by: markedBy })
    .returning<{ version: number }[]>("version");
  if (rows[0]) return rows[0].version;
  if (!(await tx("photo").where({ id }).first("id"))) throw new NotFound("photo");
  throw new Stale("photo");
}

/** Throws unless the picture is one of this client's. */
async function ofClient(tx: Tx, clientId: string, id: string): Promise<void> {
  const own = tx("photo as p").join("visit as v", "v.id", "p.visit_id").where({ "p.id": id, "v.client_id": clientId });
  if (!(await own.first("p.id"))) throw new NotFound("photo");
}

/** Takes a client's picture away, as it was seen (`version`); `restorePhoto` brings it back. */
export async function removePhoto(tx: Tx, clientId: string, id: string, version: number): Promise<void> {
  await ofClient(tx, clientId, id);
  await changeSeen(tx, "photo", "photo", { id }, version, (now) => now.replaced_at !== null, {
    replaced_at: tx.fn.now(),
  });
}

/** Deletes a picture that was put aside, its marks with it. Nothing brings it back. */
export async function deletePhoto(tx: Tx, clientId: string, id: string): Promise<void> {
  await ofClient(tx, clientId, id);
  const gone = await tx("photo").where({ id }).whereNotNull("replaced_at").del();
  if (!gone) throw new NotFound("photo");
}

/** Deletes every picture of a client for good, those that wait to be taken in among them, and leaves what was measured from them. Returns how many there were. */
export async function deletePictures(tx: Tx, clientId: string): Promise<number> {
  await tx("job").where({ client_id: clientId, kind: "picture" }).del();
  const ids = tx("photo as p").join("visit as v", "v.id", "p.visit_id").where("v.client_id", clientId).select("p.id");
  return tx("photo_file").whereIn("photo_id", ids).del();
}

/** Brings a picture back where `instead` stood (null: none): that one is put aside. Another one there is Stale. */
export async function restorePhoto(tx: Tx, clientId: string, id: string, instead: string | null): Promise<void> {
  await ofClient(tx, clientId, id);
  const photo = await tx("photo")
    .where({ id })
    .forUpdate()
    .first<
      { visit_id: string; moment: string; view: string; standing: number; replaced_at: Date | null } | undefined
    >();
  if (!photo) throw new NotFound("photo");
  if (photo.replaced_at === null) return;
  const { visit_id, moment, view, standing } = photo;
  const there = () => tx("photo").where({ visit_id, moment, view, standing }).whereNull("replaced_at");
  const now = await there().forUpdate().first<{ id: string } | undefined>("id");
  if ((now?.id ?? null) !== instead) throw new Stale("photo");
  await there().update({ replaced_at: tx.fn.now() });
  await tx("photo").where({ id }).update({ replaced_at: null });
}
