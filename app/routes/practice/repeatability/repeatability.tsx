import Button from "@mui/material/Button";
import { format } from "date-fns";
import { data, Link, redirect, useFetcher } from "react-router";
import { array, number, object, string } from "yup";
import type { Route } from "./+types/repeatability";
import type { LandmarkKey } from "~core/anatomy/landmarks";
import { furtherPairs, spreadInterval } from "~core/statistics/within";
import { gradedTruths, layOrder, toldFrom } from "~core/repeatability/lay-figures";
import { blindOrder } from "~core/repeatability/study";
import { seeded, seedOf } from "~core/random";
import { studied } from "~app/server/client/own-figures.server";
import { lookedBy } from "~app/server/client/looks.server";
import { inSession } from "~app/server/request/session.server";
import { validate } from "~app/validation";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Page } from "~app/ui/page";
import { useNotify } from "~app/ui/notices";
import { beginStudy, deleteStudy, finishStudy, getStudy, markingsOf, studiesOf } from "~data/studies";
import { NotFound } from "~data/errors";
import { deleteLayLooks, layLooks } from "~data/looks";
import { FeelingAgain } from "./feeling-again";
import { LookingAgain } from "./looking-again";
import { Results } from "./results";
import { StandingAgain } from "./standing-again";
import { StartStudy } from "./start-study";
import { kindOf, picturesFor, sources, viewKinds, type Source, type ViewKind } from "./sources.server";

export const meta: Route.MetaFunction = () => [{ title: "Repeatability · Ember Path" }];

export function loader({ context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const studies = [];
    for (const study of await studiesOf(tx, practitioner.id))
      studies.push({
        id: study.id,
        begun: format(study.createdAt, "d MMM yyyy"),
        finished: study.finishedAt !== null,
        marked: (await markingsOf(tx, study.id)).size,
        of: study.items.length,
        pictures: new Set(study.items.map((item) => JSON.stringify(item.source))).size,
      });
    const available = await picturesFor(tx);
    const counts = Object.fromEntries(
      sources.map((source) => [
        source,
        Object.fromEntries(
          viewKinds.map((kind) => [kind, available[source].filter(({ view }) => kindOf(view) === kind).length]),
        ),
      ]),
    ) as Record<Source, Record<ViewKind, number>>;
    const found = (await studied(tx))[practitioner.id];
    const drawings = await layLooks(tx, practitioner.id);
    const looked = (await lookedBy(tx))[practitioner.id];
    return {
      looks: looked?.looks ?? [],
      hands: looked?.hands,
      drawings: drawings.map(({ studyId, grades, begun }) => ({
        id: studyId,
        begun: format(begun, "d MMM yyyy"),
        done: grades.size,
        of: layOrder(studyId).length,
      })),
      told: toldFrom(drawings.flatMap(({ studyId, grades }) => gradedTruths(studyId, grades))) ?? null,
      studies,
      counts,
      metrics: viewKinds
        .flatMap((kind) => (found?.metrics ?? []).filter(({ key }) => key.endsWith(kind)))
        .map(({ metric: { name, unit }, ...each }) => ({
          ...each,
          metric: { name, unit },
          more: furtherPairs(each.sem.dof),
        })),
      standing: (found?.standing ?? []).map(({ metric: { name, unit }, ...each }) => ({
        ...each,
        metric: { name, unit },
      })),
      placing: Object.entries(found?.own.placing ?? {}).map(([landmark, spread]) => ({
        landmark: landmark as LandmarkKey,
        ...spread,
        high: spreadInterval(spread).high,
      })),
    };
  });
}

const startSchema = object({
  intent: string().oneOf(["start"]).required(),
  id: string().uuid().required(),
  source: string<Source>().oneOf(sources, "Pictures: “${value}” is not one of them.").required(),
  kinds: array(string<ViewKind>().oneOf(viewKinds).required()).min(1, "Views: choose at least one.").required(),
  pictures: number()
    .typeError("Pictures of each view: type a number.")
    .integer("Pictures of each view: whole numbers, got ${value}.")
    .min(2, "Pictures of each view: at least 2, got ${value}.")
    .max(30, "Pictures of each view: at most 30, got ${value}.")
    .required(),
  passes: number()
    .integer()
    .min(2, "Times: at least 2, got ${value}.")
    .max(4, "Times: at most 4, got ${value}.")
    .required(),
});

