import { useTheme } from "@mui/material/styles";
import { bodyParts, faceOf, partCentre, type Face } from "~core/anatomy/body-map";
import { regionName, type RegionKey } from "~core/anatomy/regions";
import type { Outcome } from "~core/screening/outcome";
import { tagRegions } from "~core/techniques/safety-tags";
import { zones } from "~core/screening/zones";
import type { Side } from "~core/units";

export type FigureMark = { id: string; text: string; region: RegionKey; side: Side | "both" | null; title: string };

/** How cautions treat one side of a region as a whole: out, capped, or neither. Work-specific ones leave it open. */
function stateOf(region: RegionKey, side: Side, cautions: readonly Outcome[]): "out" | "limited" | "open" {
  const here = cautions.filter(({ scope }) => {
    const regions = scope?.regions ?? scope?.tags?.flatMap((tag) => tagRegions[tag] ?? []) ?? [];
    return regions.includes(region) && (scope!.side === undefined || scope!.side === side);
  });
  if (here.some((caution) => caution.kind === "exclude" && !caution.scope!.tags && !caution.scope!.fromDepth))
    return "out";
  return here.some((caution) => caution.kind === "exclude" || caution.pressure !== undefined) ? "limited" : "open";
}

/** The lay figure with what is out (hatched), what is limited (tinted), where entries belong, and what stays clear. */
export function SafetyFigure({
  cautions,
  marks,
  withZones,
  chosen,
  choose,
}: {
  cautions: readonly Outcome[];
  marks: readonly FigureMark[];
  withZones: boolean;
  chosen?: string | undefined;
  choose?: (id: string) => void;
}) {
  const { tokens } = useTheme();
  const faces: Face[] = ["front", "back"];
  return (
    <svg viewBox="0 0 420 540" width="100%" style={{ display: "block" }} role="group" aria-label="Cautions on the body">
      <defs>
        <pattern id="out" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={7} height={7} fill={tokens.amberWash} />
          <line x1={0} x2={0} y1={0} y2={7} stroke={tokens.amber} strokeWidth={2.6} />
        </pattern>
      </defs>
      {faces.map((face, f) => (
        <g key={face} transform={`translate(${f * 215 + 2} 12)`}>
          <text x={100} y={4} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
            {face}
          </text>
          {(["left", "right"] as const).map((place) => (
            <text key={place} x={place === "left" ? 14 : 178} y={30} fontSize={13} fill={tokens.inkSoft}>
              {(face === "front") === (place === "left") ? "R" : "L"}
            </text>
          ))}
          {bodyParts(face).map(({ region, side, path, mirrored }) => {
            const state = stateOf(region, side, cautions);
            return (
              <path
                key={`${region} ${side}`}
                d={path}
                transform={mirrored ? "translate(200 0) scale(-1 1)" : undefined}
                fill={state === "out" ? "url(#out)" : state === "limited" ? tokens.amberWash : tokens.paper}
                stroke={state === "open" ? tokens.inkSoft : tokens.amber}
                strokeWidth={state === "open" ? 1 : 1.4}
                strokeLinejoin="round"
              >
                <title>
                  {`${regionName(region)}, ${side === "L" ? "left" : "right"}${state === "out" ? ": out" : state === "limited" ? ": limited" : ""}`}
                </title>
              </path>
            );
          })}
          {withZones &&
            zones
              .filter((zone) => zone.face === face)
              .flatMap((zone) =>
                zone.at.flatMap(([x, y]) =>
                  [...new Set([x, 200 - x])].map((at) => (
                    <g key={`${zone.key} ${at} ${y}`}>
                      <title>{`${zone.name}: ${zone.rule}`}</title>
                      <circle cx={at} cy={y} r={4.2} fill={tokens.sheet} stroke={tokens.clay} strokeWidth={1.4} />
                      <line
                        x1={at - 2.6}
                        x2={at + 2.6}
                        y1={y + 2.6}
                        y2={y - 2.6}
                        stroke={tokens.clay}
                        strokeWidth={1.4}
                      />
                    </g>
                  )),
                ),
              )}
          {marks
            .filter((mark) => faceOf(mark.region) === face)
            .flatMap((mark) =>
              (mark.side === "L" || mark.side === "R" ? [mark.side] : (["L", "R"] as const)).map((side) => ({
                mark,
                side,
              })),
            )
            .map(({ mark, side }, i, all) => {
              const centre = partCentre[mark.region];
              const same = all
                .slice(0, i)
                .filter((other) => other.mark.region === mark.region && other.side === side).length;
              const leftHalf = (face === "front") === (side === "R");
              const x = leftHalf ? centre.x : 200 - centre.x;
              const y = centre.y + same * 17;
              const active = mark.id === chosen;
              return (
                <g key={`${mark.id} ${side}`} style={{ cursor: "pointer" }} onClick={() => choose?.(mark.id)}>
                  <title>{mark.title}</title>
                  <circle
                    cx={x}
                    cy={y}
                    r={8}
                    fill={active ? tokens.ember : tokens.sheet}
                    stroke={active ? tokens.ember : tokens.ink}
                    strokeWidth={1.2}
                  />
                  <text
                    x={x}
                    y={y + 3.8}
                    textAnchor="middle"
                    fontSize={10.5}
                    fontWeight={700}
                    fill={active ? tokens.onEmber : tokens.ink}
                  >
                    {mark.text}
                  </text>
                </g>
              );
            })}
        </g>
      ))}
    </svg>
  );
}
