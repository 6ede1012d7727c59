import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import {
  returns,
  stillPlaces,
  stillWords,
  type Return,
  type StillEvent,
  type StillPlace,
  type StillPoint,
} from "~core/light-touch/still-point";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Clock } from "./clock";

/** A still point timed by one press each: hands on, it stands still, it is back. */
export function StillTimer({
  points,
  press,
  no,
}: {
  points: readonly StillPoint[];
  press: (body: StillEvent["body"]) => void;
  /** Why none may be sought. */
  no: string | undefined;
}) {
  const [place, setPlace] = useState<StillPlace>("occiput");
  const open = points.find(({ still, givenUp }) => still === undefined && !givenUp);
  const last = points.at(-1);
  const [rate, setRate] = useState("");
  const typed = rate.trim() === "" ? null : Number(rate.replace(",", "."));
  const fault =
    typed !== null && !(typed > 0 && typed <= 200) ? `Rate: above 0 and up to 200 a minute, got “${rate}”.` : undefined;
  const field = (
    <TextField
      label={open ? "Rate after, a minute" : "Rate before, a minute"}
      value={rate}
      onChange={(event) => setRate(event.target.value)}
      error={fault !== undefined}
      helperText={fault}
      fullWidth={false}
      sx={{ width: 220 }}
      slotProps={{ htmlInput: { inputMode: "decimal", autoComplete: "off" } }}
    />
  );
  return (
    <Box component="section" aria-label="Still point" sx={{ mb: 2 }}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        Still point
      </Typography>
      {points
        .filter((point) => point !== open)
        .map((point) => (
          <Typography key={point.point}>{stillWords(point)}</Typography>
        ))}
      {open ? (
        <>
          <Typography sx={{ fontSize: 18, mb: 1 }}>
            At the {open.place}, {open.toStill === undefined ? "waiting" : "still"}:{" "}
            <Clock
              since={
                open.toStill === undefined ? open.on : new Date(Date.parse(open.on) + 1000 * open.toStill).toISOString()
              }
            />
          </Typography>
          <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
            {open.toStill === undefined ? (
              <Button variant="contained" onClick={() => press({ point: open.point, press: "still" })}>
                It stands still
              </Button>
            ) : (
              <Button
                variant="contained"
                onClick={() => press({ point: open.point, press: "back", how: null, rate: null })}
              >
                It is back
              </Button>
            )}
            <Button color="inherit" onClick={() => press({ point: open.point, press: "given up" })}>
              Leave it
            </Button>
          </Box>
        </>
      ) : (
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", mt: 1, alignItems: "flex-start" }}>
          {last?.still !== undefined && last.back === null && (
            <TextField
              select
              label="How it came back"
              value=""
              fullWidth={false}
              sx={{ width: 220 }}
              onChange={(event) => {
                press({
                  point: last.point,
                  press: "back",
                  how: event.target.value as Return,
                  rate: fault ? null : typed,
                });
                setRate("");
              }}
            >
              {returns.map((each) => (
                <MenuItem key={each} value={each}>
                  {each}
                </MenuItem>
              ))}
            </TextField>
          )}
          <TextField
            select
            label="Where"
            value={place}
            fullWidth={false}
            sx={{ width: 160 }}
            onChange={(event) => setPlace(event.target.value as StillPlace)}
          >
            {stillPlaces.map((each) => (
              <MenuItem key={each} value={each}>
                {each}
              </MenuItem>
            ))}
          </TextField>
          {field}
          <Button
            variant="outlined"
            disabled={no !== undefined || fault !== undefined}
            onClick={() => {
              press({ point: crypto.randomUUID(), press: "on", place, rate: typed });
              setRate("");
            }}
          >
            Hands on
          </Button>
        </Box>
      )}
    </Box>
  );
}
