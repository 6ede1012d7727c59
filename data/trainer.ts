import { addOnce } from "./add-once";
import type { Tx } from "./database";
import { NotFound } from "./errors";

export const trainerKinds = ["force", "rhythm", "order", "listening"] as const;
export type TrainerKind = (typeof trainerKinds)[number];

/** A round that was practised: its one figure (less is better), and everything that was scored. */
export type TrainerRound = {
  id: string;
  kind: TrainerKind;
  score: number;
  body: Record<string, string | number | boolean>;
  at: string;
};

/** So many rounds of each kind are followed. */
const most = 200;

/** A practitioner's rounds of a kind, earliest first. */
export async function roundsOf(tx: Tx, practitionerId: string, kind: TrainerKind): Promise<TrainerRound[]> {
  const rows = await tx("trainer_round")
    .where({ practitioner_id: practitionerId, kind })
    .orderBy("created_at", "desc")
    .limit(most)
    .select<(Omit<TrainerRound, "at"> & { created_at: Date })[]>("id", "kind", "score", "body", "created_at");
  return rows.reverse().map(({ created_at: at, ...round }) => ({ ...round, at: at.toISOString() }));
}

/** Keeps a round, once however often it is sent. */
export async function keepRound(tx: Tx, practitionerId: string, round: Omit<TrainerRound, "at">): Promise<void> {
  const { id, body, ...rest } = round;
  const values = { ...rest, body: JSON.stringify(body), practitioner_id: practitionerId };
  await addOnce(tx, "this round", "trainer_round", { id }, values);
}

/** Takes a round back: it counts no more. */
export async function deleteRound(tx: Tx, practitionerId: string, id: string): Promise<void> {
  const gone = await tx("trainer_round").where({ id, practitioner_id: practitionerId }).del();
  if (!gone) throw new NotFound("round");
}
