import { depthOf } from "../anatomy/layers";
import { regionKeys, regionName, type RegionKey } from "../anatomy/regions";
import { sensitiveAreaKeys, sensitiveAreas } from "../anatomy/sensitive";
import { areasOf } from "../techniques/follows";
import { techniqueOf } from "../techniques/library";
import { positionName, type Position } from "../techniques/technique";
import { sessionMinutes, type PlannedSession } from "./plan";
import { workingDepth } from "./rulebook";
import { minutesByPlace } from "./score";

/** What a session is in a client's words: where it works most, how they lie, what is asked first, and how long hands are on. */
export type SessionForClient = {
  where: string[];
  lies: string[];
  /** Sensitive areas it works in: nothing there without an explicit yes on the day. */
  asked: string[];
  feels: string;
  minutes: number;
};

/** A region that gets this share of a session's minutes is one of those it is about. */
const about = 0.12;
const mostNamed = 4;

export function sessionForClient(session: PlannedSession): SessionForClient {
  const byRegion = minutesByPlace(session);
  const sum = (region: RegionKey) => byRegion.get(region)!.reduce((all, part) => all + part, 0);
  const all = regionKeys.reduce((total, region) => total + sum(region), 0);
  const where = regionKeys
    .filter((region) => all > 0 && sum(region) / all >= about)
    .sort((a, b) => sum(b) - sum(a))
    .slice(0, mostNamed);
  const techniques = session.steps.map(({ technique }) => techniqueOf(technique));
  const asked = new Set(techniques.flatMap(areasOf));
  const deepest = Math.max(0, ...techniques.map(workingDepth));
  const light = techniques.filter(({ phase }) => phase === "work").every(({ layer }) => layer === "LT");
  return {
    where: where.map((region) => regionName(region).toLowerCase()),
    lies: [...new Set(session.steps.flatMap(({ position }) => (position ? [position] : [])))].map(lying),
    asked: sensitiveAreaKeys.filter((area) => asked.has(area)).map((area) => sensitiveAreas[area].name.toLowerCase()),
    feels: light
      ? "Very light touch."
      : deepest >= 4
        ? "Slow work that goes deeper; you say how much is right."
        : deepest >= depthOf("SM")
          ? "Slow, broad work on muscles."
          : "Broad work close to the surface.",
    minutes: sessionMinutes(session),
  };
}

const lying = (position: Position): string =>
  ({ prone: "on the front", supine: "on the back", side: "on the side", seated: positionName.seated.toLowerCase() })[
    position
  ];
