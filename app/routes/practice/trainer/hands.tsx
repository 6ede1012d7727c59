import { useTheme } from "@mui/material/styles";
import { useEffect, useRef } from "react";
import Box from "@mui/material/Box";

/** Two handholds that are carried up and down: `at` tells where, −1 to 1 and a little beyond, seconds after it began. */
export function Hands({ at, running }: { at: (seconds: number) => { L: number; R: number }; running: boolean }) {
  const { tokens } = useTheme();
  const left = useRef<SVGCircleElement>(null);
  const right = useRef<SVGCircleElement>(null);
  const latest = useRef(at);
  useEffect(() => {
    latest.current = at;
  });
  useEffect(() => {
    if (!running) return;
    const began = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      const { L, R } = latest.current((now - began) / 1000);
      left.current?.setAttribute("cy", String(100 - 60 * L));
      right.current?.setAttribute("cy", String(100 - 60 * R));
      frame = requestAnimationFrame(draw);
    });
    return () => cancelAnimationFrame(frame);
  }, [running]);
  return (
    <Box
      component="svg"
      viewBox="0 0 400 200"
      role="img"
      aria-label="Two handholds that move"
      sx={{
        width: "100%",
        maxWidth: 520,
        display: "block",
        bgcolor: "background.paper",
        border: `1px solid ${tokens.line}`,
      }}
    >
      <line x1={0} x2={400} y1={100} y2={100} stroke={tokens.line} />
      <circle ref={left} cx={130} cy={100} r={26} fill={tokens.slate} />
      <circle ref={right} cx={270} cy={100} r={26} fill={tokens.slate} />
      <text x={130} y={194} textAnchor="middle" fontSize={14} fill={tokens.inkSoft}>
        left
      </text>
      <text x={270} y={194} textAnchor="middle" fontSize={14} fill={tokens.inkSoft}>
        right
      </text>
    </Box>
  );
}
