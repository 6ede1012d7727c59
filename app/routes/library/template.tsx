import Button from "@mui/material/Button";
import { data, Link, redirect, useSearchParams } from "react-router";
import type { Route } from "./+types/template";
import { templateDifferences } from "~core/series/check-template";
import {
  isTemplate,
  startingTemplate,
  templateOf,
  templatesInUse,
  type Template,
  type TemplateDefinition,
} from "~core/series/template";
import { stemFrom } from "~core/shelf";
import { decide } from "~app/server/request/library.server";
import { inSession } from "~app/server/request/session.server";
import { Page } from "~app/ui/page";
import { WhenReady } from "~app/ui/when-ready";
import { validate, versionOf } from "~app/validation";
import { Stale } from "~data/errors";
import { Editor, fresh } from "./template-editor";
import { templateSchema } from "./template-form";
import { Versions } from "./versions";
import { decideUse, historyIn, standingIn } from "./versions.server";

export const meta: Route.MetaFunction = () => [{ title: "Series template · Ember Path" }];

export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const { stem } = params;
    if (stem === undefined) return { stem: null, key: null, number: 0, retired: false, history: [] };
    const shelf = templatesInUse();
    const { item, retired, number } = standingIn(shelf, stem);
    return {
      stem,
      key: item.key,
      number,
      retired,
      history: await historyIn(tx, "template", shelf, stem, templateDifferences),
    };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Adds a version: a new template, another form of it, out of use, in use again, or as it was at the start. */
export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const sent = body.fields;
    const { stem } = params;
    const seen = { number: versionOf({ version: sent.number }) };
    try {
      if (stem === undefined || sent.intent === "save") {
        const { value, errors } = await validate(templateSchema, sent.definition);
        if (errors) return data({ errors }, { status: 400 });
        const definition: TemplateDefinition = {
          name: value.name,
          ...(value.everyDays !== undefined && { everyDays: value.everyDays }),
          sessions: value.sessions.map(({ light, arc, ...session }) => ({
            ...session,
            ...(light && { light: true as const }),
            ...(arc && { arc }),
          })),
        };
        const shelf = templatesInUse();
        const own = stem ?? stemFrom(shelf, definition.name);
        const namesake = shelf.offered.find(
          (other) => other.stem !== own && other.name.toLowerCase() === definition.name.toLowerCase(),
        );
        // sent twice, it is one template
        if (stem === undefined && namesake && templateDifferences(namesake, definition).length === 0)
          return redirect("/library/templates");
        if (namesake)
          return data(
            { errors: { name: `Name: “${definition.name}” is another template’s already.` } },
            { status: 400 },
          );
        const now = stem === undefined ? undefined : standingIn(shelf, stem);
        if (now?.retired) return data({ stale: true }, { status: 409 });
        if (!now || templateDifferences(now.item, definition).length > 0)
          await decide(tx, "template", [{ stem: own, definition }], now ? seen : { number: 0 }, practitioner.name);
        return redirect("/library/templates");
      }
      const shelf = templatesInUse();
      if (sent.intent === "retire" && shelf.offered.every((each) => each.stem === stem))
        return data({ errors: { template: "The last one cannot be retired: a series needs one." } }, { status: 400 });
      const definitionOf = ({ key: _, stem: __, ...definition }: Template): TemplateDefinition => definition;
      const done = await decideUse(tx, "template", shelf, stem, sent.intent, definitionOf, seen, practitioner.name);
      if (done) return done;
      throw new Response("Bad request", { status: 400 });
    } catch (error) {
      if (error instanceof Stale) return data({ stale: true }, { status: 409 });
      throw error;
    }
  });
}

export default function TemplatePage({ loaderData, params }: Route.ComponentProps) {
  const { stem, key, number, retired, history } = loaderData;
  const [search] = useSearchParams();
  const from = search.get("from");
  const origin = key ? templateOf(key) : isTemplate(from) ? templateOf(from) : undefined;
  return (
    <Page
      title={stem === null ? "New template" : origin!.name}
      note="A change is a new version. Series that were made keep the one they were made by."
      actions={
        <Button component={Link} to="/library/templates" variant="outlined" color="inherit">
          Back to the templates
        </Button>
      }
    >
      <WhenReady>
        <Editor
          key={`${params.stem} ${number}`}
          start={
            origin
              ? { ...origin, name: stem === null ? `${origin.name}, ours` : origin.name }
              : { name: "", sessions: [fresh("Breath"), fresh("Depth"), fresh("Join")] }
          }
          template={key === null ? undefined : origin}
          number={number}
          retired={retired}
        />
      </WhenReady>
      <Versions history={history} started={stem !== null && startingTemplate(stem) !== undefined} />
    </Page>
  );
}
