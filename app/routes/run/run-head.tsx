import type { ReactNode } from "react";
import { Box, Typography } from "~app/ui/box";

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
  unsent: { online: boolean; count: number };
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
          `pressure up to ${client.pressureCeiling}`,
        ].join(" · ")}
      </Typography>
      {pauseWord && (
        <Typography sx={{ fontSize: 22, color: "warning.main", fontWeight: 700 }}>pause word “{pauseWord}”</Typography>
      )}
      <Box sx={{ flex: 1 }} />
      {children}
      {(!unsent.online || unsent.count > 0) && (
        <Typography role="status" sx={{ fontSize: 22, color: "warning.main" }}>
          {unsent.online ? "saving" : `no connection, ${unsent.count} kept here`}
        </Typography>
      )}
    </Box>
  );
}
