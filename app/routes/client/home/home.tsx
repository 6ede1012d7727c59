import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { data } from "react-router";
import { number, object, string } from "yup";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/home";
import { exerciseOf, exercises } from "~core/home-care/exercises";
import { homeCareFor, minutesADay, notOn, usualMost, type HomeCare } from "~core/home-care/suggest";
import { homeDose } from "~core/home-care/words";
import { acting } from "~core/screening/outcome";
import type { Side } from "~core/units";
import { capitalised } from "~core/words";
import { readingOf } from "~app/server/client/reading.server";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import { dayOfVisit, judgedOf } from "~app/server/client/screening.server";
import { keeping } from "~app/server/request/session.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import { Fine } from "~app/ui/fine";
import { OnPaper } from "~app/ui/on-paper";
import { Empty } from "~app/ui/page";
import { ReachFigure } from "~app/ui/reach-figure";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { WhenReady } from "~app/ui/when-ready";
import { validate } from "~app/validation";
import { deserialised } from "~app/serialised";
import { getClient } from "~data/clients";
import { homeCareOf, saveHomeCare, type HomeBody } from "~data/home-care";

export const meta: Route.MetaFunction = () => [{ title: "Home care · Ember Path" }];

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "home", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    const { targets } = await readingOf(tx, client, visits);
    // how the practitioner works does not bind the client at home
    const cautions = acting(await judgedOf(tx, client, practitioner), dayOfVisit(visit)).filter(
      ({ origin }) => origin !== "setting",
    );
    const given = await homeCareOf(tx, client.id);
    return {
      client: { id: client.id, name: client.name },
      visit,
      offers: homeCareFor(
        targets.filter(({ weight }) => weight > 0),
        cautions,
      ).map(({ exercise, serves, ...rest }) => ({
        ...rest,
        key: exercise.key,
        serves: serves.slice(0, 3).map(({ target: { name, because }, share }) => ({ name, because, share })),
      })),
      given: given.filter(({ ordinal }) => ordinal === visit.ordinal),
      before: given.filter(({ ordinal }) => ordinal < visit.ordinal),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

const bodySchema = object({
  times: number()
    .typeError("Times a day: type a number.")
    .required("Times a day: type a number.")
    .integer("Times a day: whole numbers only, got ${value}.")
    .min(1, "Times a day: at least 1, got ${value}.")
    .max(12, "Times a day: at most 12, got ${value}."),
  minutes: number()
    .typeError("Minutes: type a number.")
    .required("Minutes: type a number.")
    .min(0.5, "Minutes: at least 0.5, got ${value}.")
    .max(120, "Minutes: at most 120, got ${value}."),
  side: string<Side>()
    .oneOf(["L", "R", null] as never[])
    .nullable()
    .default(null),
});

/** Gives an exercise at this visit, or takes it back. A caution that rules it out is heeded here, whatever is sent. */
export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, practitioner, body }) => {
    const sent = body.fields;
    const client = await getClient(tx, params.clientId);
    const visit = await ownVisit(tx, client.id, sent.visitId);
    const exercise = exerciseOf(String(sent.exercise));
    if (!exercise) return data({ errors: { exercise: "Exercise: it is not in the list." } }, { status: 400 });
    let next: HomeBody | null = null;
    if (sent.body !== null) {
      const { value, errors } = await validate(bodySchema, sent.body);
      if (errors) return data({ errors }, { status: 400 });
      const cautions = acting(await judgedOf(tx, client, practitioner), dayOfVisit(visit));
      const offer = homeCareFor(
        [],
        cautions.filter(({ origin }) => origin !== "setting"),
      ).find((each) => each.exercise === exercise)!;
      const no = notOn(offer, value.side);
      if (no) return data({ errors: { exercise: no } }, { status: 422 });
      next = { times: value.times, minutes: value.minutes, side: exercise.sided ? value.side : null };
    }
    const was = sent.was === undefined ? undefined : sent.was === null ? null : (sent.was as HomeBody);
    await saveHomeCare(tx, visit.id, exercise.key, next, was);
    return { ok: true };
  });
}

