import { ValidationError, type AnyObjectSchema, type InferType } from "yup";

export type FieldErrors = Record<string, string>;

/** Validates with a schema; errors come back by field, ready to stand beside what was typed. */
export async function validate<S extends AnyObjectSchema>(
  schema: S,
  value: unknown,
): Promise<{ value: InferType<S>; errors?: undefined } | { value?: undefined; errors: FieldErrors }> {
  try {
    return {
      value: (await schema.validate(value, { abortEarly: false, stripUnknown: true })) as InferType<S>,
    };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const list = error.inner.length > 0 ? error.inner : [error];
    const errors: FieldErrors = {};
    for (const each of list) errors[each.path ?? ""] ??= each.message;
    return { errors };
  }
}
