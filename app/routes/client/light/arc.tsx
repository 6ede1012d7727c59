import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo, useRef } from "react";
import { Link } from "react-router";
import type { Route } from "./+types/arc";
import {
  arcAfter,
  forms,
  isDone,
  minutesOf,
  nextHold,
  phaseWords,
  signs,
  stepsOf,
  type ArcEvent,
  type Form,
  type HoldRun,
} from "~core/light-touch/arc";
import { stations } from "~core/light-touch/stations";
import { stillPointsAfter } from "~core/light-touch/still-point";
import { clockWords, counted } from "~core/words";
import { lightGateOf } from "~app/light-gate.server";
import { inSession } from "~app/session.server";
import { visitOf } from "~app/routes/client/workspace.server";
import { Kept, usePressed } from "~app/routes/client/table/use-pressed";
import { Fine } from "~app/ui/fine";
import { HandSide } from "~app/ui/hand-side";
import { SideColumn } from "~app/ui/side-column";
import { SideList } from "~app/ui/side-list";
import { getClient } from "~data/clients";
import { listeningsOf } from "~data/findings";
import { eventsOfVisits, logOf } from "~data/session-events";
import { Clock } from "./clock";
import { StillTimer } from "./still-timer";

export const handle = { slim: true };

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const client = await getClient(tx, params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, request);
    const heard = (await listeningsOf(tx, client.id)).filter((each) => each.visitId === visit.id);
    const count = (moment: "before" | "after") =>
      Object.values(heard.find((each) => each.moment === moment)?.stations ?? {}).filter(
        (station) => station.L ?? station.R,
      ).length;
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
    return {
      clientId: client.id,
      visit,
      events: await logOf(tx, "table_event", visit.id),
      gate: await lightGateOf(tx, client, visit, practitioner),
      listened: { before: count("before"), after: count("after") },
      last: made.at(-1),
    };
  });
}

export default function Arc({ loaderData }: Route.ComponentProps) {
  // another visit is another log
  return <Run key={loaderData.visit.id} {...loaderData} />;
}

const formNames: Record<Form, string> = {
  long: "The whole arc in one visit",
  short: "Short form",
  "1 of 2": "First of two visits",
  "2 of 2": "Second of two visits",
  "1 of 3": "First of three visits",
  "2 of 3": "Second of three visits",
  "3 of 3": "Third of three visits",
};
/** The part that comes after another one. */
const follows: Partial<Record<Form, Form>> = { "1 of 2": "2 of 2", "1 of 3": "2 of 3", "2 of 3": "3 of 3" };

