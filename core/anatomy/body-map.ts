import type { RegionKey } from "./regions";

/**
 * The flat lay figure of the body map: half an outline per region, left half of the drawing, in a box 200 wide and 520
 * high with the mid-line at x = 100. Proportions follow the segment fractions of Drillis & Contini (1966): top of the
 * head at 10, shoulder at 100 (.818), hip at 247 (.530), knee at 372 (.285), ankle at 498 (.039).
 */
export type Face = "front" | "back";

type Half = { region: RegionKey; faces: readonly Face[]; path: string };

const halves: readonly Half[] = [
  {
    region: "head",
    faces: ["front", "back"],
    path: "M100 10 C86 10 78 20 78 36 C78 50 84 62 91 69 L100 74 Z",
  },
  {
    region: "neck",
    faces: ["front", "back"],
    path: "M100 74 L91 69 C91 78 89 84 84 88 C78 91 72 93 66 95 L100 95 Z",
  },
  {
    region: "shoulder",
    faces: ["front", "back"],
    path: "M66 95 C56 97 49 103 47 114 L46 134 C52 134 58 132 62 128 L74 100 L84 96 L66 95 Z",
  },
  {
    region: "chest",
    faces: ["front"],
    path: "M100 95 L84 96 L74 100 L62 128 C64 146 66 160 68 176 L100 184 Z",
  },
  {
    region: "upper-back",
    faces: ["back"],
    path: "M100 95 L84 96 L74 100 L62 128 C64 146 66 160 68 176 L100 178 Z",
  },
  { region: "belly", faces: ["front"], path: "M100 184 L68 176 C69 190 67 204 64 216 L72 234 L100 250 Z" },
  { region: "low-back", faces: ["back"], path: "M100 178 L68 176 C69 190 67 202 64 214 L100 218 Z" },
  {
    region: "pelvis",
    faces: ["front"],
    path: "M64 216 L72 234 L100 250 L100 262 L58 256 C58 240 60 226 64 216 Z",
  },
  {
    region: "pelvis",
    faces: ["back"],
    path: "M64 214 L100 218 L100 276 C86 280 70 278 57 270 C57 250 59 230 64 214 Z",
  },
  {
    region: "thigh",
    faces: ["front"],
    path: "M58 256 L100 262 L99 290 L94 362 L66 362 C60 330 56 292 58 256 Z",
  },
  {
    region: "thigh",
    faces: ["back"],
    path: "M57 270 C70 278 86 280 100 276 L99 296 L94 362 L66 362 C61 334 57 300 57 270 Z",
  },
  {
    region: "leg",
    faces: ["front", "back"],
    path: "M66 362 L94 362 C95 384 96 404 93 424 C90 450 89 470 89 490 L91 510 C86 514 68 514 62 510 L75 490 C73 466 64 430 64 404 C64 390 66 376 66 362 Z",
  },
  {
    region: "arm",
    faces: ["front", "back"],
    path: "M47 114 L46 134 C52 134 58 132 62 128 C60 148 56 170 51 192 C48 212 45 226 43 240 C44 254 42 266 38 272 C33 274 29 268 30 258 C29 250 30 244 32 238 C33 214 36 190 39 168 C40 148 42 128 47 114 Z",
  },
];

export type BodyPart = { region: RegionKey; side: "L" | "R"; path: string; mirrored: boolean };

/** Every region's outline for one face, both sides: the client's left is on the right of the front, the left of the back. */
export function bodyParts(face: Face): BodyPart[] {
  return halves
    .filter((half) => half.faces.includes(face))
    .flatMap(({ region, path }): BodyPart[] => [
      { region, side: face === "front" ? "R" : "L", path, mirrored: false },
      { region, side: face === "front" ? "L" : "R", path, mirrored: true },
    ]);
}

/** Where a region's mark goes (x for the half at the left of the drawing). */
export const partCentre: Record<RegionKey, { x: number; y: number }> = {
  head: { x: 89, y: 38 },
  neck: { x: 91, y: 84 },
  shoulder: { x: 60, y: 108 },
  arm: { x: 45, y: 190 },
  chest: { x: 83, y: 140 },
  "upper-back": { x: 83, y: 140 },
  "low-back": { x: 83, y: 198 },
  belly: { x: 83, y: 210 },
  pelvis: { x: 76, y: 248 },
  thigh: { x: 78, y: 316 },
  leg: { x: 79, y: 426 },
};

/** The face of the figure a region is best seen on. */
export const faceOf = (region: RegionKey): Face =>
  region === "chest" || region === "belly"
    ? "front"
    : region === "upper-back" || region === "low-back" || region === "neck"
      ? "back"
      : "front";
