// The library's search: what one keystroke costs at a thousand techniques.
import { catalogue } from "../core/techniques/catalogue";
import { definitionOf } from "../core/techniques/definition";
import { findTechniques, readAsked } from "../core/techniques/find";
import { libraryOf } from "../core/techniques/library";
import { fileOf, readTechniques } from "../core/techniques/read-file";
import { report } from "./report";

const many = 1000;
const versions = Array.from({ length: many - catalogue.length }, (_, i) => {
  const definition = definitionOf(catalogue[i % catalogue.length]!);
  const stem = `own-${i}`;
  return {
    stem,
    number: 1,
    key: `${stem}~1`,
    definition: { ...definition, key: stem, name: `${definition.name} ${i}` },
    retired: false,
  };
});

const sorted = (times: number[]) => times.sort((a, b) => a - b);
const row = (what: string, times: number[]) => {
  const own = sorted(times);
  const at = (share: number) => own[Math.min(own.length - 1, Math.floor(share * own.length))]!.toFixed(2);
  return `| ${what} | ${at(0.5)} | ${at(0.95)} | ${at(1)} |`;
};
const timed = <T>(work: () => T): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};

const made = timed(() => libraryOf(versions));
const { offered } = libraryOf(versions);
const first = timed(() => findTechniques(readAsked("p"), offered));
const lines = [
  "psoas",
  "easy on thumbs, prone, dry",
  "cranial",
  "neck without neck lever",
  "gentle chest seated up to 3 min",
];
const keystrokes: number[] = [];
for (let round = 0; round < 30; round++)
  for (const line of lines)
    for (let length = 1; length <= line.length; length++)
      keystrokes.push(timed(() => findTechniques(readAsked(line.slice(0, length)), offered)));

const text = fileOf(versions.map(({ definition }) => definition));
const reading = Array.from({ length: 10 }, () => timed(() => readTechniques(text)));

report("library", "The library at a thousand techniques", [
  `${offered.length} techniques, ${versions.length} of them a practice's own; ${keystrokes.length} keystrokes of ${lines.length} lines, one after the other. Budget: p95 16 ms a keystroke.`,
  "",
  "| what | median, ms | p95, ms | slowest, ms |",
  "| --- | --- | --- | --- |",
  row("one keystroke", keystrokes),
  row(`a file of ${versions.length} techniques read and checked (${Math.round(text.length / 1024)} kB)`, reading),
  "",
  `Once after the page is loaded: ${made.toFixed(0)} ms to make the library, ${first.toFixed(0)} ms for the words of all techniques at the first keystroke.`,
]);
