import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { Moment } from "~core/findings/restriction";
import { measurable, methodsFor, type HandMeasurement, type Measurable, type MethodKey } from "~core/measure/by-hand";
import { formatBand } from "~core/measure/format";
import type { View } from "~core/measure/view";
import type { FieldErrors } from "~app/validation";
import { WhenReady } from "~app/ui/when-ready";

/** The metrics of one view, taken without a picture: a value and what it was taken with. */
export function ByHand({
  view,
  moment,
  visit,
  measured,
}: {
  view: View;
  moment: Moment;
  visit: { id: string; ordinal: number };
  measured: readonly HandMeasurement[];
}) {
  return (
    <Box>
      <Typography sx={{ color: "text.secondary", mb: 1, maxWidth: 560 }}>
        Each method has its own error, and the bands beside follow it. Leave out what you did not take.
      </Typography>
      {measurable
        .filter((each) => each.view === view)
        .map((each) => (
          <Row
            key={`${each.id} ${moment} ${visit.id}`}
            what={each}
            moment={moment}
            visitId={visit.id}
            known={measured.find(
              (other) => other.readingId === each.id && other.moment === moment && other.ordinal === visit.ordinal,
            )}
          />
        ))}
    </Box>
  );
}

function Row({
  what,
  moment,
  visitId,
  known,
}: {
  what: Measurable;
  moment: Moment;
  visitId: string;
  known: HandMeasurement | undefined;
}) {
  const { metric, side } = what;
  const methods = methodsFor(metric);
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const [method, setMethod] = useState<MethodKey>(known?.method ?? methods[0]!.key);
  const [value, setValue] = useState(known ? String(known.value) : "");
  const send = (nextMethod: MethodKey, next: string) => {
    const plain = next.trim().replace(",", ".").replace("−", "-");
    if ((plain === "" && !known) || (known && known.method === nextMethod && String(known.value) === plain)) return;
    void fetcher.submit(
      { visitId, moment, readingId: what.id, method: nextMethod, value: plain === "" ? null : plain },
      { method: "post", encType: "application/json" },
    );
  };
  const name = `${metric.name}${metric.sides === "each" ? (side === "L" ? ", left" : ", right") : ""}`;
  const error = fetcher.data?.errors?.value;
  return (
    <Box
      sx={(t) => ({
        borderTop: `1px solid ${t.tokens.line}`,
        py: 1,
        display: "grid",
        gridTemplateColumns: { xs: "1fr 1fr", md: "minmax(0,1fr) 100px 214px" },
        gap: 1.5,
        alignItems: "center",
      })}
    >
      <WhenReady>
        <Box title={metric.definition} sx={{ gridColumn: { xs: "1 / -1", md: "auto" } }}>
          <Typography>{name}</Typography>
          <Typography sx={{ fontSize: 13, color: "text.secondary" }}>
            {metric.words[0] ? `minus: ${metric.words[0]}, plus: ${metric.words[1]}` : metric.definition}
          </Typography>
        </Box>
        <TextField
          label={metric.unit === "deg" ? "degrees" : "mm"}
          value={value}
          onChange={(event) => setValue(event.target.value)}
          onBlur={() => send(method, value)}
          onKeyDown={(event) => event.key === "Enter" && send(method, value)}
          error={Boolean(error)}
          helperText={error}
          slotProps={{ htmlInput: { inputMode: "decimal", "aria-label": name } }}
        />
        <TextField
          select
          label={`Taken with, ${formatBand(metric, methods.find((each) => each.key === method)!.se)}`}
          value={method}
          onChange={(event) => {
            const next = event.target.value as MethodKey;
            setMethod(next);
            if (value.trim()) send(next, value);
          }}
        >
          {methods.map((each) => (
            <MenuItem key={each.key} value={each.key}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
      </WhenReady>
    </Box>
  );
}
