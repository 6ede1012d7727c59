import type { KeyboardEvent } from "react";
import { answers, answerWord, type Answer } from "~core/screening/questions";
import { Box, Typography } from "~app/ui/box";
import { ToggleButton, ToggleButtonGroup } from "~app/ui/toggles";

const keys: Record<string, Answer> = { y: "yes", n: "no", d: "unsure" };

/** One question with its three answers. On any of them Y, N or D answers and goes on to the next question. */
export function AnswerRow({
  ask,
  note,
  value,
  disabled,
  answer,
}: {
  ask: string;
  note: string;
  value: Answer | undefined;
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
      </Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        disabled={disabled}
        value={value ?? null}
        aria-label={ask}
        onKeyDown={onKey}
        onChange={(_, chosen: Answer | null) => chosen && answer(chosen)}
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
