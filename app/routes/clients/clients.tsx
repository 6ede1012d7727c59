import Button from "@mui/material/Button";
import InputAdornment from "@mui/material/InputAdornment";
import TextField from "@mui/material/TextField";
import { useEffect, useRef } from "react";
import { Link, useFetcher, useSearchParams, useSubmit } from "react-router";
import type { Route } from "./+types/clients";
import { ageOn } from "~core/client";
import { addressOf } from "~app/server/request/address.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Search from "@mui/icons-material/Search";
import { styled } from "@mui/material/styles";
import Box from "@mui/material/Box";
import { shortDay } from "~app/ui/dates";
import { versionOf } from "~app/validation";
import { useNotify } from "~app/ui/notices";
import { Empty, Page } from "~app/ui/page";
import { clientsAPage, listClients, setArchived } from "~data/clients";
import { Progress } from "./progress";

export const meta: Route.MetaFunction = () => [{ title: "Clients · Ember Path" }];

export function loader({ request, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const query = addressOf(request);
    const archived = query.is("archived", "1");
    const after = query.id("after");
    const page = await listClients(tx, { search: query.text("q") ?? "", archived, after });
    return { ...page, most: clientsAPage, archived, later: after !== undefined, today: today() };
  });
}

export function action({ context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, body }) => {
    const { id, intent } = body.fields;
    if (intent !== "archive" && intent !== "restore") throw new Response("Unknown request", { status: 400 });
    await setArchived(tx, String(id), intent === "archive", versionOf(body.fields));
    return { ok: true };
  });
}

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** A row a client: who, what for, how far, when; on a phone only who. */
const Rows = styled("ul")(({ theme: { tokens, breakpoints } }) => ({
  listStyle: "none",
  padding: 0,
  margin: 0,
  "& > li": {
    display: "grid",
    gridTemplateColumns: "300px 1fr 190px 150px auto",
    alignItems: "center",
    columnGap: 24,
    padding: "10px 0",
    borderTop: `1px solid ${tokens.line}`,
    [breakpoints.down("md")]: { gridTemplateColumns: "1fr auto" },
  },
  "& p": { margin: 0 },
  "& a": {
    fontSize: 17,
    fontWeight: 650,
    color: tokens.ink,
    textDecoration: "none",
    "&:hover": { textDecoration: "underline", textDecorationColor: tokens.ember },
  },
  "& .soft": { color: tokens.inkSoft, fontSize: 14 },
  "& .complaint": { fontSize: 14.5, overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" },
  "& .wide": { [breakpoints.down("md")]: { display: "none" } },
}));

export default function Clients({ loaderData: { clients, more, most, later, archived, today } }: Route.ComponentProps) {
  const [params] = useSearchParams();
  const submit = useSubmit();
  const box = useRef<HTMLInputElement>(null);
  const query = params.get("q") ?? "";
  const addressOf = (after: string | undefined) => {
    const next = new URLSearchParams(params);
    next.delete("after");
    if (after) next.set("after", after);
    return `/clients?${next}`;
  };
  // A letter typed anywhere on the page goes to the search: two keystrokes find anyone.
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || (event.target as HTMLElement).closest("input, textarea"))
        return;
      if (/^\p{L}$/u.test(event.key)) box.current?.focus();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);

  return (
    <Page
      title={archived ? "Archived clients" : "Clients"}
      actions={
        <>
          <Button component={Link} to={archived ? "/clients" : "/clients?archived=1"} color="inherit">
            {archived ? "Back to current clients" : "Archived"}
          </Button>
          <Button component={Link} to="/clients/new" variant="contained">
            New client
          </Button>
        </>
      }
    >
      <Box
        component="form"
        role="search"
        onChange={(event: React.FormEvent<HTMLFormElement>) => void submit(event.currentTarget, { replace: true })}
        sx={{ maxWidth: 420, mb: 2 }}
      >
        {archived && <input type="hidden" name="archived" value="1" />}
        <TextField
          name="q"
          defaultValue={query}
          inputRef={box}
          label="Find by name, work or complaint"
          slotProps={{
            input: {
              startAdornment: (
                <InputAdornment position="start">
                  <Search fontSize="small" />
                </InputAdornment>
              ),
            },
          }}
        />
      </Box>
      {clients.length === 0 && !later ? (
        query ? (
          <Empty title="Nobody matches">
            No {archived ? "archived " : ""}client has words that begin with “{query}” in name, work or complaint.
          </Empty>
        ) : archived ? (
          <Empty title="Nobody is archived">
            Archived clients keep all their records and can be brought back at any time.
          </Empty>
        ) : (
          <Empty
            title="No clients yet"
            action={
              <Button component={Link} to="/clients/new" variant="contained">
                New client
              </Button>
            }
          >
            Begin with a name and what they come for. Everything else can wait for the first visit.
          </Empty>
        )
      ) : (
        <Rows>
          {clients.map((client) => (
            <li key={client.id}>
              <div>
                <Link to={`/clients/${client.id}`}>{client.name}</Link>
                <p className="soft">{[ageOn(client.born, today), client.occupation].filter(Boolean).join(", ")}</p>
              </div>
              <p className="complaint wide" title={client.complaint}>
                {client.complaint}
              </p>
              <div className="wide">
                <Progress done={client.visitsDone} planned={client.visitsPlanned} />
              </div>
              <p className="soft wide">
                {client.nextVisit
                  ? `next ${shortDay(client.nextVisit, today)}`
                  : client.lastVisit
                    ? `last ${shortDay(client.lastVisit, today)}, no next`
                    : "no visit yet"}
              </p>
              <ArchiveButton client={client} archived={archived} />
            </li>
          ))}
        </Rows>
      )}
      {(more || later) && (
        <Box sx={{ display: "flex", gap: 1.5, mt: 2 }}>
          {later && (
            <Button component={Link} to={addressOf(undefined)} variant="outlined">
              From the beginning
            </Button>
          )}
          {more && (
            <Button component={Link} to={addressOf(clients.at(-1)!.id)} variant="outlined">
              Next {most}
            </Button>
          )}
        </Box>
      )}
    </Page>
  );
}

function ArchiveButton({
  client: { id, name, version },
  archived,
}: {
  client: { id: string; name: string; version: number };
  archived: boolean;
}) {
  const fetcher = useFetcher();
  const notify = useNotify();
  // The row, and this component with it, is gone once archived: undo must not depend on it.
  const submit = useSubmit();
  const send = (intent: string) => fetcher.submit({ id, intent, version }, { method: "post", action: "/clients" });
  return (
    <Button
      size="small"
      color="inherit"
      sx={{ color: "text.secondary" }}
      aria-label={`${archived ? "Bring back" : "Archive"} ${name}`}
      onClick={() => {
        void send(archived ? "restore" : "archive");
        notify(archived ? `${name} is back among the clients.` : `${name} is archived. Nothing was deleted.`, {
          undo: () =>
            void submit(
              // the one after what was just done
              { id, intent: archived ? "archive" : "restore", version: version + 1 },
              { method: "post", action: "/clients", navigate: false },
            ),
        });
      }}
    >
      {archived ? "Bring back" : "Archive"}
    </Button>
  );
}
