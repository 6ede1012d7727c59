/** Where the hands listen, in the order they go, before and after light-touch work. Common teaching. */
export const stations = [
  { key: "heels", name: "Heels" },
  { key: "feet", name: "Tops of the feet" },
  { key: "thighs", name: "Front of the thighs" },
  { key: "pelvis", name: "Front of the pelvis" },
  { key: "ribs", name: "Lower ribs" },
  { key: "shoulders", name: "Shoulders" },
  { key: "vault-sides", name: "Head: fingers over the sides" },
  { key: "vault-front-back", name: "Head: forehead and occiput" },
  { key: "vault-under", name: "Head: palms under" },
] as const;

export type StationKey = (typeof stations)[number]["key"];

/** What one hand feels: 0 flat … 3 free, and how far it moves, 0–3. */
export type HandFelt = { quality: 0 | 1 | 2 | 3; amplitude: 0 | 1 | 2 | 3 };

export type StationFelt = {
  L?: HandFelt;
  R?: HandFelt;
  symmetry?: "even" | "left leads" | "right leads";
  /** Cycles per minute from tapping, with its standard error. */
  rate?: { perMinute: number; se: number; cycles: number };
};

export type Listening = Partial<Record<StationKey, StationFelt>>;

/** How free a hand feels a station to be, 0–1: quality and amplitude together. */
export const freedom = (felt: HandFelt): number => (felt.quality + felt.amplitude) / 6;

/** Balance of a pair: (a − b) / (a + b), 0 when both are 0. Positive when the left is freer. */
export function balanceIndex(left: number, right: number): number {
  return left + right === 0 ? 0 : (left - right) / (left + right);
}

/** The station and side where motion is weakest: where to begin. Undefined when nothing was felt yet. */
export function weakest(listening: Listening): { station: StationKey; side: "L" | "R"; freedom: number } | undefined {
  let found: { station: StationKey; side: "L" | "R"; freedom: number } | undefined;
  for (const { key } of stations)
    for (const side of ["L", "R"] as const) {
      const felt = listening[key]?.[side];
      if (felt && (!found || freedom(felt) < found.freedom)) found = { station: key, side, freedom: freedom(felt) };
    }
  return found;
}

/** Mean freedom of all hands that were felt, 0–1; undefined when none was. */
export function overallFreedom(listening: Listening): number | undefined {
  const felt = stations.flatMap(({ key }) =>
    (["L", "R"] as const).map((side) => listening[key]?.[side]).filter((hand) => hand !== undefined),
  );
  return felt.length === 0 ? undefined : felt.reduce((sum, hand) => sum + freedom(hand), 0) / felt.length;
}
