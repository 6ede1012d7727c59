import { useTheme } from "@mui/material/styles";
import { depthOf, layerKeys, layerName } from "~core/anatomy/layers";
import { structureOf } from "~core/anatomy/structures";
import { forces, forceWords } from "~core/techniques/forces";
import { positionName, type Position, type Technique } from "~core/techniques/technique";
import Box from "@mui/material/Box";
import { Fine } from "./fine";
import { depthColours } from "./theme";

const size = { width: 220, skin: 34, band: 17, foot: 4 };
const arrow = 78;

/**
 * A cut through the layers, skin on top: how much of the technique's time reaches each of them, and the hands' force at its angle,
 * down to the deepest it works on. Beside it how the client lies.
 */
export function ForceFigure({ technique }: { technique: Technique }) {
  const { tokens } = useTheme();
  const { force, layer, positions, reach } = technique;
  const shares = layerKeys.map((key) =>
    Math.max(0, ...reach.filter(({ structure }) => structureOf(structure)!.layer === key).map(({ share }) => share)),
  );
  const height = size.skin + 5 * size.band + size.foot;
  const deepest = layer === "LT" ? 1 : depthOf(layer);
  const tip = { x: size.width / 2 - 14, y: size.skin + (deepest - 0.5) * size.band };
  return (
    <Box component="figure" sx={{ m: 0, width: size.width }}>
      <svg
        width={size.width}
        height={height}
        role="img"
        aria-label={`Layers reached: ${layerKeys
          .flatMap((key, i) =>
            shares[i]! > 0 ? `${layerName(key).toLowerCase()} ${Math.round(100 * shares[i]!)} %` : [],
          )
          .join(", ")}${force ? `; the hand ${forceWords(force)}` : ""}`}
      >
        <defs>
          <marker id="force-tip" viewBox="0 0 10 10" refX={8} refY={5} markerWidth={7} markerHeight={7} orient="auto">
            <path d="M0 0 L10 5 L0 10 z" fill={tokens.ember} />
          </marker>
        </defs>
        {layerKeys.map((key, i) => (
          <g key={key}>
            <rect
              x={0}
              y={size.skin + i * size.band}
              width={size.width}
              height={size.band - 1}
              fill={depthColours[i]}
              fillOpacity={0.12 + 0.88 * shares[i]!}
            />
            {shares[i]! > 0 && (
              <text
                x={size.width - 4}
                y={size.skin + i * size.band + 12}
                textAnchor="end"
                fontSize={10.5}
                fill={shares[i]! > 0.55 && i > 1 ? "#FFFDFA" : tokens.ink}
              >
                {layerName(key).toLowerCase()} {Math.round(100 * shares[i]!)} %
              </text>
            )}
          </g>
        ))}
        {force && <Hand kind={force.kind} tip={tip} colour={tokens.ember} />}
      </svg>
      <Fine component="figcaption">
        {force && `${forceWords(force).replace(/^./, (first) => first.toUpperCase())}. `}
      </Fine>
      <Box sx={{ display: "flex", gap: 1.5, mt: 0.5, flexWrap: "wrap" }}>
        {(positions.length > 0 ? positions : (["prone", "supine", "side", "seated"] as const)).map((position) => (
          <Lying key={position} position={position} colour={tokens.ink} />
        ))}
      </Box>
    </Box>
  );
}

function Hand({ kind, tip, colour }: { kind: keyof typeof forces; tip: { x: number; y: number }; colour: string }) {
  const stroke = { stroke: colour, strokeWidth: 2.5, fill: "none" };
  if (kind === "rests")
    return <path d={`M${tip.x - 26} ${size.skin - 3} q26 -16 52 0`} {...stroke} strokeLinecap="round" />;
  if (kind === "moves")
    return <path d={`M${tip.x - 24} ${size.skin - 6} a24 20 0 0 1 48 0`} {...stroke} markerEnd="url(#force-tip)" />;
  const angle = (Math.abs(forces[kind].angle) * Math.PI) / 180;
  if (kind === "lifts") {
    const [dx, dy] = [30 * Math.cos(angle), 30 * Math.sin(angle)];
    return (
      <line
        x1={tip.x}
        y1={size.skin + 4}
        x2={tip.x + dx}
        y2={size.skin + 4 - dy}
        {...stroke}
        markerEnd="url(#force-tip)"
      />
    );
  }
  // at its angle, as long as it takes to come from above the skin
  const length = Math.min(arrow, (tip.y - 4) / Math.sin(angle));
  return (
    <line
      x1={tip.x - length * Math.cos(angle)}
      y1={tip.y - length * Math.sin(angle)}
      x2={tip.x}
      y2={tip.y}
      {...stroke}
      markerEnd="url(#force-tip)"
    />
  );
}

/** How the client lies or sits, in a few lines. */
function Lying({ position, colour }: { position: Position; colour: string }) {
  const stroke = { stroke: colour, strokeWidth: 1.6, fill: "none", strokeLinecap: "round" as const };
  return (
    <svg width={72} height={47} viewBox="0 0 40 26" role="img" aria-label={positionName[position]}>
      {position === "seated" ? (
        <>
          <circle cx={20} cy={5} r={3.5} {...stroke} />
          <path d="M20 9 L20 17 L28 17 L28 24 M14 17 L14 24 M14 17 L20 17" {...stroke} />
        </>
      ) : (
        <>
          <path d="M2 22 L38 22" {...stroke} strokeWidth={1} />
          <circle cx={6} cy={position === "side" ? 14 : 17} r={3.5} {...stroke} />
          {position === "prone" && <path d="M10 18 Q20 14 36 20 M6 20.5 L6 22" {...stroke} />}
          {position === "supine" && <path d="M10 18 Q20 20 24 17 L29 13 L34 20 M6 13.5 L6 12" {...stroke} />}
          {position === "side" && <path d="M10 14 Q18 10 23 15 L31 15 L27 20 L36 20" {...stroke} />}
        </>
      )}
    </svg>
  );
}
