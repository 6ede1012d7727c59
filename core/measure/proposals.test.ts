import fc from "fast-check";
import { movedBetween } from "../change/moved";
import { landmarks, type PointKey } from "../anatomy/landmarks";
import { seeded } from "../random";
import { references, setup, standing } from "../test/standing";
import { calibrate, locate, project, type Marks } from "./calibration";
import { fromPose } from "./from-pose";
import { leftRight } from "./left-right";
import { guessesOf, mark, marksOfView, startMarking, type Marking, type MarkingCommand } from "./marking";
import { mapped, overlay } from "./overlay";
import { findPose, poseInput, posePoints, type Square } from "./pose";
import { fromEarlier, fromProportions, takenOver } from "./propose";
import { readPhoto, sceneOf } from "./read-photo";
import { pointsOfView, usualDepth, views } from "./view";

describe("guesses from proportions", () => {
  it.each(views)("puts every landmark of the %s view where the catalogue says people have it", (view) => {
    const photo = standing(view);
    const scene = sceneOf(photo);
    const calibration = calibrate(scene)!;
    expect(Object.keys(photo.marks).sort()).toEqual([...marksOfView(view)].sort());
    for (const key of pointsOfView[view]) {
      const place = locate(scene, calibration, key)!;
      expect(place.up / setup.stature).toBeCloseTo(landmarks[key.split(".")[0] as "c7"].height, 3);
    }
  });

  it("stands on the ankles that are marked already, and waits for plumb and stick", () => {
    const { marks } = standing("front");
    const moved = { x: marks["ankle.R"]!.x + 30, y: marks["ankle.R"]!.y + 4 };
    const other = { x: marks["ankle.L"]!.x + 30, y: marks["ankle.L"]!.y + 4 };
    const again = fromProportions({
      view: "front",
      setup,
      marks: { ...references, "ankle.R": moved, "ankle.L": other },
    })!;
    expect(again["tragus.L"]!.x - marks["tragus.L"]!.x).toBeCloseTo(30, 6);
    expect(again["tragus.L"]!.y - marks["tragus.L"]!.y).toBeCloseTo(4, 6);
    expect(fromProportions({ view: "front", setup, marks: {} })).toBeUndefined();
  });
});

/** A later picture of another size, roll and distance, with its plumb and stick only. */
const unmarked = {
  view: "front" as const,
  setup: { ...setup, width: 900, height: 1350, cameraDistance: 3400 },
  marks: {
    "plumb.top": { x: 150, y: 60 },
    "plumb.foot": { x: 190, y: 1240 },
    "stick.top": { x: 730, y: 150 },
    "stick.foot": { x: 766, y: 1200 },
  } as Marks,
};

describe("guesses from an earlier picture", () => {
  it("finds the same places on the body in a picture of another size, roll and distance", () => {
    const earlier = standing("front");
    const now = unmarked;
    const guesses = fromEarlier(now, earlier)!;
    const read = (photo: typeof earlier) => readPhoto(photo).map(({ id, value }) => [id, value] as const);
    const expected = new Map(read(earlier));
    for (const [id, value] of read({ ...now, marks: { ...now.marks, ...withoutReferences(guesses) } }))
      expect({ id, off: Math.abs(value - expected.get(id)!) < 1.2 }).toEqual({ id, off: true });
  });

  it("copies places in the picture while there is no plumb and stick, and nothing from nothing", () => {
    const earlier = standing("left");
    const now = { view: "left" as const, setup: { ...setup, width: 1200, height: 1800 }, marks: {} };
    const { c7 } = fromEarlier(now, earlier)!;
    expect(c7!.x).toBeCloseTo(2 * earlier.marks.c7!.x, 6);
    expect(fromEarlier(now, { ...earlier, marks: {} })).toBeUndefined();
  });
});

const withoutReferences = (marks: Marks): Marks =>
  Object.fromEntries(Object.entries(marks).filter(([key]) => !key.includes("plumb") && !key.includes("stick")));

