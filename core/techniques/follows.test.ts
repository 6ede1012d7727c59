import fc from "fast-check";
import { catalogue } from "./catalogue";
import { definitionOf, techniqueFrom, type Definition } from "./definition";
import { areasOf, areasThatFollow, handsAt, tagsThatFollow, usualStop } from "./follows";
import { techniqueOf } from "./library";
import { safetyTagKeys } from "./safety-tags";

const having = (tag: string) =>
  catalogue.filter(({ tags }) => (tags as readonly string[]).includes(tag)).map(({ key }) => key);

describe("what follows from how a technique is done", () => {
  // read through by hand, a kind of work at a time
  it.each<[string, string]>([
    [
      "rib compression",
      `broad-compress broad-compress-front arm-off-lat cross-spread diagonal-spread spine-rock high-side-in cord-hold
       trap-point pin-turn hand-behind-back serratus-point rib-rake rib-breath rib-space-glide pec-major-sink
       pec-minor-open chest-pin-rise edge-lever rib-arch-ease trap-border`,
    ],
    [
      "lever",
      `hip-lift-press arm-off-lat spine-rock open-close-twist roll-glide roll-push-relax edge-lever delt-across
       leg-as-lever twist-press`,
    ],
    ["neck lever", "straighten-reset neck-sway collar-turn scalene-pin nod-release neck-rounds lt-unwind-neck"],
    [
      "skull-base pressure",
      `spine-pincer soft-knead knuckle-walk levator-strip side-forearm-neck hand-cushion-skull nod-release lt-skull-base`,
    ],
    ["deep belly", "oblique-slide rib-arch-ease psoas-wait side-psoas-wait"],
    ["inner thigh", "thigh-wring adductor-lean"],
    ["armpit", "subscap-reach coraco-lower chest-pin-rise chest-fold"],
    ["jaw", "temporalis-wait masseter-melt lt-vault lt-temporals"],
    ["elbow", "sit-bone-hook"],
    [
      "cranial",
      `head-cradle seated-cradle lt-still-point lt-skull-base lt-tube lt-vault lt-frontal lt-parietals lt-sphenoid
       lt-temporals lt-occiput-still lt-unwind-neck`,
    ],
  ])("knows all that is of the kind “%s”", (tag, keys) =>
    expect(new Set(having(tag))).toEqual(new Set(keys.split(/\s+/))),
  );

  it("asks for consent wherever hands come to inner thigh, groin, armpit, belly or chest", () => {
    const asked = catalogue.flatMap((each) => areasOf(each).map((area) => `${each.key} ${area}`));
    for (const place of ["thigh-inner", "groin", "armpit", "mid-belly", "lower-belly", "breast", "breastbone"])
      for (const each of catalogue)
        if (handsAt(each).includes(place)) expect([each.key, place, each.consent]).toEqual([each.key, place, true]);
    expect(asked).toEqual(
      expect.arrayContaining([
        "thigh-wring inner-thigh",
        "node-sweep armpit",
        "node-sweep belly",
        "sacral-hand belly",
        "broad-compress-front chest",
        "lt-sheets chest",
        "coraco-lower armpit",
        "sit-bone-hook buttock",
      ]),
    );
    // a hip is moved by the leg: nobody's hand is at the groin
    expect(areasThatFollow(techniqueOf("leg-as-lever"))).toEqual([]);
  });

  it("tells no hand that thumbs are spared where they are loaded", () => {
    for (const each of catalogue)
      if (each.layer !== "LT" && (each.load.thumb || each.tools.includes("thumb")))
        expect([each.key, each.tags.includes("thumb")]).toEqual([each.key, true]);
  });

  it("says when to stop by what is near the hands", () => {
    expect(catalogue.filter(({ stopWhen }) => stopWhen === usualStop).length).toBeLessThan(catalogue.length / 4);
    expect(techniqueOf("soft-knead").stopWhen).toBe(`dizziness, a pulse, or tingling in the arm; or ${usualStop}`);
    expect(techniqueOf("rib-rake").stopWhen).toMatch(/^the breath catches or a rib feels sharp/);
    expect(techniqueOf("rotator-sink").stopWhen).toMatch(/runs down the leg/);
    // what somebody wrote stands as they wrote it
    expect(techniqueOf("scalene-creep").stopWhen).toBe("tingling or pulse is felt");
  });

  const own: Definition = { ...definitionOf(techniqueOf("arm-spread")), key: "own-work", tags: [], consent: false };
  it("holds for a technique of one's own, and cannot be taken off", () => {
    const tagsOf = (part: Partial<Definition>) => techniqueFrom({ ...own, ...part }).tags;
    expect(tagsOf({})).toEqual([]);
    expect(tagsOf({ tools: ["instrument", "elbow"] })).toEqual(["elbow", "instrument"]);
    expect(tagsOf({ load: { thumb: 1 } })).toEqual(["thumb"]);
    const belly: Partial<Definition> = { layer: "DM", reach: [{ structure: "psoas-major", places: ["mid-belly"] }] };
    expect(tagsOf(belly)).toContain("deep belly");
    expect(techniqueFrom({ ...own, ...belly }).consent).toBe(true);
    expect(tagsOf({ layer: "DM", reach: [{ structure: "outer-rib-spaces" }] })).toContain("rib compression");
  });

  it("comes back the same after going out as a definition, whatever was marked", () => {
    const technique = fc.constantFrom(...catalogue);
    fc.assert(
      fc.property(technique, fc.subarray(safetyTagKeys), fc.boolean(), (each, tags, consent) => {
        const made = techniqueFrom({ ...definitionOf(each), tags, consent });
        for (const tag of [...tags, ...tagsThatFollow(each)]) expect(made.tags).toContain(tag);
        expect(techniqueFrom(definitionOf(made))).toEqual({ ...made, key: made.stem });
      }),
    );
  });
});
