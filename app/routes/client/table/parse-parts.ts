export type Body<B> = { body: B } | { reason: string };

export const oneOf = <T extends string>(value: unknown, list: readonly T[]): value is T =>
  typeof value === "string" && (list as readonly string[]).includes(value);
export const isNumber = (value: unknown): value is number => typeof value === "number" && Number.isFinite(value);
