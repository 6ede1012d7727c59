import { startTransition, useEffect, useRef, useState } from "react";
import { hear, silence } from "~core/move/hold-still";
import { useNotify } from "~app/ui/notices";
import { NotHeard, openInclinometer, type InclinometerKind } from "./which-inclinometer";

/**
 * The inclinometer on a limb: `show` gets every angle, `take` the mean of each second it is held still. It stops by itself
 * after `most` takes, and says so when the device is gone: what was taken stays.
 */
export function useHearing({
  show,
  take,
  most,
}: {
  show: (angle: number | undefined) => void;
  take: (angle: number) => void;
  most: number;
}) {
  const [listening, setListening] = useState(false);
  const stop = useRef<(() => void) | undefined>(undefined);
  const latest = useRef({ show, take });
  useEffect(() => {
    latest.current = { show, take };
  });
  const notify = useNotify();
  const end = () => {
    stop.current?.();
    stop.current = undefined;
    latest.current.show(undefined);
    setListening(false);
  };
  useEffect(
    () => () => {
      stop.current?.();
      // one that is still being opened is stopped once it is open
      stop.current = undefined;
    },
    [],
  );
  const begin = async (kind: InclinometerKind, truth: number) => {
    stop.current?.();
    let [hearing, takes, frame, over] = [silence, 0, 0, false];
    let quiet: (() => void) | undefined;
    const mine = () => {
      over = true;
      quiet?.();
      cancelAnimationFrame(frame);
    };
    stop.current = mine;
    setListening(true);
    try {
      const device = await openInclinometer(kind, truth);
      quiet = device.listen(
        (heard) => {
          const next = hear(hearing, heard);
          hearing = next.hearing;
          // drawn once a frame, however many angles come
          cancelAnimationFrame(frame);
          frame = requestAnimationFrame(() => latest.current.show(heard.angle));
          if (next.take === undefined) return;
          takes += 1;
          const taken = Math.round(next.take * 10) / 10;
          // what is drawn anew for it gives way to the needle
          startTransition(() => {
            latest.current.take(taken);
            if (takes >= most) end();
          });
        },
        () => {
          if (over) return;
          end();
          notify(`${device.name} tells nothing any more. What it took stays; the rest can be typed.`, {
            severity: "error",
          });
        },
      );
      if (over) quiet();
    } catch (error) {
      if (!(error instanceof NotHeard)) throw error;
      if (!over) end();
      notify(error.message, { severity: "error" });
    }
  };
  return { listening, end, begin };
}
