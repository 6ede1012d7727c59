import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import { useCallback, useEffect, useRef, useState } from "react";
import { mostPoints, positionsOf, type PathPoint, type Unwinding } from "~core/light-touch/unwinding";
import { seeded } from "~core/random";
import { motionStandIn } from "~devices/motion/motion";
import Box from "@mui/material/Box";

/** A path in its box, with the places in which it stayed. */
export function PathPicture({ path }: { path: readonly PathPoint[] }) {
  const { tokens } = useTheme();
  return (
    <svg
      viewBox="0 0 1000 1000"
      width="100%"
      role="img"
      aria-label="The path that was followed"
      style={{ display: "block", background: tokens.sheet, border: `1px solid ${tokens.line}` }}
    >
      <polyline
        points={path.map(([x, y]) => `${x.toFixed(0)},${y.toFixed(0)}`).join(" ")}
        fill="none"
        stroke={tokens.plum}
        strokeWidth={5}
        strokeLinejoin="round"
      />
      {positionsOf(path).map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={26} fill="none" stroke={tokens.ember} strokeWidth={6} />
      ))}
    </svg>
  );
}

/** New points go into the log once there are so many, or after so long (ms). */
const pieces = 40;
const pieceMs = 2000;

/** Where a finger draws what the limb does, or a tracker fills it in. */
export function PathPad({ run, add }: { run: Unwinding; add: (points: PathPoint[]) => void }) {
  const { tokens } = useTheme();
  const waiting = useRef<PathPoint[]>([]);
  const [drawn, setDrawn] = useState<readonly PathPoint[]>([]);
  const latest = useRef(add);
  useEffect(() => {
    latest.current = add;
  });
  const flush = useCallback(() => {
    if (waiting.current.length === 0) return;
    latest.current(waiting.current.slice(0, mostPoints));
    waiting.current = [];
    setDrawn([]);
  }, []);
  useEffect(() => {
    const timer = window.setInterval(flush, pieceMs);
    return () => {
      window.clearInterval(timer);
      flush();
    };
  }, [flush]);
  const begun = Date.parse(run.begun);
  const at = useCallback(
    (x: number, y: number) => {
      const seconds = Math.max(0, Math.round((Date.now() - begun) / 100) / 10);
      const point: PathPoint = [
        Math.max(0, Math.min(1000, Math.round(x))),
        Math.max(0, Math.min(1000, Math.round(y))),
        seconds,
      ];
      waiting.current.push(point);
      setDrawn((known) => [...known, point]);
      if (waiting.current.length >= pieces) flush();
    },
    [begun, flush],
  );
  const drawing = useRef<readonly [number, number] | undefined>(undefined);
  const move = (event: React.PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const [x, y] = [(1000 * (event.clientX - box.left)) / box.width, (1000 * (event.clientY - box.top)) / box.height];
    const last = drawing.current;
    if (last && Math.hypot(x - last[0], y - last[1]) < 12) return;
    drawing.current = [x, y];
    at(x, y);
  };
  const [tracking, setTracking] = useState(false);
  useEffect(() => {
    if (!tracking) return;
    const random = seeded(Math.floor(Math.random() * 1e9));
    const loops = 2 + Math.floor(4 * random.uniform());
    return motionStandIn(loops, 3, random).listen(([x, y]) => at(x, y));
  }, [tracking, at]);
  const path = [...run.path, ...drawn];
  return (
    <Box>
      <Box
        component="svg"
        viewBox="0 0 1000 1000"
        role="img"
        aria-label="Draw the path with one finger"
        sx={{
          width: "100%",
          maxHeight: "62dvh",
          display: "block",
          touchAction: "none",
          bgcolor: "background.paper",
          border: `1px solid ${tokens.line}`,
        }}
        onPointerDown={(event: React.PointerEvent<SVGSVGElement>) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drawing.current = undefined;
          move(event);
        }}
        onPointerMove={(event: React.PointerEvent<SVGSVGElement>) => event.buttons > 0 && move(event)}
      >
        <polyline
          points={path.map(([x, y]) => `${x},${y}`).join(" ")}
          fill="none"
          stroke={tokens.plum}
          strokeWidth={5}
          strokeLinejoin="round"
        />
        {path.length > 0 && <circle cx={path.at(-1)![0]} cy={path.at(-1)![1]} r={14} fill={tokens.ember} />}
      </Box>
      <Button color="inherit" onClick={() => setTracking(!tracking)}>
        {tracking ? "Stop the motion stand-in" : "Follow the motion stand-in"}
      </Button>
    </Box>
  );
}
