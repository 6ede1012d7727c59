import { readPhoto } from "../core/measure/read-photo";
import { seeded } from "../core/random";
import { views } from "../core/measure/view";
import { analyse } from "../core/repeatability/study";
import { takeIn } from "../data/photo-intake";
import { placed } from "../devices/camera/trial";
import sharp from "sharp";
import { figureOf, setupOf, trueMarks, usualCamera } from "../devices/camera/camera";
import { takePicture } from "../devices/camera/picture";
import { drawPosture } from "../devices/camera/posture";
import { quantile, report } from "./report";

const random = seeded(1);
const lines: string[] = ["| what | median | 95 % |", "| --- | --- | --- |"];
for (const view of views) {
  const times: number[] = [];
  for (let i = 0; i < 300; i++) {
    const posture = drawPosture(random);
    const camera = { ...usualCamera, view, width: 3000, height: 4000 };
    const marks = trueMarks(figureOf(posture), camera);
    const started = performance.now();
    readPhoto({ view, setup: setupOf(camera, posture.stature), marks });
    if (i >= 50) times.push(performance.now() - started);
  }
  lines.push(
    `| all metrics of a ${view} picture of 3000 × 4000, with errors, after a mark moved | ${quantile(times, 0.5).toFixed(2)} ms | ${quantile(times, 0.95).toFixed(2)} ms |`,
  );
}
const shots: number[] = [];
for (let i = 0; i < 4; i++) {
  const figure = figureOf(drawPosture(random));
  const started = performance.now();
  takePicture(figure, { ...usualCamera, view: i % 2 ? "left" : "front" });
  shots.push(performance.now() - started);
}
lines.push(
  `| camera stand-in, ${usualCamera.width} × ${usualCamera.height} | ${(quantile(shots, 0.5) / 1000).toFixed(1)} s | ${(quantile(shots, 0.95) / 1000).toFixed(1)} s |`,
);

// thirty pictures marked twice: what a repeatability study has to compute
const markings = Array.from({ length: 30 }, (_, i) => {
  const posture = drawPosture(random);
  const camera = { ...usualCamera, view: views[i % 4]! };
  const truth = trueMarks(figureOf(posture), camera);
  return [0, 1].map(() => ({
    picture: String(i),
    view: camera.view,
    setup: setupOf(camera, posture.stature),
    marks: placed(truth, random),
  }));
}).flat();
const studies: number[] = [];
for (let i = 0; i < 12; i++) {
  const started = performance.now();
  analyse(markings);
  if (i >= 2) studies.push(performance.now() - started);
}
lines.push(
  `| repeatability study of 30 pictures, twice each | ${quantile(studies, 0.5).toFixed(0)} ms | ${quantile(studies, 0.95).toFixed(0)} ms |`,
);

async function uploads() {
  const grain = await sharp({
    create: {
      width: 3000,
      height: 4000,
      channels: 3,
      background: "#c8beb4",
      noise: { type: "gaussian", mean: 128, sigma: 12 },
    },
  })
    .jpeg({ quality: 90 })
    .toBuffer();
  const times: number[] = [];
  for (let i = 0; i < 6; i++) {
    const started = performance.now();
    await takeIn(grain);
    times.push(performance.now() - started);
  }
  lines.push(
    `| upload of 12 MP (${(grain.length / 1e6).toFixed(1)} MB JPEG): checked, stripped, encoded, small version | ${(quantile(times, 0.5) / 1000).toFixed(1)} s | ${(quantile(times, 0.95) / 1000).toFixed(1)} s |`,
  );
  report("metrics", "Metrics and pictures", lines);
}
void uploads();
