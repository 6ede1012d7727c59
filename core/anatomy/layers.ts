/** The five layers a hand passes through, surface to joint. `depth` counts from 1. */
export const layers = [
  { key: "SF", depth: 1, name: "Surface fascia" },
  { key: "DF", depth: 2, name: "Deep fascia" },
  { key: "SM", depth: 3, name: "Outer muscle" },
  { key: "DM", depth: 4, name: "Inner muscle" },
  { key: "AR", depth: 5, name: "Joint" },
] as const;

export type LayerKey = (typeof layers)[number]["key"];
export const layerKeys = layers.map((layer) => layer.key) as readonly LayerKey[];
export const depthOf = (key: LayerKey): number => layers.find((layer) => layer.key === key)!.depth;
export const layerName = (key: LayerKey): string => layers.find((layer) => layer.key === key)!.name;
