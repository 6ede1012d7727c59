/** Lets other requests have their turn: between pieces of work that together take longer than nobody notices. */
export const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
