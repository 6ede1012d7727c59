import type { StanceLine } from "~core/measure/stance-line";

/** Stance lines as SVG paths at one scale (px per mm), standing on the same point. */
export function stancePaths(line: StanceLine, scale: number): string[] {
  return line.chains.map((chain) =>
    chain
      .map(({ across, up }, i) => `${i === 0 ? "M" : "L"}${(across * scale).toFixed(1)} ${(-up * scale).toFixed(1)}`)
      .join(" "),
  );
}
