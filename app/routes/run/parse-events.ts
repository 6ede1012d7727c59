import { array, lazy, number, object, string, type ObjectSchema } from "yup";
import type { EventKind, SessionEvent } from "~core/session/events";
import { catalogue } from "~core/techniques/catalogue";

const step = number().integer().min(0).max(200).required();
const runStep = object({
  technique: string()
    .oneOf(catalogue.map((each) => each.key))
    .required(),
  side: string().oneOf(["L", "R", "mid"]).required(),
  position: string().nullable().default(null),
  planned: number().min(0).max(36_000).required(),
  passes: number().integer().min(1).max(20).required(),
});

const bodies: Record<EventKind, ObjectSchema<Record<string, unknown>>> = {
  started: object({ steps: array(runStep).min(1).max(200).required() }) as never,
  next: object({ step }),
  back: object({ step }),
  skip: object({ step }),
  note: object({ step, text: string().trim().min(1).max(4000).required() }),
  pressure: object({ step, value: number().min(0).max(10).required() }),
  direction: object({ step, towards: string().oneOf(["head", "feet", "in", "out"]).required() }),
  paused: object({}),
  resumed: object({}),
  finished: object({}),
};

/** Events as the table sends them, or undefined when any is not well formed. */
export function parseEvents(value: unknown, kinds: readonly EventKind[]): SessionEvent[] | undefined {
  const schema = array(
    lazy((each: { kind?: EventKind }) =>
      object({
        id: string().uuid().required(),
        at: string()
          .matches(/^\d{4}-\d{2}-\d{2}T[\d:.]+Z$/)
          .required(),
        kind: string()
          .oneOf([...kinds])
          .required(),
        body: (each?.kind && bodies[each.kind]) ?? object({}),
      }).noUnknown(),
    ),
  )
    .max(1000)
    .required();
  try {
    return schema.validateSync(value, { stripUnknown: true }) as SessionEvent[];
  } catch {
    return undefined;
  }
}
