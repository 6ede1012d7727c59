import Button from "@mui/material/Button";
import { useCallback } from "react";
import { data, Link, useFetcher, useSearchParams } from "react-router";
import { mixed, number, object, string } from "yup";
import type { Route } from "./+types/trainer";
import { progressOf } from "~core/trainer/progress";
import { z95 } from "~core/units";
import { addressOf } from "~app/server/request/address.server";
import { inSession } from "~app/server/request/session.server";
import { validate } from "~app/validation";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { HandSide } from "~app/ui/hand-side";
import { useNotify } from "~app/ui/notices";
import { Page } from "~app/ui/page";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { deleteRound, keepRound, roundsOf } from "~data/trainer";
import { Force } from "./force";
import { kindNames, kinds, scoreWords, units, type Kind, type Keep } from "./kinds";
import { Listening } from "./listening";
import { Order } from "./order";
import { RhythmDrill } from "./rhythm-drill";
import { Rounds } from "./rounds";

export const meta: Route.MetaFunction = () => [{ title: "Trainer · Ember Path" }];

const kindOf = (search: string | null): Kind => kinds.find((kind) => kind === search) ?? "force";

export function loader({ request, context }: Route.LoaderArgs) {
  const kind = kindOf(addressOf(request).text("of") ?? null);
  return inSession(context, async ({ tx, practitioner }) => ({
    kind,
    rounds: await roundsOf(tx, practitioner.id, kind),
  }));
}

const schema = object({
  id: string().uuid().required(),
  kind: string<Kind>().oneOf(kinds, "Round: “${value}” is no kind of it.").required(),
  score: number().min(0, "Score: at least 0, got ${value}.").lessThan(1e6, "Score: got ${value}.").required(),
  body: mixed<Record<string, string | number | boolean>>()
    .test(
      "flat",
      "Round: figures and words only.",
      (body) =>
        typeof body === "object" &&
        body !== null &&
        Object.keys(body).length <= 20 &&
        Object.values(body).every(
          (value) =>
            typeof value === "boolean" ||
            (typeof value === "number" && Number.isFinite(value)) ||
            (typeof value === "string" && value.length < 60),
        ),
    )
    .required(),
});

export function action({ context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body: { fields } }) => {
    if (fields.intent === "delete") {
      if (!string().uuid().isValidSync(fields.id))
        return data({ error: "Round: its id is not valid." }, { status: 400 });
      await deleteRound(tx, practitioner.id, String(fields.id));
      return { error: undefined };
    }
    const { value, errors } = await validate(schema, fields);
    if (errors) return data({ error: Object.values(errors)[0] }, { status: 400 });
    await keepRound(tx, practitioner.id, value);
    return { error: undefined };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Practice for the hands, with figures: a force held, a rhythm told, the arc put in order, two hands told apart. */
export default function Trainer({ loaderData: { kind, rounds } }: Route.ComponentProps) {
  const [, setSearch] = useSearchParams();
  const fetcher = useFetcher<typeof action>();
  const notify = useNotify();
  const { submit } = fetcher;
  const keep: Keep = useCallback(
    (score, body) =>
      void submit(
        { id: crypto.randomUUID(), kind, score, body: body as Record<string, string | number | boolean> },
        { method: "post", encType: "application/json" },
      ),
    [kind, submit],
  );
  const progress = progressOf(rounds.map(({ score }) => score));
  return (
    <Page
      title="Trainer"
      note="Practice for the hands. Figures are yours alone; nothing of a client is in them."
      actions={
        <Button component={Link} to="/practice" variant="outlined">
          Practice
        </Button>
      }
    >
      <HandSide>
        <ToggleButtonGroup
          exclusive
          value={kind}
          onChange={(_, next: Kind | null) => next && setSearch({ of: next })}
          aria-label="What is practised"
          sx={{ mb: 2, flexWrap: "wrap" }}
        >
          {kinds.map((each) => (
            <ToggleButton key={each} value={each} sx={{ px: 2 }}>
              {kindNames[each]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {fetcher.data?.error && (
          <Typography role="alert" sx={(t) => ({ color: t.tokens.clay, mb: 1 })}>
            {fetcher.data.error}
          </Typography>
        )}
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", lg: "minmax(0, 1fr) 340px" }, gap: 4 }}>
          <Box sx={{ minWidth: 0 }}>
            {kind === "force" && <Force keep={keep} />}
            {kind === "rhythm" && <RhythmDrill keep={keep} />}
            {kind === "order" && <Order keep={keep} />}
            {kind === "listening" && <Listening keep={keep} />}
          </Box>
          <Box component="section" aria-label="Rounds so far">
            <Typography variant="h2">Rounds so far</Typography>
            <Rounds scores={rounds.map(({ score }) => score)} unit={units[kind]} />
            <Typography sx={{ mb: 1 }}>
              {progress === undefined
                ? `Whether practice still shows is told from ten rounds on: ${rounds.length} so far.`
                : progress.still === "no more"
                  ? `The last five rounds and the five before them cannot be told apart (${signed(progress.difference)} ±${progress.band.toFixed(2)}${units[kind]}): more of this practice does not show now.`
                  : `The last five rounds are ${progress.still} than the five before them: ${signed(progress.difference)} ±${progress.band.toFixed(2)}${units[kind]}.`}
            </Typography>
            <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
              {[...rounds]
                .reverse()
                .slice(0, 8)
                .map((round) => (
                  <Box
                    component="li"
                    key={round.id}
                    sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 0.5, display: "flex", gap: 1 })}
                  >
                    <Typography sx={{ flex: 1 }}>{scoreWords(kind, round)}</Typography>
                    <Button
                      size="small"
                      color="inherit"
                      sx={{ color: "text.secondary" }}
                      aria-label={`Take back the round of ${round.at.slice(0, 10)}`}
                      onClick={() => {
                        void submit(
                          { intent: "delete", id: round.id },
                          { method: "post", encType: "application/json" },
                        );
                        notify("The round is taken back.", { undo: () => keep(round.score, round.body) });
                      }}
                    >
                      Take back
                    </Button>
                  </Box>
                ))}
            </Box>
            <Fine sx={{ mt: 1 }}>Bands are 95 % (±{z95.toFixed(2)} standard errors).</Fine>
          </Box>
        </Box>
      </HandSide>
    </Page>
  );
}

const signed = (value: number) => `${value < 0 ? "−" : "+"}${Math.abs(value).toFixed(2)}`;
