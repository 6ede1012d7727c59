import { clockWords, counted } from "../words";
import { arcAfter, type ArcEvent } from "./arc";
import type { Form } from "./arc-steps";
import { boneName, bonesAfter, compareBones, type BoneEvent } from "./bones";
import type { HandsBy } from "./own-hands";
import { stillPointsAfter, stillWords, type StillEvent } from "./still-point";
import { readUnwinding, unwindingsAfter, type UnwindEvent } from "./unwinding";

type LightEvent = ArcEvent | BoneEvent | StillEvent | UnwindEvent;

const formWords: Record<Form, string> = {
  long: "the whole arc",
  short: "the short form of the arc",
  "1 of 2": "the arc, first of two visits",
  "2 of 2": "the arc, second of two visits",
  "1 of 3": "the arc, first of three visits",
  "2 of 3": "the arc, second of three visits",
  "3 of 3": "the arc, third of three visits",
};
/** What was done at a visit by light touch, a sentence each, in the order of the work; none where nothing was. */
export function lightLines(
  events: readonly (LightEvent | { kind: string })[],
  listenedAgain: number,
  hands: HandsBy = {},
): string[] {
  const { form, runs } = arcAfter(events);
  const done = runs.filter(({ lasted }) => lasted !== undefined);
  const arc =
    form && done.length > 0
      ? [
          `Light touch: ${formWords[form]}, ${counted(done.length, "hold")} in ${clockWords(done.reduce((sum, { lasted }) => sum + lasted!, 0))} min${
            listenedAgain === 0 ? "; the stations were not listened at again" : ""
          }.`,
        ]
      : [];
  const stills = stillPointsAfter(events).map((point) => `Still point. ${stillWords(point)}.`);
  const felt = bonesAfter(events);
  const bones = compareBones(
    felt.filter(({ moment }) => moment === "before"),
    felt.filter(({ moment }) => moment === "after"),
    hands,
  )
    .filter(({ before, after }) => before !== after)
    .map(
      ({ segment, test, side, end, before, after, verdict }) =>
        `${boneName(segment, test, side)}, ${test.ends[end]}: ${before} → ${after} of 3 (${verdict === "cannot be told" ? verdict : `${verdict}, ${after > before ? "freer" : "less free"}`}).`,
    );
  const unwindings = unwindingsAfter(events)
    .filter(({ ended }) => ended)
    .map((run) => {
      const { loops, positions, toStill } = readUnwinding(run);
      return `Unwinding, ${run.part}: ${counted(loops, "loop")}, ${counted(positions, "position")}, ${
        toStill === undefined ? "no still point" : `still after ${clockWords(toStill)} min`
      }; ended by the ${run.ended!.by}.`;
    });
  return [...arc, ...stills, ...bones, ...unwindings];
}
