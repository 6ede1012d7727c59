import sharp from "sharp";

/** A picture that cannot be taken in, with a sentence that says what was wrong with it. */
export class UnfitPicture extends Error {}

export const mostBytes = 25 * 1024 * 1024;
const longestSide = 4000;
const mostPixels = 80_000_000;

/** First bytes of the kinds of file that are taken; the name and the browser's word for it count for nothing. */
const kinds: { mime: string; test: (head: Buffer) => boolean }[] = [
  { mime: "image/jpeg", test: (head) => head[0] === 0xff && head[1] === 0xd8 && head[2] === 0xff },
  {
    mime: "image/png",
    test: (head) => head.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  },
  {
    mime: "image/webp",
    test: (head) => head.toString("latin1", 0, 4) === "RIFF" && head.toString("latin1", 8, 12) === "WEBP",
  },
];

/**
 * Checks a picture, turns it upright (EXIF), drops all metadata and encodes it anew as WebP. Throws UnfitPicture for
 * anything that is not one whole still JPEG, PNG or WebP of at most 25 MB.
 */
export async function takeIn(bytes: Buffer): Promise<{ bytes: Buffer; mime: string; width: number; height: number }> {
  if (bytes.length === 0) throw new UnfitPicture("The file is empty.");
  if (bytes.length > mostBytes)
    throw new UnfitPicture(`The file has ${Math.round(bytes.length / 1048576)} MB; at most 25 MB are taken.`);
  if (!kinds.some((kind) => kind.test(bytes))) throw new UnfitPicture("This is not a JPEG, PNG or WebP picture.");
  try {
    const picture = sharp(bytes, { limitInputPixels: mostPixels, failOn: "truncated" });
    const { pages = 1 } = await picture.metadata();
    if (pages > 1) throw new UnfitPicture("This is an animation; a single still picture is needed.");
    const { data, info } = await picture
      .rotate()
      .resize({ width: longestSide, height: longestSide, fit: "inside", withoutEnlargement: true })
      .webp({ quality: 88 })
      .toBuffer({ resolveWithObject: true });
    if (info.width < 200 || info.height < 200)
      throw new UnfitPicture(
        `The picture is ${info.width} × ${info.height} pixels; at least 200 × 200 are needed to mark it.`,
      );
    return { bytes: data, mime: "image/webp", width: info.width, height: info.height };
  } catch (error) {
    if (error instanceof UnfitPicture) throw error;
    throw new UnfitPicture("The picture is damaged or cut off and cannot be read.");
  }
}
