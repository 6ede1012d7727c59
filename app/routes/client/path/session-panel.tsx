import type { SxProps, Theme } from "@mui/material/styles";
import Button from "@mui/material/Button";
import { layerName } from "~core/anatomy/layers";
import { techniqueOf } from "~core/techniques/library";
import { positionName } from "~core/techniques/technique";
import type { ReactNode } from "react";
import { Link } from "react-router";
import MuiLink from "@mui/material/Link";
import { patternOf } from "~core/reading/patterns";
import { cautionsOnStep, heldBack, patternsBehind, whyStep, withoutStep } from "~core/series/explain";
import { minutesOf, type Lock, type Plan, type PlanInput, type Step, type StepMinutes } from "~core/series/plan";
import { tableTimeWords } from "~core/series/table-time";
import type { Edit } from "~core/series/edit";
import { cautionsIn, isClosed, verdictIn } from "~core/series/rulebook";
import { placesOut } from "~core/screening/on-place";
import { minutePrices, type MinutePrices } from "~core/series/minute-prices";
import { stepKey, useStepDrag } from "./drag-step";
import { AddStep, StepEdits } from "./step-edits";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { oncePer } from "~app/ui/once-per";
import { ReachFigure } from "~app/ui/reach-figure";
import { handPartName, handParts, type HandPart } from "~core/techniques/hand-parts";
import { budgetIn, sessionLoad } from "~core/series/hands";
import type { TemplateSession } from "~core/series/template";

/** "thumbs 12 of 40", "wrists 30" where there is no limit. */
const handWords = (part: HandPart, load: number, most: number): string =>
  `${handPartName[part].toLowerCase()} ${Math.round(load)}${Number.isFinite(most) ? ` of ${most}` : ""}`;

const sides = (step: Step) =>
  "mid" in step.minutes
    ? ""
    : step.minutes.L === step.minutes.R
      ? ", both sides"
      : `, left ${step.minutes.L}, right ${step.minutes.R}`;

const pricesIn = oncePer(minutePrices);

