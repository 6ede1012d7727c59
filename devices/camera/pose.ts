import { toRadians } from "../../core/units";
import type { Posture } from "./posture";
import { smoothstep, type Vec3 } from "./vector";

const { abs, cos, max, sign, sin } = Math;

/** What a part of the body moves with. */
export type Carrier = "trunk" | "head" | "arm";

export type Pose = (neutral: Vec3, carrier?: Carrier) => Vec3;

/**
 * The displacement a posture gives each neutral point (mm). Heights come as fractions of stature from Drillis &
 * Contini (1966): ankle .039, knee .285, hip .530, shoulder .818. The trunk bends smoothly with height; arms ride
 * on their shoulder and the head on the neck, so that they keep their shape.
 */
export function poseOf(posture: Posture): Pose {
  const h = posture.stature;
  const tan = (angle: number) => Math.tan(toRadians(angle));
  const pelvis = (y: number) => smoothstep(0.4, 0.52, y) * (1 - smoothstep(0.6, 0.68, y));
  const shoulders = (y: number) => smoothstep(0.66, 0.78, y);
  const thorax = (y: number) => smoothstep(0.6, 0.74, y) * (1 - smoothstep(0.8, 0.9, y));
  const loin = (y: number) => smoothstep(0.54, 0.63, y) * (1 - smoothstep(0.66, 0.74, y));
  const knee = (y: number) => max(0, 1 - abs(y - 0.287) / 0.24) ** 1.5;

  const trunk = ([x, y, z]: Vec3): Vec3 => {
    const f = y / h;
    const side = x >= 0 ? 1 : -1;
    let px = x;
    let py = y;
    let pz = z;
    // knees
    px -= side * (side > 0 ? posture.kneeInL : posture.kneeInR) * knee(f);
    pz -= posture.kneesBack * knee(f);
    // feet turn out about the ankle
    if (f < 0.05) {
      const weight = 1 - smoothstep(0.03, 0.05, f);
      const cx = side * 0.052 * h;
      const angle = toRadians(posture.turnOut * side * weight);
      const dx = px - cx;
      px = cx + dx * cos(angle) + pz * sin(angle);
      pz = pz * cos(angle) - dx * sin(angle);
    }
    // pelvis turns in the sagittal plane about the hip axis
    const turn = toRadians(posture.pelvisTiltSagittal * pelvis(f));
    const [hipY, hipZ] = [0.53 * h, 0.012 * h];
    const [ry, rz] = [py - hipY, pz - hipZ];
    py = hipY + ry * cos(turn) - rz * sin(turn);
    pz = hipZ + rz * cos(turn) + ry * sin(turn);
    // frontal tilts as shears, so that the midline stays
    py += x * tan(posture.pelvisTiltFrontal) * pelvis(f);
    py += x * tan(posture.shoulderTilt) * shoulders(f) * (1 - smoothstep(0.9, 0.95, f));
    // the spine
    pz -= posture.kyphosis * thorax(f);
    pz += posture.lordosis * loin(f);
    pz += posture.shouldersForward * shoulders(f) * smoothstep(0.07, 0.11, abs(x) / h);
    px += posture.trunkShift * smoothstep(0.54, 0.8, f);
    return [px, py, pz + y * tan(posture.lean)];
  };

  const neckBase: Vec3 = [0, 0.86 * h, -0.004 * h];
  const neckMove = (f: number): Vec3 => {
    const weight = smoothstep(0.825, 0.89, f);
    return [posture.headShift * weight, 0, posture.headForward * weight];
  };
  const head = (point: Vec3): Vec3 => {
    const base = trunk(neckBase);
    const angle = toRadians(posture.headTilt);
    const dx = point[0] - neckBase[0];
    const dy = point[1] - neckBase[1];
    const move = neckMove(0.9);
    return [
      base[0] + dx * cos(angle) - dy * sin(angle) + move[0],
      base[1] + dy * cos(angle) + dx * sin(angle),
      base[2] + point[2] - neckBase[2] + move[2],
    ];
  };

  return (neutral, carrier = "trunk") => {
    if (carrier === "head") return head(neutral);
    if (carrier === "arm") {
      const shoulder: Vec3 = [sign(neutral[0]) * 0.11 * h, 0.812 * h, 0];
      const moved = trunk(shoulder);
      return [
        neutral[0] + moved[0] - shoulder[0],
        neutral[1] + moved[1] - shoulder[1],
        neutral[2] + moved[2] - shoulder[2],
      ];
    }
    const [x, y, z] = trunk(neutral);
    const move = neckMove(neutral[1] / h);
    return [x + move[0], y, z + move[2]];
  };
}
