import { sensitiveAreas, type SensitiveArea } from "../anatomy/sensitive";
import { saidOf, stands, type ConsentRecord, type Subject } from "../consent/consent";
import type { PlannedSession } from "../series/plan";
import { seenOf } from "../said";
import { areasOf } from "../techniques/follows";
import { techniqueOf } from "../techniques/library";
import { hasTag } from "../techniques/touches";
import type { Technique } from "../techniques/technique";
import { runSteps, type RunStep } from "./events";

/** All that a technique needs to be asked for before it is done; empty when general consent covers it. */
export const consentsFor = (technique: Technique): Subject[] => [
  ...(hasTag(technique, "unwinding") ? (["unwinding"] as const) : []),
  ...areasOf(technique).map((area) => `area ${area}` as const),
];

export const consentName = (subject: Subject): string =>
  subject.startsWith("area ") ? sensitiveAreas[subject.slice(5) as SensitiveArea].name : "Unwinding";

export type TableList = {
  steps: RunStep[];
  /** Consents this session turns on, whether they stand (undefined while not asked), and the last word on each. */
  asked: { subject: Subject; stands: boolean | undefined; seen: number }[];
  /** Techniques that are left out because nobody agreed to them. */
  leftOut: string[];
};

/** The planned session as it may be worked at a visit: what was not agreed to is left out. */
export function tableList(session: PlannedSession, records: readonly ConsentRecord[], visitId: string): TableList {
  const subjects = [...new Set(session.steps.flatMap((step) => consentsFor(techniqueOf(step.technique))))];
  const asked = subjects.map((subject) => ({
    subject,
    stands: stands(records, subject, visitId),
    seen: seenOf(saidOf(records, subject, visitId)),
  }));
  const agreed = new Set(asked.filter((each) => each.stands === true).map((each) => each.subject));
  const may = (technique: Technique) => consentsFor(technique).every((subject) => agreed.has(subject));
  return {
    steps: runSteps({ steps: session.steps.filter((step) => may(techniqueOf(step.technique))) }),
    asked,
    leftOut: session.steps
      .map((step) => techniqueOf(step.technique))
      .filter((each) => !may(each))
      .map((each) => each.name),
  };
}
