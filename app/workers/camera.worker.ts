import * as Comlink from "comlink";
import { figureOf, setupOf, trueMarks, type CameraSettings } from "~devices/camera/camera";
import { wearDots, type Dots } from "~devices/camera/dots";
import { takePicture } from "~devices/camera/picture";
import type { Posture } from "~devices/camera/posture";

/** The camera stand-in: takes the picture and hands it over as a file, as a real one would. */
const camera = {
  async shoot(posture: Posture, settings: CameraSettings, dots: Dots | undefined, progress: (share: number) => void) {
    const figure = figureOf(posture);
    const pixels = takePicture(figure, settings, progress);
    if (dots) wearDots(pixels, figure, settings, dots);
    const canvas = new OffscreenCanvas(settings.width, settings.height);
    canvas
      .getContext("2d")!
      .putImageData(new ImageData(pixels as Uint8ClampedArray<ArrayBuffer>, settings.width, settings.height), 0, 0);
    const file = await canvas.convertToBlob({ type: "image/jpeg", quality: 0.95 });
    return { file, setup: setupOf(settings, posture.stature), truth: trueMarks(figure, settings) };
  },
};

export type CameraWorker = typeof camera;
Comlink.expose(camera);
