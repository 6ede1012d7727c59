import { figureKey, type Basis, type OwnFigures } from "./own-figures";
import { leastPairs, pooledRatio, type Ratio } from "../statistics/pooled-ratio";
import type { Marks, PhotoSetup, Scene } from "./calibration";
import { metricsOf, sidesIn } from "./metrics";
import { standingError } from "./standing-error";
import { measure, type ErrorPart, type Measured, type Precision } from "./propagate";
import { readingId, type Reading } from "./reading";
import type { View } from "./view";

/** A marked photograph as it is stored. */
export type MarkedPhoto = { view: View; setup: PhotoSetup; marks: Marks };

type Read = { of: MarkedPhoto & { markedBy?: string | null }; own: OwnFigures | undefined; readings: Reading[] };
const lastRead = new WeakMap<Marks, Read>();

/**
 * As `readPhoto`, of marks that nobody writes to (each change of them is another object): the same picture is read once for
 * however many places show it.
 */
export function readOnce(photo: Read["of"], own?: OwnFigures): Reading[] {
  const known = lastRead.get(photo.marks);
  if (
    known?.own === own &&
    known?.of.view === photo.view &&
    known.of.setup === photo.setup &&
    known.of.markedBy === photo.markedBy
  )
    return known.readings;
  const readings = readPhoto(photo, own);
  lastRead.set(photo.marks, { of: photo, own, readings });
  return readings;
}

/** Reads pictures with the figures of whoever placed their marks, by practitioner; each once. */
export const readBy =
  (figures: Readonly<Record<string, OwnFigures>>) =>
  (photo: MarkedPhoto & { markedBy: string | null }): Reading[] =>
    readOnce(photo, photo.markedBy ? figures[photo.markedBy] : undefined);

/** The scene a stored picture stands for: usual depths, client square to the camera. */
export const sceneOf = (photo: MarkedPhoto): Scene => ({ ...photo, depth: {}, yaw: 0 });

/** Causes that marking the same picture again would show: what a repeatability study replaces by one's own figure. */
const ofMarking = ({ cause }: ErrorPart) => cause === "placing" || cause === "plumb" || cause === "stick";

/** Standard deviation that marking alone gives a value, in its unit. */
export const markingError = (parts: readonly ErrorPart[]): number =>
  Math.sqrt(parts.filter(ofMarking).reduce((sum, { variance }) => sum + variance, 0));

/**
 * A measurement whose marking error is the marker's own, pooled with the model's; its other causes stay. Marking the same
 * picture again cannot see a bony point that is found wrongly both times, so one's own figure only ever adds to the model's.
 */
function withOwn(measured: Measured, own: Ratio | undefined): Measured & { basis: Basis; seMarking: number } {
  const model = markingError(measured.parts);
  const factor = Math.max(1, pooledRatio(own));
  const basis: Basis = own && own.dof >= leastPairs ? { kind: "own", dof: own.dof } : { kind: "model" };
  const more = (factor ** 2 - 1) * model ** 2;
  return {
    ...measured,
    se: Math.sqrt(measured.se ** 2 + more),
    seRepeat: Math.sqrt(measured.seRepeat ** 2 + more),
    parts: measured.parts
      .map((part) => (ofMarking(part) ? { ...part, variance: part.variance * factor ** 2 } : part))
      .sort((a, b) => b.variance - a.variance),
    basis,
    seMarking: factor * model,
  };
}

/**
 * All metrics a picture's marks allow, in the order of the catalogue; missing landmarks leave theirs out. `own` are
 * the figures of whoever placed the marks.
 */
export function readPhoto(
  photo: MarkedPhoto & { markedBy?: string | null },
  own?: OwnFigures,
  precision?: Precision,
): Reading[] {
  const scene = sceneOf(photo);
  return metricsOf(photo.view).flatMap((metric) =>
    sidesIn(metric, photo.view).flatMap((side): Reading[] => {
      const measured = measure(metric, side, scene, precision);
      if (!measured) return [];
      const key = figureKey(metric.key, photo.view);
      const read = withOwn(measured, own?.sem[key]);
      return [
        {
          ...read,
          ...standingError(read, metric.key, metric.unit, own?.standing?.[key]),
          marker: photo.markedBy ?? null,
          standings: 1,
          ...(photo.setup.dotted ? { dotted: true as const } : {}),
          metric,
          side,
          id: readingId(metric, side, photo.view),
          method: "photo",
          unit: metric.unit,
          usual: metric.usual,
        },
      ];
    }),
  );
}
