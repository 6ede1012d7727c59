import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { PhotoSetup } from "../core/measure/calibration";
import type { View } from "../core/measure/view";

/** A picture that ships with the product for studying one's own marking: a lay figure, nobody's health data. */
export type StudyPicture = { key: string; view: View; setup: PhotoSetup };

export const studyFolder = join(process.cwd(), "data/study-set");

let pictures: readonly StudyPicture[] | undefined;

/** The shipped pictures, in an order that says nothing. */
export const studySet = (): readonly StudyPicture[] =>
  (pictures ??= JSON.parse(readFileSync(join(studyFolder, "pictures.json"), "utf8")) as StudyPicture[]);

/** The bytes of one of them (WebP); undefined for a key that is not in the set. */
export const studyPictureFile = (key: string): Buffer | undefined =>
  studySet().some((picture) => picture.key === key) ? readFileSync(join(studyFolder, `${key}.webp`)) : undefined;
