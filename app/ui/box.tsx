import { __unsafe_useEmotionCache as useStyleCache } from "@emotion/react";
import { serializeStyles, type SerializedStyles } from "@emotion/serialize";
import { insertStyles } from "@emotion/utils";
import type { OverridableComponent } from "@mui/material/OverridableComponent";
import { useTheme, type SxProps, type Theme } from "@mui/material/styles";
import toCss from "@mui/system/styleFunctionSx";
import { createElement, type ElementType, type ReactNode } from "react";

/**
 * Boxes and texts of a page, by the hundred: they take `sx` as the library's components do, and end in the same rules. What a
 * piece of `sx` comes to is worked out once for each theme instead of at every element at every rendering.
 */
type Given = { component?: ElementType; className?: string; sx?: SxProps<Theme>; children?: ReactNode };

const mostKept = 4000;
const known = new WeakMap<Theme, Map<string, SerializedStyles>>();

function styleOf(theme: Theme, sx: SxProps<Theme> | undefined, variant?: string): SerializedStyles {
  const asked = typeof sx === "function" ? (sx as (theme: Theme) => unknown)(theme) : sx;
  // what is said as a function of the theme is asked here, so that the text says all there is to it
  const text = JSON.stringify(asked, (_, value: unknown) =>
    typeof value === "function" ? (value as (theme: Theme) => unknown)(theme) : value,
  );
  const key = `${variant ?? ""} ${text}`;
  let mine = known.get(theme);
  if (!mine) known.set(theme, (mine = new Map<string, SerializedStyles>()));
  let found = mine.get(key);
  if (!found) {
    const base = variant ? { margin: 0, ...(theme.typography as unknown as Record<string, object>)[variant] } : {};
    const own = asked === undefined ? {} : toCss({ sx: JSON.parse(text) as never, theme });
    // places that follow a finger are said anew with every step
    if (mine.size >= mostKept) mine.clear();
    mine.set(key, (found = serializeStyles([base, own] as never)));
  }
  return found;
}

function useElement({ component, className, sx, ...others }: Given, plain: string, variant?: string) {
  const cache = useStyleCache()!;
  const theme = useTheme();
  const style = styleOf(theme, sx, variant);
  if (cache.inserted[style.name] === undefined) insertStyles(cache, style, true);
  const own = `${cache.key}-${style.name}`;
  return createElement(component ?? plain, { ...others, className: className ? `${className} ${own}` : own });
}

const BareBox = (given: Given) => {
  if (given.sx === undefined) {
    const { component = "div", sx: _, ...others } = given;
    return createElement(component, others);
  }
  return <Dressed {...given} />;
};
const Dressed = (given: Given) => useElement(given, "div");

const elements: Record<string, string> = { h1: "h1", h2: "h2", h3: "h3", body1: "p", body2: "p" };
const oneLine = { overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" };
const BareText = ({ variant = "body1", noWrap, ...given }: Given & { variant?: string; noWrap?: boolean }) =>
  useElement(noWrap ? { ...given, sx: both(oneLine, given.sx) } : given, elements[variant] ?? "p", variant);

/** One piece of `sx` after another. */
export const both = (first: SxProps<Theme>, then: SxProps<Theme> | undefined): SxProps<Theme> =>
  [first, ...(Array.isArray(then) ? (then as unknown[]) : [then])] as never;

type Dress = { sx?: SxProps<Theme>; className?: string; children?: ReactNode };
export const Box = BareBox as OverridableComponent<{ props: Dress; defaultComponent: "div" }>;
export const Typography = BareText as OverridableComponent<{
  props: Dress & { variant?: "h1" | "h2" | "h3" | "body1" | "body2"; noWrap?: boolean };
  defaultComponent: "p";
}>;
