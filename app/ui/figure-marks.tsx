import { useTheme } from "@mui/material/styles";
import { memo } from "react";
import { anchorOf, figureBox, type FigureView, type Point } from "~core/anatomy/figure";
import { placeOf, type PlaceKey } from "~core/anatomy/places";
import { shaped, type Shape } from "~core/anatomy/shape";
import { inSight, type Sight } from "~core/anatomy/sights";
import { spread } from "~core/anatomy/spread-marks";
import { structureOf } from "~core/anatomy/structures";
import type { Side } from "~core/units";

/** Something that is shown where it belongs: by its structure, or by places. */
export type FigureMark = {
  id: string;
  text: string;
  title: string;
  structure?: string;
  places: readonly PlaceKey[];
  side: Side | "both" | null;
  r: number;
  fill: string;
  ink: string;
  line?: string;
  /** Where it was put by hand; otherwise it goes where its structure or places are. */
  at?: { view: FigureView; point: Point };
  /** Lies over what is looked at. */
  faded?: boolean;
};

type Placed = { mark: FigureMark; side: Side | "both" | null; sight: Sight; at: Point };

/** The marks of a sight, smaller in a close-up than the close-up is larger. */
export const FigureMarks = memo(function FigureMarks({
  spots,
  sight,
  zoom,
  choose,
}: {
  spots: readonly Placed[];
  sight: Sight;
  zoom: number;
  choose?: ((id: string) => void) | undefined;
}) {
  const { tokens } = useTheme();
  return spots
    .filter((spot) => spot.sight === sight)
    .map(({ mark, side, at: [x, y] }) => (
      <g
        key={`${mark.id} ${side}`}
        transform={`translate(${x} ${y}) scale(${1 / Math.sqrt(zoom)})`}
        opacity={mark.faded ? 0.25 : 1}
        {...(choose
          ? { style: { cursor: "pointer" }, onClick: () => choose(mark.id) }
          : { pointerEvents: "none" as const })}
      >
        <title>{mark.title}</title>
        <circle r={mark.r} fill={mark.fill} stroke={mark.line ?? tokens.ink} strokeWidth={1.1} />
        <text y={3.6} textAnchor="middle" fontSize={10.5} fontWeight={700} fill={mark.ink}>
          {mark.text}
        </text>
      </g>
    ));
});

/** Every mark in the sight that shows it best, on each of its sides, out of each other's way. */
export function placed(marks: readonly FigureMark[], sights: readonly Sight[], shape: Shape): Placed[] {
  const views = [...new Set(sights.map(({ view }) => view))];
  const wanted = marks.flatMap((mark) => {
    if (mark.at) return [{ mark, side: mark.side, view: mark.at.view, at: mark.at.point }];
    const part = mark.structure ? firstPart(mark.structure) : undefined;
    const midline = mark.places.every((place) => placeOf(place).midline);
    const sides: readonly Side[] = midline ? ["R"] : mark.side === "L" || mark.side === "R" ? [mark.side] : ["L", "R"];
    return sides.flatMap((side) => {
      const anchor = anchorOf(views, { ...(part ? { structure: part } : {}), places: mark.places }, side);
      return anchor ? [{ mark, side, ...anchor }] : [];
    });
  });
  return sights.flatMap((sight) => {
    const here = wanted.filter(({ view, at }) => view === sight.view && inSight(sight, at));
    const shrunk = Math.sqrt(figureBox.width / sight.box.width);
    const at = spread(
      here.map(({ at: anchor, mark }) => ({ at: shaped(anchor, sight.view, shape), r: mark.r / shrunk })),
    );
    return here.map((each, i) => ({ ...each, sight, at: at[i]! }));
  });
}

const firstPart = (key: string): string => {
  const found = structureOf(key);
  return found && "parts" in found ? found.parts[0]! : key;
};
