import { forms, holdOf, holds, signs, stepsOf, type Form, type Hold, type Sign } from "./arc-steps";

/** Presses of an arc: which form, the next phase of a hold, a sign, a loop in which one became a barrier, a hold left out. */
export type ArcEvent = {
  id: string;
  at: string;
  kind: "arc";
  body:
    | { press: "form"; form: Form }
    | { press: "phase"; hold: string; phase: number }
    | { press: "sign"; hold: string; sign: Sign }
    | { press: "loop" | "left out" | "taken up"; hold: string };
};

/** Why a press is none of the arc: field, rule and value. */
export function arcFault(body: ArcEvent["body"]): string | undefined {
  if (body.press === "form") return forms.includes(body.form) ? undefined : `Form: “${String(body.form)}” is none.`;
  const known = holdOf(body.hold);
  if (!known) return `Hold: “${body.hold}” is not of the arc.`;
  if (body.press === "phase")
    return Number.isInteger(body.phase) && body.phase >= 0 && body.phase <= known.phases.length
      ? undefined
      : `Phase of ${known.name.toLowerCase()}: from 0 to ${known.phases.length}, got ${String(body.phase)}.`;
  return body.press === "sign" && !signs.includes(body.sign)
    ? `Sign: “${String(body.sign)}” is not one of the words.`
    : undefined;
}

/** What became of a hold: `phase` undefined before it began; as many as it has phases when it is done. */
export type HoldRun = {
  hold: Hold;
  phase?: number;
  /** When its present phase began, and the hold itself (ISO). */
  since?: string;
  begun?: string;
  /** Seconds from the first touch to the last; once done. */
  lasted?: number;
  signs: readonly Sign[];
  loops: number;
  leftOut: boolean;
};

const seconds = (from: string, to: string) => Math.max(0, (Date.parse(to) - Date.parse(from)) / 1000);

/** The arc of a visit as it was pressed. A phase only ever goes on: what comes twice or late changes nothing. */
export function arcAfter(events: readonly (ArcEvent | { kind: string })[]): {
  form: Form | undefined;
  runs: HoldRun[];
} {
  let form: Form | undefined;
  const runs = new Map(
    holds.map((each) => [
      each.key,
      { hold: each, signs: [] as Sign[], loops: 0, leftOut: false } as HoldRun & { signs: Sign[] },
    ]),
  );
  for (const { at, body } of events.filter((event): event is ArcEvent => event.kind === "arc")) {
    if (body.press === "form") {
      form = body.form;
      continue;
    }
    const run = runs.get(body.hold);
    if (!run) continue;
    if (body.press === "sign") {
      if (!run.signs.includes(body.sign)) run.signs.push(body.sign);
    } else if (body.press === "loop") run.loops += 1;
    else if (body.press !== "phase") run.leftOut = body.press === "left out";
    else if (body.phase > (run.phase ?? -1)) {
      run.phase = body.phase;
      run.since = at;
      run.begun ??= at;
      if (body.phase === run.hold.phases.length) run.lasted = seconds(run.begun, at);
    }
  }
  return { form, runs: [...runs.values()] };
}

export const isDone = ({ lasted, leftOut }: HoldRun): boolean => lasted !== undefined || leftOut;

/** Of a form's holds the first that is not done; undefined when all are. */
export const nextHold = (form: Form, runs: readonly HoldRun[]): HoldRun | undefined =>
  stepsOf(form)
    .flatMap((step) => step.holds)
    .map(({ key }) => runs.find((run) => run.hold.key === key)!)
    .find((run) => !isDone(run));

/** What was held of an arc by its technique, in minutes (to a tenth), in the order of the arc; what was left out is not there. */
export function workedSteps(runs: readonly HoldRun[]): { technique: string; minutes: number }[] {
  const held = new Map<string, number>();
  for (const { hold, lasted } of runs)
    if (lasted !== undefined) held.set(hold.technique, (held.get(hold.technique) ?? 0) + lasted);
  return [...held].map(([technique, spent]) => ({ technique, minutes: Math.round(spent / 6) / 10 }));
}
