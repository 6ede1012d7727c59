import { useTheme } from "@mui/material/styles";
import { bodyParts, faceOf, partCentre, type Face } from "~core/anatomy/body-map";
import { depthOf } from "~core/anatomy/layers";
import { regionName, type RegionKey } from "~core/anatomy/regions";
import { structureOf } from "~core/anatomy/structures";
import { latestGrade, type Restriction } from "~core/findings/restriction";
import { depthColours } from "~app/ui/theme";

type Place = { region: RegionKey; side: "L" | "R" };
const sideWord = { L: "left", R: "right" } as const;

/** The lay figure from the front and from the back, with what was felt. Places are buttons. */
export function BodyMap({
  restrictions,
  chosen,
  choose,
}: {
  restrictions: readonly Restriction[];
  chosen: Place | undefined;
  choose: (place: Place) => void;
}) {
  const { tokens } = useTheme();
  const faces: Face[] = ["front", "back"];
  const marks = restrictions.flatMap((restriction, index) => {
    const sides = restriction.side === "both" ? (["L", "R"] as const) : [restriction.side];
    const grade = latestGrade(restriction)?.grade ?? 0;
    const face = structureFace(restriction);
    return sides.map((side) => ({ restriction, side, grade, face, index }));
  });
  return (
    <svg
      viewBox="0 0 420 540"
      width="100%"
      style={{ maxHeight: "calc(100dvh - 250px)", minHeight: 420, display: "block" }}
      role="group"
      aria-label="Body map"
    >
      {faces.map((face, f) => (
        <g key={face} transform={`translate(${f * 215 + 2} 12)`}>
          <text x={100} y={4} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
            {face}
          </text>
          <text x={14} y={30} fontSize={13} fill={tokens.inkSoft}>
            {face === "front" ? "R" : "L"}
          </text>
          <text x={178} y={30} fontSize={13} fill={tokens.inkSoft}>
            {face === "front" ? "L" : "R"}
          </text>
          {bodyParts(face).map(({ region, side, path, mirrored }) => {
            const active = chosen?.region === region && chosen.side === side;
            return (
              <path
                key={`${region} ${side}`}
                d={path}
                transform={mirrored ? "translate(200 0) scale(-1 1)" : undefined}
                fill={active ? tokens.emberWash : tokens.paper}
                stroke={active ? tokens.ember : tokens.inkSoft}
                strokeWidth={active ? 1.8 : 1}
                strokeLinejoin="round"
                role="button"
                tabIndex={0}
                aria-pressed={active}
                aria-label={`${regionName(region)}, ${sideWord[side]}, seen from the ${face}`}
                style={{ cursor: "pointer", outlineOffset: 1 }}
                onClick={() => choose({ region, side })}
                onKeyDown={(event) => {
                  if (event.key !== "Enter" && event.key !== " ") return;
                  event.preventDefault();
                  choose({ region, side });
                }}
              />
            );
          })}
          {marks
            .filter((mark) => mark.face === face)
            .map(({ restriction, side, grade }, i, all) => {
              const centre = partCentre[restriction.region];
              const same = all
                .slice(0, i)
                .filter((other) => other.restriction.region === restriction.region && other.side === side).length;
              const leftHalf = (face === "front") === (side === "R");
              const x = leftHalf ? centre.x : 200 - centre.x;
              const y = centre.y + same * 15 - (same > 0 ? 4 : 0);
              const deep = depthOf(restriction.layer);
              return (
                <g key={`${restriction.id} ${side}`} pointerEvents="none">
                  <title>{structureOf(restriction.structure)?.name}</title>
                  <circle
                    cx={x}
                    cy={y}
                    r={3.5 + grade * 2.2}
                    fill={depthColours[deep - 1]}
                    stroke={tokens.ink}
                    strokeWidth={1.1}
                  />
                  <text
                    x={x}
                    y={y + 3.6}
                    textAnchor="middle"
                    fontSize={10.5}
                    fontWeight={700}
                    fill={deep <= 2 ? "#2B2622" : "#FFFDFA"}
                  >
                    {grade}
                  </text>
                </g>
              );
            })}
        </g>
      ))}
    </svg>
  );
}

const onBack =
  /trapezius|hamstring|gluteus|calf|rotators|erector|multifidus|sacr|splenius|suboccip|levator|rhomboid|infraspin|latissimus|quadratus|blade|nuchal|sole/;

/** The face on which a restriction is drawn: that of its structure where the region shows on both. */
function structureFace(restriction: Restriction): Face {
  if (restriction.region === "chest" || restriction.region === "belly") return "front";
  return onBack.test(restriction.structure) ? "back" : faceOf(restriction.region);
}
