import { addSeconds, parseISO } from "date-fns";
import type { ArcEvent } from "../../core/light-touch/arc";
import { holds, stepsOf, type Form, type Sign } from "../../core/light-touch/arc-steps";
import type { BoneEvent, BoneFelt } from "../../core/light-touch/bones";
import type { StillEvent } from "../../core/light-touch/still-point";
import type { UnwindEvent } from "../../core/light-touch/unwinding";
import { seeded, seedOf } from "../../core/random";
import { standInPath } from "../../devices/motion/motion";

type LightEvent = ArcEvent | BoneEvent | StillEvent | UnwindEvent;
/** Not known until loaded: the id an event gets from its name. */
type MakeId = (name: string) => string;

/** What of the arc each of her two visits made, and what her right arm did. */
const visits: readonly { form: Form; loops: number; positions: number; rates: [number, number] }[] = [
  { form: "1 of 3", loops: 6, positions: 4, rates: [9.2, 7.4] },
  { form: "2 of 3", loops: 4, positions: 3, rates: [8.6, 7.6] },
];

const felt = (
  moment: BoneFelt["moment"],
  segment: string,
  test: string,
  range: [number, number],
  eased = false,
): BoneFelt => ({
  moment,
  segment,
  test,
  side: null,
  range,
  step: null,
  eased: [false, eased],
});
/** Torsion to the right was stuck at first, and came free. */
const bones: readonly (readonly BoneFelt[])[] = [
  [
    felt("before", "sphenoid", "flexion", [2, 2]),
    felt("before", "sphenoid", "torsion", [3, 0], true),
    felt("before", "sphenoid", "side-bend", [2, 1]),
    felt("after", "sphenoid", "flexion", [2, 2]),
    felt("after", "sphenoid", "torsion", [3, 3]),
    felt("after", "sphenoid", "side-bend", [2, 2]),
  ],
  [
    felt("before", "sphenoid", "torsion", [3, 2]),
    felt("before", "sacrum", "flexion", [2, 1]),
    felt("after", "sphenoid", "torsion", [3, 3]),
    felt("after", "sacrum", "flexion", [2, 2]),
  ],
];

const signsSeen: readonly Sign[] = ["softening", "a deep breath", "warmth", "lengthening", "floating"];

/** Everything that was pressed at one of her visits, in its order, from ten o'clock of its day on. */
export function lightEvents(visit: 1 | 2, onDate: string, id: MakeId): LightEvent[] {
  const { form, loops, positions, rates } = visits[visit - 1]!;
  const random = seeded(seedOf(`light touch ${visit}`));
  const events: LightEvent[] = [];
  let clock = parseISO(`${onDate}T10:00:00Z`);
  const add = (seconds: number, event: Omit<LightEvent, "id" | "at">) => {
    clock = addSeconds(clock, seconds);
    events.push({ id: id(`light ${events.length}`), at: clock.toISOString(), ...event } as LightEvent);
  };
  for (const body of bones[visit - 1]!.filter(({ moment }) => moment === "before")) add(20, { kind: "bone", body });
  add(30, { kind: "arc", body: { press: "form", form } });
  for (const { key, phases } of stepsOf(form).flatMap((step) => step.holds)) {
    const index = holds.findIndex((each) => each.key === key);
    for (let phase = 0; phase <= phases.length; phase++) {
      if (phase === phases.length - 1)
        add(5, { kind: "arc", body: { press: "sign", hold: key, sign: signsSeen[index % signsSeen.length]! } });
      add(phase === 0 ? 20 : Math.round(30 + 50 * random.uniform()), {
        kind: "arc",
        body: { press: "phase", hold: key, phase },
      });
    }
  }
  const point = id("still point");
  add(20, { kind: "still", body: { point, press: "on", place: "occiput", rate: rates[0] } });
  add(165, { kind: "still", body: { point, press: "still" } });
  add(80, { kind: "still", body: { point, press: "back", how: "full and even", rate: rates[1] } });
  const run = id("unwinding");
  add(60, { kind: "unwind", body: { run, press: "begun", part: "right arm" } });
  const path = standInPath(loops, positions, random).map(
    ([x, y, at]) => [Math.round(x), Math.round(y), Math.round(10 * at) / 10] as const,
  );
  for (let i = 0; i < path.length; i += 500)
    add(1, { kind: "unwind", body: { run, press: "path", points: path.slice(i, i + 500) } });
  const drawn = Math.ceil(path.length / 500);
  add(180 - drawn, { kind: "unwind", body: { run, press: "still" } });
  add(45, { kind: "unwind", body: { run, press: "ended", by: "tissue", emotion: false } });
  for (const body of bones[visit - 1]!.filter(({ moment }) => moment === "after")) add(30, { kind: "bone", body });
  return events;
}
