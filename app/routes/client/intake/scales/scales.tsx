import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { data, useFetcher } from "react-router";
import { number, object, string } from "yup";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/scales";
import {
  changeOf,
  meanActivityChange,
  mostActivities,
  published,
  trendOf,
  type OwnChange,
  type OwnMeasure,
} from "~core/own-measures/own-measures";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import { keeping } from "~app/server/request/session.server";
import { validate, versionOf, type FieldErrors } from "~app/validation";
import { getClient } from "~data/clients";
import { addOwnMeasure, ownMeasuresOf, retireOwnMeasure, saveOwnScore, saveOwnWords } from "~data/own-measures";
import { Trend } from "./trend";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { WhenReady } from "~app/ui/when-ready";
import { deserialised } from "~app/serialised";
import { counted } from "~core/words";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "scales", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    return { visit, visits: visits.length, ...(await ownMeasuresOf(tx, client.id)) };
  });
}

const kindName = { activity: "Activity", pain: "Pain" } as const;
const measureSchema = object({
  id: string().uuid().required(),
  kind: string<"activity" | "pain">().oneOf(["activity", "pain"]).required(),
  name: string().trim().required("Name: type what it is, in their words.").max(120, "Name: at most 120 characters."),
});
const scoreSchema = object({
  id: string().uuid().required(),
  score: number()
    .typeError("Score: type a number from 0 to 10.")
    .integer("Score: whole numbers only, got ${value}.")
    .min(0, "Score: at least 0, got ${value}.")
    .max(10, "Score: at most 10, got ${value}.")
    .required("Score: choose a number from 0 to 10."),
  /** What was shown when this was chosen; null: nothing yet. */
  was: number().nullable().default(undefined),
});
const mostWords = 4000;
const wordsSchema = object({
  words: string().trim().default("").max(mostWords, `In their words: at most ${mostWords} characters.`),
  was: string().optional(),
});

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, body: { fields: body } }) => {
    const client = await getClient(tx, params.clientId);
    if (body.intent === "add") {
      const { value, errors } = await validate(measureSchema, body);
      if (errors) return data({ errors }, { status: 400 });
      const { measures } = await ownMeasuresOf(tx, client.id);
      const active = measures.filter((each) => each.kind === "activity" && !each.retired && each.id !== value.id);
      if (value.kind === "activity" && active.length >= mostActivities)
        return data(
          { errors: { name: `Activities: at most ${mostActivities} at a time. Retire one first.` } },
          { status: 400 },
        );
      await addOwnMeasure(tx, client.id, value);
      return { ok: true };
    }
    if (body.intent === "retire") {
      await retireOwnMeasure(tx, client.id, String(body.id), body.retired === true, versionOf(body));
      return { ok: true };
    }
    const visit = await ownVisit(tx, client.id, body.visitId);
    if (body.intent === "words") {
      const { value, errors } = await validate(wordsSchema, body);
      if (errors) return data({ errors }, { status: 400 });
      await saveOwnWords(tx, visit.id, value.words, value.was);
      return { ok: true };
    }
    const { value, errors } = await validate(scoreSchema, body);
    if (errors) return data({ errors }, { status: 400 });
    await saveOwnScore(tx, client.id, value.id, visit.id, value.score, value.was);
    return { ok: true };
  });
}

const verdictText = (change: OwnChange, kind: OwnMeasure["kind"]) =>
  change.verdict === "cannot be told"
    ? `Cannot be told: ${signed(change.difference)} is less than the ${pointsOf(change.needed)} that count${kind === "pain" ? " (2, and 30%)" : ""}.`
    : `Clearly ${change.way}: ${signed(change.difference)} points since the first visit; ${pointsOf(change.needed)} count.`;
const pointsOf = (needed: number) => `${Math.round(needed * 10) / 10} points`;
const signed = (value: number) => `${value > 0 ? "+" : value < 0 ? "−" : "±"}${Math.round(Math.abs(value) * 10) / 10}`;

