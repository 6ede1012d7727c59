import { Button } from "~app/ui/button";
import Chip from "@mui/material/Chip";
import Dialog from "@mui/material/Dialog";
import { useState } from "react";
import { Link } from "react-router";
import { byStrictness, type Judged } from "~core/screening/outcome";
import { Box, Typography } from "~app/ui/box";
import { CautionCard } from "./caution-card";

const shown = 3;

/** A client's cautions in the header, one chip for each thing they come from. A chip opens the reasons. */
export function CautionChips({
  clientId,
  cautions,
  screened,
  today,
}: {
  clientId: string;
  cautions: readonly Judged[];
  screened: boolean;
  today: string;
}) {
  const [open, setOpen] = useState<string | "all" | undefined>();
  const titles = [...new Set([...cautions].sort(byStrictness).map((caution) => caution.title))];
  const of = (title: string) => cautions.filter((caution) => caution.title === title);
  const chip = (title: string) => {
    const group = of(title);
    const refer = group.some((caution) => caution.kind === "refer" && !caution.decided);
    const aside = group.every((caution) => caution.decided);
    return (
      <Chip
        key={title}
        label={refer ? `Stop: ${title}` : aside ? `${title}, set aside` : title}
        onClick={() => setOpen(title)}
        aria-haspopup="dialog"
        sx={(t) => ({
          borderRadius: "6px",
          fontWeight: refer ? 750 : 550,
          bgcolor: aside ? "transparent" : refer ? t.tokens.amber : t.tokens.amberWash,
          color: aside ? t.tokens.inkSoft : refer ? t.tokens.sheet : t.tokens.amber,
          border: `1px ${aside ? "dashed" : "solid"} ${aside ? t.tokens.inkSoft : `${t.tokens.amber}55`}`,
          "&:hover, &.Mui-focusVisible": { bgcolor: refer ? t.tokens.amber : t.tokens.amberWash },
        })}
      />
    );
  };
  const listed = open === "all" || open === undefined ? cautions : of(open);
  return (
    <>
      {!screened && (
        <Chip
          component={Link}
          clickable
          to={`/clients/${clientId}/intake/screening`}
          label="Not screened yet"
          sx={(t) => ({
            borderRadius: "6px",
            border: `1px dashed ${t.tokens.amber}`,
            color: t.tokens.amber,
            bgcolor: "transparent",
          })}
        />
      )}
      {titles.slice(0, titles.length > shown + 1 ? shown : shown + 1).map(chip)}
      {titles.length > shown + 1 && (
        <Chip
          label={`${titles.length - shown} more`}
          onClick={() => setOpen("all")}
          aria-haspopup="dialog"
          sx={(t) => ({ borderRadius: "6px", bgcolor: "transparent", border: `1px solid ${t.tokens.line}` })}
        />
      )}
      <Dialog
        open={open !== undefined}
        onClose={() => setOpen(undefined)}
        maxWidth="sm"
        fullWidth
        slotProps={{ paper: { "aria-label": "Cautions" } }}
      >
        <Box sx={{ p: 3 }}>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {open === "all" || open === undefined ? "Cautions" : open}
          </Typography>
          {[...listed].sort(byStrictness).map((caution) => (
            <CautionCard key={caution.key} clientId={clientId} caution={caution} today={today} />
          ))}
          <Box sx={{ display: "flex", gap: 1.5, mt: 2 }}>
            <Button
              component={Link}
              to={`/clients/${clientId}/intake/screening`}
              variant="outlined"
              onClick={() => setOpen(undefined)}
            >
              Go to screening
            </Button>
            <Button color="inherit" onClick={() => setOpen(undefined)}>
              Close
            </Button>
          </Box>
        </Box>
      </Dialog>
    </>
  );
}
