import { overlooked, type Over } from "~core/overlooked";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import Button from "@mui/material/Button";
import type { NewEvent } from "~app/ui/use-outbox";
import type { PressedEvent } from "~data/session-events";
import { pressedWords, slotOf } from "./pressed-slots";

/** What two of you pressed without seeing each other's: both are said, and a press settles it. */
export function OverlookedPresses({
  log,
}: {
  log: { events: readonly PressedEvent[]; add: (event: NewEvent<PressedEvent>) => void };
}) {
  const pairs = overlooked(log.events, slotOf);
  if (pairs.length === 0) return null;
  return (
    <Box role="alert" sx={(t) => ({ my: 1.5, color: t.tokens.amber })}>
      {pairs.map(({ earlier, later }) => {
        const { about } = pressedWords(later);
        return (
          <Box key={later.id} sx={{ mb: 1 }}>
            <Typography>
              {about}: pressed on two devices without either seeing the other. “{pressedWords(later).said}” counts until
              it is settled; “{pressedWords(earlier).said}” was pressed, too.
            </Typography>
            <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mt: 0.5 }}>
              {[later, earlier].map((event) => {
                const { over: _over, ...body } = event.body as Over & typeof event.body;
                return (
                  <Button
                    key={event.id}
                    variant="outlined"
                    onClick={() => log.add({ kind: event.kind, body } as NewEvent<PressedEvent>)}
                  >
                    It is “{pressedWords(event).said}”
                  </Button>
                );
              })}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
