/** Reasons a person can read: at least one, whole sentences, none that says nothing. */
export const explainable = (reasons: readonly string[]): boolean =>
  reasons.length > 0 && reasons.every((reason) => /[.…]$/.test(reason) && !/It fills time/.test(reason));
