import type { Heard } from "../../core/measure/steady";
import type { Random } from "../../core/random";
import type { Degrees } from "../../core/units";

/**
 * What an inclinometer does for the application: it tells its angle until it is told to stop. `lost` is called once when it
 * stops by itself: unplugged, out of reach.
 */
export type Inclinometer = {
  name: string;
  listen: (hear: (heard: Heard) => void, lost?: () => void) => () => void;
};

const everyMs = 80;

/** The angle a stand-in shows `seconds` after it was laid on: it comes to rest within a second, and a hand trembles. */
export const standInAngle = (truth: Degrees, seconds: number, random: Random): Degrees =>
  truth + 9 * Math.exp(-seconds / 0.35) * Math.cos(7 * seconds) + 0.25 * random.normal();

/**
 * A simulated inclinometer laid on a line whose true angle is `truth`. How it is laid on differs a little each time
 * (SD 1°), as with a real one.
 */
export function inclinometerStandIn(truth: Degrees, random: Random): Inclinometer {
  return {
    name: "Inclinometer stand-in",
    listen(hear) {
      const laid = truth + random.normal();
      let ticks = 0;
      const timer = setInterval(() => {
        const at = (++ticks * everyMs) / 1000;
        hear({ at, angle: standInAngle(laid, at, random) });
      }, everyMs);
      return () => clearInterval(timer);
    },
  };
}
