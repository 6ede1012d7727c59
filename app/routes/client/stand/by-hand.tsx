import { sideBehind } from "~core/words";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import type { Moment } from "~core/findings/restriction";
import { measurable, readByHand, type HandMeasurement, type Measurable } from "~core/measure/by-hand";
import { directionWord, formatBand, formatValue, unitSign } from "~core/measure/format";
import { gradeWords, methodName, methodsFor, type HandMethodKey } from "~core/measure/methods";
import type { Metric } from "~core/measure/metrics";
import type { View } from "~core/measure/view";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import { WhenReady } from "~app/ui/when-ready";
import { InclinometerField } from "./inclinometer-field";

type Taken = { moment: Moment; visit: { id: string; ordinal: number }; standing: number };

/** The metrics of one view, taken without a picture: a value and what it was taken with, several methods side by side. */
export function ByHand({
  view,
  moment,
  visit,
  standing,
  measured,
  more,
  angleOf,
}: Taken & {
  view: View;
  /** What was taken at this moment. */
  measured: readonly HandMeasurement[];
  /** What standing again would bring. */
  more: string;
  /** What the inclinometer stand-in is laid on: the true angle of a metric (degrees). */
  angleOf: (readingId: string) => number;
}) {
  return (
    <Box>
      <Typography sx={{ color: "text.secondary", mb: 1, maxWidth: 560 }}>
        Each method has its own error, and the bands beside follow it. A metric taken in two ways is kept twice and
        compared with itself only. Leave out what you did not take.
        {standing > 1 && " They stepped off and stand again: what you take now is averaged with what you took before."}
        {standing === 1 && more && ` ${more}`}
      </Typography>
      {measurable
        .filter((each) => each.view === view)
        .map((each) => (
          <Row
            key={`${each.id} ${moment} ${visit.id} ${standing}`}
            what={each}
            moment={moment}
            visit={visit}
            standing={standing}
            taken={measured.filter((other) => other.readingId === each.id && other.standing === standing)}
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
  standing,
  taken,
  angleOf,
}: Taken & { what: Measurable; taken: readonly HandMeasurement[]; angleOf: (readingId: string) => number }) {
  const { metric, side } = what;
  const methods = methodsFor(metric);
  const [method, setMethod] = useState<HandMethodKey>(taken[0]?.method ?? methods[0]!.key);
  const chosen = methods.find((each) => each.key === method)!;
  const known = taken.find((each) => each.method === method);
  // what is typed for each method, until it is saved
  const [typed, setTyped] = useState<Partial<Record<HandMethodKey, string>>>({});
  const name = `${metric.name}${metric.sides === "each" ? sideBehind[side ?? "mid"] : ""}`;
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
        <Taking
          key={method}
          name={name}
          metric={metric}
          method={chosen}
          at={{ visitId: visit.id, moment, readingId: what.id, standing }}
          stored={known?.value ?? null}
          typed={typed[method]}
          type={(next) => setTyped((before) => ({ ...before, [method]: next }))}
          truth={() => angleOf(what.id)}
        />
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

/** The value of one method: kept when it is left or Enter is pressed. */
function Taking({
  name,
  metric,
  method,
  at,
  stored,
  typed,
  type,
  truth,
}: {
  name: string;
  metric: Metric;
  method: ReturnType<typeof methodsFor>[number];
  at: { visitId: string; moment: Moment; readingId: string; standing: number };
  stored: number | null;
  typed: string | undefined;
  type: (next: string | undefined) => void;
  truth: () => number;
}) {
  // what is typed may not be a number yet: it is sent as it stands, and the server says so
  const kept = useKeeper<number | string>(stored, (value) => ({
    ...at,
    method: method.key,
    value: value === "" ? null : value,
  }));
  const value = typed ?? (stored === null ? "" : String(stored));
  const send = (next: string) => {
    type(next);
    const plain = next.trim().replace(",", ".").replace("−", "-");
    if (plain !== (stored === null ? "" : String(stored))) kept.keep(plain);
  };
  const error = kept.errors?.value;
  const words = (each: number | string | null) => {
    if (each === null || each === "") return "not taken";
    const number = Number(each);
    if (Number.isNaN(number)) return String(each);
    return method.unit === "grade" ? gradeText(metric, number) : `${number}${unitSign({ unit: method.unit })}`;
  };
  return (
    <Box>
      {method.unit === "grade" ? (
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
      ) : method.key === "inclinometer" ? (
        <InclinometerField name={name} value={value} error={error} type={type} keep={send} truth={truth} />
      ) : (
        <TextField
          label={metric.unit === "deg" ? "degrees" : "mm"}
          value={value}
          onChange={(event) => type(event.target.value)}
          onBlur={() => send(value)}
          onKeyDown={(event) => event.key === "Enter" && send(value)}
          error={Boolean(error)}
          helperText={error}
          slotProps={{ htmlInput: { inputMode: "decimal", "aria-label": name } }}
        />
      )}
      <Overtaken by={{ ...kept, yield: () => (type(undefined), kept.yield()) }} what={name} words={words} />
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
