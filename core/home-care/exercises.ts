import type { LayerKey } from "../anatomy/layers";
import { readReach, techniqueFrom, type Definition } from "../techniques/definition";
import type { SafetyTag } from "../techniques/safety-tags";
import type { Position, Technique } from "../techniques/technique";

/** How often and how long: what is agreed with the client. */
export type HomeDose = { times: number; minutes: number };

/** What a client does alone between visits. It speaks in the body's model, so that cautions hold for it as for a technique. */
export type Exercise = {
  key: string;
  name: string;
  /** As the client reads it. */
  what: string;
  /** Stop when. */
  stop: string;
  /** Done on one side, or on each. */
  sided: boolean;
  dose: HomeDose;
  /** What it reaches, how it is lain or sat for, what it moves: for cautions, targets and the picture. */
  work: Technique;
};

/**
 * Common practice, for the client without anybody's hands. A row:
 * key | name | what | layer, positions (P S L T, A any), minutes each time, times a day | reach | more
 * - reach as in the catalogue of techniques; more: "whole" (no sides), "tags: …", "joints: …", "stop: …"
 */
const rows = `
sole-and-hip | Ankle on the knee | Sit tall, one ankle on the other knee. Lean forward from the hips until the seat stretches, and press along the sole with your thumbs. | SM T 2 1 | gluteus-maximus*.7 sole-of-the-foot@sole*.5 gluteus-medius@buttock*.5 | tags: end range; joints: hip-joint
doorway-chest | Doorway chest opening | Stand in a doorway, forearm on the frame at shoulder height. Step through until the front of the shoulder opens, and breathe there. | SM T 1.5 2 | pectoralis-major@upper-chest deltoid-front@shoulder-point*.6 pectoral-fascia@upper-chest*.6 biceps-short-head*.4 coracobrachialis@upper-arm-front*.4 | tags: end range; joints: shoulder-joint collarbone-inner collarbone-outer; stop: the arm tingles or goes numb
towel-roll | Towel roll under the upper back | Lie over a rolled towel across the upper back, knees bent, head on a cushion. Let the ribs widen with the breath. | AR S 3 1 | thoracic-segments@t-mid*.6 breastbone-joints@breastbone*.4 pectoral-fascia@upper-chest,breastbone*.4 rib-joints@t-mid*.4 | whole; tags: rib compression, lever; joints: thoracic-segments rib-joints
calf-lunge | Calf lunge | Hands on a wall, one foot back, its heel heavy. Bend the front knee until the calf lengthens; then a little with the back knee bent. | SM T 1.5 2 | gastrocnemius crural-fascia@calf*.6 achilles-tendon*.5 | tags: end range; joints: ankle-joint
hip-flexor-lunge | Hip-flexor lunge | Kneel on one knee on a cushion, the other foot in front. Tuck the pelvis under and move it forward until the front of the hip opens. | SM T 1.5 2 | rectus-femoris@thigh-front,hip-front tensor-fasciae-latae@hip-front*.7 inguinal-ligament@hip-front*.4 thigh-fascia@thigh-front*.5 | tags: end range; joints: hip-joint knee-joint kneecap-joint
neck-turns | Slow neck turns | Sit tall. Turn the head slowly to one side on an out-breath, wait for one breath, and come back; then the other side. | SM T 1.5 3 | upper-trapezius@neck-back,neck-side*.6 sternocleidomastoid*.5 nuchal-fascia@neck-back*.5 | whole; tags: neck lever; joints: neck-joints atlas-axis skull-atlas; stop: dizziness, double vision, or pain into the arm
walking | Walking | Walk at a pace at which you can still talk, arms free, the feet rolling from heel to toe. | SM T 15 1 | gluteus-maximus*.3 gastrocnemius*.3 lumbar-erectors*.3 thoracolumbar-fascia*.3 sole-of-the-foot*.3 | whole; joints: hip-joint knee-joint ankle-joint; stop: the pain grows while you walk
side-breath-home | Breathing into the stiff side | Lie on the easy side over a cushion. One hand on the upper ribs: breathe into the hand, let the out-breath be long. | DF L 3 2 | side-rib-fascia@side-ribs*.8 upper-back-fascia@t-mid*.3 |
legs-on-chair | Legs on a chair | Lie on the back, lower legs on a chair, so that the low back lies wide. Let it sink with each out-breath. | DF S 5 1 | thoracolumbar-fascia*.8 skin-of-the-low-back*.4 inguinal-ligament*.3 | whole
chin-nods | Small nods | Lie on the back, a folded towel under the head. Nod as if saying yes, so small that nobody sees it; ten times, slowly. | DF S 2 2 | nuchal-fascia@skull-base*.8 nuchal-ligament@skull-base*.5 | whole; joints: skull-atlas; stop: dizziness
side-reach | Side reach | Sit with both sit bones heavy. One arm overhead, lean away from it and breathe into the long side. | SM T 1.5 2 | latissimus@flank,side-ribs*.8 side-waist-seam*.6 external-oblique@waist*.5 side-rib-fascia@side-ribs*.5 |
sole-ball | Sole on a ball | Seated, roll the sole slowly over a soft ball, from heel to toes; wait where it is thick. | DF T 2 2 | sole-of-the-foot | stop: the pain is sharp
wall-forearm | Forearm at the wall | Palm flat on the wall, fingers down, elbow straight. Turn away a little until the forearm lengthens; then the back of the hand. | SM T 1 3 | wrist-flexors@forearm-front wrist-extensors@forearm-back*.7 forearm-fascia*.6 | tags: end range; joints: wrist-joint elbow-joint finger-joints; stop: the hand tingles or goes numb
jaw-rest | Jaw at rest | Tip of the tongue behind the upper teeth, lips closed, teeth apart. Let the jaw hang for a few breaths, fingertips on its muscle. | SM A 1 4 | masseter*.6 temporalis*.5 masseteric-fascia*.5 | whole; tags: jaw; joints: jaw
blade-slides | Blade slides | Forearms on a wall, elbows bent. Slide them up while the shoulder blades hug the ribs; slowly down. | SM T 2 1 | serratus-anterior@side-ribs*.8 lower-trapezius@blade-edge,t-mid*.4 | whole; joints: shoulder-joint blade-on-ribs
heel-on-step | Heel on a step | Heel on a low step, knee soft. Lean forward with a long back until the back of the thigh lengthens. | SM T 1.5 2 | hamstrings@thigh-back thigh-fascia@thigh-back*.6 | tags: end range; joints: hip-joint knee-joint
soles-together | Soles together | Sit against a wall, soles together, knees on cushions. Let the weight of the legs open the inner thighs. | SM T 3 1 | adductor-longus@thigh-inner gracilis@thigh-inner thigh-fascia@thigh-inner*.6 | whole; tags: inner thigh; joints: hip-joint
knee-sway | Knee sway | On the back, feet on the floor. Let both knees sway a little to one side and to the other, ten times, the ribs heavy. | AR S 2 2 | lumbar-segments*.6 sacroiliac*.4 hip-joint@hip-side*.3 | whole; tags: lever; joints: lumbar-segments lumbosacral sacroiliac hip-joint
lie-forward | Folded rest | Kneel and fold forward over a firm cushion, arms beside the head; breathe into the back. | DF P 3 1 | upper-back-fascia*.6 thoracolumbar-fascia*.6 | whole; joints: hip-joint knee-joint
foot-rounds | Foot rounds | Draw slow rounds with the foot, then spread and curl the toes. | AR ST 1.5 2 | ankle-joint*.7 toe-joints*.5 midfoot*.3 |
`;

