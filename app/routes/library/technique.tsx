import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import { data, Form, Link, redirect, useFetcher } from "react-router";
import type { Route } from "./+types/technique";
import { isFixed } from "~core/series/arc-session";
import { stemFrom } from "~core/shelf";
import { faultsOf, hintsOf } from "~core/techniques/check";
import { areasThatFollow, tagsThatFollow } from "~core/techniques/follows";
import { definitionOf, techniqueFrom, type Definition } from "~core/techniques/definition";
import { libraryInUse, startingVersion, techniqueOf } from "~core/techniques/library";
import { differencesOf } from "~core/techniques/merge";
import { faultsOfTyped } from "~core/techniques/read-file";
import type { Technique } from "~core/techniques/technique";
import { decide } from "~app/server/request/library.server";
import { inSession } from "~app/server/request/session.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { Page } from "~app/ui/page";
import { WhenReady } from "~app/ui/when-ready";
import { versionOf } from "~app/validation";
import { Stale } from "~data/errors";
import { Card } from "./card";
import { TechniqueFields } from "./technique-form";
import { NotKept, Versions } from "./versions";
import { historyIn, standingIn, decideUse } from "./versions.server";
import { blank, definitionTyped, typedOf, type Typed } from "./typed";

export const meta: Route.MetaFunction = () => [{ title: "Technique · Ember Path" }];

export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const { stem } = params;
    if (stem === undefined) return { stem: null, number: 0, retired: false, fixed: false, key: null, history: [] };
    const library = libraryInUse();
    const { item, retired, number } = standingIn(library, stem);
    const words = (from: Technique, to: Technique) =>
      differencesOf(from, to).map(({ field, from: was, to: is }) => `${field}: ${was} → ${is}`);
    return {
      stem,
      number,
      retired,
      fixed: isFixed(stem),
      key: item.key,
      history: await historyIn(tx, "technique", library, stem, words),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Adds a version: a new technique, another form of it, out of use, in use again, or as it was in the starting catalogue. */
export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const sent = body.fields;
    const { stem } = params;
    const seen = { number: versionOf({ version: sent.number }) };
    try {
      if (stem === undefined || sent.intent === "save") {
        const typed = sent.definition as Definition;
        const faults = faultsOfTyped(typed);
        if (faults.length > 0)
          return data(
            { errors: Object.fromEntries(faults.map(({ field, message }) => [field, message]).reverse()) },
            { status: 400 },
          );
        const own = stem ?? stemFrom(libraryInUse(), typed.name);
        const definition = { ...typed, key: own };
        const made = techniqueFrom(definition);
        const namesake = libraryInUse().offered.find(
          (other) => other.stem !== own && other.name.toLowerCase() === made.name.toLowerCase(),
        );
        // sent twice, it is one technique
        if (stem === undefined && namesake && differencesOf(namesake, made).length === 0)
          return redirect(`/library?open=${namesake.key}`);
        if (namesake)
          return data({ errors: { name: `Name: “${made.name}” is another technique’s already.` } }, { status: 400 });
        const now = stem === undefined ? undefined : standingIn(libraryInUse(), stem);
        if (now && (isFixed(own) || now.retired)) return data({ stale: true }, { status: 409 });
        if (!now || differencesOf(now.item, made).length > 0)
          await decide(
            tx,
            "technique",
            [{ stem: own, definition }],
            stem === undefined ? { number: 0 } : seen,
            practitioner.name,
          );
        return redirect(`/library?open=${libraryInUse().current(own)!.key}`);
      }
      if (isFixed(stem)) return data({ stale: true }, { status: 409 });
      const library = libraryInUse();
      const done = await decideUse(tx, "technique", library, stem, sent.intent, definitionOf, seen, practitioner.name);
      if (done) return done;
      throw new Response("Bad request", { status: 400 });
    } catch (error) {
      if (error instanceof Stale) return data({ stale: true }, { status: 409 });
      throw error;
    }
  });
}

