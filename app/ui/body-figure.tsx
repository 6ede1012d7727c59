import { useTheme } from "@mui/material/styles";
import { useContext, useMemo, useState, type KeyboardEvent, type MouseEvent } from "react";
import {
  anchorOf,
  figureBox,
  middleOf,
  pathOf,
  structuresSeen,
  within,
  type Drawn,
  type FigureView,
  type Point,
} from "~core/anatomy/figure";
import { inSight, isClose, laidOut, placesInSight, shapedBox, type Sight } from "~core/anatomy/sights";
import { layerName, type LayerKey } from "~core/anatomy/layers";
import { placeOf, type PlaceKey } from "~core/anatomy/places";
import { shaped, shapedAll, unshaped, type Shape } from "~core/anatomy/shape";
import { spread } from "~core/anatomy/spread-marks";
import { structureOf, structures } from "~core/anatomy/structures";
import { zones } from "~core/screening/zones";
import type { Side } from "~core/units";
import { FigureShape } from "./figure-shape";
import { useHold } from "./use-hold";
import { DrawSheet, FeltArea, ScarLine, type DrawnLine, type Drawing } from "./draw-on-figure";

export type Spot = { place: PlaceKey; side: Side | null };

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

export type Paint = { fill: string; stroke?: string; says?: string };

const sideWord = { L: ", left", R: ", right" } as const;
const viewWord: Record<FigureView, string> = {
  front: "front",
  back: "back",
  left: "left side",
  right: "right side",
  sole: "soles",
};
/** Letters of the client's own sides, at the left and the right of a view that shows both. */
const letters: Partial<Record<FigureView, readonly [string, string]>> = {
  front: ["R", "L"],
  back: ["L", "R"],
  sole: ["L", "R"],
};

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
  marks = [],
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
  choose?: ((spot: Spot, near: readonly Spot[]) => void) | undefined;
  chosenStructure?: { structure: string; side: Side | null } | undefined;
  chooseStructure?:
    | ((structure: string, side: Side | null, near: readonly { structure: string; side: Side | null }[]) => void)
    | undefined;
  /** Pressed and held there, at a point of the window. */
  holdStructure?: ((structure: string, side: Side | null, at: { x: number; y: number }) => void) | undefined;
  chooseMark?: ((id: string) => void) | undefined;
}) {
  const { tokens } = useTheme();
  const [focus, setFocus] = useState<string | undefined>();
  const hold = useHold();
  const shape = useContext(FigureShape);
  const spots = useMemo(() => placed(marks, sights, shape), [marks, sights, shape]);
  const path = (points: readonly Point[], view: FigureView) => pathOf(shapedAll(points, view, shape));
  const structured = layer !== undefined && chooseStructure !== undefined;
  const sheet = laidOut(sights.map((sight) => ({ ...sight, box: shapedBox(sight, shape) })));
  const [firstSight] = sights;
  const firstPlace = firstSight && placesInSight(firstSight)[0];
  const entry = firstPlace && `${firstSight.key} ${firstPlace.place} ${firstPlace.side}`;
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
        const here = placesInSight(sight);
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
              {here.map((drawn) => {
                const { place, side, points } = drawn;
                const painted = paint?.({ place, side });
                const active = chosen?.place === place && chosen.side === side;
                const name = `${placeOf(place).name}${side ? sideWord[side] : ""}`;
                const key = `${sight.key} ${place} ${side}`;
                return (
                  <path
                    key={key}
                    id={`place ${key}`}
                    d={path(points, view)}
                    fill={active ? tokens.emberWash : (painted?.fill ?? tokens.paper)}
                    stroke={active ? tokens.ember : (painted?.stroke ?? `${tokens.inkSoft}88`)}
                    strokeWidth={active ? 1.8 : painted?.stroke ? 1.2 : 0.7}
                    strokeLinejoin="round"
                    {...(choose && !structured
                      ? {
                          role: "button",
                          tabIndex: (focus ?? entry) === key ? 0 : -1,
                          "aria-pressed": active,
                          "aria-label": `${name}, seen from the ${viewWord[view]}`,
                          style: { cursor: "pointer", outlineOffset: 1 },
                          onClick: (event: MouseEvent<SVGGraphicsElement>) => {
                            const at = fingerAt(event, view, shape);
                            const seen = here.map((each) => ({ ...each, outlines: [each.points] }));
                            choose({ place, side }, at ? within(seen, at.point, at.reach) : []);
                          },
                          onFocus: () => setFocus(key),
                          onKeyDown: (event: KeyboardEvent) => {
                            if (event.key === "Enter" || event.key === " ") {
                              event.preventDefault();
                              choose({ place, side }, []);
                            }
                            const next = towards(here, drawn, event.key);
                            if (!next) return;
                            event.preventDefault();
                            const id = `${sight.key} ${next.place} ${next.side}`;
                            setFocus(id);
                            document.getElementById(`place ${id}`)?.focus();
                          },
                        }
                      : {})}
                  >
                    <title>{`${name}${painted?.says ? `: ${painted.says}` : ""}`}</title>
                  </path>
                );
              })}
              {layer &&
                structuresIn(sight, layer).map(({ structure, side, outlines }) => {
                  const own = structures.find(({ key }) => key === structure)!;
                  const active = chosenStructure?.structure === structure && chosenStructure.side === side;
                  const name = `${own.name}${side ? sideWord[side] : ""}, ${layerName(layer).toLowerCase()}`;
                  const turned = turnOf(own.fibres, view, side);
                  return (
                    <g
                      key={`${structure} ${side}`}
                      {...(structured
                        ? {
                            role: "button",
                            tabIndex: 0,
                            "aria-pressed": active,
                            "aria-label": `${name}, seen from the ${viewWord[view]}`,
                            style: { cursor: "pointer", touchAction: holdStructure ? "none" : "auto" },
                            ...(holdStructure && hold.on((at) => holdStructure(structure, side, at))),
                            onClick: (event: MouseEvent<SVGGraphicsElement>) => {
                              if (hold.wasHeld()) return;
                              const at = fingerAt(event, view, shape);
                              chooseStructure(
                                structure,
                                side,
                                at ? within(structuresIn(sight, layer), at.point, at.reach) : [],
                              );
                            },
                            onKeyDown: (event: KeyboardEvent) => {
                              if (event.key !== "Enter" && event.key !== " ") return;
                              event.preventDefault();
                              chooseStructure(structure, side, []);
                            },
                          }
                        : { pointerEvents: "none" as const })}
                    >
                      <title>{name}</title>
                      {outlines.map((points, i) => (
                        <g key={i}>
                          <path
                            d={path(points, view)}
                            fill={active ? tokens.emberWash : (layerFill ?? tokens.paper)}
                            fillOpacity={active ? 1 : 0.75}
                            stroke={active ? tokens.ember : `${tokens.ink}99`}
                            strokeWidth={active ? 1.8 : 0.45}
                            strokeLinejoin="round"
                          />
                          {turned !== undefined && (
                            <path d={path(points, view)} fill={`url(#fibres-${turned})`} pointerEvents="none" />
                          )}
                        </g>
                      ))}
                    </g>
                  );
                })}
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
              {spots
                .filter((spot) => spot.sight === sight)
                .map(({ mark, side, at: [x, y] }) => (
                  <g
                    key={`${mark.id} ${side}`}
                    transform={`translate(${x} ${y}) scale(${1 / Math.sqrt(zoom)})`}
                    opacity={mark.faded ? 0.25 : 1}
                    {...(chooseMark
                      ? { style: { cursor: "pointer" }, onClick: () => chooseMark(mark.id) }
                      : { pointerEvents: "none" as const })}
                  >
                    <title>{mark.title}</title>
                    <circle r={mark.r} fill={mark.fill} stroke={mark.line ?? tokens.ink} strokeWidth={1.1} />
                    <text y={3.6} textAnchor="middle" fontSize={10.5} fontWeight={700} fill={mark.ink}>
                      {mark.text}
                    </text>
                  </g>
                ))}
            </svg>
          </g>
        );
      })}
    </svg>
  );
}

