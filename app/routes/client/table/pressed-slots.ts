import { boneSlot, rangeWords, segmentOf } from "~core/light-touch/bones";
import { edgeSlot } from "~core/move/edge-of-table";
import { movementOf } from "~core/move/movements";
import { rangeSlot } from "~core/move/ranges";
import { answerSlot } from "~core/table/answers";
import { checkOf } from "~core/table/checks";
import { wordsOf } from "~core/table/results";
import { capitalised, sideBehind } from "~core/words";
import type { PressedEvent } from "~data/session-events";

/** What a press stands in the place of; undefined for what is only added to. */
export function slotOf(event: PressedEvent): string | undefined {
  switch (event.kind) {
    case "answer":
      return `answer ${answerSlot(event.body)}`;
    case "range":
      return `range ${rangeSlot(event.body)}`;
    case "edge":
      return `edge ${edgeSlot(event.body)}`;
    case "bone":
      return `bone ${boneSlot(event.body)}`;
    default:
      return undefined;
  }
}

const momentWords = { before: "before the work", again: "in the second round", after: "after the work" } as const;
const sideOf = (side: "L" | "R" | null) => (side ? sideBehind[side] : "");

/** What a press is about, and what it said: "Hip height, before the work" and "a little left high". */
export function pressedWords(event: PressedEvent): { about: string; said: string } {
  const when = (moment: keyof typeof momentWords) => momentWords[moment];
  switch (event.kind) {
    case "answer": {
      const { check: key, side, moment, value } = event.body;
      const check = checkOf(key);
      return {
        about: `${check.name}${sideOf(side)}, ${when(moment)}`,
        said: value === null ? "taken back" : wordsOf(check, [{ ...event.body, value }], moment),
      };
    }
    case "range": {
      const { movement, side, moment, values } = event.body;
      return {
        about: `${movementOf(movement).name}${sideOf(side)}, ${when(moment)}`,
        said: values.length === 0 ? "taken back" : values.join(", "),
      };
    }
    case "edge": {
      const { side, moment, angles } = event.body;
      return {
        about: `Edge of the table${sideOf(side)}, ${when(moment)}`,
        said: angles ? `thigh ${angles.thigh}°, knee ${angles.knee}°` : "taken back",
      };
    }
    case "bone": {
      const { segment: key, test: named, side, moment, range } = event.body;
      const segment = segmentOf(key)!;
      const test = segment.tests.find((each) => each.key === named)!;
      return {
        about: `${segment.name}${sideOf(side)}, ${test.name.toLowerCase()}, ${when(moment)}`,
        said: range
          .map((each, end) => `${test.ends[end]}: ${each === null ? "not felt" : rangeWords[each]}`)
          .join(", "),
      };
    }
    default:
      return { about: capitalised(event.kind), said: "" };
  }
}
