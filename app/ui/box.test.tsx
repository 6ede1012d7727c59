import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import LibraryBox from "@mui/material/Box";
import LibraryButton from "@mui/material/Button";
import { ThemeProvider, type SxProps, type Theme } from "@mui/material/styles";
import LibraryText from "@mui/material/Typography";
import fc from "fast-check";
import type { ReactElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { Box, Typography } from "./box";
import { Button } from "./button";
import { themes } from "./theme";

/** An element as it is drawn: its tag and attributes, and the rules its class stands for. */
function drawn(element: ReactElement, theme: keyof typeof themes) {
  const cache = createCache({ key: "t" });
  cache.compat = true;
  const html = renderToStaticMarkup(
    <CacheProvider value={cache}>
      <ThemeProvider theme={themes[theme]}>{element}</ThemeProvider>
    </CacheProvider>,
  );
  const rules = Object.values(cache.inserted)
    .join("")
    .replaceAll(/\.t-[\w-]+/g, ".x");
  const [, tag, attributes] = /^<(\w+)([^>]*)>x</.exec(html)!;
  const own = (attributes!.match(/class="([^"]*)"/)?.[1] ?? "")
    .split(" ")
    .filter((name) => !/^(Mui|t-|button$|$)/.test(name));
  const kept = [...attributes!.matchAll(/ (id|type|disabled|role|href|aria-disabled)="([^"]*)"/g)].map(([all]) => all);
  const bare = [tag, own, kept.sort()];
  return { bare, rules };
}

const length = fc.oneof(fc.integer({ min: 0, max: 8 }), fc.constantFrom("auto", "4px", 0.5));
const one = fc.record(
  {
    p: length,
    px: length,
    mt: fc.oneof(length, fc.record({ xs: length, sm: length, lg: length }, { requiredKeys: [] })),
    color: fc.oneof(
      fc.constantFrom("text.secondary", "primary.main", "#123456"),
      fc.constant((theme: Theme) => theme.tokens.ember),
    ),
    bgcolor: fc.constantFrom("background.paper", "transparent"),
    display: fc.constantFrom("grid", { xs: "none", md: "flex" }),
    fontSize: fc.constantFrom(13, 14.5, { xs: 16, lg: 13 }),
    borderRadius: fc.constantFrom("6px", 1),
    gridTemplateColumns: fc.constantFrom("1fr auto", { xs: "1fr", lg: "minmax(0, 1fr) 352px" }),
    "&:hover": fc.record({ color: fc.constantFrom("text.primary", "error.main"), mt: length }),
    "& > *": fc.constant({ whiteSpace: "nowrap" }),
    "@media (pointer: coarse)": fc.record({ fontSize: fc.constantFrom(16, 18) }),
    outline: fc.constantFrom(undefined, "none"),
  },
  { requiredKeys: [] },
);
const sx = fc.oneof(
  one,
  fc.array(fc.oneof(one, fc.constantFrom(false, undefined)), { maxLength: 3 }),
  one.map((own) => (theme: Theme) => ({ ...own, borderTop: `1px solid ${theme.tokens.line}` })),
  fc.constant(undefined),
) as fc.Arbitrary<SxProps<Theme> | undefined>;

describe("a box and a text", () => {
  const theme = fc.constantFrom(...(Object.keys(themes) as (keyof typeof themes)[]));

  it("end in the rules that the library's own end in, whatever they are told, in either theme", () => {
    fc.assert(
      fc.property(sx, theme, fc.constantFrom("div", "section", "li"), (sx, theme, component) => {
        const given = { sx, component, id: "a", className: "own", children: "x" };
        const [ours, theirs] = [drawn(<Box {...given} />, theme), drawn(<LibraryBox {...given} />, theme)];
        expect(ours).toEqual(theirs);
      }),
      { numRuns: 300 },
    );
    fc.assert(
      fc.property(
        sx,
        theme,
        fc.constantFrom(undefined, "h1" as const, "h2" as const, "h3" as const, "body2" as const),
        fc.boolean(),
        (sx, theme, variant, noWrap) => {
          const given = { sx, noWrap, children: "x", ...(variant ? { variant } : {}) };
          const rules = (element: ReactElement) => {
            const { bare, rules } = drawn(element, theme);
            // the order within a rule counts only where two say the same thing
            return { bare, last: lastSaid(rules) };
          };
          expect(rules(<Typography {...given} />)).toEqual(rules(<LibraryText {...given} />));
        },
      ),
      { numRuns: 300 },
    );
  });
});

const choices = fc.record({
  variant: fc.constantFrom("text" as const, "outlined" as const, "contained" as const),
  color: fc.constantFrom("primary" as const, "inherit" as const, "error" as const),
  size: fc.constantFrom("small" as const, "medium" as const, "large" as const),
  disabled: fc.boolean(),
  sx,
  as: fc.constantFrom({}, { component: "a", href: "/x" }, { component: "label" }, { type: "submit" as const }),
});

describe("a button", () => {
  it("looks and answers as the library's own does, whatever it is told, in either theme", () => {
    fc.assert(
      fc.property(choices, fc.constantFrom("light" as const, "dim" as const), ({ as, ...given }, theme) => {
        const told = { ...given, ...as, children: "x" };
        const [ours, theirs] = [drawn(<Button {...told} />, theme), drawn(<LibraryButton {...told} />, theme)];
        expect(ours.bare).toEqual(theirs.bare);
        expect(looks(ours.rules)).toEqual(looks(theirs.rules));
      }),
      { numRuns: 300 },
    );
  });
});

/** How a button looks in the end, at rest, under a pointer and switched off: colours, not the names they go by. */
function looks(sheet: string) {
  const rules = lastSaid(sheet.replaceAll(/\.Mui-disabled|:disabled,\.x\[aria-disabled='true'\]/g, ".off"));
  return ["", ":hover", ".off"].map((state) => {
    const said = Object.entries(rules).filter(([where]) =>
      [".x", `.x${state}`].includes(where.replace(/^.*hover: hover\)\{/, "")),
    );
    const all = Object.assign({}, ...said.map(([, body]) => body)) as Record<string, string>;
    const named = (value: string): string =>
      value.replace(/var\((--[\w-]+)[^)]*\)/, (_, name: string) => all[name] ?? "transparent");
    const [, line] = /^1px solid (.*)$/.exec(all.border ?? "") ?? [];
    return Object.fromEntries(
      [
        ...["background-color", "color"].map((name) => [name, named(all[name]!)]),
        ["border-color", line && state !== ".off" ? (all["border-color"] ?? line) : line],
        ...Object.entries(all).filter(([name]) => !unlike.test(name)),
      ].sort(([a], [b]) => (a! < b! ? -1 : 1)),
    ) as Record<string, string>;
  });
}
/** What is written another way and looks the same, and shadows, which no button of ours casts. */
const unlike = /^(--.*|-.*|border|border-color|(background-)?color|appearance|outline|box-shadow)$/;

/** What counts of a sheet: of each rule, in order, the last value of each property. */
function lastSaid(sheet: string) {
  return [...sheet.matchAll(/((?:@[^{]+\{)?[^{}]+)\{([^{}]*)\}/g)].reduce<Record<string, Record<string, string>>>(
    (all, [, where, body]) => {
      const rule = (all[where!] ??= {});
      for (const line of body!.split(";").filter(Boolean)) {
        const [name, ...value] = line.split(":");
        rule[name!] = value.join(":");
      }
      return all;
    },
    {},
  );
}
