import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { styled } from "@mui/material/styles";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { data } from "react-router";
import type { Moment } from "~core/findings/restriction";
import { z95, type Side } from "~core/units";
import { sideTitle } from "~core/words";
import { keeping } from "~app/server/request/session.server";
import { cachedLoader } from "~app/server/cached-loader.server";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import { deserialised } from "~app/serialised";
import { HandSide } from "~app/ui/hand-side";
import { Fine } from "~app/ui/fine";
import { MomentToggle } from "~app/ui/moment-toggle";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { WhenReady } from "~app/ui/when-ready";
import { validate } from "~app/validation";
import { getClient } from "~data/clients";
import { differencesIn } from "~kinds/register";
import type { ScreenArgs } from "../screen";
import { dropSe, usualUpTo, type Drop, type Heights } from "./drop";
import { dropSchema } from "./form";
import { dropsOf, saveDrop } from "./store";
import { betweenFeet, figure, judged } from "./words";

export const handle = { slim: true };

export function loader(asked: ScreenArgs["loader"]) {
  return cachedLoader(asked, "navicular-drop", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
    return { visit, drops: await dropsOf(tx, client.id) };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: ScreenArgs["action"]) {
  return keeping(context, async ({ tx, body: { fields } }) => {
    const client = await getClient(tx, params.clientId);
    const { value, errors } = await validate(dropSchema, fields);
    if (errors) return data({ errors }, { status: 400 });
    const visit = await ownVisit(tx, client.id, value.visitId);
    const { sitting, standing, was } = value;
    await saveDrop(tx, visit.id, value, sitting === null ? null : { sitting, standing: standing! }, was);
    return { ok: true };
  });
}

const Foot = styled("section")(({ theme: { tokens } }) => ({
  borderTop: `1px solid ${tokens.line}`,
  padding: "16px 0",
  display: "grid",
  gridTemplateColumns: "repeat(2, minmax(0, 200px))",
  gap: 12,
  "& > h3, & > p, & > div[role]": { gridColumn: "1 / -1" },
}));

export default function NavicularDrop({ loaderData }: { loaderData: Awaited<ReturnType<typeof loader>> }) {
  const { visit, drops } = deserialised(loaderData);
  const [moment, setMoment] = useState<Moment>("before");
  const at = { visit: visit.ordinal, moment };
  const of = (side: Side) =>
    drops.find((drop) => drop.side === side && drop.visit === at.visit && drop.moment === moment);
  const [left, right] = [of("L"), of("R")];
  const [changed] = differencesIn({ navicularDrop: drops }, { ...at, moment: "before" }, { ...at, moment: "after" });
  return (
    <HandSide sx={{ p: { xs: 2, sm: 3 }, maxWidth: 720 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 1.5 }}>
        <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
          How far the arches come down
        </Typography>
        <MomentToggle moment={moment} visit={visit.ordinal} set={setMoment} />
      </Box>
      <Typography sx={{ mb: 0.5 }}>
        Mark the knob of the navicular bone, inside and in front of the ankle. Height of the mark above the floor:
        sitting, the foot flat, unloaded and in its middle; then standing on both feet. The difference is the drop.
      </Typography>
      <Fine sx={{ mb: 2 }}>
        One drop is good to ±{(z95 * dropSe).toFixed(1)} mm: as found in the same hands in 1993, from memory, until
        yours is known. Up to {usualUpTo} mm is usual.
      </Fine>
      <WhenReady>
        {(["L", "R"] as const).map((side) => (
          <OneFoot
            key={`${visit.id} ${moment} ${side}`}
            side={side}
            at={{ visitId: visit.id, moment }}
            stored={of(side)}
          />
        ))}
      </WhenReady>
      {left && right && <Typography sx={{ mb: 2 }}>{betweenFeet(left, right)}</Typography>}
      {changed && (
        <Box component="section" aria-label="Before and after">
          <Typography variant="h3">Before and after the work</Typography>
          {changed.list.map(({ id, name, from, to, by, verdict }) => (
            <Typography key={id}>
              {name}: {from} → {to}, {by} ({verdict})
            </Typography>
          ))}
        </Box>
      )}
    </HandSide>
  );
}

type Typed = { sitting: string; standing: string };
const typedOf = (heights: Heights | null): Typed => ({
  sitting: heights ? String(heights.sitting) : "",
  standing: heights ? String(heights.standing) : "",
});
const numberOf = (text: string): number | string | null => {
  const value = text.trim().replace(",", ".");
  return value === "" ? null : Number.isNaN(Number(value)) ? value : Number(value);
};

/** Both heights of one foot: kept as soon as both are there, taken back when both are emptied. */
function OneFoot({
  side,
  at,
  stored,
}: {
  side: Side;
  at: { visitId: string; moment: Moment };
  stored: Drop | undefined;
}) {
  const before = stored ? { sitting: stored.sitting, standing: stored.standing } : null;
  const kept = useKeeper<Heights | null>(before, (heights) => ({
    ...at,
    side,
    ...(heights ?? { sitting: null, standing: null }),
  }));
  const [typed, setTyped] = useState(() => typedOf(before));
  const [sitting, standing] = [numberOf(typed.sitting), numberOf(typed.standing)];
  const whole = (sitting === null) === (standing === null);
  const keep = () => {
    if (!whole || (sitting === (before?.sitting ?? null) && standing === (before?.standing ?? null))) return;
    kept.keep(sitting === null ? null : ({ sitting, standing } as Heights));
  };
  const field = (name: keyof Typed) => (
    <TextField
      type="number"
      label={`${sideTitle[side]}, ${name}`}
      value={typed[name]}
      error={kept.errors?.[name] !== undefined}
      helperText={kept.errors?.[name]}
      onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
      onBlur={keep}
      slotProps={{ input: { endAdornment: "mm" }, htmlInput: { inputMode: "numeric" } }}
    />
  );
  return (
    <Foot
      aria-label={`${sideTitle[side]} foot`}
      onKeyDown={(event) => {
        if (event.key === "Enter") keep();
      }}
    >
      {field("sitting")}
      {field("standing")}
      <Typography role="status" component="p">
        {before
          ? `${figure(before)}, ${judged(before)}.`
          : whole
            ? "Not measured yet."
            : "The other height is missing."}
      </Typography>
      {before && (
        <Button
          size="small"
          color="inherit"
          sx={{ justifySelf: "start" }}
          onClick={() => {
            setTyped(typedOf(null));
            kept.keep(null);
          }}
        >
          Take it back
        </Button>
      )}
      <Overtaken
        by={kept}
        what={`The ${sideTitle[side].toLowerCase()} foot`}
        words={(heights) => (heights ? `sitting ${heights.sitting}, standing ${heights.standing} mm` : "not measured")}
      />
    </Foot>
  );
}
