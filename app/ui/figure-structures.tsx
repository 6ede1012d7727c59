import { useTheme } from "@mui/material/styles";
import { memo, useMemo, useRef, type KeyboardEvent, type MouseEvent } from "react";
import { middleOf, pathOf, structuresSeen, within, type FigureView } from "~core/anatomy/figure";
import { layerName, type LayerKey } from "~core/anatomy/layers";
import { shapedAll, type Shape } from "~core/anatomy/shape";
import { inSight, isClose, type Sight } from "~core/anatomy/sights";
import { structures } from "~core/anatomy/structures";
import type { Side } from "~core/units";
import { seenFrom } from "./figure-places";
import { sideBehind } from "~core/words";
import { fingerAt, indexAt } from "./figure-pointer";
import { useHold } from "./use-hold";

export type OnStructure = { structure: string; side: Side | null };
export type ChooseStructure = (structure: string, side: Side | null, near: readonly OnStructure[]) => void;
export type HoldStructure = (structure: string, side: Side | null, at: { x: number; y: number }) => void;

/** The structures of a layer in a sight, with their fibres. */
export function FigureStructures({
  sight,
  shape,
  layer,
  fill,
  chosen,
  choose,
  hold,
}: {
  sight: Sight;
  shape: Shape;
  layer: LayerKey;
  fill: string | undefined;
  chosen?: OnStructure | undefined;
  choose?: ChooseStructure | undefined;
  hold?: HoldStructure | undefined;
}) {
  const { tokens } = useTheme();
  const group = useRef<SVGGElement>(null);
  const held = useHold();
  const here = useMemo(
    () =>
      structuresIn(sight, layer).map((seen) => {
        const own = structures.find(({ key }) => key === seen.structure)!;
        return {
          ...seen,
          name: `${own.name}${seen.side ? sideBehind[seen.side] : ""}, ${layerName(layer).toLowerCase()}`,
          paths: seen.outlines.map((points) => pathOf(shapedAll(points, sight.view, shape))),
          turned: turnOf(own.fibres, sight.view, seen.side),
        };
      }),
    [sight, layer, shape],
  );
  const press = (event: MouseEvent<SVGGElement>) => {
    const i = indexAt(event);
    if (i === undefined || !choose || held.wasHeld()) return;
    const at = fingerAt(event, group.current, sight.view, shape);
    choose(here[i]!.structure, here[i]!.side, at ? within(here, at.point, at.reach) : []);
  };
  const key = (event: KeyboardEvent<SVGGElement>) => {
    const i = indexAt(event);
    if (i === undefined || !choose || (event.key !== "Enter" && event.key !== " ")) return;
    event.preventDefault();
    choose(here[i]!.structure, here[i]!.side, []);
  };
  return (
    <g
      ref={group}
      {...(choose ? { onClick: press, onKeyDown: key } : { pointerEvents: "none" as const })}
      {...(hold && {
        ...held.on((at, event) => {
          const i = indexAt(event);
          if (i !== undefined) hold(here[i]!.structure, here[i]!.side, at);
        }),
        style: { touchAction: "none" },
      })}
    >
      {here.map(({ structure, side, name, paths, turned }, i) => (
        <Outlines
          key={`${structure} ${side}`}
          at={i}
          title={name}
          name={choose ? `${name}, ${seenFrom(sight.view)}` : undefined}
          paths={paths}
          turned={turned}
          active={chosen?.structure === structure && chosen.side === side}
          fill={fill ?? tokens.paper}
        />
      ))}
    </g>
  );
}

const Outlines = memo(function Outlines({
  at,
  title,
  name,
  paths,
  turned,
  active,
  fill,
}: {
  at: number;
  title: string;
  /** As it is read out where it can be pressed. */
  name: string | undefined;
  paths: readonly string[];
  turned: number | undefined;
  active: boolean;
  fill: string;
}) {
  const { tokens } = useTheme();
  return (
    <g
      data-at={at}
      {...(name !== undefined && {
        role: "button",
        tabIndex: 0,
        "aria-pressed": active,
        "aria-label": name,
        style: { cursor: "pointer" },
      })}
    >
      <title>{title}</title>
      {paths.map((d, i) => (
        <g key={i}>
          <path
            d={d}
            fill={active ? tokens.emberWash : fill}
            fillOpacity={active ? 1 : 0.75}
            stroke={active ? tokens.ember : `${tokens.ink}99`}
            strokeWidth={active ? 1.8 : 0.45}
            strokeLinejoin="round"
          />
          {turned !== undefined && <path d={d} fill={`url(#fibres-${turned})`} pointerEvents="none" />}
        </g>
      ))}
    </g>
  );
});

/** Structures of a layer that can be chosen in a sight. */
const structuresIn = (sight: Sight, layer: LayerKey) =>
  isClose(sight)
    ? structuresSeen(sight.view, layer).filter(({ outlines }) =>
        outlines.some((outline) => inSight(sight, middleOf(outline))),
      )
    : structuresSeen(sight.view, layer);

/** How a structure's fibres run on the paper, to 15 degrees (clockwise from upright); undefined: no one direction. */
function turnOf(fibres: number | undefined, view: FigureView, side: Side | null): number | undefined {
  if (fibres === undefined) return undefined;
  // "down and outward" leans to the left in the half at the left of the drawing
  const leftHalf = view === "left" || (view === "front" ? side === "R" : side === "L");
  const turn = Math.round((leftHalf ? fibres : -fibres) / 15) * 15;
  return ((turn % 180) + 180) % 180;
}

/** The hatching of a layer's fibres, for every direction that it has. */
export function Fibres({ layer, ink }: { layer: LayerKey; ink: string }) {
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
