import { sideWord } from "~core/words";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { nameOf, placeNames, placesIn } from "~core/anatomy/places";
import { readPlace } from "~core/anatomy/read-place";
import { readWhen } from "~core/screening/told/when";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import type { DrawnLine } from "~app/ui/draw-on-figure";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { FieldErrors } from "~app/validation";

/** A scar as it is recorded: drawn on the figure or named, with length, age and whether it is closed. */
export function NewScar({
  drawn,
  today,
  born,
  done,
}: {
  drawn: DrawnLine | undefined;
  today: string;
  born: string | null;
  done: () => void;
}) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const [id] = useState(() => crypto.randomUUID());
  const [values, setValues] = useState({ where: "", length: "", since: "", words: "" });
  const [closed, setClosed] = useState<boolean | undefined>();
  const { data } = fetcher;
  useEffect(() => {
    if (data?.ok) done();
  }, [data, done]);
  const set = (change: Partial<typeof values>) => setValues((before) => ({ ...before, ...change }));
  const named = values.where.trim() ? readPlace(values.where) : undefined;
  const places = named ? (named.places.length > 0 ? named.places : placesIn(named.region)) : (drawn?.places ?? []);
  const side = named?.side ?? drawn?.side ?? "both";
  const when = values.since.trim() ? readWhen(values.since.trim(), today, born, false) : undefined;
  const error = (name: string) => data?.errors?.[name];
  return (
    <Box
      component="form"
      noValidate
      aria-label="New scar"
      onSubmit={(event) => {
        event.preventDefault();
        const body = {
          intent: "add",
          id,
          places,
          side,
          line: drawn ? { view: drawn.view, points: drawn.points } : null,
          lengthMm: values.length.trim(),
          sinceSaid: values.since.trim(),
          closed,
          words: values.words,
        };
        void fetcher.submit(body as never, { method: "post", encType: "application/json" });
      }}
      sx={(t) => ({
        border: `1px solid ${t.tokens.line}`,
        bgcolor: "background.paper",
        borderRadius: "10px",
        p: 2,
        mb: 2,
      })}
    >
      <Typography variant="h3" component="h2" sx={{ mb: 1.5 }}>
        New scar
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, gap: 1.5 }}>
        <TextField
          label="Where"
          placeholder={drawn ? "as drawn" : "right lower belly, or draw it"}
          value={values.where}
          onChange={(event) => set({ where: event.target.value })}
          error={Boolean(error("places"))}
          helperText={
            error("places") ??
            (places.length > 0
              ? `${named ? nameOf(named.region, named.places) : placeNames(places)}, ${sideWord[side]}`
              : values.where.trim()
                ? "not understood yet"
                : " ")
          }
        />
        <TextField
          label="Length, mm"
          value={values.length}
          onChange={(event) => set({ length: event.target.value })}
          error={Boolean(error("lengthMm"))}
          helperText={error("lengthMm") ?? " "}
          slotProps={{ htmlInput: { inputMode: "numeric" } }}
        />
        <TextField
          label="Since"
          placeholder="spring 2019, 14 weeks ago"
          value={values.since}
          onChange={(event) => set({ since: event.target.value })}
          error={Boolean(error("since"))}
          helperText={
            error("since") ??
            (when
              ? `counted from ${shortDay(when.latest)}`
              : values.since.trim()
                ? "not understood yet"
                : "empty: not known")
          }
        />
        <TextField
          label="In words"
          placeholder="appendix, keyhole"
          value={values.words}
          onChange={(event) => set({ words: event.target.value })}
          error={Boolean(error("words"))}
          helperText={error("words") ?? " "}
        />
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Typography>Fully closed?</Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={closed ?? null}
          onChange={(_, next: boolean | null) => next !== null && setClosed(next)}
          aria-label="Fully closed?"
        >
          <ToggleButton value={true}>Yes</ToggleButton>
          <ToggleButton value={false}>No, or not sure</ToggleButton>
        </ToggleButtonGroup>
        {error("closed") && (
          <Typography role="alert" sx={(t) => ({ color: t.tokens.clay })}>
            {error("closed")}
          </Typography>
        )}
      </Box>
      <Box sx={{ mt: 2, display: "flex", gap: 1.5 }}>
        <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"}>
          Record it
        </Button>
        <Button color="inherit" onClick={done}>
          Cancel
        </Button>
      </Box>
    </Box>
  );
}
