import type { ReactNode } from "react";
import Box from "@mui/material/Box";

/**
 * A column beside what is worked on, with a list of its own length that scrolls by itself. Where there is no room beside it,
 * what is worked on comes first.
 */
export function SideColumn({ children }: { children: ReactNode }) {
  return (
    <Box
      data-scrolls
      sx={(t) => ({
        position: "relative",
        bgcolor: "background.paper",
        borderRight: { sm: `1px solid ${t.tokens.line}` },
        order: { xs: 1, sm: 0 },
        p: 1.5,
        height: { sm: "calc(100dvh - 132px)" },
        overflowY: { sm: "auto" },
      })}
    >
      {children}
    </Box>
  );
}
