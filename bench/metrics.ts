import { readPhoto } from "../core/measure/read-photo";
import { seeded } from "../core/random";
import type { View } from "../core/measure/view";
import { figureOf, setupOf, trueMarks, usualCamera } from "../devices/camera/camera";
import { takePicture } from "../devices/camera/picture";
import { drawPosture } from "../devices/camera/posture";
import { quantile, report } from "./report";

const random = seeded(1);
const lines: string[] = ["| what | median | 95 % |", "| --- | --- | --- |"];
for (const view of ["front", "left"] as View[]) {
  const times: number[] = [];
  for (let i = 0; i < 300; i++) {
    const posture = drawPosture(random);
    const camera = { ...usualCamera, view };
    const marks = trueMarks(figureOf(posture), camera);
    const started = performance.now();
    readPhoto({ view, setup: setupOf(camera, posture.stature), marks });
    if (i >= 50) times.push(performance.now() - started);
  }
  lines.push(
    `| all metrics of a ${view} picture, with errors | ${quantile(times, 0.5).toFixed(2)} ms | ${quantile(times, 0.95).toFixed(2)} ms |`,
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
report("metrics", "Metrics and pictures", lines);