describe("a picture whose marks were only taken over", () => {
  it("is told from one that was looked at: one point moved by a hand's breadth of pixels is enough", () => {
    const earlier = standing("front");
    const now = unmarked;
    const copied = { ...now, marks: { ...now.marks, ...withoutReferences(fromEarlier(now, earlier)!) } };
    const all = takenOver(copied, earlier);
    expect(all.of).toBeGreaterThan(5);
    expect(all.same).toHaveLength(all.of);
    const [key] = Object.keys(withoutReferences(copied.marks)) as PointKey[];
    const moved = { ...copied.marks, [key!]: { x: copied.marks[key!]!.x + 3, y: copied.marks[key!]!.y } };
    expect(takenOver({ ...copied, marks: moved }, earlier).same.length).toBeLessThan(all.of);
    // nothing marked is nothing taken over
    expect(takenOver(now, earlier)).toEqual({ same: [], of: 0 });
  });
});

describe("marking with guesses", () => {
  const size = { width: 600, height: 900 };
  const run = (state: Marking, ...commands: MarkingCommand[]) =>
    commands.reduce((so, command) => mark(so, command, "front", size), state);
  const proposal = standing("front").marks;

  it("computes nothing from a guess until it is confirmed, and asks for the next one then", () => {
    const proposed = run(startMarking("front", {}), { kind: "propose", proposal });
    expect(proposed.marks).toEqual({});
    expect(Object.keys(guessesOf(proposed, 100))).toHaveLength(marksOfView("front").length);
    const one = run(proposed, { kind: "confirm" });
    expect(one.marks).toEqual({ "plumb.top": proposal["plumb.top"] });
    expect(one.active).toBe("plumb.foot");
    expect(run(one, { kind: "undo" }).marks).toEqual({});
    expect(run(proposed, { kind: "remove" }).proposal["plumb.top"]).toBeUndefined();
  });

  it("pulls the guesses along with what is confirmed elsewhere, the near ones most", () => {
    const proposed = run(startMarking("front", {}), { kind: "propose", proposal });
    const at = (key: "ankle.R" | "tragus.L") => proposal[key]!;
    const moved = run(
      proposed,
      { kind: "choose", mark: "ankle.R" },
      { kind: "place", at: { x: at("ankle.R").x + 20, y: at("ankle.R").y } },
      { kind: "choose", mark: "tragus.L" },
      { kind: "place", at: { x: at("tragus.L").x - 20, y: at("tragus.L").y } },
    );
    const guesses = guessesOf(moved, 112);
    const shift = (key: PointKey) => guesses[key]!.x - proposal[key]!.x;
    expect(shift("ankle.L")).toBeGreaterThan(12);
    expect(shift("tragus.R")).toBeLessThan(-12);
    expect(Math.abs(shift("asis.L"))).toBeLessThan(12);
    expect(guesses["plumb.top"]).toEqual(proposal["plumb.top"]);
    expect(guesses["ankle.R"]).toBeUndefined();
  });

  it("exchanges left and right, and exchanging twice changes nothing; a side view has only one side", () => {
    const state = startMarking("front", proposal);
    const swapped = run(state, { kind: "swap" });
    expect(swapped.marks["acromion.L"]).toEqual(proposal["acromion.R"]);
    expect(swapped.marks["sternal-notch"]).toEqual(proposal["sternal-notch"]);
    expect(run(swapped, { kind: "swap" }).marks).toEqual(proposal);
    const side = startMarking("left", standing("left").marks);
    expect(mark(side, { kind: "swap" }, "left", size)).toBe(side);
  });

  it("nudges a guess into a mark, keeps a refined line as a step of its own, and recalls what can be undone", () => {
    const proposed = run(startMarking("front", {}), { kind: "propose", proposal });
    const nudged = run(proposed, { kind: "nudge", dx: 1, dy: -2 });
    expect(nudged.marks["plumb.top"]).toEqual({ x: proposal["plumb.top"]!.x + 1, y: proposal["plumb.top"]!.y - 2 });
    const refined = run(nudged, { kind: "refine", marks: { "plumb.top": { x: 5, y: 6 } } });
    expect(run(refined, { kind: "undo" }).marks).toEqual(nudged.marks);
    const { past, future } = run(refined, { kind: "undo" });
    const later = run(startMarking("front", nudged.marks), { kind: "recall", history: { past, future } });
    expect(run(later, { kind: "redo" }).marks["plumb.top"]).toEqual({ x: 5, y: 6 });
    expect(run(later, { kind: "undo" }).marks).toEqual({});
  });

  it("drops what a proposal says of other views, and keeps it inside the picture", () => {
    const { proposal: kept } = run(startMarking("front", {}), {
      kind: "propose",
      proposal: { c7: { x: 5, y: 5 }, "tragus.L": { x: -40, y: 2000 } },
    });
    expect(kept).toEqual({ "tragus.L": { x: 0, y: 900 } });
  });
});

