import { useOutbox } from "~app/ui/use-outbox";
import { Button } from "~app/ui/button";
import { SetAside } from "~app/ui/set-aside";
import { askToSignIn } from "~app/ui/signed-in";
import { Fine } from "~app/ui/fine";
import type { PressedEvent } from "~data/session-events";

/** A few presses that follow one another go together (ms of quiet). */
const quietMs = 1200;

/** What was pressed at a visit, at the table and on the move: one log, and one box for what waits to be sent. */
export const usePressed = (clientId: string, visitId: string, stored: readonly PressedEvent[]) =>
  useOutbox<PressedEvent>(`ember-table-${visitId}`, `/clients/${clientId}/table/${visitId}`, stored, quietMs);

/** Whether everything that was pressed is kept. */
export function Kept({ log }: { log: ReturnType<typeof usePressed> }) {
  const { unsent, reach } = log;
  const waits = `${unsent} not sent yet: kept here,`;
  return (
    <>
      <SetAside log={log} />
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
