import Button from "@mui/material/Button";
import { useState } from "react";
import { data } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/scars";
import type { Moment } from "~core/findings/restriction";
import type { Scar } from "~core/findings/scar";
import { readWhen } from "~core/screening/told/when";
import { keeping } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { BodyFigure } from "~app/ui/body-figure";
import { FigureColumn } from "~app/ui/figure-column";
import { MomentToggle } from "~app/ui/moment-toggle";
import type { DrawnLine } from "~app/ui/draw-on-figure";
import { validate, versionOf } from "~app/validation";
import { deserialised } from "~app/serialised";
import { getClient } from "~data/clients";
import { addScar, feelScar, scarsOf, setScarClosed, setScarRemoved } from "~data/scars";
import { NewScar } from "./new-scar";
import { ScarCard } from "./scar-card";
import { roseSchema, scarSchema } from "./scar-form";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "scars", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
    return { visit, day: today(), born: client.born, scars: await scarsOf(tx, client.id) };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, body: { fields: sent } }) => {
    const client = await getClient(tx, params.clientId);
    if (sent.intent === "remove" || sent.intent === "restore") {
      await setScarRemoved(tx, client.id, String(sent.id), sent.intent === "remove");
      return { ok: true };
    }
    if (sent.intent === "closed") {
      await setScarClosed(tx, client.id, String(sent.id), sent.closed === true, versionOf(sent));
      return { ok: true };
    }
    if (sent.intent === "feel") {
      const { value, errors } = await validate(roseSchema, sent);
      if (errors) return data({ errors }, { status: 400 });
      const visit = await ownVisit(tx, client.id, sent.visitId);
      const { id, moment, slides, lift, was } = value;
      await feelScar(tx, client.id, { scarId: id, visitId: visit.id, moment }, { slides, lift }, was);
      return { ok: true };
    }
    const { value, errors } = await validate(scarSchema, sent);
    // the day is read from their words here, not taken from the page
    const said = typeof sent.sinceSaid === "string" ? sent.sinceSaid.trim() : "";
    const when = said ? readWhen(said, today(), client.born, false) : null;
    const wrong =
      when === undefined
        ? `Since: “${said.slice(0, 60)}” is not understood. Try “spring 2019” or “14 weeks ago”.`
        : when && when.earliest > today()
          ? `Since: “${said.slice(0, 60)}” is still to come.`
          : undefined;
    if (errors || wrong) return data({ errors: { ...errors, ...(wrong ? { since: wrong } : {}) } }, { status: 400 });
    await addScar(tx, client.id, { ...value, line: value.line as Scar["line"], since: when?.latest ?? null });
    return { ok: true };
  });
}

export default function Scars({ loaderData }: Route.ComponentProps) {
  const { visit, day, born, scars } = deserialised(loaderData);
  const [moment, setMoment] = useState<Moment>("before");
  const [drawn, setDrawn] = useState<DrawnLine | undefined>();
  const [adding, setAdding] = useState(false);
  const visitDay = visit.onDate > day ? visit.onDate : day;
  return (
    <FigureColumn
      figure={(sights) => (
        <BodyFigure
          sights={sights}
          label="Where scars lie"
          lines={scars.flatMap(({ id, line }) => (line ? [{ id, ...line }] : []))}
          drawing={{
            line: drawn,
            done: (next) => {
              setDrawn(next);
              setAdding(true);
            },
          }}
        />
      )}
      hint="Draw a scar where it lies, with a finger or the mouse. R and L are the client’s own sides."
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 2, flexWrap: "wrap" }}>
        <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
          {scars.length === 0 ? "No scars yet" : `${scars.length} ${scars.length === 1 ? "scar" : "scars"}`}
        </Typography>
        <MomentToggle moment={moment} visit={visit.ordinal} set={setMoment} />
        {!adding && (
          <Button variant="contained" onClick={() => setAdding(true)}>
            Add a scar
          </Button>
        )}
      </Box>
      {adding && (
        <NewScar
          drawn={drawn}
          today={day}
          born={born}
          done={() => {
            setAdding(false);
            setDrawn(undefined);
          }}
        />
      )}
      {scars.length === 0 && !adding && (
        <Typography sx={{ color: "text.secondary", maxWidth: 480 }}>
          A scar is slid in eight directions and lifted. Its rose shows which way it is held, and after the work whether
          it has let go.
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {scars.map((scar) => (
          <ScarCard key={`${scar.id} ${visit.id} ${moment}`} scar={scar} visit={visit} moment={moment} day={visitDay} />
        ))}
      </Box>
    </FigureColumn>
  );
}
