import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import MenuItem from "@mui/material/MenuItem";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { courseOf } from "~core/series/course";
import { usualInterval, weekdayName } from "~core/series/dates";
import { wishes, wishKeys, type WishKey } from "~core/series/wish-keys";
import { templateOf, templatesInUse } from "~core/series/template";
import type { SeriesSettings } from "~data/series";
import { validate, type FieldErrors } from "~app/validation";
import type { PlanInput } from "~core/series/plan";
import Box from "@mui/material/Box";
import { Fine } from "~app/ui/fine";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { settingsSchema } from "./series-form";
import { ThumbCost } from "./thumb-cost";

/** Days that usually lie between a template's sessions. */
const daysOf = (template: string): number => templateOf(template).everyDays ?? usualInterval;

/** Template, minutes, dates and hands: what a series is solved within. */
export function SettingsDialog({
  template,
  settings,
  input,
  people,
  close,
  apply,
}: {
  template: string;
  settings: SeriesSettings;
  /** What the series in force is solved from. */
  input: PlanInput;
  /** Who may give it. */
  people: readonly { id: string; name: string }[];
  close: () => void;
  /** `next`: which session of the template comes next, where that was changed. */
  apply: (chosen: { template: string; settings: SeriesSettings; next: number | undefined }) => void;
}) {
  const inUse = templatesInUse().offered;
  const offered = inUse.some(({ key }) => key === template) ? inUse : [templateOf(template), ...inUse];
  const [chosen, setChosen] = useState(template);
  const done = input.done.length;
  const comes = courseOf(input)[done] ?? 0;
  const [next, setNext] = useState(comes);
  const [wished, setWished] = useState<readonly WishKey[]>(settings.wishes ?? []);
  const [by, setBy] = useState(settings.by ?? []);
  const [weekdays, setWeekdays] = useState<readonly number[]>(settings.weekdays ?? []);
  const [values, setValues] = useState<
    Record<"bookedMinutes" | "thumbBudget" | "startOn" | "intervalDays" | "laterDays" | "pressureMost", string>
  >({
    bookedMinutes: String(settings.bookedMinutes),
    thumbBudget: String(settings.thumbBudget),
    startOn: settings.startOn,
    intervalDays: String(settings.intervalDays),
    laterDays: String(settings.laterDays ?? ""),
    pressureMost: String(settings.pressureMost ?? ""),
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
    const { laterDays, pressureMost: _, ...others } = values;
    const { value, errors: found } = await validate(settingsSchema, {
      template: chosen,
      settings: {
        ...others,
        ...(laterDays.trim() === "" ? {} : { laterDays }),
        weekdays,
        by,
        wishes: wished,
        ...(values.pressureMost.trim() === "" ? {} : { pressureMost: values.pressureMost }),
        order: Number(order),
        locks: settings.locks,
        ...(chosen === template && settings.course ? { course: settings.course } : {}),
      },
    });
    if (found) return setErrors(found);
    const asked = chosen !== template || next !== comes ? next : undefined;
    apply({ template: value.template, settings: value.settings as SeriesSettings, next: asked });
  };
  return (
    <Dialog open onClose={close} fullWidth maxWidth="xs" aria-labelledby="series-title">
      <DialogTitle id="series-title">Change series</DialogTitle>
      <DialogContent>
        <TextField
          select
          label="Template"
          value={chosen}
          onChange={(event) => {
            setChosen(event.target.value);
            // what nobody changed follows the template
            if (values.intervalDays === String(daysOf(chosen)))
              setValues({ ...values, intervalDays: String(daysOf(event.target.value)) });
            setNext(event.target.value === template ? comes : 0);
          }}
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
        <TextField
          select
          label={done > 0 ? "Goes on with" : "Begins with"}
          value={next}
          onChange={(event) => setNext(Number(event.target.value))}
          helperText={
            done > 0
              ? "After a break of more than five weeks: usually one step earlier."
              : "What others did before need not be done again."
          }
          slotProps={{ inputLabel: { shrink: true }, select: { native: true } }}
          sx={{ mt: 2 }}
        >
          {templateOf(chosen).sessions.map(({ name }, place) => (
            <option key={place} value={place}>
              {place + 1}: {name}
            </option>
          ))}
        </TextField>
        {field("bookedMinutes", "Booked minutes", "20 of them go to talk, looking and rising.")}
        {field("startOn", "First session", "Sessions already worked keep their day.", "date")}
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
          {field("intervalDays", "Days between sessions", "Usual: 5 to 14, never under 2.")}
          {field("laterDays", "In the second half", "Usual: 7 to 21; left empty, the same.")}
        </Box>
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mt: 2 }}>
          <Fine component="legend">Days of the week; none chosen: all</Fine>
          <ToggleButtonGroup
            value={weekdays}
            onChange={(_, days: number[]) => setWeekdays([...days].sort())}
            sx={{ mt: 0.5, flexWrap: "wrap" }}
          >
            {[1, 2, 3, 4, 5, 6, 7].map((day) => (
              <ToggleButton key={day} value={day} sx={{ px: 1.2 }}>
                {weekdayName(day)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        {people.length > 1 && (
          <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mt: 2 }}>
            <Fine component="legend">Given by; several take turns, session by session</Fine>
            <ToggleButtonGroup
              value={by}
              onChange={(_, chosen: string[]) => chosen.length > 0 && setBy(chosen)}
              sx={{ mt: 0.5, flexWrap: "wrap" }}
            >
              {people.map(({ id, name }) => (
                <ToggleButton key={id} value={id}>
                  {name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </Box>
        )}
        {field(
          "pressureMost",
          "Pressure up to, in this series",
          `Of 10; left empty, their own ceiling of ${input.pressureCeiling}.`,
        )}
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
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mt: 2 }}>
          <Fine component="legend">Wishes: no rules, but worth something. What they cost is seen side by side.</Fine>
          {wishes.map(({ key, name, means }) => (
            <FormControlLabel
              key={key}
              sx={{ display: "flex" }}
              control={
                <Checkbox
                  size="small"
                  checked={wished.includes(key)}
                  onChange={(_, on) =>
                    setWished(wishKeys.filter((each) => (each === key ? on : wished.includes(each))))
                  }
                />
              }
              label={
                <>
                  {name} <Fine component="span">{means}</Fine>
                </>
              }
            />
          ))}
        </Box>
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
