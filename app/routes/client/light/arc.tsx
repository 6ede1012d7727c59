import Button from "@mui/material/Button";
import { useMemo } from "react";
import type { Route } from "./+types/arc";
import { arcAfter } from "~core/light-touch/arc";
import { formNames, forms, formAfter, minutesOf, type Form } from "~core/light-touch/arc-steps";
import { arcOfVisit } from "~app/server/client/arc.server";
import { sessionsOfSeries } from "~app/server/client/plan-input.server";
import { cachedLoader } from "~app/server/cached-loader.server";
import { visitOf } from "~app/server/client/workspace.server";
import { usePressed } from "~app/routes/client/table/use-pressed";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { deserialised, type LoaderData } from "~app/serialised";
import { getClient } from "~data/clients";
import { seriesOf } from "~data/series";
import { eventsOfVisits } from "~data/session-events";
import { ArcBody } from "./arc-body";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "arc", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    // which part the visit before made tells which one comes now
    const earlier = visits.filter(({ ordinal }) => ordinal < visit.ordinal);
    const logs = await eventsOfVisits(
      tx,
      earlier.map(({ id }) => id),
      "table_event",
      ["arc"],
    );
    const made = earlier.flatMap(({ id, ordinal }) => {
      const { form } = arcAfter(logs.get(id) ?? []);
      return form ? [{ visit: ordinal, form }] : [];
    });
    const series = await seriesOf(tx, client.id);
    return {
      clientId: client.id,
      visit,
      ...(await arcOfVisit(tx, client, visit, practitioner)),
      last: made.at(-1),
      /** What the series has for this visit. */
      planned: series?.plan ? sessionsOfSeries(series)[visit.ordinal - 1]?.arc : undefined,
    };
  });
}

export default function Arc({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  // another visit is another log
  return <Run key={loaderData.visit.id} {...loaderData} />;
}

function Run({ clientId, visit, events, gate, listened, last, planned }: LoaderData<typeof loader>) {
  const log = usePressed(clientId, visit.id, events);
  const { form } = useMemo(() => arcAfter(log.events), [log.events]);
  const choose = (next: Form) => log.add({ kind: "arc", body: { press: "form", form: next } });
  return (
    <ArcBody
      clientId={clientId}
      ordinal={visit.ordinal}
      log={log}
      form={form}
      gate={gate}
      listened={listened}
      choose={<ChooseForm last={last} planned={planned} choose={choose} />}
      begin={
        <Button color="inherit" onClick={() => choose(form === "long" ? "short" : "long")}>
          {form === "long" ? "Short form instead" : "Whole arc instead"}
        </Button>
      }
    />
  );
}

function ChooseForm({
  last,
  planned,
  choose,
}: {
  last: { visit: number; form: Form } | undefined;
  planned: Form | undefined;
  choose: (form: Form) => void;
}) {
  const after = last && formAfter(last.form);
  const next = planned ?? after ?? "long";
  return (
    <Box component="section" aria-label="How much of it" sx={{ mb: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        How much of the arc today?
      </Typography>
      {last && (
        <Typography sx={{ mb: 1 }}>
          Visit {last.visit} made {formNames[last.form].toLowerCase()}
          {after && !planned ? `; ${formNames[after].toLowerCase()} comes now.` : "."}
        </Typography>
      )}
      {planned && (
        <Typography sx={{ mb: 1 }}>The series has {formNames[planned].toLowerCase()} for this visit.</Typography>
      )}
      <Box sx={{ display: "grid", gap: 1 }}>
        {forms.map((form) => {
          const [least, most] = minutesOf(form);
          return (
            <Button
              key={form}
              variant={form === next ? "contained" : "outlined"}
              color={form === next ? "primary" : "inherit"}
              sx={{ justifyContent: "space-between", minHeight: 52 }}
              onClick={() => choose(form)}
            >
              <span>{formNames[form]}</span>
              <span>
                {least}–{most} min
              </span>
            </Button>
          );
        })}
      </Box>
      <Fine sx={{ mt: 1 }}>In every form the order is kept, and it begins and ends with the same listening.</Fine>
    </Box>
  );
}
