import Ajv, { type ErrorObject } from "ajv";
import { findNodeAtLocation, getNodeValue, parseTree, printParseErrorCode, type ParseError } from "jsonc-parser";
import { faultsOf, type Fault } from "./check";
import type { Definition } from "./definition";
import schema from "./techniques.schema.json";

/** A fault in a file: in which line (from 1), and of which technique where it is of one. */
export type FileFault = Fault & { line: number; technique?: string };

const ajv = new Ajv({ allErrors: true, verbose: true, strict: true });
const isFile = ajv.compile(schema);
const isDefinition = ajv.getSchema(`${schema.$id}#/definitions/technique`)!;

/** "/techniques/3/minutes/least" as path and in words: techniques[3].minutes.least. */
const pathOf = (pointer: string): (string | number)[] =>
  pointer
    .split("/")
    .slice(1)
    .map((part) => (/^\d+$/.test(part) ? Number(part) : part.replace(/~1/g, "/").replace(/~0/g, "~")));
const fieldOf = (path: readonly (string | number)[]): string =>
  path.map((part, i) => (typeof part === "number" ? `[${part}]` : i > 0 ? `.${part}` : part)).join("");

const shown = (value: unknown): string => {
  const text = typeof value === "string" ? `“${value}”` : (JSON.stringify(value) ?? "nothing");
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
};

/** One broken rule of the schema in words: what was wanted, and what is there. */
function sentence({ keyword, params, data, schema: wanted }: ErrorObject): string {
  const got = `got ${shown(data)}.`;
  switch (keyword) {
    case "required":
      return `“${params.missingProperty}” is missing.`;
    case "additionalProperties":
      return `“${params.additionalProperty}” is not known here.`;
    case "enum":
      return `One of ${(wanted as unknown[]).join(", ")}; ${got}`;
    case "const":
      return `Has to be ${shown(wanted)}; ${got}`;
    case "type":
      return `Has to be ${{ number: "a number", string: "text", boolean: "true or false", array: "a list", object: "an object" }[String(wanted)] ?? wanted}; ${got}`;
    case "minimum":
      return `At least ${wanted}; ${got}`;
    case "exclusiveMinimum":
      return `More than ${wanted}; ${got}`;
    case "maximum":
      return `At most ${wanted}; ${got}`;
    case "multipleOf":
      return `In steps of ${wanted}; ${got}`;
    case "minLength":
      return `At least ${wanted} characters; ${got}`;
    case "maxLength":
      return `At most ${wanted} characters, got ${String(data).length}.`;
    case "minItems":
      return `At least ${wanted}; ${got}`;
    case "maxItems":
      return `At most ${wanted}, got ${(data as unknown[]).length}.`;
    case "uniqueItems":
      return `The same twice; ${got}`;
    case "pattern":
      return `Not well formed: ${got}`;
    default:
      return `Breaks the rule “${keyword}”.`;
  }
}

const shapeFaults = (errors: readonly ErrorObject[] | null | undefined) =>
  (errors ?? []).map((error) => {
    const path = pathOf(error.instancePath);
    // what is missing is missed where it should be
    const full = error.keyword === "required" ? [...path, String(error.params.missingProperty)] : path;
    const extra = error.keyword === "additionalProperties" ? [...path, String(error.params.additionalProperty)] : full;
    return {
      at: error.keyword === "additionalProperties" ? extra : path,
      field: fieldOf(extra),
      message: sentence(error),
    };
  });

/** What is wrong with a definition that somebody typed: of shape first, of meaning where the shape is right. */
export function faultsOfTyped(value: unknown): Fault[] {
  if (!isDefinition(value)) return shapeFaults(isDefinition.errors).map(({ field, message }) => ({ field, message }));
  return faultsOf(value as Definition);
}

/** So many faults are looked for in a file: nobody reads more at once. */
const mostFaults = 1000;

