import { sideWord } from "~core/words";
import Alert from "@mui/material/Alert";
import Autocomplete from "@mui/material/Autocomplete";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useEffect, useMemo, useRef, useState } from "react";
import { useFetcher } from "react-router";
import { readPlace } from "~core/anatomy/read-place";
import { nameOf } from "~core/anatomy/places";
import type { IsoDay } from "~core/days";
import { conditionOf, entryKinds, type EntryKind } from "~core/screening/conditions";
import { readEntry, type TypedEntry } from "~core/screening/entry";
import type { HistoryEntry } from "~core/screening/facts";
import { suggest } from "~core/screening/find-condition";
import { toldAlready } from "~core/screening/told-already";
import { readTold } from "~core/screening/told/read-told";
import { readWhen } from "~core/screening/told/when";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import type { FieldErrors } from "~app/validation";
import { WhenReady } from "~app/ui/when-ready";
import { ReadPart } from "./read-part";
import { mostParts, needsAnswer, partsOf } from "./told-parts";

export const emptyEntry: TypedEntry = {
  what: "",
  condition: null,
  kind: "condition",
  when: "",
  where: "",
  answer: null,
};

type Option = { key: string | null; name: string; note: string };

/**
 * What a client tells, typed as it is told: a word or a sentence with several things in it. What was read is shown at
 * once, each thing with what it means for the work; nothing is kept before what a rule turns on was asked.
 */
