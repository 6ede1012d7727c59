import Button from "@mui/material/Button";
import { useEffect, useMemo, useState, type ComponentProps } from "react";
import { Link } from "react-router";
import { behind, foldRun, holdOf, plannedLeft } from "~core/session/fold";
import type { OnPlace } from "~core/screening/on-place";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { ReachFigure } from "~app/ui/reach-figure";
import type { RunStep, SessionEvent } from "~core/session/events";
import type { Cues } from "~core/session/cues";
import { techniqueOf } from "~core/techniques/library";
import { positionName } from "~core/techniques/technique";
import { Answers } from "./answers";
import { BeforeStart } from "./before-start";
import { HoldRing } from "./hold-ring";
import { NoteDialog } from "./note-dialog";
import { RunBar } from "./run-bar";
import { RunHead } from "./run-head";
import { SetAside } from "~app/ui/set-aside";
import { useEvents } from "./use-events";
import { useFreeKeys } from "~app/ui/use-free-keys";
import { useScreenAwake } from "./use-screen-awake";

const sideWord = { L: "Left side", R: "Right side", mid: "" } as const;
const ordinals = ["", "first", "second", "third", "fourth", "fifth", "sixth"];
const counts = ["", "one", "two", "three", "four", "five", "six"];
const words = (seconds: number) => `${Math.round(Math.abs(seconds) / 60)} min`;

