import sharp, { type Sharp } from "sharp";

// One core for a picture, the others for everybody else; and nothing of a picture is kept for the next one.
sharp.concurrency(1);
sharp.cache(false);

/** A picture that cannot be taken in, with a sentence that says what was wrong with it. */
export class UnfitPicture extends Error {}

export const mostBytes = 25 * 1024 * 1024;
const longestSide = 4000;
/** Decoded, this many take some 250 MB: more than any usual camera makes. */
const mostPixels = 64_000_000;
const thumbHeight = 180;

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

/** A face to be made unrecognisable before a picture is stored: its middle and radius as shares of width, height, height. */
export type Face = { x: number; y: number; r: number };

export type TakenIn = { bytes: Buffer; thumb: Buffer; mime: string; width: number; height: number };

/** A round patch of five coarse cells across, blurred: nothing of the face can be got back from it. */
async function veil(raw: Sharp, { width, height }: { width: number; height: number }, face: Face) {
  const r = Math.max(8, Math.round(face.r * height));
  const left = Math.max(0, Math.round(face.x * width) - r);
  const top = Math.max(0, Math.round(face.y * height) - r);
  const box = { left, top, width: Math.min(2 * r, width - left), height: Math.min(2 * r, height - top) };
  const coarse = await raw.extract(box).resize(5, 5, { fit: "fill" }).png().toBuffer();
  const round = Buffer.from(
    `<svg width="${box.width}" height="${box.height}"><ellipse cx="${box.width / 2}" cy="${box.height / 2}" rx="${box.width / 2}" ry="${box.height / 2}"/></svg>`,
  );
  const patch = await sharp(coarse)
    .resize(box.width, box.height, { fit: "fill", kernel: "cubic" })
    .ensureAlpha()
    .composite([{ input: round, blend: "dest-in" }])
    .png()
    .toBuffer();
  return { input: patch, left: box.left, top: box.top };
}

/** Turns and mirrors a picture as its EXIF orientation (1 to 8) asks; the library mirrors before it turns. */
function upright(picture: Sharp, orientation: number): Sharp {
  const angle = ({ 3: 180, 5: 90, 6: 90, 7: 90, 8: 270 } as Record<number, number>)[orientation] ?? 0;
  const turned = angle ? picture.rotate(angle) : picture;
  if (orientation === 2 || orientation === 7) return turned.flop();
  return orientation === 4 || orientation === 5 ? turned.flip() : turned;
}

/**
 * Checks a picture, turns it upright (EXIF), drops all metadata, veils the face if asked, and encodes it anew as WebP
 * with a small version beside it. Throws UnfitPicture for anything that is not one whole still JPEG, PNG or WebP of at
 * most 25 MB.
 */
export async function takeIn(bytes: Buffer, face?: Face): Promise<TakenIn> {
  if (bytes.length === 0) throw new UnfitPicture("The file is empty.");
  if (bytes.length > mostBytes)
    throw new UnfitPicture(`The file has ${Math.round(bytes.length / 1048576)} MB; at most 25 MB are taken.`);
  if (!kinds.some((kind) => kind.test(bytes))) throw new UnfitPicture("This is not a JPEG, PNG or WebP picture.");
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
    const raw = () => sharp(data, { raw: info });
    const stored = face ? raw().composite([await veil(raw(), info, face)]) : raw();
    const full = await stored.webp({ quality: 88, effort: 2 }).toBuffer();
    const thumb = await sharp(full).resize({ height: thumbHeight }).webp({ quality: 70 }).toBuffer();
    return { bytes: full, thumb, mime: "image/webp", width: info.width, height: info.height };
  } catch (error) {
    if (error instanceof UnfitPicture) throw error;
    throw new UnfitPicture("The picture is damaged or cut off and cannot be read.");
  }
}
