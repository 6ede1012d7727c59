import { areaOf, saidOf, sensitiveAreas, stands, type ConsentRecord, type Subject } from "../consent/consent";
import type { PlannedSession } from "../series/plan";
import { seenOf } from "../said";
import { techniqueOf } from "../techniques/library";
import { hasTag } from "../techniques/touches";
import type { Technique } from "../techniques/technique";
import { runSteps, type RunStep } from "./events";

/** What a technique needs to be asked for before it is done; undefined when general consent covers it. */
export function consentFor(technique: Technique): Subject | undefined {
  if (hasTag(technique, "unwinding")) return "unwinding";
  const area = areaOf(technique);
  return area && `area ${area}`;
}

export const consentName = (subject: Subject): string =>
  subject.startsWith("area ") ? sensitiveAreas[subject.slice(5) as keyof typeof sensitiveAreas] : "Unwinding";

export type TableList = {
  steps: RunStep[];
  /** Consents this session turns on, whether they stand (undefined while not asked), and the last word on each. */
  asked: { subject: Subject; stands: boolean | undefined; seen: number }[];
  /** Techniques that are left out because nobody agreed to them. */
  leftOut: string[];
};

/** The planned session as it may be worked at a visit: what was not agreed to is left out. */
export function tableList(session: PlannedSession, records: readonly ConsentRecord[], visitId: string): TableList {
  const subjects = [...new Set(session.steps.map((step) => consentFor(techniqueOf(step.technique))))].filter(
    (subject) => subject !== undefined,
  );
  const asked = subjects.map((subject) => ({
    subject,
    stands: stands(records, subject, visitId),
    seen: seenOf(saidOf(records, subject, visitId)),
  }));
  const agreed = new Set(asked.filter((each) => each.stands === true).map((each) => each.subject));
  const may = (technique: Technique) => {
    const subject = consentFor(technique);
    return subject === undefined || agreed.has(subject);
  };
  return {
    steps: runSteps({ steps: session.steps.filter((step) => may(techniqueOf(step.technique))) }),
    asked,
    leftOut: session.steps
      .map((step) => techniqueOf(step.technique))
      .filter((each) => !may(each))
      .map((each) => each.name),
  };
}
