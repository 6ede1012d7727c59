import * as Comlink from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Plan, PlanInput } from "~core/series/plan";
import { usualLimits, type Conflict } from "~core/series/solve";
import type { SeriesWorker } from "~app/workers/series.worker";

export type SolverState =
  | { kind: "idle" }
  | { kind: "solving"; since: number; seconds: number; plan: Plan | undefined }
  | { kind: "impossible"; conflicts: Conflict[] }
  | { kind: "failed" }
  | { kind: "stopped"; kept: boolean };

/** Runs the series solver in a worker. Stopping keeps the best plan found so far. */
export function useSolver() {
  const [state, setState] = useState<SolverState>({ kind: "idle" });
  const worker = useRef<Worker | undefined>(undefined);
  const best = useRef<{ plan: Plan | undefined; done: (plan: Plan) => void }>({
    plan: undefined,
    done: () => undefined,
  });
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
  }, []);
  useEffect(() => end, [end]);

  const start = useCallback(
    (input: PlanInput, done: (plan: Plan) => void) => {
      end();
      best.current = { plan: undefined, done };
      setState({ kind: "solving", since: Date.now(), seconds: usualLimits.seconds, plan: undefined });
      const own = new Worker(new URL("../../../workers/series.worker.ts", import.meta.url), {
        type: "module",
      });
      worker.current = own;
      own.onerror = () => {
        if (worker.current === own) setState({ kind: "failed" });
      };
      const improved = Comlink.proxy((plan: Plan) => {
        if (worker.current !== own) return;
        best.current.plan = plan;
        setState((now) => (now.kind === "solving" ? { ...now, plan } : now));
      });
      Comlink.wrap<SeriesWorker>(own)
        .solve(input, usualLimits, improved)
        .then((solved) => {
          if (worker.current !== own) return;
          end();
          if (solved.kind === "impossible") return setState({ kind: "impossible", conflicts: solved.conflicts });
          setState({ kind: "idle" });
          done(solved.plan);
        })
        .catch(() => {
          if (worker.current === own) setState({ kind: "failed" });
        });
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
