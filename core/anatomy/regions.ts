/** The territories a body is worked in, head to foot. Both the body map and the plan use these rows. */
export const regions = [
  { key: "head", name: "Head, jaw", aspect: "all" },
  { key: "neck", name: "Neck", aspect: "back" },
  { key: "shoulder", name: "Shoulder girdle", aspect: "all" },
  { key: "arm", name: "Arms", aspect: "all" },
  { key: "chest", name: "Chest, ribs", aspect: "front" },
  { key: "upper-back", name: "Upper back", aspect: "back" },
  { key: "low-back", name: "Low back", aspect: "back" },
  { key: "belly", name: "Belly, hip flexors", aspect: "front" },
  { key: "pelvis", name: "Pelvis, hip joint", aspect: "back" },
  { key: "thigh", name: "Thighs", aspect: "all" },
  { key: "leg", name: "Lower legs, feet", aspect: "all" },
] as const;

export type RegionKey = (typeof regions)[number]["key"];
export const regionKeys = regions.map((region) => region.key) as readonly RegionKey[];
export const isRegion = (key: string): key is RegionKey => regionKeys.some((known) => known === key);
export const regionName = (key: RegionKey): string => regions.find((region) => region.key === key)!.name;
