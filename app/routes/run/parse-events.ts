import { array, number, object, string, ValidationError, type ObjectSchema } from "yup";
import { eventKinds, ways, type EventKind, type SessionEvent } from "~core/session/events";
import { isTechnique } from "~core/techniques/library";
import { headOf, type Refused } from "~app/event-head";

const step = number().integer().min(0).max(200).required();
const runStep = object({
  technique: string().required().max(120).test("technique", "not in the catalogue", isTechnique),
  side: string().oneOf(["L", "R", "mid"]).required(),
  position: string().max(20).nullable().default(null),
  planned: number().min(0).max(36_000).required(),
  passes: number().integer().min(1).max(20).required(),
});

const bodies: Record<EventKind, ObjectSchema<Record<string, unknown>>> = {
  started: object({
    steps: array(runStep).max(200).required(),
    agreed: array(string().trim().min(1).max(500).required()).max(6).optional(),
  }) as never,
  next: object({ step }),
  back: object({ step }),
  skip: object({ step }),
  note: object({ step, text: string().trim().min(1).max(4000).required() }),
  pressure: object({ step, value: number().min(0).max(10).required() }),
  direction: object({
    step,
    towards: string()
      .oneOf([...ways])
      .required(),
  }),
  paused: object({}),
  resumed: object({}),
  finished: object({}),
  corrected: object({ step, seconds: number().min(0).max(36_000).required() }),
};

/** One event as the table sends it, or why it is none. Cheap questions come first. */
export function parseEvent(value: unknown): SessionEvent | Refused {
  const head = headOf(value);
  if ("reason" in head) return head;
  const { id, at, kind, body } = head;
  const schema = eventKinds.includes(kind as EventKind) ? bodies[kind as EventKind] : undefined;
  if (!schema) return { id, reason: "Event: its kind is not known." };
  const { steps } = body as { steps?: unknown };
  if (Array.isArray(steps) && steps.length > 200) return { id, reason: "Event: a session has at most 200 steps." };
  try {
    return { id, at, kind, body: schema.validateSync(body, { stripUnknown: true }) } as SessionEvent;
  } catch (error) {
    // a schema trims what it takes for text: a list in its place is no fault of ours
    if (error instanceof TypeError) return { id, reason: "Event: its content is of another kind than is needed." };
    if (!(error instanceof ValidationError)) throw error;
    return { id, reason: `Event: ${error.path || "its content"} is not well formed.` };
  }
}