export default function TechniquePage({ loaderData, params }: Route.ComponentProps) {
  const { stem, key, retired, fixed, number, history } = loaderData;
  return (
    <Page
      title={stem === null ? "New technique" : techniqueOf(key!).name}
      note={
        stem === null
          ? "Yours alone: planned, run and reported like any other."
          : fixed
            ? "A part of the light-touch arc or of every session: it is what it is, and is not changed by itself."
            : "A change is a new version. Plans and logs that were made keep the one they were made with."
      }
      actions={
        <Button component={Link} to="/library" variant="outlined" color="inherit">
          Back to the library
        </Button>
      }
    >
      <WhenReady>
        {fixed ? (
          <Card technique={techniqueOf(key!)} no={undefined} />
        ) : (
          <Editor
            // another version, another form
            key={`${params.stem} ${number}`}
            technique={key === null ? undefined : techniqueOf(key)}
            number={number}
            retired={retired}
          />
        )}
      </WhenReady>
      <Versions history={history} started={stem !== null && startingVersion(stem) !== undefined} />
    </Page>
  );
}

/** What is typed so far, as a technique, where it can be one: what it reaches, needs and prepares is seen while typing. */
function seenAs(typed: Typed): { definition: Definition; technique: Technique } | undefined {
  const definition = definitionTyped(typed);
  const { minutes, reach } = definition;
  const numbers = [minutes.ideal, minutes.least, ...reach.map(({ share }) => share)];
  if (numbers.some((value) => typeof value !== "number")) return undefined;
  if (faultsOf(definition).some(({ field }) => field.startsWith("reach["))) return undefined;
  return { definition, technique: techniqueFrom(definition, "as-typed") };
}

function Editor({
  technique,
  number,
  retired,
}: {
  technique: Technique | undefined;
  number: number;
  retired: boolean;
}) {
  const [typed, setTyped] = useState<Typed>(technique ? typedOf(technique) : blank);
  const saver = useFetcher<{ errors?: Record<string, string>; stale?: boolean }>();
  const set = (change: Partial<Typed>) => setTyped((before) => ({ ...before, ...change, ...pressureOf(change) }));
  const errors = saver.data?.errors ?? {};
  const seen = useMemo(() => seenAs(typed), [typed]);
  const hints = useMemo(() => (seen ? hintsOf(seen.definition) : []), [seen]);
  const follows = useMemo(
    () => ({
      tags: seen ? tagsThatFollow(seen.technique) : [],
      areas: seen ? areasThatFollow(seen.technique) : [],
    }),
    [seen],
  );
  const own = technique !== undefined && technique.key !== technique.stem;
  const busy = saver.state !== "idle";
  const act = (intent: string) =>
    void saver.submit({ intent, number } as never, { method: "post", encType: "application/json" });
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "minmax(0, 720px) minmax(320px, 1fr)" }, gap: 4 }}
    >
      <Form
        noValidate
        aria-label="Technique"
        onSubmit={(event) => {
          event.preventDefault();
          void saver.submit({ intent: "save", number, definition: definitionTyped(typed) } as never, {
            method: "post",
            encType: "application/json",
          });
        }}
      >
        <NotKept answer={saver.data} shown={shownFields} />
        {retired ? (
          <Alert severity="info" sx={{ mb: 2 }}>
            Retired: nothing new is planned with it. Take it back to change it.
          </Alert>
        ) : (
          <TechniqueFields typed={typed} set={set} errors={errors} hints={hints} follows={follows} />
        )}
        <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
          {!retired && (
            <Button type="submit" variant="contained" disabled={busy}>
              {technique ? "Save as a new version" : "Save technique"}
            </Button>
          )}
          {technique && (
            <Button
              variant="outlined"
              color="inherit"
              disabled={busy}
              onClick={() => act(retired ? "take-back" : "retire")}
            >
              {retired ? "Take back" : "Retire"}
            </Button>
          )}
          {own && !retired && startingVersion(technique.stem) && (
            <Button variant="outlined" color="inherit" disabled={busy} onClick={() => act("as-started")}>
              As in the starting catalogue
            </Button>
          )}
        </Box>
      </Form>
      <Box
        component="section"
        aria-label="What it makes"
        sx={{ position: { lg: "sticky" }, top: 16, alignSelf: "start" }}
      >
        <Typography variant="h2">What it makes</Typography>
        {seen ? (
          <Card technique={seen.technique} no={undefined} />
        ) : (
          <Fine sx={{ mt: 1 }}>Seen as soon as minutes, shares and structures are right.</Fine>
        )}
      </Box>
    </Box>
  );
}

/** A select gives text. */
const pressureOf = (change: Partial<Typed>) =>
  change.pressure === undefined ? {} : { pressure: Number(change.pressure) };

const shownFields =
  /^(name|what|phase|intent|layer|medium|positions|minutes(\.(ideal|least))?|hold(\.(least|most))?|pressure|effort|reach(\[\d+\]\.\w+)?|tools|stopWhen|joints|consent)$/;
