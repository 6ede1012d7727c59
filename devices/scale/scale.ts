import type { Random } from "../../core/random";
import type { Weighed } from "../../core/trainer/force";
import { serialNumbers, type Ports } from "../serial";

/** What a scale does for the trainer: it tells grams until it is told to stop. `lost`: it stopped by itself. */
export type Scale = { name: string; listen: (hear: (weighed: Weighed) => void, lost?: () => void) => () => void };

/** A hundred readings a second. */
const everyMs = 10;
/** What the stand-in does wrong: its zero is off, it creeps (grams a minute), trembles (SD) and drops readings out for a moment. */
export const faults = { zero: 7.3, creep: 0.2, noise: 0.15, dropsAMinute: 2, dropMs: 700 } as const;

/** What a stand-in reads of `truth` grams at a moment. */
export const reads = (truth: number, at: number, random: Random): number =>
  truth + faults.zero + (faults.creep * at) / 60 + faults.noise * random.normal();

/**
 * A simulated scale under a hand whose true force `force` tells whenever it is asked. `unplug` takes it off in mid-round.
 */
export function scaleStandIn(force: () => number, random: Random): Scale & { unplug: () => void } {
  let unplug = () => undefined as void;
  return {
    name: "Scale stand-in",
    unplug: () => unplug(),
    listen(hear, lost) {
      const began = performance.now();
      let silentUntil = 0;
      let told = 0;
      const timer = setInterval(() => {
        const now = performance.now() - began;
        // a timer that came late tells what it missed
        for (; told + everyMs <= now; told += everyMs) {
          if (random.uniform() < (faults.dropsAMinute * everyMs) / 60_000) silentUntil = told + faults.dropMs;
          if (told >= silentUntil) hear({ at: told / 1000, grams: reads(force(), told / 1000, random) });
        }
      }, everyMs);
      unplug = () => {
        clearInterval(timer);
        lost?.();
      };
      return () => clearInterval(timer);
    },
  };
}

/** A real scale at a serial port that sends grams, one reading a line. */
export async function serialScale(ports: Ports, now?: () => number): Promise<Scale> {
  const numbers = await serialNumbers(ports, 5000, now);
  return {
    name: "Scale at the cable",
    listen: (hear, lost) => numbers.listen((at, grams) => hear({ at, grams }), lost),
  };
}
