import { useTheme } from "@mui/material/styles";
import { forwardRef, useEffect, useImperativeHandle, useRef } from "react";
import { onTarget } from "~core/trainer/force";
import Box from "@mui/material/Box";

/** Adds a reading without drawing anything else anew. */
export type Trace = { add: (seconds: number, grams: number) => void; clear: () => void };

const width = 640;
const height = 260;

/** What the scale told over the round, drawn once a frame however many readings come; nothing of it while it is blind. */
export const ForceTrace = forwardRef<Trace, { target: number; seconds: number; blind: boolean }>(function ForceTrace(
  { target, seconds, blind },
  ref,
) {
  const { tokens } = useTheme();
  const canvas = useRef<HTMLCanvasElement>(null);
  const points = useRef<[number, number][]>([]);
  const fresh = useRef(true);
  useImperativeHandle(ref, () => ({
    add: (at, grams) => {
      // time that goes back is another round: a late reading of the one before is no part of it
      if (at < (points.current.at(-1)?.[0] ?? 0)) points.current = [];
      points.current.push([at, grams]);
      fresh.current = true;
    },
    clear: () => {
      points.current = [];
      fresh.current = true;
    },
  }));
  useEffect(() => {
    fresh.current = true;
    const most = 4 * target;
    const x = (at: number) => (width * at) / seconds;
    const y = (grams: number) => height - (height * Math.max(0, Math.min(most, grams))) / most;
    let frame = requestAnimationFrame(function draw() {
      frame = requestAnimationFrame(draw);
      const context = canvas.current?.getContext("2d");
      if (!context || !fresh.current) return;
      fresh.current = false;
      context.clearRect(0, 0, width, height);
      context.fillStyle = tokens.band;
      context.fillRect(0, y(target + onTarget), width, y(target - onTarget) - y(target + onTarget));
      context.fillStyle = tokens.inkSoft;
      context.font = "13px sans-serif";
      context.fillText(`${target} g ±${onTarget}`, 6, y(target + onTarget) - 4);
      if (blind) return;
      context.strokeStyle = tokens.plum;
      context.lineWidth = 1.6;
      context.beginPath();
      for (const [i, [at, grams]] of points.current.entries()) {
        // a drop-out is a gap in the line
        if (i === 0 || at - points.current[i - 1]![0] > 0.5) context.moveTo(x(at), y(grams));
        else context.lineTo(x(at), y(grams));
      }
      context.stroke();
    });
    return () => cancelAnimationFrame(frame);
  }, [target, seconds, blind, tokens]);
  return (
    <Box
      component="canvas"
      ref={canvas}
      width={width}
      height={height}
      role="img"
      aria-label={blind ? "The trace is hidden until the round is over" : "Trace of the force"}
      sx={{ width: "100%", height: "auto", border: `1px solid ${tokens.line}`, bgcolor: "background.paper" }}
    />
  );
});
