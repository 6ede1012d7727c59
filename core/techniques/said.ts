import type { SafetyTag } from "./safety-tags";
import type { Effort, Intent, Load, Phase, Position, Technique, Tool } from "./technique";

/**
 * What the words of a technique say about how it is done. The starting catalogue is read by it, what a practice types is
 * compared with it: a text and the fields beside it must not contradict each other.
 */

/** How the client lies, where the words say so, and the positions it can be true in. */
const lying: readonly [RegExp, readonly Position[]][] = [
  [/\bon the side\b|side-lying|upper side|upper (hip|leg|thigh)\b/i, ["side"]],
  [/\bseated\b|\bsits?\b(?! bone)|sitting(?! bone)|stool|forehead supported/i, ["seated"]],
  [/face down|\bprone\b|face cradle|on the belly and/i, ["prone"]],
  [/face up|\bsupine\b|(lying|lies) on the back/i, ["supine"]],
];

/** Positions named that the words cannot be true in; an empty list of positions is all of them. */
export function contradicted(words: string, positions: readonly Position[]): { said: string; position: Position }[] {
  const text = words.replace(/sit[- ]bone/gi, "");
  const all: readonly Position[] = positions.length > 0 ? positions : ["prone", "supine", "side", "seated"];
  return lying.flatMap(([pattern, fits]) => {
    const said = pattern.exec(text)?.[0];
    return said ? all.filter((position) => !fits.includes(position)).map((position) => ({ said, position })) : [];
  });
}

const toolWords: readonly [RegExp, Tool][] = [
  [/\bpalms?\b|\bheel of (the|your) hand\b|\bflat hands?\b|\bhands?\b(?! (opens|and))/i, "palm"],
  [/\bfists?\b|\bknuckles?\b/i, "soft fist"],
  [/\bforearms?\b/i, "forearm"],
  [/\belbow\b(?=.*\b(at|into|on) the sit bone)|\b(angled|point of the) elbow\b/i, "elbow"],
  [/\bfinger(tip)?s?\b|\bpads\b/i, "fingers"],
  [/\bthumbs?\b(?! side)/i, "thumb"],
  [/\b(instrument|edge tool|bevelled)\b/i, "instrument"],
];
const noThumb = /\bno thumbs?\b/i;
const usualTool: readonly [keyof Load, Tool][] = [
  ["thumb", "thumb"],
  ["fingers", "fingers"],
  ["wrist", "palm"],
  ["shoulder", "forearm"],
  ["back", "palm"],
];

/** What is worked with by the words; where they name nothing, what the load on the hands makes likely. */
export function toolsSaid(words: string, load: Load): Tool[] {
  const text = words.replace(noThumb, "");
  const named = toolWords.filter(([pattern]) => pattern.test(text)).map(([, tool]) => tool);
  if (named.length > 0) return named;
  const likely = usualTool.find(([part]) => load[part] !== undefined)?.[1];
  return [likely ?? "palm"];
}

export function effortSaid(words: string): Effort {
  if (/\bclient('s)?\b.*\b(press(es)?|hikes?|shrugs?)\b|\blight press\b/i.test(words)) return "presses";
  if (
    /\bclient (\w+ )?(bends|slides|turns|nods|moves|tips|hitches|draws|reaches|lets|leans)\b|\bwhile the (foot|hand|client|arm)\b/i.test(
      words,
    )
  )
    return "moves";
  if (/\bbreath(s|es|e)?\b/i.test(words)) return "breathes";
  return "nothing";
}

/** What a technique is for, where nobody says: by when it comes and how deep it goes. */
export const usualIntent = (phase: Phase, layer: Technique["layer"]): Intent =>
  phase === "open" || phase === "close" || layer === "LT"
    ? "settle"
    : layer === "AR" || phase === "balance"
      ? "mobilise"
      : layer === "SM" && phase === "work"
        ? "lengthen"
        : "free";

const tagWords: readonly [RegExp, SafetyTag][] = [
  [/\bribs?\b.*\b(press(es)?|compress\w*)\b|\b(press(es)?|compress\w*)\b.*\bribs?\b/i, "rib compression"],
  [/\b(lever|twist\w*|carried over|rotat\w*)\b/i, "lever"],
  [/\b(barrier|stretch\w*|end of (the|its) range)\b/i, "end range"],
  [/\b(head|neck)\b.*\b(carr(y|ied)|turn\w*|tilt\w*|draw\w*|traction)\b/i, "neck lever"],
  [/\b(skull (base|edge)|suboccipital\w*)\b/i, "skull-base pressure"],
  [/\b(pin(s|ned)?|hold (the|a) (tender )?point|tender point|sustained)\b/i, "sustained point"],
  [/\b(belly|psoas|navel|abdomen)\b.*\bsink\w*\b|\bsink\w*\b.*\b(belly|psoas|abdomen)\b/i, "deep belly"],
  [/\b(inner thigh|adductors?)\b/i, "inner thigh"],
  [/\bunwind\w*\b/i, "unwinding"],
  [/\barmpit\b/i, "armpit"],
  [/\b(jaw|masseter|temporalis)\b/i, "jaw"],
];

/** Kinds of work that the words and the tools point to. Which of them it is, only who does it knows. */
export function tagsSaid(words: string, layer: Technique["layer"], used: readonly Tool[]): SafetyTag[] {
  const found = tagWords.filter(([pattern]) => pattern.test(words)).map(([, tag]) => tag);
  if (used.includes("elbow")) found.push("elbow");
  if (used.includes("thumb")) found.push("thumb");
  if (layer === "LT" && /\b(skull|head|occiput|sphenoid|temporals?|parietals?|still point|vault)\b/i.test(words))
    found.push("cranial");
  return found;
}
