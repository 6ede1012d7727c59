import { useEffect, useRef, useState } from "react";
import { hear, silence } from "~core/move/hold-still";
import { seeded } from "~core/random";
import { rangeStandIn } from "~devices/inclinometer/range";

/**
 * The inclinometer on a limb: `show` gets every angle, `take` the mean of each second it is held still. It stops by itself
 * after `most` takes.
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
  const end = () => {
    stop.current?.();
    stop.current = undefined;
    latest.current.show(undefined);
    setListening(false);
  };
  useEffect(() => () => stop.current?.(), []);
  return {
    listening,
    end,
    /** Begins with the stand-in; `truth`: what the limb really does. */
    begin: (truth: number) => {
      stop.current?.();
      let [hearing, takes] = [silence, 0];
      let frame = 0;
      const device = rangeStandIn(truth, seeded(Math.floor(Math.random() * 1e9)));
      const quiet = device.listen((heard) => {
        const next = hear(hearing, heard);
        hearing = next.hearing;
        // drawn once a frame, however many angles come
        cancelAnimationFrame(frame);
        frame = requestAnimationFrame(() => latest.current.show(heard.angle));
        if (next.take === undefined) return;
        takes += 1;
        latest.current.take(Math.round(next.take * 10) / 10);
        if (takes >= most) end();
      });
      stop.current = () => {
        quiet();
        cancelAnimationFrame(frame);
      };
      setListening(true);
    },
  };
}
