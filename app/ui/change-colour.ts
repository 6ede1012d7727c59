import type { Change } from "~core/change/compare";
import type { Tokens } from "./theme";

/** Moss towards the usual range, clay away from it, ink within it, slate for what cannot be told: always with a word. */
export function changeColour(tokens: Tokens, change: Pick<Change, "verdict" | "direction"> | undefined): string {
  if (!change || change.verdict === "cannot be told") return tokens.slate;
  return change.direction === "away" ? tokens.clay : change.direction === "towards" ? tokens.moss : tokens.ink;
}
