import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import TextField from "@mui/material/TextField";
import { useEffect, useRef, useState } from "react";
import { data, Link, redirect, useFetcher } from "react-router";
import type { Route } from "./+types/import";
import { isFixed } from "~core/series/arc-session";
import { libraryInUse } from "~core/techniques/library";
import { chosenOf, incomingTo, type Choice, type Incoming } from "~core/techniques/merge";
import type { FileFault } from "~core/techniques/read-file";
import { counted } from "~core/words";
import { decide } from "~app/server/request/library.server";
import { answering } from "~app/server/request/faults.server";
import { asking, bodyOf, inSession } from "~app/server/request/session.server";
import { readTechniquesApart } from "~app/server/work/read-techniques.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { Page } from "~app/ui/page";
import { WhenReady } from "~app/ui/when-ready";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { Stale } from "~data/errors";
import { libraryStamp } from "~data/library";

export const meta: Route.MetaFunction = () => [{ title: "Import techniques · Ember Path" }];

export { keepTyped as clientAction } from "~app/ui/keep-typed";

type Looked = { incoming: Incoming[]; stamp: string | null };
type Answer = { faults?: FileFault[]; looked?: Looked; stale?: boolean };

const isChoices = (value: unknown): value is Record<string, Choice> =>
  typeof value === "object" &&
  value !== null &&
  Object.values(value).every((each) => each === "take" || each === "keep" || each === "beside");

/** Looks at a file without keeping anything of it, or keeps what was chosen: all of that, or nothing. */
export async function action({ context }: Route.ActionArgs) {
  const { intent, text, choices, stamp } = bodyOf(context).fields;
  // before a connection is taken: reading may take its time
  const read = await answering(() =>
    readTechniquesApart(asking(context).practiceId, typeof text === "string" ? text : ""),
  );
  return inSession(context, async ({ tx, practitioner }) => {
    if ("faults" in read) return data({ faults: read.faults } satisfies Answer, { status: 422 });
    const library = libraryInUse();
    const incoming = incomingTo(library, read.definitions, isFixed);
    if (intent !== "keep") return { looked: { incoming, stamp: await libraryStamp(tx) } } satisfies Answer;
    if (!isChoices(choices)) throw new Response("Bad request", { status: 400 });
    const chosen = chosenOf(library, incoming, choices).map((definition) => ({ stem: definition.key, definition }));
    try {
      const seen = { stamp: typeof stamp === "string" ? stamp : null };
      if (chosen.length > 0) await decide(tx, "technique", chosen, seen, practitioner.name);
    } catch (error) {
      if (!(error instanceof Stale)) throw error;
      return data({ stale: true } satisfies Answer, { status: 409 });
    }
    return redirect(`/library?own=1`);
  });
}

