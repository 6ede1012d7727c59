import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useEffect, useMemo, useRef, type ReactNode } from "react";
import { Link } from "react-router";
import { arcAfter, isDone, nextHold, type ArcEvent, type HoldRun } from "~core/light-touch/arc";
import { phaseWords, signs, stepsOf, type Form } from "~core/light-touch/arc-steps";
import { stations } from "~core/light-touch/stations";
import { stillPointsAfter } from "~core/light-touch/still-point";
import { techniqueOf } from "~core/techniques/library";
import { clockWords, counted } from "~core/words";
import type { ArcOfVisit } from "~app/server/client/arc.server";
import { Kept, type usePressed } from "~app/routes/client/table/use-pressed";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { HandSide } from "~app/ui/hand-side";
import { SideColumn } from "~app/ui/side-column";
import { SideList } from "~app/ui/side-list";
import { Clock } from "./clock";
import { useFreeKeys } from "~app/ui/use-free-keys";
import { StillTimer } from "./still-timer";

/**
 * The arc of a visit, worked by one key: the hold at hand, what comes before and after it, still points. `form` undefined
 * while it was not said how much of the arc there will be: `choose` asks for it.
 */
export function ArcBody({
  clientId,
  ordinal,
  log,
  form,
  gate,
  listened,
  choose,
  begin,
  planned = {},
}: {
  clientId: string;
  ordinal: number;
  log: ReturnType<typeof usePressed>;
  form: Form | undefined;
  choose?: ReactNode;
  /** Shown beside what is heard before the first hold. */
  begin?: ReactNode;
  /** Minutes the plan gives to a technique. */
  planned?: Partial<Record<string, number>>;
} & Pick<ArcOfVisit, "gate" | "listened">) {
  const { runs } = useMemo(() => arcAfter(log.events), [log.events]);
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
  useFreeKeys();
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      // a pedal turns pages; a space on a button is that button's own
      const pedal = event.key === "ArrowRight" || event.key === "PageDown";
      if (event.key !== " " && !pedal) return;
      const own = pedal ? "input, [role=dialog], [role=combobox], [role=listbox]" : "input, button, a, [role]";
      if (event.target instanceof Element && event.target.closest(own)) return;
      event.preventDefault();
      act.current();
    };
    window.addEventListener("keydown", pressed);
    return () => window.removeEventListener("keydown", pressed);
  }, []);
  const listen = `/clients/${clientId}/assess/listen?visit=${ordinal}`;
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
          choose
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
                {begin}
              </Box>
            )}
            <OneHold
              run={current}
              no={no}
              on={() => on(current)}
              press={press}
              planned={planned[current.hold.technique]}
            />
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

/** The hold that is worked: big enough for a foot on a pedal or a knuckle on the glass. */
function OneHold({
  run,
  no,
  on,
  press,
  planned,
}: {
  run: HoldRun;
  no: string | undefined;
  on: () => void;
  press: (body: ArcEvent["body"]) => void;
  planned: number | undefined;
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
        {hold.minutes[0]}–{hold.minutes[1]} min, the tissue leads.
        {planned !== undefined &&
          ` The plan has ${planned} min for ${techniqueOf(hold.technique).name.toLowerCase()} in all.`}{" "}
        {hold.others}
      </Typography>
      <Button
        variant={no ? "outlined" : "contained"}
        disabled={no !== undefined}
        onClick={on}
        sx={[
          { width: "100%", minHeight: 180, my: 2, fontSize: 22, display: "block", lineHeight: 1.4 },
          // in a dim room nothing that big shines
          ({ palette, tokens }) =>
            palette.mode === "dark"
              ? {
                  border: `2px solid ${tokens.ember}`,
                  "&, &:hover": { bgcolor: tokens.emberWash, color: tokens.ink },
                }
              : {},
        ]}
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
