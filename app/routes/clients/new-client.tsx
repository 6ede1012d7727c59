import Button from "@mui/material/Button";
import { randomUUID } from "node:crypto";
import { data, Link, redirect } from "react-router";
import type { Route } from "./+types/new-client";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import { Page } from "~app/ui/page";
import { validate } from "~app/validation";
import { createClient } from "~data/clients";
import { planVisits } from "~data/visits";
import { ClientFields } from "./client-fields";
import { string } from "yup";
import { clientSchema, emptyForm, toDraft } from "./client-form";

export const meta: Route.MetaFunction = () => [{ title: "New client · Ember Path" }];

export { keepTyped as clientAction } from "~app/ui/keep-typed";

const newClientSchema = clientSchema.shape({
  id: string().uuid("The new client's id is not valid.").required("The new client's id is missing."),
});

/** The id is made before the form is sent, so that a double click makes one client. */
export const loader = () => ({ id: randomUUID() });

export function action({ context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, body }) => {
    const { value, errors } = await validate(newClientSchema, body.fields);
    if (errors) return data({ errors }, { status: 400 });
    const { id, ...form } = value;
    // sent twice it makes one client, and a visit that is there already stays on its day
    if (await createClient(tx, id, toDraft(form))) await planVisits(tx, id, [today()]);
    return redirect(`/clients/${id}`);
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
