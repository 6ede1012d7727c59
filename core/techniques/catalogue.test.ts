import { joints } from "../anatomy/joints";
import { depthOf } from "../anatomy/layers";
import { structureOf } from "../anatomy/structures";
import { layerKeys } from "../anatomy/layers";
import { regionKeys } from "../anatomy/regions";
import { neededCover, prepares, regionsWorked, workingDepth } from "../series/rulebook";
import { catalogue } from "./catalogue";
import { techniqueOf } from "./library";
import { hasTag, jointsMoved, lightest, regionsTouched } from "./touches";
import { isStrong, passesOf } from "./technique";

describe("the catalogue of techniques", () => {
  it("has unique keys and names, and reads each back by its key", () => {
    expect(new Set(catalogue.map((each) => each.key)).size).toBe(catalogue.length);
    expect(new Set(catalogue.map((each) => each.name)).size).toBe(catalogue.length);
    for (const technique of catalogue) expect(techniqueOf(technique.key)).toBe(technique);
    expect(() => techniqueOf("unheard-of")).toThrow(/"unheard-of" is not in the catalogue/);
  });

  it("reads every part of every row as something that is known", () => {
    for (const technique of catalogue) {
      const { minutes, pressure, doses, positions, load, what } = technique;
      expect([...layerKeys, "LT"]).toContain(technique.layer);
      expect(["dry", "wax", "oil", "any"]).toContain(technique.medium);
      expect(["open", "warm", "work", "balance", "close"]).toContain(technique.phase);
      for (const position of positions) expect(["prone", "supine", "side", "seated"]).toContain(position);
      expect(new Set(positions).size).toBe(positions.length);
      expect(minutes.least).toBeGreaterThan(0);
      expect(minutes.ideal).toBeGreaterThanOrEqual(minutes.least);
      expect(pressure).toBeGreaterThanOrEqual(0);
      expect(pressure).toBeLessThanOrEqual(10);
      for (const dose of doses) {
        expect(regionKeys).toContain(dose.region);
        expect(layerKeys).toContain(dose.layer);
        expect(dose.share).toBeGreaterThan(0);
        expect(dose.share).toBeLessThanOrEqual(1);
      }
      for (const value of Object.values(load)) expect([1, 2, 3]).toContain(value);
      expect(what).toMatch(/^[A-Z].*\.$/);
      expect(technique.stopWhen).not.toMatch(/^[A-Z]|\.$/);
    }
  });

  // common practice: three passes of what loosens, one of what opens, warms, closes or is followed
  it("passes three times over work and balance, and once over the rest", () => {
    for (const technique of catalogue) {
      const worked = technique.phase === "work" || technique.phase === "balance";
      expect(passesOf(technique)).toBe(worked && technique.layer !== "LT" ? 3 : 1);
    }
  });

  // common practice: 5 of 10 is the ceiling on tender points, and nothing usual goes over 7
  it("keeps light touch light and the strongest work within a strong school", () => {
    for (const technique of catalogue) {
      if (technique.layer === "LT") expect(technique.pressure).toBeLessThanOrEqual(2);
      expect(technique.pressure).toBeLessThanOrEqual(7);
      expect(isStrong(technique)).toBe(technique.pressure >= 6);
      expect(lightest(technique)).toBeLessThanOrEqual(technique.pressure);
    }
  });

  it("offers an opening, a closing and a way up in every position a client may be confined to", () => {
    for (const place of ["prone", "supine", "side", "seated"] as const)
      for (const phase of ["open", "close"] as const)
        expect({
          place,
          phase,
          found: catalogue.some(
            (each) => each.phase === phase && (each.positions.length === 0 || each.positions.includes(place)),
          ),
        }).toEqual({ place, phase, found: true });
  });

  it("reaches every region at the surface and below, so that nothing is without a way in", () => {
    for (const region of regionKeys) {
      const here = catalogue.filter((each) => each.layer !== "LT" && each.doses.some((dose) => dose.region === region));
      expect(Math.min(...here.map(workingDepth))).toBeLessThanOrEqual(2);
      expect(Math.max(...here.map(workingDepth))).toBeGreaterThanOrEqual(3);
    }
  });

  it("reaches structures where they lie, no deeper than its own layer but for light touch", () => {
    for (const { key, layer, reach } of catalogue)
      for (const { structure, places, share } of reach) {
        const own = structureOf(structure)!;
        for (const place of places)
          expect([key, structure, own.places.includes(place)]).toEqual([key, structure, true]);
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThanOrEqual(1);
        if (layer !== "LT")
          expect([key, structure, depthOf(own.layer) <= depthOf(layer)]).toEqual([key, structure, true]);
      }
  });

  it("doses a region’s layer by the most that any structure there gets", () => {
    const { reach, doses } = techniqueOf("hip-lift-press");
    expect(reach.map(({ structure, share }) => [structure, share])).toEqual([
      ["lumbar-erectors", 1],
      ["gluteus-maximus", 0.3],
    ]);
    expect(doses).toEqual([
      { region: "low-back", layer: "SM", share: 1 },
      { region: "pelvis", layer: "SM", share: 0.3 },
    ]);
    // a group is all of its parts, where they lie in the places named
    const band = techniqueOf("ham-iron").reach;
    expect(band.map(({ structure }) => structure)).toEqual([
      "biceps-femoris-long-head",
      "semitendinosus",
      "semimembranosus",
    ]);
    for (const { places } of band) expect(places).toEqual(["thigh-back"]);
    // and a region is touched wherever a place of it is, however little
    for (const each of catalogue) for (const { region } of each.doses) expect(regionsTouched(each)).toContain(region);
  });

  it("says which joints its levers and stretches move: those where they are laid on at least, or as named", () => {
    const known = new Set(joints.map(({ key }) => key));
    for (const each of catalogue)
      if ((["lever", "end range", "neck lever"] as const).some((tag) => hasTag(each, tag))) {
        expect([each.key, jointsMoved(each).length > 0]).toEqual([each.key, true]);
        for (const joint of jointsMoved(each)) expect(known.has(joint)).toBe(true);
      }
    // what lies near the knee and does not bend it is free where a knee must not be bent
    expect(jointsMoved(techniqueOf("ham-pin-straighten"))).toContain("knee-joint");
    expect(jointsMoved(techniqueOf("calf-pin"))).not.toContain("knee-joint");
    expect(jointsMoved(techniqueOf("leg-as-lever"))).toEqual(expect.arrayContaining(["hip-joint", "knee-joint"]));
  });

  it("prepares everything that has to be prepared, in each region it works", () => {
    for (const technique of catalogue.filter((each) => neededCover(each) > 0))
      for (const region of regionsWorked(technique))
        expect({
          technique: technique.key,
          region,
          ways: catalogue.filter((cover) => cover !== technique && prepares(cover, technique, region)).length > 0,
        }).toEqual({ technique: technique.key, region, ways: true });
  });

  it("says what hands do to the tissue: light touch rests, joints are moved, skin is lifted, and what pins sinks in", () => {
    for (const { key, layer, force, what, name } of catalogue) {
      if (key === "rise-slowly") continue;
      expect([key, force !== undefined]).toEqual([key, true]);
      if (layer === "LT") expect([key, force!.kind]).toEqual([key, "rests"]);
      if (layer === "AR") expect([key, force!.kind]).toEqual([key, "moves"]);
      if (/\b(skin (roll|lift|fold))/i.test(name)) expect([key, force!.kind]).toEqual([key, "lifts"]);
      if (/\b(pins?|sinks?)\b/i.test(what) && layer !== "AR") expect([key, force!.kind]).toEqual([key, "sinks"]);
      expect(new Set(force!.ways).size).toBe(force!.ways.length);
    }
  });

  it("asks for consent where hands come near what is sensitive", () => {
    for (const key of ["psoas-wait", "adductor-lean", "pec-minor-open", "subscap-reach", "rib-space-glide"])
      expect(techniqueOf(key).consent).toBe(true);
  });

  // what a name or a text says about how the client lies, and the positions it can be true in
  const says: [RegExp, string[]][] = [
    [/\bon the side\b|side-lying|upper side|upper (hip|leg|thigh)\b/i, ["side"]],
    [/\bseated\b|\bsits?\b(?! bone)|sitting(?! bone)|stool|forehead supported/i, ["seated"]],
    [/face down|\bprone\b|face cradle|on the belly and/i, ["prone"]],
    [/face up|\bsupine\b|(lying|lies) on the back/i, ["supine"]],
  ];
  it("says nothing about lying or sitting that a planned position could contradict", () => {
    for (const { key, name, what, positions } of catalogue)
      for (const [words, fits] of says)
        // rising says where one rises to
        if (key !== "rise-slowly" && words.test(`${name} ${what}`.replace(/sit[- ]bone/gi, "")))
          expect({ key, positions }).toEqual({
            key,
            positions: positions.filter((position) => fits.includes(position)),
          });
    for (const [words] of says.slice(0, 2))
      expect(catalogue.some(({ name, what }) => words.test(`${name} ${what}`))).toBe(true);
  });
});
