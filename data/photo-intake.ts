import sharp, { type Sharp } from "sharp";
import { unfit } from "./picture-kinds";

// One core for a picture, the others for everybody else; and nothing of a picture is kept for the next one.
sharp.concurrency(1);
sharp.cache(false);

/** A picture that cannot be taken in, with a sentence that says what was wrong with it. */
export class UnfitPicture extends Error {}

const longestSide = 4000;
/** Decoded, this many take some 250 MB: more than any usual camera makes. */
const mostPixels = 64_000_000;
const thumbHeight = 180;

export type TakenIn = { bytes: Buffer; thumb: Buffer; mime: string; width: number; height: number };

/** Turns and mirrors a picture as its EXIF orientation (1 to 8) asks; the library mirrors before it turns. */
function upright(picture: Sharp, orientation: number): Sharp {
  const angle = ({ 3: 180, 5: 90, 6: 90, 7: 90, 8: 270 } as Record<number, number>)[orientation] ?? 0;
  const turned = angle ? picture.rotate(angle) : picture;
  if (orientation === 2 || orientation === 7) return turned.flop();
  return orientation === 4 || orientation === 5 ? turned.flip() : turned;
}

/**
 * Checks a picture, turns it upright (EXIF), drops all metadata, and encodes it anew as WebP
 * with a small version beside it. Throws UnfitPicture for anything that is not one whole still JPEG, PNG or WebP of at
 * most 25 MB.
 */
export async function takeIn(bytes: Buffer): Promise<TakenIn> {
  const wrong = unfit(bytes);
  if (wrong) throw new UnfitPicture(wrong);
  try {
    const picture = sharp(bytes, { limitInputPixels: mostPixels, failOn: "truncated" });
    const {
      pages = 1,
      width = 0,
      height = 0,
      orientation = 1,
    } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (width * height > mostPixels)
      throw new UnfitPicture(
        `The picture has ${Math.round((width * height) / 1e6)} megapixels; at most ${mostPixels / 1e6} are taken.`,
      );
    if (pages > 1) throw new UnfitPicture("This is an animation; a single still picture is needed.");
    // made small while it is read, and turned only then: a large picture is never whole in memory
    const small = await picture
      .resize({ width: longestSide, height: longestSide, fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#fff" })
      .toColourspace("srgb")
      .raw()
      .toBuffer({ resolveWithObject: true });
    const { data, info } = await upright(sharp(small.data, { raw: small.info }), orientation)
      .raw()
      .toBuffer({ resolveWithObject: true });
    if (info.width < 200 || info.height < 200)
      throw new UnfitPicture(
        `The picture is ${info.width} × ${info.height} pixels; at least 200 × 200 are needed to mark it.`,
      );
    const full = await sharp(data, { raw: info }).webp({ quality: 88, effort: 2 }).toBuffer();
    const thumb = await sharp(full).resize({ height: thumbHeight }).webp({ quality: 70 }).toBuffer();
    return { bytes: full, thumb, mime: "image/webp", width: info.width, height: info.height };
  } catch (error) {
    if (error instanceof UnfitPicture) throw error;
    throw new UnfitPicture("The picture is damaged or cut off and cannot be read.");
  }
}