export default function Scales({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { visit, visits, measures, scores, words } = loaderData;
  const active = measures.filter((measure) => !measure.retired);
  const retired = measures.filter((measure) => measure.retired);
  const mean = meanActivityChange(active, scores);
  const spoken = words.find((each) => each.visit === visit.ordinal)?.words ?? "";
  return (
    <Box sx={{ p: { xs: 2, sm: 3 }, pt: 2, maxWidth: 1120 }}>
      <Typography variant="h2">How it is for them, visit {visit.ordinal}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5 }}>
        Activities: 0 cannot, 10 as before. Pain: 0 none, 10 the worst. Asked at every visit, before the work.
      </Typography>
      {active.map((measure) => (
        <Measure
          key={measure.id}
          measure={measure}
          trend={trendOf(scores, measure.id)}
          change={changeOf(measure, scores)}
          now={scores.find((each) => each.measureId === measure.id && each.visit === visit.ordinal)?.score}
          visit={visit}
          visits={visits}
        />
      ))}
      {mean && <Typography sx={{ mt: 1 }}>Mean of the activities: {verdictText(mean, "activity")}</Typography>}
      <AddMeasure full={active.filter((each) => each.kind === "activity").length >= mostActivities} />
      <Words key={visit.id} visitId={visit.id} stored={spoken} />
      {words.filter((each) => each.visit !== visit.ordinal && each.words).length > 0 && (
        <Box sx={{ mt: 2 }}>
          {words
            .filter((each) => each.visit !== visit.ordinal && each.words)
            .map((each) => (
              <Typography key={each.visit} sx={{ fontSize: 14.5, color: "text.secondary" }}>
                Visit {each.visit}: “{each.words}”
              </Typography>
            ))}
        </Box>
      )}
      {retired.length > 0 && (
        <Box component="details" sx={{ mt: 2 }}>
          <Box component="summary" sx={{ cursor: "pointer", color: "text.secondary" }}>
            {retired.length} no longer asked
          </Box>
          {retired.map((measure) => (
            <Retired key={measure.id} measure={measure} />
          ))}
        </Box>
      )}
      <Typography sx={{ mt: 3, fontSize: 13.5, color: "text.secondary", maxWidth: 760 }}>
        What counts as change: {published.oneActivity} points for one activity, {published.meanActivity} for their mean
        (Stratford et al., Physiotherapy Canada 47, 1995); {published.painPoints} points or {published.painShare * 100}{" "}
        % of pain (Farrar et al., Pain 94, 2001). Both from memory.
      </Typography>
    </Box>
  );
}

function Measure({
  measure,
  trend,
  change,
  now: stored,
  visit,
  visits,
}: {
  measure: OwnMeasure & { version: number };
  trend: ReturnType<typeof trendOf>;
  change: OwnChange | undefined;
  now: number | undefined;
  visit: { id: string; status: string };
  visits: number;
}) {
  const fetcher = useFetcher();
  const kept = useKeeper<number>(stored ?? null, (score) => ({
    intent: "score",
    id: measure.id,
    visitId: visit.id,
    score,
  }));
  const now = kept.value;
  return (
    <Box
      sx={(t) => ({
        borderTop: `1px solid ${t.tokens.line}`,
        py: 1,
        display: "grid",
        gridTemplateColumns: { xs: "1fr", md: "minmax(0,1fr) 440px 230px auto" },
        gap: 2,
        alignItems: "center",
      })}
    >
      <Box>
        <Typography sx={{ fontWeight: 600 }}>{measure.name}</Typography>
        <Typography
          sx={(t) => ({
            fontSize: 14,
            color:
              change?.way === "better" ? t.tokens.moss : change?.way === "worse" ? t.tokens.clay : t.tokens.inkSoft,
          })}
        >
          {change
            ? verdictText(change, measure.kind)
            : `${kindName[measure.kind]}, asked at ${counted(trend.length, "visit")}`}
        </Typography>
      </Box>
      <Box role="group" aria-label={`${measure.name}, 0 to 10`} sx={{ display: "flex", gap: "3px" }}>
        {Array.from({ length: 11 }, (_, score) => (
          <Box
            component="button"
            type="button"
            key={score}
            aria-pressed={now === score}
            onClick={() => kept.keep(score)}
            sx={(t) => ({
              all: "unset",
              cursor: "pointer",
              flex: 1,
              textAlign: "center",
              py: 0.9,
              borderRadius: "5px",
              border: `1px solid ${now === score ? t.tokens.ember : t.tokens.line}`,
              bgcolor: now === score ? t.tokens.emberWash : "background.paper",
              fontWeight: now === score ? 750 : 450,
              "&:focus-visible": { outline: `2px solid ${t.tokens.ember}` },
            })}
          >
            {score}
          </Box>
        ))}
      </Box>
      <Trend scores={trend} visits={visits} label={measure.name} />
      <Button
        size="small"
        color="inherit"
        onClick={() =>
          void fetcher.submit(
            { intent: "retire", id: measure.id, retired: true, version: measure.version },
            { method: "post", encType: "application/json" },
          )
        }
      >
        Retire
      </Button>
      <Overtaken by={kept} what={measure.name} words={(score) => (score === null ? "no score" : String(score))} />
    </Box>
  );
}

