import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

/** Tenderness from 0 to 10, one press each. */
export function Tender({
  name,
  value,
  set,
}: {
  name: string;
  value: number | undefined;
  set: (value: number) => void;
}) {
  return (
    <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
      <Typography>{name}</Typography>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={value ?? null}
        onChange={(_, next: number | null) => next !== null && set(next)}
        aria-label={`${name}, 0 to 10`}
      >
        {Array.from({ length: 11 }, (_, i) => (
          <ToggleButton key={i} value={i} sx={{ minWidth: { xs: 26, lg: 34 }, px: 0.25, minHeight: 40 }}>
            {i}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
