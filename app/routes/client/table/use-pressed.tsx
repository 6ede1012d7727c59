import { useOutbox } from "~app/ui/use-outbox";
import { Fine } from "~app/ui/fine";
import type { PressedEvent } from "~data/session-events";

/** A few presses that follow one another go together (ms of quiet). */
const quietMs = 1200;

/** What was pressed at a visit, at the table and on the move: one log, and one box for what waits to be sent. */
export const usePressed = (clientId: string, visitId: string, stored: readonly PressedEvent[]) =>
  useOutbox<PressedEvent>(`ember-table-${visitId}`, `/clients/${clientId}/table/${visitId}`, stored, quietMs);

/** Whether everything that was pressed is kept. */
export function Kept({ log: { refused, unsent, online } }: { log: ReturnType<typeof usePressed> }) {
  return (
    <Fine role="status" sx={(t) => ({ color: refused ? t.tokens.clay : "text.secondary", minHeight: 22 })}>
      {refused ??
        (unsent === 0
          ? ""
          : online
            ? "Being kept …"
            : `${unsent} not sent yet: kept here, and sent when the network is back.`)}
    </Fine>
  );
}
