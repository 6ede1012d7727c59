import Ajv, { type ErrorObject } from "ajv";
import {
  findNodeAtLocation,
  parseTree,
  printParseErrorCode,
  visit,
  type Node,
  type ParseErrorCode,
} from "jsonc-parser";
import { faultsOf, type Fault } from "./check";
import type { Definition } from "./definition";
import schema from "./techniques.schema.json";

/** A fault in a file: in which line (from 1), and of which technique where it is of one. */
export type FileFault = Fault & { line: number; technique?: string };

const ajv = new Ajv({ allErrors: true, verbose: true, strict: true });
ajv.addSchema(schema);
const isDefinition = ajv.getSchema(`${schema.$id}#/definitions/technique`)!;

// in a file the first fault of each technique is enough: who has a hundred techniques does not read a thousand faults, and
// a file that is none would be gone through for as long as anybody waits
const first = new Ajv({ verbose: true, strict: true });
first.addSchema(schema);
const isFileDefinition = first.getSchema(`${schema.$id}#/definitions/technique`)!;
const mostTechniques = schema.properties.techniques.maxItems;
const isEnvelope = first.compile({
  ...schema,
  $id: "/formats/techniques-envelope",
  properties: { ...schema.properties, techniques: { type: "array", maxItems: mostTechniques } },
});

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
const mostFaults = 200;
/** Characters of a file: 2,000 techniques with all that can be said of them are a fifth of it. */
const mostCharacters = 2_000_000;
const deepest = 12;

/** Reads a file of techniques whole: all of its definitions, or the first fault of each technique and none of them. */
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
  const about = (line: number, message: string) => ({ faults: [{ line, field: "file", message }] });
  if (text.length > mostCharacters) return about(1, `At most ${mostCharacters} characters, got ${text.length}.`);
  const broken = firstBreak(text);
  if (broken === "nested") return about(1, `It is nested deeper than ${deepest} levels.`);
  if (broken)
    return about(
      lineAt(broken.offset),
      `This is not well-formed JSON: ${printParseErrorCode(broken.error)
        .replace(/(?<=[a-z])(?=[A-Z])/g, " ")
        .toLowerCase()}.`,
    );
  const tree = parseTree(text, [], { disallowComments: true, allowTrailingComma: false });
  if (!tree) return about(1, "The file is empty.");
  const value = JSON.parse(text) as unknown;
  const items = findNodeAtLocation(tree, ["techniques"])?.children ?? [];
  const nameAt = (i: unknown): string | undefined => {
    const list = (value as { techniques?: unknown }).techniques;
    const name =
      Array.isArray(list) && typeof i === "number" ? (list[i] as { name?: unknown } | null)?.name : undefined;
    return typeof name === "string" ? name : undefined;
  };
  const lineOf = (path: readonly (string | number)[]): number => {
    // a technique is found by its place, not by counting from the first
    const own = path[0] === "techniques" && typeof path[1] === "number" ? items[path[1]] : undefined;
    const from: { node: Node; path: readonly (string | number)[] } = own
      ? { node: own, path: path.slice(2) }
      : { node: tree, path };
    for (let length = from.path.length; length >= 0; length--) {
      const node = findNodeAtLocation(from.node, from.path.slice(0, length));
      if (node) return lineAt(node.offset);
    }
    return 1;
  };
  const faultAt = (at: readonly (string | number)[], field: string, message: string): FileFault => {
    const technique = at[0] === "techniques" ? nameAt(at[1]) : undefined;
    return { line: lineOf(at), field, message, ...(technique !== undefined && { technique }) };
  };
  if (!isEnvelope(value))
    return { faults: shapeFaults(isEnvelope.errors).map(({ at, field, message }) => faultAt(at, field, message)) };
  const { techniques } = value as unknown as { techniques: Definition[] };
  const misshapen: FileFault[] = [];
  for (const [i, definition] of techniques.entries()) {
    if (isFileDefinition(definition)) continue;
    const [{ at, field, message }] = shapeFaults(isFileDefinition.errors) as [ReturnType<typeof shapeFaults>[number]];
    misshapen.push(faultAt(["techniques", i, ...at], `techniques[${i}]${field && `.${field}`}`, message));
    if (misshapen.length === mostFaults) break;
  }
  if (misshapen.length > 0) return { faults: misshapen };
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

/** Where a text stops being JSON, or that it is nested deeper than a file of techniques is; undefined where it is neither. */
function firstBreak(text: string): { error: ParseErrorCode; offset: number } | "nested" | undefined {
  let found: { error: ParseErrorCode; offset: number } | "nested" | undefined;
  let depth = 0;
  /** Leaves the visitor, which would go on to the end. */
  const enough = new Error("enough");
  const down = () => {
    if (++depth > deepest) {
      found = "nested";
      throw enough;
    }
  };
  const up = () => void depth--;
  try {
    visit(
      text,
      {
        onError: (error, offset) => {
          found = { error, offset };
          throw enough;
        },
        onObjectBegin: down,
        onArrayBegin: down,
        onObjectEnd: up,
        onArrayEnd: up,
      },
      { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false },
    );
  } catch (error) {
    if (error !== enough) throw error;
  }
  return found;
}

const partsOf = (field: string): (string | number)[] =>
  [...field.matchAll(/[^.[\]]+/g)].map(([part]) => (/^\d+$/.test(part) ? Number(part) : part));
const inOrder = (faults: FileFault[]) => faults.sort((a, b) => a.line - b.line);

/** A file that any practice can read: what is given, with everything said. */
export const fileOf = (definitions: readonly Definition[]): string =>
  `${JSON.stringify({ $schema: schema.$id, format: "ember-path-techniques", version: 1, techniques: definitions }, null, 2)}\n`;