describe("laying an earlier picture over", () => {
  it("brings the same body on to itself, whatever the camera did (any roll, scale and place)", () => {
    const now = standing("front");
    fc.assert(
      fc.property(
        fc.double({ min: -0.1, max: 0.1, noNaN: true }),
        fc.double({ min: 0.6, max: 1.6, noNaN: true }),
        fc.double({ min: -50, max: 50, noNaN: true }),
        (angle, scale, across) => {
          const turn = ({ x, y }: { x: number; y: number }) => ({
            x: across + scale * (x * Math.cos(angle) - y * Math.sin(angle)),
            y: scale * (x * Math.sin(angle) + y * Math.cos(angle)),
          });
          const marks = Object.fromEntries(Object.entries(now.marks).map(([key, at]) => [key, turn(at)])) as Marks;
          const map = overlay({ ...now, marks }, now)!;
          for (const key of pointsOfView.front) {
            const { x, y } = mapped(map, marks[key]!);
            expect(Math.hypot(x - now.marks[key]!.x, y - now.marks[key]!.y)).toBeLessThan(1e-6);
          }
        },
      ),
    );
    expect(overlay(standing("back"), now)).toBeUndefined();
    expect(overlay({ ...now, marks: references }, now)).toBeUndefined();
  });

  it("draws arrows only to what moved beyond its error: one in twenty when nothing did", () => {
    const random = seeded(9);
    const now = standing("front");
    let [moves, points] = [0, 0];
    for (let i = 0; i < 40; i++) {
      const again = (): Marks =>
        Object.fromEntries(
          Object.entries(now.marks).map(([key, { x, y }]) => {
            const sd = /plumb|stick/.test(key) ? 1 : Math.hypot(1, landmarks[key.split(".")[0] as "c7"].placing / 2.45);
            return [key, { x: x + sd * random.normal(), y: y + sd * random.normal() }];
          }),
        );
      moves += movedBetween({ ...now, marks: again() }, { ...now, marks: again() }).length;
      points += pointsOfView.front.length - 2;
    }
    expect(moves / points).toBeLessThan(0.06);
    const head = {
      ...now,
      marks: { ...now.marks, "tragus.L": { x: now.marks["tragus.L"]!.x + 20, y: now.marks["tragus.L"]!.y } },
    };
    expect(movedBetween(now, head).map(({ point }) => point)).toEqual(["tragus.L"]);
    expect(movedBetween({ ...now, marks: references }, now)).toEqual([]);
  });
});

describe("left against right", () => {
  it("pairs knees of one picture and side views of two, by the same method, and judges by both errors", () => {
    const front = readPhoto(standing("front"));
    const sides = [...readPhoto(standing("left")), ...readPhoto(standing("right"))];
    const found = leftRight([...front, ...sides]);
    const names = found.map(({ left }) => left.metric.key);
    expect(names).toEqual(expect.arrayContaining(["knee-line", "foot-turn-out", "craniovertebral", "pelvic-tilt"]));
    expect(names).not.toContain("shoulder-level");
    for (const { difference, verdict, left, right } of found) {
      expect([left.side, right.side]).toEqual(["L", "R"]);
      expect(Math.abs(difference)).toBeLessThan(1e-6);
      expect(verdict).toBe("cannot be told");
    }
    const bent = front.map((each) => (each.id === "knee-line.L.front" ? { ...each, value: each.value + 9 } : each));
    expect(leftRight(bent)[0]).toMatchObject({ verdict: "clear", left: { id: "knee-line.L.front" } });
    const byHand = front.map((each) =>
      each.id === "knee-line.L.front" ? { ...each, method: "goniometer" as const } : each,
    );
    expect(leftRight(byHand).some(({ left }) => left.metric.key === "knee-line")).toBe(false);
  });
});

