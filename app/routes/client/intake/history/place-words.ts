const before = { L: "left ", R: "right ", both: "both " } as const;

/** A place as it is typed, so that it is read again as the same: "left arm", "low back". */
export const placeWords = (place: { region: string | null; side: "L" | "R" | "both" | null }): string =>
  `${place.side ? before[place.side] : ""}${place.region?.replace("-", " ") ?? ""}`;
