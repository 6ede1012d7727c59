import { useEffect } from "react";

/** The screen stays awake where the browser can. */
export function useScreenAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const hold = () =>
      void navigator.wakeLock
        ?.request("screen")
        .then((got) => (lock = got))
        .catch(() => undefined);
    hold();
    document.addEventListener("visibilitychange", hold);
    return () => {
      document.removeEventListener("visibilitychange", hold);
      void lock?.release();
    };
  }, []);
}
