import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import { useState } from "react";
import { data, Link, useFetcher, useLocation } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import { handsOfOthers } from "~app/server/client/plan-input.server";
import type { Route } from "./+types/reading";
import { patternOf } from "~core/reading/patterns";
import { leastForWork, type Choice } from "~core/reading/pattern-targets";
import type { BodyReading } from "~core/reading/reading";
import { capitalised } from "~core/words";
import { stepsByTarget } from "~core/series/explain";
import { readingOf } from "~app/server/client/reading.server";
import { planInputOf } from "~app/server/client/plan-input.server";
import { judgedOf } from "~app/server/client/screening.server";
import { keeping } from "~app/server/request/session.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { Empty } from "~app/ui/page";
import { validate, type FieldErrors } from "~app/validation";
import { deserialised } from "~app/serialised";
import { choicesOf, saveChoice } from "~data/choices";
import { getClient } from "~data/clients";
import { seriesOf } from "~data/series";
import { listVisits } from "~data/visits";
import { choiceSchema } from "./choice-form";
import { SuggestionRow } from "./suggestion-row";
import { Targets } from "./targets";

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(
    asked,
    "reading",
    async ({ tx, practitioner }) => {
      const client = await getClient(tx, asked.params.clientId);
      const visits = await listVisits(tx, client.id);
      const reading = await readingOf(tx, client, visits);
      const { evidence, body, choices, working, targets } = reading;
      const series = await seriesOf(tx, client.id);
      const input =
        series?.plan &&
        (await planInputOf(
          tx,
          client,
          series,
          series.template,
          series.settings,
          await judgedOf(tx, client, practitioner),
          reading,
        ));
      return {
        clientId: client.id,
        found: evidence.length,
        // a pattern's shares of its signs are for reckoning, not for the page
        suggestions: body.suggestions.map(({ pattern: { id, name, means, order, holds }, ...rest }) => ({
          ...rest,
          pattern: { id, name, means, order, holds },
        })),
        unexplained: body.unexplained,
        tied: body.tied,
        next: reading.next().slice(0, 4),
        choices,
        working: [...working],
        targets,
        /** Where the plan in force works for each target. */
        planned: input && series.plan ? stepsByTarget(input, series.plan.sessions) : undefined,
      };
    },
    handsOfOthers,
  );
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** More decisions about one client than anyone makes. */
const mostChoices = 300;

export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, body }) => {
    const { value, errors } = await validate(choiceSchema, body.fields);
    if (errors) return data({ errors }, { status: 400 });
    const client = await getClient(tx, params.clientId);
    const known = await choicesOf(tx, client.id);
    if (known.length >= mostChoices && !known.some(({ key }) => key === value.key))
      return data({ errors: { key: `Decisions: at most ${mostChoices} about one client.` } }, { status: 400 });
    await saveChoice(tx, client.id, value.key, value.body ?? null, value.was as Choice["body"] | null | undefined);
    return { ok: true };
  });
}

/** What the reading amounts to, as a careful colleague would say it. */
function headline(
  {
    suggestions,
    tied,
  }: Pick<BodyReading, "tied"> & {
    suggestions: readonly Pick<BodyReading["suggestions"][number], "support">[] &
      readonly { pattern: { name: string } }[];
  },
  found: number,
): string {
  const [first, second] = suggestions;
  if (found === 0) return "Nothing was found yet";
  if (!first) return "No pattern explains what was found";
  if (tied && second) return `Two readings tie: ${first.pattern.name}, or ${second.pattern.name}`;
  if (first.support >= leastForWork) return `It suggests: ${first.pattern.name}`;
  return first.support >= 0.3 ? `Nothing is clear yet; most likely ${first.pattern.name}` : "Nothing is clear yet";
}

