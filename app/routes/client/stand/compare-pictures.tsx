import Slider from "@mui/material/Slider";
import { useEffect, useId, useState, type ReactNode } from "react";
import { movedBetween } from "~core/change/moved";
import { overlay, type Matrix } from "~core/measure/overlay";
import type { MarkedPhoto } from "~core/measure/read-photo";
import type { OwnFigures } from "~core/measure/own-figures";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { pictureHeight } from "./picture";
import { usePicture } from "./use-picture";

export type Comparing = "off" | "slider" | "blink" | "beside";

type Compared = {
  /** Drawn over the photograph and under its marks. */
  under: ReactNode;
  /** Arrows of what moved, over everything. */
  over: ReactNode;
  /** Choosing the way to compare, and what cannot be compared yet. */
  controls: ReactNode;
  /** The earlier picture at the same scale, when it is shown beside. */
  beside: ReactNode;
};

const blinkMs = 700;

/** An earlier picture of the same view laid on the one that is marked: same scale, same ankles, same plumb. */
export function useCompared(
  now: MarkedPhoto,
  earlier: { photo: MarkedPhoto; url: string; name: string } | undefined,
  own: OwnFigures | undefined,
): Compared {
  const [way, setWay] = useState<Comparing>("off");
  const [at, setAt] = useState(0.5);
  const [lit, setLit] = useState(true);
  const clip = useId();
  const image = usePicture(way === "off" ? undefined : earlier?.url);
  useEffect(() => {
    if (way !== "blink") return;
    const timer = window.setInterval(() => setLit((on) => !on), blinkMs);
    return () => window.clearInterval(timer);
  }, [way]);
  if (!earlier) return { under: null, over: null, controls: null, beside: null };

  const map = way === "off" ? undefined : overlay(earlier.photo, now);
  const moves = map ? movedBetween(earlier.photo, now, own) : [];
  const { width, height } = now.setup;
  const src = image && image !== "lost" ? image.src : undefined;
  const laid = map && src && (
    <image
      href={src}
      width={earlier.photo.setup.width}
      height={earlier.photo.setup.height}
      preserveAspectRatio="none"
      transform={matrixText(map)}
      data-testid="earlier-picture"
    />
  );
  const r = width / 130;
  return {
    under:
      laid && way === "slider" ? (
        <g>
          <clipPath id={clip}>
            <rect width={width * at} height={height} />
          </clipPath>
          <g clipPath={`url(#${clip})`}>{laid}</g>
          <line x1={width * at} x2={width * at} y1={0} y2={height} stroke="#FFFDFA" strokeWidth={r / 2} />
        </g>
      ) : laid && way === "blink" && lit ? (
        laid
      ) : null,
    over: moves.map(({ point, from, to }) => <Arrow key={point} from={from} to={to} r={r} />),
    beside:
      laid && way === "beside" ? (
        <Box
          component="svg"
          viewBox={`0 0 ${width} ${height}`}
          role="img"
          aria-label={`The picture ${earlier.name}, at the same scale`}
          sx={{
            aspectRatio: `${width} / ${height}`,
            height: { xs: "auto", md: pictureHeight },
            minHeight: { md: 440 },
            maxWidth: "100%",
            borderRadius: "10px",
            bgcolor: "divider",
          }}
        >
          {laid}
        </Box>
      ) : null,
    controls: (
      <Box sx={{ mt: 2 }}>
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
          <Typography variant="h3" component="h2">
            Beside {earlier.name}
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={way}
            onChange={(_, next: Comparing | null) => next && setWay(next)}
            aria-label={`Compare with ${earlier.name}`}
          >
            <ToggleButton value="off">Off</ToggleButton>
            <ToggleButton value="slider">Slider</ToggleButton>
            <ToggleButton value="blink">Blink</ToggleButton>
            <ToggleButton value="beside">Side by side</ToggleButton>
          </ToggleButtonGroup>
          {way === "slider" && map && (
            <Slider
              size="small"
              min={0}
              max={1}
              step={0.01}
              value={at}
              onChange={(_, value) => setAt(value as number)}
              aria-label="How much of the earlier picture is shown"
              sx={{ width: 130 }}
            />
          )}
        </Box>
        {way !== "off" && (
          <Typography sx={{ fontSize: 13.5, color: "text.secondary", mt: 0.5, maxWidth: 560 }} role="status">
            {image === "lost"
              ? "The earlier picture could not be fetched."
              : !map
                ? "Mark plumb, stick and ankles first: the earlier picture is laid on them."
                : moves.length === 0
                  ? "One scale, on ankles and plumb. Nothing stands elsewhere by more than its error."
                  : `One scale, on ankles and plumb. Arrows: the ${moves.length === 1 ? "one point that" : `${moves.length} points that`} moved by more than marking and standing differ.`}
          </Typography>
        )}
      </Box>
    ),
  };
}

const matrixText = ({ a, b, c, d, e, f }: Matrix) => `matrix(${[a, b, c, d, e, f].join(" ")})`;

function Arrow({ from, to, r }: { from: { x: number; y: number }; to: { x: number; y: number }; r: number }) {
  const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  return (
    <g data-testid="moved" stroke="#B4431F" fill="#B4431F">
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#FFFDFA" strokeWidth={r} />
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} strokeWidth={r / 2} />
      <path
        d={`M0 0 l${-r * 1.6} ${-r * 0.8} v${r * 1.6} z`}
        transform={`translate(${to.x} ${to.y}) rotate(${angle})`}
        stroke="none"
      />
    </g>
  );
}
