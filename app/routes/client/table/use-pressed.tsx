import { useCallback } from "react";
import { seenIn } from "~core/overlooked";
import { useOutbox } from "~app/ui/use-outbox";
import Button from "@mui/material/Button";
import { SetAside } from "~app/ui/set-aside";
import { askToSignIn } from "~app/ui/signed-in";
import { Fine } from "~app/ui/fine";
import { OverlookedPresses } from "./overlooked-presses";
import { slotOf } from "./pressed-slots";
import type { PressedEvent } from "~data/session-events";

/** A few presses that follow one another go together (ms of quiet). */
const quietMs = 1200;

/**
 * What was pressed at a visit, at the table and on the move: one log, and one box for what waits to be sent. Each press
 * says what was in sight where it stands, so that nobody's is overwritten unseen.
 */
export function usePressed(clientId: string, visitId: string, stored: readonly PressedEvent[]) {
  const log = useOutbox<PressedEvent>(
    `ember-table-${visitId}`,
    `/clients/${clientId}/table/${visitId}`,
    stored,
    quietMs,
  );
  const { events, add } = log;
  const addOver = useCallback<typeof add>(
    (event) => {
      const slot = slotOf(event as PressedEvent);
      const body = slot === undefined ? event.body : { ...event.body, over: seenIn(events, slotOf, slot) };
      add({ ...event, body } as typeof event);
    },
    [events, add],
  );
  return { ...log, add: addOver };
}

/** Whether everything that was pressed is kept. In a blind round nothing that was found before is said. */
export function Kept({ log, blind = false }: { log: ReturnType<typeof usePressed>; blind?: boolean }) {
  const { unsent, reach } = log;
  const waits = `${unsent} not sent yet: kept here,`;
  return (
    <>
      <SetAside log={log} />
      {!blind && <OverlookedPresses log={log} />}
      <Fine role="status" sx={{ minHeight: 22 }}>
        {unsent === 0
          ? ""
          : reach === "reached"
            ? "Being kept …"
            : reach === "no network"
              ? `${waits} and sent when the network is back.`
              : reach === "not now"
                ? `${waits} and sent when the server takes it.`
                : `${waits} and sent when you have signed in again.`}
        {reach === "signed out" && unsent > 0 && (
          <Button size="small" variant="outlined" sx={{ ml: 1 }} onClick={() => void askToSignIn()}>
            Sign in
          </Button>
        )}
      </Fine>
    </>
  );
}
