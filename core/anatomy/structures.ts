import type { LayerKey } from "./layers";
import type { RegionKey } from "./regions";

/** A named structure as palpation finds it: where it lies and how deep. */
export type Structure = { key: string; name: string; region: RegionKey; layer: LayerKey; midline?: true };

const of = (region: RegionKey, rows: readonly (readonly [LayerKey, string, "mid"?])[]): Structure[] =>
  rows.map(([layer, name, midline]) => ({
    key: `${region}.${name.toLowerCase().replace(/[^a-z0-9]+/g, "-")}`,
    name,
    region,
    layer,
    ...(midline ? { midline: true as const } : {}),
  }));

export const structures: readonly Structure[] = [
  ...of("head", [
    ["SF", "Scalp"],
    ["DF", "Temporal fascia"],
    ["SM", "Masseter"],
    ["SM", "Temporalis"],
    ["AR", "Jaw joint"],
  ]),
  ...of("neck", [
    ["SF", "Neck skin fold"],
    ["DF", "Nuchal fascia"],
    ["SM", "Upper trapezius"],
    ["DM", "Levator scapulae"],
    ["DM", "Scalenes"],
    ["DM", "Splenius"],
    ["DM", "Suboccipitals"],
    ["AR", "Neck joints"],
  ]),
  ...of("shoulder", [
    ["SF", "Skin over the blade"],
    ["DF", "Shoulder fascia"],
    ["SM", "Middle trapezius"],
    ["SM", "Deltoid"],
    ["SM", "Infraspinatus"],
    ["SM", "Serratus anterior"],
    ["DM", "Rhomboids"],
    ["DM", "Subscapularis"],
    ["AR", "Blade on the ribs"],
  ]),
  ...of("arm", [
    ["SF", "Skin of the arm"],
    ["DF", "Arm fascia"],
    ["DF", "Forearm fascia"],
    ["SM", "Coracobrachialis and short biceps"],
    ["SM", "Wrist flexors"],
    ["SM", "Wrist extensors"],
  ]),
  ...of("chest", [
    ["SF", "Skin of the chest"],
    ["DF", "Pectoral fascia"],
    ["SM", "Pectoralis major"],
    ["DM", "Pectoralis minor"],
    ["DM", "Rib spaces"],
    ["AR", "Rib joints"],
  ]),
  ...of("upper-back", [
    ["SF", "Skin of the upper back"],
    ["DF", "Upper back fascia"],
    ["SM", "Thoracic erectors"],
    ["DM", "Thoracic groove"],
    ["AR", "Thoracic segments"],
  ]),
  ...of("low-back", [
    ["SF", "Skin of the low back"],
    ["DF", "Thoracolumbar fascia"],
    ["SM", "Lumbar erectors"],
    ["SM", "Latissimus"],
    ["DM", "Multifidus groove"],
    ["DM", "Quadratus lumborum"],
    ["AR", "Lumbar segments"],
  ]),
  ...of("belly", [
    ["SF", "Skin of the belly"],
    ["DF", "Abdominal fascia"],
    ["SM", "Rectus abdominis"],
    ["SM", "Obliques"],
    ["DM", "Iliopsoas"],
  ]),
  ...of("pelvis", [
    ["SF", "Skin over the sacrum"],
    ["DF", "Gluteal fascia"],
    ["SM", "Gluteus maximus"],
    ["SM", "Tensor fasciae latae"],
    ["DM", "Hip rotators"],
    ["AR", "Sacroiliac joint"],
    ["AR", "Hip joint"],
  ]),
  ...of("thigh", [
    ["SF", "Skin of the thigh"],
    ["DF", "Iliotibial band"],
    ["DF", "Thigh fascia"],
    ["SM", "Hamstrings"],
    ["SM", "Quadriceps"],
    ["SM", "Adductors"],
    ["DM", "Rectus femoris and deep thigh"],
    ["AR", "Knee"],
  ]),
  ...of("leg", [
    ["SF", "Skin of the lower leg"],
    ["DF", "Crural fascia"],
    ["DF", "Sole of the foot"],
    ["SM", "Calf"],
    ["SM", "Peroneals"],
    ["DM", "Deep calf"],
    ["AR", "Ankle and foot joints"],
  ]),
];

export const structureOf = (key: string): Structure | undefined =>
  structures.find((structure) => structure.key === key);