const lies: Record<string, Position> = { P: "prone", S: "supine", L: "side", T: "seated" };

function parse(row: string): Exercise {
  const [key, name, what, at, reach, more = ""] = row.split(/ \| ?/) as [
    string,
    string,
    string,
    string,
    string,
    string?,
  ];
  const [layer, where, minutes, times] = at.split(" ") as [LayerKey, string, string, string];
  const options = more.split(";").map((option) => option.trim());
  const said = (word: string) => options.find((option) => option.startsWith(`${word}: `))?.slice(word.length + 2);
  const sided = !options.includes("whole");
  const dose = { minutes: Number(minutes), times: Number(times) };
  const joints = said("joints")?.split(" ");
  const definition: Definition = {
    key,
    name,
    what,
    layer,
    positions: where === "A" ? [] : [...where].map((letter) => lies[letter]!),
    medium: "dry",
    phase: "balance",
    minutes: { ideal: dose.minutes, least: dose.minutes },
    sided,
    // nobody presses but the client
    pressure: 1,
    load: {},
    reach: reach.trim().split(" ").map(readReach),
    tags: (said("tags")?.split(", ") ?? []) as SafetyTag[],
    ...(joints && { joints }),
  };
  return {
    key,
    name,
    what,
    stop: said("stop") ?? "it hurts more than it eases",
    sided,
    dose,
    work: techniqueFrom(definition),
  };
}

export const exercises: readonly Exercise[] = rows.trim().split("\n").map(parse);

const byKey = new Map(exercises.map((exercise) => [exercise.key, exercise]));
export const exerciseOf = (key: string): Exercise | undefined => byKey.get(key);
