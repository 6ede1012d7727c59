import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import TextField from "@mui/material/TextField";
import Box from "@mui/material/Box";
import { useDraft } from "~app/ui/use-draft";

/** As long as the server takes one. */
const most = 4000;

/** A note to the step at hand; Enter keeps it. Put aside with Escape or “Later”, what was typed stands here the next time. */
export function NoteDialog({
  visitId,
  close,
  save: keep,
}: {
  visitId: string;
  close: () => void;
  save: (text: string) => void;
}) {
  const [begun, setText] = useDraft<string>(`ember-note-${visitId}`);
  const text = begun ?? "";
  const save = (note: string) => {
    setText(undefined);
    keep(note);
  };
  const tooLong = text.trim().length > most;
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm" slotProps={{ paper: { "aria-label": "Note" } }}>
      <Box
        component="form"
        sx={{ p: 3 }}
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() && !tooLong) save(text.trim());
        }}
      >
        <TextField
          autoFocus
          label="Note to this step"
          multiline
          minRows={2}
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { style: { fontSize: 24, lineHeight: 1.4 } } }}
          error={tooLong}
          helperText={
            tooLong ? `At most ${most} characters, got ${text.trim().length}. Nothing is cut: shorten it.` : undefined
          }
          onKeyDown={(event) => {
            if (event.key === "Enter" && !event.shiftKey && text.trim() && !tooLong) {
              event.preventDefault();
              save(text.trim());
            }
          }}
        />
        <Box sx={{ display: "flex", gap: 2, mt: 2 }}>
          <Button
            type="submit"
            variant="contained"
            disabled={!text.trim() || tooLong}
            sx={{ minHeight: 64, fontSize: 22, flex: 1 }}
          >
            Keep note
          </Button>
          <Button variant="outlined" onClick={close} sx={{ minHeight: 64, fontSize: 22, flex: 1 }}>
            Later
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