/** Table-side: one step at a time, big, dim, worked by four keys. Nothing here waits for the network. */
export function RunSheet({
  visit,
  timing,
  client,
  title,
  steps,
  events: stored,
  cautions,
  pauseWord,
  cues,
  out,
  ...before
}: {
  visit: { id: string; ordinal: number; status: string; onDate: string };
  /** What has to be agreed to before it is begun now, as sentences. */
  timing: readonly string[];
  client: { id: string; name: string; pressureCeiling: number };
  title: string;
  steps: readonly RunStep[];
  events: readonly SessionEvent[];
  cautions: readonly string[];
  pauseWord: string;
  cues: Record<string, Cues>;
  /** Places that are out for this client today. */
  out: readonly OnPlace[];
} & Pick<ComponentProps<typeof BeforeStart>, "asked" | "leftOut" | "obstacles" | "rescreened">) {
  const log = useEvents(visit.id, stored);
  const { events, add } = log;
  const state = useMemo(() => foldRun(events), [events]);
  const [now, setNow] = useState<number | undefined>();
  const [noting, setNoting] = useState(false);
  // a session that is started on another day or in another order than planned was asked about first
  const [dayAgreed, setDayAgreed] = useState(false);
  const dayAsked = timing.length > 0 && !dayAgreed;
  useEffect(() => {
    setNow(Date.now());
    const timer = window.setInterval(() => setNow(Date.now()), 250);
    return () => window.clearInterval(timer);
  }, []);
  useScreenAwake();
  useFreeKeys();

  const blocked = state.phase === "not started" && (before.obstacles.length > 0 || steps.length === 0 || dayAsked);
  const step = state.current;
  const atEnd = state.phase === "running" && step >= state.steps.length;
  const open = state.phase === "running" || state.phase === "paused";
  const toggle = () => add({ kind: state.phase === "paused" ? "resumed" : "paused", body: {} });
  const next = () =>
    state.phase === "not started"
      ? add({ kind: "started", body: { steps: [...steps], ...(timing.length > 0 && { agreed: [...timing] }) } })
      : atEnd
        ? add({ kind: "finished", body: {} })
        : add({ kind: "next", body: { step } });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (noting || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (event.key === "ArrowRight" || event.key === "PageDown") {
        if (state.phase !== "finished" && !blocked) next();
      } else if (!open) return;
      else if (event.key === "ArrowLeft" || event.key === "PageUp") add({ kind: "back", body: { step } });
      else if (event.key.toLowerCase() === "s") add({ kind: "skip", body: { step } });
      else if (event.key.toLowerCase() === "n") setNoting(true);
      else if (
        event.key.toLowerCase() === "p" ||
        (event.key === " " && !(event.target as HTMLElement).closest("button, a"))
      )
        toggle();
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });

  const clock = now ?? state.holdSince ?? 0;
  const current = state.steps[step];
  const technique = current && techniqueOf(current.technique);
  const stepState = state.states[step];
  const cue = current && cues[current.technique];
  const cap = cue?.cap ?? Math.min(technique?.pressure ?? 10, client.pressureCeiling);
  const late = state.startedAt && now ? behind(state, now) : 0;
  const left =
    state.phase === "not started" ? steps.reduce((sum, each) => sum + each.planned, 0) : plannedLeft(state, clock);

  const big = {
    minHeight: { xs: 56, sm: 72 },
    fontSize: { xs: 20, sm: 24 },
    px: { xs: 1, sm: 2 },
    borderRadius: "8px",
    flex: 1,
  } as const;
  return (
    <Box
      component="main"
      sx={{
        minHeight: "100dvh",
        display: "flex",
        flexDirection: "column",
        p: { xs: 2, md: 4 },
        fontSize: 22,
      }}
    >
      <RunHead
        ordinal={visit.ordinal}
        title={title}
        client={client}
        cautions={cautions}
        pauseWord={pauseWord}
        unsent={{ reach: log.reach, count: log.unsent }}
      >
        <Typography sx={{ fontSize: 22, color: "text.secondary" }} suppressHydrationWarning>
          {words(left)} left
        </Typography>
        {Math.abs(late) >= 60 && state.phase !== "finished" && (
          <Typography sx={{ fontSize: 22, color: late > 0 ? "primary.main" : "text.secondary" }}>
            {words(late)} {late > 0 ? "behind" : "ahead"}
          </Typography>
        )}
      </RunHead>

      <SetAside log={log} size={22} />
      <Box
        sx={{
          flex: 1,
          display: "grid",
          gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr", md: "minmax(0,1.35fr) 300px minmax(280px,1fr)" },
          gap: { xs: 2, sm: 3, md: 5 },
          alignItems: "center",
          py: 3,
        }}
      >
        {state.phase === "not started" ? (
          <BeforeStart
            visit={visit}
            clientId={client.id}
            steps={steps}
            {...before}
            timing={{ said: timing, agreed: dayAgreed, agree: () => setDayAgreed(true) }}
          />
        ) : state.phase === "finished" || !current || !technique ? (
          <Box sx={{ gridColumn: "1 / -1", maxWidth: 760 }}>
            <Typography sx={{ fontFamily: "h1.fontFamily", fontWeight: 700, fontSize: 52, lineHeight: 1.1 }}>
              {state.phase === "finished" ? "Done" : "That was the last step"}
            </Typography>
            <Typography sx={{ fontSize: 24, mt: 2, color: "text.secondary" }}>
              Measure again in the same positions before they dress: what was not looked at again did not change.
            </Typography>
            {state.phase === "finished" && (
              <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mt: 4 }}>
                <Button
                  component={Link}
                  to={`/clients/${client.id}/assess/stand?visit=${visit.ordinal}&moment=after`}
                  variant="contained"
                  sx={{ ...big, px: 4 }}
                >
                  Measure after
                </Button>
                <Button
                  component={Link}
                  to={`/clients/${client.id}/sessions?visit=${visit.ordinal}`}
                  variant="outlined"
                  sx={{ ...big, px: 4 }}
                >
                  Close the visit
                </Button>
              </Box>
            )}
          </Box>
        ) : (
          <>
            <Box aria-live="polite" sx={{ gridColumn: { sm: "1 / -1", md: "auto" } }}>
              <Typography sx={{ fontSize: { xs: 20, sm: 24 }, color: "text.secondary" }}>
                {[
                  sideWord[current.side],
                  current.passes > 1 ? `${ordinals[state.pass]} of ${counts[current.passes]} passes` : "",
                  current.position ? positionName[current.position].toLowerCase() : "",
                ]
                  .filter(Boolean)
                  .join(", ")}
              </Typography>
              <Typography
                component="h2"
                sx={{
                  fontFamily: "h1.fontFamily",
                  fontWeight: 700,
                  fontSize: { xs: 32, md: 54 },
                  lineHeight: 1.08,
                  my: 1,
                }}
              >
                {technique.name}
              </Typography>
              <Typography sx={{ fontSize: { xs: 20, sm: 26 }, lineHeight: 1.35 }}>{technique.what}</Typography>
              <Typography sx={{ fontSize: 22, mt: 1.5, color: "text.secondary" }}>
                {cue?.capBy ? "" : `Up to ${cap} of 10. `}Stop when {technique.stopWhen}.
                {cue?.hold ? ` ${cue.hold}.` : ""}
              </Typography>
              {cue && (cue.capBy || cue.mind.length > 0) && (
                <Typography sx={{ fontSize: 24, mt: 1, color: "warning.main", fontWeight: 700 }}>
                  {[
                    cue.capBy ? `Only up to ${cue.cap} of 10: ${cue.capBy.toLowerCase()}.` : "",
                    ...cue.mind.map((each) => `${each}.`),
                  ]
                    .filter(Boolean)
                    .join(" ")}
                </Typography>
              )}
              {cue?.here.map((sentence) => (
                <Typography key={sentence} sx={{ fontSize: 20, mt: 1, color: "warning.main" }}>
                  {sentence}
                </Typography>
              ))}
              {cue && cue.clear.length > 0 && (
                <Typography sx={{ fontSize: 22, mt: 1, color: "text.secondary" }}>
                  Stay clear of: {cue.clear.join(", ")}.
                </Typography>
              )}
              {stepState && stepState.notes.length > 0 && (
                <Typography sx={{ fontSize: 22, mt: 1 }}>Noted: {stepState.notes.join("; ")}</Typography>
              )}
            </Box>
            <Box>
              <HoldRing
                seconds={holdOf(state, clock)}
                planned={current.planned / current.passes}
                paused={state.phase === "paused"}
                toggle={toggle}
              />
              <Box
                sx={{
                  display: { xs: "none", md: "flex" },
                  "@media (min-width: 600px) and (min-height: 900px)": { display: "flex" },
                  justifyContent: "center",
                  mt: 2,
                }}
              >
                <ReachFigure
                  technique={technique}
                  sides={{ L: current.side !== "R", R: current.side !== "L" }}
                  out={out}
                  height={230}
                />
              </Box>
            </Box>
            <Answers
              state={stepState}
              usual={cap}
              ceiling={cue?.capBy ? cap : client.pressureCeiling}
              pressure={(value) => add({ kind: "pressure", body: { step, value } })}
              direction={(towards) => add({ kind: "direction", body: { step, towards } })}
            />
          </>
        )}
      </Box>

      {state.phase !== "finished" && (
        <Box
          sx={{
            display: "flex",
            flexWrap: "wrap",
            gap: { xs: 1, md: 1.75 },
            // the hand finds them at the same place whatever the step says
            position: "sticky",
            bottom: 0,
            zIndex: 2,
            bgcolor: "background.default",
            py: 1,
          }}
        >
          <Button
            // another button once the clock runs: a space meant for "start" does not press what comes after it
            key={state.phase === "not started" ? "start" : "next"}
            variant="contained"
            onClick={next}
            disabled={blocked}
            sx={{ ...big, flex: { xs: "1 0 100%", sm: 1.7 }, minWidth: 0 }}
            aria-keyshortcuts="ArrowRight"
          >
            {state.phase === "not started"
              ? "Start the clock"
              : atEnd
                ? "Finish the session"
                : current && state.pass < current.passes
                  ? "It let go, next pass"
                  : "It let go, next"}
          </Button>
          {open && (
            <>
              <Button
                variant="outlined"
                disabled={atEnd}
                onClick={() => add({ kind: "skip", body: { step } })}
                sx={big}
                aria-keyshortcuts="S"
              >
                Skip
              </Button>
              <Button
                variant="outlined"
                onClick={() => setNoting(true)}
                disabled={state.steps.length === 0}
                sx={big}
                aria-keyshortcuts="N"
              >
                Note
              </Button>
              <Button
                variant="outlined"
                disabled={step === 0}
                onClick={() => add({ kind: "back", body: { step } })}
                sx={big}
                aria-keyshortcuts="ArrowLeft"
              >
                Back
              </Button>
            </>
          )}
          {state.phase === "not started" && (
            <Button
              component={Link}
              to={`/clients/${client.id}/sessions?visit=${visit.ordinal}`}
              variant="outlined"
              sx={big}
            >
              Not yet
            </Button>
          )}
        </Box>
      )}
      <RunBar
        steps={state.phase === "not started" ? steps : state.steps}
        states={state.states}
        current={state.phase === "not started" ? -1 : step}
      />
      {noting && (
        <NoteDialog
          visitId={visit.id}
          close={() => setNoting(false)}
          save={(text) => {
            add({ kind: "note", body: { step: Math.min(step, state.steps.length - 1), text } });
            setNoting(false);
          }}
        />
      )}
    </Box>
  );
}
