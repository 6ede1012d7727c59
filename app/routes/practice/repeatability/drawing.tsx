import { sideWord } from "~core/words";
import { useTheme } from "@mui/material/styles";
import type { LayItem, Sight } from "~core/repeatability/lay-figures";
import { layCheck } from "~core/repeatability/lay-figures";
import { seeded, seedOf } from "~core/random";
import { sidesSeen } from "~app/routes/client/table/which-side";
import Box from "@mui/material/Box";

/** The sheet is drawn in millimetres on the body, the mid-line at 0. */
const width = 440;
const height = 300;

type Lines = { outlines: string[]; fine: string[]; dots: [number, number][] };
/** How a lay figure is built: a little wider or slimmer, and lying not quite straight. */
type Build = { wide: number; skew: number };

const buildOf = ({ figure, sight }: LayItem): Build => {
  const random = seeded(seedOf(`lay build ${figure} ${sight}`));
  return { wide: 1 + 0.08 * random.normal(), skew: 0.8 * random.normal() };
};

/** A shape at the right of the mid-line and its mirror image, each lifted towards the head by its own millimetres. */
function pair(
  draw: (x: (mm: number) => number, y: (mm: number) => number) => string,
  { wide }: Build,
  lift: readonly [left: number, right: number],
): string[] {
  return lift.map((up, i) =>
    draw(
      (mm) => (i === 0 ? -1 : 1) * wide * mm,
      (mm) => mm - up,
    ),
  );
}

/** Each sight as lines: `out` is how far the left of the picture stands out against its right, in mm or degrees. */
const drawn: Record<Sight, (out: number, build: Build) => Lines> = {
  // from the feet, the head far away at the top: a short leg's ankle bone lies further up
  malleoli(out, build) {
    const lift = [out / 2, -out / 2] as const;
    return {
      outlines: [
        ...pair(
          (x, y) =>
            `M${x(28)} ${y(-140)} C${x(32)} ${y(-60)} ${x(36)} ${y(-10)} ${x(34)} ${y(28)} C${x(30)} ${y(60)} ${x(40)} ${y(100)} ${x(58)} ${y(122)}`,
          build,
          lift,
        ),
        ...pair(
          (x, y) =>
            `M${x(118)} ${y(-140)} C${x(112)} ${y(-60)} ${x(92)} ${y(-10)} ${x(96)} ${y(28)} C${x(104)} ${y(60)} ${x(120)} ${y(90)} ${x(122)} ${y(112)}`,
          build,
          lift,
        ),
        ...pair(
          (x, y) => `M${x(58)} ${y(122)} C${x(72)} ${y(136)} ${x(112)} ${y(130)} ${x(122)} ${y(112)}`,
          build,
          lift,
        ),
      ],
      fine: pair((x, y) => `M${x(40)} ${y(10)} C${x(30)} ${y(14)} ${x(28)} ${y(26)} ${x(36)} ${y(32)}`, build, lift),
      dots: ([0, 1] as const).map((i) => [(i ? 1 : -1) * build.wide * 37, 20 - lift[i]]),
    };
  },
  "hip-height"(out, build) {
    const lift = [out / 2, -out / 2] as const;
    return {
      outlines: pair(
        (x, y) =>
          `M${x(128)} ${y(-140)} C${x(112)} ${y(-90)} ${x(128)} ${y(-60)} ${x(150)} ${y(-30)} C${x(176)} ${y(10)} ${x(176)} ${y(70)} ${x(160)} ${y(140)}`,
        build,
        [0, 0],
      ),
      fine: [
        ...pair(
          (x, y) => `M${x(28)} ${y(-18)} C${x(60)} ${y(-62)} ${x(108)} ${y(-62)} ${x(136)} ${y(-26)}`,
          build,
          lift,
        ),
        ...pair(
          (x, y) => `M${x(10)} ${y(70)} C${x(40)} ${y(104)} ${x(96)} ${y(110)} ${x(136)} ${y(84)}`,
          build,
          [0, 0],
        ),
        "M0 -140 L0 20",
      ],
      dots: ([0, 1] as const).map((i) => [(i ? 1 : -1) * build.wide * 152, 52 - lift[i]]),
    };
  },
  "shoulder-height"(out, build) {
    const lift = [out / 2, -out / 2] as const;
    return {
      outlines: pair(
        (x, y) =>
          `M${x(42)} ${-140} C${x(42)} ${y(-90)} ${x(58)} ${y(-66)} ${x(110)} ${y(-52)} C${x(160)} ${y(-40)} ${x(186)} ${y(-20)} ${x(190)} ${y(30)} L${x(196)} ${140}`,
        build,
        lift,
      ),
      fine: [
        ...pair(
          (x, y) =>
            `M${x(62)} ${y(-14)} L${x(150)} ${y(-30)} M${x(62)} ${y(-14)} C${x(56)} ${y(40)} ${x(70)} ${y(84)} ${x(92)} ${y(112)} C${x(112)} ${y(80)} ${x(126)} ${y(20)} ${x(134)} ${y(-8)}`,
          build,
          lift,
        ),
        "M0 -110 L0 140",
      ],
      dots: ([0, 1] as const).map((i) => [(i ? 1 : -1) * build.wide * 164, -32 - lift[i]]),
    };
  },
  // along the back: the skyline turned about the spine by so many degrees, its ends on the table
  "high-t-mid"(out, build) {
    const turn = (out * Math.PI) / 180;
    const at = (x: number, y: number) =>
      `${build.wide * (x * Math.cos(turn) - y * Math.sin(turn))} ${60 + (x * Math.sin(turn) + y * Math.cos(turn))}`;
    return {
      outlines: [
        `M${-200 * build.wide} 125 C${at(-196, -10)} ${at(-150, -62)} ${at(-90, -74)} C${at(-60, -80)} ${at(-44, -84)} ${at(-26, -78)} C${at(-14, -74)} ${at(-10, -80)} ${at(0, -82)} C${at(10, -80)} ${at(14, -74)} ${at(26, -78)} C${at(44, -84)} ${at(60, -80)} ${at(90, -74)} C${at(150, -62)} ${at(196, -10)} ${200 * build.wide} 125`,
      ],
      fine: ["M-215 125 L215 125"],
      dots: [],
    };
  },
};

