import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import LibraryAlert from "@mui/material/Alert";
import LibraryBox from "@mui/material/Box";
import LibraryButton from "@mui/material/Button";
import { createTheme, ThemeProvider, type SxProps, type Theme } from "@mui/material/styles";
import LibraryIconButton from "@mui/material/IconButton";
import LibraryText from "@mui/material/Typography";
import LibraryToggle from "@mui/material/ToggleButton";
import LibraryToggles from "@mui/material/ToggleButtonGroup";
import fc from "fast-check";
import type { ReactElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { Alert } from "./alert";
import { Box, Typography } from "./box";
import { Button, IconButton } from "./button";
import { themes } from "./theme";
import { ToggleButton, ToggleButtonGroup } from "./toggles";

/** What the theme would have to say to the library's own buttons and toggles, so that they look as ours do. */
const told = (theme: Theme) => ({
  components: {
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 40, paddingInline: 16 },
        outlined: { borderColor: theme.tokens.line, color: theme.tokens.ink },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: "none" as const,
          paddingInline: 12,
          paddingBlock: 5,
          color: theme.tokens.inkSoft,
          borderColor: theme.tokens.line,
          "&.Mui-selected": {
            backgroundColor: theme.tokens.emberWash,
            color: theme.tokens.ink,
            fontWeight: 650,
            "&:hover": { backgroundColor: theme.tokens.emberWash },
          },
        },
      },
    },
  },
});
const whole = { light: createTheme(themes.light, told(themes.light)), dim: createTheme(themes.dim, told(themes.dim)) };

