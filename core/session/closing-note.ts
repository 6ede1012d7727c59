import { techniqueOf } from "../techniques/catalogue";
import type { BodySide } from "../units";
import { elapsed, type RunState } from "./fold";

const minutes = (seconds: number) => `${Math.max(1, Math.round(seconds / 60))} min`;
const sideWord: Record<BodySide, string> = { L: "left", R: "right", mid: "" };

/** A draft of the visit's note, from what the log holds. The practitioner corrects it; nothing is invented. */
export function closingNote(state: RunState): string {
  if (state.startedAt === undefined) return "";
  const lines: string[] = [];
  const worked = state.steps
    .map((step, i) => ({ step, done: state.states[i]!, name: techniqueOf(step.technique).name }))
    .filter(({ done }) => done.outcome === "done" || done.spent > 20);
  lines.push(
    `${minutes(elapsed(state, state.finishedAt ?? state.startedAt))} at the table, ${worked.length} of ${state.steps.length} steps.`,
  );

  const byTechnique = new Map<string, string[]>();
  for (const { step, done, name } of worked) {
    const side = sideWord[step.side];
    const longest = done.holds.length > 1 ? `, longest hold ${Math.max(...done.holds)} s` : "";
    byTechnique.set(name, [
      ...(byTechnique.get(name) ?? []),
      `${side ? `${side} ` : ""}${minutes(done.spent)}${longest}`,
    ]);
  }
  if (byTechnique.size > 0)
    lines.push(
      `Worked: ${[...byTechnique].map(([name, parts]) => `${name} (${parts.join("; ")})`).join(", ")}.`,
    );

  const skipped = state.steps
    .filter((_, i) => state.states[i]!.outcome === "skipped")
    .map(
      (step) => `${techniqueOf(step.technique).name}${sideWord[step.side] ? `, ${sideWord[step.side]}` : ""}`,
    );
  if (skipped.length > 0) lines.push(`Left out: ${skipped.join("; ")}.`);

  const answers = state.steps.flatMap((step, i) => {
    const { pressure, direction } = state.states[i]!;
    if (pressure === undefined && direction === undefined) return [];
    const parts = [
      pressure === undefined ? "" : `${pressure} of 10`,
      direction ? `towards ${direction}` : "",
    ].filter(Boolean);
    return [
      `${techniqueOf(step.technique).name} ${sideWord[step.side]} ${parts.join(", ")}`.replace(/\s+/g, " "),
    ];
  });
  if (answers.length > 0) lines.push(`The client asked for: ${answers.join("; ")}.`);

  for (const { step, done, name } of state.steps.map((step, i) => ({
    step,
    done: state.states[i]!,
    name: techniqueOf(step.technique).name,
  })))
    for (const note of done.notes)
      lines.push(`${name}${sideWord[step.side] ? `, ${sideWord[step.side]}` : ""}: ${note}`);
  return lines.join("\n");
}
