import { useTheme } from "@mui/material/styles";
import { curveLinearClosed, lineRadial } from "d3-shape";
import type { KeyboardEvent } from "react";
import { slideGrades, slideWays, slideWords, type Slide } from "~core/findings/scar";

const step = 34;
const ring = (slide: number) => slide * step;
const outline = lineRadial<number>()
  .angle((_, i) => (i * Math.PI) / 4)
  .radius(ring)
  .curve(curveLinearClosed);

/**
 * Eight slides as a rose, headward up, seen as the client's right lies on the left. Each way is a slider of its own: a press
 * on a ring, or arrow keys. The earlier shape is dashed.
 */
export function SlideRose({
  slides,
  earlier,
  name,
  side,
  set,
}: {
  /** Undefined: not felt yet. */
  slides: readonly (Slide | undefined)[];
  earlier: readonly Slide[] | undefined;
  name: string;
  /** On the client's left outward lies to the right of the drawing. */
  side: "L" | "R" | "both";
  set: ((way: number, slide: Slide) => void) | undefined;
}) {
  const { tokens } = useTheme();
  const flip = side === "L" ? 1 : -1;
  const at = (i: number, r: number) =>
    [flip * r * Math.sin((i * Math.PI) / 4), -r * Math.cos((i * Math.PI) / 4)] as const;
  const felt = slides.filter((slide) => slide !== undefined);
  const whole = felt.length === slides.length;
  const least = whole ? Math.min(...felt) : 3;
  return (
    <svg
      viewBox="-170 -145 340 290"
      width="100%"
      role="group"
      aria-label={name}
      style={{ display: "block", maxWidth: 360 }}
    >
      {[1, 2, 3].map((r) => (
        <circle key={r} r={ring(r)} fill="none" stroke={tokens.line} />
      ))}
      <g transform={`scale(${flip} 1)`}>
        {earlier && (
          <path
            d={outline([...earlier])!}
            fill="none"
            stroke={tokens.inkSoft}
            strokeWidth={1.6}
            strokeDasharray="5 4"
          />
        )}
        {whole && (
          <path
            d={outline(felt)!}
            fill={`${tokens.ember}33`}
            stroke={tokens.ember}
            strokeWidth={2}
            strokeLinejoin="round"
          />
        )}
      </g>
      {slideWays.map((way, i) => {
        const [tx, ty] = at(i, ring(3) + 28);
        const short = least < 3 && slides[i] === least;
        return (
          <g
            key={way}
            {...(set
              ? {
                  role: "slider",
                  tabIndex: 0,
                  "aria-label": `Slide ${slideWords[way]}`,
                  "aria-valuemin": 0,
                  "aria-valuemax": 3,
                  "aria-valuenow": slides[i] ?? 0,
                  "aria-valuetext": slides[i] === undefined ? "not felt yet" : slideGrades[slides[i]],
                  onKeyDown: (event: KeyboardEvent) => {
                    const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
                    const next =
                      by === undefined
                        ? /^[0-3]$/.test(event.key)
                          ? Number(event.key)
                          : undefined
                        : (slides[i] ?? (by > 0 ? 2 : 4)) + by;
                    if (next === undefined) return;
                    event.preventDefault();
                    if (next >= 0 && next <= 3 && next !== slides[i]) set(i, next as Slide);
                  },
                }
              : {})}
          >
            {([0, 1, 2, 3] as const).map((slide) => {
              const [x, y] = at(i, slide === 0 ? 13 : ring(slide));
              return (
                <g
                  key={slide}
                  style={set ? { cursor: "pointer" } : undefined}
                  onClick={set && (() => slides[i] !== slide && set(i, slide))}
                >
                  <circle cx={x} cy={y} r={slide === 0 ? 5 : 14} fill="transparent" />
                  <circle
                    cx={x}
                    cy={y}
                    r={slide === 0 ? 4 : slides[i] === slide ? 9 : 6}
                    fill={slides[i] === slide ? (short ? tokens.clay : tokens.ember) : tokens.sheet}
                    stroke={slides[i] === slide ? "none" : `${tokens.inkSoft}66`}
                  />
                </g>
              );
            })}
            <text x={tx} y={ty + 4} textAnchor="middle" fontSize={11.5} fill={short ? tokens.clay : tokens.inkSoft}>
              {way}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
