import { useTheme } from "@mui/material/styles";

/** The house mark: a path that dips to an ember and comes back up. */
export function Mark({ size = 40 }: { size?: number }) {
  const { tokens } = useTheme();
  return (
    <svg width={size} height={size * 0.75} viewBox="0 3 32 24" aria-hidden="true">
      <path d="M3 9c6 0 6 13 13 13S23 9 29 9" fill="none" stroke={tokens.ink} strokeWidth="2.4" strokeLinecap="round" />
      <circle cx="16" cy="22" r="4.2" fill={tokens.ember} />
    </svg>
  );
}
