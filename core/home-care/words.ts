import { counted, sideWord } from "../words";
import type { Side } from "../units";
import type { Exercise, HomeDose } from "./exercises";

/** "twice a day, 2 min on each side" */
export function homeDose(exercise: Pick<Exercise, "sided">, { times, minutes }: HomeDose, side: Side | null): string {
  const often = times === 1 ? "once a day" : times === 2 ? "twice a day" : `${counted(times, "time")} a day`;
  const sided = exercise.sided ? (side === null ? " on each side" : ` on the ${sideWord[side]}`) : "";
  return `${often}, ${minutes} min${sided}`;
}
