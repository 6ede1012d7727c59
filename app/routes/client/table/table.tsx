import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import type { Route } from "./+types/table";
import { lookedAgain } from "~core/repeatability/table-rounds";
import { answersAfter, isAnswered, nextOpen, type Answer, type Pressed, type TableMoment } from "~core/table/answers";
import { checks } from "~core/table/checks";
import { ruledOut, type Ruled } from "~core/screening/ruled-checks";
import { lookError } from "~core/table/own-looks";
import { acting } from "~core/screening/outcome";
import { offBefore, openRetests, runOf } from "~core/table/results";
import { ownLooks } from "~app/server/client/looks.server";
import { counted } from "~core/words";
import { cachedLoader } from "~app/server/cached-loader.server";
import { dayOfVisit, judgedOf } from "~app/server/client/screening.server";
import { tableOf } from "~app/server/client/table.server";
import { visitOf } from "~app/server/client/workspace.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { HandSide } from "~app/ui/hand-side";
import { SideColumn } from "~app/ui/side-column";
import { MomentToggle } from "~app/ui/moment-toggle";
import { deserialised, type LoaderData } from "~app/serialised";
import { getClient } from "~data/clients";
import { logOf } from "~data/session-events";
import { CheckCard } from "./check-card";
import { CheckList } from "./check-list";
import { Found } from "./found";
import { Kept, usePressed } from "./use-pressed";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "table", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const cautions = acting(await judgedOf(tx, client, practitioner), dayOfVisit(visit));
    return {
      clientId: client.id,
      visit,
      ruled: Object.fromEntries(checks.map((check): [string, Ruled] => [check.key, ruledOut(check, cautions)])),
      looks: { by: await ownLooks(tx), me: practitioner.id },
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

const headings: Record<TableMoment, string> = { before: "At the table", again: "Second round, blind", after: "Retest" };
const isFirst = ({ moment, by }: Answer, me: string) => moment === "before" && by === me;

export default function Table({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  // another visit is another log
  return <Run key={loaderData.visit.id} {...loaderData} />;
}

function Run({ clientId, visit, ruled, events: stored, earlier, looks }: LoaderData<typeof loader>) {
  const log = usePressed(clientId, visit.id, stored);
  const { events, add } = log;
  const answers = useMemo(() => answersAfter(events, looks), [events, looks]);
  const [moment, setMoment] = useState<TableMoment>("before");
  const [all, setAll] = useState(false);
  const off = useMemo(() => offBefore(answers), [answers]);
  const open = useMemo(() => openRetests(answers), [answers]);
  // after the work only what was off is looked at again, unless more is wanted
  const run = useMemo(() => runOf(answers), [answers]);
  // what one looked at oneself can be looked at again, blind; once there was work it is another body
  const first = useMemo(
    () => run.filter((check) => answers.some((each) => each.check === check.key && isFirst(each, looks.me))),
    [run, answers, looks.me],
  );
  const untouched = !answers.some((each) => each.moment === "after");
  const list = moment === "again" ? first : moment === "before" || all ? run : off;
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
  const secondRound = () => {
    setMoment("again");
    setDone(false);
    setKey(first[nextOpen(first, answers, "again", 0) ?? 0]!.key);
  };
  const firstRound = () => {
    setMoment("before");
    setDone(false);
  };
  const again = useMemo(() => lookedAgain(answers), [answers]);
  const same = again.filter((pair) => pair.first === pair.second).length;
  const taken = list.filter((check) => isAnswered(check, answers, moment)).length;
  return (
    <HandSide
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "250px minmax(0, 1fr)", md: "300px minmax(0, 1fr)" },
      }}
    >
      <SideColumn>
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
      </SideColumn>
      <Box sx={{ p: { xs: 2, sm: 3 } }}>
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 2 }}>
          <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
            {headings[moment]}, {taken} of {list.length}
          </Typography>
          {moment === "again" ? (
            <Button variant="outlined" onClick={firstRound}>
              Back to the first round
            </Button>
          ) : (
            <MomentToggle
              moment={moment}
              visit={visit.ordinal}
              set={(next) => (next === "after" && off.length > 0 ? retest() : setMoment(next))}
            />
          )}
          {moment === "before" && untouched && first.length > 0 && (
            <Button color="inherit" onClick={secondRound}>
              Second round, blind
            </Button>
          )}
          {moment === "after" && (
            <Button color="inherit" onClick={() => setAll(!all)}>
              {all ? "Only what was off" : "All checks"}
            </Button>
          )}
        </Box>
        <Kept log={log} blind={moment === "again"} />
        {current && !done ? (
          <CheckCard
            key={`${current.key} ${moment}`}
            check={current}
            out={ruled[current.key]?.asked}
            at={at}
            of={list.length}
            moment={moment}
            answers={answers}
            earlier={moment === "again" ? undefined : earlier}
            error={lookError(
              current,
              current.kind === "side" || current.steps ? "hand" : "measured",
              looks.by[looks.me],
            )}
            press={press}
            step={step}
          />
        ) : (
          <Typography sx={{ mb: 2, fontSize: 18 }}>
            {moment === "again"
              ? `Looked at again, blind: ${counted(again.length, "answer")}, ${same} the same as before. They tell your own error of looking; what counts for the client is the first round.`
              : list.length === 0
                ? "Nothing was off before the work: there is nothing to look at again."
                : "That was the last one. What was found stands below."}
          </Typography>
        )}
        {/* blind is blind: what was found at first is not on the screen */}
        {moment !== "again" && (
          <Found
            answers={answers}
            ruled={ruled}
            earlier={earlier}
            open={open}
            retest={off.length > 0 ? retest : undefined}
          />
        )}
      </Box>
    </HandSide>
  );
}
