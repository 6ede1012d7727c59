import { useTheme } from "@mui/material/styles";
import { memo, useMemo, useRef, useState, type KeyboardEvent, type MouseEvent } from "react";
import { middleOf, pathOf, within, type Drawn, type FigureView, type Point } from "~core/anatomy/figure";
import { placeOf, type PlaceKey } from "~core/anatomy/places";
import { shapedAll, type Shape } from "~core/anatomy/shape";
import { placesInSight, type Sight } from "~core/anatomy/sights";
import type { Side } from "~core/units";
import { sideBehind } from "~core/words";
import { fingerAt, indexAt } from "./figure-pointer";

export type Spot = { place: PlaceKey; side: Side | null };

export type Paint = { fill: string; stroke?: string; says?: string };

const viewWord: Record<FigureView, string> = {
  front: "front",
  back: "back",
  left: "left side",
  right: "right side",
  sole: "soles",
};
export const seenFrom = (view: FigureView): string => `seen from the ${viewWord[view]}`;

export type ChoosePlace = (spot: Spot, near: readonly Spot[]) => void;

/** The places of a sight. What is pressed is told by the group, so that an outline is drawn anew only when it looks different. */
export function FigurePlaces({
  sight,
  shape,
  paint,
  chosen,
  choose,
}: {
  sight: Sight;
  shape: Shape;
  paint?: ((spot: Spot) => Paint | undefined) | undefined;
  chosen?: Spot | undefined;
  choose?: ChoosePlace | undefined;
}) {
  const { tokens } = useTheme();
  // where the Tab key enters it
  const [entry, setEntry] = useState(0);
  const here = useMemo(() => placesInSight(sight), [sight]);
  const paths = useMemo(
    () => here.map(({ points }) => pathOf(shapedAll(points, sight.view, shape))),
    [here, sight, shape],
  );
  const idOf = (i: number) => `place ${sight.key} ${here[i]!.place} ${here[i]!.side}`;
  const group = useRef<SVGGElement>(null);
  const press = (event: MouseEvent<SVGGElement>) => {
    const i = indexAt(event);
    if (i === undefined || !choose) return;
    const at = fingerAt(event, group.current, sight.view, shape);
    const seen = here.map((each) => ({ ...each, outlines: [each.points] }));
    choose(here[i]!, at ? within(seen, at.point, at.reach) : []);
  };
  const key = (event: KeyboardEvent<SVGGElement>) => {
    const i = indexAt(event);
    if (i === undefined || !choose) return;
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      choose(here[i]!, []);
    }
    const next = towards(here, here[i]!, event.key);
    if (!next) return;
    event.preventDefault();
    const to = here.indexOf(next);
    setEntry(to);
    document.getElementById(idOf(to))?.focus();
  };
  return (
    <g
      ref={group}
      {...(choose && { onClick: press, onKeyDown: key, onFocus: (event) => setEntry(indexAt(event) ?? 0) })}
    >
      {here.map(({ place, side }, i) => {
        const painted = paint?.({ place, side });
        const active = chosen?.place === place && chosen.side === side;
        const name = `${placeOf(place).name}${side ? sideBehind[side] : ""}`;
        return (
          <Outline
            key={`${place} ${side}`}
            id={idOf(i)}
            at={i}
            d={paths[i]!}
            fill={active ? tokens.emberWash : (painted?.fill ?? tokens.paper)}
            stroke={active ? tokens.ember : (painted?.stroke ?? `${tokens.inkSoft}88`)}
            strokeWidth={active ? 1.8 : painted?.stroke ? 1.2 : 0.7}
            title={`${name}${painted?.says ? `: ${painted.says}` : ""}`}
            name={choose ? `${name}, ${seenFrom(sight.view)}` : undefined}
            active={active}
            tabIndex={entry === i ? 0 : -1}
          />
        );
      })}
    </g>
  );
}

const Outline = memo(function Outline({
  id,
  at,
  d,
  fill,
  stroke,
  strokeWidth,
  title,
  name,
  active,
  tabIndex,
}: {
  id: string;
  at: number;
  d: string;
  fill: string;
  stroke: string;
  strokeWidth: number;
  title: string;
  /** As it is read out where it can be pressed. */
  name: string | undefined;
  active: boolean;
  tabIndex: number;
}) {
  return (
    <path
      id={id}
      data-at={at}
      d={d}
      fill={fill}
      stroke={stroke}
      strokeWidth={strokeWidth}
      strokeLinejoin="round"
      {...(name === undefined
        ? {}
        : {
            role: "button",
            tabIndex,
            "aria-pressed": active,
            "aria-label": name,
            style: { cursor: "pointer", outlineOffset: 1 },
          })}
    >
      <title>{title}</title>
    </path>
  );
});

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
