import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Judged } from "~kinds/kind";

/** What changed of one kind of record between two moments: each with its error and what may be said of it. */
export function KindChange({ name, list }: { name: string; list: readonly Judged[] }) {
  return (
    <Box component="section" aria-label={name}>
      <Typography variant="h3" component="h3" sx={{ mt: 2.5 }}>
        {name}
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {list.map(({ id, name, from, to, by, verdict }) => (
          <li key={id}>
            {name}: {from} → {to}, {by} ({verdict})
          </li>
        ))}
      </Box>
    </Box>
  );
}
