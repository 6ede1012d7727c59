/** A face in a picture: its middle and radius as shares of width, height, height. */
export type Face = { x: number; y: number; r: number };

/** As large as a picture is stored at most. */
const longestSide = 4000;
/** So many coarse cells across: nothing of a face can be got back from them. */
const cells = 5;

const canvasOf = (width: number, height: number) => {
  const canvas = Object.assign(document.createElement("canvas"), { width, height });
  const pen = canvas.getContext("2d")!;
  pen.imageSmoothingQuality = "high";
  return { canvas, pen };
};

/**
 * The picture with a round patch of coarse cells where the face is. Done on the device that has it: a face that is to be
 * covered is never sent.
 */
export async function veil(picture: Blob, face: Face): Promise<Blob> {
  const whole = await createImageBitmap(picture).catch(() => {
    throw new Error("The picture is damaged or cut off and cannot be read. Nothing was stored.");
  });
  const scale = Math.min(1, longestSide / Math.max(whole.width, whole.height));
  const { canvas, pen } = canvasOf(Math.round(whole.width * scale), Math.round(whole.height * scale));
  pen.fillStyle = "#fff";
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(whole, 0, 0, canvas.width, canvas.height);
  whole.close();
  const r = Math.max(8, Math.round(face.r * canvas.height));
  const left = Math.max(0, Math.round(face.x * canvas.width) - r);
  const top = Math.max(0, Math.round(face.y * canvas.height) - r);
  // the part that lies inside of the picture: no cell may be seen through
  const width = Math.min(2 * r, canvas.width - left);
  const height = Math.min(2 * r, canvas.height - top);
  const coarse = canvasOf(cells, cells);
  coarse.pen.drawImage(canvas, left, top, width, height, 0, 0, cells, cells);
  pen.beginPath();
  pen.ellipse(left + width / 2, top + height / 2, width / 2, height / 2, 0, 0, 2 * Math.PI);
  pen.clip();
  pen.drawImage(coarse.canvas, 0, 0, cells, cells, left, top, width, height);
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error("This device could not cover the face. Nothing was stored."))),
      "image/jpeg",
      0.93,
    ),
  );
}
