import { useState, type ReactNode } from "react";
import type { FigureView } from "~core/anatomy/figure";
import { laidOut, sightSets, type Sight, type SightSet } from "~core/anatomy/sights";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

const sets = Object.keys(sightSets) as SightSet[];

/** The figure at the left with the views it is seen from, and what is found beside it; on a phone one below the other. */
export function FigureColumn({
  above,
  figure,
  hint,
  look,
  children,
}: {
  /** Between the choice of views and the figure. */
  above?: ReactNode;
  figure: (sights: readonly Sight[]) => ReactNode;
  hint: ReactNode;
  /** A view that is to be seen now. */
  look?: FigureView | undefined;
  children: ReactNode;
}) {
  const [chosen, setChosen] = useState<SightSet>("front and back");
  const [looked, setLooked] = useState<FigureView | undefined>();
  if (look !== looked) {
    setLooked(look);
    const wanted = sets.find((each) => sightSets[each].some(({ view }) => view === look));
    if (wanted) setChosen(wanted);
  }
  const sheet = laidOut(sightSets[chosen]);
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: {
          xs: "1fr",
          sm: "minmax(300px, 45%) minmax(0, 1fr)",
          md: "minmax(420px, 548px) minmax(0, 1fr)",
        },
      }}
    >
      <Box
        sx={(t) => ({
          bgcolor: "background.paper",
          borderRight: { sm: `1px solid ${t.tokens.line}` },
          p: 2,
          minHeight: { md: "calc(100dvh - 132px)" },
        })}
      >
        <ToggleButtonGroup
          exclusive
          size="small"
          value={chosen}
          onChange={(_, next: SightSet | null) => next && setChosen(next)}
          aria-label="Seen from"
          sx={{ mb: 0.5 }}
        >
          {sets.map((each) => (
            <ToggleButton key={each} value={each} sx={{ px: 1, fontSize: 13 }}>
              {each}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {above}
        <Box
          sx={{
            aspectRatio: `${sheet.width} / ${sheet.height}`,
            maxHeight: { xs: "38dvh", sm: "calc(100dvh - 300px)" },
            minHeight: { xs: 280, sm: 380 },
            width: "100%",
          }}
        >
          {figure(sightSets[chosen])}
        </Box>
        <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 1 }}>{hint}</Typography>
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 } }}>{children}</Box>
    </Box>
  );
}
