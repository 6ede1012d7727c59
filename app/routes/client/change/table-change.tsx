import type { At } from "~kinds/kind";
import type { VisitAnswers } from "~core/table/answers";
import { compareTable, openRetests, verdictWords, wordsOf } from "~core/table/results";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";

/** What changed at the table between two moments, judged together; and what was not looked at again. */
export function TableChange({ table, first, second }: { table: readonly VisitAnswers[]; first: At; second: At }) {
  const of = ({ visit: at }: At) => table.find(({ visit }) => visit === at)?.answers ?? [];
  const [before, after] = [of(first), of(second)];
  const compared = compareTable(
    { answers: before, moment: first.moment },
    { answers: after, moment: second.moment },
  ).filter((each) => each.before.off > 0 || each.after.off > 0);
  const open = second.moment === "after" ? openRetests(after) : [];
  if (compared.length === 0 && open.length === 0) return null;
  return (
    <Box component="section" aria-label="At the table">
      <Typography variant="h3" component="h3" sx={{ mt: 2.5 }}>
        At the table
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {[...new Set(compared.map((each) => each.before.check))].map((check) => (
          <li key={check.key}>
            {check.name}: {wordsOf(check, before, first.moment)} → {wordsOf(check, after, second.moment)} (
            {verdictWords(check, compared)})
          </li>
        ))}
      </Box>
      {open.length > 0 && (
        <Typography>
          Off and not looked at again after visit {second.visit}:{" "}
          {open.map(({ name }) => name.toLowerCase()).join(", ")}.
        </Typography>
      )}
    </Box>
  );
}
