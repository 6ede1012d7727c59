import * as Comlink from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Stability } from "~core/series/draft";
import type { Plan, PlanInput } from "~core/series/plan";
import { usualProof, type Conflict, type Proof } from "~core/series/prove";
import { usualEffort } from "~core/series/solve";
import { openProof, openSearch } from "~app/workers/open";

export type SolverState =
  | { kind: "idle" }
  | { kind: "solving"; share: number; plan: Plan | undefined }
  | { kind: "impossible"; conflicts: Conflict[] }
  | { kind: "failed" }
  | { kind: "stopped"; kept: boolean };

/** The search and its proof, each in a worker of its own. */
const bothWorkers = () => ({ search: openSearch(), proof: openProof() });

/**
 * Looks for a series plan in one worker while another proves how good it can be at most. Stopping keeps the best plan
 * found so far; a proof that cannot be had leaves a plan without one.
 */
export function useSolver() {
  const [state, setState] = useState<SolverState>({ kind: "idle" });
  const workers = useRef<ReturnType<typeof bothWorkers> | undefined>(undefined);
  const best = useRef<{ plan: Plan | undefined; done: (plan: Plan) => void }>({
    plan: undefined,
    done: () => undefined,
  });
  const end = useCallback(() => {
    workers.current?.search.worker.terminate();
    workers.current?.proof.worker.terminate();
    workers.current = undefined;
  }, []);
  useEffect(() => end, [end]);

  const start = useCallback(
    (asked: PlanInput | Promise<PlanInput>, done: (plan: Plan) => void, stability?: Stability) => {
      end();
      best.current = { plan: undefined, done };
      setState({ kind: "solving", share: 0, plan: undefined });
      const own = bothWorkers();
      workers.current = own;
      const mine = () => workers.current === own;
      const fail = () => {
        if (!mine()) return;
        end();
        setState({ kind: "failed" });
      };
      own.search.worker.onerror = fail;
      const improved = Comlink.proxy((plan: Plan, share: number) => {
        if (!mine()) return;
        best.current.plan = plan;
        setState({ kind: "solving", share, plan });
      });
      const search = async () => own.search.asked.solve(await asked, usualEffort, improved, stability);
      const prove = async (): Promise<Proof> => own.proof.asked.prove(await asked, usualProof);
      const proven = new Promise<Proof>((resolve) => {
        const none = () => resolve({ kind: "none" });
        own.proof.worker.onerror = none;
        prove().then(resolve, none);
      });
      search()
        .then(async (plan) => {
          if (mine() && plan) setState({ kind: "solving", share: 1, plan });
          const proof = await proven;
          if (!mine()) return;
          end();
          if (plan) {
            setState({ kind: "idle" });
            done(proof.kind === "bound" ? { ...plan, bound: proof.bound } : plan);
          } else setState({ kind: "impossible", conflicts: proof.kind === "impossible" ? proof.conflicts : [] });
        })
        .catch(fail);
    },
    [end],
  );
  const cancel = useCallback(
    (keep: boolean) => {
      end();
      const { plan, done } = best.current;
      setState({ kind: "stopped", kept: keep && plan !== undefined });
      if (keep && plan) done(plan);
    },
    [end],
  );
  return { state, start, cancel };
}
