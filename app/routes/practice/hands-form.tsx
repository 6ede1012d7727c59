import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { handPartName, handParts, type HandBudget, type HandPart, type Hands } from "~core/techniques/hand-parts";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { useNotify } from "~app/ui/notices";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { WhenReady } from "~app/ui/when-ready";

const spans = ["session", "day", "week"] as const;
const spanName = { session: "A session", day: "A day", week: "A week" } as const;
type Typed = Record<(typeof spans)[number], Partial<Record<HandPart, string>>>;

const typedOf = (hands: Hands): Typed => {
  const typed = (budget: HandBudget) =>
    Object.fromEntries(Object.entries(budget).map(([part, most]) => [part, String(most)]));
  return { session: typed(hands.session), day: typed(hands.day), week: typed(hands.week) };
};

/** What is typed may not be a number yet: it is sent as it stands, and the server says so. */
const sent = (typed: Typed): Hands => {
  const budget = (of: Typed["day"]) =>
    Object.fromEntries(
      Object.entries(of)
        .filter(([, text]) => text.trim() !== "")
        .map(([part, text]) => [part, Number.isNaN(Number(text)) ? (text as never) : Number(text)]),
    );
  return { session: budget(typed.session), day: budget(typed.day), week: budget(typed.week) };
};

const handsWords = (hands: Hands | null) =>
  spans
    .map((span) => `${spanName[span].toLowerCase()}: ${Object.values(hands?.[span] ?? {}).join(", ") || "no limit"}`)
    .join("; ");

/** What the practitioner's own parts are to take: in a session, a day and a week. */
export function HandsForm({ stored }: { stored: Hands }) {
  const kept = useKeeper<Hands>(stored, (hands) => ({ hands }));
  const [typed, setTyped] = useState(typedOf(stored));
  const notify = useNotify();
  const { saved, errors } = kept;
  useEffect(() => {
    if (saved) notify("Saved. Plans heed it from the next time they are solved.");
  }, [saved, notify]);
  return (
    <Box
      component="form"
      noValidate
      aria-label="What your hands may take"
      onSubmit={(event) => {
        event.preventDefault();
        kept.keep(sent(typed));
      }}
    >
      <WhenReady>
        <Typography variant="h2" sx={{ mt: 5 }}>
          What your hands may take
        </Typography>
        <Fine sx={{ mb: 1.5 }}>
          Load (0–3) times minutes; left empty, no limit. Day and week count what is planned for all your clients.
        </Fine>
        <Box sx={{ display: "grid", gridTemplateColumns: "auto repeat(3, 1fr)", gap: 1, alignItems: "center" }}>
          <span />
          {spans.map((span) => (
            <Fine key={span} component="span">
              {spanName[span]}
            </Fine>
          ))}
          {handParts.map((part) => (
            <Box key={part} sx={{ display: "contents" }}>
              <span>{handPartName[part]}</span>
              {spans.map((span) => {
                const error = errors?.[`hands.${span}.${part}`];
                return (
                  <TextField
                    key={span}
                    size="small"
                    value={typed[span][part] ?? ""}
                    error={Boolean(error)}
                    onChange={(event) => setTyped({ ...typed, [span]: { ...typed[span], [part]: event.target.value } })}
                    slotProps={{
                      htmlInput: {
                        inputMode: "numeric",
                        "aria-label": `${handPartName[part]}, ${spanName[span].toLowerCase()}`,
                      },
                    }}
                  />
                );
              })}
            </Box>
          ))}
        </Box>
        {errors && (
          <Alert severity="error" sx={{ mt: 1 }}>
            {Object.values(errors).join(" ")}
          </Alert>
        )}
        <Overtaken
          by={{ ...kept, yield: () => (setTyped(typedOf(kept.overtaken?.theirs ?? stored)), kept.yield()) }}
          what="What your hands may take"
          words={handsWords}
        />
        <Button type="submit" variant="outlined" sx={{ mt: 1.5 }} disabled={kept.busy}>
          Save
        </Button>
      </WhenReady>
    </Box>
  );
}
