import type { Face } from "../anatomy/body-map";
import type { RegionKey } from "../anatomy/regions";

/**
 * Places that are never pressed, or only in one way, whoever lies there. Coordinates are those of the body map's left
 * half (x up to the mid-line at 100). Common practice; check local codes.
 */
export type Zone = {
  key: string;
  name: string;
  region: RegionKey;
  face: Face;
  at: readonly (readonly [x: number, y: number])[];
  /** What is allowed there. */
  rule: string;
};

export const zones: readonly Zone[] = [
  {
    key: "front-neck",
    name: "Front of the neck",
    region: "neck",
    face: "front",
    at: [[96, 84]],
    rule: "Never ahead of the sternocleidomastoid.",
  },
  {
    key: "temporal-artery",
    name: "Temporal artery",
    region: "head",
    face: "front",
    at: [[81, 30]],
    rule: "Rest, no pressure.",
  },
  { key: "eye", name: "Eye", region: "head", face: "front", at: [[92, 38]], rule: "Stay on the bone around it." },
  {
    key: "behind-ear",
    name: "Hollow behind the ear",
    region: "head",
    face: "back",
    at: [[80, 46]],
    rule: "No pressure into the hollow.",
  },
  {
    key: "armpit",
    name: "Depth of the armpit",
    region: "shoulder",
    face: "front",
    at: [[61, 124]],
    rule: "Flat hands along the walls, never into the depth.",
  },
  {
    key: "breast",
    name: "Breast tissue",
    region: "chest",
    face: "front",
    at: [[80, 146]],
    rule: "Stay clear; the client’s own hand covers.",
  },
  { key: "xiphoid", name: "Xiphoid", region: "chest", face: "front", at: [[100, 172]], rule: "No pressure." },
  { key: "inner-elbow", name: "Inner elbow", region: "arm", face: "front", at: [[45, 184]], rule: "Light, no holds." },
  { key: "ulnar-groove", name: "Ulnar groove", region: "arm", face: "back", at: [[47, 186]], rule: "Pass beside it." },
  {
    key: "floating-ribs",
    name: "Floating ribs and kidneys",
    region: "low-back",
    face: "back",
    at: [[80, 184]],
    rule: "Broad and light, no point of an elbow.",
  },
  {
    key: "belly-pulse",
    name: "Pulse in the middle of the belly",
    region: "belly",
    face: "front",
    at: [[100, 206]],
    rule: "Where it pulses, move aside.",
  },
  {
    key: "groin",
    name: "Groin triangle",
    region: "thigh",
    face: "front",
    at: [[86, 268]],
    rule: "Stay clear, with a folded towel between.",
  },
  { key: "perineum", name: "Perineum", region: "pelvis", face: "front", at: [[100, 262]], rule: "Never." },
  {
    key: "spinous",
    name: "Spinous processes",
    region: "upper-back",
    face: "back",
    at: [
      [100, 130],
      [100, 160],
    ],
    rule: "Keep to the groove beside them.",
  },
  {
    key: "spinous-low",
    name: "Spinous processes",
    region: "low-back",
    face: "back",
    at: [[100, 195]],
    rule: "Keep to the groove beside them.",
  },
  { key: "coccyx", name: "Coccyx", region: "pelvis", face: "back", at: [[100, 266]], rule: "No pressure." },
  {
    key: "knee-back",
    name: "Back of the knee",
    region: "leg",
    face: "back",
    at: [[80, 372]],
    rule: "Lighten, no holds.",
  },
  {
    key: "bony-edges",
    name: "Bony edges",
    region: "leg",
    face: "front",
    at: [[80, 430]],
    rule: "No instrument on the edge of the shin.",
  },
];

/** What to stay clear of while a region is worked. */
export const zonesOf = (touched: readonly RegionKey[]): Zone[] => zones.filter((zone) => touched.includes(zone.region));
