// npx tsx scripts/make-demo.ts: takes the demo client's pictures with the camera stand-in, marks them with ordinary
// placing error, and solves the series they lead to. The results are kept in data/demo/made. The pictures a
// practitioner can study their own marking on are taken too, and kept in data/study-set. With the word `plan` no picture
// is taken: the series is solved again from those that are there.
import { mkdirSync, writeFileSync } from "node:fs";
import loadHighs from "highs";
import sharp from "sharp";
import type { Marks } from "../core/measure/calibration";
import { seeded, seedOf } from "../core/random";
import { blindOrder } from "../core/repeatability/study";
import { readPhoto } from "../core/measure/read-photo";
import { targetsFrom } from "../core/reading/targets";
import { prove } from "../core/series/prove";
import { solve } from "../core/series/solve";
import { views, type View } from "../core/measure/view";
import { figureOf, setupOf, trueMarks, usualCamera } from "../devices/camera/camera";
import { takePicture } from "../devices/camera/picture";
import { drawPosture, eased, sway, type Posture } from "../devices/camera/posture";
import { placed } from "../devices/camera/trial";
import { studyFolder, type StudyPicture } from "../data/study-set";
import type { Moment } from "../core/findings/restriction";
import { leontineStance, ruben, rubenEased, rubenStance } from "../data/demo/people";
import { restrictionsAt } from "../data/demo/findings";
import { madePhotos, type MadePhoto } from "../data/demo/made";

const folder = "data/demo/made";
mkdirSync(folder, { recursive: true });

/** Places to a tenth of a pixel, as the screen gives them. */
const rounded = (marks: Marks): Marks =>
  Object.fromEntries(
    Object.entries(marks).map(([key, { x, y }]) => [key, { x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 }]),
  );

async function keep(pixels: Uint8ClampedArray, file: string) {
  await sharp(Buffer.from(pixels.buffer as ArrayBuffer), { raw: { width: 600, height: 900, channels: 4 } })
    .removeAlpha()
    .webp({ quality: 80 })
    .toFile(file);
  console.log(file);
}

/** Fifteen people nobody knows: five from the front, five from the back, five from the side. */
const studyPeople = (["front", "back", "left", "front", "back", "right"] as View[])
  .flatMap((view, k) => (k < 3 ? [view, view, view] : [view, view]))
  .map((view, i) => {
    const random = seeded(seedOf(`study ${i}`));
    const posture = drawPosture(random);
    const camera = {
      ...usualCamera,
      view,
      width: 600,
      height: 900,
      roll: random.normal(),
      yaw: random.normal(),
      seed: i,
    };
    return { key: `set-${String(i + 1).padStart(2, "0")}`, view, posture, camera };
  });

async function makeStudySet() {
  mkdirSync(studyFolder, { recursive: true });
  for (const { key, posture, camera } of studyPeople)
    await keep(takePicture(figureOf(posture), camera), `${studyFolder}/${key}.webp`);
  const set = studyPeople.map(({ key, view, posture, camera }): StudyPicture => ({
    key,
    view,
    setup: setupOf(camera, posture.stature),
  }));
  writeFileSync(`${studyFolder}/pictures.json`, JSON.stringify(set));
}

/** How the demo's first practitioner marked the whole set twice: a little steadier than usual. */
function makeStudyMarks() {
  const random = seeded(seedOf("steady hand"));
  const truths = studyPeople.map(({ key, posture, camera }) => ({ key, marks: trueMarks(figureOf(posture), camera) }));
  const order = blindOrder(truths, 2, random);
  const marked = order.map(({ key, marks }) => ({ key, marks: rounded(placed(marks, random, 0.65)) }));
  writeFileSync(`${folder}/study.json`, JSON.stringify(marked));
}

/** A demo client before the stand-in camera: who, how they stand, how much of it had eased, and what was taken. */
type Sitter = {
  name: string;
  stance: Posture;
  eased: { before: readonly number[]; after: readonly number[] };
  viewsAt: (visit: number, moment: Moment) => readonly View[];
};

const sitters: readonly Sitter[] = [
  // all four views at the first visit and the last two, front and left in between
  {
    name: "ruben",
    stance: rubenStance,
    eased: rubenEased,
    viewsAt: (visit) => (visit === 1 || visit >= 4 ? views : ["front", "left"]),
  },
  {
    name: "leontine",
    stance: leontineStance,
    eased: { before: [0, 0, 0], after: [0, 0, 0] },
    viewsAt: (visit, moment) => ((visit === 1) === (moment === "before") && visit !== 2 ? views : ["front", "left"]),
  },
];

async function makePhotos({ name, stance, eased: shares, viewsAt }: Sitter): Promise<MadePhoto[]> {
  const photos: MadePhoto[] = [];
  for (let visit = 1; visit <= shares.before.length; visit++)
    for (const moment of ["before", "after"] as const) {
      const share = shares[moment][visit - 1];
      if (share === undefined) continue;
      for (const view of viewsAt(visit, moment)) {
        // whoever turns round for the next view stands anew
        const figure = figureOf(sway(eased(stance, share), seedOf(`${name} ${visit} ${moment} ${view}`)));
        const random = seeded(seedOf(`camera ${name} ${visit} ${moment} ${view}`));
        const camera = {
          ...usualCamera,
          view,
          width: 600,
          height: 900,
          roll: Math.round(random.normal() * 8) / 10,
          yaw: random.normal(),
          seed: visit,
        };
        const file = `${name}-${visit}-${moment}-${view}.webp`;
        await keep(takePicture(figure, camera), `${folder}/${file}`);
        const setup = setupOf({ ...camera, distance: 3000 }, stance.stature);
        const marks = rounded(placed(trueMarks(figure, camera), seeded(seedOf(file)), 0.7));
        photos.push({ file, visit, moment, view, setup, marks });
      }
    }
  writeFileSync(`${folder}/${name}.json`, JSON.stringify(photos));
  return photos;
}

async function main() {
  const solveOnly = process.argv.includes("plan");
  makeStudyMarks();
  if (!solveOnly) await makeStudySet();
  if (!solveOnly) for (const sitter of sitters) await makePhotos(sitter);
  const photos = madePhotos("ruben");
  const first = photos.filter((photo) => photo.visit === 1 && photo.moment === "before");
  const targets = targetsFrom(
    restrictionsAt(ruben, 1),
    first.flatMap((photo) => readPhoto(photo)),
  );
  const highs = await loadHighs();
  const input = {
    template: "ten-step",
    tableMinutes: 70,
    targets,
    complaintRegion: ruben.complaintRegion,
    pressureCeiling: ruben.pressureCeiling,
    thumbBudget: 40,
    cautions: [],
    days: [],
    locks: [],
    done: [],
  };
  const plan = solve(input, { seed: 1, moves: 400_000 });
  if (!plan) throw new Error("no plan was found");
  const proof = prove(highs, input, { seconds: 20, seed: 1 });
  if (proof.kind !== "bound") throw new Error(JSON.stringify(proof));
  console.log("plan", plan.score, "of at most", proof.bound);
  writeFileSync(`${folder}/plan.json`, JSON.stringify({ ...plan, bound: proof.bound, targets }));
}
void main();
