import { useEffect, useState } from "react";
import { clockWords } from "~core/words";

/** Minutes and seconds since a moment (ISO), counting up and never rushing. */
export function Clock({ since }: { since: string }) {
  const [now, setNow] = useState<number | undefined>();
  useEffect(() => {
    setNow(Date.now());
    const timer = window.setInterval(() => setNow(Date.now()), 1000);
    return () => window.clearInterval(timer);
  }, [since]);
  const seconds = Math.max(0, Math.floor(((now ?? Date.parse(since)) - Date.parse(since)) / 1000));
  return (
    <span role="timer" style={{ fontVariantNumeric: "tabular-nums" }}>
      {clockWords(seconds)}
    </span>
  );
}
