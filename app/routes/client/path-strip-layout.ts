import { curveMonotoneX, line } from "d3";

export type StripVisit = {
  ordinal: number;
  name: string;
  depth: number;
  light: boolean;
  state: "done" | "current" | "planned";
  kept?: string;
  /** The planned session breaks a caution. */
  broken?: boolean;
};
export type StripNode = StripVisit & { x: number; y: number };

export type Strip = {
  nodes: StripNode[];
  bands: { name: string; y: number }[];
  walked: string;
  ahead: string;
  width: number;
  height: number;
};

const left = 128;
const top = 16;
const band = 25;
const bands = ["surface fascia", "deep fascia", "outer muscle", "inner muscle", "joint"];

/** Where the nodes and lines of a series lie: time to the right, depth downwards. Pure; drawn elsewhere. */
export function stripLayout(visits: readonly StripVisit[], width: number): Strip {
  const gap = (width - left - 90) / Math.max(visits.length, 1);
  const nodes = visits.map((visit, i) => ({
    ...visit,
    x: left + gap * (i + 0.6),
    y: top + band * (visit.depth - 1) + 6,
  }));
  const path = line<{ x: number; y: number }>(
    (p) => p.x,
    (p) => p.y,
  ).curve(curveMonotoneX);
  const start = { x: left + 4, y: top };
  const end = { x: width - 24, y: top };
  const now = nodes.findLastIndex((node) => node.state !== "planned");
  const walked = nodes.slice(0, now + 1);
  const ahead = nodes.slice(Math.max(0, now));
  return {
    nodes,
    bands: bands.map((name, i) => ({ name, y: top + band * i })),
    walked: walked.length > 0 ? path([start, ...walked])! : "",
    ahead: path(now < 0 ? [start, ...nodes, end] : [...ahead, end])!,
    width,
    height: top + band * 4 + 38,
  };
}
