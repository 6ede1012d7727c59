import type { PlaceKey } from "../anatomy/places";

/**
 * Places that are never pressed, or only in one way, whoever lies there. Coordinates are those of the figure's left
 * half (x up to the mid-line at 100). Common practice; check local codes.
 */
export type Zone = {
  key: string;
  name: string;
  places: readonly PlaceKey[];
  face: "front" | "back";
  at: readonly (readonly [x: number, y: number])[];
  /** What is allowed there. */
  rule: string;
};

export const zones: readonly Zone[] = [
  {
    key: "front-neck",
    name: "Front of the neck",
    places: ["throat"],
    face: "front",
    at: [[96, 84]],
    rule: "Never ahead of the sternocleidomastoid.",
  },
  {
    key: "temporal-artery",
    name: "Temporal artery",
    places: ["temple"],
    face: "front",
    at: [[81, 30]],
    rule: "Rest, no pressure.",
  },
  { key: "eye", name: "Eye", places: ["face"], face: "front", at: [[92, 38]], rule: "Stay on the bone around it." },
  {
    key: "behind-ear",
    name: "Hollow behind the ear",
    places: ["ear"],
    face: "back",
    at: [[80, 46]],
    rule: "No pressure into the hollow.",
  },
  {
    key: "armpit",
    name: "Depth of the armpit",
    places: ["armpit"],
    face: "front",
    at: [[61, 124]],
    rule: "Flat hands along the walls, never into the depth.",
  },
  {
    key: "breast",
    name: "Breast tissue",
    places: ["breast"],
    face: "front",
    at: [[80, 146]],
    rule: "Stay clear; the client’s own hand covers.",
  },
  { key: "xiphoid", name: "Xiphoid", places: ["breastbone"], face: "front", at: [[100, 172]], rule: "No pressure." },
  {
    key: "inner-elbow",
    name: "Inner elbow",
    places: ["inner-elbow"],
    face: "front",
    at: [[45, 184]],
    rule: "Light, no holds.",
  },
  {
    key: "ulnar-groove",
    name: "Ulnar groove",
    places: ["elbow"],
    face: "back",
    at: [[47, 186]],
    rule: "Pass beside it.",
  },
  {
    key: "floating-ribs",
    name: "Floating ribs and kidneys",
    places: ["flank"],
    face: "back",
    at: [[80, 184]],
    rule: "Broad and light, no point of an elbow.",
  },
  {
    key: "belly-pulse",
    name: "Pulse in the middle of the belly",
    places: ["mid-belly"],
    face: "front",
    at: [[100, 206]],
    rule: "Where it pulses, move aside.",
  },
  {
    key: "groin",
    name: "Groin triangle",
    places: ["groin"],
    face: "front",
    at: [[84, 254]],
    rule: "Stay clear, with a folded towel between.",
  },
  { key: "perineum", name: "Perineum", places: ["pubis"], face: "front", at: [[100, 262]], rule: "Never." },
  {
    key: "spinous",
    name: "Spinous processes",
    places: ["t-upper", "t-mid", "t-low"],
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
    places: ["l-upper", "l-low"],
    face: "back",
    at: [[100, 195]],
    rule: "Keep to the groove beside them.",
  },
  { key: "coccyx", name: "Coccyx", places: ["tailbone"], face: "back", at: [[100, 266]], rule: "No pressure." },
  {
    key: "knee-back",
    name: "Back of the knee",
    places: ["knee-back"],
    face: "back",
    at: [[80, 372]],
    rule: "Lighten, no holds.",
  },
  {
    key: "bony-edges",
    name: "Bony edges",
    places: ["shin"],
    face: "front",
    at: [[80, 430]],
    rule: "No instrument on the edge of the shin.",
  },
];

/** What to stay clear of while places are worked. */
export const zonesOf = (touched: readonly PlaceKey[]): Zone[] =>
  zones.filter((zone) => zone.places.some((place) => touched.includes(place)));
