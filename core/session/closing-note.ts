import { techniqueOf } from "../techniques/library";
import type { BodySide } from "../units";
import { elapsed, type RunState } from "./fold";
import { stepsCounted, stepsWords, wasWorked } from "./worked";

/** A length as it is said: seconds up to a minute and a half, minutes from there on. */
export const spokenLength = (seconds: number): string =>
  seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;
const sideWord: Record<BodySide, string> = { L: "left", R: "right", mid: "" };

const sided = (name: string, side: BodySide) => (sideWord[side] ? `${name}, ${sideWord[side]}` : name);

/** A draft of the visit's note, from what the log holds. The practitioner corrects it; nothing is invented. */
export function closingNote(state: RunState): string {
  if (state.startedAt === undefined) return "";
  const lines: string[] = [];
  const worked = state.steps
    .map((step, i) => ({ step, done: state.states[i]!, name: techniqueOf(step.technique).name }))
    .filter(({ done }) => wasWorked(done));
  const atTable = `${spokenLength(elapsed(state, state.finishedAt ?? state.lastAt ?? state.startedAt))} at the table`;
  // an arc has a log of its own
  lines.push(state.steps.length === 0 ? `${atTable}.` : `${atTable}, ${stepsWords(stepsCounted(state))}.`);
  if (state.agreed.length > 0) lines.push(`Agreed before it began: ${state.agreed.join(" ")}`);

  const byTechnique = new Map<string, number>();
  for (const { done, name } of worked) byTechnique.set(name, (byTechnique.get(name) ?? 0) + done.spent);
  if (byTechnique.size > 0)
    lines.push(`Worked: ${[...byTechnique].map(([name, spent]) => `${name} ${spokenLength(spent)}`).join(", ")}.`);

  // what took much longer than planned to let go is worth remembering
  const slow = worked.flatMap(({ step, done, name }) => {
    const longest = Math.max(0, ...done.holds);
    const planned = step.planned / step.passes;
    return longest >= 30 && longest > 1.5 * planned ? [`${sided(name, step.side)} ${longest} s`] : [];
  });
  if (slow.length > 0) lines.push(`Slow to let go: ${slow.join("; ")}.`);

  const skipped = state.steps
    .filter((_, i) => state.states[i]!.outcome === "skipped")
    .map((step) => sided(techniqueOf(step.technique).name, step.side));
  if (skipped.length > 0) lines.push(`Left out: ${skipped.join("; ")}.`);

  const answers = state.steps.flatMap((step, i) => {
    const { pressure, direction } = state.states[i]!;
    if (pressure === undefined && direction === undefined) return [];
    const parts = [pressure === undefined ? "" : `${pressure} of 10`, direction ? `towards ${direction}` : ""].filter(
      Boolean,
    );
    return [`${techniqueOf(step.technique).name} ${sideWord[step.side]} ${parts.join(", ")}`.replace(/\s+/g, " ")];
  });
  if (answers.length > 0) lines.push(`The client asked for: ${answers.join("; ")}.`);

  for (const { step, done, name } of state.steps.map((step, i) => ({
    step,
    done: state.states[i]!,
    name: techniqueOf(step.technique).name,
  })))
    for (const note of done.notes) lines.push(`${sided(name, step.side)}: ${note}`);
  return lines.join("\n");
}
