import { joints } from "../anatomy/joints";
import { depthOf, layerName } from "../anatomy/layers";
import { placeOf, isPlace } from "../anatomy/places";
import { structureOf } from "../anatomy/structures";
import { capitalised } from "../words";
import { reachOf, techniqueFrom, type Definition } from "./definition";
import { contradicted, tagsSaid, toolsSaid } from "./said";
import { type SafetyTag } from "./safety-tags";
import { jointsMoved } from "./touches";
import { positionName } from "./technique";

/** What is wrong with one field: "minutes.least", "reach[2].structure". */
export type Fault = { field: string; message: string };

const jointKeys = new Set(joints.map(({ key }) => key));
/** Light touch that weighs more is another kind of work. */
const lightest = 2;

/** What a definition of the right shape says that cannot be: of the body, of itself, against its own words. */
export function faultsOf(definition: Definition): Fault[] {
  const { minutes, hold, reach, layer, phase, pressure, positions, what, name, tags = [] } = definition;
  const faults: Fault[] = [];
  const say = (field: string, message: string) => faults.push({ field, message });
  if (minutes.least > minutes.ideal)
    say("minutes.least", `Least minutes: at most the ideal ${minutes.ideal}, got ${minutes.least}.`);
  if (hold && hold.least > hold.most) say("hold.least", `Hold: from ${hold.least} to ${hold.most} goes backwards.`);
  if (layer === "LT" && pressure > lightest)
    say("pressure", `Pressure: light touch is at most ${lightest} of 10, got ${pressure}.`);
  if (reach.length === 0 && phase !== "open" && phase !== "close")
    say("reach", "Reaches: name at least one structure that it works on.");
  for (const [i, each] of reach.entries()) {
    const structure = structureOf(each.structure);
    if (!structure) {
      say(`reach[${i}].structure`, `Structure: “${each.structure}” is not in the anatomy.`);
      continue;
    }
    for (const place of each.places ?? [])
      if (!isPlace(place)) say(`reach[${i}].places`, `Place: “${place}” is not in the anatomy.`);
      else if (!structure.places.includes(place))
        say(
          `reach[${i}].places`,
          `Place: ${structure.name.toLowerCase()} does not lie at “${placeOf(place).name.toLowerCase()}”.`,
        );
    const deeper = reachOf(each).find(
      (part) => layer !== "LT" && depthOf(structureOf(part.structure)!.layer) > depthOf(layer),
    );
    if (deeper && layer !== "LT")
      say(
        `reach[${i}].structure`,
        `Structure: ${structureOf(deeper.structure)!.name.toLowerCase()} lies in ${layerName(structureOf(deeper.structure)!.layer).toLowerCase()}, deeper than the technique’s own layer, ${layerName(layer).toLowerCase()}.`,
      );
  }
  for (const joint of definition.joints ?? [])
    if (!jointKeys.has(joint)) say("joints", `Joint: “${joint}” is not in the anatomy.`);
  const told = contradicted(`${name} ${what}`, positions);
  for (const said of new Set(told.map((each) => each.said))) {
    const against = told
      .filter((each) => each.said === said)
      .map(({ position }) => positionName[position].toLowerCase());
    const planned = positions.length === 0 ? "any position" : against.join(" and ");
    say("positions", `Position: the text says “${said}”, and ${planned} is planned.`);
  }
  if (faults.length > 0) return faults;
  const made = techniqueFrom(definition);
  if (tags.some((tag) => moving.has(tag)) && jointsMoved(made).length === 0)
    say("joints", `Joints: “${tags.find((tag) => moving.has(tag))}” moves at least one; name it.`);
  if (definition.consent && !made.doses.some(({ region }) => sensitive.has(region)))
    say(
      "consent",
      "Consent: none of the sensitive areas is reached (chest, belly, inner thigh, buttock edge, armpit).",
    );
  return faults;
}

const moving = new Set<SafetyTag>(["lever", "end range", "neck lever"]);
const sensitive = new Set(["chest", "belly", "thigh", "pelvis", "shoulder"]);
/** What may have been forgotten: a kind of work that cautions rule out by its mark, and only its words point to. */
export type Hint = { tag: SafetyTag; message: string };

export function hintsOf(definition: Definition): Hint[] {
  const technique = techniqueFrom(definition);
  const words = `${definition.name}. ${definition.what}`;
  const said = new Set(tagsSaid(words, technique.layer, [...technique.tools, ...toolsSaid(words, {})]));
  return [...said]
    .filter((tag) => !technique.tags.includes(tag))
    .map((tag) => ({
      tag,
      message: `${capitalised(tag)}? The words or the tools point to it; without it, cautions against it do not reach this technique.`,
    }));
}