/** Structures of a layer that can be chosen in a sight. */
const structuresIn = (sight: Sight, layer: LayerKey) =>
  isClose(sight)
    ? structuresSeen(sight.view, layer).filter(({ outlines }) =>
        outlines.some((outline) => inSight(sight, middleOf(outline))),
      )
    : structuresSeen(sight.view, layer);

/** Half of what a finger covers, in pixels. */
const fingertip = 12;

/** Where a finger came down, in the view's own units, and how far it reaches; nothing for a mouse, which is sure. */
function fingerAt(
  event: MouseEvent<SVGGraphicsElement>,
  view: FigureView,
  shape: Shape,
): { point: Point; reach: number } | undefined {
  if ((event.nativeEvent as PointerEvent).pointerType !== "touch") return undefined;
  const matrix = event.currentTarget.getScreenCTM();
  if (!matrix) return undefined;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return { point: unshaped([x, y], view, shape), reach: fingertip / matrix.a };
}

/** Every mark in the sight that shows it best, on each of its sides, out of each other's way. */
function placed(marks: readonly FigureMark[], sights: readonly Sight[], shape: Shape) {
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

/** How a structure's fibres run on the paper, to 15 degrees (clockwise from upright); undefined: no one direction. */
function turnOf(fibres: number | undefined, view: FigureView, side: Side | null): number | undefined {
  if (fibres === undefined) return undefined;
  // "down and outward" leans to the left in the half at the left of the drawing
  const leftHalf = view === "left" || (view === "front" ? side === "R" : side === "L");
  const turn = Math.round((leftHalf ? fibres : -fibres) / 15) * 15;
  return ((turn % 180) + 180) % 180;
}

function Fibres({ layer, ink }: { layer: LayerKey; ink: string }) {
  const turns = new Set(
    structures
      .filter((each) => each.layer === layer && each.fibres !== undefined)
      .flatMap(({ fibres }) => [turnOf(fibres, "front", "R")!, turnOf(fibres, "front", "L")!]),
  );
  return [...turns].map((turn) => (
    <pattern
      key={turn}
      id={`fibres-${turn}`}
      width={3.2}
      height={3.2}
      patternUnits="userSpaceOnUse"
      patternTransform={`rotate(${turn})`}
    >
      <line x1={1} x2={1} y1={0} y2={3.2} stroke={ink} strokeOpacity={0.35} strokeWidth={0.5} />
    </pattern>
  ));
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

const ways: Record<string, Point> = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] };

/** The nearest place of a sight in the direction of an arrow key. */
function towards(here: readonly Drawn[], from: Drawn, key: string): Drawn | undefined {
  const way = ways[key];
  if (!way) return undefined;
  const [x, y] = middleOf(from.points);
  const ranked = here
    .filter((each) => each !== from)
    .map((each) => {
      const [ox, oy] = middleOf(each.points);
      const [along, beside] = [
        (ox - x) * way[0] + (oy - y) * way[1],
        Math.abs((ox - x) * way[1]) + Math.abs((oy - y) * way[0]),
      ];
      return { each, along, cost: along + 2 * beside };
    })
    .filter(({ along }) => along > 0.5)
    .sort((a, b) => a.cost - b.cost);
  return ranked[0]?.each;
}
