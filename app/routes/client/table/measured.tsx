import { sideTitle } from "~core/words";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { faultOf, type Answer } from "~core/table/answers";
import { unitWords, type Check } from "~core/table/checks";
import type { Side } from "~core/units";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

/** A value by tape, rule or inclinometer: kept when the field is left or Enter is pressed. */
export function Measured({
  check,
  own,
  felt,
  seen,
  keep,
  next,
}: {
  check: Check;
  own: readonly Answer[];
  felt: boolean;
  seen: readonly [Side, Side];
  keep: (side: Side | null, value: number | null) => void;
  next: () => void;
}) {
  const measure = check.measure!;
  const known = (side: Side | null) => own.find((each) => each.way === "measured" && each.side === side)?.value;
  const unit = unitWords[measure.unit].trim();
  const sides: readonly (Side | null)[] = check.kind === "each" ? seen : [null];
  return (
    <Box sx={{ mt: 2, display: "flex", gap: 1.5, alignItems: "flex-start", flexWrap: "wrap" }}>
      {felt && <Typography sx={{ color: "text.secondary", pt: 1.5 }}>or measured</Typography>}
      {check.kind === "side"
        ? // the side is said by where it is typed, never by a sign
          seen.map((side) => {
            const value = known(null);
            const mine = value !== undefined && value !== 0 && value > 0 === (side === "L");
            return (
              <Value
                key={side}
                label={`${sideTitle[side]} ${check.stands}, ${unit}`}
                check={check}
                side={null}
                value={value === 0 ? 0 : mine ? Math.abs(value) : undefined}
                most={Math.max(...measure.limits)}
                keep={(typed) => keep(null, typed === null ? null : side === "L" ? typed : -typed)}
                next={next}
              />
            );
          })
        : sides.map((side) => (
            <Value
              key={String(side)}
              label={`${side ? `${sideTitle[side]}, ` : ""}${unit}`}
              check={check}
              side={side}
              value={known(side)}
              keep={(typed) => keep(side, typed)}
              next={side === sides.at(-1) ? next : undefined}
            />
          ))}
    </Box>
  );
}

function Value({
  label,
  check,
  side,
  value,
  most,
  keep,
  next,
}: {
  label: string;
  check: Check;
  side: Side | null;
  value: number | undefined;
  /** Typed without a sign up to this. */
  most?: number;
  keep: (value: number | null) => void;
  next: (() => void) | undefined;
}) {
  const [typed, setTyped] = useState<string | undefined>();
  const text = typed ?? (value === undefined ? "" : String(value));
  const number = text.trim() === "" ? null : Number(text.replace(",", "."));
  const fault =
    number === null
      ? undefined
      : Number.isNaN(number)
        ? `${check.name}: type a number, got “${text}”.`
        : most !== undefined && (number < 0 || number > most)
          ? `${check.name}: from 0 to ${most}, got ${text}.`
          : faultOf({ check: check.key, side, way: "measured", value: number });
  const leave = () => {
    if (typed === undefined || fault) return;
    if (number !== (value ?? null)) keep(number);
    setTyped(undefined);
  };
  return (
    <TextField
      fullWidth={false}
      label={label}
      value={text}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key !== "Enter" || fault) return;
        leave();
        next?.();
      }}
      error={fault !== undefined}
      helperText={fault}
      sx={{ width: 170, "& input": { minHeight: 32 } }}
      slotProps={{ htmlInput: { inputMode: "decimal", autoComplete: "off" } }}
    />
  );
}
