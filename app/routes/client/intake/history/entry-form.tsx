import Autocomplete from "@mui/material/Autocomplete";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo, useRef, useState } from "react";
import { useFetcher } from "react-router";
import { readPlace } from "~core/anatomy/places";
import { regionName } from "~core/anatomy/regions";
import type { IsoDay } from "~core/days";
import { conditionOf, entryKinds, type EntryKind } from "~core/screening/conditions";
import { consequences } from "~core/screening/consequence";
import { readEntry, type TypedEntry } from "~core/screening/entry";
import { guess, suggest } from "~core/screening/find-condition";
import { usualPreferences, usualSchool } from "~core/screening/facts";
import { isActive } from "~core/screening/outcome";
import { answers, answerWord } from "~core/screening/questions";
import { readRoughDate } from "~core/screening/rough-date";
import { screen } from "~core/screening/screen";
import { shortDay } from "~app/ui/dates";
import type { FieldErrors } from "~app/validation";
import { WhenReady } from "~app/ui/when-ready";

export const emptyEntry: TypedEntry = {
  what: "",
  condition: null,
  kind: "condition",
  when: "",
  where: "",
  answer: null,
};

type Option = { key: string | null; name: string; note: string };

const sideWord = { L: "left", R: "right", both: "both sides" } as const;

