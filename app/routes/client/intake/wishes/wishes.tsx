import { sideBehind } from "~core/words";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Chip from "@mui/material/Chip";
import FormControlLabel from "@mui/material/FormControlLabel";
import MuiLink from "@mui/material/Link";
import TextField from "@mui/material/TextField";
import { useEffect, useState, type ReactNode } from "react";
import { data, Link, useFetcher } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/wishes";
import { readPlace } from "~core/anatomy/read-place";
import { nameOf } from "~core/anatomy/places";
import type { Preferences } from "~core/screening/facts";
import { positionName } from "~core/techniques/technique";
import { inSession } from "~app/server/request/session.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useNotify } from "~app/ui/notices";
import { validate, type FieldErrors } from "~app/validation";
import { getClient } from "~data/clients";
import { Stale } from "~data/errors";
import { preferencesOf, savePreferences } from "~data/preferences";
import { positions, wishesSchema } from "./wishes-form";
import { WhenReady } from "~app/ui/when-ready";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { deserialised } from "~app/serialised";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "wishes", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    return {
      clientId: client.id,
      pressureCeiling: client.pressureCeiling,
      wishes: await preferencesOf(tx, client.id),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, body }) => {
    const client = await getClient(tx, params.clientId);
    const { value, errors } = await validate(wishesSchema, body.fields);
    if (errors) return data({ errors }, { status: 400 });
    const { version, ...wishes } = value;
    try {
      await savePreferences(tx, client.id, version, wishes);
    } catch (error) {
      if (error instanceof Stale) return data({ stale: true }, { status: 409 });
      throw error;
    }
    return { ok: true };
  });
}

/** "sole, left". */
const areaWords = ({ region, places, side }: Preferences["areasOut"][number]): string =>
  `${nameOf(region, places)}${sideBehind[side]}`;

/** What the client wants and does not want. Every choice filters the plan at once. */
export default function Wishes({ loaderData }: Route.ComponentProps) {
  const { clientId, pressureCeiling, wishes: stored } = deserialised(loaderData);
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors; stale?: boolean }>();
  const [wishes, setWishes] = useState<Preferences>(stored);
  const [area, setArea] = useState("");
  const notify = useNotify();
  const answer = fetcher.data;
  useEffect(() => {
    if (answer?.ok) notify("Saved. The plan follows.");
  }, [answer, notify]);
  const set = (change: Partial<Preferences>) => setWishes((before) => ({ ...before, ...change }));
  const place = readPlace(area);
  const addArea = () => {
    if (!place) return;
    const { region, places, side } = place;
    const next = { region, ...(places.length > 0 ? { places: [...places] } : {}), side: side ?? ("both" as const) };
    if (!wishes.areasOut.some((each) => areaWords(each) === areaWords(next)))
      set({ areasOut: [...wishes.areasOut, next] });
    setArea("");
  };
  const box = (key: "oil" | "wax" | "scentFree" | "chaperone", label: string) => (
    <FormControlLabel
      control={<Checkbox checked={wishes[key]} onChange={(_, on) => set({ [key]: on })} />}
      label={label}
    />
  );
  const choice = <K extends "covering" | "talk">(
    key: K,
    label: string,
    options: readonly (readonly [Preferences[K], string])[],
  ) => (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={label}
      value={wishes[key]}
      onChange={(_, value: Preferences[K] | null) => value && set({ [key]: value } as Partial<Preferences>)}
    >
      {options.map(([value, text]) => (
        <ToggleButton key={value} value={value}>
          {text}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
  return (
    <Box
      component="form"
      noValidate
      sx={{ p: { xs: 2, sm: 3 }, pt: 2, maxWidth: 860 }}
      onSubmit={(event) => {
        event.preventDefault();
        const { ...sent } = wishes;
        void fetcher.submit({ ...sent, version: stored.version } as never, {
          method: "post",
          encType: "application/json",
        });
      }}
    >
      <WhenReady>
        {answer?.stale && (
          <Alert severity="warning" sx={{ mb: 2 }}>
            Their wishes were changed in another tab. What you chose is still here: compare it there, then load this
            page again.
          </Alert>
        )}
        {answer?.errors && (
          <Alert severity="error" sx={{ mb: 2 }}>
            {Object.values(answer.errors).join(" ")}
          </Alert>
        )}
        <Line name="Covering">
          {choice("covering", "Covering", [
            ["draped", "Draped, on the skin"],
            ["clothed", "Stays clothed"],
          ])}
        </Line>
        <Line name="Pressure">
          <Typography>
            Up to {pressureCeiling} of 10, as they report it.{" "}
            <MuiLink component={Link} to={`/clients/${clientId}/edit`}>
              Change it
            </MuiLink>
          </Typography>
        </Line>
        <Line name="Cannot lie or sit">
          <ToggleButtonGroup
            size="small"
            aria-label="Positions not possible"
            value={wishes.positionsOut}
            onChange={(_, positionsOut: Preferences["positionsOut"]) => set({ positionsOut })}
          >
            {positions.map((position) => (
              <ToggleButton key={position} value={position}>
                {positionName[position]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Line>
        <Line name="On the skin">
          {box("oil", "Oil is fine")}
          {box("wax", "Wax is fine")}
          {box("scentFree", "Nothing scented")}
        </Line>
        <Line name="Talk">
          {choice("talk", "Talk", [
            ["talk", "Likes to talk"],
            ["quiet", "Quiet"],
            ["either", "Either"],
          ])}
        </Line>
        <Line name="Areas not to touch">
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
            {wishes.areasOut.map((each) => (
              <Chip
                key={areaWords(each)}
                label={areaWords(each)}
                onDelete={() => set({ areasOut: wishes.areasOut.filter((other) => other !== each) })}
                sx={{ borderRadius: "6px" }}
              />
            ))}
            <TextField
              label="Add an area"
              placeholder="left foot"
              value={area}
              onChange={(event) => setArea(event.target.value)}
              onKeyDown={(event) => {
                if (event.key !== "Enter") return;
                event.preventDefault();
                addArea();
              }}
              sx={{ width: 200 }}
            />
            <Button variant="outlined" disabled={!place} onClick={addArea}>
              {place ? `Add ${areaWords({ ...place, side: place.side ?? "both" })}` : "Add"}
            </Button>
          </Box>
        </Line>
        <Line name="Pause word">
          <TextField
            label="Pause word"
            value={wishes.pauseWord}
            onChange={(event) => set({ pauseWord: event.target.value })}
            helperText="On it everything stops at once. It stands on the run sheet."
            sx={{ width: 320 }}
          />
        </Line>
        <Line name="In the room">{box("chaperone", "A third person is to be there")}</Line>
        <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"} sx={{ mt: 2 }}>
          Save wishes
        </Button>
      </WhenReady>
    </Box>
  );
}

function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      sx={(t) => ({
        borderTop: `1px solid ${t.tokens.line}`,
        py: 1.25,
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "180px minmax(0,1fr)" },
        gap: 1,
        alignItems: "center",
      })}
    >
      <Typography sx={{ fontWeight: 600 }}>{name}</Typography>
      <Box>{children}</Box>
    </Box>
  );
}
