import { depthOf } from "../anatomy/layers";
import type { PlaceKey } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import { sensitiveAt, type SensitiveArea } from "../anatomy/sensitive";
import { structureOf } from "../anatomy/structures";
import type { SafetyTag } from "./safety-tags";
import type { Technique, Tool } from "./technique";

/**
 * What follows from how a technique is done: by tool, place, force and joints. It holds for every technique, whoever
 * wrote it down, so that no caution misses one because a mark was forgotten. Common practice.
 */
export type Done = Pick<Technique, "layer" | "tools" | "load" | "reach" | "force" | "pressure" | "hold" | "joints">;

const isJoint = (structure: string) => structureOf(structure)?.layer === "AR";

/** Where the hands are. A joint is moved from elsewhere: where it lies says nothing about the hands. */
export const handsAt = ({ reach }: Pick<Technique, "reach">): PlaceKey[] => [
  ...new Set(reach.filter(({ structure }) => !isJoint(structure)).flatMap(({ places }) => places)),
];

const depthIn = ({ layer }: Done) => (layer === "LT" ? 0 : depthOf(layer));
const any = <T>(list: readonly T[], of: readonly T[]) => list.some((each) => of.includes(each));

const headPlaces = ["crown", "forehead", "temple", "face", "ear", "back-of-head", "skull-base"];
const ribPlaces = ["side-ribs", "upper-chest", "breast", "breastbone", "rib-edge", "t-upper", "t-mid", "t-low"];
/** Between, under and at the ribs; what reaches them presses the rib cage, however lightly. */
const ribParts = [
  "outer-rib-spaces",
  "inner-rib-spaces",
  "transversus-thoracis",
  "diaphragm",
  "rib-joints",
  "breastbone-joints",
];
const neckJoints = ["neck-joints", "atlas-axis", "skull-atlas"];
const pointed: readonly Tool[] = ["thumb", "fingers", "elbow"];
/** From here on, of 10, weight on the ribs bends them. */
const bends = 4;

const follows: readonly [SafetyTag, (done: Done, at: readonly PlaceKey[]) => boolean][] = [
  ["thumb", (done) => done.layer !== "LT" && (done.tools.includes("thumb") || done.load.thumb !== undefined)],
  ["elbow", (done) => done.tools.includes("elbow")],
  ["instrument", (done) => done.tools.includes("instrument")],
  ["armpit", (done, at) => depthIn(done) >= 2 && at.includes("armpit")],
  ["inner thigh", (done, at) => depthIn(done) >= 2 && at.includes("thigh-inner")],
  [
    "deep belly",
    (done, at) =>
      depthIn(done) >= 3 && any(at, ["upper-belly", "mid-belly", "lower-belly", "rib-edge", "groin", "pubis"]),
  ],
  [
    "rib compression",
    (done, at) =>
      done.layer !== "LT" &&
      (done.reach.some(({ structure }) => ribParts.includes(structure)) ||
        (depthIn(done) >= 2 &&
          done.force?.kind === "sinks" &&
          done.pressure >= bends &&
          any(at, [...ribPlaces, "blade-edge"]))),
  ],
  [
    "skull-base pressure",
    (done, at) =>
      done.reach.some(
        ({ structure }) => structure.startsWith("rectus-capitis") || structure.startsWith("obliquus-capitis"),
      ) ||
      (depthIn(done) >= 3 && at.includes("skull-base")),
  ],
  [
    "sustained point",
    (done) => depthIn(done) >= 3 && done.force?.kind === "sinks" && done.hold !== undefined && any(done.tools, pointed),
  ],
  ["cranial", (done, at) => done.layer === "LT" && any(at, headPlaces)],
  [
    "jaw",
    (done, at) =>
      done.reach.some(({ structure }) => ["masseter", "temporalis"].includes(structure)) ||
      (depthIn(done) >= 3 && at.includes("jaw")),
  ],
  [
    "neck lever",
    (done) => any(done.joints ?? [], neckJoints) || done.reach.some(({ structure }) => neckJoints.includes(structure)),
  ],
  ["lever", (done) => done.layer === "AR" && done.joints !== undefined],
];

