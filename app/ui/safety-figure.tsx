import { useTheme } from "@mui/material/styles";
import type { FigureView } from "~core/anatomy/figure";
import { placeOf, placesIn, type PlaceKey } from "~core/anatomy/places";
import { jointOf } from "~core/anatomy/joints";
import type { RegionKey } from "~core/anatomy/regions";
import type { Outcome } from "~core/screening/outcome";
import { tagRegions } from "~core/techniques/safety-tags";
import type { Side } from "~core/units";
import { BodyFigure, type Spot } from "./body-figure";

export type EntryMark = {
  id: string;
  text: string;
  region: RegionKey;
  places: readonly PlaceKey[];
  side: Side | "both" | null;
  title: string;
};

/** Whether a caution's scope lies on a place: named itself, by its region, by a joint there, or by the kind of work. */
function liesOn({ scope }: Outcome, { place, side }: Spot): boolean {
  if (!scope || (scope.side !== undefined && side !== null && scope.side !== side)) return false;
  if (scope.places) return scope.places.includes(place);
  if (scope.joints) return scope.joints.some((joint) => jointOf(joint).places.includes(place));
  const regions = scope.regions ?? scope.tags?.flatMap((tag) => tagRegions[tag] ?? []) ?? [];
  return regions.includes(placeOf(place).region);
}

/** How cautions treat a place as a whole: out, capped, or neither. Work-specific ones leave it open. */
function stateOf(spot: Spot, cautions: readonly Outcome[]): "out" | "limited" | "open" {
  const here = cautions.filter((caution) => liesOn(caution, spot));
  if (here.some((caution) => caution.kind === "exclude" && !caution.scope!.tags && !caution.scope!.fromDepth))
    return "out";
  return here.some((caution) => caution.kind === "exclude" || caution.pressure !== undefined) ? "limited" : "open";
}

const views: readonly FigureView[] = ["front", "back"];

/** The lay figure with what is out (hatched), what is limited (tinted), where entries belong, and what stays clear. */
export function SafetyFigure({
  cautions,
  marks,
  withZones,
  chosen,
  choose,
}: {
  cautions: readonly Outcome[];
  marks: readonly EntryMark[];
  withZones: boolean;
  chosen?: string | undefined;
  choose?: (id: string) => void;
}) {
  const { tokens } = useTheme();
  return (
    <BodyFigure
      views={views}
      label="Cautions on the body"
      withZones={withZones}
      paint={(spot) => {
        const state = stateOf(spot, cautions);
        if (state === "open") return undefined;
        return {
          fill: state === "out" ? "url(#figure-out)" : tokens.amberWash,
          stroke: tokens.amber,
          says: state,
        };
      }}
      marks={marks.map(({ id, text, title, region, places, side }) => {
        const active = id === chosen;
        return {
          id,
          text,
          title,
          places: places.length > 0 ? places : placesIn(region),
          side,
          r: 8,
          fill: active ? tokens.ember : tokens.sheet,
          ink: active ? tokens.onEmber : tokens.ink,
          line: active ? tokens.ember : tokens.ink,
        };
      })}
      chooseMark={choose}
    />
  );
}
