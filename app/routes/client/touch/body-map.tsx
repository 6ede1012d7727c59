import Box from "@mui/material/Box";
import Slider from "@mui/material/Slider";
import { useMemo, useState, type ReactNode } from "react";
import { depthOf, layers } from "~core/anatomy/layers";
import { structureOf } from "~core/anatomy/structures";
import { placesIn } from "~core/anatomy/places";
import { latestGrade, type Restriction } from "~core/findings/restriction";
import type { Side } from "~core/units";
import { BodyFigure, type FigureMark, type Spot } from "~app/ui/body-figure";
import { FigureColumn } from "~app/ui/figure-column";
import { depthColours } from "~app/ui/theme";
import { findingName } from "./finding";

/** Findings as marks, peeled to a depth (0: all): what lies deeper is not seen yet, what lies over it fades. */
const marksOf = (restrictions: readonly Restriction[], depth: number): FigureMark[] =>
  restrictions.flatMap((restriction): FigureMark[] => {
    const grade = latestGrade(restriction)?.grade ?? 0;
    const own = structureOf(restriction.structure);
    const deep = depthOf(restriction.layer);
    if (depth > 0 && deep > depth) return [];
    return [
      {
        id: restriction.id,
        text: String(grade),
        title: `${findingName(restriction)}: grade ${grade}`,
        ...(own ? { structure: own.key } : {}),
        places: own?.places ?? placesIn(restriction.region),
        side: restriction.side,
        r: 5 + grade * 1.6,
        fill: depthColours[deep - 1]!,
        ink: deep <= 2 ? "#2B2622" : "#FFFDFA",
        faded: depth > 0 && deep < depth,
      },
    ];
  });

/** The lay figure with what was felt, peeled to a depth: what lies over it fades, what lies under appears. */
export function BodyMap({
  restrictions,
  spot,
  choosePlace,
  structure,
  chooseStructure,
  children,
}: {
  restrictions: readonly Restriction[];
  spot: Spot | undefined;
  choosePlace: (spot: Spot, near: readonly Spot[]) => void;
  structure: { structure: string; side: Side | null } | undefined;
  chooseStructure: (
    structure: string,
    side: Side | null,
    near: readonly { structure: string; side: Side | null }[],
  ) => void;
  /** What is found, beside it. */
  children: ReactNode;
}) {
  // 0: the skin with every mark; 1–5: that layer
  const [depth, setDepth] = useState(0);
  const layer = depth === 0 ? undefined : layers[depth - 1]!;
  const marks = useMemo(() => marksOf(restrictions, depth), [restrictions, depth]);
  return (
    <FigureColumn
      above={
        <Box sx={{ px: 2 }}>
          <Slider
            aria-label="Peel to layer"
            value={depth}
            min={0}
            max={5}
            step={1}
            marks={[
              { value: 0, label: "all" },
              ...layers.map(({ depth: value, name }) => ({ value, label: name.split(" ")[0]!.toLowerCase() })),
            ]}
            getAriaValueText={(value) => (value === 0 ? "all layers" : layers[value - 1]!.name)}
            onChange={(_, value) => setDepth(value as number)}
            sx={{ "& .MuiSlider-markLabel": { fontSize: 12 } }}
          />
        </Box>
      }
      figure={(views) => (
        <BodyFigure
          views={views}
          label="Body map"
          marks={marks}
          chosen={spot}
          choose={choosePlace}
          layer={layer?.key}
          layerFill={layer && `${depthColours[layer.depth - 1]}66`}
          chosenStructure={structure}
          chooseStructure={layer && chooseStructure}
        />
      )}
      hint="Choose a place, or peel to a layer and choose a structure: outlines say where to look, not how it is shaped. A mark’s size is its grade, its colour the layer; R and L are the client’s own sides."
    >
      {children}
    </FigureColumn>
  );
}
