import { useTheme } from "@mui/material/styles";
import { whole } from "~core/anatomy/sights";
import { placesIn, type PlaceKey } from "~core/anatomy/places";
import type { RegionKey } from "~core/anatomy/regions";
import { stateOf } from "~core/screening/on-place";
import type { Outcome } from "~core/screening/outcome";
import type { Side } from "~core/units";
import { BodyFigure } from "./body-figure";

export type EntryMark = {
  id: string;
  text: string;
  region: RegionKey;
  places: readonly PlaceKey[];
  side: Side | "both" | null;
  title: string;
};

const sights = [whole("front"), whole("back")];

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
      sights={sights}
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
