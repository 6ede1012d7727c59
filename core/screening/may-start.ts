import type { Outcome } from "./outcome";
import { questions } from "./questions";

/** One thing that stands between a client and hands-on work today, and where it is settled. */
export type Obstacle = { settle: "screening" | "consent" | "path" | "table"; sentence: string };

/**
 * What has to be settled before a session may start. Never asked is not the same as no: the refer-first questions have
 * to be answered, general consent has to stand, a minor's guardian has to have consented, and what changed since has to
 * be asked for at every visit (it is settled at the table). Common practice.
 */
export function obstacles(state: {
  /** Cautions that act today. */
  cautions: readonly Outcome[];
  /** Keys of the questions that were ever answered. */
  answered: ReadonlySet<string>;
  /** Whether it was asked, for this visit, what changed since the last time. */
  askedAgain: boolean;
  /** Whether these consents stand: undefined when never asked. */
  general: boolean | undefined;
  guardian: boolean | undefined;
  /** Sentences of the safety rules today's planned session breaks. */
  broken: readonly string[];
}): Obstacle[] {
  const found: Obstacle[] = [];
  const refer = state.cautions.filter((caution) => caution.kind === "refer");
  for (const caution of refer)
    found.push({
      settle: "screening",
      sentence: `${caution.title}: ${caution.reason} A clearance has to be recorded.`,
    });
  const open = questions.filter((question) => !state.answered.has(question.key)).length;
  if (open > 0)
    found.push({
      settle: "screening",
      sentence:
        open === questions.length
          ? "The screening questions were not asked yet."
          : `${open} of ${questions.length} screening questions were not asked yet.`,
    });
  if (open === 0 && !state.askedAgain)
    found.push({ settle: "table", sentence: "What changed since last time was not asked for this visit yet." });
  if (state.general !== true)
    found.push({
      settle: "consent",
      sentence:
        state.general === false
          ? "Consent to hands-on work was withdrawn."
          : "There is no consent to hands-on work yet.",
    });
  if (state.cautions.some((caution) => caution.key === "age minor") && state.guardian !== true)
    found.push({ settle: "consent", sentence: "Under 18: a guardian has to consent and be present." });
  // while everything is out, what the plan breaks is no news
  if (refer.length === 0) for (const sentence of state.broken) found.push({ settle: "path", sentence });
  return found;
}
