import Typography from "@mui/material/Typography";
import { styled } from "@mui/material/styles";

/** What is said beside the thing itself: small and soft, and as large as the rest under a finger. */
export const Fine = styled(Typography)(({ theme: { palette } }) => ({
  fontSize: 13.5,
  color: palette.text.secondary,
  "@media (pointer: coarse)": { fontSize: 16 },
})) as typeof Typography;
