import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import { memo, useState } from "react";
import type { PhotoSetup } from "~core/measure/calibration";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { setupSchema } from "./setup-form";

const fields = [
  ["stickLength", "Length of the stick (mm)"],
  ["cameraDistance", "Camera to ankles (mm)"],
  ["cameraHeight", "Lens above the floor (mm)"],
  ["stickBehind", "Stick behind the ankles (mm)"],
  ["stature", "Stature (mm)"],
] as const;

/** What was noted of how a picture was taken; every part of it enters the errors, and can be corrected here. */
export const SetUp = memo(function SetUp({ setup, save }: { setup: PhotoSetup; save: (setup: PhotoSetup) => void }) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [error, setError] = useState<string | undefined>();
  const shown = (key: (typeof fields)[number][0]) => typed[key] ?? String(setup[key] ?? 0);
  const keep = async () => {
    const values = Object.fromEntries(fields.map(([key]) => [key, shown(key).trim() === "" ? undefined : shown(key)]));
    try {
      const value = await setupSchema.validate({ ...values, stickHangs: setup.stickHangs });
      save({ ...setup, ...value });
      setTyped({});
      setError(undefined);
      setOpen(false);
    } catch (problem) {
      setError((problem as Error).message);
    }
  };
  return (
    <Box sx={{ mt: 2 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.5, flexWrap: "wrap" }}>
        <Typography variant="h3" component="h2">
          Set-up
        </Typography>
        <Typography sx={{ fontSize: 13.5, color: "text.secondary" }}>
          stick {setup.stickLength} mm, {behindWords(setup.stickBehind ?? 0)} · camera {setup.cameraDistance} mm away,
          lens {setup.cameraHeight} mm up
        </Typography>
        <Button size="small" onClick={() => setOpen(!open)} aria-expanded={open}>
          {open ? "Leave as it was" : "Correct"}
        </Button>
      </Box>
      {open && (
        <Box sx={{ mt: 1.5, maxWidth: 520 }}>
          <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
            {fields.map(([key, label]) => (
              <TextField
                key={key}
                label={label}
                value={shown(key)}
                onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
                slotProps={{ htmlInput: { inputMode: "decimal" } }}
              />
            ))}
          </Box>
          <FormControlLabel
            control={
              <Checkbox checked={!setup.stickHangs} onChange={(_, stands) => save({ ...setup, stickHangs: !stands })} />
            }
            label="The stick stands on the floor"
          />
          {error && (
            <Typography role="alert" sx={{ color: "error.main", mb: 1 }}>
              {error}
            </Typography>
          )}
          <Button variant="contained" onClick={() => void keep()}>
            Save the set-up
          </Button>
        </Box>
      )}
    </Box>
  );
});

const behindWords = (mm: number) =>
  mm === 0 ? "beside the ankles" : `${Math.abs(mm)} mm ${mm > 0 ? "behind" : "before"} the ankles`;