/** Begins a study, ends one early, or takes one back. */
export function action({ context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body: { fields: body } }) => {
    if (body.intent === "delete-drawings") {
      if (!string().uuid().isValidSync(body.id)) throw new NotFound("study");
      await deleteLayLooks(tx, practitioner.id, String(body.id));
      return { ok: true };
    }
    if (body.intent === "delete" || body.intent === "finish") {
      const study = await getStudy(tx, practitioner.id, String(body.id));
      if (body.intent === "delete") await deleteStudy(tx, practitioner.id, study.id);
      else await finishStudy(tx, study.id);
      return { ok: true };
    }
    const { value, errors } = await validate(startSchema, body);
    if (errors) return data({ errors }, { status: 400 });
    const random = seeded(seedOf(value.id));
    const there = (await picturesFor(tx))[value.source];
    const chosen = value.kinds.flatMap((kind) =>
      blindOrder(
        there.filter(({ view }) => kindOf(view) === kind),
        1,
        random,
      ).slice(0, value.pictures),
    );
    if (chosen.length < 2)
      return data({ errors: { source: "Pictures: fewer than two of these views are there." } }, { status: 400 });
    await beginStudy(tx, value.id, practitioner.id, blindOrder(chosen, value.passes, random));
    return redirect(`/practice/repeatability/${value.id}`);
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** How repeatable one's own marking is, and what is made of it. */
export default function Repeatability({
  loaderData: { studies, counts, metrics, placing, standing, looks, hands, drawings, told },
}: Route.ComponentProps) {
  const open = studies.find((study) => !study.finished);
  return (
    <Page
      title="Repeatability"
      note="Mark the same pictures again, blind. How far your marks scatter adds to the model’s error; how a person stands again, and how you look, listen and feel again, is found from second rounds."
      actions={
        <Button component={Link} to="/practice" variant="outlined">
          Practice
        </Button>
      }
    >
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 330px" }, gap: 5 }}>
        <Box sx={{ minWidth: 0, overflowX: "auto" }}>
          {metrics.length > 0 ? (
            <Results metrics={metrics} placing={placing} />
          ) : (
            <Typography sx={{ maxWidth: 560 }}>
              Nothing is known of your own marking yet. Until it is, errors rest on the model: placing errors of a
              practised marker (common practice), carried through to every metric.
            </Typography>
          )}
          <StandingAgain metrics={standing} />
          <LookingAgain looks={looks} studies={drawings} told={told} />
          <FeelingAgain hands={hands} />
        </Box>
        <Box>
          {open ? (
            <Box>
              <Typography variant="h2">A study is under way</Typography>
              <Typography sx={{ mb: 1.5 }}>
                {open.marked} of {open.of} markings done.
              </Typography>
              <Button component={Link} to={`/practice/repeatability/${open.id}`} variant="contained">
                Go on marking
              </Button>
            </Box>
          ) : (
            <StartStudy counts={counts} />
          )}
          {studies.length > 0 && (
            <>
              <Typography variant="h2" sx={{ mt: 4 }}>
                Studies so far
              </Typography>
              <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
                {studies.map((study) => (
                  <StudyRow key={study.id} study={study} />
                ))}
              </Box>
            </>
          )}
        </Box>
      </Box>
    </Page>
  );
}

function StudyRow({
  study,
}: {
  study: { id: string; begun: string; finished: boolean; marked: number; of: number; pictures: number };
}) {
  const fetcher = useFetcher();
  const notify = useNotify();
  const send = (intent: "delete" | "finish") =>
    void fetcher.submit({ intent, id: study.id }, { method: "post", encType: "application/json" });
  return (
    <Box component="li" sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1 })}>
      <Typography>
        {study.begun}: {study.pictures} pictures, {study.marked} of {study.of} markings
      </Typography>
      {!study.finished && (
        <Button size="small" onClick={() => send("finish")}>
          End it here
        </Button>
      )}
      <Button
        size="small"
        color="inherit"
        sx={{ color: "text.secondary" }}
        onClick={() => {
          if (!window.confirm("Take this study back? Its figures are then used no more, and cannot be brought back."))
            return;
          send("delete");
          notify("The study is taken back. Errors are computed without it.");
        }}
      >
        Take it back
      </Button>
    </Box>
  );
}
