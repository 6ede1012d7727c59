import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import FormGroup from "@mui/material/FormGroup";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { FieldErrors } from "~app/validation";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { WhenReady } from "~app/ui/when-ready";
import type { Source, ViewKind } from "./sources.server";

const kinds: { key: ViewKind; name: string; minutes: number }[] = [
  { key: "front", name: "Front", minutes: 0.9 },
  { key: "back", name: "Back", minutes: 1.2 },
  { key: "side", name: "Side", minutes: 0.7 },
];

/** What a new study shows: which pictures, which views, how often each. */
export function StartStudy({ counts }: { counts: Record<Source, Record<ViewKind, number>> }) {
  const fetcher = useFetcher<{ errors?: FieldErrors }>();
  const [source, setSource] = useState<Source>("set");
  const [chosen, setChosen] = useState<ViewKind[]>(["front"]);
  const [pictures, setPictures] = useState("5");
  const [passes, setPasses] = useState(2);
  // one id for one study, made here: pressing twice begins one
  const [id] = useState(() => crypto.randomUUID());
  const each = (kind: ViewKind) => Math.min(Number(pictures) || 0, counts[source][kind]);
  const minutes = kinds
    .filter(({ key }) => chosen.includes(key))
    .reduce((sum, { key, minutes }) => sum + minutes * each(key) * passes, 0);
  const errors = fetcher.data?.errors ?? {};
  return (
    <WhenReady>
      <Typography variant="h2">Begin a study</Typography>
      <Typography sx={{ color: "text.secondary", fontSize: 14, mb: 2 }}>
        Each picture comes up several times in a shuffled order, without its earlier marks and without a number. Stop
        when you like: it goes on where you left.
      </Typography>
      <TextField
        select
        fullWidth
        label="Pictures"
        value={source}
        onChange={(event) => setSource(event.target.value as Source)}
        error={Boolean(errors.source)}
        helperText={errors.source}
        sx={{ mb: 2 }}
      >
        <MenuItem value="set">The set that ships: lay figures</MenuItem>
        <MenuItem value="earlier">Earlier pictures of clients</MenuItem>
      </TextField>
      <FormGroup row aria-label="Views">
        {kinds.map(({ key, name }) => (
          <FormControlLabel
            key={key}
            control={
              <Checkbox
                checked={chosen.includes(key)}
                onChange={(_, on) => setChosen(on ? [...chosen, key] : chosen.filter((other) => other !== key))}
              />
            }
            label={`${name} (${counts[source][key]})`}
          />
        ))}
      </FormGroup>
      {errors.kinds && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 14 }}>
          {errors.kinds}
        </Typography>
      )}
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5, my: 2 }}>
        <TextField
          label="Pictures of each view"
          value={pictures}
          onChange={(event) => setPictures(event.target.value)}
          error={Boolean(errors.pictures)}
          helperText={errors.pictures}
          slotProps={{ htmlInput: { inputMode: "numeric" } }}
        />
        <TextField select label="Times each" value={passes} onChange={(event) => setPasses(Number(event.target.value))}>
          {[2, 3, 4].map((times) => (
            <MenuItem key={times} value={times}>
              {times}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Button
        variant="contained"
        disabled={fetcher.state !== "idle"}
        onClick={() =>
          void fetcher.submit(
            { intent: "start", id, source, kinds: chosen, pictures, passes },
            { method: "post", encType: "application/json" },
          )
        }
      >
        Begin marking
      </Button>
      <Typography sx={{ color: "text.secondary", fontSize: 14, mt: 1 }}>
        About {Math.max(1, Math.round(minutes))} {minutes < 1.5 ? "minute" : "minutes"} of marking.
      </Typography>
    </WhenReady>
  );
}
