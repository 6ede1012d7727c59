import { useTheme } from "@mui/material/styles";
import { pathOf, placesSeen } from "~core/anatomy/figure";
import { freedom, stations, type Listening, type StationKey } from "~core/light-touch/stations";

/** Height of each station on the figure. */
const heights: Record<StationKey, number> = {
  heels: 505,
  feet: 478,
  thighs: 316,
  pelvis: 245,
  ribs: 180,
  shoulders: 108,
  "vault-sides": 24,
  "vault-front-back": 44,
  "vault-under": 64,
};

/**
 * How freely each side moves at each station: bars that grow outward from the figure, before hollow and after filled.
 * The picture is seen from the front, so the client's right is on the left.
 */
export function ListenMap({
  before,
  after,
  chosen,
  choose,
}: {
  before: Listening;
  after: Listening;
  chosen: StationKey;
  choose: (station: StationKey) => void;
}) {
  const { tokens } = useTheme();
  const full = 82;
  const bar = (side: "L" | "R", value: number, y: number, filled: boolean) => {
    const width = Math.max(2, value * full);
    const x = side === "R" ? 118 - width : 282;
    return (
      <rect
        x={x}
        y={y}
        width={width}
        height={7}
        rx={2}
        fill={filled ? tokens.plum : tokens.paper}
        stroke={tokens.plum}
        strokeWidth={1.3}
      />
    );
  };
  return (
    <svg
      viewBox="0 0 400 545"
      width="100%"
      style={{ maxHeight: "calc(100dvh - 170px)", minHeight: 420, display: "block" }}
      role="group"
      aria-label="Map of listening, before and after"
    >
      <text x={60} y={14} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
        right
      </text>
      <text x={340} y={14} textAnchor="middle" fontSize={13} fill={tokens.inkSoft}>
        left
      </text>
      <g transform="translate(100 8)">
        {placesSeen("front").map(({ place, side, points }) => (
          <path key={`${place} ${side}`} d={pathOf(points)} fill={tokens.paper} stroke={tokens.line} />
        ))}
        {stations.map(({ key }) => (
          <circle
            key={key}
            cx={100}
            cy={heights[key]}
            r={key === chosen ? 7 : 4}
            fill={key === chosen ? tokens.ember : tokens.inkSoft}
          />
        ))}
      </g>
      {stations.map(({ key, name }) => {
        const y = heights[key] + 8;
        return (
          <g
            key={key}
            role="button"
            tabIndex={0}
            aria-pressed={key === chosen}
            aria-label={name}
            style={{ cursor: "pointer" }}
            onClick={() => choose(key)}
            onKeyDown={(event) => (event.key === "Enter" || event.key === " ") && choose(key)}
          >
            <rect
              x={10}
              y={y - 11}
              width={380}
              height={22}
              fill={key === chosen ? tokens.emberWash : "transparent"}
              opacity={0.6}
              rx={5}
            />
            <line x1={118} x2={282} y1={y} y2={y} stroke={tokens.line} />
            {(["L", "R"] as const).map((side) => {
              const [b, a] = [before[key]?.[side], after[key]?.[side]];
              return (
                <g key={side}>
                  {b && bar(side, freedom(b), y - 8.5, false)}
                  {a && bar(side, freedom(a), y + 1, true)}
                </g>
              );
            })}
          </g>
        );
      })}
      <text x={200} y={542} textAnchor="middle" fontSize={12.5} fill={tokens.inkSoft}>
        hollow: before · filled: after · longer is freer
      </text>
    </svg>
  );
}
