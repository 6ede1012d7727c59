import type { OverridableComponent } from "@mui/material/OverridableComponent";
import type { SxProps, Theme } from "@mui/material/styles";
import { createElement, type ComponentProps, type ElementType, type KeyboardEvent, type ReactNode } from "react";
import { useClass, type Base } from "./dress";

/**
 * Buttons and what looks like one, by the dozen on a page: they look as the library's do, whose ripples and elevation nobody
 * here asks for, and are drawn in a fraction of the time. `component` makes a link of one (`Link`, `a`) or a label of a hidden field.
 */
type Looks = {
  variant?: "text" | "outlined" | "contained";
  color?: "primary" | "inherit" | "error";
  size?: "small" | "medium" | "large";
};
type Given = Looks & {
  component?: ElementType;
  disabled?: boolean;
  className?: string;
  sx?: SxProps<Theme>;
  children?: ReactNode;
  onClick?: (event: never) => void;
};

/** What every button is before it is anything. */
export const plain = {
  display: "inline-flex",
  alignItems: "center",
  justifyContent: "center",
  position: "relative",
  boxSizing: "border-box",
  WebkitTapHighlightColor: "transparent",
  // so that a colour of one's own stays under a pointer
  backgroundColor: "var(--behind)",
  border: 0,
  margin: 0,
  cursor: "pointer",
  userSelect: "none",
  verticalAlign: "middle",
  appearance: "none",
  textDecoration: "none",
} as const;

/** Above and below the words, with a border if there is one (px). */
const block = { small: 4, medium: 6, large: 8 };

/** How what is switched off looks, whatever it is. */
export const whenOff = ({ palette }: Theme, more: object = {}) => ({
  "&:disabled, &[aria-disabled='true']": {
    pointerEvents: "none",
    cursor: "default",
    color: palette.action.disabled,
    ...more,
  },
});

function dressOf(theme: Theme, { variant, color, size }: Required<Looks>): object[] {
  const { palette, typography, transitions, shape, tokens } = theme;
  const inherit = color === "inherit";
  const own = inherit ? undefined : palette[color];
  const wash = (of: string) => theme.alpha(of, palette.action.hoverOpacity);
  const dark = palette.mode === "dark";
  const filled = inherit ? palette.grey[dark ? 800 : 300] : own!.main;
  const filledOver = inherit ? palette.grey[dark ? 700 : "A100"] : own!.dark;
  const looks = {
    text: { color: own?.main ?? "inherit" },
    outlined: { color: tokens.ink, border: `1px solid ${tokens.line}` },
    contained: { color: own?.contrastText ?? "inherit" },
  }[variant];
  const solid = variant === "contained";
  return [
    plain,
    typography.button,
    {
      minWidth: 64,
      minHeight: 40,
      padding: block[size] - (variant === "outlined" ? 1 : 0),
      paddingInline: 16,
      borderRadius: shape.borderRadius,
      fontSize: size === "medium" ? typography.button.fontSize : typography.pxToRem(size === "small" ? 13 : 15),
      transition: transitions.create(["background-color", "box-shadow", "border-color", "color"], {
        duration: transitions.duration.short,
      }),
      "--behind": solid ? filled : "transparent",
      ...looks,
      "@media (hover: hover)": {
        "&:hover": { "--behind": solid ? filledOver : wash(own?.main ?? palette.text.primary) },
      },
      ...whenOff(theme, {
        ...(solid ? { backgroundColor: palette.action.disabledBackground } : {}),
        ...(variant === "outlined" ? { border: `1px solid ${palette.action.disabledBackground}` } : {}),
      }),
    },
  ];
}

const bases = new Map<string, Base>();
function baseOf(looks: Required<Looks>): Base {
  const name = `button ${looks.variant} ${looks.color} ${looks.size}`;
  let base = bases.get(name);
  if (!base) bases.set(name, (base = { name, of: (theme) => dressOf(theme, looks) }));
  return base;
}

/** What the browser does by itself for a button, done for a label: Enter and the space bar press it. */
const pressed = (event: KeyboardEvent<HTMLElement>) => {
  if (event.target !== event.currentTarget || (event.key !== "Enter" && event.key !== " ")) return;
  event.preventDefault();
  event.currentTarget.click();
};

/** What an element has to be told to be a button, by what it is. */
function roleOf(component: ElementType, disabled: boolean | undefined) {
  if (component === "button") return { type: "button", disabled };
  const state = disabled ? { "aria-disabled": true, tabIndex: -1 } : {};
  return component === "label" ? { role: "button", tabIndex: 0, onKeyDown: pressed, ...state } : state;
}

const BareButton = ({
  variant = "text",
  color = "primary",
  size = "medium",
  component = "button",
  disabled,
  className,
  sx,
  ...others
}: Given) =>
  createElement(component, {
    ...roleOf(component, disabled),
    ...others,
    className: useClass(sx, baseOf({ variant, color, size }), className ? `button ${className}` : "button"),
  });

export const Button = BareButton as OverridableComponent<{
  props: Looks & { disabled?: boolean; sx?: SxProps<Theme>; className?: string; children?: ReactNode };
  defaultComponent: "button";
}>;

const round = (size: "small" | "medium"): Base => ({
  name: `icon button ${size}`,
  of: (theme) => {
    const { palette, typography, transitions } = theme;
    return [
      plain,
      {
        "--behind": "transparent",
        flex: "0 0 auto",
        textAlign: "center",
        fontSize: typography.pxToRem(size === "small" ? 18 : 24),
        padding: size === "small" ? 5 : 8,
        borderRadius: "50%",
        color: palette.action.active,
        transition: transitions.create("background-color", { duration: transitions.duration.shortest }),
        "@media (hover: hover)": {
          "&:hover": { backgroundColor: theme.alpha(palette.action.active, palette.action.hoverOpacity) },
        },
        ...whenOff(theme, { backgroundColor: "transparent" }),
      },
    ];
  },
});
const rounds = { small: round("small"), medium: round("medium") };

/** A button that is a picture only; its name is told to whoever cannot see it. */
export function IconButton({
  size = "medium",
  sx,
  ...others
}: Omit<ComponentProps<"button">, "type"> & { "aria-label": string; size?: "small" | "medium"; sx?: SxProps<Theme> }) {
  return <button type="button" {...others} className={useClass(sx, rounds[size])} />;
}
