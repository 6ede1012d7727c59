// npx tsx scripts/make-demo.ts: takes the demo client's pictures with the camera stand-in, marks them with ordinary
// placing error, and solves the series they lead to. The results are kept in data/demo/made.
import { mkdirSync, writeFileSync } from "node:fs";
import loadHighs from "highs";
import sharp from "sharp";
import { landmarks, splitPoint, type PointKey } from "../core/anatomy/landmarks";
import { referenceKeys, type MarkKey, type Marks } from "../core/measure/calibration";
import { seeded, seedOf } from "../core/random";
import { readPhoto } from "../core/measure/read-photo";
import { targetsFrom } from "../core/reading/targets";
import { solve } from "../core/series/solve";
import type { View } from "../core/measure/view";
import { figureOf, setupOf, trueMarks, usualCamera } from "../devices/camera/camera";
import { takePicture } from "../devices/camera/picture";
import { eased, sway } from "../devices/camera/posture";
import { ruben, rubenEased, rubenStance } from "../data/demo/people";
import { restrictionsAt } from "../data/demo/findings";
import type { MadePhoto } from "../data/demo/made";

const folder = "data/demo/made";
mkdirSync(folder, { recursive: true });

function placed(marks: Marks, mmPerPx: number, seed: string): Marks {
  const random = seeded(seedOf(seed));
  const result: Marks = {};
  for (const [key, at] of Object.entries(marks)) {
    const reference = (referenceKeys as readonly string[]).includes(key);
    const sd = reference ? 0.7 : 0.8 * Math.hypot(1, landmarks[splitPoint(key as PointKey).landmark].placing / mmPerPx);
    result[key as MarkKey] = {
      x: Math.round((at.x + sd * random.normal()) * 10) / 10,
      y: Math.round((at.y + sd * random.normal()) * 10) / 10,
    };
  }
  return result;
}

async function main() {
  const photos: MadePhoto[] = [];
  for (let visit = 1; visit <= 5; visit++)
    for (const moment of ["before", "after"] as const) {
      const share = rubenEased[moment][visit - 1];
      if (share === undefined) continue;
      const posture = sway(eased(rubenStance, share), seedOf(`ruben ${visit} ${moment}`), 0.05);
      const figure = figureOf(posture);
      for (const view of ["front", "left"] as View[]) {
        const random = seeded(seedOf(`camera ${visit} ${moment} ${view}`));
        const camera = {
          ...usualCamera,
          view,
          width: 600,
          height: 900,
          roll: Math.round(random.normal() * 8) / 10,
          yaw: random.normal(),
          seed: visit,
        };
        const file = `ruben-${visit}-${moment}-${view}.webp`;
        const pixels = takePicture(figure, camera);
        await sharp(Buffer.from(pixels.buffer), { raw: { width: 600, height: 900, channels: 4 } })
          .removeAlpha()
          .webp({ quality: 80 })
          .toFile(`${folder}/${file}`);
        const setup = setupOf({ ...camera, distance: 3000 }, 1790);
        photos.push({
          file,
          visit,
          moment,
          view,
          setup,
          marks: placed(trueMarks(figure, camera), 2.5, file),
        });
        console.log(file);
      }
    }
  writeFileSync(`${folder}/photos.json`, JSON.stringify(photos));

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
  const solved = solve(highs, input, () => performance.now(), { seconds: 25, gap: 0.01, seed: 1 });
  if (solved.kind === "impossible") throw new Error(JSON.stringify(solved.conflicts));
  console.log("plan", solved.plan.score, "of at most", solved.plan.bound);
  writeFileSync(`${folder}/plan.json`, JSON.stringify({ ...solved.plan, targets }));
}
void main();
