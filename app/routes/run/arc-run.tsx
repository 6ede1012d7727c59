import Button from "@mui/material/Button";
import { useMemo, useState, type ComponentProps } from "react";
import { Link } from "react-router";
import { arcAfter } from "~core/light-touch/arc";
import { holds, type Form } from "~core/light-touch/arc-steps";
import { minutesOf, type PlannedSession } from "~core/series/plan";
import { foldRun } from "~core/session/fold";
import type { SessionEvent } from "~core/session/events";
import type { ArcOfVisit } from "~app/server/client/arc.server";
import { ArcBody } from "~app/routes/client/light/arc-body";
import { Clock } from "~app/routes/client/light/clock";
import { usePressed } from "~app/routes/client/table/use-pressed";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { BeforeStart } from "./before-start";
import { RunHead } from "./run-head";
import { SetAside } from "~app/ui/set-aside";
import { useEvents } from "./use-events";
import { useScreenAwake } from "./use-screen-awake";

const big = { minHeight: 64, fontSize: 22, px: 3, borderRadius: "8px" } as const;

/** A visit that is part of the light-touch arc, at the table: dim, silent, counting up, worked by one key or a pedal. */
export function ArcRun({
  visit,
  timing,
  client,
  title,
  steps,
  events: stored,
  cautions,
  pauseWord,
  form,
  planned,
  arc,
  ...before
}: {
  visit: { id: string; ordinal: number; status: string; onDate: string };
  /** What has to be agreed to before it is begun now, as sentences. */
  timing: readonly string[];
  events: readonly SessionEvent[];
  /** The part of the arc that the series has for this visit, and its steps. */
  form: Form;
  planned: PlannedSession;
  arc: ArcOfVisit;
} & Omit<ComponentProps<typeof RunHead>, "ordinal" | "unsent" | "children"> &
  Pick<ComponentProps<typeof BeforeStart>, "steps" | "asked" | "leftOut" | "obstacles" | "rescreened">) {
  const session = useEvents(visit.id, stored);
  const table = usePressed(client.id, visit.id, arc.events);
  const state = useMemo(() => foldRun(session.events), [session.events]);
  const made = useMemo(() => arcAfter(table.events), [table.events]);
  const [dayAgreed, setDayAgreed] = useState(false);
  useScreenAwake();
  const dayAsked = timing.length > 0 && !dayAgreed;
  const minutes = Object.fromEntries(planned.steps.map((step) => [step.technique, minutesOf(step.minutes)]));
  const start = () => {
    session.add({ kind: "started", body: { steps: [], ...(timing.length > 0 && { agreed: [...timing] }) } });
    if (made.form) return;
    table.add({ kind: "arc", body: { press: "form", form } });
    // what the plan leaves out is not asked for
    for (const { key, technique } of holds)
      if (minutes[technique] === undefined) table.add({ kind: "arc", body: { press: "left out", hold: key } });
  };
  const open = state.phase === "running" || state.phase === "paused";
  return (
    <Box component="main" sx={{ minHeight: "100dvh", display: "flex", flexDirection: "column" }}>
      <Box sx={{ p: { xs: 2, md: 4 }, pb: { xs: 1, md: 1 } }}>
        <RunHead
          ordinal={visit.ordinal}
          title={title}
          client={client}
          cautions={cautions}
          pauseWord={pauseWord}
          unsent={{
            reach: session.reach === "reached" ? table.reach : session.reach,
            count: session.unsent + table.unsent,
          }}
        >
          {open && state.startedAt !== undefined && <Clock since={new Date(state.startedAt).toISOString()} />}
        </RunHead>
        <SetAside log={session} size={22} />
      </Box>
      {state.phase === "not started" ? (
        <Box sx={{ p: { xs: 2, md: 4 }, flex: 1 }}>
          <BeforeStart
            visit={visit}
            clientId={client.id}
            steps={steps}
            {...before}
            keys="The clock counts up and never rushes. One key does everything: space, right arrow or a pedal, the next phase of the hold."
            timing={{ said: timing, agreed: dayAgreed, agree: () => setDayAgreed(true) }}
          />
          <Box sx={{ display: "flex", gap: 2, mt: 3, flexWrap: "wrap" }}>
            <Button variant="contained" sx={big} disabled={before.obstacles.length > 0 || dayAsked} onClick={start}>
              Start the clock
            </Button>
            <Button
              component={Link}
              to={`/clients/${client.id}/sessions?visit=${visit.ordinal}`}
              variant="outlined"
              sx={big}
            >
              Not yet
            </Button>
          </Box>
        </Box>
      ) : state.phase === "finished" ? (
        <Box sx={{ p: { xs: 2, md: 4 }, maxWidth: 820 }}>
          <Typography sx={{ fontFamily: "h1.fontFamily", fontWeight: 700, fontSize: 52, lineHeight: 1.1 }}>
            Done
          </Typography>
          <Typography sx={{ fontSize: 24, mt: 2, color: "text.secondary" }}>
            {arc.listened.after === 0
              ? "The stations were not listened at again: without it nothing can be compared."
              : "Let them lie a while. What was heard before and after is compared in Change."}
          </Typography>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mt: 4 }}>
            {arc.listened.after === 0 && (
              <Button
                component={Link}
                to={`/clients/${client.id}/assess/listen?visit=${visit.ordinal}&moment=after`}
                variant="contained"
                sx={big}
              >
                Listen again
              </Button>
            )}
            <Button
              component={Link}
              to={`/clients/${client.id}/sessions?visit=${visit.ordinal}`}
              variant={arc.listened.after === 0 ? "outlined" : "contained"}
              sx={big}
            >
              Close the visit
            </Button>
          </Box>
        </Box>
      ) : (
        <>
          <ArcBody
            clientId={client.id}
            ordinal={visit.ordinal}
            log={table}
            form={made.form ?? form}
            gate={arc.gate}
            listened={arc.listened}
            planned={minutes}
          />
          <Box
            sx={{
              display: "flex",
              justifyContent: "flex-end",
              position: "sticky",
              bottom: 0,
              bgcolor: "background.default",
              px: { xs: 2, md: 4 },
              py: 1,
            }}
          >
            <Button variant="outlined" sx={big} onClick={() => session.add({ kind: "finished", body: {} })}>
              Finish the session
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
}
