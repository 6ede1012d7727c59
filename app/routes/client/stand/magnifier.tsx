import { useLayoutEffect, useRef } from "react";
import type { Px } from "~core/measure/calibration";
import Box from "@mui/material/Box";
import type { Size } from "./viewport";

const glass = 128;
/** Fine enough for a screen with two dots to a pixel. */
const edge = 2 * glass;

/**
 * A round glass in a top corner of the picture, showing the place at its cross hair. Painted, not scaled: an image
 * element would have the browser draw all twelve million pixels anew for every move.
 */
export function Magnifier({
  image,
  at,
  size,
  onRight,
  across,
  colour,
}: {
  image: HTMLImageElement;
  at: Px;
  /** What the picture's own pixels are counted in. */
  size: Size;
  onRight: boolean;
  /** Width of what is seen in it, in the picture's pixels. */
  across: number;
  colour: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const context = canvas.current!.getContext("2d")!;
    const [kx, ky] = [image.naturalWidth / size.width, image.naturalHeight / size.height];
    context.clearRect(0, 0, edge, edge);
    context.drawImage(
      image,
      (at.x - across / 2) * kx,
      (at.y - across / 2) * ky,
      across * kx,
      across * ky,
      0,
      0,
      edge,
      edge,
    );
  }, [image, at.x, at.y, size.width, size.height, across]);

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
      <canvas ref={canvas} width={edge} height={edge} style={{ position: "absolute", width: "100%", height: "100%" }} />
      <svg viewBox="-1 -1 2 2" width="100%" height="100%" style={{ position: "relative" }}>
        <path
          d="M0.25 0H0.75M-0.25 0H-0.75M0 0.25V0.75M0 -0.25V-0.75"
          stroke={colour}
          strokeWidth={3.2 / glass}
          fill="none"
        />
      </svg>
    </Box>
  );
}
