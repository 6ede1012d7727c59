import type { Random } from "../../core/random";
import type { Degrees } from "../../core/units";
import type { Inclinometer } from "./inclinometer";

const everyMs = 20;
/** Seconds of one repeat: there, held, back, rest. */
const phases = { there: 1, held: 1.7, back: 0.8, rest: 0.5 } as const;
const repeat = phases.there + phases.held + phases.back + phases.rest;
/** What the stand-in does wrong: it drifts (degrees a second), jitters (SD) and drops angles out (share). */
const faults = { drift: 0.04, jitter: 0.2, dropped: 0.04 } as const;

const eased = (share: number) => (1 - Math.cos(Math.PI * share)) / 2;

/** How far a limb is, as a share of its range, `seconds` after it began: again and again. */
export function shareAt(seconds: number): number {
  const at = seconds % repeat;
  if (at < phases.there) return eased(at / phases.there);
  if (at < phases.there + phases.held) return 1;
  const back = at - phases.there - phases.held;
  return back < phases.back ? 1 - eased(back / phases.back) : 0;
}

/**
 * A simulated inclinometer on a limb that goes to the end of its range `truth` again and again, 50 angles a second. Each time
 * it ends a little elsewhere (SD 2°, as with a real one).
 */
export function rangeStandIn(truth: Degrees, random: Random): Inclinometer {
  return {
    name: "Inclinometer stand-in",
    listen(hear) {
      let [ticks, reach, times] = [0, truth + 2 * random.normal(), 0];
      const timer = setInterval(() => {
        const at = (++ticks * everyMs) / 1000;
        if (Math.floor(at / repeat) > times) {
          times += 1;
          reach = truth + 2 * random.normal();
        }
        if (random.uniform() < faults.dropped) return;
        hear({ at, angle: reach * shareAt(at) + faults.drift * at + faults.jitter * random.normal() });
      }, everyMs);
      return () => clearInterval(timer);
    },
  };
}
