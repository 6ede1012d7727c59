import fc from "fast-check";
import { runInNewContext } from "node:vm";
import { handOver } from "./hand-over";

/** What a page's script hears, JSON as the router writes it: rows, each on a line. */
function heardFrom(script: string): { rows: string[]; closed: boolean } {
  const rows: string[] = [];
  let closed = false;
  const [, code] = /^<script nonce="[^"]*">([^]*)<\/script>$/.exec(script)!;
  const streamController = { enqueue: (row: string) => rows.push(row), close: () => (closed = true) };
  runInNewContext(code!, { window: { __reactRouterContext: { streamController } } });
  return { rows, closed };
}

test("what is handed over reads as it was said, and cannot end its script", () => {
  const awkward = fc.constantFrom("</script>", "<!--", "`", "${x}", "\\", '"', "\\`", "\\\\`", "\u2028", "\r\n", "é𝄞");
  const word = fc.oneof(
    fc.string(),
    awkward,
    fc.array(awkward).map((some) => some.join("")),
  );
  fc.assert(
    fc.property(fc.array(fc.record({ says: word, nested: word }), { minLength: 1 }), (values) => {
      // text within text, as an answer told as one text is
      const said = values.map((value) => `${JSON.stringify([value, JSON.stringify(value)])}\n`).join("");
      const script = handOver(said, "abc");
      expect(script.slice(1, -"</script>".length)).not.toContain("<");
      const { rows, closed } = heardFrom(script);
      const lines = rows.join("").trimEnd().split("\n");
      expect(lines.map((line) => JSON.parse(line) as unknown)).toEqual(
        values.map((value) => [value, JSON.stringify(value)]),
      );
      expect(closed).toBe(true);
    }),
  );
});