describe("guesses from a pose", () => {
  const square = (points: Record<string, [number, number]>, { x, y, side }: Square) => {
    const list = new Float32Array(5 * 39);
    posePoints.forEach((name, i) => {
      const [px, py] = points[name] ?? [300, 450];
      list[5 * i] = ((px - x) / side) * poseInput;
      list[5 * i + 1] = ((py - y) / side) * poseInput;
      list[5 * i + 3] = 4;
    });
    return list;
  };
  const person: Record<string, [number, number]> = {
    "ear.L": [330, 120],
    "ear.R": [270, 120],
    "shoulder.L": [370, 230],
    "shoulder.R": [230, 230],
    "hip.L": [335, 460],
    "hip.R": [265, 460],
    "ankle.L": [330, 820],
    "ankle.R": [270, 820],
    "heel.L": [330, 840],
    "heel.R": [270, 840],
    "toe.L": [340, 860],
    "toe.R": [260, 860],
  };
  const size = { width: 600, height: 900 };

  it("runs on the whole and again close by, and gives places in the picture's own pixels", async () => {
    const seen: Square[] = [];
    const pose = await findPose(
      (pixels) => Promise.resolve({ points: square(person, seen.at(-1)!), score: pixels[0]! }),
      (at) => {
        seen.push(at);
        return new Float32Array([0.9]);
      },
      size,
    );
    expect(seen).toHaveLength(2);
    expect(seen[0]).toEqual({ x: -150, y: 0, side: 900 });
    expect(seen[1]!.side).toBeLessThan(1000);
    expect(pose!.points["ear.L"]!.x).toBeCloseTo(330, 2);
    expect(pose!.points["toe.R"]!.y).toBeCloseTo(860, 2);
  });

  it("sees nobody where the model doubts it", async () => {
    const run = () => Promise.resolve({ points: new Float32Array(195), score: 0.2 });
    expect(await findPose(run, () => new Float32Array(1), size)).toBeUndefined();
  });

  it("proposes bony points beside the joints, each side on its own side, and leaves out what is hardly seen", () => {
    const points = Object.fromEntries(
      posePoints.map((name) => [name, { x: person[name]?.[0] ?? 300, y: person[name]?.[1] ?? 640, score: 0.97 }]),
    );
    points["knee.L"] = { x: 332, y: 640, score: 0.2 };
    const { marks, sure } = fromPose("front", { score: 0.99, points });
    expect(marks["patella.L"]).toBeUndefined();
    expect(marks["acromion.L"]!.y).toBeLessThan(230);
    expect(marks["asis.L"]!.x - 335).toBeCloseTo(265 - marks["asis.R"]!.x, 6);
    expect(sure["asis.L"]).toBe(0.97);
    const back = fromPose("back", { score: 0.99, points });
    expect(Object.keys(back.marks)).toHaveLength(pointsOfView.back.length);
    expect(Object.keys(fromPose("left", { score: 1, points }).marks)).toContain("c7");
  });
});

describe("projecting on to the picture", () => {
  it("is the inverse of locating (any place)", () => {
    const scene = sceneOf({ view: "back", setup, marks: { ...references, "plumb.foot": { x: 130, y: 810 } } });
    const calibration = calibrate(scene)!;
    fc.assert(
      fc.property(
        fc.double({ min: -300, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 1700, noNaN: true }),
        (across, up) => {
          const near = usualDepth("back", "c7", setup.stature);
          const c7 = project(scene, calibration, { across, up, near });
          const place = locate({ ...scene, marks: { ...scene.marks, c7 } }, calibration, "c7")!;
          expect(place.across).toBeCloseTo(across, 6);
          expect(place.up).toBeCloseTo(up, 6);
        },
      ),
    );
  });
});
