import { sideTitle } from "~core/words";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useRef, useState } from "react";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import type { Moment } from "~core/findings/restriction";
import { endFeels, endFeelWords, type EndFeel, type Movement } from "~core/move/movements";
import { drives, mostRepeats, rangeFault, type Drive, type Range, type Taken } from "~core/move/ranges";
import { seedOf, seeded } from "~core/random";
import { z95, type Side } from "~core/units";
import { Dial, type Live } from "./dial";
import { useHearing } from "./use-hearing";
import type { InclinometerKind } from "./which-inclinometer";
import { rangeWords, unitOf } from "~core/move/words";

/** So many repeats in a row the device takes. */
const inARow = 3;

/** One movement: both sides on one dial, heard or typed, with how it ended. */
export function RangeCard({
  movement,
  clientId,
  moment,
  now,
  earlier,
  inclinometer,
  keep,
}: {
  movement: Movement;
  clientId: string;
  moment: Moment;
  /** What was taken at this moment. */
  now: readonly Range[];
  /** The same of the visit before, before its work. */
  earlier: readonly Range[];
  inclinometer: InclinometerKind;
  keep: (taken: Taken) => void;
}) {
  const [drive, setDrive] = useState<Drive>("active");
  const live = useRef<Live>(null);
  const sides: readonly (Side | null)[] = movement.sided ? ["L", "R"] : [null];
  return (
    <Box
      component="section"
      aria-label={movement.name}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 420px) minmax(0, 1fr)" },
        columnGap: 3,
        mb: 2,
      }}
    >
      <Box>
        <Typography component="h3" sx={{ fontFamily: "h1.fontFamily", fontSize: 26, fontWeight: 650, lineHeight: 1.2 }}>
          {movement.name}
        </Typography>
        <Typography sx={{ fontSize: 17, mt: 0.5, mb: 1 }}>{movement.how}</Typography>
        <Box sx={{ maxWidth: { xs: 270, lg: 420 } }}>
          <Dial
            ref={live}
            movement={movement}
            now={now}
            earlier={earlier}
            label={now.length > 0 ? now.map(rangeWords).join("; ") : "Not measured yet"}
          />
        </Box>
        <Fine>
          Green: {movement.lessIsMore ? "down to" : "from"} {movement.reference}
          {unitOf(movement)} ({movement.source}). Pale band: 95 %. Hollow: the visit before. Dashed: passive.
        </Fine>
      </Box>
      <Box>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={drive}
          onChange={(_, next: Drive | null) => next && setDrive(next)}
          aria-label="Active or passive"
          sx={{ mb: 1.5 }}
        >
          {drives.map((each) => (
            <ToggleButton key={each} value={each} sx={{ minHeight: 48, px: 3 }}>
              {each}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: movement.sided ? { xs: "1fr", md: "1fr 1fr" } : "minmax(0, 360px)",
            gap: 2,
          }}
        >
          {sides.map((side) => (
            <OneSide
              key={`${side} ${drive} ${moment}`}
              movement={movement}
              clientId={clientId}
              inclinometer={inclinometer}
              side={side}
              drive={drive}
              moment={moment}
              taken={now.find(({ taken }) => taken.side === side && taken.drive === drive)}
              show={(angle) => live.current?.show(angle, side)}
              keep={keep}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

function OneSide({
  movement,
  clientId,
  inclinometer,
  side,
  drive,
  moment,
  taken,
  show,
  keep,
}: {
  movement: Movement;
  clientId: string;
  inclinometer: InclinometerKind;
  side: Side | null;
  drive: Drive;
  moment: Moment;
  taken: Range | undefined;
  show: (angle: number | undefined) => void;
  keep: (taken: Taken) => void;
}) {
  const [typed, setTyped] = useState("");
  const [begun, setBegun] = useState<{ endFeel: EndFeel | null; pain: number | null }>({ endFeel: null, pain: null });
  const values = taken?.taken.values ?? [];
  const { endFeel, pain } = taken?.taken ?? begun;
  const send = (change: Partial<Taken>) =>
    keep({ moment, movement: movement.key, side, drive, values, endFeel, pain, ...change });
  // several may come before the page was drawn anew
  const latest = useRef<readonly number[]>(values);
  latest.current = values;
  const take = (value: number) => {
    latest.current = [...latest.current, value].slice(-mostRepeats);
    send({ values: latest.current });
  };
  const hearing = useHearing({ show, take, most: inARow });
  const how = (change: { endFeel?: EndFeel | null; pain?: number | null }) =>
    values.length > 0 ? send(change) : setBegun({ ...begun, ...change });
  const number = typed.trim() === "" ? undefined : Number(typed.replace(",", "."));
  const fault =
    number === undefined
      ? undefined
      : Number.isNaN(number)
        ? `${movement.name}: type a number, got “${typed}”.`
        : rangeFault({ movement: movement.key, side, values: [number], endFeel: null, pain: null });
  const title = side ? sideTitle[side] : movement.name;
  return (
    <Box role="group" aria-label={title} sx={{ display: "grid", gap: 1.75, alignContent: "start" }}>
      <Typography sx={{ fontWeight: 650 }}>
        {title}
        <Box component="span" role="status" sx={{ fontWeight: 400 }}>
          {taken
            ? `: ${round(taken.value)} ±${round(z95 * taken.se)}${unitOf(movement)}, ${values.length === 1 ? "once" : `mean of ${values.length}`}`
            : ": not measured yet"}
        </Box>
      </Typography>
      {values.length > 1 && <Fine>{values.map((value) => round(value)).join(", ")}</Fine>}
      {movement.unit === "deg" && (
        <Button
          variant={hearing.listening ? "outlined" : "contained"}
          sx={{ minHeight: 56 }}
          onClick={() =>
            hearing.listening ? hearing.end() : void hearing.begin(inclinometer, truthOf(clientId, movement, side))
          }
        >
          {hearing.listening ? `Listening: hold still at the end, ${inARow} times` : `Hear ${inARow} in a row`}
        </Button>
      )}
      <TextField
        label={`Typed, ${unitOf(movement).trim()}`}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "Enter" || number === undefined || fault) return;
          take(number);
          setTyped("");
        }}
        error={fault !== undefined}
        helperText={fault ?? "Enter adds it; several are averaged."}
        slotProps={{ htmlInput: { inputMode: "decimal", autoComplete: "off" } }}
      />
      <TextField
        select
        label="It ended"
        value={endFeel ?? ""}
        onChange={(event) => how({ endFeel: (event.target.value || null) as EndFeel | null })}
      >
        <MenuItem value="">not told</MenuItem>
        {endFeels.map((each) => (
          <MenuItem key={each} value={each}>
            {endFeelWords[each]}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Pain at the end, 0–10"
        value={pain ?? ""}
        onChange={(event) => how({ pain: String(event.target.value) === "" ? null : Number(event.target.value) })}
      >
        <MenuItem value="">not asked</MenuItem>
        {Array.from({ length: 11 }, (_, i) => (
          <MenuItem key={i} value={i}>
            {i}
          </MenuItem>
        ))}
      </TextField>
      {values.length > 0 && (
        <Button color="inherit" onClick={() => send({ values: [] })}>
          Take it back
        </Button>
      )}
    </Box>
  );
}

const round = (value: number) => String(Math.round(value * 10) / 10);

/** What the stand-in's limb really does: invented for each client, the same each time. */
const truthOf = (clientId: string, movement: Movement, side: Side | null): number =>
  movement.reference * (0.68 + 0.3 * seeded(seedOf(`${clientId} ${movement.key} ${side}`)).uniform());
