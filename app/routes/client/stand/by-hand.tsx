import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { Moment } from "~core/findings/restriction";
import { measurable, readByHand, type HandMeasurement, type Measurable } from "~core/measure/by-hand";
import { directionWord, formatBand, formatValue, unitSign } from "~core/measure/format";
import { gradeWords, methodName, methodsFor, type HandMethodKey } from "~core/measure/methods";
import type { Metric } from "~core/measure/metrics";
import type { View } from "~core/measure/view";
import type { FieldErrors } from "~app/validation";
import { WhenReady } from "~app/ui/when-ready";
import { InclinometerField } from "./inclinometer-field";

type Taken = { moment: Moment; visit: { id: string; ordinal: number } };

/** The metrics of one view, taken without a picture: a value and what it was taken with, several methods side by side. */
export function ByHand({
  view,
  moment,
  visit,
  measured,
  angleOf,
}: Taken & {
  view: View;
  measured: readonly HandMeasurement[];
  /** What the inclinometer stand-in is laid on: the true angle of a metric (degrees). */
  angleOf: (readingId: string) => number;
}) {
  return (
    <Box>
      <Typography sx={{ color: "text.secondary", mb: 1, maxWidth: 560 }}>
        Each method has its own error, and the bands beside follow it. A metric taken in two ways is kept twice and
        compared with itself only. Leave out what you did not take.
      </Typography>
      {measurable
        .filter((each) => each.view === view)
        .map((each) => (
          <Row
            key={`${each.id} ${moment} ${visit.id}`}
            what={each}
            moment={moment}
            visit={visit}
            taken={measured.filter(
              (other) => other.readingId === each.id && other.moment === moment && other.ordinal === visit.ordinal,
            )}
            angleOf={angleOf}
          />
        ))}
    </Box>
  );
}

function Row({
  what,
  moment,
  visit,
  taken,
  angleOf,
}: Taken & { what: Measurable; taken: readonly HandMeasurement[]; angleOf: (readingId: string) => number }) {
  const { metric, side } = what;
  const methods = methodsFor(metric);
  const fetcher = useFetcher<{ ok?: boolean; errors?: FieldErrors }>();
  const [method, setMethod] = useState<HandMethodKey>(taken[0]?.method ?? methods[0]!.key);
  const chosen = methods.find((each) => each.key === method)!;
  const known = taken.find((each) => each.method === method);
  // what is typed for each method, until it is saved
  const [typed, setTyped] = useState<Partial<Record<HandMethodKey, string>>>({});
  const value = typed[method] ?? (known ? String(known.value) : "");
  const send = (next: string) => {
    setTyped({ ...typed, [method]: next });
    const plain = next.trim().replace(",", ".").replace("−", "-");
    if (plain === (known ? String(known.value) : "")) return;
    void fetcher.submit(
      { visitId: visit.id, moment, readingId: what.id, method, value: plain === "" ? null : plain },
      { method: "post", encType: "application/json" },
    );
  };
  const name = `${metric.name}${metric.sides === "each" ? (side === "L" ? ", left" : ", right") : ""}`;
  const error = fetcher.data?.errors?.value;
  const others = taken.filter((each) => each.method !== method);
  return (
    <Box
      role="group"
      aria-label={name}
      sx={(t) => ({
        borderTop: `1px solid ${t.tokens.line}`,
        py: 1,
        display: "grid",
        gridTemplateColumns: { xs: "1fr 1fr", md: "minmax(0,1fr) 150px 200px" },
        gap: 1.5,
        alignItems: "start",
      })}
    >
      <WhenReady>
        <Box title={metric.definition} sx={{ gridColumn: { xs: "1 / -1", md: "auto" } }}>
          <Typography>{name}</Typography>
          <Typography sx={{ fontSize: 13, color: "text.secondary" }}>
            {metric.words[0] ? `minus: ${metric.words[0]}, plus: ${metric.words[1]}` : metric.definition}
          </Typography>
          {others.map((each) => (
            <Button
              key={each.method}
              size="small"
              onClick={() => setMethod(each.method)}
              sx={{ p: 0, minHeight: 28, fontSize: 13, mr: 1 }}
            >
              {methodName(each.method)}: {valueWords(each)}
            </Button>
          ))}
        </Box>
        {chosen.unit === "grade" ? (
          <TextField
            select
            label="Grade"
            value={value}
            onChange={(event) => send(event.target.value)}
            error={Boolean(error)}
            helperText={error}
          >
            <MenuItem value="">not taken</MenuItem>
            {[-3, -2, -1, 0, 1, 2, 3].map((grade) => (
              <MenuItem key={grade} value={String(grade)}>
                {gradeText(metric, grade)}
              </MenuItem>
            ))}
          </TextField>
        ) : method === "inclinometer" ? (
          <InclinometerField
            name={name}
            value={value}
            error={error}
            type={(next) => setTyped({ ...typed, [method]: next })}
            keep={send}
            truth={() => angleOf(what.id)}
          />
        ) : (
          <TextField
            label={metric.unit === "deg" ? "degrees" : "mm"}
            value={value}
            onChange={(event) => setTyped({ ...typed, [method]: event.target.value })}
            onBlur={() => send(value)}
            onKeyDown={(event) => event.key === "Enter" && send(value)}
            error={Boolean(error)}
            helperText={error}
            slotProps={{ htmlInput: { inputMode: "decimal", "aria-label": name } }}
          />
        )}
        <TextField
          select
          label={`Taken with, ${formatBand(chosen, chosen.se)}`}
          value={method}
          onChange={(event) => setMethod(event.target.value as HandMethodKey)}
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

/** An eye grade in words: "clearly right low". */
function gradeText(metric: Metric, grade: number): string {
  const word = gradeWords[Math.abs(grade)]!;
  return grade === 0 ? word : `${word} ${directionWord({ unit: "grade", metric }, grade)}`;
}

/** A value that was taken, as it is read. */
function valueWords(measured: HandMeasurement): string {
  const reading = readByHand(measured);
  if (!reading) return String(measured.value);
  if (reading.unit === "grade") return gradeText(reading.metric, reading.value);
  return `${formatValue(reading, reading.value)}${unitSign(reading)}`;
}
