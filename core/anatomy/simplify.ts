import { distanceTo, type Point } from "./figure";

/**
 * A drawn line with fewer points: none of those left out lies farther than `within` from the line that stays (Ramer 1972,
 * Douglas & Peucker 1973).
 */
export function simplified(points: readonly Point[], within: number): Point[] {
  if (points.length <= 2) return [...points];
  const [first, last] = [points[0]!, points[points.length - 1]!];
  let [at, far] = [0, -1];
  for (let i = 1; i < points.length - 1; i++) {
    const distance = distanceTo([first, last], points[i]!);
    if (distance > far) [at, far] = [i, distance];
  }
  if (far <= within) return [first, last];
  return [...simplified(points.slice(0, at + 1), within).slice(0, -1), ...simplified(points.slice(at), within)];
}
