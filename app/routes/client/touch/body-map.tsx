import Box from "@mui/material/Box";
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useTheme } from "@mui/material/styles";
import { useState } from "react";
import type { FigureView } from "~core/anatomy/figure";
import { depthOf, layers } from "~core/anatomy/layers";
import { structureOf } from "~core/anatomy/structures";
import { placesIn } from "~core/anatomy/places";
import { latestGrade, type Restriction } from "~core/findings/restriction";
import type { Side } from "~core/units";
import { BodyFigure, type FigureMark, type Spot } from "~app/ui/body-figure";
import { depthColours } from "~app/ui/theme";
import { findingName } from "./finding";

const pairs = {
  "front and back": ["front", "back"],
  sides: ["left", "right"],
  soles: ["sole"],
} as const satisfies Record<string, readonly FigureView[]>;
type Pair = keyof typeof pairs;

/** The lay figure with what was felt, peeled to a depth: what lies over it fades, what lies under appears. */
export function BodyMap({
  restrictions,
  spot,
  choosePlace,
  structure,
  chooseStructure,
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
}) {
  const { tokens } = useTheme();
  const [pair, setPair] = useState<Pair>("front and back");
  // 0: the skin with every mark; 1–5: that layer
  const [depth, setDepth] = useState(0);
  const layer = depth === 0 ? undefined : layers[depth - 1]!;
  const marks = restrictions.flatMap((restriction): FigureMark[] => {
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
  return (
    <Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={pair}
        onChange={(_, next: Pair | null) => next && setPair(next)}
        aria-label="Seen from"
        sx={{ mb: 0.5 }}
      >
        {(Object.keys(pairs) as Pair[]).map((each) => (
          <ToggleButton key={each} value={each} sx={{ px: 1, fontSize: 13 }}>
            {each}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ px: 2 }}>
        <Slider
          aria-label="Peel to layer"
          value={depth}
          min={0}
          max={5}
          step={1}
          marks={[
            { value: 0, label: "all" },
            ...layers.map(({ depth: value, name }) => ({
              value,
              label: name.split(" ")[0]!.toLowerCase() + (name.includes(" ") ? ` ${name.split(" ")[1]!}` : ""),
            })),
          ]}
          getAriaValueText={(value) => (value === 0 ? "all layers" : layers[value - 1]!.name)}
          onChange={(_, value) => setDepth(value as number)}
          sx={{ "& .MuiSlider-markLabel": { fontSize: 11.5 } }}
        />
      </Box>
      <Box sx={{ height: { xs: "46dvh", sm: "calc(100dvh - 300px)" }, minHeight: 380 }}>
        <BodyFigure
          views={pairs[pair]}
          label="Body map"
          marks={marks}
          chosen={spot}
          choose={choosePlace}
          layer={layer?.key}
          layerFill={layer && `${depthColours[layer.depth - 1]}66`}
          chosenStructure={structure}
          chooseStructure={layer && chooseStructure}
          paint={() => ({ fill: tokens.paper })}
        />
      </Box>
    </Box>
  );
}
