import type { Change } from "~core/change/compare";
import type { Tokens } from "./theme";

/** Moss towards the usual range, clay away from it, ink for real within it, slate for unclear: always with a word. */
export function changeColour(tokens: Tokens, change: Pick<Change, "verdict" | "direction"> | undefined): string {
  if (!change || change.verdict === "unclear") return tokens.slate;
  return change.direction === "away" ? tokens.clay : change.direction === "towards" ? tokens.moss : tokens.ink;
}
