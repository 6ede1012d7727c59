import Autocomplete from "@mui/material/Autocomplete";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useMemo, useState } from "react";
import { insteadOf, type Edit } from "~core/series/edit";
import { minutesOf, type PlanInput, type PlannedSession, type Step } from "~core/series/plan";
import { offeredIn, timeRange, whyNot } from "~core/series/rulebook";
import { sessionsOf } from "~core/series/course";
import { handPartName, spares, type HandPart } from "~core/techniques/hand-parts";
import { techniqueOf } from "~core/techniques/library";
import { roomFor, type MinutePrices, type RoomPrice } from "~core/series/minute-prices";
import type { Technique } from "~core/techniques/technique";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { oncePer } from "~app/ui/once-per";
import { findTechniques, readAsked } from "~core/techniques/find";

/** Changes to one step by hand: its minutes, its session, another technique instead. */
export function StepEdits({
  input,
  planned,
  session,
  step,
  edit,
  busy,
}: {
  input: PlanInput;
  planned: PlannedSession;
  session: number;
  step: Step;
  edit: (edit: Edit) => void;
  busy: boolean;
}) {
  const technique = techniqueOf(step.technique);
  const instead = useMemo(
    () => insteadOf(input, planned, session, technique, offeredIn(input)).slice(0, 12),
    [input, planned, session, technique],
  );
  const sides =
    "mid" in step.minutes ? [step.minutes.mid] : [step.minutes.L, step.minutes.R].filter((each) => each > 0);
  const { least, most } = timeRange(technique, session, input);
  const time = (by: number) => edit({ kind: "time", technique: technique.key, session, by });
  const open = sessionsOf(input).map((each, i) => ({ name: each.name, i }));
  return (
    <Box sx={{ display: "grid", gap: 1.25, mt: 1.5 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <Typography sx={{ flex: 1, fontSize: 14.5 }}>
          {Math.round(10 * minutesOf(step.minutes)) / 10} min{sides.length > 1 ? ", both sides together" : ""}
        </Typography>
        <Button
          size="small"
          variant="outlined"
          aria-label="Half a minute less"
          disabled={busy || Math.min(...sides) <= least}
          onClick={() => time(-1)}
        >
          −
        </Button>
        <Button
          size="small"
          variant="outlined"
          aria-label="Half a minute more"
          disabled={busy || Math.max(...sides) >= most}
          onClick={() => time(1)}
        >
          +
        </Button>
      </Box>
      <TextField
        select
        size="small"
        label="Move to session"
        value=""
        disabled={busy}
        onChange={(event) =>
          edit({ kind: "move", technique: technique.key, from: session, to: Number(event.target.value) })
        }
      >
        {open
          .filter(({ i }) => i >= input.done.length && i !== session)
          .map(({ name, i }) => (
            <MenuItem key={i} value={i}>
              {i + 1}, {name}
              {whyNot(technique, i, input) ? " (breaks a rule)" : ""}
            </MenuItem>
          ))}
      </TextField>
      {instead.length > 0 && (
        <TextField
          select
          size="small"
          label="Do this instead"
          value=""
          disabled={busy}
          onChange={(event) => edit({ kind: "replace", technique: technique.key, session, with: event.target.value })}
        >
          {instead.map((other) => (
            <MenuItem key={other.key} value={other.key}>
              {other.name}
              {sparesWords(spares(technique, other))}
            </MenuItem>
          ))}
        </TextField>
      )}
      <Button
        size="small"
        variant="outlined"
        color="inherit"
        disabled={busy}
        onClick={() => edit({ kind: "remove", technique: technique.key, session })}
      >
        Take it out by hand
      </Button>
    </Box>
  );
}

const sparesWords = (parts: readonly HandPart[]) =>
  parts.length > 0 ? `, spares ${parts.map((part) => handPartName[part].toLowerCase()).join(", ")}` : "";

const pricedAtOnce = 12;
const roomWords = ({ points, from }: RoomPrice): string =>
  points === undefined
    ? "no room without taking a step out"
    : `${points >= 0 ? "+" : "−"}${Math.abs(points).toFixed(2)} points${
        from.length > 0
          ? `, its minutes from ${from
              .slice(0, 2)
              .map((key) => techniqueOf(key).name)
              .join(", ")}${from.length > 2 ? " and others" : ""}`
          : ""
      }`;

/** What may be added to a session first, then what may not, each by name. */
const optionsIn = oncePer((input: PlanInput, planned: PlannedSession, session: number) =>
  offeredIn(input)
    .filter(({ key }) => !planned.steps.some((step) => step.technique === key))
    .map((technique) => ({
      key: technique.key,
      name: technique.name,
      technique,
      no: whyNot(technique, session, input),
    }))
    .sort((a, b) => Number(a.no !== undefined) - Number(b.no !== undefined) || a.name.localeCompare(b.name)),
);

/** A technique from the library into a session, whatever may be there first, with what making room for it would bring. */
export function AddStep({
  prices,
  sessions,
  input,
  planned,
  session,
  edit,
  busy,
}: {
  prices: MinutePrices;
  sessions: readonly PlannedSession[];
  input: PlanInput;
  planned: PlannedSession;
  session: number;
  edit: (edit: Edit) => void;
  busy: boolean;
}) {
  // reckoned when it is read, once for each
  const rooms = useMemo(() => {
    const known = new Map<string, string>();
    return (technique: Technique) => {
      const words = known.get(technique.key) ?? roomWords(roomFor(input, sessions, session, technique, prices));
      known.set(technique.key, words);
      return words;
    };
  }, [input, sessions, session, prices]);
  // the field is there once it is asked for; once something was added, a press away again
  const [asked, ask] = useState<"asked" | "done">();
  if (asked !== "asked")
    return (
      <Button
        variant="outlined"
        disabled={busy}
        sx={{ mt: 2, width: "100%" }}
        autoFocus={asked === "done"}
        onClick={() => ask("asked")}
      >
        Add from the library
      </Button>
    );
  const options = optionsIn(input, planned, session);
  return (
    <Autocomplete
      size="small"
      openOnFocus
      disabled={busy}
      options={options}
      getOptionLabel={({ name }) => name}
      groupBy={({ no }) => (no ? "Not in this session" : "May be in this session")}
      filterOptions={(list, { inputValue }) => {
        const found = findTechniques(
          readAsked(inputValue),
          list.map(({ technique }) => technique),
        ).flatMap(({ technique }) => list.find(({ key }) => key === technique.key) ?? []);
        return [...found.filter(({ no }) => !no), ...found.filter(({ no }) => no)].slice(0, 40);
      }}
      renderOption={({ key, ...props }, { name, no, technique }, { index }) => (
        <li key={key} {...props}>
          <span>
            {name}
            {no ? `: ${no}` : ""}
            {!no && index < pricedAtOnce && <Fine component="span"> {rooms(technique)}</Fine>}
          </span>
        </li>
      )}
      onChange={(_, chosen) => {
        if (!chosen) return;
        edit({ kind: "add", technique: chosen.key, session });
        ask("done");
      }}
      renderInput={(params) => <TextField {...params} label="Add from the library" autoFocus />}
      sx={{ mt: 2 }}
    />
  );
}
