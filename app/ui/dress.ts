import { __unsafe_useEmotionCache as useStyleCache } from "@emotion/react";
import { serializeStyles, type SerializedStyles } from "@emotion/serialize";
import { insertStyles } from "@emotion/utils";
import { useTheme, type SxProps, type Theme } from "@mui/material/styles";
import toCss from "@mui/system/styleFunctionSx";

/**
 * What `sx` comes to is worked out once for each theme and each thing it says, instead of at every element at every
 * rendering. `base` is what an element wears before its own `sx`; its name says all that it follows from but the theme.
 */
export type Base = { name: string; of: (theme: Theme) => readonly object[] };

const mostKept = 4000;
const known = new WeakMap<Theme, Map<string, SerializedStyles>>();

function styleOf(theme: Theme, sx: SxProps<Theme> | undefined, base?: Base): SerializedStyles {
  const asked = typeof sx === "function" ? (sx as (theme: Theme) => unknown)(theme) : sx;
  // what is said as a function of the theme is asked here, so that the text says all there is to it
  const text = JSON.stringify(asked, (_, value: unknown) =>
    typeof value === "function" ? (value as (theme: Theme) => unknown)(theme) : value,
  );
  const key = `${base?.name ?? ""} ${text}`;
  let mine = known.get(theme);
  if (!mine) known.set(theme, (mine = new Map<string, SerializedStyles>()));
  let found = mine.get(key);
  if (!found) {
    const own = asked === undefined ? {} : toCss({ sx: JSON.parse(text) as never, theme });
    // places that follow a finger are said anew with every step
    if (mine.size >= mostKept) mine.clear();
    mine.set(key, (found = serializeStyles([...(base?.of(theme) ?? []), own] as never)));
  }
  return found;
}

/** The name of the class to wear, its rules written where they are looked for. */
export function useClass(sx: SxProps<Theme> | undefined, base: Base | undefined, others = ""): string {
  const cache = useStyleCache()!;
  const style = styleOf(useTheme(), sx, base);
  if (cache.inserted[style.name] === undefined) insertStyles(cache, style, true);
  return `${others && `${others} `}${cache.key}-${style.name}`;
}

/** One piece of `sx` after another. */
export const both = (first: SxProps<Theme>, then: SxProps<Theme> | undefined): SxProps<Theme> =>
  [first, ...(Array.isArray(then) ? (then as unknown[]) : [then])] as never;
