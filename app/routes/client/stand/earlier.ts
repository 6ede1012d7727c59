import type { MarkedPhoto } from "~core/measure/read-photo";

/**
 * An earlier picture of the same view, to copy marks from and to compare with. `same`: another standing of the same minute,
 * before the same camera.
 */
export type Earlier = { photo: MarkedPhoto; url: string; name: string; same: boolean };
