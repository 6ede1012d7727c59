import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import { layers, type LayerKey } from "~core/anatomy/layers";
import { regionName, type RegionKey } from "~core/anatomy/regions";
import { structures } from "~core/anatomy/structures";
import { directions, gradeWords, qualities, type Moment } from "~core/findings/restriction";
import type { FieldErrors } from "~app/validation";

/** What is felt at one place: the structure decides the layer, the rest is a few choices. */
export function NewRestriction({
  place,
  preferred,
  visitId,
  moment,
  close,
}: {
  place: { region: RegionKey; side: "L" | "R" };
  preferred: LayerKey | undefined;
  visitId: string;
  moment: Moment;
  close: () => void;
}) {
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const [id] = useState(() => crypto.randomUUID());
  const options = structures.filter((structure) => structure.region === place.region);
  const [structure, setStructure] = useState(
    (options.find((each) => each.layer === (preferred ?? "SM")) ?? options[0]!).key,
  );
  const [layer, setLayer] = useState<LayerKey>(options.find((each) => each.key === structure)!.layer);
  const [values, setValues] = useState({
    side: place.side as string,
    quality: "drag",
    grade: "2",
    tenderness: "0",
    bind: "",
    ease: "",
  });
  const { data } = fetcher;
  useEffect(() => {
    if (data?.ok) close();
  }, [data, close]);

  const select = (key: keyof typeof values, label: string, choices: readonly (readonly [string, string])[]) => (
    <TextField
      key={key}
      select
      label={label}
      value={values[key]}
      onChange={(event) => setValues({ ...values, [key]: event.target.value })}
    >
      {choices.map(([value, text]) => (
        <MenuItem key={value} value={value}>
          {text}
        </MenuItem>
      ))}
    </TextField>
  );
  const ways = [["", "not told"], ...directions.map((each) => [each, `towards ${each}`])] as [string, string][];

  // where the figure fills the screen, what was chosen on it comes into view
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    form.current?.scrollIntoView({ block: "nearest" });
  }, []);

  return (
    <Box
      component="form"
      ref={form}
      aria-label="New restriction"
      onSubmit={(event) => {
        event.preventDefault();
        void fetcher.submit(
          {
            intent: "add",
            id,
            visitId,
            moment,
            region: place.region,
            structure,
            layer,
            ...values,
            grade: Number(values.grade),
            tenderness: Number(values.tenderness),
          },
          { method: "post", encType: "application/json" },
        );
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
        {regionName(place.region)}
      </Typography>
      {data?.errors && (
        <Alert severity="error" sx={{ mb: 1.5 }}>
          {Object.values(data.errors).join(" ")}
        </Alert>
      )}
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", lg: "repeat(4, 1fr)" }, gap: 1.5 }}>
        <TextField
          select
          autoFocus
          label="Structure"
          value={structure}
          onChange={(event) => {
            setStructure(event.target.value);
            setLayer(options.find((each) => each.key === event.target.value)!.layer);
          }}
        >
          {options.map((each) => (
            <MenuItem key={each.key} value={each.key}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField select label="Layer" value={layer} onChange={(event) => setLayer(event.target.value as LayerKey)}>
          {layers.map((each) => (
            <MenuItem key={each.key} value={each.key}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
        {select("side", "Side", [
          ["R", "Right"],
          ["L", "Left"],
          ["both", "Both"],
        ])}
        {select(
          "grade",
          "Grade",
          gradeWords.map((word, i) => [String(i), word]),
        )}
        {select(
          "quality",
          "Feels like",
          qualities.map((each) => [each, each]),
        )}
        {select(
          "tenderness",
          "Tender, 0–10",
          Array.from({ length: 11 }, (_, i) => [String(i), String(i)]),
        )}
        {select("bind", "Binds", ways)}
        {select("ease", "Eases", ways)}
      </Box>
      <Box sx={{ mt: 2, display: "flex", gap: 1.5 }}>
        <Button type="submit" variant="contained" disabled={fetcher.state !== "idle"}>
          Add restriction
        </Button>
        <Button color="inherit" onClick={close}>
          Cancel
        </Button>
      </Box>
    </Box>
  );
}
