import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Moment } from "../../core/findings/restriction";
import type { MarkedPhoto } from "../../core/measure/read-photo";
import type { Plan, Target } from "../../core/series/plan";

/** A picture taken ahead by scripts/make-demo.ts. */
export type MadePhoto = MarkedPhoto & { file: string; visit: number; moment: Moment };

const folder = join(process.cwd(), "data/demo/made");
const read = <T>(name: string) => JSON.parse(readFileSync(join(folder, name), "utf8")) as T;

export const madePhotos = () => read<MadePhoto[]>("photos.json");
export const madePlan = () => read<Plan & { targets: Target[] }>("plan.json");
export const madeBytes = (file: string) => readFileSync(join(folder, file));
