import { listeningAgain, listeningFirst, partsOfForm, type ArcPart } from "../light-touch/arc-steps";
import type { Technique } from "../techniques/technique";
import { templateOf } from "./template";

/** What a session makes of the light-touch arc, in its order; undefined for a session that is no arc. */
export function arcOf(session: number, input: { template: string }): ArcPart[] | undefined {
  const { arc } = templateOf(input.template).sessions[session] ?? {};
  return arc && partsOfForm(arc);
}

/** Listening is what an arc begins and ends with: no one leaves it out. */
export const isListening = ({ key }: Technique): boolean => key === listeningFirst || key === listeningAgain;