/** One session's steps in order, and for the chosen step why it is there and what leaving it out would cost. */
export function SessionPanel({
  input,
  named,
  plan,
  session,
  step,
  setStep,
  locks,
  setLock,
  lockSession,
  edit,
  busy,
  done,
  broken,
  course,
  given,
}: {
  input: PlanInput;
  /** The session as the series has it. */
  named: TemplateSession;
  plan: Plan;
  session: number;
  step: string | undefined;
  setStep: (step: string | undefined) => void;
  locks: readonly Lock[];
  setLock: (technique: string, kind: Lock["kind"] | null, minutes?: StepMinutes) => void;
  /** Locks the session as it stands, or frees all of it. */
  lockSession: (on: boolean) => void;
  /** A change by hand. */
  edit: (edit: Edit) => void;
  busy: boolean;
  done: boolean;
  /** Cautions the session breaks as it stands. */
  broken: readonly string[];
  /** Whether there is more or less of it. */
  course: ReactNode;
  /** Who gives the session, where several of a practice might. */
  given: string | undefined;
}) {
  const planned = plan.sessions[session]!;
  const prices = pricesIn(input, plan.sessions, session);
  const closed = isClosed(session, input);
  const leftOut = locks.filter((lock) => lock.session === session && lock.kind === "leave-out");
  const held = heldBack(input, session);
  const load = sessionLoad(planned);
  const out = placesOut(cautionsIn(session, input));
  return (
    <>
      <Typography sx={{ color: "text.secondary", fontSize: 14 }}>
        Session {session + 1}
        {done ? ", as worked" : ""}
      </Typography>
      <Typography variant="h2">{named.name}</Typography>
      <Typography sx={{ fontSize: 14.5, mb: 1.5 }}>
        {named.intent} {tableTimeWords(planned, input.tableMinutes)}
        {given ? `, by ${given}` : ""}. Load:{" "}
        {handParts
          .filter((part) => part === "thumb" || load[part] > 0)
          .map((part) => handWords(part, load[part], budgetIn(part, session, input)))
          .join(", ")}
        .
      </Typography>
      {broken.length > 0 && (
        <Box sx={(t) => ({ bgcolor: t.tokens.amberWash, borderRadius: "6px", p: 1.25, mb: 1.5, fontSize: 14.5 })}>
          {broken.slice(0, 5).map((sentence) => (
            <Box key={sentence}>{sentence}</Box>
          ))}
          {broken.length > 5 && <Box>And {broken.length - 5} more.</Box>}
        </Box>
      )}
      <Box component="ol" sx={steps}>
        {planned.steps.map((each, i) => {
          const technique = techniqueOf(each.technique);
          const open = each.technique === step;
          const lock = locks.find(
            (own) => own.session === session && own.technique === each.technique && own.kind === "keep",
          );
          const locked = lock !== undefined;
          const turned = i === 0 || each.position !== planned.steps[i - 1]!.position;
          return (
            <Box component="li" key={each.technique}>
              {turned && each.position && (
                <Typography sx={{ fontSize: 12.5, color: "text.secondary", mt: i > 0 ? 1 : 0 }}>
                  {positionName[each.position]}
                </Typography>
              )}
              <StepButton
                step={each}
                locked={lock && (lock.minutes ? "locked, minutes too" : "locked")}
                open={open}
                still={done || busy}
                press={() => setStep(open ? undefined : each.technique)}
                move={(by) => edit({ kind: "move", technique: each.technique, from: session, to: session + by })}
              />
              {open && (
                <Box sx={{ pb: 1.5 }}>
                  <Typography sx={{ fontSize: 14, color: "text.secondary", mt: 0.5 }}>
                    {technique.layer === "LT"
                      ? "Light touch"
                      : `Down to the ${layerName(technique.layer).toLowerCase()}`}
                    ,{" "}
                    {technique.medium === "any"
                      ? "with or without oil"
                      : technique.medium === "dry"
                        ? "dry, before any oil"
                        : `with ${technique.medium}`}
                    , up to {verdictIn(technique, session, input).cap} of 10{sides(each)}.
                    {technique.consent ? " Ask for consent: sensitive area." : ""}
                  </Typography>
                  <Box sx={{ my: 1 }}>
                    <ReachFigure
                      technique={technique}
                      sides={verdictIn(technique, session, input).sides}
                      out={out}
                      height={210}
                    />
                  </Box>
                  {cautionsOnStep(input, session, each).map((sentence) => (
                    <Typography key={sentence} sx={(t) => ({ fontSize: 14.5, mt: 0.5, color: t.tokens.amber })}>
                      {sentence}
                    </Typography>
                  ))}
                  <Typography variant="h3" component="h4" sx={{ mt: 1.5 }}>
                    Because
                  </Typography>
                  {whyStep(input, plan.sessions, session, each).map((reason) => (
                    <Typography key={reason} sx={{ fontSize: 14.5, mt: 0.5 }}>
                      {reason}
                    </Typography>
                  ))}
                  {patternsBehind(input, each).map((id) => (
                    <Typography key={id} sx={{ fontSize: 14.5, mt: 0.5 }}>
                      <MuiLink component={Link} underline="always" relative="path" to={`../reading#${id}`}>
                        What speaks for “{patternOf(id)?.name}”
                      </MuiLink>
                    </Typography>
                  ))}
                  {!done && (
                    <>
                      <Typography variant="h3" component="h4" sx={{ mt: 1.5 }}>
                        If you take it out
                      </Typography>
                      <Cost input={input} plan={plan} session={session} step={each} />
                      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 1.5 }}>
                        <Button
                          size="small"
                          variant="outlined"
                          disabled={busy}
                          onClick={() => setLock(each.technique, locked ? null : "keep")}
                        >
                          {locked ? "Unlock" : "Lock in"}
                        </Button>
                        {!named.arc && (
                          <Button
                            size="small"
                            variant="outlined"
                            disabled={busy}
                            onClick={() => setLock(each.technique, "keep", lock?.minutes ? undefined : each.minutes)}
                          >
                            {lock?.minutes ? "Free its minutes" : "Lock its minutes"}
                          </Button>
                        )}
                        <Button
                          size="small"
                          variant="outlined"
                          disabled={busy}
                          onClick={() => setLock(each.technique, "leave-out")}
                        >
                          Leave out
                        </Button>
                      </Box>
                      <Typography variant="h3" component="h4" sx={{ mt: 1.5 }}>
                        By hand
                      </Typography>
                      <StepEdits
                        input={input}
                        planned={planned}
                        session={session}
                        step={each}
                        edit={edit}
                        busy={busy}
                      />
                    </>
                  )}
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
      {!done && <MinuteWords prices={prices} />}
      {!done && (
        <AddStep
          prices={prices}
          sessions={plan.sessions}
          input={input}
          planned={planned}
          session={session}
          edit={edit}
          busy={busy}
        />
      )}
      {!done && held.length > 0 && (
        <Box component="details" sx={{ mt: 2 }} open={held.length <= 3}>
          <Typography component="summary" variant="h3" sx={{ cursor: "pointer" }}>
            Left out for safety
          </Typography>
          {held.map(({ reason, techniques }) => (
            <Box key={reason} sx={{ mt: 0.75 }}>
              <Typography sx={(t) => ({ fontSize: 14.5, color: t.tokens.amber })}>{reason}</Typography>
              <Typography sx={{ fontSize: 14, color: "text.secondary" }}>{techniques.join(", ")}</Typography>
            </Box>
          ))}
        </Box>
      )}
      {leftOut.length > 0 && (
        <Box sx={{ mt: 2 }}>
          <Typography variant="h3">Left out by you</Typography>
          {leftOut.map((lock) => (
            <Box key={lock.technique} sx={{ display: "flex", alignItems: "center", gap: 1 }}>
              <Typography sx={{ flex: 1, fontSize: 14.5 }}>{techniqueOf(lock.technique).name}</Typography>
              <Button size="small" color="inherit" disabled={busy} onClick={() => setLock(lock.technique, null)}>
                Allow again
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {!done && course}
      {!done && !named.arc && (
        <Button
          size="small"
          variant="outlined"
          sx={{ mt: 1 }}
          disabled={busy}
          aria-pressed={closed}
          onClick={() => lockSession(!closed)}
        >
          {closed ? "Free the session" : "Lock the session as it is"}
        </Button>
      )}
      {plan.bound !== undefined && (
        <Typography sx={(t) => ({ mt: 2, pt: 1.5, borderTop: `1px solid ${t.tokens.line}`, fontSize: 14 })}>
          <strong>At most {percentLeft(plan.score, plan.bound)}% better is possible.</strong>{" "}
          <Box component="span" sx={{ color: "text.secondary" }}>
            {plan.score.toFixed(1)} of 100 points; it is proven that no plan under these rules passes{" "}
            {upTenth(plan.bound)}.
          </Box>
        </Typography>
      )}
    </>
  );
}

/** Rows of steps are dressed by what they lie in. */
const steps: SxProps<Theme> = ({ tokens }) => ({
  listStyle: "none",
  p: 0,
  m: 0,
  "& .step": {
    all: "unset",
    cursor: "pointer",
    boxSizing: "border-box",
    width: "100%",
    display: "flex",
    gap: 1,
    py: 0.6,
    px: 1,
    mx: -1,
    borderRadius: "6px",
    "&[aria-expanded=true], &.dragged": { bgcolor: tokens.emberWash },
    "&:focus-visible": { outline: `2px solid ${tokens.ember}` },
    "& span": { flex: 1, fontWeight: 450 },
    "&[aria-expanded=true] span": { fontWeight: 700 },
    "& small": { fontSize: "inherit", color: "text.secondary", whiteSpace: "nowrap" },
  },
});

/** A step's row: pressed it opens, dragged it goes to another session, and with Alt and an arrow to the one beside. */
function StepButton({
  step,
  locked,
  open,
  still,
  press,
  move,
}: {
  step: Step;
  /** How it is locked, in words. */
  locked: string | undefined;
  open: boolean;
  /** It cannot be moved. */
  still: boolean;
  press: () => void;
  move: (by: -1 | 1) => void;
}) {
  const { ref, listeners, isDragging } = useStepDrag(step.technique, still);
  return (
    <button
      type="button"
      ref={ref}
      className={isDragging ? "step dragged" : "step"}
      {...listeners}
      aria-expanded={open}
      aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight"
      onClick={press}
      onKeyDown={(event) => {
        const by = stepKey(event);
        if (by === undefined || still) return;
        // the browser would leave the page
        event.preventDefault();
        move(by);
      }}
    >
      <span>
        {techniqueOf(step.technique).name}
        {locked && ` (${locked})`}
      </span>
      <small>{Math.round(10 * minutesOf(step.minutes)) / 10} min</small>
    </button>
  );
}

const upTenth = (value: number) => (Math.ceil(value * 10) / 10).toFixed(1);
/** By how much of its score a plan might still be bettered, rounded up. */
const percentLeft = (score: number, bound: number) => upTenth(Math.max(0, (100 * (bound - score)) / score));

function Cost({ input, plan, session, step }: { input: PlanInput; plan: Plan; session: number; step: Step }) {
  const { points, unprepared } = withoutStep(input, plan.sessions, session, step);
  return (
    <Typography sx={{ fontSize: 14.5, mt: 0.5 }}>
      {points > 0.05
        ? `The plan falls from ${plan.score.toFixed(1)} to ${(plan.score - points).toFixed(1)} points, before its minutes are used again.`
        : "Nothing is lost in points."}
      {unprepared.length > 0 && ` ${unprepared.join(", ")} would stand unprepared.`}
    </Typography>
  );
}

const shownPoints = (points: number) => (Math.abs(points) < 0.005 ? "0" : points.toFixed(2));

/** What one more minute at this table would buy, and where a minute serves least. */
function MinuteWords({ prices: { dearest, cheapest, free } }: { prices: MinutePrices }) {
  if (!dearest || !cheapest) return null;
  return (
    <Typography sx={{ fontSize: 14, color: "text.secondary", mt: 1.5 }}>
      {free >= 0.5 ? `${Math.floor(2 * free) / 2} min are free. ` : ""}
      {dearest.points < 0.005
        ? "No step here gains by one more minute"
        : `One more minute would buy ${shownPoints(dearest.points)} points, at ${techniqueOf(dearest.technique).name}`}
      ; a minute serves least at {techniqueOf(cheapest.technique).name} ({shownPoints(cheapest.points)}).
    </Typography>
  );
}
