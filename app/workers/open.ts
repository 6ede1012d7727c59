import * as Comlink from "comlink";
import { ownInUse } from "~core/series/own-library";
import type { ProofWorker } from "./proof.worker";
import type { SeriesWorker } from "./series.worker";

/** A worker that was told what the practice made of the library, and what it is asked through. */
export type Opened<Asked> = { worker: Worker; asked: Comlink.Remote<Asked> };

function told<Asked extends { shelve: SeriesWorker["shelve"] }>(worker: Worker): Opened<Asked> {
  const asked = Comlink.wrap<Asked>(worker);
  // messages keep their order: whatever is asked next finds them
  void (asked as unknown as Comlink.Remote<SeriesWorker>).shelve(ownInUse());
  return { worker, asked };
}

export const openSearch = () =>
  told<SeriesWorker>(new Worker(new URL("./series.worker.ts", import.meta.url), { type: "module" }));
export const openProof = () =>
  told<ProofWorker>(new Worker(new URL("./proof.worker.ts", import.meta.url), { type: "module" }));
