import { serialNumbers, type Ports } from "../serial";
import type { Inclinometer } from "./inclinometer";

/** A real inclinometer at a serial port that sends one angle a line. */
export async function serialInclinometer(ports: Ports, now?: () => number): Promise<Inclinometer> {
  const numbers = await serialNumbers(ports, 360, now);
  return {
    name: "Inclinometer at the cable",
    listen: (hear, lost) => numbers.listen((at, angle) => hear({ at, angle }), lost),
  };
}