function Retired({ measure }: { measure: OwnMeasure & { version: number } }) {
  const fetcher = useFetcher();
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Typography>{measure.name}</Typography>
      <Button
        size="small"
        color="inherit"
        onClick={() =>
          void fetcher.submit(
            { intent: "retire", id: measure.id, retired: false, version: measure.version },
            { method: "post", encType: "application/json" },
          )
        }
      >
        Ask again
      </Button>
    </Box>
  );
}

function AddMeasure({ full }: { full: boolean }) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const [id, setId] = useState(() => crypto.randomUUID());
  const [name, setName] = useState("");
  const [cleared, setCleared] = useState<unknown>();
  if (fetcher.data?.ok && fetcher.data !== cleared) {
    setCleared(fetcher.data);
    setName("");
    setId(crypto.randomUUID());
  }
  const add = (kind: "activity" | "pain") =>
    void fetcher.submit({ intent: "add", id, kind, name }, { method: "post", encType: "application/json" });
  return (
    <Box
      component="form"
      aria-label="New scale"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        add(full ? "pain" : "activity");
      }}
      sx={(t) => ({
        display: "flex",
        gap: 1.5,
        alignItems: "start",
        mt: 1,
        pt: 2,
        borderTop: `1px solid ${t.tokens.line}`,
        flexWrap: "wrap",
      })}
    >
      <WhenReady>
        <TextField
          label="What they want to do again, or where it hurts"
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={Boolean(fetcher.data?.errors)}
          helperText={fetcher.data?.errors ? Object.values(fetcher.data.errors).join(" ") : " "}
          sx={{ width: { xs: "100%", sm: 420 } }}
        />
        <Button type="submit" variant="outlined" disabled={!name.trim() || full}>
          Add as activity
        </Button>
        <Button variant="outlined" disabled={!name.trim()} onClick={() => add("pain")}>
          Add as pain
        </Button>
      </WhenReady>
    </Box>
  );
}

function Words({ visitId, stored }: { visitId: string; stored: string }) {
  const kept = useKeeper<string>(stored, (text) => ({ intent: "words", visitId, words: text }));
  const [words, setWords] = useState(stored);
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        kept.keep(words);
      }}
      sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) auto", gap: 1.5, alignItems: "start", mt: 2 }}
    >
      <WhenReady>
        <TextField
          label="In their own words"
          multiline
          minRows={2}
          value={words}
          onChange={(event) => setWords(event.target.value)}
          error={Boolean(kept.errors) || words.length > mostWords}
          helperText={
            kept.errors?.words ??
            (words.length > mostWords
              ? `In their words: at most ${mostWords} characters, got ${words.length}.`
              : kept.saved && words === stored
                ? "Saved"
                : " ")
          }
        />
        <Button
          type="submit"
          variant="outlined"
          disabled={kept.busy || words === stored || words.length > mostWords || kept.overtaken !== undefined}
        >
          Keep
        </Button>
        <Overtaken
          by={{ ...kept, yield: () => (setWords(String(kept.overtaken?.theirs ?? "")), kept.yield()) }}
          what="What they said"
          words={(text) => (text ? `“${text}”` : "nothing")}
        />
      </WhenReady>
    </Box>
  );
}
