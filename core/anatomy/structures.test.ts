import { joints, jointOf, jointsAt, opposite } from "./joints";
import { depthOf, layerKeys } from "./layers";
import { placeGroups, places, placeOf, placesIn, withNeighbours, furtherOut, nameOf } from "./places";
import { readPlace } from "./read-place";
import { regionKeys } from "./regions";
import { antagonistsOf, lyingOver, moversOf, partsOf, structureGroups, structureOf, structures } from "./structures";

const names = (list: readonly { key: string }[]) => list.map(({ key }) => key).sort();
const structure = (key: string) => structures.find((each) => each.key === key)!;

describe("the tables of the body", () => {
  it("hold some sixty places, thirty joints and two hundred structures, each key once", () => {
    expect(places.length).toBeGreaterThanOrEqual(50);
    expect(places.length).toBeLessThanOrEqual(70);
    expect(joints.length).toBeGreaterThanOrEqual(30);
    expect(structures.length).toBeGreaterThanOrEqual(200);
    for (const table of [places, joints, [...structures, ...structureGroups]])
      expect(new Set(names(table)).size).toBe(table.length);
  });

  it("refer to nothing that is not there", () => {
    const known = new Set(places.map(({ key }) => key));
    for (const place of places)
      for (const other of place.meets) expect([place.key, known.has(other)]).toEqual([place.key, true]);
    for (const joint of joints)
      for (const place of joint.places) expect([joint.key, known.has(place)]).toEqual([joint.key, true]);
    for (const each of structures) {
      for (const place of each.places) expect([each.key, known.has(place)]).toEqual([each.key, true]);
      expect(layerKeys).toContain(each.layer);
      for (const { joint, motions } of each.moves)
        for (const motion of motions)
          expect([each.key, jointOf(joint).motions.includes(motion)]).toEqual([each.key, true]);
    }
    for (const group of structureGroups) for (const part of group.parts) expect(structureOf(part)).toBeDefined();
  });

  it("let places meet both ways, and none itself", () => {
    for (const { key, meets: others } of places)
      for (const other of others) {
        expect(placeOf(other).meets).toContain(key);
        expect(other).not.toBe(key);
      }
  });

  it("give every region places, and every place skin to lift", () => {
    for (const region of regionKeys) expect(placesIn(region).length).toBeGreaterThanOrEqual(3);
    for (const { key } of places)
      expect([key, structures.some((each) => each.layer === "SF" && each.places.includes(key))]).toEqual([key, true]);
  });

  it("find every place, structure and group by two words at least, places by what they are called", () => {
    for (const each of [...places, ...structures, ...structureGroups])
      expect([each.key, new Set(each.words).size >= 2]).toEqual([each.key, true]);
    for (const { key, region, words } of places) {
      expect(readPlace(nameOf(region, [key]))?.places).toEqual([key]);
      for (const word of words) expect([word, readPlace(word)?.places]).toEqual([word, [key]]);
    }
    for (const { region, places: of } of placeGroups)
      expect(readPlace(nameOf(region, of))).toMatchObject({ region, places: of });
  });

  it("lie over one another by layers, and so never in a circle", () => {
    for (const each of structures)
      for (const place of each.places)
        for (const over of lyingOver(each, place)) {
          expect(depthOf(over.layer)).toBeLessThan(depthOf(each.layer));
          expect(over.places).toContain(place);
        }
  });

  it("know what is near, what lies further out, and the joints there", () => {
    expect(withNeighbours(["wrist"]).sort()).toEqual([
      "forearm-back",
      "forearm-front",
      "hand",
      "palm",
      "thumb",
      "wrist",
    ]);
    expect(furtherOut(["ankle"])).toEqual(["ankle", "heel", "instep", "sole", "big-toe", "toes"]);
    expect(furtherOut(["waist"])).toEqual([]);
    expect(jointsAt(["wrist"])).toEqual(["wrist-joint", "thumb-base"]);
  });
});