/** Reads a file of techniques whole: all of its definitions, or every fault in it and none of them. */
export function readTechniques(text: string): { definitions: Definition[] } | { faults: FileFault[] } {
  try {
    return read(text);
  } catch (error) {
    // what is nested as deep as no file of techniques is
    if (error instanceof RangeError)
      return { faults: [{ line: 1, field: "file", message: "It is nested too deeply." }] };
    throw error;
  }
}

function read(text: string): ReturnType<typeof readTechniques> {
  const starts = [0];
  for (let at = text.indexOf("\n"); at >= 0; at = text.indexOf("\n", at + 1)) starts.push(at + 1);
  const lineAt = (offset: number) => {
    let [low, high] = [0, starts.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (starts[middle]! <= offset) low = middle;
      else high = middle - 1;
    }
    return low + 1;
  };
  const broken: ParseError[] = [];
  const tree = parseTree(text, broken, { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false });
  if (broken.length > 0 || !tree) {
    const seen = broken.map(({ error, offset }) => ({
      line: lineAt(offset),
      field: "file",
      message: `This is not well-formed JSON: ${printParseErrorCode(error)
        .replace(/(?<=[a-z])(?=[A-Z])/g, " ")
        .toLowerCase()}.`,
    }));
    return { faults: seen.length > 0 ? seen : [{ line: 1, field: "file", message: "The file is empty." }] };
  }
  const value = getNodeValue(tree) as unknown;
  const nameAt = (i: unknown): string | undefined => {
    const list = (value as { techniques?: unknown }).techniques;
    const name =
      Array.isArray(list) && typeof i === "number" ? (list[i] as { name?: unknown } | null)?.name : undefined;
    return typeof name === "string" ? name : undefined;
  };
  const lineOf = (path: readonly (string | number)[]): number => {
    for (let length = path.length; length >= 0; length--) {
      const node = findNodeAtLocation(tree, path.slice(0, length));
      if (node) return lineAt(node.offset);
    }
    return 1;
  };
  const faultAt = (at: readonly (string | number)[], field: string, message: string): FileFault => {
    const technique = at[0] === "techniques" ? nameAt(at[1]) : undefined;
    return { line: lineOf(at), field, message, ...(technique !== undefined && { technique }) };
  };
  if (!isFile(value))
    return {
      faults: inOrder(
        shapeFaults(isFile.errors)
          .slice(0, mostFaults)
          .map(({ at, field, message }) => faultAt(at, field, message)),
      ),
    };
  const { techniques } = value as unknown as { techniques: Definition[] };
  const faults = techniques.flatMap((definition, i) =>
    faultsOf(definition).map(({ field, message }) =>
      faultAt(["techniques", i, ...partsOf(field)], `techniques[${i}].${field}`, message),
    ),
  );
  const twice = (of: (definition: Definition) => string, field: "key" | "name") => {
    const first = new Map<string, number>();
    for (const [i, definition] of techniques.entries()) {
      const known = first.get(of(definition));
      if (known === undefined) first.set(of(definition), i);
      else
        faults.push(
          faultAt(
            ["techniques", i, field],
            `techniques[${i}].${field}`,
            `“${definition[field]}” stands in line ${lineOf(["techniques", known, field])} already.`,
          ),
        );
    }
  };
  twice(({ key }) => key, "key");
  twice(({ name }) => name.toLowerCase(), "name");
  return faults.length > 0 ? { faults: inOrder(faults) } : { definitions: techniques };
}

const partsOf = (field: string): (string | number)[] =>
  [...field.matchAll(/[^.[\]]+/g)].map(([part]) => (/^\d+$/.test(part) ? Number(part) : part));
const inOrder = (faults: FileFault[]) => faults.sort((a, b) => a.line - b.line);

/** A file that any practice can read: what is given, with everything said. */
export const fileOf = (definitions: readonly Definition[]): string =>
  `${JSON.stringify({ $schema: schema.$id, format: "ember-path-techniques", version: 1, techniques: definitions }, null, 2)}\n`;
