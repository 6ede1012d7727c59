/**
 * What a loader says of a client, as one text. The router writes each value and each name of an answer one by one, every time
 * it is sent; a text is written once and sent as it is. What a text cannot carry (a date, a `NaN`) goes the router's way.
 */
export type Serialised<T> = { told?: string; plain?: T };

/** What a loader says. */
export type LoaderData<L extends (...asked: never[]) => Promise<Serialised<unknown>>> =
  Awaited<ReturnType<L>> extends Serialised<infer T> ? T : never;

const said = new WeakMap<object, unknown>();

export function serialised<T>(value: T): Serialised<T> {
  if (!carried(value)) return { plain: value };
  const told: Serialised<T> = { told: JSON.stringify(value) };
  // who asks in the same process gets what was said, not a copy
  said.set(told, value);
  return told;
}

/** What was said: the same for the same answer, however often it is asked. */
export function deserialised<T>(answer: Serialised<T>): T {
  if (answer.told === undefined) return answer.plain as T;
  if (!said.has(answer)) said.set(answer, JSON.parse(answer.told));
  return said.get(answer) as T;
}

/** Whether it reads from a text as it was written, but for fields that hold nothing, which are left out. */
function carried(value: unknown): boolean {
  if (typeof value === "number") return Number.isFinite(value) && !Object.is(value, -0);
  if (Array.isArray(value)) return value.every((each) => each !== undefined && carried(each));
  if (typeof value !== "object" || value === null)
    return typeof value === "string" || typeof value === "boolean" || value === null;
  return (
    Object.getPrototypeOf(value) === Object.prototype &&
    Object.values(value).every((each) => each === undefined || carried(each))
  );
}
