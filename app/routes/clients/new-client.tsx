import Button from "@mui/material/Button";
import { randomUUID } from "node:crypto";
import { data, Link, redirect } from "react-router";
import type { Route } from "./+types/new-client";
import { inSession } from "~app/session.server";
import { today } from "~app/today.server";
import { Page } from "~app/ui/page";
import { validate } from "~app/validation";
import { createClient } from "~data/clients";
import { planVisits } from "~data/visits";
import { ClientFields } from "./client-fields";
import { clientSchema, emptyForm, toDraft } from "./client-form";

export const meta: Route.MetaFunction = () => [{ title: "New client · Ember Path" }];

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** The id is made before the form is sent, so that a double click makes one client. */
export const loader = () => ({ id: randomUUID() });

export function action({ request, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx }) => {
    const body = (await request.json()) as { id?: string };
    const { value, errors } = await validate(clientSchema, body);
    if (errors) return data({ errors }, { status: 400 });
    if (!/^[0-9a-f-]{36}$/.test(body.id ?? "")) throw new Response("The new client's id is missing", { status: 400 });
    await createClient(tx, body.id!, toDraft(value));
    await planVisits(tx, body.id!, [today()]);
    return redirect(`/clients/${body.id}`);
  });
}

export default function NewClient({ loaderData }: Route.ComponentProps) {
  return (
    <Page title="New client">
      <ClientFields
        initial={emptyForm}
        extra={{ id: loaderData.id }}
        submit="Save client"
        actions={
          <Button component={Link} to="/clients" variant="outlined">
            Cancel
          </Button>
        }
      />
    </Page>
  );
}
