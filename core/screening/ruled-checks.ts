import { outFor, workOf } from "./advice";
import type { Outcome } from "./outcome";
import type { Check } from "../table/checks";

/** Why cautions rule out a check itself, and what it tells to do next; undefined where they do not. */
export type Ruled = { asked?: string; then?: string };

export function ruledOut(check: Check, cautions: readonly Outcome[]): Ruled {
  const asked = outFor(workOf(check.act ?? "look", check, [check.lying]), cautions);
  const then = check.then && outFor(workOf(check.then, check), cautions);
  return { ...(asked !== undefined && { asked }), ...(then !== undefined && { then }) };
}
