import { landmarks, splitPoint, type PointKey } from "../anatomy/landmarks";
import { toDegrees, type Degrees, type Millimetres } from "../units";
import { calibrate, locate, upright, type Calibration, type PhotoSetup, type Scene } from "./calibration";
import { bend, footAngle } from "./geometry";
import { isReference } from "./marking";
import { feetOf } from "./propose";
import { sceneOf, type MarkedPhoto } from "./read-photo";
import { isSideView, usualDepth } from "./view";

/** Something in a picture's geometry that does not fit how it was said to be taken. */
export type Notice = {
  key: "stick-plane" | "stick-leans" | "lens-height" | "turned" | "cropped" | "knees-bent" | "scale";
  says: string;
  /** A change of the set-up that would make it fit. */
  remedy?: { name: string; setup: Partial<PhotoSetup> };
};

/** A value and its standard deviation. */
type Estimate = { value: number; sd: number };

/** What differs from person to person, however well the picture is marked (SD): common practice. */
const people = { ankleHeight: 8, turnOut: 3, notchOffCentre: 4, ankleLevel: 3 };
const placingOf = (point: PointKey) => landmarks[splitPoint(point).landmark].placing;
const centimetres = (mm: Millimetres) => `${Math.round(Math.abs(mm) / 10)} cm`;

/**
 * How far plumb and stick stand behind the plane of the ankles (mm): the foot of a stick on the floor appears the
 * higher, the further back it stands. Needs the ankles and a stick that stands on the floor.
 */
export function stickBehind(scene: Scene, calibration: Calibration): Estimate | undefined {
  const { setup, marks, view } = scene;
  const feet = feetOf(view);
  const places = feet.map((key) => marks[key]).filter((at) => at !== undefined);
  const foot = marks["stick.foot"];
  if (!foot || places.length < feet.length || setup.stickHangs) return undefined;
  const { stickBehind: noted = 0, cameraDistance: distance, cameraHeight: lens } = setup;
  // in millimetres at the plane of the stick
  const atStick = (distance + noted) / distance;
  const above = (at: { x: number; y: number }) => upright(scene, calibration, at).above * atStick;
  const ankles = places.reduce((sum, at) => sum + above(at), 0) / places.length;
  const depth = usualDepth(view, feet[0]!, setup.stature);
  const low = landmarks[splitPoint(feet[0]!).landmark].height * setup.stature - lens;
  const share = (low * distance) / (distance - depth) / (ankles - above(foot) - lens);
  const height = Math.hypot(people.ankleHeight, placingOf(feet[0]!));
  return { value: distance / share - distance, sd: (height * distance) / lens };
}

/** How far a client is turned (degrees, left side towards the camera positive), from what should be even. Front and back. */
export function turnedBy(scene: Scene, calibration: Calibration): Estimate | undefined {
  const { view, setup } = scene;
  if (isSideView(view)) return undefined;
  const at = (key: PointKey) => locate(scene, calibration, key);
  const found: Estimate[] = [];
  const [ankleR, ankleL] = [at("ankle.R"), at("ankle.L")];
  if (ankleR && ankleL) {
    // the nearer ankle stands lower in the picture
    const perDegree = (((ankleL.across - ankleR.across) * Math.PI) / 180) * (setup.cameraHeight / setup.cameraDistance);
    const sd = Math.hypot(Math.SQRT2 * placingOf("ankle.L"), people.ankleLevel);
    if (perDegree > 0) found.push({ value: (ankleR.up - ankleL.up) / perDegree, sd: sd / perDegree });
    const [toeR, toeL] = [at("toe.R"), at("toe.L")];
    if (toeR && toeL) {
      // feet stand evenly on their marks: what is uneven is the turn
      const value = -(footAngle([ankleR, toeR]) + footAngle([ankleL, toeL])) / 2;
      found.push({ value, sd: Math.hypot(people.turnOut, 1.6) });
    }
  }
  const [shoulderR, shoulderL] = [at("acromion.R"), at("acromion.L")];
  const middleKey: PointKey = view === "front" ? "sternal-notch" : "c7";
  const middle = at(middleKey);
  if (shoulderR && shoulderL && middle) {
    const before = usualDepth(view, middleKey, setup.stature) - usualDepth(view, "acromion.L", setup.stature);
    const perDegree = (before * Math.PI) / 180;
    const off = middle.across - (shoulderR.across + shoulderL.across) / 2;
    const sd = Math.hypot(placingOf(middleKey), placingOf("acromion.L") / Math.SQRT2, people.notchOffCentre);
    // turning the left side towards the camera carries what lies nearer to the client's right
    found.push({ value: ((view === "front" ? -1 : 1) * off) / perDegree, sd: sd / perDegree });
  }
  if (found.length < 2) return undefined;
  const weights = found.map(({ sd }) => 1 / sd ** 2);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return { value: found.reduce((sum, { value }, i) => sum + value * weights[i]!, 0) / total, sd: 1 / Math.sqrt(total) };
}

