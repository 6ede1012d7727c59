import { useTheme } from "@mui/material/styles";

/** The mark of a session that breaks a caution, centred where it is put. */
export function CautionMark({ x, y }: { x: number; y: number }) {
  const { tokens } = useTheme();
  return (
    <g transform={`translate(${x} ${y})`}>
      <path d="M0 -8 L8 6 L-8 6 Z" fill={tokens.amberWash} stroke={tokens.amber} strokeWidth={1.5} />
      <text y={5} textAnchor="middle" fontSize={10} fontWeight={750} fill={tokens.amber}>
        !
      </text>
    </g>
  );
}
