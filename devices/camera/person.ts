import { seeded, seedOf } from "../../core/random";
import { drawPosture, eased, sway, type Posture } from "./posture";

/**
 * The simulated person in front of the stand-in camera: the same for the same client, a little nearer to neutral
 * after every session (most of it within the visit, part of it kept), and never standing twice quite the same.
 *
 * `standing` names the time they stand there: each view is one, for whoever turns round stands anew. `worked`: sessions
 * closed so far. Within a visit the work has its effect "after".
 */
export function stanceOf(
  clientId: string,
  stature: number | undefined,
  worked: number,
  moment: "before" | "after",
  standing: string,
  person?: Posture,
): Posture {
  const own = person ?? drawPosture(seeded(seedOf(clientId)));
  const base = { ...own, stature: stature ?? own.stature };
  // each session eases a tenth of what is left, of which about 60 % is kept until the next
  const kept = 1 - 0.94 ** worked;
  const now = moment === "after" ? 1 - (1 - kept) * 0.9 : kept;
  return sway(eased(base, now), seedOf(`${clientId} ${worked} ${moment} ${standing}`));
}
