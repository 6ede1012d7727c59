import { randomUUID } from "node:crypto";
import sharp from "sharp";
import { takeIn } from "./photo-intake";
import {
  deletePhoto,
  deletePictures,
  photoFile,
  photosOfClient,
  addPhoto,
  putAsideOf,
  removePhoto,
  restorePhoto,
} from "./photos";
import { studyPictureFile, studySet } from "./study-set";
import {
  beginStudy,
  deleteStudy,
  finishedMarkings,
  finishStudy,
  getStudy,
  keepMarking,
  markingsOf,
  studiesOf,
  type StudyItem,
} from "./studies";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { createClient } from "./clients";
import { Taken } from "./errors";
import { inPractice, type Tx } from "./database";

let db: TestDatabase;
const me = randomUUID();
beforeAll(async () => {
  db = await makeDatabase();
  await work((tx) =>
    tx("practitioner").insert({ id: me, name: "Me", email: `${me}@kiln.example`, password_hash: "x" }),
  );
});
afterAll(() => db.drop());
const work = <T>(what: (tx: Tx) => Promise<T>) => db.within(db.practices[0], what);

const item = (key: string): StudyItem => {
  const { view, setup } = studySet().find((picture) => picture.key === key)!;
  return { source: { kind: "set", key }, view, setup };
};

describe("repeatability studies", () => {
  it("ships a set with five pictures of each kind of view, each with a file as large as it says", async () => {
    const kinds = studySet().map(({ view }) => (view === "left" || view === "right" ? "side" : view));
    for (const kind of ["front", "back", "side"]) expect(kinds.filter((each) => each === kind)).toHaveLength(5);
    for (const { key, setup } of studySet()) {
      const { width, height } = await sharp(studyPictureFile(key)).metadata();
      expect([width, height]).toEqual([setup.width, setup.height]);
    }
    expect(studyPictureFile("../demo/made/ruben-1-before-front")).toBeUndefined();
  });

  it("keeps each marking once, goes on where it was left, and is finished with the last", async () => {
    const id = randomUUID();
    const items = [item("set-01"), item("set-02"), item("set-01")];
    await work((tx) => beginStudy(tx, id, me, items));
    await work((tx) => beginStudy(tx, id, me, items));
    await expect(work((tx) => beginStudy(tx, id, me, []))).rejects.toThrow(Taken);
    const study = await work((tx) => getStudy(tx, me, id));
    expect(study.items).toEqual(items);
    const marks = { "plumb.top": { x: 1, y: 2 } };
    expect(await work((tx) => keepMarking(tx, study, 0, marks))).toBe(false);
    // a second time changes nothing, and says so: it was blind
    await expect(work((tx) => keepMarking(tx, study, 0, {}))).rejects.toThrow(Taken);
    expect((await work((tx) => markingsOf(tx, id))).get(0)).toEqual(marks);
    expect(await work((tx) => finishedMarkings(tx))).toEqual([]);
    await work((tx) => keepMarking(tx, study, 2, marks));
    expect(await work((tx) => keepMarking(tx, study, 1, marks))).toBe(true);
    expect((await work((tx) => getStudy(tx, me, id))).finishedAt).not.toBeNull();
    expect(
      (await work((tx) => finishedMarkings(tx))).map(({ item, practitionerId }) => [item, practitionerId]),
    ).toEqual([
      [0, me],
      [1, me],
      [2, me],
    ]);
    await expect(work((tx) => keepMarking(tx, study, 7, marks))).rejects.toThrow("item not found");
  });

  it("can be ended early and taken back, by its own practitioner only", async () => {
    const id = randomUUID();
    await work((tx) => beginStudy(tx, id, me, [item("set-03"), item("set-03")]));
    await expect(work((tx) => getStudy(tx, randomUUID(), id))).rejects.toThrow("study not found");
    await expect(work((tx) => deleteStudy(tx, randomUUID(), id))).rejects.toThrow("study not found");
    await work((tx) => finishStudy(tx, id));
    const ended = await work((tx) => getStudy(tx, me, id));
    expect(await work((tx) => keepMarking(tx, ended, 0, {}))).toBe(true);
    expect((await work((tx) => markingsOf(tx, id))).size).toBe(0);
    await work((tx) => deleteStudy(tx, me, id));
    expect((await work((tx) => studiesOf(tx, me))).map((study) => study.id)).not.toContain(id);
    expect(await inPractice(db.app, db.practices[1], (tx) => finishedMarkings(tx))).toEqual([]);
  });
});

describe("pictures as health data", () => {
  const picture = () =>
    sharp({ create: { width: 400, height: 600, channels: 3, background: "#b98" } })
      .png()
      .toBuffer();
  const setup = { width: 400, height: 600, stickLength: 1800, cameraDistance: 3000, cameraHeight: 950, stature: 1700 };
  async function clientWithPicture() {
    const [id, photoId, visitId] = [randomUUID(), randomUUID(), randomUUID()];
    const file = await takeIn(await picture());
    await work(async (tx) => {
      await createClient(tx, id, draft);
      await tx("visit").insert({ id: visitId, client_id: id, ordinal: 9, on_date: "2026-01-05", status: "planned" });
      await addPhoto(tx, { id: photoId, visitId, moment: "before", view: "front", setup, marks: {} }, file);
    });
    return { id, photoId, visitId };
  }
  const rows = (photoId: string) => work((tx) => tx("photo_file").where({ photo_id: photoId }).select("photo_id"));

  it("has a small version made on the server, and belongs to one client", async () => {
    const { id, photoId } = await clientWithPicture();
    const thumb = await work((tx) => photoFile(tx, id, photoId, "thumb"));
    expect((await sharp(thumb.bytes).metadata()).height).toBe(180);
    const full = await work((tx) => photoFile(tx, id, photoId));
    expect((await sharp(full.bytes).metadata()).height).toBe(600);
    await expect(work((tx) => photoFile(tx, randomUUID(), photoId))).rejects.toThrow("photo not found");
  });

  it("is deleted for good only once it was put aside, and then nothing of it is left", async () => {
    const { id, photoId } = await clientWithPicture();
    await expect(work((tx) => deletePhoto(tx, id, photoId))).rejects.toThrow("photo not found");
    await work((tx) => removePhoto(tx, id, photoId, 1));
    expect((await work((tx) => putAsideOf(tx, id))).map((photo) => photo.id)).toEqual([photoId]);
    await work((tx) => deletePhoto(tx, id, photoId));
    expect(await rows(photoId)).toEqual([]);
    expect(await work((tx) => putAsideOf(tx, id))).toEqual([]);
    await expect(work((tx) => restorePhoto(tx, id, photoId, null))).rejects.toThrow("photo not found");
  });

  it("leaves marks and readings when all pictures of a client are deleted", async () => {
    const { id, photoId } = await clientWithPicture();
    const other = await clientWithPicture();
    expect(await work((tx) => deletePictures(tx, id))).toBe(1);
    expect(await rows(photoId)).toEqual([]);
    expect(await rows(other.photoId)).toHaveLength(1);
    expect((await work((tx) => photosOfClient(tx, id))).map(({ id, pictured }) => [id, pictured])).toEqual([
      [photoId, false],
    ]);
  });
});
