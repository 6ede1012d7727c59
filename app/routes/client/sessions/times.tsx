import { sideBehind } from "~core/words";
import TextField from "@mui/material/TextField";
import { wasWorked } from "~core/session/worked";
import { clockLeftOn } from "~core/session/put-right";
import type { RunState } from "~core/session/fold";
import { techniqueOf } from "~core/techniques/library";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

const oneDecimal = (seconds: number) => String(Math.round(seconds / 6) / 10);

/** Minutes that were typed for steps, by their place: as typed, so that a half-typed number stays what it is. */
export type Typed = Readonly<Record<number, string>>;

/** What was typed as times to be sent: steps whose minutes differ from the clock's. */
export const timesOf = (typed: Typed, state: RunState): { step: number; seconds: number }[] =>
  Object.entries(typed).flatMap(([place, text]) => {
    const step = Number(place);
    const minutes = Number(text.replace(",", "."));
    if (text.trim() === "" || !Number.isFinite(minutes) || minutes < 0 || minutes > 600) return [];
    return text === oneDecimal(state.states[step]!.spent) ? [] : [{ step, seconds: Math.round(minutes * 60) }];
  });

/** How long each step took by the clock, to be put right where hands know better. Opens by itself where a clock was left on. */
export function Times({
  state,
  now,
  typed,
  set,
}: {
  state: RunState;
  now: number;
  typed: Typed;
  set: (typed: Typed) => void;
}) {
  const left = clockLeftOn(state, now);
  const rows = state.steps.flatMap((step, i) =>
    wasWorked(state.states[i]!) || state.states[i]!.spent > 0 || left.includes(i) ? [{ step, i }] : [],
  );
  if (rows.length === 0) return null;
  return (
    <Box component="details" open={left.length > 0 || Object.keys(typed).length > 0} sx={{ mb: 2 }}>
      <Box component="summary" sx={{ cursor: "pointer" }}>
        Times by the clock, step by step
      </Box>
      {left.length > 0 && (
        <Typography role="status" sx={(t) => ({ color: t.tokens.amber, mt: 1 })}>
          {left.length === 1 ? "One hold ran" : `${left.length} holds ran`} much longer than planned: was the clock left
          running? Put the minutes right; note, load and series follow.
        </Typography>
      )}
      {rows.map(({ step, i }) => {
        const clock = oneDecimal(state.states[i]!.spent);
        const text = typed[i] ?? clock;
        const minutes = Number(text.replace(",", "."));
        const wrong = text.trim() === "" || !Number.isFinite(minutes) || minutes < 0 || minutes > 600;
        return (
          <Box key={i} sx={{ display: "flex", gap: 1.5, alignItems: "center", mt: 1 }}>
            <Typography sx={(t) => ({ flex: 1, ...(left.includes(i) && { color: t.tokens.amber }) })}>
              {techniqueOf(step.technique).name}
              {sideBehind[step.side]}
              {text !== clock && ` (clock: ${clock})`}
            </Typography>
            <TextField
              label="min"
              value={text}
              error={wrong}
              helperText={wrong ? "0 to 600" : undefined}
              onChange={(event) => set({ ...typed, [i]: event.target.value })}
              sx={{ width: 100 }}
              slotProps={{
                htmlInput: {
                  inputMode: "decimal",
                  "aria-label": `Minutes: ${techniqueOf(step.technique).name}${sideBehind[step.side]}`,
                },
              }}
            />
          </Box>
        );
      })}
    </Box>
  );
}
