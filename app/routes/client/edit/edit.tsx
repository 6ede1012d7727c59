import { data, redirect } from "react-router";
import { cachedLoader } from "~app/server/cached-loader.server";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import type { Route } from "./+types/edit";
import { inSession } from "~app/server/request/session.server";
import { validate, versionOf } from "~app/validation";
import { getClient, updateClient } from "~data/clients";
import { Stale } from "~data/errors";
import { ClientFields } from "~app/routes/clients/client-fields";
import { clientSchema, toDraft, toForm } from "~app/routes/clients/client-form";
import { deserialised } from "~app/serialised";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "edit", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    return { form: toForm(client), version: client.version };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, body }) => {
    const { value, errors } = await validate(clientSchema, body.fields);
    if (errors) return data({ errors }, { status: 400 });
    try {
      await updateClient(tx, params.clientId, versionOf(body.fields), toDraft(value));
    } catch (error) {
      // What was typed stays in the form: the screen says so instead of showing a fault page.
      if (error instanceof Stale) return data({ conflict: true }, { status: 409 });
      throw error;
    }
    return redirect(`/clients/${params.clientId}`);
  });
}

export default function Edit({ loaderData: serial, params }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  return (
    <Box sx={{ p: 3 }}>
      <ClientFields initial={loaderData.form} extra={{ version: loaderData.version }} submit="Save changes" />
      <Typography variant="h2" sx={{ mt: 4, mb: 0.5 }}>
        Their record
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 620 }}>
        What was told, asked, measured and felt, kind by kind, as plain rows in one JSON file; with visits and their
        notes. Not in it yet: pictures themselves, plans, decisions on cautions, corrected notes. It is health data:
        keep it as you keep the rest.
      </Typography>
      <Button component="a" href={`/clients/${params.clientId}/record.json`} download variant="outlined">
        Download the record
      </Button>
    </Box>
  );
}
