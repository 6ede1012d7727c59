import { useEffect, useEffectEvent, useState } from "react";
import type { Job } from "~data/jobs";

const [soonest, latest] = [300, 3000];
/** What a page has to be loaded anew for: something is done, or has a problem. */
const standing = (jobs: readonly Job[]) => jobs.map(({ id, problem }) => `${id} ${problem ?? ""}`).join();

/**
 * What is being done outside of requests for a client, followed for as long as something of it goes on: `known` as the page
 * was loaded with, newer shares as they come. `changed` when something is done or has a problem.
 */
export function useJobs(clientId: string, known: readonly Job[], changed: () => void): readonly Job[] {
  const [now, setNow] = useState(known);
  const [was, setWas] = useState(known);
  if (was !== known) {
    setWas(known);
    setNow(known);
  }
  const tell = useEffectEvent(changed);
  const going = known.some(({ problem }) => problem === null);
  useEffect(() => {
    if (!going) return;
    let wait = soonest;
    let timer: ReturnType<typeof setTimeout>;
    const ending = new AbortController();
    const ask = async () => {
      // who has no network, or is signed out, asks again in a while
      const answer = await fetch(`/clients/${clientId}/jobs`, { signal: ending.signal })
        .then((response) => (response.ok ? (response.json() as Promise<{ jobs: Job[] }>) : undefined))
        .catch(() => undefined);
      if (ending.signal.aborted) return;
      if (answer) {
        setNow(answer.jobs);
        const news = standing(answer.jobs) !== standing(known);
        if (news) tell();
        // what was told is loaded now, and this begins anew with it
        wait = news ? latest : Math.min(latest, wait * 1.15);
      }
      timer = setTimeout(() => void ask(), wait);
    };
    timer = setTimeout(() => void ask(), wait);
    return () => {
      ending.abort();
      clearTimeout(timer);
    };
  }, [clientId, known, going]);
  return now;
}