/** One drawing of a lay figure: what is looked at, as it lies before whoever looks, and nothing that says how far. */
export function Drawing({ item }: { item: LayItem }) {
  const { tokens } = useTheme();
  const build = buildOf(item);
  const [first, second] = sidesSeen(layCheck(item));
  // the truth is of the client's left; where the right one lies at the left of the picture it stands out there
  const { outlines, fine, dots } = drawn[item.sight](first === "L" ? item.truth : -item.truth, build);
  return (
    <Box
      component="svg"
      viewBox={`${-width / 2} ${-height / 2 - 16} ${width} ${height + 22}`}
      role="img"
      aria-label={`Drawing of a lay figure: ${layCheck(item).name.toLowerCase()}`}
      sx={{ width: "100%", maxWidth: 620, bgcolor: "background.paper", border: `1px solid ${tokens.line}` }}
    >
      <g transform={`rotate(${build.skew})`} fill="none" strokeLinecap="round">
        {fine.map((d, i) => (
          <path key={i} d={d} stroke={tokens.inkSoft} strokeWidth={1.4} />
        ))}
        {outlines.map((d, i) => (
          <path key={i} d={d} stroke={tokens.ink} strokeWidth={2} />
        ))}
        {dots.map(([x, y], i) => (
          <circle key={i} cx={x} cy={y} r={4} fill={tokens.slate} />
        ))}
      </g>
      {[first, second].map((side, i) => (
        <text
          key={side}
          x={(i ? 1 : -1) * (width / 2 - 8)}
          y={-height / 2 + 2}
          textAnchor={i ? "end" : "start"}
          fontSize={13}
          fill={tokens.inkSoft}
        >
          {sideWord[side]}
        </text>
      ))}
    </Box>
  );
}
