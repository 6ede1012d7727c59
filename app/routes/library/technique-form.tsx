import Autocomplete from "@mui/material/Autocomplete";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Chip from "@mui/material/Chip";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import type { ReactNode } from "react";
import { joints } from "~core/anatomy/joints";
import { layerKeys, layerName } from "~core/anatomy/layers";
import { placeOf } from "~core/anatomy/places";
import { sensitiveAreas, type SensitiveArea } from "~core/anatomy/sensitive";
import { structureGroups, structureOf, structures } from "~core/anatomy/structures";
import type { Hint } from "~core/techniques/check";
import { tagWord } from "~core/screening/consequence";
import { forceKinds, forces, ways, wayWords, type ForceKind } from "~core/techniques/forces";
import { safetyTagKeys, type SafetyTag } from "~core/techniques/safety-tags";
import { efforts, intents, positionName, tools, type Load, type Position } from "~core/techniques/technique";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { listed } from "~core/words";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { FieldErrors } from "~app/validation";
import type { Typed } from "./typed";

const phaseNames = { open: "opens", warm: "warms", work: "works", balance: "balances", close: "closes" } as const;
const mediumNames = { dry: "dry", wax: "a little wax", oil: "oil", any: "dry or oil" } as const;
const loadParts = ["thumb", "fingers", "wrist", "shoulder", "back"] as const;
const options = [...structureGroups, ...structures].map(({ key, name, words }) => ({ key, name, words }));
const jointNames = new Map(joints.map(({ key, name }) => [key, name]));

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 1.5 }}>
        {title}
      </Typography>
      <Box sx={{ display: "grid", gap: 1.5 }}>{children}</Box>
    </Box>
  );
}
const row = { display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(4, 1fr)" }, gap: 1.5 } as const;

/** Every field of a technique. What is wrong with one stands beside it; nothing typed is lost. */
export function TechniqueFields({
  typed,
  set,
  errors,
  hints,
  follows,
}: {
  typed: Typed;
  set: (change: Partial<Typed>) => void;
  errors: FieldErrors;
  hints: readonly Hint[];
  /** What follows from tool, place and force as they stand, and cannot be taken off. */
  follows: { tags: readonly SafetyTag[]; areas: readonly SensitiveArea[] };
}) {
  const fault = (...names: string[]) => {
    const found = names.map((name) => errors[name]).find(Boolean);
    return found ? { error: true, helperText: found } : {};
  };
  const text = (name: "name" | "what" | "ideal" | "least" | "stopWhen" | "holdLeast" | "holdMost", label: string) => ({
    label,
    value: typed[name] ?? "",
    onChange: (event: { target: { value: string } }) => set({ [name]: event.target.value }),
  });
  const choice = <T extends string>(
    label: string,
    name: keyof Typed,
    value: T,
    all: readonly (readonly [T, string])[],
  ) => (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => set({ [name]: event.target.value } as Partial<Typed>)}
      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
      {...fault(name)}
    >
      {all.map(([key, word]) => (
        <option key={key} value={key}>
          {word}
        </option>
      ))}
    </TextField>
  );
  const setReach = (i: number, change: Partial<Typed["reach"][number]>) =>
    set({ reach: typed.reach.map((each, k) => (k === i ? { ...each, ...change } : each)) });
  const toggle = <T extends string>(list: readonly T[], each: T): T[] =>
    list.includes(each) ? list.filter((other) => other !== each) : [...list, each];
  const moves = typed.tags.some((tag) => tag === "lever" || tag === "end range" || tag === "neck lever");
  return (
    <>
      <Part title="What is done">
        <TextField {...text("name", "Name")} {...fault("name")} />
        <TextField
          {...text("what", "What is done, as it is read at the table")}
          multiline
          minRows={2}
          {...fault("what")}
        />
        <Box sx={row}>
          {choice(
            "In the session, it",
            "phase",
            typed.phase,
            (["open", "warm", "work", "balance", "close"] as const).map((key) => [key, phaseNames[key]] as const),
          )}
          {choice(
            "For",
            "intent",
            typed.intent!,
            intents.map((each) => [each, each] as const),
          )}
          {choice("Deepest layer", "layer", typed.layer, [
            ...layerKeys.map((key) => [key, layerName(key).toLowerCase()] as const),
            ["LT", "light touch"] as const,
          ])}
          {choice(
            "Medium",
            "medium",
            typed.medium,
            (["dry", "wax", "oil", "any"] as const).map((key) => [key, mediumNames[key]] as const),
          )}
        </Box>
        <Box>
          <Fine id="lying">How the client lies; none chosen: any way</Fine>
          <ToggleButtonGroup
            size="small"
            aria-labelledby="lying"
            value={typed.positions}
            onChange={(_, positions: Position[]) => set({ positions })}
          >
            {(["prone", "supine", "side", "seated"] as const).map((each) => (
              <ToggleButton key={each} value={each}>
                {positionName[each]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {errors.positions && (
            <Typography role="alert" sx={(t) => ({ color: t.palette.error.main, fontSize: 13.5 })}>
              {errors.positions}
            </Typography>
          )}
        </Box>
      </Part>
      <Part title="How long, how firm">
        <Box sx={row}>
          <TextField {...text("ideal", "Minutes, usually")} {...fault("minutes.ideal", "minutes")} />
          <TextField {...text("least", "At least")} {...fault("minutes.least")} />
          <TextField {...text("holdLeast", "One hold, from")} {...fault("hold.least", "hold")} />
          <TextField {...text("holdMost", "to")} {...fault("hold.most")} />
          {choice("Holds counted in", "holdUnit", typed.holdUnit, [
            ["s", "seconds"],
            ["breaths", "breaths"],
          ])}
          {choice(
            "Pressure",
            "pressure",
            String(typed.pressure),
            Array.from({ length: 11 }, (_, i) => [String(i), `${i} of 10`] as const),
          )}
          {choice(
            "Meanwhile the client",
            "effort",
            typed.effort!,
            efforts.map((each) => [each, each === "nothing" ? "does nothing" : each] as const),
          )}
          <FormControlLabel
            control={<Checkbox size="small" checked={typed.sided} onChange={(_, sided) => set({ sided })} />}
            label="Left and right"
          />
        </Box>
        <Fine>Minutes count per side where it is done left and right.</Fine>
      </Part>
      <Part title="What the hands work on">
        {typed.reach.map((each, i) => {
          const lies = structureOf(each.structure)?.places ?? [];
          return (
            <Box
              key={i}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0,1fr) 84px auto", sm: "minmax(0,1fr) minmax(0,1.2fr) 92px auto" },
                gap: 1,
                alignItems: "start",
              }}
            >
              <Autocomplete
                size="small"
                disableClearable
                options={options}
                value={
                  options.find(({ key }) => key === each.structure) ?? {
                    key: each.structure,
                    name: each.structure,
                    words: [],
                  }
                }
                isOptionEqualToValue={(a, b) => a.key === b.key}
                getOptionLabel={({ name }) => name}
                getOptionKey={({ key }) => key}
                filterOptions={(all, { inputValue }) => {
                  const word = inputValue.trim().toLowerCase();
                  return all.filter(({ words }) => words.some((own) => own.includes(word))).slice(0, 40);
                }}
                onChange={(_, chosen) => setReach(i, { structure: chosen.key, places: [] })}
                renderInput={(params) => (
                  <TextField {...params} label={`Structure ${i + 1}`} {...fault(`reach[${i}].structure`)} />
                )}
              />
              <Autocomplete
                multiple
                size="small"
                options={[...lies]}
                value={each.places}
                getOptionLabel={(place) => placeOf(place).name}
                onChange={(_, places) => setReach(i, { places })}
                sx={{ gridColumn: { xs: "1 / -1", sm: "auto" }, gridRow: { xs: 2, sm: "auto" } }}
                renderInput={(params) => (
                  <TextField
                    {...params}
                    label="Where"
                    placeholder={each.places.length === 0 ? "wherever it lies" : ""}
                    slotProps={{ ...params.slotProps, inputLabel: { ...params.slotProps.inputLabel, shrink: true } }}
                    {...fault(`reach[${i}].places`)}
                  />
                )}
              />
              <TextField
                size="small"
                label="Share, %"
                value={each.share}
                onChange={(event) => setReach(i, { share: event.target.value })}
                {...fault(`reach[${i}].share`)}
              />
              <Button
                color="inherit"
                aria-label={`Take out structure ${i + 1}`}
                onClick={() => set({ reach: typed.reach.filter((_, k) => k !== i) })}
              >
                Out
              </Button>
            </Box>
          );
        })}
        {errors.reach && (
          <Typography role="alert" sx={(t) => ({ color: t.palette.error.main, fontSize: 13.5 })}>
            {errors.reach}
          </Typography>
        )}
        <Autocomplete
          key={typed.reach.length}
          size="small"
          options={options}
          value={null}
          blurOnSelect
          getOptionLabel={({ name }) => name}
          getOptionKey={({ key }) => key}
          filterOptions={(all, { inputValue }) => {
            const word = inputValue.trim().toLowerCase();
            return all.filter(({ words }) => words.some((own) => own.includes(word))).slice(0, 40);
          }}
          onChange={(_, chosen) =>
            chosen && set({ reach: [...typed.reach, { structure: chosen.key, places: [], share: "100" }] })
          }
          renderInput={(params) => <TextField {...params} label="Add a structure or a group" placeholder="psoas" />}
        />
        <Fine>
          Share: how much of the technique’s time reaches it. The first place named is the one that the plan counts.
        </Fine>
      </Part>
      <Part title="Your hands">
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(5, 1fr)" }, gap: 1.5 }}>
          {loadParts.map((part) => (
            <TextField
              key={part}
              select
              size="small"
              label={part === "back" ? "Low back" : part.replace(/^./, (first) => first.toUpperCase())}
              value={typed.load[part] ?? 0}
              onChange={(event) => {
                const { [part]: _, ...rest } = typed.load;
                const value = Number(event.target.value);
                set({ load: (value === 0 ? rest : { ...rest, [part]: value }) as Load });
              }}
              slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
            >
              {["no load", "1 light", "2 some", "3 much"].map((word, value) => (
                <option key={word} value={value}>
                  {word}
                </option>
              ))}
            </TextField>
          ))}
        </Box>
        <Box
          role="group"
          aria-label="What the hands do"
          sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", alignItems: "center" }}
        >
          <TextField
            select
            size="small"
            label="The hand"
            value={typed.force.kind}
            onChange={(event) => set({ force: { ...typed.force, kind: event.target.value as ForceKind | "" } })}
            slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
            sx={{ width: 320 }}
          >
            <option value="">not said</option>
            {forceKinds.map((kind) => (
              <option key={kind} value={kind}>
                {forces[kind].words}
              </option>
            ))}
          </TextField>
          {typed.force.kind !== "" &&
            ways.map((way) => (
              <Toggle
                key={way}
                on={typed.force.ways.includes(way)}
                label={wayWords[way]}
                press={() => set({ force: { ...typed.force, ways: toggle(typed.force.ways, way) } })}
              />
            ))}
        </Box>
        <Box role="group" aria-label="Done with">
          <Fine>Done with</Fine>
          <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mt: 0.5 }}>
            {tools.map((each) => (
              <Toggle
                key={each}
                on={typed.tools.includes(each)}
                label={each}
                press={() => set({ tools: toggle(typed.tools, each) })}
              />
            ))}
          </Box>
          {errors.tools && (
            <Typography role="alert" sx={(t) => ({ color: t.palette.error.main, fontSize: 13.5 })}>
              {errors.tools}
            </Typography>
          )}
        </Box>
      </Part>
      <Part title="Safety">
        <TextField {...text("stopWhen", "Stop when")} {...fault("stopWhen")} />
        <Box role="group" aria-label="Kinds of work that cautions may rule out">
          {follows.tags.length > 0 && (
            <Typography>
              By its tool, place and force it is {listed(follows.tags.map((tag) => tagWord[tag]))}: cautions against
              that reach it.
            </Typography>
          )}
          <Fine>{follows.tags.length > 0 ? "Other kinds" : "Kinds"} of work that a caution may rule out</Fine>
          <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mt: 0.5 }}>
            {safetyTagKeys
              .filter((each) => !follows.tags.includes(each))
              .map((each) => (
                <Toggle
                  key={each}
                  on={typed.tags.includes(each)}
                  label={each}
                  press={() => set({ tags: toggle(typed.tags, each) })}
                />
              ))}
          </Box>
        </Box>
        {hints.length > 0 && (
          <Box role="status" aria-label="Perhaps forgotten" sx={{ display: "grid", gap: 0.5 }}>
            {hints.map((hint) => (
              <Box key={hint.tag} sx={{ display: "flex", alignItems: "center", gap: 1 }}>
                <Typography sx={(t) => ({ color: t.tokens.amber, fontSize: 14, flex: 1 })}>{hint.message}</Typography>
                <Button
                  size="small"
                  onClick={() => set({ tags: [...typed.tags, hint.tag] })}
                  aria-label={`Yes, ${hint.tag}`}
                >
                  Yes
                </Button>
              </Box>
            ))}
          </Box>
        )}
        {moves && (
          <Autocomplete
            multiple
            size="small"
            options={joints.map(({ key }) => key)}
            value={typed.joints}
            getOptionLabel={(key) => jointNames.get(key) ?? key}
            onChange={(_, chosen) => set({ joints: chosen })}
            renderInput={(params) => (
              <TextField
                {...params}
                label="Joints it moves"
                placeholder={typed.joints.length === 0 ? "all where it reaches" : ""}
                slotProps={{ ...params.slotProps, inputLabel: { ...params.slotProps.inputLabel, shrink: true } }}
                {...fault("joints")}
              />
            )}
          />
        )}
        {follows.areas.length > 0 ? (
          <Typography>
            It is asked for at every visit, for its hands come here:{" "}
            {listed(follows.areas.map((area) => sensitiveAreas[area].name.toLowerCase()))}.
          </Typography>
        ) : (
          <FormControlLabel
            control={<Checkbox size="small" checked={typed.consent} onChange={(_, consent) => set({ consent })} />}
            label="Asks for consent for a sensitive area, at every visit"
          />
        )}
        {errors.consent && (
          <Typography role="alert" sx={(t) => ({ color: t.palette.error.main, fontSize: 13.5 })}>
            {errors.consent}
          </Typography>
        )}
      </Part>
    </>
  );
}

function Toggle({ on, label, press }: { on: boolean; label: string; press: () => void }) {
  return (
    <Chip
      component="button"
      type="button"
      clickable
      label={label}
      aria-pressed={on}
      color={on ? "primary" : "default"}
      variant={on ? "filled" : "outlined"}
      onClick={press}
      sx={{ borderRadius: "6px" }}
    />
  );
}
