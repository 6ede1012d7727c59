import { useTheme } from "@mui/material/styles";
import Box from "@mui/material/Box";

const r = 128;
const around = 2 * Math.PI * r;

/** The hold so far against the pass's planned time. Counts up and never rushes; pressing it holds the clock. */
export function HoldRing({
  seconds,
  planned,
  paused,
  toggle,
}: {
  seconds: number;
  planned: number;
  paused: boolean;
  toggle: () => void;
}) {
  const { tokens } = useTheme();
  const share = Math.min(1, seconds / Math.max(1, planned));
  const text = `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, "0")}`;
  const goal = planned >= 90 ? `${Math.round(planned / 30) / 2} min` : `${Math.round(planned)} s`;
  return (
    <Box
      component="button"
      type="button"
      onClick={toggle}
      aria-label={paused ? "Go on with the clock" : "Hold the clock"}
      sx={{
        all: "unset",
        cursor: "pointer",
        borderRadius: "50%",
        justifySelf: "center",
        "&:focus-visible": { outline: `3px solid ${tokens.ember}` },
      }}
    >
      <svg width={290} height={290} viewBox="-145 -145 290 290" aria-hidden>
        <circle r={r} fill="none" stroke={tokens.line} strokeWidth={18} />
        <circle
          r={r}
          fill="none"
          stroke={seconds > planned ? tokens.amber : tokens.ember}
          strokeWidth={18}
          strokeLinecap="round"
          strokeDasharray={`${share * around} ${around}`}
          transform="rotate(-90)"
        />
        <text
          y={12}
          textAnchor="middle"
          fontSize={68}
          fontWeight={750}
          fill={tokens.ink}
          fontFamily="Bricolage Grotesque Variable"
          suppressHydrationWarning
        >
          {text}
        </text>
        <text y={50} textAnchor="middle" fontSize={22} fill={tokens.inkSoft}>
          {paused ? "held, tap to go on" : `planned ${goal}`}
        </text>
      </svg>
    </Box>
  );
}
