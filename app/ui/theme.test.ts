import { themes, type TokenName, type Tokens } from "./theme";

/** Relative luminance and contrast ratio: WCAG 2.1, definitions of both (W3C Recommendation 2018, from memory). */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const channel = parseInt(hex.slice(i, i + 2), 16) / 255;
    return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}
const contrast = (one: string, two: string) => {
  const [dark, light] = [luminance(one), luminance(two)].sort((a, b) => a - b);
  return (light! + 0.05) / (dark! + 0.05);
};

it("computes the published ends of the scale", () => {
  expect(contrast("#000000", "#FFFFFF")).toBeCloseTo(21, 6);
  expect(contrast("#777777", "#FFFFFF")).toBeCloseTo(4.48, 2);
});

describe.each(["light", "dim"] as const)("%s", (mode) => {
  const t: Tokens = themes[mode].tokens;
  const text: TokenName[] = ["ink", "inkSoft", "ember", "moss", "clay", "slate", "plum", "amber"];
  it.each(text)("%s is readable as text on paper and on sheets (4.5:1)", (name) => {
    expect(contrast(t[name], t.paper)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(t[name], t.sheet)).toBeGreaterThanOrEqual(4.5);
  });
  it("keeps words readable on what carries them", () => {
    expect(contrast(t.onEmber, t.ember)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(t.ink, t.emberWash)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(t.amber, t.amberWash)).toBeGreaterThanOrEqual(4.5);
  });
  it("keeps marks apart from the bands they lie on (3:1)", () => {
    for (const name of ["moss", "clay", "slate", "ember"] as const)
      expect(contrast(t[name], t.band)).toBeGreaterThanOrEqual(3);
  });
});
