import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { templateOf, templatesInUse } from "~core/series/template";
import type { SeriesSettings } from "~data/series";
import { validate, type FieldErrors } from "~app/validation";
import type { PlanInput } from "~core/series/plan";
import { settingsSchema } from "./series-form";
import { ThumbCost } from "./thumb-cost";

/** Template, minutes, dates and hands: what a series is solved within. */
export function SettingsDialog({
  template,
  settings,
  input,
  close,
  apply,
}: {
  template: string;
  settings: SeriesSettings;
  /** What the series in force is solved from. */
  input: PlanInput;
  close: () => void;
  apply: (next: { template: string; settings: SeriesSettings }) => void;
}) {
  const inUse = templatesInUse().offered;
  const offered = inUse.some(({ key }) => key === template) ? inUse : [templateOf(template), ...inUse];
  const [chosen, setChosen] = useState(template);
  const [values, setValues] = useState<Record<"bookedMinutes" | "thumbBudget" | "startOn" | "intervalDays", string>>({
    bookedMinutes: String(settings.bookedMinutes),
    thumbBudget: String(settings.thumbBudget),
    startOn: settings.startOn,
    intervalDays: String(settings.intervalDays),
  });
  const [order, setOrder] = useState(String(settings.order ?? 0));
  const [errors, setErrors] = useState<FieldErrors>({});
  const field = (key: keyof typeof values, label: string, help: string, type = "number") => (
    <TextField
      key={key}
      type={type}
      label={label}
      value={values[key]}
      error={Boolean(errors[`settings.${key}`])}
      helperText={errors[`settings.${key}`] ?? help}
      slotProps={{ inputLabel: { shrink: true } }}
      onChange={(event) => setValues({ ...values, [key]: event.target.value })}
      sx={{ mt: 2 }}
    />
  );
  const submit = async () => {
    // locks belong to sessions of a template: another template starts without them
    const locks = chosen === template ? settings.locks : [];
    const { value, errors: found } = await validate(settingsSchema, {
      template: chosen,
      settings: { ...values, order: Number(order), locks },
    });
    if (found) return setErrors(found);
    apply({ template: value.template, settings: value.settings as SeriesSettings });
  };
  return (
    <Dialog open onClose={close} fullWidth maxWidth="xs" aria-labelledby="series-title">
      <DialogTitle id="series-title">Change series</DialogTitle>
      <DialogContent>
        <TextField
          select
          label="Template"
          value={chosen}
          onChange={(event) => setChosen(event.target.value)}
          sx={{ mt: 1 }}
        >
          {offered.map((each) => (
            <MenuItem key={each.key} value={each.key}>
              {each.name}
              {each.key === template && !inUse.includes(each) ? " (as this series was made)" : ""}
            </MenuItem>
          ))}
        </TextField>
        {chosen !== template && settings.locks.length > 0 && (
          <Alert severity="info" sx={{ mt: 2 }}>
            Your locks belong to the other template and are released.
          </Alert>
        )}
        {field("bookedMinutes", "Booked minutes", "20 of them go to talk, looking and rising.")}
        {field("startOn", "First session", "Sessions already worked keep their day.", "date")}
        {field("intervalDays", "Days between sessions", "Usual: 5 to 14, never under 2.")}
        {field(
          "thumbBudget",
          "Thumb budget per session",
          "Load (0–3) times minutes that your thumbs take in one session.",
        )}
        <TextField
          select
          label="Usual order of patterns"
          value={order}
          onChange={(event) => setOrder(event.target.value)}
          helperText="A wish: minutes at the wrong end of the series count that much less."
          slotProps={{ inputLabel: { shrink: true }, select: { native: true } }}
          sx={{ mt: 2 }}
        >
          <option value="0">does not matter</option>
          <option value="0.2">is kept where it costs little (20 %)</option>
          <option value="0.5">is kept firmly (50 %)</option>
        </TextField>
        {chosen === template && (
          <ThumbCost
            input={{ ...input, thumbBudget: settings.thumbBudget }}
            chosen={Number(values.thumbBudget)}
            choose={(budget) => setValues({ ...values, thumbBudget: String(budget) })}
          />
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button color="inherit" onClick={close}>
          Cancel
        </Button>
        <Button variant="contained" onClick={() => void submit()}>
          Solve with these
        </Button>
      </DialogActions>
    </Dialog>
  );
}
