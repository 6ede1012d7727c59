import type { SessionEvent } from "~core/session/events";
import { useOutbox, type NewEvent as New } from "~app/ui/use-outbox";

export type NewEvent = New<SessionEvent>;

/** The session's log, kept in this browser until the server has it: also in mid-hold. */
export const useEvents = (visitId: string, stored: readonly SessionEvent[]) =>
  useOutbox<SessionEvent>(`ember-run-${visitId}`, `/run/${visitId}/events`, stored);
