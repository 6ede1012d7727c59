import Box from "@mui/material/Box";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useState, type ReactNode } from "react";
import type { FigureView } from "~core/anatomy/figure";

const pairs = {
  "front and back": ["front", "back"],
  sides: ["left", "right"],
  soles: ["sole"],
} as const satisfies Record<string, readonly FigureView[]>;
type Pair = keyof typeof pairs;

/** The figure at the left with the views it is seen from, and what is found beside it; on a phone one below the other. */
export function FigureColumn({
  above,
  figure,
  hint,
  children,
}: {
  /** Between the choice of views and the figure. */
  above?: ReactNode;
  figure: (views: readonly FigureView[]) => ReactNode;
  hint: ReactNode;
  children: ReactNode;
}) {
  const [pair, setPair] = useState<Pair>("front and back");
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
          value={pair}
          onChange={(_, next: Pair | null) => next && setPair(next)}
          aria-label="Seen from"
          sx={{ mb: 0.5 }}
        >
          {(Object.keys(pairs) as Pair[]).map((each) => (
            <ToggleButton key={each} value={each} sx={{ px: 1, fontSize: 13 }}>
              {each}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {above}
        <Box
          sx={{
            aspectRatio: "412 / 540",
            maxHeight: { xs: "38dvh", sm: "calc(100dvh - 300px)" },
            minHeight: { xs: 280, sm: 380 },
            width: "100%",
          }}
        >
          {figure(pairs[pair])}
        </Box>
        <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 1 }}>{hint}</Typography>
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 } }}>{children}</Box>
    </Box>
  );
}