/** A file of techniques, looked at before anything of it is kept: every fault by its line, every clash with the choice it leaves. */
export default function Import() {
  const fetcher = useFetcher<Answer>();
  const [text, setText] = useState("");
  const [choices, setChoices] = useState<Record<string, Choice>>({});
  const { faults, looked, stale } = fetcher.state === "idle" ? (fetcher.data ?? {}) : {};
  const [seen, setSeen] = useState<Looked>();
  const faulty = useRef<HTMLDivElement>(null);
  useEffect(() => setSeen(looked), [looked]);
  useEffect(() => {
    if (faults) faulty.current?.focus();
  }, [faults]);
  const send = (intent: "look" | "keep", of: string) =>
    void fetcher.submit(
      { intent, text: of, ...(intent === "keep" && { choices, stamp: seen?.stamp ?? null }) } as never,
      { method: "post", encType: "application/json" },
    );
  const look = (of: string) => {
    setText(of);
    setSeen(undefined);
    setChoices({});
    send("look", of);
  };
  const busy = fetcher.state !== "idle";
  const of = (state: Incoming["state"]) => seen?.incoming.filter((each) => each.state === state) ?? [];
  const [fresh, differing, same, parts] = [of("new"), of("differs"), of("same"), of("part")];
  const willAdd = fresh.filter(({ definition }) => choices[definition.key] !== "keep").length;
  const willChange = differing.filter(({ definition }) => (choices[definition.key] ?? "keep") !== "keep").length;
  const choose = (key: string, choice: Choice) => setChoices((before) => ({ ...before, [key]: choice }));
  return (
    <Page
      title="Import techniques"
      note="Nothing is kept before you have seen what it would do."
      actions={
        <Button component={Link} to="/library" variant="outlined" color="inherit">
          Back to the library
        </Button>
      }
    >
      <WhenReady>
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap", mb: 2 }}>
          <Button component="label" variant={seen ? "outlined" : "contained"} disabled={busy}>
            Choose a file
            <input
              type="file"
              accept=".json,application/json"
              hidden
              aria-label="File of techniques"
              onChange={(event) => {
                const [file] = event.target.files ?? [];
                void file?.text().then(look);
                event.target.value = "";
              }}
            />
          </Button>
          <Fine>
            JSON as the export writes it and the{" "}
            <MuiLink href="/formats/techniques.schema.json" target="_blank" underline="always">
              published schema
            </MuiLink>{" "}
            says; up to 2 MB.
          </Fine>
        </Box>
        <Box component="details" sx={{ mb: 3 }}>
          <Box component="summary" sx={{ cursor: "pointer" }}>
            Or paste it
          </Box>
          <TextField
            multiline
            fullWidth
            minRows={4}
            maxRows={12}
            label="Techniques, JSON"
            value={text}
            onChange={(event) => setText(event.target.value)}
            sx={{ mt: 1 }}
          />
          <Button sx={{ mt: 1 }} variant="outlined" disabled={busy || text.trim() === ""} onClick={() => look(text)}>
            Look at it
          </Button>
        </Box>
        {stale && (
          <Alert
            severity="warning"
            sx={{ mb: 2 }}
            action={
              <Button color="inherit" onClick={() => look(text)}>
                Look again
              </Button>
            }
          >
            The library was changed meanwhile. Nothing of the file was kept.
          </Alert>
        )}
        {faults && (
          <Box ref={faulty} tabIndex={-1} role="alert" sx={{ outline: "none" }}>
            <Typography variant="h2">{counted(faults.length, "fault")}; nothing was kept</Typography>
            <Box
              component="table"
              sx={{
                borderCollapse: "collapse",
                mt: 1,
                "& td, & th": { py: 0.5, pr: 2, textAlign: "left", verticalAlign: "top" },
              }}
            >
              <thead>
                <tr>
                  <th scope="col">Line</th>
                  <th scope="col">Technique</th>
                  <th scope="col">Field</th>
                  <th scope="col">What is wrong</th>
                </tr>
              </thead>
              <tbody>
                {faults.map(({ line, technique, field, message }, i) => (
                  <tr key={i}>
                    <td>{line}</td>
                    <td>{technique}</td>
                    <td>{field.replace(/^techniques\[\d+\]\.?/, "")}</td>
                    <td>{message}</td>
                  </tr>
                ))}
              </tbody>
            </Box>
          </Box>
        )}
        {seen && (
          <>
            {differing.length > 0 && (
              <Box component="section" aria-label="Different here" sx={{ mb: 3 }}>
                <Typography variant="h2">{counted(differing.length, "technique")} of yours would change</Typography>
                {differing.map(({ definition, differences, hints }) => (
                  <Box key={definition.key} sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1.25 })}>
                    <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "center" }}>
                      <Typography sx={{ fontWeight: 650, flex: 1, minWidth: 200 }}>{definition.name}</Typography>
                      <ToggleButtonGroup
                        exclusive
                        size="small"
                        aria-label={`What to do with ${definition.name}`}
                        value={choices[definition.key] ?? "keep"}
                        onChange={(_, choice: Choice | null) => choice && choose(definition.key, choice)}
                      >
                        <ToggleButton value="keep">Keep mine</ToggleButton>
                        <ToggleButton value="take">Take theirs</ToggleButton>
                        <ToggleButton value="beside">Keep both</ToggleButton>
                      </ToggleButtonGroup>
                    </Box>
                    {differences.length === 0 && <Fine>The same, and retired here: taking it takes it back.</Fine>}
                    {differences.map(({ field, from, to }) => (
                      <Fine key={field}>
                        {field}: {from} → {to}
                      </Fine>
                    ))}
                    <Hints hints={hints} />
                  </Box>
                ))}
              </Box>
            )}
            {fresh.length > 0 && (
              <Box component="section" aria-label="New here" sx={{ mb: 3 }}>
                <Typography variant="h2">{counted(fresh.length, "technique")} new here</Typography>
                {fresh.map(({ definition, hints }) => (
                  <Box key={definition.key} sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1 })}>
                    <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "center" }}>
                      <Box sx={{ flex: 1, minWidth: 200 }}>
                        <Typography sx={{ fontWeight: 650 }}>{definition.name}</Typography>
                        <Fine>{definition.what}</Fine>
                      </Box>
                      <ToggleButtonGroup
                        exclusive
                        size="small"
                        aria-label={`What to do with ${definition.name}`}
                        value={choices[definition.key] ?? "take"}
                        onChange={(_, choice: Choice | null) => choice && choose(definition.key, choice)}
                      >
                        <ToggleButton value="take">Add</ToggleButton>
                        <ToggleButton value="keep">Leave out</ToggleButton>
                      </ToggleButtonGroup>
                    </Box>
                    <Hints hints={hints} />
                  </Box>
                ))}
              </Box>
            )}
            {same.length > 0 && (
              <Typography>{counted(same.length, "technique")} the same here: nothing to do.</Typography>
            )}
            {parts.length > 0 && (
              <Typography>
                Left as they are, parts of the light-touch arc or of every session:{" "}
                {parts.map(({ definition }) => definition.name).join(", ")}.
              </Typography>
            )}
            <Box sx={{ display: "flex", gap: 1.5, mt: 2 }}>
              <Button
                variant="contained"
                disabled={busy || willAdd + willChange === 0}
                onClick={() => send("keep", text)}
              >
                Keep {counted(willAdd + willChange, "technique")}
              </Button>
            </Box>
          </>
        )}
      </WhenReady>
    </Page>
  );
}

const Hints = ({ hints }: { hints: Incoming["hints"] }) =>
  hints.map(({ tag, message }) => (
    <Typography key={tag} sx={(t) => ({ color: t.tokens.amber, fontSize: 13.5 })}>
      {message}
    </Typography>
  ));
