import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import { useState } from "react";
import { data, Link, useFetcher } from "react-router";
import { array, number, object, string } from "yup";
import type { Route } from "./+types/drawings";
import { isLayGrade, layCheck, layOrder } from "~core/repeatability/lay-figures";
import { inSession } from "~app/server/request/session.server";
import { validate } from "~app/validation";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Page } from "~app/ui/page";
import { useTableKeys } from "~app/routes/client/table/use-table-keys";
import { aStepMore, sidesSeen, WhichSide } from "~app/routes/client/table/which-side";
import { keepLayLook, layLooks } from "~data/looks";
import { NotFound } from "~data/errors";
import { Drawing } from "./drawing";

export const meta: Route.MetaFunction = () => [{ title: "Drawings · Ember Path" }];

const isId = (id: string) => string().uuid().isValidSync(id);

export function loader({ params, context }: Route.LoaderArgs) {
  if (!isId(params.studyId)) throw new NotFound("study");
  return inSession(context, async ({ tx, practitioner }) => {
    const study = (await layLooks(tx, practitioner.id)).find(({ studyId }) => studyId === params.studyId);
    return { id: params.studyId, done: [...(study?.grades.keys() ?? [])] };
  });
}

const looksSchema = object({
  looks: array(
    object({
      item: number().integer().min(0).required(),
      grade: number()
        .required("Grade: choose one.")
        .test("grade", "Grade: whole, from -3 to 3, got ${value}.", (value) => isLayGrade(value)),
    }),
  )
    .max(200)
    .required(),
});

/** Keeps grades of drawings, each once. */
export function action({ params, context }: Route.ActionArgs) {
  if (!isId(params.studyId)) throw new NotFound("study");
  return inSession(context, async ({ tx, practitioner, body }) => {
    const { value, errors } = await validate(looksSchema, body.fields);
    if (errors) return data({ errors, kept: [] }, { status: 400 });
    const of = layOrder(params.studyId).length;
    const beyond = value.looks.find(({ item }) => item >= of);
    if (beyond)
      return data({ errors: { looks: `Drawing: below ${of}, got ${beyond.item}.` }, kept: [] }, { status: 400 });
    for (const { item, grade } of value.looks) await keepLayLook(tx, practitioner.id, params.studyId, item, grade);
    return { kept: value.looks.map(({ item }) => item), errors: undefined };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export default function Drawings({ loaderData }: Route.ComponentProps) {
  return <Looking key={loaderData.id} {...loaderData} />;
}

function Looking({ id, done }: Route.ComponentProps["loaderData"]) {
  const order = layOrder(id);
  const fetcher = useFetcher<typeof action>();
  const [looks, setLooks] = useState<{ item: number; grade: number }[]>([]);
  const [grade, setGrade] = useState<number | undefined>();
  const kept = new Set([...done, ...(fetcher.data?.kept ?? [])]);
  const unsent = looks.filter(({ item }) => !kept.has(item));
  const given = (i: number) => kept.has(i) || looks.some((look) => look.item === i);
  const item = order.findIndex((_, i) => !given(i));
  const answer = (given: number) => {
    if (item < 0) return;
    const next = [...looks, { item, grade: given }];
    setLooks(next);
    setGrade(undefined);
    // what the network has not taken yet goes along with the next one
    void fetcher.submit(
      { looks: next.filter((look) => !kept.has(look.item)) },
      { method: "post", encType: "application/json" },
    );
  };
  const shown = order[item];
  const check = shown && layCheck(shown);
  const [first, second] = check ? sidesSeen(check) : (["L", "R"] as const);
  useTableKeys({
    left: () => setGrade(aStepMore(grade ?? 0, first)),
    right: () => setGrade(aStepMore(grade ?? 0, second)),
    next: () => answer(grade ?? 0),
    skip: () => undefined,
    back: () => undefined,
  });
  return (
    <Page
      title="Ten lay figures"
      note="Every drawing comes up twice, in a shuffled order. Look, and say which side stands out."
      actions={
        <Button component={Link} to="/practice/repeatability" variant="outlined">
          {item < 0 ? "See what it says" : "Go on later"}
        </Button>
      }
    >
      <LinearProgress
        variant="determinate"
        value={(100 * order.filter((_, i) => given(i)).length) / order.length}
        aria-label="Drawings graded"
        sx={{ mb: 2 }}
      />
      <Typography role="status" sx={{ fontSize: 13.5, color: "text.secondary", minHeight: 22 }}>
        {fetcher.data?.errors
          ? Object.values(fetcher.data.errors)[0]
          : fetcher.state === "idle" && unsent.length > 0
            ? `${unsent.length} not kept yet: they go along with the next one.`
            : ""}
      </Typography>
      {shown && check ? (
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "minmax(0, 1fr) 420px" }, gap: 4 }}>
          <Drawing item={shown} />
          <Box>
            <Typography sx={{ color: "text.secondary" }}>
              Drawing {item + 1} of {order.length}
            </Typography>
            <Typography variant="h2" sx={{ mb: 2 }}>
              {check.name}
            </Typography>
            <WhichSide check={check} seen={[first, second]} value={grade} choose={answer} />
            <Typography sx={{ display: { xs: "none", sm: "block" }, fontSize: 13.5, color: "text.secondary", mt: 2 }}>
              Keys: ← and → for the side that lies there, each press a step more; Space for the next.
            </Typography>
          </Box>
        </Box>
      ) : (
        <Typography sx={{ fontSize: 18 }}>
          {unsent.length > 0 ? "That was the last one. Keeping it …" : "That was the last one; all are kept."}
        </Typography>
      )}
      {item < 0 && unsent.length > 0 && fetcher.state === "idle" && (
        <Button
          variant="contained"
          onClick={() => void fetcher.submit({ looks: unsent }, { method: "post", encType: "application/json" })}
        >
          Send again
        </Button>
      )}
    </Page>
  );
}
