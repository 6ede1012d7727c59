import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import type { Route } from "./+types/unwinding";
import {
  readUnwinding,
  unwindingsAfter,
  unwound,
  type Ender,
  type Unwinding as Run,
  type UnwindEvent,
  type Unwound,
} from "~core/light-touch/unwinding";
import { trendOf } from "~core/statistics/kendall";
import { clockWords, counted } from "~core/words";
import { lightGateOf } from "~app/server/client/light-gate.server";
import { cachedLoader } from "~app/server/cached-loader.server";
import { visitOf } from "~app/server/client/workspace.server";
import { Kept, usePressed } from "~app/routes/client/table/use-pressed";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { HandSide } from "~app/ui/hand-side";
import { deserialised, type LoaderData } from "~app/serialised";
import { getClient } from "~data/clients";
import { preferencesOf } from "~data/preferences";
import { eventsOfVisits, logOf } from "~data/session-events";
import { Clock } from "./clock";
import { PathPad, PathPicture } from "./path-pad";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "unwinding", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const others = visits.filter(({ id }) => id !== visit.id);
    const logs = await eventsOfVisits(
      tx,
      others.map(({ id }) => id),
      "table_event",
      ["unwind"],
    );
    return {
      clientId: client.id,
      visit,
      events: await logOf(tx, "table_event", visit.id),
      gate: await lightGateOf(tx, client, visit, practitioner),
      pauseWord: (await preferencesOf(tx, client.id)).pauseWord,
      // what a path says is computed here: an hour of it does not travel
      others: others.flatMap(({ id, ordinal }) =>
        unwindingsAfter(logs.get(id) ?? []).map((run) => ({ visit: ordinal, part: run.part, ...readUnwinding(run) })),
      ),
    };
  });
}