// from memory of Gray's Anatomy, of Platzer's Color Atlas and of Kendall, Muscles: Testing and Function
describe("what the handbooks say", () => {
  it("six muscles move the blade on the ribs", () => {
    const muscle = (key: string) => key.replace(/^(upper|middle|lower)-trapezius$/, "trapezius");
    expect([...new Set(names(moversOf("blade-on-ribs")).map(muscle))].sort()).toEqual([
      "levator-scapulae",
      "pectoralis-minor",
      "rhomboid-major",
      "rhomboid-minor",
      "serratus-anterior",
      "trapezius",
    ]);
  });

  it.each([
    ["blade-on-ribs", "upward-turn", ["lower-trapezius", "serratus-anterior", "upper-trapezius"]],
    ["blade-on-ribs", "downward-turn", ["levator-scapulae", "pectoralis-minor", "rhomboid-major", "rhomboid-minor"]],
    ["blade-on-ribs", "protraction", ["pectoralis-minor", "serratus-anterior"]],
    [
      "knee-joint",
      "extension",
      ["kneecap-tendon", "rectus-femoris", "vastus-intermedius", "vastus-lateralis", "vastus-medialis"],
    ],
    ["jaw", "closing", ["masseter", "medial-pterygoid", "temporalis"]],
    ["forearm-turn", "pronation", ["pronator-quadratus", "pronator-teres"]],
    ["ankle-joint", "dorsiflexion", ["extensor-digitorum-longus", "long-big-toe-extensor", "tibialis-anterior"]],
    ["subtalar", "eversion", ["peroneus-brevis", "peroneus-longus"]],
    [
      "hip-joint",
      "abduction",
      ["gluteus-medius", "gluteus-minimus", "piriformis", "sartorius", "tensor-fasciae-latae"],
    ],
  ])("at %s, %s is done by %j", (joint, motion, movers) => expect(names(moversOf(joint, motion))).toEqual(movers));

  it.each([
    ["serratus-anterior", /ribs 1 to 9 – inner border of the blade/],
    ["levator-scapulae", /C1 to C4 – upper angle of the blade/],
    ["rhomboid-major", /T2 to T5 – inner border of the blade/],
    ["rhomboid-minor", /C7 and T1 – root of the spine of the blade/],
    ["rectus-femoris", /front hip bone.* – kneecap and shin knob/],
    ["pectoralis-minor", /ribs 3 to 5 – coracoid/],
    ["quadratus-lumborum", /crest.* – last rib and side processes L1 to L4/],
    ["psoas-major", /T12 to L5 – lesser trochanter/],
    ["piriformis", /front of the sacrum – top of the trochanter/],
    ["semispinalis-capitis", /C4 to T6 – occiput/],
    ["gracilis", /pubis – inner shin head/],
    ["popliteus", /outer thigh-bone knob – back of the shin/],
  ])("%s runs from and to where it should", (key, attached) => expect(structure(key).attachments).toMatch(attached));

  it("two-joint muscles cross both of theirs", () => {
    for (const [key, both] of [
      ["rectus-femoris", ["hip-joint", "knee-joint"]],
      ["gastrocnemius", ["ankle-joint", "knee-joint"]],
      ["semitendinosus", ["hip-joint", "knee-joint"]],
      ["biceps-long-head", ["elbow-joint", "forearm-turn", "shoulder-joint"]],
    ] as const)
      expect(
        structure(key)
          .moves.map(({ joint }) => joint)
          .sort(),
      ).toEqual(both);
  });

  it("the oblique layers of the waist cross, and what undoes a motion is found", () => {
    expect(Math.sign(structure("external-oblique").fibres!)).toBe(-Math.sign(structure("internal-oblique").fibres!));
    expect(Math.sign(structure("outer-rib-spaces").fibres!)).toBe(-Math.sign(structure("inner-rib-spaces").fibres!));
    expect(opposite("flexion")).toBe("extension");
    expect(names(antagonistsOf(structure("masseter")))).toEqual([
      "digastric",
      "floor-of-the-mouth",
      "lateral-pterygoid",
      "platysma",
    ]);
    expect(names(antagonistsOf(structure("tibialis-posterior")))).toEqual(
      expect.arrayContaining(["tibialis-anterior", "peroneus-longus", "peroneus-brevis"]),
    );
  });

  it("over quadratus lumborum lie skin, thoracolumbar fascia, latissimus and the erectors", () => {
    const over = new Set(
      structure("quadratus-lumborum").places.flatMap((place) =>
        names(lyingOver(structure("quadratus-lumborum"), place)),
      ),
    );
    for (const key of ["skin-of-the-low-back", "thoracolumbar-fascia", "latissimus", "lumbar-erectors"])
      expect([...over]).toContain(key);
  });

  it("groups stand for their parts", () => {
    expect(partsOf("hamstrings")).toEqual(["biceps-femoris-long-head", "semitendinosus", "semimembranosus"]);
    expect(partsOf("masseter")).toEqual(["masseter"]);
  });
});
