import type { Point } from "./figure";

type Circle = { at: Point; r: number };

/** Circles by the square of a coarse grid they lie in: only those nearby have to be looked at. */
class Nearby {
  private readonly squares = new Map<number, Circle[]>();
  constructor(private readonly size: number) {}
  private key = (column: number, line: number) => column * 4096 + line;
  add(circle: Circle): void {
    const key = this.key(Math.floor(circle.at[0] / this.size), Math.floor(circle.at[1] / this.size));
    const there = this.squares.get(key);
    if (there) there.push(circle);
    else this.squares.set(key, [circle]);
  }
  /** Whether a circle there would cover none, with `gap` between. */
  free(x: number, y: number, r: number, gap: number): boolean {
    const [column, line] = [Math.floor(x / this.size), Math.floor(y / this.size)];
    for (let i = column - 1; i <= column + 1; i++)
      for (let j = line - 1; j <= line + 1; j++)
        for (const other of this.squares.get(this.key(i, j)) ?? [])
          if ((other.at[0] - x) ** 2 + (other.at[1] - y) ** 2 < (other.r + r + gap) ** 2) return false;
    return true;
  }
}

const rings: Point[][] = [];
/** Ways out from where a circle belongs, one ring after the other, straight down first. */
const ringOf = (n: number): readonly Point[] =>
  (rings[n] ??= Array.from({ length: 8 + 4 * n }, (_, i): Point => {
    const angle = Math.PI / 2 + (2 * Math.PI * i) / (8 + 4 * n);
    return [2 * (n + 1) * Math.cos(angle), 2 * (n + 1) * Math.sin(angle)];
  }));

/**
 * Where circles go that want to lie at `at` and must not cover one another: each as near as it can to where it belongs, the
 * earlier ones first. `gap` is left between them. Same input, same places.
 */
export function spread(marks: readonly Circle[], gap = 1): Point[] {
  const largest = Math.max(1, ...marks.map(({ r }) => r));
  const placed = new Nearby(2 * largest + gap);
  // how far out it was full already for whoever wanted to lie at the very same point, as large
  const full = new Map<string, number>();
  return marks.map(({ at, r }) => {
    const spot = `${at[0]} ${at[1]} ${r}`;
    let found: Point | undefined = placed.free(at[0], at[1], r, gap) ? at : undefined;
    for (let ring = full.get(spot) ?? 0; !found; ring++) {
      full.set(spot, ring);
      const way = ringOf(ring).find(([dx, dy]) => placed.free(at[0] + dx, at[1] + dy, r, gap));
      if (way) found = [at[0] + way[0], at[1] + way[1]];
    }
    placed.add({ at: found, r });
    return found;
  });
}
