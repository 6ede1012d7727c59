import Autocomplete from "@mui/material/Autocomplete";
import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { Link } from "react-router";
import { structureGroups, structureOf, structures } from "~core/anatomy/structures";
import { mostWeight, type Choice } from "~core/reading/pattern-targets";
import type { Target } from "~core/reading/target";
import { counted } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";

type Planned = Record<string, { session: number; techniques: string[] }[]>;

/** What the series is to reach, by weight: each with its why and where the plan works for it; turned, left out and added here. */
export function Targets({
  clientId,
  targets,
  planned,
  decide,
  own,
  busy,
}: {
  clientId: string;
  targets: readonly (Target & { turned?: true })[];
  /** Undefined while there is no plan. */
  planned: Planned | undefined;
  decide: (key: string, body: Choice["body"] | null) => void;
  /** Targets the practitioner added. */
  own: ReadonlySet<string>;
  busy: boolean;
}) {
  const sorted = [...targets].sort((a, b) => b.weight - a.weight);
  const worked = sorted.filter(({ weight }) => weight > 0);
  return (
    <Box component="section" aria-label="Targets" sx={{ mt: 4 }}>
      <Typography variant="h2">{worked.length === 0 ? "No targets yet" : counted(worked.length, "target")}</Typography>
      <Fine sx={{ mb: 1, maxWidth: 720 }}>
        The plan gives its minutes by these weights (0–{mostWeight}). A weight you turn stays as you turned it, whatever
        is found later. The plan in force follows when it is solved again:{" "}
        <MuiLink component={Link} underline="always" to={`/clients/${clientId}/path`}>
          Path
        </MuiLink>
        .
      </Fine>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {sorted.map((target) => (
          <Box
            component="li"
            key={target.id}
            sx={(t) => ({
              display: "grid",
              gridTemplateColumns: { xs: "1fr", sm: "minmax(0, 1fr) auto" },
              columnGap: 2,
              rowGap: 0.5,
              alignItems: "center",
              borderTop: `1px solid ${t.tokens.line}`,
              py: 0.9,
            })}
          >
            <Box>
              <Typography sx={{ fontWeight: target.weight > 0 ? 600 : 450, fontSize: 15 }}>
                {target.name}
                {target.weight === 0 && ": left out by you"}
              </Typography>
              <Fine>{target.because}</Fine>
              {planned && target.weight > 0 && <Fine>{plannedWords(planned[target.id] ?? [])}</Fine>}
            </Box>
            <Weight
              target={target}
              set={(weight) => decide(target.id, weight === null ? null : { kind: "target", weight })}
              remove={own.has(target.id) ? () => decide(target.id, null) : undefined}
              busy={busy}
            />
          </Box>
        ))}
      </Box>
      <AddTarget add={(body) => decide(`own-${crypto.randomUUID()}`, { kind: "own", ...body })} busy={busy} />
    </Box>
  );
}

function plannedWords(steps: Planned[string]): string {
  if (steps.length === 0) return "Not in the plan in force: it was found later, or other work was worth more.";
  return `In the plan: ${steps
    .slice(0, 4)
    .map(({ session, techniques }) => `session ${session + 1} (${techniques.slice(0, 2).join(", ").toLowerCase()})`)
    .join("; ")}${steps.length > 4 ? ` and ${counted(steps.length - 4, "more session")}` : ""}.`;
}

const step = 0.25;
const near = (weight: number) => Math.round(weight / step) * step;

function Weight({
  target: { name, weight, turned },
  set,
  remove,
  busy,
}: {
  target: Target & { turned?: true };
  set: (weight: number | null) => void;
  /** Takes back a target of one's own. */
  remove: (() => void) | undefined;
  busy: boolean;
}) {
  return (
    <Box
      role="group"
      aria-label={`Weight of ${name}`}
      sx={{ display: "flex", gap: 0.75, alignItems: "center", flexWrap: "wrap" }}
    >
      <Button
        size="small"
        variant="outlined"
        color="inherit"
        aria-label="Less"
        disabled={busy || weight <= 0}
        onClick={() => set(Math.max(0, near(weight) - step))}
        sx={{ minWidth: 36 }}
      >
        −
      </Button>
      <Box
        component="span"
        sx={{ width: 40, textAlign: "center", fontVariantNumeric: "tabular-nums", fontWeight: 650 }}
      >
        {weight.toFixed(2)}
      </Box>
      <Button
        size="small"
        variant="outlined"
        color="inherit"
        aria-label="More"
        disabled={busy || weight >= mostWeight}
        onClick={() => set(Math.min(mostWeight, near(weight) + step))}
        sx={{ minWidth: 36 }}
      >
        +
      </Button>
      {remove ? (
        <Button size="small" color="inherit" disabled={busy} onClick={remove} sx={{ minWidth: 108 }}>
          Remove
        </Button>
      ) : turned ? (
        <Button size="small" color="inherit" disabled={busy} onClick={() => set(null)} sx={{ minWidth: 108 }}>
          As found
        </Button>
      ) : (
        <Button size="small" color="inherit" disabled={busy} onClick={() => set(0)} sx={{ minWidth: 108 }}>
          Leave out
        </Button>
      )}
    </Box>
  );
}

const options = [...structureGroups, ...structures].map(({ key, name }) => ({ key, name }));

/** A target of the practitioner's own, found by everyday words too. */
function AddTarget({
  add,
  busy,
}: {
  add: (own: { structure: string; side: "L" | "R" | "both"; weight: number; minutes: number }) => void;
  busy: boolean;
}) {
  const [structure, setStructure] = useState<string | null>(null);
  const [side, setSide] = useState<"L" | "R" | "both">("both");
  return (
    <Box sx={{ display: "flex", gap: 1.5, mt: 2, flexWrap: "wrap", alignItems: "flex-start", maxWidth: 640 }}>
      <Autocomplete
        size="small"
        sx={{ flex: 1, minWidth: 220 }}
        options={options}
        value={options.find(({ key }) => key === structure) ?? null}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ key }) => key}
        filterOptions={(list, { inputValue }) => {
          const words = inputValue.toLowerCase().split(/\s+/).filter(Boolean);
          return list
            .filter(({ key }) => {
              const known = structureOf(key)!;
              const all = [known.name, ...known.words].join(" ").toLowerCase();
              return words.every((word) => all.includes(word));
            })
            .slice(0, 30);
        }}
        onChange={(_, chosen) => setStructure(chosen?.key ?? null)}
        renderInput={(params) => <TextField {...params} label="Add a target" />}
      />
      <TextField
        select
        size="small"
        label="Side"
        fullWidth={false}
        value={side}
        onChange={(event) => setSide(event.target.value as typeof side)}
        sx={{ width: 110 }}
      >
        <MenuItem value="L">left</MenuItem>
        <MenuItem value="R">right</MenuItem>
        <MenuItem value="both">both</MenuItem>
      </TextField>
      <Button
        variant="outlined"
        disabled={busy || structure === null}
        onClick={() => {
          add({ structure: structure!, side, weight: 1.5, minutes: side === "both" ? 12 : 8 });
          setStructure(null);
        }}
      >
        Add
      </Button>
    </Box>
  );
}
