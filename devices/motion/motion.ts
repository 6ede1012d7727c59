import type { Random } from "../../core/random";

/** A place of whatever is followed, in a box of 1000 by 1000, and seconds since it began. */
export type Moved = readonly [x: number, y: number, at: number];
/** What follows a limb: it tells its place until it is told to stop. */
export type Motion = { name: string; listen: (hear: (moved: Moved) => void) => () => void };

const perSecond = 10;
/** Units a second at which a limb wanders. */
const pace = 160;

/** A way that goes round `loops` times and rests at so many `positions` for a few seconds each; the same for the same random. */
export function standInPath(loops: number, positions: number, random: Random): Moved[] {
  const way: Moved[] = [];
  let at = 0;
  let [x, y] = [500, 500];
  const step = (nx: number, ny: number) => {
    const n = Math.max(1, Math.round((Math.hypot(nx - x, ny - y) / pace) * perSecond));
    for (let i = 1; i <= n; i++) {
      at += 1 / perSecond;
      way.push([x + ((nx - x) * i) / n + 1.5 * random.normal(), y + ((ny - y) * i) / n + 1.5 * random.normal(), at]);
    }
    [x, y] = [nx, ny];
  };
  // rests lie apart on a ring; between them it goes round small circles
  const rests = Array.from({ length: positions }, (_, i) => {
    const turn = (2 * Math.PI * i) / positions + 0.3;
    return [500 + 320 * Math.cos(turn), 500 + 320 * Math.sin(turn)] as const;
  });
  let left = loops;
  for (const [i, [rx, ry]] of rests.entries()) {
    step(rx, ry);
    at += 3;
    way.push([rx, ry, at]);
    const here = Math.ceil(left / (rests.length - i));
    for (let loop = 0; loop < here; loop++)
      for (let k = 1; k <= 16; k++)
        step(rx - 80 + 80 * Math.cos((2 * Math.PI * k) / 16), ry + 80 * Math.sin((2 * Math.PI * k) / 16));
    left -= here;
  }
  return way;
}

/** A simulated tracker on a limb that goes along such a way, at its pace times `speed`. */
export const motionStandIn = (loops: number, positions: number, random: Random, speed = 1): Motion => ({
  name: "Motion stand-in",
  listen(hear) {
    const way = standInPath(loops, positions, random);
    let i = 0;
    const began = Date.now();
    const timer = setInterval(() => {
      const now = (speed * (Date.now() - began)) / 1000;
      while (i < way.length && way[i]![2] <= now) hear(way[i++]!);
      if (i >= way.length) clearInterval(timer);
    }, 100);
    return () => clearInterval(timer);
  },
});
