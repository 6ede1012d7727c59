import type { Moment } from "~core/findings/restriction";
import { compareRanges, rangeOf, type Taken } from "~core/move/ranges";
import { comparedWords, rangeName } from "~app/routes/client/move/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

type At = { ordinal: number; moment: Moment };

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
  const of = ({ ordinal, moment }: At) =>
    (moved.find(({ visit }) => visit === ordinal)?.ranges ?? [])
      .filter((taken) => taken.moment === moment)
      .map(rangeOf);
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
