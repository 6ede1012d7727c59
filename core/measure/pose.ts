import type { Px } from "./calibration";

/** Body points a general pose model finds, in its usual order of 33. They are joint centres, not bony landmarks. */
export const posePoints = [
  "nose",
  ...["eye-inner.L", "eye.L", "eye-outer.L", "eye-inner.R", "eye.R", "eye-outer.R", "ear.L", "ear.R"],
  ...["mouth.L", "mouth.R", "shoulder.L", "shoulder.R", "elbow.L", "elbow.R", "wrist.L", "wrist.R"],
  ...["little-finger.L", "little-finger.R", "forefinger.L", "forefinger.R", "thumb.L", "thumb.R"],
  ...["hip.L", "hip.R", "knee.L", "knee.R", "ankle.L", "ankle.R", "heel.L", "heel.R", "toe.L", "toe.R"],
] as const;

/** A pose in picture pixels. `score` (0–1) is how sure the model is that a person is there, and each point seen. */
export type Pose = { score: number; points: Record<string, Px & { score: number }> };

/** A square part of a picture, in its pixels; it may reach beyond the picture's edges. */
export type Square = { x: number; y: number; side: number };

/** Size of the square picture the model takes (px). */
export const poseInput = 256;

/** What one run of the model gives: 33 or more points of five numbers (x, y, z, seen, there) in input pixels. */
export type PoseRun = (pixels: Float32Array) => Promise<{ points: ArrayLike<number>; score: number }>;

const sigmoid = (x: number) => 1 / (1 + Math.exp(-x));

/**
 * Finds one person: the model is run on the whole picture, and again on the square around what it found. `read` gives
 * a square of the picture as 256 × 256 × 3 numbers 0–1, grey beyond the edges. Undefined when nobody is seen.
 */
export async function findPose(
  run: PoseRun,
  read: (square: Square) => Float32Array | Promise<Float32Array>,
  size: { width: number; height: number },
): Promise<Pose | undefined> {
  const side = Math.max(size.width, size.height);
  const whole: Square = { x: (size.width - side) / 2, y: (size.height - side) / 2, side };
  const pose = async (square: Square): Promise<Pose> => {
    const { points, score } = await run(await read(square));
    const place = (i: number) => ({
      x: square.x + (points[5 * i]! / poseInput) * square.side,
      y: square.y + (points[5 * i + 1]! / poseInput) * square.side,
      score: sigmoid(points[5 * i + 3]!),
    });
    return { score, points: Object.fromEntries(posePoints.map((name, i) => [name, place(i)])) };
  };
  const first = await pose(whole);
  if (first.score < leastScore) return undefined;
  const places = Object.values(first.points);
  const [left, right] = [Math.min(...places.map(({ x }) => x)), Math.max(...places.map(({ x }) => x))];
  const [top, foot] = [Math.min(...places.map(({ y }) => y)), Math.max(...places.map(({ y }) => y))];
  const close = 1.25 * Math.max(right - left, foot - top);
  const second = await pose({ x: (left + right - close) / 2, y: (top + foot - close) / 2, side: close });
  return second.score < leastScore ? undefined : second;
}

/** Below this the model itself doubts that anybody is there. */
const leastScore = 0.5;
