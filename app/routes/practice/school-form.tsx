import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { School } from "~core/screening/facts";
import { useNotify } from "~app/ui/notices";
import type { FieldErrors } from "~app/validation";
import { WhenReady } from "~app/ui/when-ready";

/** How the practitioner works: what holds for every plan of theirs. A client's own ceiling always wins. */
export function SchoolForm({ stored }: { stored: School }) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const [school, setSchool] = useState({
    ...stored,
    least: String(stored.hold.least),
    most: String(stored.hold.most),
  });
  const notify = useNotify();
  const answer = fetcher.data;
  useEffect(() => {
    if (answer?.ok) notify("Saved. Plans heed it from the next time they are solved.");
  }, [answer, notify]);
  const set = (change: Partial<typeof school>) => setSchool((before) => ({ ...before, ...change }));
  const box = (key: "oil" | "wax" | "withoutElbow" | "withoutThumb", label: string) => (
    <FormControlLabel
      control={<Checkbox size="small" checked={school[key]} onChange={(_, on) => set({ [key]: on })} />}
      label={label}
    />
  );
  const error = (name: string) => answer?.errors?.[name];
  return (
    <Box
      component="form"
      noValidate
      aria-label="How you work"
      onSubmit={(event) => {
        event.preventDefault();
        const { least, most, ...rest } = school;
        void fetcher.submit({ ...rest, hold: { least, most } } as never, {
          method: "post",
          encType: "application/json",
        });
      }}
    >
      <WhenReady>
        <Typography variant="h2">How you work</Typography>
        <Typography sx={{ color: "text.secondary", mb: 2 }}>
          Your school’s limits hold in every plan. A client’s own ceiling always wins.
        </Typography>
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr", gap: 1.5 }}>
          <TextField
            select
            label="Pressure up to"
            value={school.pressureCeiling}
            onChange={(event) => set({ pressureCeiling: Number(event.target.value) })}
            slotProps={{ select: { native: true } }}
          >
            {Array.from({ length: 10 }, (_, i) => (
              <option key={i} value={i + 1}>
                {i + 1} of 10
              </option>
            ))}
          </TextField>
          <TextField
            label="Hold from (s)"
            value={school.least}
            onChange={(event) => set({ least: event.target.value })}
            error={Boolean(error("hold.least"))}
            helperText={error("hold.least")}
          />
          <TextField
            label="to (s)"
            value={school.most}
            onChange={(event) => set({ most: event.target.value })}
            error={Boolean(error("hold.most") ?? error("hold"))}
            helperText={error("hold.most") ?? error("hold")}
          />
        </Box>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Direct or indirect"
          value={school.way}
          onChange={(_, way: School["way"] | null) => way && set({ way })}
          sx={{ mt: 1.5 }}
        >
          <ToggleButton value="direct">To the barrier</ToggleButton>
          <ToggleButton value="indirect">Follow ease</ToggleButton>
          <ToggleButton value="both">Both</ToggleButton>
        </ToggleButtonGroup>
        <Box sx={{ mt: 1 }}>
          {box("oil", "I use oil")}
          {box("wax", "I use wax")}
          {box("withoutElbow", "No elbow")}
          {box("withoutThumb", "No thumb")}
        </Box>
        <Button type="submit" variant="outlined" disabled={fetcher.state !== "idle"} sx={{ mt: 1 }}>
          Save how you work
        </Button>
      </WhenReady>
    </Box>
  );
}
