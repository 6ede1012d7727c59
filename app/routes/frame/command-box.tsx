import Autocomplete from "@mui/material/Autocomplete";
import Dialog from "@mui/material/Dialog";
import TextField from "@mui/material/TextField";
import { useEffect, useMemo, useState } from "react";
import { useFetcher, useNavigate, useParams } from "react-router";
import { homes } from "~kinds/register";
import type { loader as clientsLoader } from "~app/routes/clients/clients";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

type Command = { label: string; group: string; to: string };

const places: Command[] = [
  { label: "Today", group: "Places", to: "/" },
  { label: "Clients", group: "Places", to: "/clients" },
  { label: "Calendar", group: "Places", to: "/calendar" },
  { label: "Library", group: "Places", to: "/library" },
  { label: "Practice", group: "Places", to: "/practice" },
  { label: "Trainer: force, rhythm, order", group: "Places", to: "/practice/trainer" },
  { label: "Repeatability", group: "Places", to: "/practice/repeatability" },
  { label: "New client", group: "Actions", to: "/clients/new" },
];
const stages = [
  ["Overview", ""],
  ...homes.map(({ command, path }) => [command, `/${path}`] as const),
  ["Summary of the visit", "/assess/summary"],
  ["Reading: what explains it", "/reading"],
  ["Path: plan the series", "/path"],
  ["Change: what changed, and how sure that is", "/change"],
  ["Edit client", "/edit"],
] as const;

const shortcuts = [
  ["Ctrl K", "jump to a client, stage or place"],
  ["?", "this list"],
  ["Arrows, Shift+arrows", "Stand: move the chosen mark 1 or 10 pixels"],
  ["Enter / Delete", "Stand: place at the cross / take the mark away"],
  ["Ctrl Z / Ctrl Y", "Stand: undo / redo"],
  ["Y / N / D", "Screening: yes, no, don’t know, and on to the next question"],
  ["← → Space ↓ ↑", "Table: a side, as it should be and next, skip, back"],
  ["→ ← S N P", "Run sheet: next, back, skip, note, hold the clock"],
] as const;

/** Ctrl+K jumps anywhere; ? lists the keys. */
export default function CommandBox({ open, close }: { open: "jump" | "keys"; close: () => void }) {
  const navigate = useNavigate();
  const { clientId } = useParams();
  const clients = useFetcher<typeof clientsLoader>();
  const { load, data } = clients;
  const [typed, setTyped] = useState("");
  // found in the database: a practice has more clients than a list in the page should hold
  useEffect(() => {
    if (open !== "jump") return;
    const timer = window.setTimeout(() => void load(`/clients?q=${encodeURIComponent(typed)}`), typed ? 150 : 0);
    return () => window.clearTimeout(timer);
  }, [open, load, typed]);

  const commands = useMemo(
    () => [
      ...(clientId
        ? stages.map(([label, path]): Command => ({
            label,
            group: "This client",
            to: `/clients/${clientId}${path}`,
          }))
        : []),
      ...(data?.clients ?? []).map((client): Command => ({
        label: client.name,
        group: "Clients",
        to: `/clients/${client.id}`,
      })),
      ...places,
    ],
    [clientId, data],
  );

  return (
    <Dialog
      open
      onClose={close}
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { "aria-label": open === "keys" ? "Keyboard shortcuts" : "Jump to" } }}
    >
      <Box sx={{ p: 3 }}>
        {open === "keys" ? (
          <>
            <Typography variant="h2" sx={{ mb: 2 }}>
              Keys
            </Typography>
            <Box
              component="dl"
              sx={{ m: 0, display: "grid", gridTemplateColumns: "auto 1fr", columnGap: 3, rowGap: 1 }}
            >
              {shortcuts.map(([keys, what]) => (
                <Box key={keys} sx={{ display: "contents" }}>
                  <Box component="dt" sx={{ fontWeight: 700 }}>
                    {keys}
                  </Box>
                  <Box component="dd" sx={{ m: 0, color: "text.secondary" }}>
                    {what}
                  </Box>
                </Box>
              ))}
            </Box>
          </>
        ) : (
          <Autocomplete
            options={commands}
            groupBy={(command) => command.group}
            getOptionKey={(command) => command.to}
            autoHighlight
            openOnFocus
            onInputChange={(_, next, reason) => setTyped(reason === "input" ? next : "")}
            onChange={(_, command) => {
              if (!command) return;
              close();
              void navigate(command.to);
            }}
            renderInput={(params) => <TextField {...params} autoFocus label="Jump to a client, stage or place" />}
          />
        )}
      </Box>
    </Dialog>
  );
}
