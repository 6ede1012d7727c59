import Chip, { type ChipProps } from "@mui/material/Chip";
import { styled, type Theme } from "@mui/material/styles";
import type { ElementType } from "react";

/** How a caution stands: it acts, it stops everything, it was set aside, it is not known yet; or there are more of them. */
type Look = "acts" | "stop" | "aside" | "open" | "more";

const looks = ({ tokens }: Theme): Record<Look, object> => ({
  acts: { background: tokens.amberWash, color: tokens.amber, border: `1px solid ${tokens.amber}55` },
  stop: { background: tokens.amber, color: tokens.sheet, fontWeight: 750 },
  aside: { background: "none", color: tokens.inkSoft, border: `1px dashed ${tokens.inkSoft}` },
  open: { background: "none", color: tokens.amber, border: `1px dashed ${tokens.amber}`, fontWeight: 400 },
  more: { background: "none", color: tokens.ink, border: `1px solid ${tokens.line}`, fontWeight: 400 },
});

/** What is known of a client's safety, in the header: small, amber, and never without words. */
export const CautionChip = styled(Chip, { shouldForwardProp: (prop) => prop !== "look" })<
  ChipProps & { look: Look; component?: ElementType; to?: string }
>(({ theme, look }) => ({
  flexShrink: 0,
  borderRadius: 6,
  fontSize: 13,
  fontWeight: 550,
  ...looks(theme)[look],
  "&.MuiChip-clickable:hover": { background: look === "stop" ? theme.tokens.amber : theme.tokens.amberWash },
}));
