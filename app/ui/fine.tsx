import type { ComponentProps } from "react";
import { Typography } from "~app/ui/box";
import { both } from "~app/ui/dress";

const fine = { fontSize: 13.5, color: "text.secondary", "@media (pointer: coarse)": { fontSize: 16 } };

/** What is said beside the thing itself: small and soft, and as large as the rest under a finger. */
export const Fine = (({ sx, ...others }: ComponentProps<typeof Typography>) => (
  <Typography {...others} sx={both(fine, sx)} />
)) as typeof Typography;
