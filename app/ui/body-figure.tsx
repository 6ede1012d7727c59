import { useTheme } from "@mui/material/styles";
import { useContext, useMemo } from "react";
import { figureBox, type FigureView, type Point } from "~core/anatomy/figure";
import { isClose, laidOut, shapedBox, type Sight } from "~core/anatomy/sights";
import type { LayerKey } from "~core/anatomy/layers";
import { shaped, shapedAll, type Shape } from "~core/anatomy/shape";
import { zones } from "~core/screening/zones";
import { DrawSheet, FeltArea, ScarLine, type DrawnLine, type Drawing } from "./draw-on-figure";
import { FigureMarks, placed, type FigureMark } from "./figure-marks";
import { FigurePlaces, type ChoosePlace, type Paint, type Spot } from "./figure-places";
import { FigureShape } from "./figure-shape";
import {
  Fibres,
  FigureStructures,
  type ChooseStructure,
  type HoldStructure,
  type OnStructure,
} from "./figure-structures";

export type { FigureMark } from "./figure-marks";
export type { Paint, Spot } from "./figure-places";
/** Letters of the client's own sides, at the left and the right of a view that shows both. */
const letters: Partial<Record<FigureView, readonly [string, string]>> = {
  front: ["R", "L"],
  back: ["L", "R"],
  sole: ["L", "R"],
};

const noMarks: readonly FigureMark[] = [];

/**
 * The lay figure: the one drawing of the body for cautions, touch and plans. Places are painted by the caller; peeled to a
 * layer, its structures lie over them with their fibres. Marks sit where they belong and never cover one another.
 */
export function BodyFigure({
  sights,
  label,
  paint,
  layer,
  layerFill,
  marks = noMarks,
  withZones = false,
  lines = [],
  areas = [],
  drawing,
  chosen,
  choose,
  chosenStructure,
  chooseStructure,
  holdStructure,
  chooseMark,
}: {
  /** Whole views or close-ups, side by side. */
  sights: readonly Sight[];
  label: string;
  paint?: (spot: Spot) => Paint | undefined;
  layer?: LayerKey | undefined;
  layerFill?: string | undefined;
  marks?: readonly FigureMark[];
  withZones?: boolean;
  /** Lines that lie on the body: scars. */
  lines?: readonly { id: string; view: FigureView; points: readonly Point[] }[];
  /** Areas in which something is felt. */
  areas?: readonly { id: string; view: FigureView; points: readonly Point[] }[];
  /** A sheet to draw on. */
  drawing?: { kind?: Drawing; line: DrawnLine | undefined; done: (drawn: DrawnLine) => void } | undefined;
  chosen?: Spot | undefined;
  /** `near`: what else a finger there may have meant; only a finger is unsure. */
  choose?: ChoosePlace | undefined;
  chosenStructure?: OnStructure | undefined;
  chooseStructure?: ChooseStructure | undefined;
  /** Pressed and held there, at a point of the window. */
  holdStructure?: HoldStructure | undefined;
  chooseMark?: ((id: string) => void) | undefined;
}) {
  const { tokens } = useTheme();
  const shape = useContext(FigureShape);
  const spots = useMemo(() => placed(marks, sights, shape), [marks, sights, shape]);
  const structured = layer !== undefined && chooseStructure !== undefined;
  const sheet = laidOut(sights.map((sight) => ({ ...sight, box: shapedBox(sight, shape) })));
  return (
    <svg
      viewBox={`0 0 ${sheet.width} ${sheet.height}`}
      width="100%"
      height="100%"
      preserveAspectRatio="xMidYMin meet"
      style={{ display: "block" }}
      role="group"
      aria-label={label}
    >
      <defs>
        <pattern id="figure-out" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={7} height={7} fill={tokens.amberWash} />
          <line x1={0} x2={0} y1={0} y2={7} stroke={tokens.amber} strokeWidth={2.6} />
        </pattern>
        {layer && <Fibres layer={layer} ink={tokens.ink} />}
      </defs>
      {sights.map((sight, v) => {
        const { view } = sight;
        const box = shapedBox(sight, shape);
        const close = isClose(sight);
        const zoom = figureBox.width / box.width;
        return (
          <g key={sight.key} transform={`translate(${sheet.at(v).join(" ")})`}>
            <text x={100} y={-2} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
              {sight.name}
            </text>
            {box.x < 100 &&
              box.x + box.width > 100 &&
              letters[view]?.map((letter, i) => (
                <text key={letter} x={i === 0 ? 14 : 178} y={26} fontSize={13} fill={tokens.inkSoft}>
                  {letter}
                </text>
              ))}
            <svg
              y={0}
              width={figureBox.width}
              height={box.height * zoom}
              viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
              overflow={close ? "hidden" : "visible"}
            >
              <FigurePlaces
                sight={sight}
                shape={shape}
                paint={paint}
                chosen={chosen}
                choose={structured ? undefined : choose}
              />
              {layer && (
                <FigureStructures
                  sight={sight}
                  shape={shape}
                  layer={layer}
                  fill={layerFill}
                  chosen={chosenStructure}
                  choose={chooseStructure}
                  hold={holdStructure}
                />
              )}
              {withZones && <Zones view={view} shape={shape} />}
              {lines
                .filter((line) => line.view === view)
                .map(({ id, points }) => (
                  <ScarLine key={id} points={shapedAll(points, view, shape)} />
                ))}
              {areas
                .filter((area) => area.view === view)
                .map(({ id, points }) => (
                  <FeltArea key={id} points={shapedAll(points, view, shape)} />
                ))}
              {drawing && (
                <DrawSheet
                  view={view}
                  kind={drawing.kind}
                  line={drawing.line?.view === view ? drawing.line.points : undefined}
                  done={drawing.done}
                />
              )}
              <FigureMarks spots={spots} sight={sight} zoom={zoom} choose={chooseMark} />
            </svg>
          </g>
        );
      })}
    </svg>
  );
}

function Zones({ view, shape }: { view: FigureView; shape: Shape }) {
  const { tokens } = useTheme();
  return zones
    .filter((zone) => zone.face === view)
    .flatMap((zone) =>
      zone.at.flatMap(([x, y]) =>
        [...new Set([x, figureBox.width - x])].map((at) => (
          <g key={`${zone.key} ${at} ${y}`} transform={`translate(${shaped([at, y], view, shape).join(" ")})`}>
            <title>{`${zone.name}: ${zone.rule}`}</title>
            <circle r={4.2} fill={tokens.sheet} stroke={tokens.clay} strokeWidth={1.4} />
            <line x1={-2.6} x2={2.6} y1={2.6} y2={-2.6} stroke={tokens.clay} strokeWidth={1.4} />
          </g>
        )),
      ),
    );
}
