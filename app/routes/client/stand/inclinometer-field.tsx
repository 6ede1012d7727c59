import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useRef, useState } from "react";
import { lastSecond, type Heard } from "~core/measure/steady";
import { seeded } from "~core/random";
import { inclinometerStandIn } from "~devices/inclinometer/inclinometer";
import Box from "@mui/material/Box";

/** An angle, typed or heard from the inclinometer: it is kept once a second of it was held still. */
export function InclinometerField({
  name,
  value,
  error,
  type,
  keep,
  truth,
}: {
  name: string;
  value: string;
  error: string | undefined;
  type: (value: string) => void;
  keep: (value: string) => void;
  truth: () => number;
}) {
  const [live, setLive] = useState<{ angle: number; steady: boolean } | undefined>();
  const heard = useRef<Heard[]>([]);
  const stop = useRef<(() => void) | undefined>(undefined);
  const end = () => {
    stop.current?.();
    stop.current = undefined;
    setLive(undefined);
  };
  useEffect(() => () => stop.current?.(), []);
  const listen = () => {
    heard.current = [];
    const device = inclinometerStandIn(truth(), seeded(Math.floor(Math.random() * 1e9)));
    stop.current = device.listen((each) => {
      heard.current = [...heard.current.slice(-40), each];
      const second = lastSecond(heard.current);
      setLive({ angle: each.angle, steady: second?.steady ?? false });
    });
  };
  const hold = () => {
    const second = lastSecond(heard.current);
    if (second) keep(second.angle.toFixed(1));
    end();
  };
  return (
    <Box>
      <TextField
        fullWidth
        label={live ? (live.steady ? "steady" : "hold it still") : "degrees"}
        value={live ? live.angle.toFixed(1) : value}
        onChange={(event) => type(event.target.value)}
        onBlur={() => !live && keep(value)}
        onKeyDown={(event) => event.key === "Enter" && !live && keep(value)}
        error={Boolean(error)}
        helperText={error}
        slotProps={{ htmlInput: { inputMode: "decimal", "aria-label": name, readOnly: Boolean(live) } }}
      />
      {live ? (
        <Box sx={{ display: "flex" }}>
          <Button size="small" disabled={!live.steady} onClick={hold} aria-label={`Keep the angle of ${name}`}>
            Keep
          </Button>
          <Button size="small" color="inherit" onClick={end}>
            Stop
          </Button>
        </Box>
      ) : (
        <Button size="small" onClick={listen} aria-label={`Hear the inclinometer for ${name}`}>
          Hear the device
        </Button>
      )}
    </Box>
  );
}
