import type { Degrees } from "../../core/units";
import type { Inclinometer } from "./inclinometer";

/** What is used of a port of the Web Serial API (W3C community draft). */
export type Port = {
  open: (options: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
};
export type Ports = { requestPort: () => Promise<Port> };

const baudRate = 9600;

/** The angle a line tells: a number of degrees, whatever unit or word stands around it; undefined for a line that tells none. */
export function angleOfLine(line: string): Degrees | undefined {
  const found = /[-+]?\d+(?:[.,]\d+)?/.exec(line.replace("−", "-"));
  const angle = found ? Number(found[0].replace(",", ".")) : NaN;
  return Number.isFinite(angle) && Math.abs(angle) <= 360 ? angle : undefined;
}

/** Chunks of text as whole lines; what is not ended yet waits for the next chunk. A line longer than 200 signs is noise. */
export function linesFrom(rest: string, chunk: string): { lines: string[]; rest: string } {
  const parts = (rest + chunk).split(/\r\n|\n|\r/);
  const last = parts.pop()!;
  return { lines: parts, rest: last.length > 200 ? "" : last };
}

/**
 * A real inclinometer at a serial port that sends one angle a line. The practitioner chooses the port; rejects when none is
 * chosen or it does not open. Seconds are counted from the first angle heard.
 */
export async function serialInclinometer(
  ports: Ports,
  now: () => number = () => performance.now(),
): Promise<Inclinometer> {
  const port = await ports.requestPort();
  await port.open({ baudRate });
  return {
    name: "Inclinometer at the cable",
    listen(hear, lost) {
      const reader = port.readable?.getReader();
      const decoder = new TextDecoder();
      let [stopped, rest, start] = [false, "", NaN];
      const run = async () => {
        while (reader && !stopped) {
          const { value, done } = await reader.read();
          if (done) break;
          const read = linesFrom(rest, decoder.decode(value, { stream: true }));
          rest = read.rest;
          for (const line of read.lines) {
            const angle = angleOfLine(line);
            if (angle === undefined || stopped) continue;
            if (Number.isNaN(start)) start = now();
            hear({ at: (now() - start) / 1000, angle });
          }
        }
      };
      void run()
        .catch(() => undefined)
        .then(async () => {
          reader?.releaseLock();
          await port.close().catch(() => undefined);
          if (!stopped) lost?.();
        });
      return () => {
        stopped = true;
        void reader?.cancel().catch(() => undefined);
      };
    },
  };
}
