import fc from "fast-check";
import { overlooked, seenIn } from "./overlooked";

type Press = { id: string; body: { slot: string; value: number; over?: string[] } };
const slotOf = ({ body }: Press) => body.slot;
const press = (id: string, value: number, over?: string[], slot = "hip"): Press => ({
  id,
  body: { slot, value, ...(over !== undefined && { over }) },
});

describe("presses that overlook one another", () => {
  it("are both named, until somebody presses over the later one", () => {
    const two = [press("a", 1, []), press("b", 2, [])];
    expect(overlooked(two, slotOf).map(({ earlier, later }) => [earlier.id, later.id])).toEqual([["a", "b"]]);
    expect(overlooked([...two, press("c", 1, ["a", "b"])], slotOf)).toEqual([]);
    // whoever saw one of them only settles nothing
    expect(overlooked([...two, press("c", 3, ["b"])], slotOf).map(({ earlier }) => earlier.id)).toEqual(["a"]);
  });

  it("are none where the earlier was seen, says the same, lies elsewhere, or nobody noted what was seen", () => {
    expect(overlooked([press("a", 1, []), press("b", 2, ["a"])], slotOf)).toEqual([]);
    expect(overlooked([press("a", 1, []), press("b", 1, [])], slotOf)).toEqual([]);
    expect(overlooked([press("a", 1, []), press("b", 2, [], "knee")], slotOf)).toEqual([]);
    expect(overlooked([press("a", 1), press("b", 2)], slotOf)).toEqual([]);
  });

  it("never come from one device that sees its own, however often it presses", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom("hip", "knee"), fc.integer({ min: 0, max: 2 }))), (presses) => {
        const log: Press[] = [];
        for (const [slot, value] of presses)
          log.push(press(String(log.length), value, seenIn(log, slotOf, slot), slot));
        expect(overlooked(log, slotOf)).toEqual([]);
      }),
    );
  });

  it("are found wherever a second device's press falls between, and stay until both were in sight", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4 }), (at) => {
        const own: Press[] = [];
        for (let i = 0; i < 4; i++) own.push(press(`own ${i}`, i, seenIn(own, slotOf, "hip")));
        const log = [...own.slice(0, at), press("other", 9, []), ...own.slice(at)];
        const found = overlooked(log, slotOf);
        expect(found).toHaveLength(1);
        expect([found[0]!.earlier.id, found[0]!.later.id]).toContain("other");
        const settled = press("settled", 9, seenIn(log, slotOf, "hip"));
        expect(overlooked([...log, settled], slotOf)).toEqual([]);
      }),
    );
  });
});