function Run({ clientId, visit, events: stored, gate, listened, last }: Route.ComponentProps["loaderData"]) {
  const log = usePressed(clientId, visit.id, stored);
  const { form, runs } = useMemo(() => arcAfter(log.events), [log.events]);
  const points = useMemo(() => stillPointsAfter(log.events), [log.events]);
  const press = (body: ArcEvent["body"]) => log.add({ kind: "arc", body });
  const current = form && nextHold(form, runs);
  const begun = runs.some(({ phase }) => phase !== undefined);
  const no = current ? (gate.all ?? gate.holds[current.hold.technique]) : gate.all;
  const on = (run: HoldRun) => press({ press: "phase", hold: run.hold.key, phase: (run.phase ?? -1) + 1 });
  const act = useRef(() => undefined as void);
  useEffect(() => {
    act.current = () => {
      if (current && !no) on(current);
    };
  });
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.key !== " " || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof Element && event.target.closest("input, button, a, [role=dialog], [role=combobox]"))
        return;
      event.preventDefault();
      act.current();
    };
    window.addEventListener("keydown", pressed);
    return () => window.removeEventListener("keydown", pressed);
  }, []);
  const listen = `/clients/${clientId}/assess/listen?visit=${visit.ordinal}`;
  const outs = Object.entries(gate.holds);
  return (
    <HandSide
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "250px minmax(0, 1fr)", md: "300px minmax(0, 1fr)" },
      }}
    >
      <SideColumn>
        <StepList
          form={form ?? "long"}
          runs={runs}
          current={current?.hold.key}
          listened={listened}
          gate={gate.holds}
          press={press}
        />
      </SideColumn>
      <Box sx={{ p: { xs: 2, sm: 3 }, minWidth: 0, maxWidth: 820 }}>
        {(gate.all ?? outs[0]) && (
          <Alert severity="warning" sx={{ mb: 2 }}>
            {gate.all ??
              [...new Set(outs.map(([, reason]) => reason))].map((reason) => `${reason}.`).join(" ") +
                " Those holds are out; the sheets and the sacrum may be worked where nothing is said of them."}
          </Alert>
        )}
        <Kept log={log} />
        {!form ? (
          <ChooseForm last={last} choose={(next) => press({ press: "form", form: next })} />
        ) : current ? (
          <>
            {!begun && (
              <Box sx={{ mb: 1.5, display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
                <Typography>
                  {listened.before === 0
                    ? "Listen first: without it nothing can be compared at the end."
                    : `Listened at ${listened.before} of ${stations.length} stations.`}
                </Typography>
                <Button component={Link} to={listen} variant="outlined">
                  Listen at the stations
                </Button>
                <Button
                  color="inherit"
                  onClick={() => press({ press: "form", form: form === "long" ? "short" : "long" })}
                >
                  {form === "long" ? "Short form instead" : "Whole arc instead"}
                </Button>
              </Box>
            )}
            <OneHold run={current} no={no} on={() => on(current)} press={press} />
          </>
        ) : (
          <Box sx={{ mb: 2 }}>
            <Typography variant="h2">The holds are done. Listen again.</Typography>
            <Typography sx={{ fontSize: 17, my: 1 }}>
              {listened.after === 0
                ? "At the same stations with the same hands: leaving this out is the usual mistake."
                : `Listened again at ${listened.after} of ${stations.length} stations.`}
            </Typography>
            <Button component={Link} to={`${listen}&moment=after`} variant="contained">
              Listen again
            </Button>
          </Box>
        )}
        {form && (
          <StillTimer
            points={points}
            press={(body) => log.add({ kind: "still", body })}
            no={gate.all ?? gate.holds["lt-still-point"]}
          />
        )}
        <Fine>
          No force beyond the weight of a coin (5 g, 0.049 N) but where the head itself rests on the fingers. Findings
          are what hands felt; no cause is claimed. It ends at once on the client’s word.
        </Fine>
      </Box>
    </HandSide>
  );
}

