import { unstorable } from "./storable";

const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
/** An id as a client makes it. */
export const isId = (value: unknown): value is string => typeof value === "string" && uuid.test(value);
/** Of this century: no other clock is right. */
const moment = /^20\d{2}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,6})?Z$/;

/** Events taken at a time: as many as a day makes, many times over. */
export const mostEvents = 1000;

export type Refused = { id: string | null; reason: string };

/** What every event of a log has, or why it is none. Cheap questions come first. */
export function headOf(value: unknown): { id: string; at: string; kind: unknown; body: unknown } | Refused {
  const sent = (typeof value === "object" && value !== null ? value : {}) as Record<string, unknown>;
  if (!isId(sent.id)) return { id: null, reason: "Event: its id is not valid." };
  const { id, at, kind } = sent;
  if (typeof at !== "string" || !moment.test(at) || Number.isNaN(Date.parse(at)))
    return { id, reason: "Event: its time is not valid." };
  const fault = unstorable(sent.body);
  if (fault) return { id, reason: `Event: ${fault}` };
  return { id, at, kind, body: sent.body ?? {} };
}
