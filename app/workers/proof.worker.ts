import * as Comlink from "comlink";
import loadHighs from "highs";
import wasmUrl from "highs/runtime?url";
import type { PlanInput } from "~core/series/plan";
import { putInUse } from "~core/series/own-library";
import { prove, type ProofLimits } from "~core/series/prove";

/** Proves beside the search how good a series can be, or what contradicts what. Blocks its own thread only. */
const prover = {
  /** Tells the worker what the practice made of the library, before anything else. */
  shelve: putInUse,
  async prove(input: PlanInput, limits: ProofLimits) {
    return prove(await loadHighs({ locateFile: () => wasmUrl }), input, limits);
  },
};

export type ProofWorker = typeof prover;
Comlink.expose(prover);
