import sharp, { type Sharp } from "sharp";
import { takeIn, UnfitPicture } from "./photo-intake";
import { mostBytes } from "./picture-kinds";

const picture = (width = 400, height = 600) =>
  sharp({ create: { width, height, channels: 3, background: { r: 200, g: 190, b: 180 } } });
const refusal = async (bytes: Buffer) => {
  const error = await takeIn(bytes).catch((caught: unknown) => caught);
  expect(error).toBeInstanceOf(UnfitPicture);
  return (error as Error).message;
};

describe("taking a picture in", () => {
  it("turns it upright by its EXIF mark and drops everything the camera wrote", async () => {
    const bytes = await picture(600, 400)
      .withExif({ IFD0: { Make: "TestCam", Copyright: "somebody" } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const taken = await takeIn(bytes);
    expect([taken.width, taken.height, taken.mime]).toEqual([400, 600, "image/webp"]);
    const { exif, xmp, iptc, orientation } = await sharp(taken.bytes).metadata();
    expect({ exif, xmp, iptc, orientation }).toEqual({
      exif: undefined,
      xmp: undefined,
      iptc: undefined,
      orientation: undefined,
    });
  });

  it.each(["png", "webp", "jpeg"] as const)("takes %s", async (kind) => {
    expect((await takeIn(await picture()[kind]().toBuffer())).width).toBe(400);
  });

  it.each([1, 2, 3, 4, 5, 6, 7, 8])(
    "turns orientation %i as the library does when it holds the whole picture",
    async (orientation) => {
      // four corners of different brightness: every turn and mirror tells itself apart
      const corners = [0, 80, 160, 240].map(
        (v, i) =>
          `<rect x="${(i % 2) * 150}" y="${i < 2 ? 0 : 200}" width="150" height="200" fill="rgb(${v},${v},${v})"/>`,
      );
      const svg = Buffer.from(`<svg width="300" height="400">${corners.join("")}</svg>`);
      const bytes = await sharp(svg).withMetadata({ orientation }).jpeg({ quality: 100 }).toBuffer();
      const small = async (picture: Sharp) => [
        ...(await picture.resize(2, 2, { fit: "fill" }).greyscale().raw().toBuffer()),
      ];
      const taken = await small(sharp((await takeIn(bytes)).bytes));
      const expected = await small(sharp(await sharp(bytes).rotate().png().toBuffer()));
      taken.forEach((value, i) => expect(Math.abs(value - expected[i]!)).toBeLessThan(30));
    },
  );

  it("refuses more pixels than memory should hold by the picture's head, before they are decoded", async () => {
    const large = await picture(9000, 8000).png().toBuffer();
    expect(await refusal(large)).toMatch(/72 megapixels; at most 64 are taken/);
    expect(await refusal(large.subarray(0, 200))).toMatch(/72 megapixels/);
  });

  it("makes huge pictures no larger than is useful", async () => {
    expect((await takeIn(await picture(5000, 3000).jpeg().toBuffer())).width).toBe(4000);
  });

  it("refuses, with a reason, what is not one whole still picture", async () => {
    const gif = await picture().gif().toBuffer();
    expect(await refusal(gif)).toMatch(/not a JPEG, PNG or WebP/);
    expect(await refusal(Buffer.from("<svg xmlns='http://www.w3.org/2000/svg'/>"))).toMatch(/not a JPEG/);
    expect(await refusal(Buffer.alloc(0))).toMatch(/empty/);
    expect(await refusal(Buffer.alloc(mostBytes + 1))).toMatch(/25 MB/);
    const whole = await picture(800, 800).png().toBuffer();
    expect(await refusal(whole.subarray(0, whole.length / 2))).toMatch(/damaged or cut off/);
    expect(await refusal(await picture(100, 100).png().toBuffer())).toMatch(/at least 200 × 200/);
    const frame = (background: string) =>
      sharp({ create: { width: 300, height: 300, channels: 3, background } })
        .png()
        .toBuffer();
    const moving = await sharp([await frame("red"), await frame("blue")], { join: { animated: true } })
      .webp()
      .toBuffer();
    expect(await refusal(moving)).toMatch(/animation/);
  });
});
