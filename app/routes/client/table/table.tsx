import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo, useState } from "react";
import type { Route } from "./+types/table";
import type { Moment } from "~core/findings/restriction";
import { answersAfter, isAnswered, nextOpen, type Pressed } from "~core/table/answers";
import { offBefore, openRetests, runOf } from "~core/table/results";
import { inSession } from "~app/session.server";
import { tableOf } from "~app/table.server";
import { visitOf } from "~app/routes/client/workspace.server";
import { MomentToggle } from "~app/ui/moment-toggle";
import { getClient } from "~data/clients";
import { logOf } from "~data/session-events";
import { CheckCard } from "./check-card";
import { CheckList } from "./check-list";
import { Found } from "./found";
import { Kept, usePressed } from "./use-pressed";

export const handle = { slim: true };

export function loader({ request, params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const client = await getClient(tx, params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, request);
    return {
      clientId: client.id,
      visit,
      events: await logOf(tx, "table_event", visit.id),
      earlier: (
        await tableOf(
          tx,
          visits.filter(({ ordinal }) => ordinal < visit.ordinal),
        )
      ).at(-1),
    };
  });
}

export default function Table({ loaderData }: Route.ComponentProps) {
  // another visit is another log
  return <Run key={loaderData.visit.id} {...loaderData} />;
}

function Run({ clientId, visit, events: stored, earlier }: Route.ComponentProps["loaderData"]) {
  const log = usePressed(clientId, visit.id, stored);
  const { events, add } = log;
  const answers = useMemo(() => answersAfter(events), [events]);
  const [moment, setMoment] = useState<Moment>("before");
  const [all, setAll] = useState(false);
  const off = useMemo(() => offBefore(answers), [answers]);
  const open = useMemo(() => openRetests(answers), [answers]);
  // after the work only what was off is looked at again, unless more is wanted
  const run = useMemo(() => runOf(answers), [answers]);
  const list = moment === "before" || all ? run : off;
  const [key, setKey] = useState(() => {
    const first = runOf(answersAfter(stored));
    return first[nextOpen(first, answersAfter(stored), "before", 0) ?? 0]!.key;
  });
  const at = Math.max(
    0,
    list.findIndex((check) => check.key === key),
  );
  const current = list[at];
  const [done, setDone] = useState(false);
  const step = (by: number) => {
    const next = at + by;
    setDone(next >= list.length);
    if (next >= 0 && next < list.length) setKey(list[next]!.key);
  };
  const press = (answer: Omit<Pressed, "moment">) => add({ kind: "answer", body: { moment, ...answer } });
  const retest = () => {
    setMoment("after");
    setAll(false);
    setDone(false);
    setKey((open[0] ?? off[0])!.key);
  };
  const taken = list.filter((check) => isAnswered(check, answers, moment)).length;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "250px minmax(0, 1fr)", md: "300px minmax(0, 1fr)" },
      }}
    >
      <Box
        data-scrolls
        sx={(t) => ({
          position: "relative",
          bgcolor: "background.paper",
          borderRight: { sm: `1px solid ${t.tokens.line}` },
          // what is looked at comes first where there is no room beside it
          order: { xs: 1, sm: 0 },
          p: 1.5,
          height: { sm: "calc(100dvh - 132px)" },
          overflowY: { sm: "auto" },
        })}
      >
        <CheckList
          list={list}
          answers={answers}
          moment={moment}
          chosen={done ? undefined : current?.key}
          choose={(next) => {
            setDone(false);
            setKey(next);
          }}
        />
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 } }}>
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 2 }}>
          <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
            {moment === "before" ? "At the table" : "Retest"}, {taken} of {list.length}
          </Typography>
          <MomentToggle
            moment={moment}
            visit={visit.ordinal}
            set={(next) => (next === "after" && off.length > 0 ? retest() : setMoment(next))}
          />
          {moment === "after" && (
            <Button color="inherit" onClick={() => setAll(!all)}>
              {all ? "Only what was off" : "All checks"}
            </Button>
          )}
        </Box>
        <Kept log={log} />
        {current && !done ? (
          <CheckCard
            key={`${current.key} ${moment}`}
            check={current}
            at={at}
            of={list.length}
            moment={moment}
            answers={answers}
            earlier={earlier}
            press={press}
            step={step}
          />
        ) : (
          <Typography sx={{ mb: 2, fontSize: 18 }}>
            {list.length === 0
              ? "Nothing was off before the work: there is nothing to look at again."
              : "That was the last one. What was found stands below."}
          </Typography>
        )}
        <Found answers={answers} earlier={earlier} open={open} retest={off.length > 0 ? retest : undefined} />
      </Box>
    </Box>
  );
}