/** One thing of the history: typed in three short texts, read back at once with what it means for the work. */
export function EntryForm({
  initial = emptyEntry,
  target,
  today,
  born,
  done,
}: {
  initial?: TypedEntry;
  /** The entry that is corrected; undefined for a new one. */
  target?: { entryId: string; after: string } | undefined;
  today: IsoDay;
  born: IsoDay | null;
  done?: (() => void) | undefined;
}) {
  const fetcher = useFetcher<{ ok?: boolean; id?: string; errors?: FieldErrors; stale?: boolean }>();
  const [text, setTyped] = useState(initial);
  // what was picked holds for the words it was picked for; else the words themselves say which condition it is
  const [picked, setPicked] = useState({ what: initial.what, condition: initial.condition });
  const named = picked.what === text.what && text.what !== "" ? picked.condition : (guess(text.what)?.key ?? null);
  const typed = useMemo(() => ({ ...text, condition: named }), [text, named]);
  const condition = named === null ? undefined : conditionOf(named);
  const suggested = text.what.trim() ? suggest(text.what).slice(0, 8) : [];
  const options: Option[] = suggested.map((each) => ({
    key: each.key,
    name: each.name,
    note: entryKinds[each.kind].toLowerCase(),
  }));
  if (options.length > 0) options.push({ key: null, name: "None of these", note: "keep it as typed" });
  const [why, setWhy] = useState("");
  const [ids, setIds] = useState(() => ({ entryId: crypto.randomUUID(), versionId: crypto.randomUUID() }));
  const first = useRef<HTMLInputElement>(null);
  const { data } = fetcher;
  useEffect(() => {
    if (!data?.ok) return;
    if (done) return done();
    setTyped(emptyEntry);
    setPicked({ what: "", condition: null });
    setIds({ entryId: crypto.randomUUID(), versionId: crypto.randomUUID() });
    first.current?.focus();
  }, [data, done]);

  const set = (change: Partial<TypedEntry>) => setTyped((before) => ({ ...before, ...change }));
  const when = typed.when.trim() ? readRoughDate(typed.when, today, born) : undefined;
  const where = readPlace(typed.where) ?? (typed.where.trim() ? undefined : readPlace(typed.what));
  const preview = useMemo(() => {
    const read = readEntry(typed, today, born);
    if (!read.body) return [];
    const entry = { ...read.body, id: "new", at: "" };
    return screen({
      born: null,
      history: [entry],
      answers: [],
      preferences: usualPreferences,
      school: { ...usualSchool, pressureCeiling: 10 },
    }).filter((outcome) => outcome.until === undefined || outcome.until > today);
  }, [typed, today, born]);
  const due = condition?.rules.some((rule) => rule.due);
  const error = (name: string) => data?.errors?.[name];

  return (
    <Box
      component="form"
      noValidate
      aria-label={target ? "Correct the entry" : "New entry"}
      onSubmit={(event) => {
        event.preventDefault();
        void fetcher.submit(
          {
            intent: target ? "change" : "tell",
            ...ids,
            ...(target ? { entryId: target.entryId, after: target.after } : { after: null }),
            ...typed,
            why,
          },
          { method: "post", encType: "application/json" },
        );
      }}
    >
      <WhenReady>
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr", sm: "minmax(0,1.5fr) 1fr 1fr auto" },
            gap: 1.5,
            alignItems: "start",
          }}
        >
          <Autocomplete<Option, false, false, true>
            freeSolo
            options={options}
            filterOptions={(list) => list}
            getOptionLabel={(option) => (typeof option === "string" ? option : option.name)}
            value={null}
            inputValue={typed.what}
            onInputChange={(_, text, reason) => {
              if (reason === "input" || reason === "clear") set({ what: text, answer: null });
            }}
            onChange={(_, option) => {
              if (!option || typeof option === "string") return;
              const what = typed.what.trim() || option.name;
              set({ what, answer: null });
              setPicked({ what, condition: option.key });
            }}
            renderOption={({ key: _key, ...props }, option) => (
              <li {...props} key={option.key ?? "none"}>
                {option.name}
                <Box component="span" sx={{ color: "text.secondary", fontSize: 13, ml: 1 }}>
                  {option.note}
                </Box>
              </li>
            )}
            renderInput={(params) => (
              <TextField
                {...params}
                inputRef={first}
                label="What"
                placeholder="broken left wrist, reflux, mesh …"
                error={Boolean(error("what"))}
                helperText={error("what") ?? (condition ? `${entryKinds[condition.kind]}: ${condition.name}` : " ")}
              />
            )}
          />
          <TextField
            label={due ? "Due date" : "When"}
            value={typed.when}
            onChange={(event) => set({ when: event.target.value })}
            placeholder={due ? "2027-03-14" : "spring 2019"}
            error={Boolean(error("when"))}
            helperText={
              error("when") ??
              (when
                ? when.earliest === when.latest
                  ? shortDay(when.latest)
                  : `${shortDay(when.earliest)} – ${shortDay(when.latest)}`
                : typed.when.trim()
                  ? "not understood yet"
                  : " ")
            }
          />
          <TextField
            label="Where"
            value={typed.where}
            onChange={(event) => set({ where: event.target.value })}
            placeholder="left wrist"
            error={Boolean(error("where"))}
            helperText={
              error("where") ??
              (where
                ? `${regionName(where.region)}${where.side ? `, ${sideWord[where.side]}` : ""}`
                : condition?.place === "ask"
                  ? "without a place it counts everywhere"
                  : " ")
            }
          />
          <Button type="submit" variant="contained" disabled={fetcher.state !== "idle" || !typed.what.trim()}>
            {target ? "Save" : "Add"}
          </Button>
        </Box>
        {condition?.question && (
          <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: 1, flexWrap: "wrap" }}>
            <Typography>{condition.question}</Typography>
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label={condition.question}
              value={typed.answer}
              onChange={(_, answer: TypedEntry["answer"]) => set({ answer })}
            >
              {answers.map((answer) => (
                <ToggleButton key={answer} value={answer}>
                  {answerWord[answer]}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          </Box>
        )}
        {!condition && typed.what.trim() && (
          <TextField
            select
            label="Kind"
            value={typed.kind}
            onChange={(event) => set({ kind: event.target.value as EntryKind })}
            helperText="The catalogue does not know it: it is kept and shown, but no rule follows from it."
            sx={{ maxWidth: 440, mb: 1 }}
          >
            {Object.entries(entryKinds).map(([key, name]) => (
              <MenuItem key={key} value={key}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
        {target && (
          <TextField
            label="Why it is corrected"
            value={why}
            onChange={(event) => setWhy(event.target.value)}
            error={Boolean(error("why"))}
            helperText={error("why") ?? "The earlier wording stays on record."}
            sx={{ mb: 1 }}
          />
        )}
        {data?.stale && (
          <Typography role="alert" sx={(t) => ({ color: t.tokens.clay, mb: 1 })}>
            This entry was changed in another tab. Close this, look at it as it is now, and correct that.
          </Typography>
        )}
        {preview.length > 0 && (
          <Box
            role="status"
            sx={(t) => ({ bgcolor: t.tokens.amberWash, borderRadius: "6px", px: 1.5, py: 1, mb: 1.5, fontSize: 14.5 })}
          >
            {preview.map((outcome) => (
              <Box key={outcome.key}>
                {isActive(outcome, today) ? "" : `From ${shortDay(outcome.from!, today)}: `}
                {outcome.reason} <strong>{consequences(outcome).join(" ")}</strong>
                {outcome.until ? ` Until ${shortDay(outcome.until, today)}.` : ""}
              </Box>
            ))}
          </Box>
        )}
        {target && done && (
          <Button size="small" color="inherit" onClick={done}>
            Cancel
          </Button>
        )}
      </WhenReady>
    </Box>
  );
}
