import type { OverridableComponent } from "@mui/material/OverridableComponent";
import type { SxProps, Theme } from "@mui/material/styles";
import { createElement, type ElementType, type ReactNode } from "react";
import { both, useClass, type Base } from "./dress";

/** Boxes and texts of a page, by the hundred: they take `sx` as the library's components do, and end in the same rules. */
type Given = { component?: ElementType; className?: string; sx?: SxProps<Theme>; children?: ReactNode };

const BareBox = (given: Given) => {
  if (given.sx === undefined) {
    const { component = "div", sx: _, ...others } = given;
    return createElement(component, others);
  }
  return <Dressed {...given} />;
};
const Dressed = ({ component = "div", className, sx, ...others }: Given) =>
  createElement(component, { ...others, className: useClass(sx, undefined, className) });

type TextLooks = { variant?: string; noWrap?: boolean };
const elements: Record<string, string> = { h1: "h1", h2: "h2", h3: "h3", body1: "p", body2: "p" };
const oneLine = { overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" };
const text = (name: string): Base => ({
  name,
  of: (theme) => [{ margin: 0, ...(theme.typography as unknown as Record<string, object>)[name] }],
});
const texts = Object.fromEntries(Object.keys(elements).map((name) => [name, text(name)]));

const BareText = ({ variant = "body1", noWrap, component, className, sx, ...others }: Given & TextLooks) =>
  createElement(component ?? elements[variant] ?? "p", {
    ...others,
    className: useClass(noWrap ? both(oneLine, sx) : sx, texts[variant], className),
  });

type Dress = { sx?: SxProps<Theme>; className?: string; children?: ReactNode };
export const Box = BareBox as OverridableComponent<{ props: Dress; defaultComponent: "div" }>;
export const Typography = BareText as OverridableComponent<{
  props: Dress & { variant?: "h1" | "h2" | "h3" | "body1" | "body2"; noWrap?: boolean };
  defaultComponent: "p";
}>;
