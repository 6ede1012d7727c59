import { loadGraphModel, type GraphModel } from "@tensorflow/tfjs-converter";
import { setWasmPaths } from "@tensorflow/tfjs-backend-wasm";
import * as tf from "@tensorflow/tfjs-core";
import * as Comlink from "comlink";
import { findPose, poseInput, type Square } from "~core/measure/pose";

/** Model and runtime are copied beside the application at build time; they load when a pose is first asked for. */
const folder = "/pose/";

let loaded: Promise<GraphModel> | undefined;
async function load(): Promise<GraphModel> {
  setWasmPaths(folder);
  tf.env().set("WASM_HAS_MULTITHREAD_SUPPORT", false);
  if (!(await tf.setBackend("wasm"))) throw new Error("This browser cannot run the pose model.");
  return loadGraphModel(`${folder}blazepose-full.json`);
}

const finder = {
  /** The pose of the one person in a picture, in its pixels; undefined when nobody is seen. */
  async find(picture: ImageBitmap) {
    const model = await (loaded ??= load().catch((problem: unknown) => {
      loaded = undefined;
      throw problem;
    }));
    const canvas = new OffscreenCanvas(poseInput, poseInput);
    const context = canvas.getContext("2d", { willReadFrequently: true })!;
    const read = ({ x, y, side }: Square): Float32Array => {
      const scale = poseInput / side;
      context.fillStyle = "#808080";
      context.fillRect(0, 0, poseInput, poseInput);
      context.drawImage(picture, -x * scale, -y * scale, picture.width * scale, picture.height * scale);
      const { data } = context.getImageData(0, 0, poseInput, poseInput);
      const pixels = new Float32Array(poseInput * poseInput * 3);
      for (let i = 0, j = 0; i < data.length; i += 4) {
        pixels[j++] = data[i]! / 255;
        pixels[j++] = data[i + 1]! / 255;
        pixels[j++] = data[i + 2]! / 255;
      }
      return pixels;
    };
    const run = async (pixels: Float32Array) => {
      const input = tf.tensor4d(pixels, [1, poseInput, poseInput, 3]);
      const outputs = model.execute(input, ["Identity_2:0", "Identity_3:0"]) as tf.Tensor[];
      const [points, score] = await Promise.all(outputs.map((output) => output.data()));
      tf.dispose([input, ...outputs]);
      return { points: points!, score: score![0]! };
    };
    return findPose(run, read, picture);
  },
};

export type PoseWorker = typeof finder;
Comlink.expose(finder);
