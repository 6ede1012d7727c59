import { depthOf } from "~core/anatomy/layers";
import { placesIn } from "~core/anatomy/places";
import { structureOf } from "~core/anatomy/structures";
import { latestGrade, type Restriction } from "~core/findings/restriction";
import type { FigureMark } from "~app/ui/body-figure";
import { depthColours } from "~app/ui/theme";
import { findingName } from "~core/findings/finding-name";

/** Findings as marks, peeled to a depth (0: all): what lies deeper is not seen yet, what lies over it fades. */
export const marksOf = (restrictions: readonly Restriction[], depth = 0): FigureMark[] =>
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