export default function Home({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { client, visit, offers, given, before } = loaderData;
  const [all, setAll] = useState(false);
  const bodyOf = (key: string) => given.find((each) => each.exercise === key)?.body ?? null;
  const may = offers.filter(({ no }) => no === undefined);
  // what was given before a caution came stays in sight until it is taken back
  const out = offers.filter(({ key, no }) => no !== undefined && !bodyOf(key));
  const against = offers.filter(({ key, no }) => no !== undefined && bodyOf(key));
  const useful = may.filter(({ key, worth }) => worth > 0 || bodyOf(key));
  const shown = all ? may : useful.slice(0, Math.max(usualMost + 2, given.length));
  const sum = minutesADay(
    given.map(({ exercise, body }) => ({ exercise: exerciseOf(exercise)!, side: body.side, dose: body })),
  );
  const closed = visit.status === "closed";
  return (
    <Box sx={{ p: { xs: 2, sm: 3 }, maxWidth: 1100 }}>
      <OnPaper />
      <WhenReady>
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 1 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            Home care after visit {visit.ordinal}, {shortDay(visit.onDate)}
          </Typography>
          <Button variant="outlined" color="inherit" onClick={() => window.print()} disabled={given.length === 0}>
            Print for the client
          </Button>
        </Box>
        <Typography role="status" sx={{ mb: 2 }}>
          {given.length === 0
            ? "Nothing is given yet."
            : `${given.length === 1 ? "One thing" : `${given.length} things`}, about ${Math.round(sum)} min a day.`}
          {given.length > usualMost && ` More than ${usualMost} are seldom kept up.`}
        </Typography>
        <Box sx={{ display: "none", "@media print": { display: "block" }, mb: 2 }}>
          <Typography>
            For {client.name}. Nothing here should hurt. Stop when it says so, and tell us at the next visit. This
            replaces no medical advice.
          </Typography>
        </Box>
        {may.length > 0 && useful.length === 0 && !all && (
          <Empty title="Nothing found asks for it yet">
            What is offered follows from the targets of the reading. Everything can still be given from the list.
          </Empty>
        )}
        <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
          {[...against, ...shown].map((offer) => (
            <Offer
              key={offer.key}
              offer={offer}
              visitId={visit.id}
              stored={bodyOf(offer.key)}
              last={before.findLast(({ exercise }) => exercise === offer.key)}
              closed={closed}
            />
          ))}
        </Box>
        {shown.length < may.length && (
          <Button sx={{ mt: 1 }} variant="outlined" color="inherit" onClick={() => setAll(true)}>
            Show all {may.length} that may be given
          </Button>
        )}
        {out.length > 0 && (
          <Box component="section" aria-label="Not for them now" sx={{ mt: 3, "@media print": { display: "none" } }}>
            <Typography variant="h3">Not for them now</Typography>
            {out.map(({ key, no }) => (
              <Typography key={key} sx={{ mt: 0.5, fontSize: 14.5 }}>
                {exerciseOf(key)!.name}:{" "}
                <Box component="span" sx={(t) => ({ color: t.tokens.amber })}>
                  {no}
                </Box>
              </Typography>
            ))}
          </Box>
        )}
        <Fine sx={{ mt: 2, "@media print": { display: "none" } }}>
          {exercises.length} exercises, common practice. Doses are a start; check against your local codes and training.
        </Fine>
      </WhenReady>
    </Box>
  );
}

type Offered = Omit<HomeCare, "exercise" | "serves"> & {
  key: string;
  serves: { name: string; because: string; share: number }[];
};

function Offer({
  offer,
  visitId,
  stored,
  last,
  closed,
}: {
  offer: Offered;
  visitId: string;
  stored: HomeBody | null;
  /** When it was given last, at an earlier visit. */
  last: { ordinal: number; body: HomeBody } | undefined;
  closed: boolean;
}) {
  const exercise = exerciseOf(offer.key)!;
  const kept = useKeeper<HomeBody>(stored, (body) => ({ visitId, exercise: offer.key, body }));
  const start = stored ?? (last ? { ...last.body, side: offer.side } : { ...exercise.dose, side: offer.side });
  const [typed, setTyped] = useState({ times: String(start.times), minutes: String(start.minutes), side: start.side });
  // what was refused is not given
  const value = kept.errors ? stored : kept.value;
  const asNumber = (text: string) => (text.trim() === "" ? (null as never) : Number(text) || (text as never));
  const body = (): HomeBody => ({ times: asNumber(typed.times), minutes: asNumber(typed.minutes), side: typed.side });
  const differs =
    value !== null &&
    (String(value.times) !== typed.times || String(value.minutes) !== typed.minutes || value.side !== typed.side);
  const sides = { L: typed.side !== "R", R: typed.side !== "L" };
  return (
    <Box
      component="li"
      sx={(t) => ({
        display: value || !closed ? "flex" : "none",
        gap: 2.5,
        flexWrap: "wrap",
        py: 1.75,
        borderTop: `1px solid ${t.tokens.line}`,
        "@media print": { display: value && !offer.no ? "flex" : "none" },
      })}
    >
      <ReachFigure technique={exercise.work} sides={sides} out={[]} height={150} />
      <Box sx={{ flex: 1, minWidth: 260 }}>
        <Typography variant="h3" component="h3">
          {exercise.name}
        </Typography>
        <Typography sx={{ mt: 0.5 }}>{exercise.what}</Typography>
        {value && (
          <Typography sx={{ mt: 0.5, fontWeight: 650 }}>
            {capitalised(homeDose(exercise, value, value.side))}. Stop when {exercise.stop}.
          </Typography>
        )}
        {offer.no && (
          <Typography sx={(t) => ({ color: t.tokens.amber, fontWeight: 650 })}>
            Not for them any more: {offer.no}. Take it back, and tell them.
          </Typography>
        )}
        {!value && <Fine>Stop when {exercise.stop}.</Fine>}
        <Box sx={{ "@media print": { display: "none" } }}>
          {offer.serves.length > 0 && (
            <Fine>
              Continues{" "}
              {offer.serves
                .map(
                  ({ name, share }) => `${name.charAt(0).toLowerCase()}${name.slice(1)} (${Math.round(100 * share)} %)`,
                )
                .join(", ")}
              : {offer.serves[0]!.because}
            </Fine>
          )}
          {last && (
            <Fine>
              Given at visit {last.ordinal}: {homeDose(exercise, last.body, last.body.side)}.
            </Fine>
          )}
          {kept.errors && (
            <Alert severity="error" sx={{ my: 1 }}>
              {Object.values(kept.errors).join(" ")}
            </Alert>
          )}
          <Overtaken
            by={kept}
            what="This exercise"
            words={(other) => (other ? homeDose(exercise, other, other.side) : "taken back")}
          />
        </Box>
      </Box>
      {!closed && (
        <Box
          component="form"
          aria-label={exercise.name}
          onSubmit={(event) => {
            event.preventDefault();
            kept.keep(body());
          }}
          sx={{
            display: "grid",
            gridTemplateColumns: exercise.sided ? "84px 84px 110px" : "84px 84px",
            gap: 1,
            alignContent: "start",
            "@media print": { display: "none" },
          }}
        >
          <TextField
            size="small"
            label="Times"
            value={typed.times}
            onChange={(event) => setTyped({ ...typed, times: event.target.value })}
          />
          <TextField
            size="small"
            label="Minutes"
            value={typed.minutes}
            onChange={(event) => setTyped({ ...typed, minutes: event.target.value })}
          />
          {exercise.sided && (
            <TextField
              select
              size="small"
              label="Side"
              value={typed.side ?? "both"}
              onChange={(event) =>
                setTyped({ ...typed, side: event.target.value === "both" ? null : (event.target.value as Side) })
              }
              slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
            >
              {offer.sides.L && offer.sides.R && <option value="both">each</option>}
              {offer.sides.L && <option value="L">left</option>}
              {offer.sides.R && <option value="R">right</option>}
            </TextField>
          )}
          <Box sx={{ gridColumn: "1 / -1", display: "flex", gap: 1 }}>
            {!offer.no && (!value || differs) && (
              <Button type="submit" variant={value ? "outlined" : "contained"} disabled={kept.busy}>
                {value ? "Change" : "Give"}
              </Button>
            )}
            {value && (
              <Button color="inherit" variant="outlined" disabled={kept.busy} onClick={() => kept.keep(null as never)}>
                Take back
              </Button>
            )}
          </Box>
        </Box>
      )}
    </Box>
  );
}
