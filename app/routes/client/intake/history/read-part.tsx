import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import { useMemo } from "react";
import { nameOf } from "~core/anatomy/places";
import type { IsoDay } from "~core/days";
import { conditionOf, entryKinds } from "~core/screening/conditions";
import { consequences } from "~core/screening/consequence";
import { readEntry, type TypedEntry } from "~core/screening/entry";
import { usualPreferences, usualSchool, type HistoryEntry } from "~core/screening/facts";
import { isActive } from "~core/screening/outcome";
import { answers, entryAnswers, entryAnswerWord } from "~core/screening/questions";
import { screen, unknownQuestion } from "~core/screening/screen";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { shortDay } from "~app/ui/dates";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { needsAnswer, type Part } from "./told-parts";

const stanceWord = {
  has: "",
  suspected: "suspected",
  denied: "not theirs: kept, no rule",
  other: "somebody else’s: kept, no rule",
} as const;
const sideWord = { L: ", left", R: ", right", both: ", both sides" } as const;

/** One thing that was read: what it was taken for, what is asked about it, and what it means for the work. */
export function ReadPart({
  part,
  today,
  born,
  asked,
  answer,
  refuse,
  onRecord,
  storeAgain,
}: {
  part: Part;
  today: IsoDay;
  born: IsoDay | null;
  /** Saving was tried: what is not answered is pointed at. */
  asked: boolean;
  answer: (answer: TypedEntry["answer"]) => void;
  refuse: (() => void) | undefined;
  /** The entry that says the same already; it is not stored again, unless that is pressed. */
  onRecord: HistoryEntry | undefined;
  storeAgain: () => void;
}) {
  const { typed } = part;
  const condition = typed.condition ? conditionOf(typed.condition) : undefined;
  const read = useMemo(() => readEntry(typed, today, born).body, [typed, today, born]);
  const outcomes = useMemo(() => {
    if (!read) return [];
    return screen({
      born: null,
      history: [{ ...read, id: "new", at: "" }],
      answers: [],
      preferences: usualPreferences,
      school: { ...usualSchool, pressureCeiling: 10 },
    }).filter((outcome) => outcome.until === undefined || outcome.until > today);
  }, [read, today]);
  const question = !onRecord && needsAnswer(part) ? (condition?.question ?? unknownQuestion) : undefined;
  const open = question !== undefined && typed.answer === null;
  const facts = [
    read?.region ? `${nameOf(read.region, read.places)}${read.side ? sideWord[read.side] : ""}` : "",
    read?.when
      ? read.when.earliest === read.when.latest
        ? `${read.when.onset ? "since " : ""}${shortDay(read.when.latest, today)}`
        : `${read.when.onset ? "began " : ""}${shortDay(read.when.earliest, today)} – ${shortDay(read.when.latest, today)}${read.when.onset ? ", goes on" : ""}`
      : "",
    stanceWord[typed.stance ?? "has"],
  ].filter(Boolean);
  return (
    <Box
      data-unasked={open ? "" : undefined}
      data-part={part.key}
      sx={(t) => ({
        bgcolor: !onRecord && (outcomes.length > 0 || open) ? t.tokens.amberWash : "background.paper",
        border: `1px solid ${asked && open ? t.tokens.clay : t.tokens.line}`,
        borderRadius: "6px",
        px: 1.5,
        py: 0.75,
        fontSize: 14.5,
      })}
    >
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", columnGap: 1.25, rowGap: 0.5 }}>
        <Chip
          label={condition ? `${entryKinds[condition.kind]}: ${condition.name}` : `In their words: “${typed.what}”`}
          sx={{ borderRadius: "6px", fontWeight: 600, maxWidth: "100%", bgcolor: "background.paper" }}
        />
        {facts.length > 0 && <span>{facts.join(" · ")}</span>}
        <Box sx={{ flex: 1 }} />
        {refuse && (
          <Button size="small" color="inherit" sx={{ color: "text.secondary", minHeight: 28, py: 0 }} onClick={refuse}>
            Not that
          </Button>
        )}
      </Box>
      {onRecord && (
        <Box role="status" sx={{ display: "flex", alignItems: "center", gap: 1.5, mt: 0.75, flexWrap: "wrap" }}>
          <Typography>
            On record already, as “{onRecord.words}” ({shortDay(onRecord.at.slice(0, 10), today)}): not stored again.
          </Typography>
          <Button size="small" variant="outlined" onClick={storeAgain}>
            Store it as well
          </Button>
        </Box>
      )}
      {question && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mt: 0.75, flexWrap: "wrap" }}>
          <Typography>{question}</Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label={question}
            value={typed.answer}
            onChange={(_, next: TypedEntry["answer"]) => answer(next)}
          >
            {(condition ? answers : entryAnswers).map((each) => (
              <ToggleButton key={each} value={each}>
                {entryAnswerWord[each]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {asked && open && (
            <Typography role="alert" sx={(t) => ({ color: t.tokens.clay, fontSize: 14 })}>
              Answer this first; “Don’t know” is an answer, too.
            </Typography>
          )}
        </Box>
      )}
      {(onRecord || (open && !condition) ? [] : outcomes).map((outcome) => (
        <Box key={outcome.key} sx={{ mt: 0.5 }}>
          {isActive(outcome, today) ? "" : `From ${shortDay(outcome.from!, today)}: `}
          {outcome.reason} <strong>{consequences(outcome).join(" ")}</strong>
          {outcome.until ? ` Until ${shortDay(outcome.until, today)}.` : ""}
        </Box>
      ))}
    </Box>
  );
}
