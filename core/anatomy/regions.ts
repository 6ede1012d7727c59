/** The territories a body is worked in, head to foot. Both the body map and the plan use these rows. */
export const regions = [
  { key: "head", name: "Head, jaw", aspect: "all", sensitive: false },
  { key: "neck", name: "Neck", aspect: "back", sensitive: false },
  { key: "shoulder", name: "Shoulder girdle", aspect: "all", sensitive: false },
  { key: "arm", name: "Arms", aspect: "all", sensitive: false },
  { key: "chest", name: "Chest, ribs", aspect: "front", sensitive: true },
  { key: "upper-back", name: "Upper back", aspect: "back", sensitive: false },
  { key: "low-back", name: "Low back", aspect: "back", sensitive: false },
  { key: "belly", name: "Belly, hip flexors", aspect: "front", sensitive: true },
  { key: "pelvis", name: "Pelvis, hip joint", aspect: "back", sensitive: true },
  { key: "thigh", name: "Thighs", aspect: "all", sensitive: false },
  { key: "leg", name: "Lower legs, feet", aspect: "all", sensitive: false },
] as const;

export type RegionKey = (typeof regions)[number]["key"];
export const regionKeys = regions.map((region) => region.key) as readonly RegionKey[];
export const isRegion = (key: string): key is RegionKey => regionKeys.some((known) => known === key);
export const regionName = (key: RegionKey): string => regions.find((region) => region.key === key)!.name;
