import type { At } from "~kinds/kind";
import { compareRanges, rangeOf, type Taken } from "~core/move/ranges";
import { comparedWords, rangeName } from "~core/move/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

/** What changed in the ranges between two moments, judged together. */
export function MoveChange({
  moved,
  first,
  second,
}: {
  moved: readonly { visit: number; ranges: readonly Taken[] }[];
  first: At;
  second: At;
}) {
  const of = ({ visit: at, moment }: At) =>
    (moved.find(({ visit }) => visit === at)?.ranges ?? []).filter((taken) => taken.moment === moment).map(rangeOf);
  const compared = compareRanges(of(first), of(second));
  if (compared.length === 0) return null;
  return (
    <Box component="section" aria-label="Ranges">
      <Typography variant="h3" component="h3" sx={{ mt: 2.5 }}>
        Ranges
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {compared.map((each) => (
          <li key={rangeName(each.second)}>
            {rangeName(each.second)}: {comparedWords(each)}
          </li>
        ))}
      </Box>
    </Box>
  );
}
