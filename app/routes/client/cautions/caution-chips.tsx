import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import { useState } from "react";
import { Link } from "react-router";
import { byStrictness, type Judged } from "~core/screening/outcome";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { CautionChip } from "./caution-chip";
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
      <CautionChip
        key={title}
        aria-haspopup="dialog"
        look={aside ? "aside" : refer ? "stop" : "acts"}
        onClick={() => setOpen(title)}
        label={refer ? `Stop: ${title}` : aside ? `${title}, set aside` : title}
      />
    );
  };
  const listed = (open: string) => (open === "all" ? cautions : of(open));
  return (
    <>
      {!screened && (
        <CautionChip
          look="open"
          clickable
          component={Link}
          to={`/clients/${clientId}/intake/screening`}
          label="Not screened yet"
        />
      )}
      {titles.slice(0, titles.length > shown + 1 ? shown : shown + 1).map(chip)}
      {titles.length > shown + 1 && (
        <CautionChip
          look="more"
          aria-haspopup="dialog"
          onClick={() => setOpen("all")}
          label={`${titles.length - shown} more`}
        />
      )}
      {open !== undefined && (
        <Dialog
          open
          onClose={() => setOpen(undefined)}
          maxWidth="sm"
          fullWidth
          slotProps={{ paper: { "aria-label": "Cautions" } }}
        >
          <Box sx={{ p: 3 }}>
            <Typography variant="h2" sx={{ mb: 1 }}>
              {open === "all" ? "Cautions" : open}
            </Typography>
            {[...listed(open)].sort(byStrictness).map((caution) => (
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
      )}
    </>
  );
}
