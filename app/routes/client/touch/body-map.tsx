import MenuItem from "@mui/material/MenuItem";
import Slider from "@mui/material/Slider";
import { useTheme } from "@mui/material/styles";
import TextField from "@mui/material/TextField";
import { useMemo, useState, type ReactNode } from "react";
import { depthOf, layers } from "~core/anatomy/layers";
import { changeOf, heatOf, spotKey } from "~core/findings/heat";
import { sinceLast } from "~core/findings/since-last";
import type { Restriction } from "~core/findings/restriction";
import type { Side } from "~core/units";
import Box from "@mui/material/Box";
import { BodyFigure, type Paint, type Spot } from "~app/ui/body-figure";
import { FigureColumn } from "~app/ui/figure-column";
import { depthColours } from "~app/ui/theme";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { findingName } from "~core/findings/finding-name";
import { marksOf } from "./finding-marks";

type Shown = "marks" | "heat" | "difference";
const hints: Record<Shown, string> = {
  marks:
    "Choose a place, or peel to a layer and choose a structure; held, it opens a ring around the finger. Outlines say where to look, not how it is shaped. A mark’s size is its grade, its colour the layer; R and L are the client’s own sides.",
  heat: "The darker a place, the worse the grade that was felt there last: the worst of all layers, or of the layer peeled to. It pales with every visit since.",
  difference:
    "Green: freer at the later visit. Red: worse. Strong where the change is clear, pale where it cannot be told from the error of grading.",
};

/** How places are painted by what was felt there. */
function usePaint(
  shown: Shown,
  restrictions: readonly Restriction[],
  visit: number,
  { from, to }: { from: number; to: number },
): ((spot: Spot) => Paint | undefined) | undefined {
  const { tokens } = useTheme();
  const heat = useMemo(
    () => (shown === "heat" ? heatOf(restrictions, visit) : undefined),
    [shown, restrictions, visit],
  );
  const change = useMemo(
    () => (shown === "difference" ? changeOf(sinceLast(restrictions, to, from)) : undefined),
    [shown, restrictions, from, to],
  );
  const alpha = (share: number) =>
    Math.round(255 * share)
      .toString(16)
      .padStart(2, "0");
  if (heat)
    return ({ place, side }) => {
      const there = heat.get(spotKey(place, side));
      if (!there) return undefined;
      const { grade, age, restriction } = there;
      const strength = [0, 0.3, 0.58, 0.9][grade]! * Math.max(0.4, 0.85 ** age);
      const ago = age === 0 ? "felt at this visit" : `felt ${age} ${age === 1 ? "visit" : "visits"} ago`;
      return {
        fill: `${tokens.ember}${alpha(strength)}`,
        says: `grade ${grade}, ${findingName(restriction)}, ${ago}`,
      };
    };
  if (change)
    return ({ place, side }) => {
      const there = change.get(spotKey(place, side));
      if (!there) return undefined;
      const { from: before, to: now, verdict, restriction } = there;
      const worse = now > (before?.grade ?? 0);
      const strength = verdict === "clear" ? 0.8 : verdict === "possible" ? 0.5 : 0.22;
      return {
        fill: `${worse ? tokens.clay : tokens.moss}${alpha(strength)}`,
        says: `${findingName(restriction)} ${before?.grade ?? "new"} → ${now}${verdict ? `, ${verdict}` : ""}`,
      };
    };
  return undefined;
}

/** Which two visits are held against each other. */
function VisitPair({
  visits,
  pair,
  set,
}: {
  visits: readonly number[];
  pair: { from: number; to: number };
  set: (pair: { from: number; to: number }) => void;
}) {
  const select = (name: string, value: number, change: (next: number) => void) => (
    <TextField
      select
      size="small"
      fullWidth={false}
      label={name}
      value={value}
      onChange={(event) => change(Number(event.target.value))}
      sx={{ minWidth: 84 }}
    >
      {visits.map((each) => (
        <MenuItem key={each} value={each}>
          {each}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <>
      {select("from visit", pair.from, (from) => set({ ...pair, from }))}
      {select("to visit", pair.to, (to) => set({ ...pair, to }))}
    </>
  );
}

/** The lay figure with what was felt, peeled to a depth: what lies over it fades, what lies under appears. */
export function BodyMap({
  restrictions,
  visit,
  spot,
  choosePlace,
  structure,
  chooseStructure,
  holdStructure,
  children,
}: {
  restrictions: readonly Restriction[];
  /** The visit it is looked at from. */
  visit: number;
  spot: Spot | undefined;
  choosePlace: (spot: Spot, near: readonly Spot[]) => void;
  structure: { structure: string; side: Side | null } | undefined;
  chooseStructure: (
    structure: string,
    side: Side | null,
    near: readonly { structure: string; side: Side | null }[],
  ) => void;
  holdStructure: (structure: string, side: Side | null, at: { x: number; y: number }) => void;
  /** What is found, beside it. */
  children: ReactNode;
}) {
  // 0: the skin with every mark; 1–5: that layer
  const [depth, setDepth] = useState(0);
  const [shown, setShown] = useState<Shown>("marks");
  const visits = [...new Set(restrictions.flatMap(({ grades }) => grades.map((each) => each.visit)))].sort(
    (a, b) => a - b,
  );
  const [pair, setPair] = useState<{ from: number; to: number } | undefined>();
  const compared = pair ?? { from: visits.at(-2) ?? visit, to: visits.at(-1) ?? visit };
  const here = restrictions.filter((each) => depth === 0 || depthOf(each.layer) === depth);
  const paint = usePaint(shown, here, visit, compared);
  const layer = depth === 0 || shown !== "marks" ? undefined : layers[depth - 1]!;
  const marks = useMemo(() => (shown === "marks" ? marksOf(restrictions, depth) : []), [restrictions, depth, shown]);
  return (
    <FigureColumn
      above={
        <Box sx={{ px: 2 }}>
          {restrictions.length > 0 && (
            <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap", mb: 0.5, ml: -2 }}>
              <ToggleButtonGroup
                exclusive
                size="small"
                value={shown}
                onChange={(_, next: Shown | null) => next && setShown(next)}
                aria-label="Findings as"
              >
                {(Object.keys(hints) as Shown[]).map((each) => (
                  <ToggleButton key={each} value={each} sx={{ px: 1, fontSize: 13 }}>
                    {each}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
              {shown === "difference" && <VisitPair visits={visits} pair={compared} set={setPair} />}
            </Box>
          )}
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
      figure={(sights) => (
        <BodyFigure
          sights={sights}
          label="Body map"
          marks={marks}
          paint={paint}
          chosen={spot}
          choose={choosePlace}
          layer={layer?.key}
          layerFill={layer && `${depthColours[layer.depth - 1]}66`}
          chosenStructure={structure}
          chooseStructure={layer && chooseStructure}
          holdStructure={layer && holdStructure}
        />
      )}
      hint={hints[shown]}
    >
      {children}
    </FigureColumn>
  );
}
