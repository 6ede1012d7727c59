import { ceilingWords } from "~core/screening/advice";
import type { ReactNode } from "react";
import Button from "@mui/material/Button";
import { askToSignIn } from "~app/ui/signed-in";
import type { Reach } from "~app/ui/use-outbox";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

const why: Record<Exclude<Reach, "reached">, string> = {
  "no network": "no connection",
  "not now": "the server cannot take it just now",
  "signed out": "your sign-in has ended",
};

/** Above every run: whose visit it is, what must not be forgotten, the time, and whether everything is kept. */
export function RunHead({
  ordinal,
  title,
  client,
  cautions,
  pauseWord,
  unsent,
  children,
}: {
  ordinal: number;
  title: string;
  client: { id: string; name: string; pressureCeiling: number };
  cautions: readonly string[];
  pauseWord: string;
  unsent: { reach: Reach; count: number };
  /** The clock. */
  children: ReactNode;
}) {
  // the pause word has a place of its own
  const others = cautions.filter((each) => !pauseWord || each !== `Pause word: ${pauseWord}`);
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 3, rowGap: 0.5, alignItems: "baseline", fontSize: 22 }}>
      <Typography component="h1" sx={{ fontFamily: "h1.fontFamily", fontWeight: 700, fontSize: 26 }}>
        Visit {ordinal}
        {title && `, ${title.toLowerCase()}`}
      </Typography>
      <Typography sx={{ fontSize: 22, color: "text.secondary" }}>{client.name}</Typography>
      <Typography sx={{ fontSize: 22, color: "warning.main" }}>
        {[
          ...others.slice(0, 2),
          ...(others.length > 2 ? [`${others.length - 2} more`] : []),
          ceilingWords(client.pressureCeiling).toLowerCase(),
        ].join(" · ")}
      </Typography>
      {pauseWord && (
        <Typography sx={{ fontSize: 22, color: "warning.main", fontWeight: 700 }}>pause word “{pauseWord}”</Typography>
      )}
      <Box sx={{ flex: 1 }} />
      {children}
      {(unsent.reach !== "reached" || unsent.count > 0) && (
        <Typography role="status" sx={{ fontSize: 22, color: "warning.main" }}>
          {unsent.reach === "reached" ? "saving" : `${why[unsent.reach]}, ${unsent.count} kept here`}
        </Typography>
      )}
      {unsent.reach === "signed out" && (
        <Button
          variant="outlined"
          onClick={() => void askToSignIn()}
          sx={{ minHeight: 64, fontSize: 22, px: 3, ml: "auto" }}
        >
          Sign in again
        </Button>
      )}
    </Box>
  );
}
