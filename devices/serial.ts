/** What is used of a port of the Web Serial API (W3C community draft). */
export type Port = {
  open: (options: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
};
export type Ports = { requestPort: () => Promise<Port> };

const baudRate = 9600;

/** The number a line tells, whatever unit or word stands around it; undefined for a line that tells none within `most`. */
export function numberOfLine(line: string, most: number): number | undefined {
  const found = /[-+]?\d+(?:[.,]\d+)?/.exec(line.replace("−", "-"));
  const value = found ? Number(found[0].replace(",", ".")) : NaN;
  return Number.isFinite(value) && Math.abs(value) <= most ? value : undefined;
}

/** Chunks of text as whole lines; what is not ended yet waits for the next chunk. A line longer than 200 signs is noise. */
export function linesFrom(rest: string, chunk: string): { lines: string[]; rest: string } {
  const parts = (rest + chunk).split(/\r\n|\n|\r/);
  const last = parts.pop()!;
  return { lines: parts, rest: last.length > 200 ? "" : last };
}

/** A device at a serial port that sends one number a line: told with seconds since the first, until stopped or lost. */
export type Numbers = { listen: (hear: (at: number, value: number) => void, lost?: () => void) => () => void };

/** Opens a port that the practitioner chooses; rejects when none is chosen or it does not open. Numbers beyond `most` are noise. */
export async function serialNumbers(
  ports: Ports,
  most: number,
  now: () => number = () => performance.now(),
): Promise<Numbers> {
  const port = await ports.requestPort();
  await port.open({ baudRate });
  return {
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
            const number = numberOfLine(line, most);
            if (number === undefined || stopped) continue;
            if (Number.isNaN(start)) start = now();
            hear((now() - start) / 1000, number);
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
