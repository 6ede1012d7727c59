import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Moment } from "../../core/findings/restriction";
import type { Marks } from "../../core/measure/calibration";
import type { MarkedPhoto } from "../../core/measure/read-photo";
import type { Target } from "../../core/reading/target";
import type { Plan } from "../../core/series/plan";

/** A picture taken ahead by scripts/make-demo.ts. */
export type MadePhoto = MarkedPhoto & { file: string; visit: number; moment: Moment };

const folder = join(process.cwd(), "data/demo/made");
const read = <T>(name: string) => JSON.parse(readFileSync(join(folder, name), "utf8")) as T;

/** How the demo's first practitioner marked the study set, picture by picture. */
export const madeStudy = () => read<{ key: string; marks: Marks }[]>("study.json");
export const madePhotos = (of: "ruben" | "leontine" = "ruben") => read<MadePhoto[]>(`${of}.json`);
export const madePlan = () => read<Plan & { targets: Target[] }>("plan.json");
export const madeBytes = (file: string) => readFileSync(join(folder, file));
