import type { SxProps, Theme } from "@mui/material/styles";
import type { ReactNode } from "react";
import { useClass, type Base } from "./dress";

type Severity = "success" | "info" | "warning" | "error";

/** Paths of Material's own icons. */
const drawn: Record<Severity, string> = {
  success:
    "M20,12A8,8 0 0,1 12,20A8,8 0 0,1 4,12A8,8 0 0,1 12,4C12.76,4 13.5,4.11 14.2, 4.31L15.77,2.74C14.61,2.26 13.34,2 12,2A10,10 0 0,0 2,12A10,10 0 0,0 12,22A10,10 0 0, 0 22,12M7.91,10.08L6.5,11.5L11,16L21,6L19.59,4.58L11,13.17L7.91,10.08Z",
  warning: "M12 5.99L19.53 19H4.47L12 5.99M12 2L1 21h22L12 2zm1 14h-2v2h2v-2zm0-6h-2v4h2v-4z",
  error:
    "M11 15h2v2h-2zm0-8h2v6h-2zm.99-5C6.47 2 2 6.48 2 12s4.47 10 9.99 10C17.52 22 22 17.52 22 12S17.52 2 11.99 2zM12 20c-4.42 0-8-3.58-8-8s3.58-8 8-8 8 3.58 8 8-3.58 8-8 8z",
  info: "M11,9H13V7H11M12,20C7.59,20 4,16.41 4,12C4,7.59 7.59,4 12,4C16.41,4 20,7.59 20, 12C20,16.41 16.41,20 12,20M12,2A10,10 0 0,0 2,12A10,10 0 0,0 12,22A10,10 0 0,0 22,12A10, 10 0 0,0 12,2M11,17H13V11H11V17Z",
};

const looks = (severity: Severity): Base => ({
  name: `alert ${severity}`,
  of: ({ palette, typography, shape, lighten, darken }) => {
    const { light, main } = palette[severity];
    const [towards, away] = palette.mode === "dark" ? [lighten, darken] : [darken, lighten];
    return [
      typography.body2,
      {
        display: "flex",
        padding: "6px 16px",
        borderRadius: shape.borderRadius,
        color: towards(light, 0.6),
        backgroundColor: away(light, 0.9),
        "& > .alert-icon": {
          display: "flex",
          padding: "7px 0",
          marginRight: "12px",
          opacity: 0.9,
          fontSize: 22,
          color: main,
          "& svg": { width: "1em", height: "1em", flexShrink: 0, fill: "currentColor" },
        },
        "& > .alert-message": { padding: "8px 0", minWidth: 0, overflow: "auto" },
        "& > .alert-action": {
          display: "flex",
          alignItems: "flex-start",
          padding: "4px 0 0 16px",
          marginLeft: "auto",
          marginRight: "-8px",
        },
      },
    ];
  },
});
const bases = Object.fromEntries(Object.keys(drawn).map((each) => [each, looks(each as Severity)])) as Record<
  Severity,
  Base
>;

/** What has to be seen: as the library's own looks, drawn in a fraction of the time. */
export function Alert({
  severity,
  role = "alert",
  action,
  sx,
  children,
}: {
  severity: Severity;
  /** What a screen reader makes of it when it comes. */
  role?: "alert" | "status";
  action?: ReactNode;
  sx?: SxProps<Theme>;
  children: ReactNode;
}) {
  return (
    <div role={role} className={useClass(sx, bases[severity], "alert")}>
      <div className="alert-icon">
        <svg viewBox="0 0 24 24" aria-hidden>
          <path d={drawn[severity]} />
        </svg>
      </div>
      <div className="alert-message">{children}</div>
      {action && <div className="alert-action">{action}</div>}
    </div>
  );
}
