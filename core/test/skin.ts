import type { SkinFound } from "../findings/skin";

/** Small red spots after an instrument at the third visit, not gone yet. */
export const spots: SkinFound = {
  id: "s1",
  place: "blade",
  side: "L",
  response: "spots",
  after: "edge",
  visit: 3,
  on: "2026-03-02",
  gone: null,
};