/** An element as it is drawn: its tag and attributes, and the rules its class stands for. */
function rendered(element: ReactElement, theme: keyof typeof themes) {
  const cache = createCache({ key: "t" });
  cache.compat = true;
  const html = renderToStaticMarkup(
    <CacheProvider value={cache}>
      <ThemeProvider theme={whole[theme]}>{element}</ThemeProvider>
    </CacheProvider>,
  );
  return { html, cache };
}
function drawn(element: ReactElement, theme: keyof typeof themes) {
  const { html, cache } = rendered(element, theme);
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

describe("a button with a picture", () => {
  it("looks and answers as the library's own does", () => {
    const given = fc.record({
      size: fc.constantFrom("small" as const, "medium" as const),
      disabled: fc.boolean(),
      sx: one,
    });
    fc.assert(
      fc.property(given, fc.constantFrom("light" as const, "dim" as const), (given, theme) => {
        const whole = { ...given, "aria-label": "a", children: "x" };
        const [ours, theirs] = [
          drawn(<IconButton {...whole} />, theme),
          drawn(<LibraryIconButton {...whole} />, theme),
        ];
        expect(ours.bare).toEqual(theirs.bare);
        expect(looks(ours.rules)).toEqual(looks(theirs.rules));
      }),
    );
  });
});

const toggled = fc.record({
  exclusive: fc.boolean(),
  size: fc.constantFrom("small" as const, "medium" as const),
  fullWidth: fc.boolean(),
  disabled: fc.boolean(),
  off: fc.subarray([0, 1, 2]),
  chosen: fc.subarray([0, 1, 2]),
});

describe("toggles", () => {
  it("look and answer as the library's own do, whatever is chosen and off, in either theme", () => {
    fc.assert(
      fc.property(toggled, fc.constantFrom("light" as const, "dim" as const), ({ off, chosen, ...given }, theme) => {
        const value = given.exclusive ? (chosen[0] ?? null) : chosen;
        const drawnBy = (Group: typeof LibraryToggles, One: typeof LibraryToggle) => {
          const { html, cache } = rendered(
            <Group {...given} value={value} aria-label="a">
              {[0, 1, 2].map((each) => (
                <One key={each} value={each} disabled={given.disabled || off.includes(each)}>
                  x
                </One>
              ))}
            </Group>,
            theme,
          );
          const [of, ...ones] = [...html.matchAll(/<(\w+)([^>]*)>/g)].map(([, tag, attributes]) => ({
            tag,
            said: ["role", "type", "value", "aria-pressed", "aria-label", "disabled"].map(
              (name) => new RegExp(` ${name}="([^"]*)"`).exec(attributes!)?.[1],
            ),
            sheet: String(cache.inserted[/\bt-([\w-]+)"/.exec(attributes!)![1]!]).replaceAll(/\.t-[\w-]+/g, ".x"),
          }));
          return { of: of!, ones };
        };
        const ours = drawnBy(ToggleButtonGroup as never, ToggleButton as never);
        const theirs = drawnBy(LibraryToggles, LibraryToggle);
        const bare = ({ of, ones }: typeof ours) => [of, ...ones].map(({ tag, said }) => [tag, said]);
        expect(bare(ours)).toEqual(bare(theirs));
        const each = ({ ones }: typeof ours) => ones.map(({ sheet }) => looks(sheet));
        expect(each(ours)).toEqual(each(theirs));
      }),
    );
  });
});

describe("an alert", () => {
  const said = ["color", "background-color", "padding", "margin", "display", "opacity", "border-radius", "font-size"];
  /** What counts of each of its parts, by the part. */
  const parts = (element: ReactElement, theme: keyof typeof themes) => {
    const { html, cache } = rendered(element, theme);
    const rules = lastSaid(Object.values(cache.inserted).join(""));
    return [...html.matchAll(/<div([^>]*)>/g)].map(([, attributes]) => {
      const classes = /class="([^"]*)"/.exec(attributes!)![1]!.split(" ");
      const own = Object.entries(rules)
        .filter(([where]) => classes.some((each) => where.endsWith(`.${each}`)))
        .reduce<Record<string, string>>((all, [, body]) => ({ ...all, ...body }), {});
      const margin = Object.entries(own).filter(([name]) =>
        /^margin-|^(min-width|overflow|align-items|line-height)$/.test(name),
      );
      return [/role="(\w+)"/.exec(attributes!)?.[1], ...said.map((name) => own[name]), margin.sort()];
    });
  };

  it.each(["success", "info", "warning", "error"] as const)(
    "that says %s looks as the library's own does",
    (severity) => {
      for (const theme of ["light", "dim"] as const)
        for (const action of [undefined, <button key="a">x</button>]) {
          const given = { severity, action, children: "x", sx: { mb: 2 } };
          expect(parts(<Alert {...given} />, theme)).toEqual(parts(<LibraryAlert {...given} />, theme));
        }
    },
  );
});

/** How it looks in the end: at rest, under a pointer, switched off, chosen, and chosen under a pointer. Colours, not names. */
function looks(sheet: string) {
  const rules = lastSaid(
    sheet
      .replaceAll(/\.Mui-disabled|:disabled,\.x\[aria-disabled='true'\]/g, ".off")
      .replaceAll(/\.Mui-selected|\.chosen/g, ".on"),
  );
  return [[], [":hover"], [".off"], [".on"], [":hover", ".on", ".on:hover"]].map((state) => {
    const all = Object.assign(
      {},
      ...["", ...state].flatMap((said) =>
        Object.entries(rules)
          .filter(([where]) => where.replace(/^.*hover: hover\)\{/, "") === `.x${said}`)
          .map(([, body]) => body),
      ),
    ) as Record<string, string>;
    const named = (value: string): string =>
      value.replace(/var\((--[\w-]+)[^)]*\)/, (_, name: string) => all[name] ?? "transparent");
    const [, line] = /^1px solid (.*)$/.exec(all.border ?? "") ?? [];
    return Object.fromEntries(
      [
        ...["background-color", "color"].map((name) => [name, named(all[name]!)]),
        ["border-color", line && state[0] !== ".off" ? (all["border-color"] ?? line) : line],
        [
          "padding",
          `${all["padding-block"] ?? all.padding?.split(" ")[0]} ${all["padding-inline"] ?? all.padding?.split(" ").at(-1)}`,
        ],
        ...Object.entries(all).filter(([name]) => !unlike.test(name)),
      ].sort(([a], [b]) => (a! < b! ? -1 : 1)),
    ) as Record<string, string>;
  });
}
/** What is written another way and looks the same, and shadows, which no button of ours casts. */
const unlike = /^(--.*|-.*|border|border-color|(background-)?color|appearance|outline|box-shadow|padding.*)$/;

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
