import type { SxProps, Theme } from "@mui/material/styles";
import {
  Children,
  createContext,
  isValidElement,
  useContext,
  useState,
  type FocusEvent,
  type HTMLAttributes,
  type KeyboardEvent,
  type MouseEvent,
  type ReactNode,
} from "react";
import { plain, whenOff } from "./button";
import { useClass, type Base } from "./dress";

/**
 * Choices side by side, one of which is chosen (`exclusive`) or any: they look as the library's toggles do, but what is chosen
 * stays in its colour under a pointer. Tab comes to the chosen one, or to the first; arrows go on from there.
 */
type Size = "small" | "medium";
type Group = {
  value?: unknown;
  exclusive?: boolean;
  size?: Size;
  disabled?: boolean;
  fullWidth?: boolean;
  onChange?: (event: MouseEvent<HTMLElement>, value: never) => void;
  sx?: SxProps<Theme>;
  children?: ReactNode;
} & Omit<HTMLAttributes<HTMLDivElement>, "onChange" | "value">;
type One = {
  value: string | number | boolean;
  disabled?: boolean;
  className?: string;
  sx?: SxProps<Theme>;
  children?: ReactNode;
  "aria-label"?: string;
};

type Within = Pick<Group, "size" | "disabled" | "fullWidth"> & {
  chosen: (value: unknown) => boolean;
  /** Which of them Tab comes to. */
  stop: unknown;
  press: (event: MouseEvent<HTMLElement>, value: unknown) => void;
};
const Within = createContext<Within>({ chosen: () => false, stop: undefined, press: () => undefined });

const group = (fullWidth: boolean): Base => ({
  name: `toggles ${fullWidth}`,
  of: ({ shape }) => [
    {
      display: "inline-flex",
      borderRadius: shape.borderRadius,
      ...(fullWidth ? { width: "100%" } : {}),
      "& > .chosen + .chosen": { borderLeft: 0, marginLeft: 0 },
      "& > .toggle:not(:last-child)": { borderTopRightRadius: 0, borderBottomRightRadius: 0 },
      "& > .toggle:not(:first-of-type)": {
        marginLeft: -1,
        borderLeft: "1px solid transparent",
        borderTopLeftRadius: 0,
        borderBottomLeftRadius: 0,
      },
    },
  ],
});
const groups = { part: group(false), whole: group(true) };

const one = (size: Size, fullWidth: boolean): Base => ({
  name: `toggle ${size} ${fullWidth}`,
  of: (theme) => {
    const { palette, typography, shape, tokens } = theme;
    return [
      plain,
      typography.button,
      {
        "--behind": "transparent",
        borderRadius: shape.borderRadius,
        padding: "5px 12px",
        border: `1px solid ${tokens.line}`,
        color: tokens.inkSoft,
        ...(size === "small" ? { fontSize: typography.pxToRem(13) } : {}),
        ...(fullWidth ? { width: "100%" } : {}),
        "@media (hover: hover)": {
          "&:hover": { backgroundColor: theme.alpha(palette.text.primary, palette.action.hoverOpacity) },
        },
        ...whenOff(theme, { border: `1px solid ${palette.action.disabledBackground}` }),
        // its ring above what stands beside it
        "&:focus-visible": { zIndex: 1 },
        "&.chosen": { backgroundColor: tokens.emberWash, color: tokens.ink, fontWeight: 650 },
      },
    ];
  },
});
const ones = {
  small: { part: one("small", false), whole: one("small", true) },
  medium: { part: one("medium", false), whole: one("medium", true) },
};

export function ToggleButtonGroup({
  value,
  exclusive,
  size = "medium",
  disabled,
  fullWidth,
  onChange,
  sx,
  className,
  children,
  onKeyDown,
  ...others
}: Group) {
  const [focused, setFocused] = useState<unknown>();
  const all = Children.toArray(children).filter(isValidElement<One>);
  const open = all.filter(({ props }) => !disabled && !props.disabled).map(({ props }) => props.value);
  const chosen = (one: unknown) => (Array.isArray(value) ? value.includes(one) : one === value && value !== null);
  const press = (event: MouseEvent<HTMLElement>, one: unknown) => {
    const many = Array.isArray(value) ? (value as unknown[]) : [];
    const next = exclusive
      ? chosen(one)
        ? null
        : one
      : chosen(one)
        ? many.filter((each) => each !== one)
        : [...many, one];
    onChange?.(event, next as never);
  };
  const stop = open.includes(focused as never) ? focused : (open.find(chosen) ?? open[0]);
  const move = (event: KeyboardEvent<HTMLDivElement>) => {
    onKeyDown?.(event);
    const step = { ArrowRight: 1, ArrowLeft: -1, Home: -Infinity, End: Infinity }[event.key];
    if (
      step === undefined ||
      event.defaultPrevented ||
      event.ctrlKey ||
      event.altKey ||
      event.metaKey ||
      event.shiftKey
    )
      return;
    const buttons = [...event.currentTarget.querySelectorAll<HTMLButtonElement>(":scope > .toggle:not(:disabled)")];
    const at = buttons.indexOf(event.target as HTMLButtonElement);
    if (at < 0) return;
    event.preventDefault();
    const to = Number.isFinite(step)
      ? (at + step + buttons.length) % buttons.length
      : step < 0
        ? 0
        : buttons.length - 1;
    buttons[to]!.focus();
  };
  return (
    <Within
      value={{ size, chosen, stop, press, ...(disabled ? { disabled } : {}), ...(fullWidth ? { fullWidth } : {}) }}
    >
      <div
        role="group"
        {...others}
        className={useClass(sx, groups[fullWidth ? "whole" : "part"], className)}
        onKeyDown={move}
        onFocus={(event: FocusEvent) =>
          setFocused(all.find(({ props }) => String(props.value) === event.target.getAttribute("value"))?.props.value)
        }
        onBlur={() => setFocused(undefined)}
      >
        {all}
      </div>
    </Within>
  );
}

export function ToggleButton({ value, disabled, className = "", sx, children, ...others }: One) {
  const { size = "medium", fullWidth, chosen, stop, press, ...all } = useContext(Within);
  const is = chosen(value);
  return (
    <button
      type="button"
      value={String(value)}
      aria-pressed={is}
      disabled={disabled ?? all.disabled}
      tabIndex={value === stop ? 0 : -1}
      {...others}
      className={useClass(
        sx,
        ones[size][fullWidth ? "whole" : "part"],
        `toggle ${is ? "chosen " : ""}${className}`.trim(),
      )}
      onClick={(event) => press(event, value)}
    >
      {children}
    </button>
  );
}
