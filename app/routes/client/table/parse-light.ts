import { arcFault, type ArcEvent } from "~core/light-touch/arc";
import { boneFault, type BoneFelt, type Step } from "~core/light-touch/bones";
import { returns, stillPlaces, type Return, type StillEvent } from "~core/light-touch/still-point";
import { enders, pathFault, unwound, type PathPoint, type UnwindEvent } from "~core/light-touch/unwinding";
import { isId } from "~app/event-head";
import { isNumber, oneOf, type Body } from "./parse-parts";

type Sent = Record<string, unknown>;

export function bone({ moment, segment, test, side = null, range, step = null, eased }: Sent): Body<BoneFelt> {
  if (!oneOf(moment, ["before", "again", "after"])) return { reason: "Moment: before, again or after." };
  if (typeof segment !== "string" || typeof test !== "string") return { reason: "Segment and test: choose both." };
  if (side !== null && !oneOf(side, ["L", "R"])) return { reason: "Side: left, right or none." };
  const pair = <T>(value: unknown, is: (each: unknown) => each is T): value is [T, T] =>
    Array.isArray(value) && value.length === 2 && value.every(is);
  if (!pair(range, (each): each is number | null => each === null || isNumber(each)))
    return { reason: "Range: one figure at each of two ends." };
  if (!pair(eased, (each): each is boolean => typeof each === "boolean"))
    return { reason: "Eased: yes or no at each of two ends." };
  const body: BoneFelt = { moment, segment, test, side, range, step: step as Step | null, eased };
  const reason = boneFault(body);
  return reason ? { reason } : { body };
}

const isRate = (rate: unknown): rate is number | null => rate === null || (isNumber(rate) && rate > 0 && rate <= 200);

export function still({ point, press, place, rate = null, how = null }: Sent): Body<StillEvent["body"]> {
  if (!isId(point)) return { reason: "Still point: its id is not valid." };
  if (!isRate(rate)) return { reason: `Rate: above 0 and up to 200 a minute, got ${String(rate)}.` };
  if (press === "on")
    return oneOf(place, stillPlaces) ? { body: { point, press, place, rate } } : { reason: "Place: choose one." };
  if (press === "still" || press === "given up") return { body: { point, press } };
  if (press !== "back") return { reason: "Still point: its press is not known." };
  return how === null || oneOf(how, returns)
    ? { body: { point, press, how: how as Return | null, rate } }
    : { reason: `How it came back: “${String(how)}” is not one of the words.` };
}

const isPoint = (value: unknown): value is PathPoint =>
  Array.isArray(value) && value.length === 3 && value.every(isNumber);

export function unwind({ run, press, part, points, by, emotion }: Sent): Body<UnwindEvent["body"]> {
  if (!isId(run)) return { reason: "Unwinding: its id is not valid." };
  if (press === "begun") return oneOf(part, unwound) ? { body: { run, press, part } } : { reason: "Part: choose one." };
  if (press === "still" || press === "barrier") return { body: { run, press } };
  if (press === "ended")
    return oneOf(by, enders) && typeof emotion === "boolean"
      ? { body: { run, press, by, emotion } }
      : { reason: "End: say who ended it, and whether emotion came." };
  if (press !== "path") return { reason: "Unwinding: its press is not known." };
  if (!Array.isArray(points) || !points.every(isPoint)) return { reason: "Path: a list of points in time." };
  const reason = pathFault(points);
  return reason ? { reason } : { body: { run, press, points } };
}

export function arc({ press, form, hold, phase, sign }: Sent): Body<ArcEvent["body"]> {
  const bodies: Record<string, object> = {
    form: { press, form },
    phase: { press, hold, phase },
    sign: { press, hold, sign },
    loop: { press, hold },
    "left out": { press, hold },
    "taken up": { press, hold },
  };
  const body = typeof press === "string" ? (bodies[press] as ArcEvent["body"] | undefined) : undefined;
  if (!body) return { reason: "Arc: its press is not known." };
  const reason = arcFault(body);
  return reason ? { reason } : { body };
}
