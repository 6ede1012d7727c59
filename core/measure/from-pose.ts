import { landmarks, splitPoint, type LandmarkKey } from "../anatomy/landmarks";
import type { MarkKey, Marks, Px } from "./calibration";
import type { Pose } from "./pose";
import { isSideView, pictureSign, pointsOfView, type View } from "./view";

/**
 * Where a landmark usually lies from the joint centre a pose model finds: [anchor, outward or forward, down] as shares
 * of stature. "mid-" anchors are the middle of both sides. Means over 28 pictures of lay figures; people differ, which
 * is why these are guesses.
 */
type Offset = readonly [anchor: string, out: number, down: number];
const offsets: Record<"front" | "back" | "side", Partial<Record<LandmarkKey, Offset>>> = {
  front: {
    toe: ["toe", 0, 0.001],
    ankle: ["ankle", -0.004, 0.024],
    patella: ["knee", -0.011, -0.012],
    asis: ["hip", 0.016, -0.049],
    "sternal-notch": ["mid-shoulder", 0, -0.018],
    acromion: ["shoulder", -0.001, -0.033],
    tragus: ["ear", 0.007, 0.013],
  },
  back: {
    heel: ["heel", -0.004, 0.013],
    "heel-top": ["heel", -0.003, -0.017],
    calf: ["ankle", -0.005, -0.037],
    ankle: ["ankle", -0.006, 0.002],
    psis: ["hip", -0.027, -0.084],
    t12: ["mid-trunk", 0, 0.012],
    "scapula-low": ["shoulder", -0.042, 0.058],
    "scapula-root": ["shoulder", -0.05, -0.008],
    c7: ["mid-shoulder", 0, -0.053],
    acromion: ["shoulder", 0.008, -0.038],
    tragus: ["ear", 0.01, 0.01],
  },
  side: {
    malleolus: ["ankle", -0.001, 0.024],
    condyle: ["knee", -0.014, -0.001],
    trochanter: ["hip", 0.007, -0.01],
    asis: ["hip", 0.084, -0.05],
    psis: ["hip", -0.044, -0.081],
    acromion: ["shoulder", 0.004, -0.035],
    c7: ["mid-shoulder", -0.036, -0.025],
    tragus: ["ear", 0.005, 0.001],
    canthus: ["eye-outer", 0.008, -0.007],
  },
};

/** Guesses for a view's landmarks, with how sure the model is of each (0–1). Points it hardly sees are left out. */
export type PoseProposal = { marks: Marks; sure: Partial<Record<MarkKey, number>> };

const leastSure = 0.4;

export function fromPose(view: View, pose: Pose): PoseProposal {
  const at = (name: string): Px & { score: number } => pose.points[name]!;
  const mid = (name: string) => {
    const [l, r] = [at(`${name}.L`), at(`${name}.R`)];
    return { x: (l.x + r.x) / 2, y: (l.y + r.y) / 2, score: Math.min(l.score, r.score) };
  };
  const [ear, ankle] = [mid("ear"), mid("ankle")];
  const stature = Math.hypot(ear.x - ankle.x, ear.y - ankle.y) / (landmarks.tragus.height - landmarks.malleolus.height);
  const anchorOf = (anchor: string, side: string | undefined) => {
    if (anchor === "mid-trunk") {
      const [s, h] = [mid("shoulder"), mid("hip")];
      return { x: (s.x + h.x) / 2, y: (s.y + h.y) / 2, score: Math.min(s.score, h.score) };
    }
    return anchor.startsWith("mid-") ? mid(anchor.slice(4)) : at(`${anchor}.${side ?? "L"}`);
  };
  const marks: Marks = {};
  const sure: PoseProposal["sure"] = {};
  for (const key of pointsOfView[view]) {
    const { landmark, side } = splitPoint(key);
    const offset = offsets[isSideView(view) ? "side" : (view as "front" | "back")][landmark];
    if (!offset) continue;
    const [anchor, out, down] = offset;
    const { x, y, score } = anchorOf(anchor, side);
    if (score < leastSure) continue;
    // outwards for a side seen from front or back, forward in a side view
    const way = pictureSign[view] * (isSideView(view) || side !== "R" ? 1 : -1);
    marks[key] = { x: x + way * out * stature, y: y + down * stature };
    sure[key] = Math.min(score, pose.score);
  }
  return { marks, sure };
}
