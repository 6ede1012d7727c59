import { memo, useMemo } from "react";
import type { Restriction } from "~core/findings/restriction";
import { sinceLast } from "~core/findings/since-last";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { findingName } from "~core/findings/finding-name";

/** What is different from last time, in a few lines; nothing where nothing is. */
export const Different = memo(function Different({
  restrictions,
  visit,
}: {
  restrictions: readonly Restriction[];
  visit: number;
}) {
  const rows = useMemo(() => sinceLast(restrictions, visit), [restrictions, visit]);
  if (visit === 1 || rows.length === 0) return null;
  return (
    <Box component="section" aria-label="Different from last time" sx={{ mb: 1.5 }}>
      <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
        Different from last time
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0, fontSize: 14.5 }}>
        {rows.map(({ restriction, from, to, verdict }) => (
          <li key={restriction.id}>
            {findingName(restriction)}: {from ? `${from.grade} at visit ${from.visit}, now ${to}` : `new, ${to}`}
            {verdict && ` (${verdict})`}
          </li>
        ))}
      </Box>
    </Box>
  );
});