export default function Reading({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { clientId, found, suggestions, unexplained, next, choices, working, targets, planned } = loaderData;
  const fetcher = useFetcher<{ errors?: FieldErrors; overtaken?: unknown }>();
  const busy = fetcher.state !== "idle";
  const decide = (key: string, body: Choice["body"] | null) => {
    const was = choices.find((choice) => choice.key === key)?.body ?? null;
    void fetcher.submit({ key, body, was } as never, { method: "post", encType: "application/json" });
  };
  const { hash } = useLocation();
  const asked = decodeURIComponent(hash.slice(1));
  const [open, setOpen] = useState<string | undefined>(
    suggestions.some(({ pattern }) => pattern.id === asked) ? asked : suggestions[0]?.pattern.id,
  );
  const out = choices.filter(({ body }) => body.kind === "pattern" && body.as === "out");
  const taken = new Set(
    choices.flatMap(({ key, body }) => (body.kind === "pattern" && body.as === "taken" ? [key] : [])),
  );
  const problem = Object.values(fetcher.data?.errors ?? {})[0];
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 352px" } }}>
      <Box sx={{ p: { xs: 2, sm: 3 }, pt: 2, minWidth: 0 }}>
        <Typography variant="h2">{headline(loaderData, found)}</Typography>
        <Fine sx={{ mb: 1.5, maxWidth: 720 }}>
          What explains the findings together, by estimates of the trade: it suggests, it diagnoses nothing. The line is
          what the estimates leave open. What was not looked at speaks neither way.
        </Fine>
        {(problem ?? fetcher.data?.overtaken !== undefined) && (
          <Typography role="alert" sx={(t) => ({ color: t.tokens.clay, mb: 1 })}>
            {problem ?? "That was decided otherwise in another tab meanwhile. What stands now is shown; decide again."}
          </Typography>
        )}
        {suggestions.length === 0 ? (
          <Empty title={found === 0 ? "Look first" : "It fits no pattern"}>
            {found === 0
              ? "Stand, Table, Move and Touch say what there is; what the client told counts, too. The check that would tell most comes first of those to look at next."
              : "What was found is worked by its own targets below. A pattern shows once its signs come together."}
          </Empty>
        ) : (
          <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
            {suggestions.map((suggestion) => (
              <SuggestionRow
                key={suggestion.pattern.id}
                suggestion={suggestion}
                open={open === suggestion.pattern.id}
                toggle={() => setOpen(open === suggestion.pattern.id ? undefined : suggestion.pattern.id)}
                working={working.includes(suggestion.pattern.id)}
                taken={taken.has(suggestion.pattern.id)}
                decide={(as) => decide(suggestion.pattern.id, as && { kind: "pattern", as })}
                busy={busy}
              />
            ))}
          </Box>
        )}
        <Targets
          clientId={clientId}
          targets={targets}
          planned={planned}
          decide={decide}
          own={new Set(choices.flatMap(({ key, body }) => (body.kind === "own" ? [key] : [])))}
          busy={busy}
        />
      </Box>
      <Box
        component="aside"
        aria-label="What to look at next"
        sx={(t) => ({
          bgcolor: "background.paper",
          borderLeft: { lg: `1px solid ${t.tokens.line}` },
          borderTop: { xs: `1px solid ${t.tokens.line}`, lg: "none" },
          p: 2.5,
        })}
      >
        <Typography variant="h3">What to look at next</Typography>
        {next.length === 0 ? (
          <Typography sx={{ mt: 0.5 }}>
            Nothing more is worth its minutes: no single check would settle much.
          </Typography>
        ) : (
          <>
            <Fine>The checks that would settle most for their minutes, whatever they answer.</Fine>
            <Box component="ul" sx={{ listStyle: "none", p: 0, mt: 1, mb: 0 }}>
              {next.map((check, i) => (
                <Box component="li" key={check.key} sx={{ mb: 1 }}>
                  <Button
                    component={Link}
                    to={`/clients/${clientId}/${check.page}`}
                    variant={i === 0 ? "contained" : "outlined"}
                    color={i === 0 ? "primary" : "inherit"}
                    sx={{ width: "100%", justifyContent: "space-between", textAlign: "left" }}
                  >
                    <span>{check.name}?</span>
                    <Box component="span" sx={{ fontWeight: 450, whiteSpace: "nowrap", ml: 1 }}>
                      {capitalised(check.page.split("/").at(-1)!)},{" "}
                      {check.minutes < 1 ? `${Math.round(60 * check.minutes)} s` : `${check.minutes} min`}
                    </Box>
                  </Button>
                </Box>
              ))}
            </Box>
          </>
        )}
        {unexplained.length > 0 && (
          <Box component="section" aria-label="Fits nothing" sx={{ mt: 2.5 }}>
            <Typography variant="h3">Fits nothing</Typography>
            <Fine>Found, and explained by none of these:</Fine>
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {unexplained.map(({ sign, name, words }) => (
                <li key={sign}>
                  {name} <Fine component="span">({words})</Fine>
                </li>
              ))}
            </Box>
          </Box>
        )}
        {out.length > 0 && (
          <Box component="section" aria-label="Ruled out" sx={{ mt: 2.5 }}>
            <Typography variant="h3">Ruled out by you</Typography>
            {out.map(({ key }) => (
              <Box key={key} sx={{ display: "flex", alignItems: "center", gap: 1 }}>
                <Typography sx={{ flex: 1 }}>{patternOf(key)?.name ?? key}</Typography>
                <Button size="small" color="inherit" disabled={busy} onClick={() => decide(key, null)}>
                  Take it back
                </Button>
              </Box>
            ))}
          </Box>
        )}
        <Fine sx={{ mt: 2.5 }}>
          Numbness, weakness or pain that grows, at night or after a fall belongs to a doctor first:{" "}
          <MuiLink component={Link} underline="always" to={`/clients/${clientId}/intake/screening`}>
            screening
          </MuiLink>
          .
        </Fine>
      </Box>
    </Box>
  );
}
