import Button from "@mui/material/Button";
import { isAnswered, type Answer, type VisitAnswers } from "~core/table/answers";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import type { Check } from "~core/table/checks";
import { couplings } from "~core/table/coupled-motion";
import type { Ruled } from "~core/screening/ruled-checks";
import { readLegs } from "~core/table/leg-difference";
import { compareTable, offBefore, verdictWords, wordsOf } from "~core/table/results";

const legWords = {
  even: "The legs are even",
  functional: "The leg difference is functional",
  "suspected structural": "The leg difference may be structural",
  both: "The leg difference speaks for both",
  "cannot be told": "Where the leg difference comes from cannot be told yet",
} as const;

const typeWords = {
  first: "first type, held in neutral",
  second: "second type, held bent",
  ambiguous: "cannot be told yet how it is held",
} as const;

/** What the table said: what was off, what it may mean, what the work made of it; and what was not looked at again. */
export function Found({
  answers,
  ruled,
  earlier,
  open,
  retest,
}: {
  answers: readonly Answer[];
  /** What cautions rule out of the checks and of what they tell to do next, by check. */
  ruled: Readonly<Record<string, Ruled>>;
  earlier: VisitAnswers | undefined;
  open: readonly Check[];
  retest: (() => void) | undefined;
}) {
  const off = offBefore(answers);
  const outOf = (key: string) => {
    const out = ruled[key]?.then;
    return out === undefined ? undefined : `What would follow is out for them today: ${out}.`;
  };
  const nextOf = (check: Check) => outOf(check.key) ?? check.next;
  const worked = compareTable({ answers, moment: "before" }, { answers, moment: "after" });
  const since = earlier
    ? compareTable({ answers: earlier.answers, moment: "before" }, { answers, moment: "before" }).filter(
        ({ before, after }) => before.off > 0 || after.off > 0,
      )
    : [];
  const legs = readLegs(answers);
  const held = couplings(answers);
  if (off.length === 0 && !legs && since.length === 0) return null;
  return (
    <Box sx={{ maxWidth: 860 }}>
      {off.length > 0 && (
        <Box component="section" aria-label="Off before the work" sx={{ mb: 2 }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 0.5, flexWrap: "wrap" }}>
            <Typography variant="h3" sx={{ flex: 1 }}>
              Off before the work
            </Typography>
            {retest && (
              <Button variant="outlined" onClick={retest}>
                {open.length > 0 ? `Retest ${open.length === 1 ? "it" : `these ${open.length}`}` : "Retest again"}
              </Button>
            )}
          </Box>
          <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
            {off.map((check) => (
              <Box component="li" key={check.key} sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1 })}>
                <Typography>
                  <strong>{check.name}</strong>: {wordsOf(check, answers, "before")}
                  {isAnswered(check, answers, "after") && (
                    <>
                      {" → "}
                      {wordsOf(check, answers, "after")} ({verdictWords(check, worked)})
                    </>
                  )}
                </Typography>
                <Fine>
                  {nextOf(check)}
                  {!isAnswered(check, answers, "after") && " Not looked at again yet."}
                </Fine>
              </Box>
            ))}
          </Box>
        </Box>
      )}
      {legs && (
        <Box component="section" aria-label="Leg difference" sx={{ mb: 2 }}>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            {legWords[legs.conclusion]}
          </Typography>
          {legs.because.map((sentence) => (
            <Typography key={sentence}>{sentence}</Typography>
          ))}
          {legs.next && <Typography sx={{ color: "text.secondary" }}>{legs.next}</Typography>}
        </Box>
      )}
      {held.map(({ key, group, reading }) => (
        <Box component="section" aria-label={`How ${group} is held`} key={key} sx={{ mb: 2 }}>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            {group.replace(/^./, (first) => first.toUpperCase())}: {typeWords[reading.type]}
          </Typography>
          <Typography>{reading.held}</Typography>
          <Typography sx={{ color: "text.secondary" }}>{reading.because}</Typography>
          <Typography sx={{ color: "text.secondary" }}>
            {(reading.work && outOf(`high-${key}`)) ?? reading.work ?? reading.settle}
          </Typography>
        </Box>
      ))}
      {since.length > 0 && earlier && (
        <Box component="section" aria-label={`Since visit ${earlier.visit}`} sx={{ mb: 2 }}>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            Since visit {earlier.visit}
          </Typography>
          {[...new Set(since.map(({ before }) => before.check))].map((check) => (
            <Typography key={check.key}>
              {check.name}: {wordsOf(check, earlier.answers, "before")} → {wordsOf(check, answers, "before")} (
              {verdictWords(check, since)})
            </Typography>
          ))}
        </Box>
      )}
      {off.length > 0 && (
        <Fine>
          One step of a grade lies within the error of looking. Everything looked at twice is judged together.
        </Fine>
      )}
    </Box>
  );
}
