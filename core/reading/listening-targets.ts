import { sideWord } from "../words";
import { freedom, freedomSe, stations, type Listening, type StationKey } from "../light-touch/stations";
import { normal } from "../statistics/quantiles";
import { aim, leastSure, targetOfAim, type Aim } from "./aim";
import type { Target } from "./target";

/** What was heard at a visit, before its work and after it. */
export type VisitHeard = { visit: number; heard: Partial<Record<"before" | "after", Listening>> };

/** What is usually held where a station moves little: light work there, common practice. */
const aims: Record<StationKey, Aim> = {
  heels: aim("skin-of-the-foot", 0.4),
  feet: aim("skin-of-the-foot", 0.4),
  thighs: aim("thigh-fascia", 0.4),
  pelvis: aim("sacral-fascia", 0.5),
  ribs: aim("skin-of-the-chest", 0.5),
  shoulders: aim("nuchal-fascia", 0.5),
  "vault-sides": aim("temporal-fascia", 0.5),
  "vault-front-back": aim("galea", 0.5),
  "vault-under": aim("suboccipitals", 0.5),
};

/** Half of free: less than this is little. */
const little = 0.5;

/** A hand's station as it was last heard: how free (0–1), and how probable it is that it moves less than half of that. */
export type HeardLast = {
  station: StationKey;
  name: string;
  side: "L" | "R";
  free: number;
  sure: number;
  visit: number;
  moment: "before" | "after";
};

/** Stations that seem to move less than half of free as they were last heard, weakest first. */
export function weakStations(heard: readonly VisitHeard[]): HeardLast[] {
  const last = new Map<string, HeardLast>();
  for (const { visit, heard: of } of [...heard].sort((a, b) => a.visit - b.visit))
    for (const moment of ["before", "after"] as const)
      for (const { key, name } of stations)
        for (const side of ["L", "R"] as const) {
          const felt = of[moment]?.[key]?.[side];
          if (!felt) continue;
          const free = freedom(felt);
          last.set(`${key} ${side}`, {
            station: key,
            name,
            side,
            free,
            sure: normal((little - free) / freedomSe()),
            visit,
            moment,
          });
        }
  return [...last.values()].filter(({ sure }) => sure >= leastSure).sort((a, b) => a.free - b.free);
}

/** Targets from what hands heard last, lighter than anything that was measured: published agreement on it is poor. */
export const targetsOfListening = (heard: readonly VisitHeard[]): Target[] =>
  weakStations(heard).map(({ station, name, side, free, sure, visit, moment }) =>
    targetOfAim(aims[station], {
      id: `listening-${station}`,
      name: `Listening, ${name.toLowerCase()}`,
      out: side,
      sure,
      size: 1 - free,
      because: `${name}, ${sideWord[side]}: heard ${Math.round(100 * free)} ±${Math.round(196 * freedomSe())} % of free ${moment} visit ${visit}.`,
    }),
  );