function ChooseForm({
  last,
  choose,
}: {
  last: { visit: number; form: Form } | undefined;
  choose: (form: Form) => void;
}) {
  const next = last && follows[last.form];
  return (
    <Box component="section" aria-label="How much of it" sx={{ mb: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        How much of the arc today?
      </Typography>
      {last && (
        <Typography sx={{ mb: 1 }}>
          Visit {last.visit} made {formNames[last.form].toLowerCase()}
          {next ? `; ${formNames[next].toLowerCase()} comes now.` : "."}
        </Typography>
      )}
      <Box sx={{ display: "grid", gap: 1 }}>
        {forms.map((form) => {
          const [least, most] = minutesOf(form);
          return (
            <Button
              key={form}
              variant={form === (next ?? "long") ? "contained" : "outlined"}
              color={form === (next ?? "long") ? "primary" : "inherit"}
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

/** The hold that is worked: big enough for a foot on a pedal or a knuckle on the glass. */
function OneHold({
  run,
  no,
  on,
  press,
}: {
  run: HoldRun;
  no: string | undefined;
  on: () => void;
  press: (body: ArcEvent["body"]) => void;
}) {
  const { hold, phase } = run;
  const now = phase === undefined ? undefined : hold.phases[phase];
  const next = hold.phases[(phase ?? -1) + 1];
  return (
    <Box component="section" aria-label={hold.name} sx={{ mb: 2 }}>
      <Typography component="h2" sx={{ fontFamily: "h1.fontFamily", fontSize: 28, fontWeight: 650, lineHeight: 1.2 }}>
        {hold.name}
      </Typography>
      <Typography sx={{ fontSize: 18 }}>{hold.hands}</Typography>
      <Typography sx={{ fontSize: 18 }}>{hold.direction}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {hold.grams[0] === hold.grams[1] ? hold.grams[0] : `${hold.grams[0]}–${hold.grams[1]}`} g; usually{" "}
        {hold.minutes[0]}–{hold.minutes[1]} min, the tissue leads. {hold.others}
      </Typography>
      <Button
        variant={no ? "outlined" : "contained"}
        disabled={no !== undefined}
        onClick={on}
        sx={{ width: "100%", minHeight: 180, my: 2, fontSize: 22, display: "block", lineHeight: 1.4 }}
      >
        {now ? (
          <>
            <Box component="span" sx={{ display: "block", fontSize: 40 }}>
              <Clock since={run.since!} />
            </Box>
            <Box component="span" sx={{ display: "block" }}>
              {phaseWords[now]}
            </Box>
            <Box component="span" sx={{ display: "block", fontSize: 16, fontWeight: 400 }}>
              Press: {next ? next : "hands away, the next hold"}
            </Box>
          </>
        ) : (
          "Hands on: melt in"
        )}
      </Button>
      {no && <Typography sx={(t) => ({ color: t.tokens.amber, mb: 1 })}>{no}.</Typography>}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        {signs.map((sign) => (
          <Button
            key={sign}
            variant={run.signs.includes(sign) ? "contained" : "outlined"}
            color="inherit"
            aria-pressed={run.signs.includes(sign)}
            disabled={phase === undefined}
            onClick={() => press({ press: "sign", hold: hold.key, sign })}
          >
            {sign}
          </Button>
        ))}
        <Button
          variant="outlined"
          color="inherit"
          disabled={phase === undefined}
          onClick={() => press({ press: "loop", hold: hold.key })}
        >
          It loops: be a barrier{run.loops > 0 ? ` (${run.loops})` : ""}
        </Button>
        <Button color="inherit" onClick={() => press({ press: "left out", hold: hold.key })}>
          Leave it out
        </Button>
      </Box>
      <Fine sx={{ mt: 1, display: { xs: "none", sm: "block" } }}>Space, or a pedal: the next phase.</Fine>
    </Box>
  );
}

/** The steps of the form in their order, what each is there for, and what became of it. */
function StepList({
  form,
  runs,
  current,
  listened,
  gate,
  press,
}: {
  form: Form;
  runs: readonly HoldRun[];
  current: string | undefined;
  listened: { before: number; after: number };
  gate: Partial<Record<string, string>>;
  press: (body: ArcEvent["body"]) => void;
}) {
  return (
    <SideList aria-label="Steps of the arc">
      {stepsOf(form).map((step) => (
        <section key={step.key} title={step.why}>
          <h3>{step.name}</h3>
          {step.listens === "first" && <Fine sx={{ px: 1 }}>{counted(listened.before, "station")} heard</Fine>}
          {step.holds.map(({ key, name, technique }) => {
            const run = runs.find((each) => each.hold.key === key)!;
            return (
              <button
                key={key}
                type="button"
                aria-current={key === current ? "step" : undefined}
                onClick={() => run.leftOut && press({ press: "taken up", hold: key })}
              >
                {name}
                {(isDone(run) || gate[technique] || run.loops > 0) && (
                  <small className={gate[technique] ? "off" : undefined}>
                    {run.lasted !== undefined
                      ? [clockWords(run.lasted), ...run.signs].join(", ")
                      : run.leftOut
                        ? "left out; press to take it up"
                        : gate[technique]
                          ? "out"
                          : ""}
                    {run.loops > 0 && ` ${counted(run.loops, "loop")}`}
                  </small>
                )}
              </button>
            );
          })}
          {step.listens === "again" && <Fine sx={{ px: 1 }}>{counted(listened.after, "station")} heard again</Fine>}
        </section>
      ))}
    </SideList>
  );
}
