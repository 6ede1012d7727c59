import { cone, ellipsoid, loft, type Slice, type Solid } from "./field";
import type { Carrier, Pose } from "./pose";
import type { Vec3 } from "./vector";

/**
 * The lay figure's shapes, as fractions of stature. Joint heights and segment lengths are those of Drillis &
 * Contini (1966): upper arm .186, forearm .146, hand .108, foot .152, shoulder half-breadth .129, hip .0955.
 */
export function bodyOf(stature: number, pose: Pose): Solid[] {
  const solids: Solid[] = [];
  const s = (value: number) => value * stature;
  const at = (x: number, y: number, z: number, carrier?: Carrier): Vec3 => pose([s(x), s(y), s(z)], carrier);
  const ball = (centre: Vec3, rx: number, ry: number, rz: number, blend: number) =>
    solids.push(ellipsoid(centre, [s(rx), s(ry), s(rz)], s(blend)));
  const rod = (a: Vec3, b: Vec3, ra: number, rb: number, blend: number) =>
    solids.push(cone(a, b, s(ra), s(rb), s(blend)));
  const slices = (rows: readonly (readonly number[])[], side: number, carrier?: Carrier): Slice[] =>
    rows.map(([y, x, z, a, b]) => {
      const [px, py, pz] = at(side * x!, y!, z!, carrier);
      return { x: px, y: py, z: pz, a: s(a!), b: s(b!) };
    });
  const sides = [1, -1] as const;

  // [height, across, forward, half-width, half-depth]
  const trunk = [
    [0.462, 0, 0.008, 0.05, 0.045],
    [0.485, 0, 0.008, 0.083, 0.062],
    [0.53, 0, 0.008, 0.096, 0.068],
    [0.56, 0, 0.01, 0.0935, 0.0655],
    [0.59, 0, 0.014, 0.086, 0.061],
    [0.625, 0, 0.019, 0.0785, 0.0565],
    [0.66, 0, 0.02, 0.0805, 0.058],
    [0.7, 0, 0.013, 0.087, 0.065],
    [0.745, 0, 0.003, 0.0935, 0.0695],
    [0.775, 0, -0.004, 0.094, 0.066],
    [0.8, 0, -0.008, 0.085, 0.056],
    [0.822, 0, -0.01, 0.064, 0.045],
    [0.842, 0, -0.01, 0.042, 0.037],
  ];
  solids.push(loft(slices(trunk, 1), 2.3, 0));

  const leg = [
    [0.522, 0.056, 0.008, 0.04, 0.052],
    [0.49, 0.056, 0.008, 0.0525, 0.062],
    [0.45, 0.0555, 0.01, 0.0525, 0.06],
    [0.4, 0.054, 0.0125, 0.046, 0.0525],
    [0.345, 0.053, 0.012, 0.0375, 0.0425],
    [0.305, 0.052, 0.0095, 0.0315, 0.0355],
    [0.285, 0.052, 0.008, 0.0305, 0.0345],
    [0.262, 0.052, 0.004, 0.029, 0.033],
    [0.23, 0.0525, -0.002, 0.0315, 0.0355],
    [0.2, 0.0525, -0.005, 0.0315, 0.0355],
    [0.16, 0.052, -0.004, 0.0265, 0.0295],
    [0.11, 0.052, -0.002, 0.0195, 0.022],
    [0.065, 0.052, 0, 0.0165, 0.0205],
    [0.03, 0.052, 0.001, 0.0175, 0.022],
  ];
  for (const side of sides) {
    solids.push(loft(slices(leg, side), 2, s(0.014)));
    ball(at(side * 0.045, 0.503, -0.034), 0.047, 0.05, 0.044, 0.018); // buttock
    ball(at(side * 0.052, 0.288, 0.031), 0.017, 0.021, 0.0125, 0.012); // kneecap
    ball(at(side * 0.052, 0.252, 0.03), 0.01, 0.014, 0.008, 0.012); // tibial tuberosity
    ball(at(side * 0.07, 0.566, 0.054), 0.012, 0.014, 0.012, 0.02); // front of the iliac crest
    for (const out of [1, -1]) ball(at(side * (0.052 + out * 0.0155), 0.041, 0.001), 0.006, 0.01, 0.008, 0.008);
    // foot
    ball(at(side * 0.052, 0.018, -0.014), 0.0185, 0.0185, 0.0225, 0.012);
    rod(at(side * 0.0525, 0.03, 0.012), at(side * 0.055, 0.013, 0.074), 0.0205, 0.0125, 0.016);
    ball(at(side * 0.0565, 0.0105, 0.074), 0.0255, 0.0105, 0.03, 0.012);
    rod(at(side * 0.043, 0.009, 0.092), at(side * 0.0435, 0.0075, 0.108), 0.0088, 0.0078, 0.006);
    for (const [i, reach] of [0.108, 0.105, 0.1, 0.094].entries())
      rod(
        at(side * (0.053 + i * 0.0082), 0.0075, 0.085),
        at(side * (0.0535 + i * 0.0086), 0.0058, reach),
        0.0062,
        0.0054,
        0.004,
      );
  }

  // chest, back, shoulders
  for (const side of sides) {
    ball(at(side * 0.044, 0.762, 0.046), 0.044, 0.03, 0.0165, 0.034);
    ball(at(side * 0.052, 0.765, -0.051), 0.03, 0.044, 0.0135, 0.05); // blade
    ball(at(side * 0.072, 0.705, -0.014), 0.022, 0.06, 0.034, 0.05);
    ball(at(side * 0.02, 0.635, -0.03), 0.015, 0.065, 0.009, 0.035); // erectors
    rod(at(side * 0.014, 0.88, -0.008), at(side * 0.086, 0.815, -0.008), 0.012, 0.018, 0.03);
    rod(at(side * 0.014, 0.817, 0.0285), at(side * 0.09, 0.822, 0.006), 0.005, 0.006, 0.018);
    ball(at(side * 0.103, 0.799, -0.002), 0.0275, 0.034, 0.0315, 0.03);
  }
  ball(at(0, 0.6, 0.05), 0.048, 0.07, 0.014, 0.06);
  solids.push(cone(at(0, 0.8, -0.079), at(0, 0.62, -0.051), s(0.007), s(0.007), -s(0.028))); // groove of the spine

  // arms: a little away from the body and bent forward, so that the low back shows from the side
  const arm = [
    [0.82, 0.1, 0, 0.008, 0.01],
    [0.812, 0.104, 0, 0.019, 0.021],
    [0.79, 0.1125, 0.001, 0.0265, 0.0295],
    [0.75, 0.12, 0.003, 0.026, 0.029],
    [0.7, 0.126, 0.008, 0.0235, 0.0255],
    [0.65, 0.132, 0.015, 0.0205, 0.0215],
    [0.626, 0.135, 0.02, 0.0205, 0.021],
    [0.595, 0.138, 0.031, 0.0215, 0.022],
    [0.56, 0.141, 0.043, 0.0195, 0.0205],
    [0.52, 0.1445, 0.057, 0.0155, 0.0165],
    [0.49, 0.147, 0.067, 0.0125, 0.0155],
    [0.47, 0.1475, 0.073, 0.0105, 0.016],
  ];
  for (const side of sides) {
    const on = (x: number, y: number, z: number) => at(side * x, y, z, "arm");
    solids.push(loft(slices(arm, side, "arm"), 2, s(0.016)));
    rod(on(0.147, 0.488, 0.068), on(0.15, 0.452, 0.08), 0.0115, 0.0125, 0.018);
    ball(on(0.149, 0.456, 0.08), 0.011, 0.027, 0.0225, 0.018);
    for (const [i, reach] of [0.056, 0.064, 0.06, 0.048].entries()) {
      const back = 0.094 - i * 0.0105;
      rod(on(0.149, 0.436, back), on(0.143, 0.436 - reach * 0.6, back + 0.01), 0.0066, 0.006, 0.005);
      rod(on(0.143, 0.436 - reach * 0.6, back + 0.01), on(0.136, 0.436 - reach, back + 0.014), 0.006, 0.005, 0.004);
    }
    rod(on(0.146, 0.468, 0.092), on(0.138, 0.432, 0.114), 0.0082, 0.0062, 0.008);
  }

  // neck and head
  const neck = [
    [0.815, 0, -0.008, 0.042, 0.036],
    [0.845, 0, -0.006, 0.035, 0.0345],
    [0.87, 0, 0.002, 0.0315, 0.0325],
    [0.9, 0, 0.01, 0.031, 0.033],
  ];
  solids.push(loft(slices(neck, 1), 2, s(0.016)));
  const on = (x: number, y: number, z: number) => at(x, y, z, "head");
  ball(on(0, 0.9475, 0.018), 0.0435, 0.0505, 0.0545, 0.014);
  ball(on(0, 0.907, 0.036), 0.0345, 0.041, 0.036, 0.022);
  ball(on(0, 0.8785, 0.053), 0.0165, 0.0105, 0.015, 0.018);
  for (const side of sides) {
    rod(on(side * 0.031, 0.9, 0.02), on(side * 0.014, 0.876, 0.052), 0.0075, 0.0075, 0.016); // jaw line
    ball(on(side * 0.022, 0.919, 0.054), 0.012, 0.01, 0.01, 0.014); // cheekbone
  }
  ball(on(0, 0.942, 0.058), 0.028, 0.009, 0.0115, 0.016);
  for (const side of sides)
    solids.push(ellipsoid(on(side * 0.0165, 0.9315, 0.0745), [s(0.0115), s(0.0075), s(0.009)], -s(0.009)));
  rod(on(0, 0.9335, 0.0685), on(0, 0.9135, 0.0795), 0.0045, 0.0068, 0.009);
  ball(on(0, 0.8975, 0.0685), 0.0125, 0.0055, 0.0055, 0.009); // mouth, closed
  for (const side of sides) {
    ball(on(side * 0.0425, 0.922, 0.02), 0.0055, 0.0175, 0.0105, 0.004);
    ball(on(side * 0.046, 0.925, 0.0165), 0.0045, 0.0125, 0.0085, 0.003);
    solids.push(ellipsoid(on(side * 0.0495, 0.923, 0.0225), [s(0.004), s(0.008), s(0.0045)], -s(0.003)));
    ball(on(side * 0.0425, 0.922, 0.0305), 0.0035, 0.004, 0.0035, 0.003); // tragus
  }
  return solids;
}
