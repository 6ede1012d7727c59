import Box from "@mui/material/Box";
import type { Px } from "~core/measure/calibration";
import type { Size } from "./viewport";

/** A round glass in a top corner of the picture, showing the place at its cross hair. */
export function Magnifier({
  src,
  at,
  size,
  onRight,
  across,
  colour,
}: {
  src: string;
  at: Px;
  size: Size;
  onRight: boolean;
  /** Width of what is seen in it, in the picture's pixels. */
  across: number;
  colour: string;
}) {
  const glass = 128;
  const half = across / 2;
  return (
    <Box
      aria-hidden
      data-testid="magnifier"
      sx={(t) => ({
        position: "absolute",
        top: 12,
        [onRight ? "right" : "left"]: 12,
        width: glass,
        height: glass,
        maxWidth: "40%",
        borderRadius: "50%",
        overflow: "hidden",
        border: `4px solid ${t.tokens.sheet}`,
        outline: `1px solid ${t.tokens.line}`,
        pointerEvents: "none",
        bgcolor: t.tokens.line,
      })}
    >
      <svg viewBox={`${at.x - half} ${at.y - half} ${across} ${across}`} width="100%" height="100%">
        <image href={src} width={size.width} height={size.height} preserveAspectRatio="none" />
        <g stroke={colour} strokeWidth={(across / glass) * 1.6}>
          {[
            [-1, 0],
            [1, 0],
            [0, -1],
            [0, 1],
          ].map(([dx, dy]) => (
            <line
              key={`${dx}${dy}`}
              x1={at.x + (dx! * half) / 4}
              y1={at.y + (dy! * half) / 4}
              x2={at.x + dx! * half * 0.75}
              y2={at.y + dy! * half * 0.75}
            />
          ))}
        </g>
      </svg>
    </Box>
  );
}
