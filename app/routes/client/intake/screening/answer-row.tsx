import type { KeyboardEvent } from "react";
import { answers, answerWord, type Answer } from "~core/screening/questions";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

const keys: Record<string, Answer> = { y: "yes", n: "no", d: "unsure" };

/** One question with its three answers. On any of them Y, N or D answers and goes on to the next question. */
export function AnswerRow({
  ask,
  note,
  value,
  against,
  disabled,
  answer,
}: {
  ask: string;
  note: string;
  value: Answer | undefined;
  /** The answer that holds, with those that contradict it: given by people who did not know of each other. */
  against: { answer: Answer; by: string; against: readonly { answer: Answer; by: string }[] } | undefined;
  disabled: boolean;
  answer: (answer: Answer) => void;
}) {
  const onKey = (event: KeyboardEvent<HTMLElement>) => {
    const chosen = keys[event.key.toLowerCase()];
    if (!chosen || disabled || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    answer(chosen);
    const rows = [...document.querySelectorAll<HTMLElement>("[data-answer-row]")];
    const next = rows[rows.findIndex((row) => row.contains(event.currentTarget)) + 1];
    next?.querySelector("button")?.focus();
  };
  return (
    <Box
      data-answer-row
      sx={(t) => ({
        borderTop: `1px solid ${t.tokens.line}`,
        py: 1,
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "minmax(0,1fr) auto" },
        gap: 1.5,
        alignItems: "center",
      })}
    >
      <Box>
        <Typography>{ask}</Typography>
        <Typography sx={{ fontSize: 13, color: "text.secondary" }}>{note}</Typography>
        {against && against.against.length > 0 && (
          <Typography role="alert" sx={(t) => ({ fontSize: 14, color: t.tokens.amber, mt: 0.5 })}>
            Two answers that did not know of each other: {against.by} “{answerWord[against.answer]}”,{" "}
            {against.against.map((each) => `${each.by} “${answerWord[each.answer]}”`).join(", ")}. “
            {answerWord[against.answer]}” holds until one of you settles it: press the answer that is true.
          </Typography>
        )}
      </Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        disabled={disabled}
        value={value ?? null}
        aria-label={ask}
        onKeyDown={onKey}
        onChange={(_, chosen: Answer | null) => {
          // pressing what holds settles a contradiction, too
          if (chosen ?? (against?.against.length && value)) answer((chosen ?? value)!);
        }}
      >
        {answers.map((each) => (
          <ToggleButton
            key={each}
            value={each}
            sx={(t) => ({
              minWidth: 52,
              "&.Mui-selected": each === "no" ? {} : { bgcolor: t.tokens.amberWash, color: t.tokens.amber },
            })}
          >
            {answerWord[each]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