export function EntryForm({
  initial = emptyEntry,
  target,
  today,
  born,
  record = [],
  done,
}: {
  initial?: TypedEntry;
  /** The entry that is corrected, and whether it was told today; undefined for a new one. */
  target?: { entryId: string; after: string; today: boolean } | undefined;
  today: IsoDay;
  born: IsoDay | null;
  /** What is on record: the same is not stored twice, unless that is wanted. */
  record?: readonly HistoryEntry[];
  done?: (() => void) | undefined;
}) {
  const fetcher = useFetcher<{ ok?: boolean; id?: string; errors?: FieldErrors; stale?: boolean }>();
  const [text, setTyped] = useState(initial);
  // what was picked holds for the words it was picked for; else the words themselves say what they mean
  const [picked, setPicked] = useState(target ? { what: initial.what, condition: initial.condition } : undefined);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const [answers, setAnswers] = useState<Record<string, TypedEntry["answer"]>>(
    target ? { [initial.condition ?? initial.what]: initial.answer } : {},
  );
  const [asked, setAsked] = useState(false);
  /** Keys of parts that are on record already and are stored all the same. */
  const [twice, setTwice] = useState<readonly string[]>([]);
  const [why, setWhy] = useState("");
  const [ids, setIds] = useState(newIds);
  const first = useRef<HTMLInputElement>(null);
  const form = useRef<HTMLFormElement>(null);
  const { data } = fetcher;
  useEffect(() => {
    if (!data?.ok) return;
    if (done) return done();
    setTyped(emptyEntry);
    setPicked(undefined);
    setRefused([]);
    setAnswers({});
    setAsked(false);
    setTwice([]);
    setIds(newIds());
    first.current?.focus();
  }, [data, done]);

  const chosen = picked && picked.what === text.what ? picked : undefined;
  const parts = useMemo(
    () =>
      partsOf(text, { today, born, refused, answers, ...(chosen ? { picked: chosen } : {}), single: Boolean(target) }),
    [text, today, born, refused, answers, chosen, target],
  );
  // an entry that is corrected stays one thing: what else its new words name is told apart, and said here
  const besides = useMemo(
    () => (target && !chosen ? readTold(text.what, today, born).slice(1) : []),
    [target, chosen, text.what, today, born],
  );
  const onRecord = new Map(
    target
      ? []
      : parts.flatMap((part) => {
          const { body } = readEntry(part.typed, today, born);
          const same = body && !twice.includes(part.key) ? toldAlready(body, record) : undefined;
          return same ? [[part.key, same] as const] : [];
        }),
  );
  const fresh = parts.filter(({ key }) => !onRecord.has(key));
  const unasked = fresh.filter((part) => needsAnswer(part) && part.typed.answer === null);
  // what is understood needs no list over it; a word or two that are not may be one of these
  const words = text.what.trim().split(/\s+/).filter(Boolean);
  const offers = words.length > 0 && words.length <= 2 && parts.some(({ typed }) => typed.condition === null);
  const options: Option[] = (offers ? suggest(text.what).slice(0, 8) : []).map((each) => ({
    key: each.key,
    name: each.name,
    note: entryKinds[each.kind].toLowerCase(),
  }));
  if (options.length > 0) options.push({ key: null, name: "None of these", note: "keep it as typed" });

  const set = (change: Partial<TypedEntry>) => setTyped((before) => ({ ...before, ...change }));
  const due = parts.some(
    ({ typed }) => typed.condition && conditionOf(typed.condition)?.rules.some((rule) => rule.due),
  );
  const said = text.when.trim();
  const when = said ? readWhen(said, today, born, due) : undefined;
  const where = readPlace(text.where) ?? undefined;
  const asks = parts.some(
    ({ typed }) => typed.condition && conditionOf(typed.condition)?.place === "ask" && !typed.where,
  );
  const error = (name: string) => data?.errors?.[name];
  const send = () => {
    const typed = fresh.map((part) => part.typed);
    const body = target
      ? {
          intent: "change",
          entryId: target.entryId,
          versionId: ids[0]!.versionId,
          after: target.after,
          ...typed[0],
          why,
        }
      : { intent: "tell", parts: typed.map((each, i) => ({ ...ids[i], ...each })) };
    void fetcher.submit(body as never, { method: "post", encType: "application/json" });
  };

  return (
    <Box
      component="form"
      ref={form}
      noValidate
      aria-label={target ? "Correct the entry" : "New entry"}
      onSubmit={(event) => {
        event.preventDefault();
        if (parts.length > 0 && fresh.length === 0) return;
        if (unasked.length === 0) return send();
        setAsked(true);
        form.current?.querySelector<HTMLElement>("[data-unasked] [aria-pressed]")?.focus();
      }}
    >
      <WhenReady>
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr 1fr", sm: "1fr 1fr auto" },
            columnGap: 1.5,
            rowGap: 0.5,
            alignItems: "start",
          }}
        >
          <Autocomplete<Option, false, false, true>
            freeSolo
            options={options}
            filterOptions={(list) => list}
            getOptionLabel={(option) => (typeof option === "string" ? option : option.name)}
            value={null}
            inputValue={text.what}
            sx={{ gridColumn: "1 / -1" }}
            onInputChange={(_, what, reason) => {
              if (reason === "input" || reason === "clear") set({ what });
            }}
            onChange={(_, option) => {
              if (!option || typeof option === "string") return;
              const what = text.what.trim() || option.name;
              set({ what });
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
                placeholder="broke my left wrist in May, no clots …"
                error={Boolean(error("what"))}
                helperText={error("what") ?? " "}
              />
            )}
          />
          <TextField
            label={due ? "Due date" : "When"}
            value={text.when}
            onChange={(event) => set({ when: event.target.value })}
            placeholder={parts[0]?.typed.when || (due ? "2027-03-14" : "spring 2019")}
            error={Boolean(error("when"))}
            helperText={
              error("when") ??
              (when
                ? when.earliest === when.latest
                  ? shortDay(when.latest)
                  : `${shortDay(when.earliest)} – ${shortDay(when.latest)}`
                : said
                  ? "not understood yet"
                  : " ")
            }
          />
          <TextField
            label="Where"
            value={text.where}
            onChange={(event) => set({ where: event.target.value })}
            placeholder={parts[0]?.typed.where || "left wrist"}
            error={Boolean(error("where"))}
            helperText={
              error("where") ??
              (where
                ? `${nameOf(where.region, where.places)}${where.side ? `, ${sideWord[where.side]}` : ""}`
                : asks
                  ? "without a place it counts everywhere"
                  : " ")
            }
          />
          <Button
            type="submit"
            variant="contained"
            disabled={fetcher.state !== "idle" || !text.what.trim() || (parts.length > 0 && fresh.length === 0)}
            sx={{ gridColumn: { xs: "1 / -1", sm: "auto" } }}
          >
            {target ? "Save" : "Add"}
          </Button>
        </Box>
        {parts.length > 0 && (
          <Box role="status" aria-label="What was read" sx={{ mt: { xs: 1, sm: 0 }, mb: 1.5, display: "grid", gap: 1 }}>
            {parts.map((part) => (
              <ReadPart
                key={part.key}
                part={part}
                today={today}
                born={born}
                asked={asked}
                answer={(answer) => {
                  setAnswers((before) => ({ ...before, [part.key]: answer }));
                  // saving was tried: the next question, or the button that was pressed
                  if (asked && answer)
                    (
                      form.current?.querySelector<HTMLElement>(
                        `[data-unasked]:not([data-part="${CSS.escape(part.key)}"]) [aria-pressed]`,
                      ) ?? form.current?.querySelector<HTMLElement>('[type="submit"]')
                    )?.focus();
                }}
                onRecord={onRecord.get(part.key)}
                storeAgain={() => setTwice((before) => [...before, part.key])}
                refuse={
                  part.typed.condition && !target
                    ? () => {
                        setPicked(undefined);
                        setRefused((before) => [...before, part.key]);
                      }
                    : undefined
                }
              />
            ))}
          </Box>
        )}
        {parts.some(({ typed }) => typed.condition === null && typed.kind !== "medication") && (
          <TextField
            select
            label="Kind"
            value={text.kind}
            onChange={(event) => set({ kind: event.target.value as EntryKind })}
            helperText="The catalogue does not know it: it is kept in their words."
            sx={{ maxWidth: 440, mb: 1 }}
          >
            {Object.entries(entryKinds).map(([key, name]) => (
              <MenuItem key={key} value={key}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
        {besides.length > 0 && (
          <Alert severity="warning" sx={{ mb: 1 }}>
            This names {besides.length} more: {besides.map(({ words }) => `“${words}”`).join(", ")}. An entry is one
            thing: take it out here and add it as an entry of its own, or no rule follows from it.
          </Alert>
        )}
        {target && !target.today && (
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
        {target && done && (
          <Button size="small" color="inherit" onClick={done}>
            Cancel
          </Button>
        )}
      </WhenReady>
    </Box>
  );
}

/** Ids for as many things as one sentence may name, so that a double press records each once. */
const newIds = () =>
  Array.from({ length: mostParts }, () => ({ entryId: crypto.randomUUID(), versionId: crypto.randomUUID() }));