/** What a marked picture's own geometry says against how it was taken. Empty while it is not calibrated. */
export function noticesOf(photo: MarkedPhoto): Notice[] {
  const scene = sceneOf(photo);
  const calibration = calibrate(scene);
  const { view, setup, marks } = photo;
  const notices: Notice[] = [];

  const edge = Object.entries(marks).find(
    ([key, { x, y }]) =>
      !isReference(key as PointKey) && (x < 3 || y < 3 || x > setup.width - 3 || y > setup.height - 3),
  );
  const ankle = feetOf(view)
    .map((key) => marks[key])
    .find((at) => at !== undefined);
  const floor = ankle && calibration && ankle.y + (landmarks.ankle.height * setup.stature) / calibration.mmPerPx;
  if (edge || (floor !== undefined && floor > setup.height))
    notices.push({
      key: "cropped",
      says: "The feet are cut off at the edge of the picture. What stands on them cannot be trusted: take it again from further away.",
    });
  if (!calibration) return notices;

  const [high, low] = [marks["stick.top"]!, marks["stick.foot"]!];
  const lean = toDegrees(Math.atan2(low.x - high.x, low.y - high.y) - calibration.roll);
  if (Math.abs(lean) > 1.5)
    notices.push({
      key: "stick-leans",
      says: `The stick leans ${Math.abs(lean).toFixed(1)}° against the plumb line. Its length in the picture is then short: set it upright.`,
    });

  const noted = setup.stickBehind ?? 0;
  const lens = -upright(scene, calibration, low).above * ((setup.cameraDistance + noted) / setup.cameraDistance);
  const elsewhere = !setup.stickHangs && Math.abs(lens - setup.cameraHeight) > 200;
  if (elsewhere)
    notices.push({
      key: "lens-height",
      says: `The lens seems to be about ${centimetres(lens)} up; ${centimetres(setup.cameraHeight)} is noted. Either the camera was moved, or it looks ${lens > setup.cameraHeight ? "up" : "down"} instead of level.`,
      remedy: { name: `Reckon with ${centimetres(lens)}`, setup: { cameraHeight: Math.round(lens / 10) * 10 } },
    });

  const behind = stickBehind(scene, calibration);
  // a lens elsewhere than noted moves the stick's foot, too: first things first
  if (!elsewhere && behind && Math.abs(behind.value - noted) > 2.5 * behind.sd) {
    const more = behind.value - noted;
    const rounded = Math.round(behind.value / 10) * 10;
    notices.push({
      key: "stick-plane",
      says: `The stick seems to stand ${centimetres(more)} (±${centimetres(2 * behind.sd)}) ${more > 0 ? "behind" : "before"} where it was noted. Lengths read about ${Math.abs((100 * more) / setup.cameraDistance).toFixed(0)}% too ${more > 0 ? "long" : "short"}; angles are not affected.`,
      remedy: {
        name: `Reckon with ${centimetres(rounded)} ${rounded >= 0 ? "behind" : "before"} the ankles`,
        setup: { stickBehind: rounded },
      },
    });
  }

  const turned = turnedBy(scene, calibration);
  if (turned && Math.abs(turned.value) > 2.5 * turned.sd)
    notices.push({
      key: "turned",
      says: `The client seems turned by ${Math.abs(turned.value).toFixed(0)}° (±${(2 * turned.sd).toFixed(0)}°), ${turned.value > 0 ? "left" : "right"} side nearer. Levels and shifts suffer: set the feet on their marks and take it again.`,
    });

  if (isSideView(view)) {
    const side = view === "left" ? "L" : "R";
    const [hip, knee, foot] = (["trochanter", "condyle", "malleolus"] as const).map((key) =>
      locate(scene, calibration, `${key}.${side}`),
    );
    const bent: Degrees | undefined = hip && knee && foot && -bend([hip, knee, foot]);
    if (bent !== undefined && bent > 10)
      notices.push({
        key: "knees-bent",
        says: `The knee is bent by ${bent.toFixed(0)}°. Ask for straight knees, or compare only with pictures where they are bent alike.`,
      });
  }

  const ears: PointKey[] = ["tragus.L", "tragus.R"];
  const heights = ears.map((key) => locate(scene, calibration, key)?.up).filter((up) => up !== undefined);
  const ground = feetOf(view)
    .map((key) => locate(scene, calibration, key)?.up)
    .filter((up) => up !== undefined);
  if (heights.length > 0 && ground.length > 0) {
    const tall = Math.max(...heights) - ground[0]! + landmarks.ankle.height * setup.stature;
    const ratio = tall / (landmarks.tragus.height * setup.stature);
    if (Math.abs(ratio - 1) > 0.08)
      notices.push({
        key: "scale",
        says: `By stick the ear stands ${centimetres(tall)} above the floor; by stature it should be near ${centimetres(landmarks.tragus.height * setup.stature)}. Check the stick's length and the stature.`,
      });
  }
  return notices;
}
