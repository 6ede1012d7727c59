import Button from "@mui/material/Button";
import { useTheme } from "@mui/material/styles";
import { useRef, type PointerEvent } from "react";
import type { Stroke } from "~core/consent/consent";
import Box from "@mui/material/Box";

const width = 1000;
const height = 300;
const path = (stroke: Stroke) => stroke.map(([x, y], i) => `${i === 0 ? "M" : "L"}${x} ${y}`).join("");

function Strokes({ strokes }: { strokes: readonly Stroke[] }) {
  const { tokens } = useTheme();
  return strokes.map((stroke, i) => (
    <path
      key={i}
      d={path(stroke)}
      fill="none"
      stroke={tokens.ink}
      strokeWidth={7}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  ));
}

/** A signature as it was drawn. */
export function Signature({ strokes, label, high = 60 }: { strokes: readonly Stroke[]; label: string; high?: number }) {
  return (
    <svg viewBox={`0 0 ${width} ${height}`} height={high} role="img" aria-label={label}>
      <Strokes strokes={strokes} />
    </svg>
  );
}

/** A field to sign in with a finger, a pen or the mouse. */
export function SignaturePad({ strokes, change }: { strokes: readonly Stroke[]; change: (strokes: Stroke[]) => void }) {
  const { tokens } = useTheme();
  const drawing = useRef(false);
  const at = (event: PointerEvent<SVGSVGElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    return [
      Math.round(((event.clientX - box.left) / box.width) * width),
      Math.round(((event.clientY - box.top) / box.height) * height),
    ];
  };
  return (
    <Box>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width="100%"
        role="img"
        aria-label="Sign here"
        style={{
          touchAction: "none",
          cursor: "crosshair",
          background: tokens.paper,
          border: `1px solid ${tokens.inkSoft}`,
          borderRadius: 6,
          display: "block",
        }}
        onPointerDown={(event) => {
          drawing.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          change([...strokes, [at(event)]]);
        }}
        onPointerMove={(event) => {
          if (!drawing.current) return;
          const last = strokes.at(-1)!;
          change([...strokes.slice(0, -1), [...last, at(event)]]);
        }}
        onPointerUp={() => (drawing.current = false)}
        onPointerCancel={() => (drawing.current = false)}
      >
        <line x1={40} x2={width - 40} y1={235} y2={235} stroke={tokens.line} strokeWidth={3} />
        <Strokes strokes={strokes} />
      </svg>
      <Button size="small" color="inherit" disabled={strokes.length === 0} onClick={() => change([])}>
        Clear
      </Button>
    </Box>
  );
}