export default function Unwinding({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  // another visit is another log
  return <Following key={loaderData.visit.id} {...loaderData} />;
}

const readWords = ({ loops, positions, toStill, lasted }: ReturnType<typeof readUnwinding>) =>
  [
    counted(loops, "loop"),
    counted(positions, "position"),
    toStill === undefined ? "no still point" : `still after ${clockWords(toStill)} min`,
    ...(lasted === undefined ? [] : [`${clockWords(lasted)} min in all`]),
  ].join(", ");

function Following({ clientId, visit, events: stored, gate, others, pauseWord }: LoaderData<typeof loader>) {
  const log = usePressed(clientId, visit.id, stored);
  const runs = useMemo(() => unwindingsAfter(log.events), [log.events]);
  const press = (body: UnwindEvent["body"]) => log.add({ kind: "unwind", body });
  const [part, setPart] = useState<Unwound>("neck");
  const open = runs.find(({ ended }) => !ended);
  const no = gate.all ?? gate.unwinding[part];
  return (
    <HandSide sx={{ p: { xs: 2, sm: 3 }, maxWidth: 1100 }}>
      <Kept log={log} />
      {open ? (
        <OpenRun key={open.run} run={open} press={press} pauseWord={pauseWord} />
      ) : (
        <Box component="section" aria-label="Begin" sx={{ mb: 3 }}>
          <Typography variant="h2" sx={{ mb: 1 }}>
            Follow a limb, the neck or the whole body
          </Typography>
          <Typography sx={{ maxWidth: 640, mb: 1.5 }}>
            Take it up until its weight is carried and the muscles let go; follow its own path. Nothing is forced. One
            word from the client ends it.
          </Typography>
          {no && (
            <Alert severity="warning" sx={{ mb: 1.5 }}>
              {no} {no.includes("consent") && <Link to={`/clients/${clientId}/intake/consent`}>Ask for it</Link>}
            </Alert>
          )}
          <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
            <TextField
              select
              label="What is followed"
              value={part}
              fullWidth={false}
              sx={{ width: 220 }}
              onChange={(event) => setPart(event.target.value as Unwound)}
            >
              {unwound.map((each) => (
                <MenuItem key={each} value={each}>
                  {each}
                </MenuItem>
              ))}
            </TextField>
            <Button
              variant="contained"
              disabled={no !== undefined}
              onClick={() => press({ run: crypto.randomUUID(), press: "begun", part })}
            >
              Hands on
            </Button>
          </Box>
        </Box>
      )}
      <OverSessions
        own={runs
          .filter(({ ended }) => ended)
          .map((run) => ({ visit: visit.ordinal, part: run.part, ...readUnwinding(run) }))}
        others={others}
      />
      {runs
        .filter(({ ended }) => ended)
        .map((run) => (
          <Box key={run.run} component="section" aria-label={`Path of the ${run.part}`} sx={{ mb: 2, maxWidth: 420 }}>
            <Typography variant="h3">{run.part.replace(/^./, (first) => first.toUpperCase())}</Typography>
            <PathPicture path={run.path} />
            <Fine>
              {readWords(readUnwinding(run))}; {counted(run.barriers, "barrier")}; ended by the {run.ended!.by}
              {run.ended!.emotion ? "; emotion came" : ""}.
            </Fine>
          </Box>
        ))}
      <Fine sx={{ maxWidth: 640 }}>
        A loop is a way round that comes back to where it was; a position is a place kept for two seconds or more (sizes
        are common practice, the same at every visit). Fewer loops over sessions are what practitioners take as
        progress; it is no finding about a cause.
      </Fine>
    </HandSide>
  );
}

/** What is followed now: a pad to draw its path on with one finger, and presses for what happens. */
function OpenRun({
  run,
  press,
  pauseWord,
}: {
  run: Run;
  press: (body: UnwindEvent["body"]) => void;
  pauseWord: string;
}) {
  const [emotion, setEmotion] = useState(false);
  const end = (by: Ender) => press({ run: run.run, press: "ended", by, emotion });
  return (
    <Box component="section" aria-label={`Unwinding the ${run.part}`} sx={{ mb: 3 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "baseline", flexWrap: "wrap", mb: 1 }}>
        <Typography variant="h2">
          {run.part.replace(/^./, (first) => first.toUpperCase())}, <Clock since={run.begun} />
        </Typography>
        <Typography>
          {counted(run.stills.length, "still point")}, {counted(run.barriers, "barrier")}
        </Typography>
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "minmax(0, 520px) minmax(0, 1fr)" }, gap: 2 }}>
        <PathPad run={run} add={(points) => press({ run: run.run, press: "path", points })} />
        <Box sx={{ display: "grid", gap: 1, alignContent: "start" }}>
          <Button variant="contained" color="error" sx={{ minHeight: 84, fontSize: 20 }} onClick={() => end("client")}>
            {pauseWord ? `“${pauseWord}”` : "Their word"}: stop at once
          </Button>
          <Button
            variant="outlined"
            sx={{ minHeight: 64, fontSize: 18 }}
            onClick={() => press({ run: run.run, press: "still" })}
          >
            It stands still
          </Button>
          <Button
            variant="outlined"
            sx={{ minHeight: 64, fontSize: 18 }}
            onClick={() => press({ run: run.run, press: "barrier" })}
          >
            It loops: be a barrier
          </Button>
          <Button
            variant={emotion ? "contained" : "outlined"}
            color="inherit"
            aria-pressed={emotion}
            sx={{ minHeight: 56 }}
            onClick={() => setEmotion(!emotion)}
          >
            Emotion came
          </Button>
          <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
            <Button variant="outlined" color="inherit" sx={{ minHeight: 56 }} onClick={() => end("tissue")}>
              It came to its end
            </Button>
            <Button variant="outlined" color="inherit" sx={{ minHeight: 56 }} onClick={() => end("practitioner")}>
              I end it
            </Button>
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

type Row = { visit: number; part: Unwound } & ReturnType<typeof readUnwinding>;

/** Every unwinding of a part over the sessions, and whether its loops become fewer by more than chance would bring. */
function OverSessions({ own, others }: { own: readonly Row[]; others: readonly Row[] }) {
  const all = [...others, ...own].sort((a, b) => a.visit - b.visit);
  if (all.length === 0) return null;
  return (
    <Box component="section" aria-label="Over the sessions" sx={{ mb: 3 }}>
      <Typography variant="h3">Over the sessions</Typography>
      {unwound
        .filter((part) => all.some((row) => row.part === part))
        .map((part) => {
          const rows = all.filter((row) => row.part === part);
          const { s, p } = trendOf(rows.map(({ loops }) => loops));
          return (
            <Box key={part} sx={{ mt: 1 }}>
              {rows.map((row, i) => (
                <Typography key={i}>
                  Visit {row.visit}, {part}: {readWords(row)}
                </Typography>
              ))}
              <Fine>
                {rows.length < 4
                  ? "A trend needs four times or more: until then two figures are only two figures."
                  : p < 0.05
                    ? `Loops become ${s < 0 ? "fewer" : "more"} with time: by chance alone ${Math.round(p * 1000) / 10} times in a hundred.`
                    : "Whether loops become fewer or more cannot be told."}
              </Fine>
            </Box>
          );
        })}
    </Box>
  );
}
