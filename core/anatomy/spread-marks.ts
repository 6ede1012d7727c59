import type { Point } from "./figure";

/**
 * Where circles go that want to lie at `at` and must not cover one another: each as near as it can to where it belongs, the
 * earlier ones first. `gap` is left between them. Same input, same places.
 */
export function spread(marks: readonly { at: Point; r: number }[], gap = 1): Point[] {
  const placed: { at: Point; r: number }[] = [];
  for (const { at, r } of marks) {
    const free = ([x, y]: Point) =>
      placed.every((other) => Math.hypot(other.at[0] - x, other.at[1] - y) >= other.r + r + gap);
    let found = at;
    // rings of places around it, a little farther each time
    for (let ring = 0; !free(found); ring++) {
      const distance = (ring + 1) * 1.5;
      const around = Math.max(8, Math.round((2 * Math.PI * distance) / 2));
      const candidates = Array.from({ length: around }, (_, i): Point => {
        const angle = Math.PI / 2 + (2 * Math.PI * i) / around;
        return [at[0] + distance * Math.cos(angle), at[1] + distance * Math.sin(angle)];
      });
      found = candidates.find(free) ?? found;
    }
    placed.push({ at: found, r });
  }
  return placed.map(({ at }) => at);
}
