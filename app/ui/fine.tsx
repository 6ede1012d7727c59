import { styled } from "@mui/material/styles";
import Typography, { type TypographyProps } from "@mui/material/Typography";
import type { ElementType } from "react";

/** What is said beside the thing itself: small and soft, and as large as the rest under a finger. */
export const Fine = styled(Typography)<TypographyProps & { component?: ElementType }>(({ theme }) => ({
  fontSize: 13.5,
  color: theme.palette.text.secondary,
  "@media (pointer: coarse)": { fontSize: 16 },
}));
