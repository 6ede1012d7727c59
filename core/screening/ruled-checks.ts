import { outFor, workOf } from "./advice";
import type { Outcome } from "./outcome";
import type { Check } from "../table/checks";
import type { Technique } from "../techniques/technique";

/** Why cautions rule out a check itself, and what it tells to do next; undefined where they do not. */
export type Ruled = { asked?: string; then?: string };

/** What each check does, made once: only cautions change. */
const works = new WeakMap<Check, { asked: Technique; then: Technique | undefined }>();
function worksOf(check: Check): { asked: Technique; then: Technique | undefined } {
  const known = works.get(check) ?? {
    asked: workOf(check.act ?? "look", check, [check.lying]),
    then: check.then && workOf(check.then, check),
  };
  works.set(check, known);
  return known;
}

export function ruledOut(check: Check, cautions: readonly Outcome[]): Ruled {
  const work = worksOf(check);
  const asked = outFor(work.asked, cautions);
  const then = work.then && outFor(work.then, cautions);
  return { ...(asked !== undefined && { asked }), ...(then !== undefined && { then }) };
}
