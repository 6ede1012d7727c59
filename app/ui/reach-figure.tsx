import { useTheme } from "@mui/material/styles";
import { useMemo } from "react";
import { bestViews, laidOut, whole } from "~core/anatomy/sights";
import { placeNames } from "~core/anatomy/places";
import type { OnPlace } from "~core/screening/on-place";
import { placesReached } from "~core/techniques/reached";
import type { Technique } from "~core/techniques/technique";
import type { Side } from "~core/units";
import Box from "@mui/material/Box";
import { BodyFigure } from "./body-figure";

/** Where a technique reaches, the more of its time the darker, on the sides it is done on; hatched what is out for this client. */
export function ReachFigure({
  technique,
  sides,
  out,
  height,
}: {
  technique: Technique;
  sides: Readonly<Record<Side, boolean>>;
  out: readonly OnPlace[];
  height: number;
}) {
  const { tokens } = useTheme();
  const reached = useMemo(() => placesReached(technique), [technique]);
  const sights = useMemo(() => bestViews(reached).map(whole), [reached]);
  const shut = useMemo(() => new Set(out.map(({ place, side }) => `${place} ${side}`)), [out]);
  if (reached.size === 0) return null;
  const sheet = laidOut(sights);
  const most = [...reached].sort((a, b) => b[1] - a[1]).map(([place]) => place);
  return (
    <Box sx={{ height, width: (height * sheet.width) / sheet.height, maxWidth: "100%" }}>
      <BodyFigure
        sights={sights}
        label={`Where it reaches: ${placeNames(most.slice(0, 4))}`}
        paint={({ place, side }) => {
          if (shut.has(`${place} ${side}`)) return { fill: "url(#figure-out)", stroke: tokens.amber, says: "out" };
          const share = reached.get(place);
          if (share === undefined || (technique.sided && side !== null && !sides[side])) return undefined;
          const alpha = Math.round(255 * (0.2 + 0.65 * Math.min(1, share)))
            .toString(16)
            .padStart(2, "0");
          return { fill: `${tokens.ember}${alpha}`, says: `${Math.round(100 * share)} % of its time` };
        }}
      />
    </Box>
  );
}
