import { ValidationError, type AnyObjectSchema, type InferType } from "yup";

export type FieldErrors = Record<string, string>;

/** More values than any form of ours has: a schema would be busy with them for longer than others should wait. */
const mostValues = 4000;

/** Whether a JSON value holds more than `left` values; stops counting as soon as it does. */
function holdsMore(value: unknown, left: number): boolean {
  const open = [value];
  for (let count = 0; open.length > 0; count++) {
    if (count > left) return true;
    const next = open.pop();
    if (typeof next === "object" && next !== null) for (const each of Object.values(next)) open.push(each);
    if (open.length > left) return true;
  }
  return false;
}

/** The version a form was made from; anything that is no version fits no row. */
export const versionOf = (fields: Record<string, unknown>): number => {
  const version = Number(fields.version);
  return Number.isInteger(version) && version >= 0 && version < 2 ** 31 ? version : -1;
};

/** Validates with a schema; errors come back by field, ready to stand beside what was typed. */
export async function validate<S extends AnyObjectSchema>(
  schema: S,
  value: unknown,
): Promise<{ value: InferType<S>; errors?: undefined } | { value?: undefined; errors: FieldErrors }> {
  if (holdsMore(value, mostValues)) return { errors: { "": `At most ${mostValues} values are taken at once.` } };
  try {
    return {
      value: (await schema.validate(value, { abortEarly: false, stripUnknown: true })) as InferType<S>,
    };
  } catch (error) {
    // a schema trims what it takes for text: an object in its place is no fault of ours
    if (error instanceof TypeError)
      return { errors: { "": "A field holds something of another kind than is needed." } };
    if (!(error instanceof ValidationError)) throw error;
    const list = error.inner.length > 0 ? error.inner : [error];
    const errors: FieldErrors = {};
    for (const each of list) errors[each.path ?? ""] ??= each.message;
    return { errors };
  }
}