/** Kinds of work that a technique is, whatever its marks say. */
export function tagsThatFollow(done: Done): SafetyTag[] {
  const at = handsAt(done);
  return follows.filter(([, holds]) => holds(done, at)).map(([tag]) => tag);
}

/** Sensitive areas its hands come to. */
export const areasThatFollow = (done: Pick<Technique, "layer" | "reach">): SensitiveArea[] =>
  sensitiveAt(handsAt(done), done.layer === "SF");

/** Where a technique was marked as sensitive and its places do not say which area: that of the region it works in. */
const areaByRegion: Partial<Record<RegionKey, SensitiveArea>> = {
  chest: "chest",
  belly: "belly",
  thigh: "inner-thigh",
  pelvis: "buttock",
  shoulder: "armpit",
};

/** The sensitive areas a technique needs consent for at every visit: each of them. */
export function areasOf(technique: Technique): SensitiveArea[] {
  const follow = areasThatFollow(technique);
  if (follow.length > 0 || !technique.consent) return follow;
  const marked = technique.doses.map(({ region }) => areaByRegion[region]).find(Boolean);
  return marked ? [marked] : [];
}

/** When to stop, by what is near the hands; the first that fits is said. Common practice. */
const stops: readonly [(done: Done, at: readonly PlaceKey[], tags: readonly SafetyTag[]) => boolean, string][] = [
  [
    (_, __, tags) => tags.includes("unwinding"),
    "the client says the word, the breath catches, or a movement is forced",
  ],
  [(_, __, tags) => tags.includes("cranial"), "the head feels hot, full or dizzy, or the client wants to come back"],
  [(_, __, tags) => tags.includes("deep belly"), "a pulse is felt, or any sharpness"],
  [(_, __, tags) => tags.includes("jaw"), "the jaw catches, or a tooth or the ear hurts"],
  [
    (done, at) => done.layer !== "LT" && any(at, ["neck-back", "neck-side", "skull-base", "throat"]),
    "dizziness, a pulse, or tingling in the arm",
  ],
  [(_, __, tags) => tags.includes("neck lever"), "dizziness, a sharp catch, or tingling in the arm"],
  [(_, __, tags) => tags.includes("rib compression"), "the breath catches or a rib feels sharp"],
  [(done, at) => depthIn(done) >= 2 && any(at, ["armpit", "inner-elbow"]), "tingling in the hand or a pulse is felt"],
  [(done, at) => depthIn(done) >= 2 && any(at, ["thigh-inner", "groin", "knee-back"]), "a pulse or tingling is felt"],
  [(done, at) => depthIn(done) >= 3 && any(at, ["buttock", "sit-bone"]), "pain or tingling runs down the leg"],
  [
    (_, __, tags) => any(tags, ["lever", "end range"] as SafetyTag[]),
    "a joint catches or feels sharp, or pain shoots along the limb",
  ],
  [(_, __, tags) => tags.includes("sustained point"), "the pain grows or does not ease within half a minute"],
  [(done) => done.force?.kind === "lifts", "the skin burns or feels pinched"],
  [
    (done, at) => depthIn(done) >= 2 && any(at, ["forearm-front", "forearm-back", "wrist", "palm", "hand", "elbow"]),
    "tingling in the fingers, or the thumb side aches on",
  ],
  [(done, at) => depthIn(done) >= 2 && any(at, ["sole", "heel", "calf", "instep"]), "a cramp comes, or it stings"],
  [
    (done, at) => depthIn(done) >= 2 && any(at, ["l-upper", "l-low", "flank", "sacrum"]),
    "pain runs into the leg, or the back braces",
  ],
  [(done) => done.layer === "AR", "a joint catches, clicks with pain or is held back"],
  [(done) => done.layer === "LT", "the breath catches, or the client wants to come back"],
];

/** What ends every technique. */
export const usualStop = "the client guards, holds the breath or says so";

/** When to stop, as a clause: what is near the hands first. */
export function stopThatFollows(done: Done, tags: readonly SafetyTag[]): string {
  const at = handsAt(done);
  const near = stops.find(([fits]) => fits(done, at, tags))?.[1];
  return near ? `${near}; or ${usualStop}` : usualStop;
}
