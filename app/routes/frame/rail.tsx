import { Button } from "~app/ui/button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import { useFetcher, useLocation, useNavigation } from "react-router";
import { useFollow } from "~app/ui/follow";
import { Icon } from "~app/ui/icon";
import { Mark } from "~app/ui/mark";

/** `drawn`: paths of Material's own icons (AccessTime, Person, CalendarToday, AutoStories outlined, ShowChart). */
const places = [
  {
    to: "/",
    name: "Today",
    drawn:
      "M11.99 2C6.47 2 2 6.48 2 12s4.47 10 9.99 10C17.52 22 22 17.52 22 12S17.52 2 11.99 2M12 20c-4.42 0-8-3.58-8-8s3.58-8 8-8 8 3.58 8 8-3.58 8-8 8M12.5 7H11v6l5.25 3.15.75-1.23-4.5-2.67z",
  },
  {
    to: "/clients",
    name: "Clients",
    drawn:
      "M12 6c1.1 0 2 .9 2 2s-.9 2-2 2-2-.9-2-2 .9-2 2-2m0 10c2.7 0 5.8 1.29 6 2H6c.23-.72 3.31-2 6-2m0-12C9.79 4 8 5.79 8 8s1.79 4 4 4 4-1.79 4-4-1.79-4-4-4m0 10c-2.67 0-8 1.34-8 4v2h16v-2c0-2.66-5.33-4-8-4",
  },
  {
    to: "/calendar",
    name: "Calendar",
    drawn:
      "M20 3h-1V1h-2v2H7V1H5v2H4c-1.1 0-2 .9-2 2v16c0 1.1.9 2 2 2h16c1.1 0 2-.9 2-2V5c0-1.1-.9-2-2-2m0 18H4V10h16zm0-13H4V5h16z",
  },
  {
    to: "/library",
    name: "Library",
    drawn:
      "M22.47 5.2c-.47-.24-.96-.44-1.47-.61v12.03c-1.14-.41-2.31-.62-3.5-.62-1.9 0-3.78.54-5.5 1.58V5.48C10.38 4.55 8.51 4 6.5 4c-1.79 0-3.48.44-4.97 1.2-.33.16-.53.51-.53.88v12.08c0 .58.47.99 1 .99q.24 0 .48-.12C3.69 18.4 5.05 18 6.5 18c2.07 0 3.98.82 5.5 2 1.52-1.18 3.43-2 5.5-2 1.45 0 2.81.4 4.02 1.04q.24.12.48.12c.52 0 1-.41 1-.99V6.08c0-.37-.2-.72-.53-.88M10 16.62C8.86 16.21 7.69 16 6.5 16s-2.36.21-3.5.62V6.71C4.11 6.24 5.28 6 6.5 6c1.2 0 2.39.25 3.5.72zM19 .5l-5 5V15l5-4.5z",
  },
  {
    to: "/practice",
    name: "Practice",
    drawn: "m3.5 18.49 6-6.01 4 4L22 6.92l-1.41-1.41-7.09 7.97-4-4L2 16.99z",
  },
];

/** The five places, and the account at the foot; on a phone the rail lies at the bottom. */
export function Rail({
  practitioner,
}: {
  practitioner: { name: string; practiceName: string; settings: { dim?: boolean } };
}) {
  const { pathname } = useLocation();
  // what was pressed looks chosen at once
  const { location: next } = useNavigation();
  const at = (to: string, path: string) => (to === "/" ? path === "/" : `${path}/`.startsWith(`${to}/`));
  const follow = useFollow();
  return (
    <nav aria-label="Places" className="rail" onClick={follow}>
      <a href="/" aria-label="Ember Path, Today" className="rail-mark">
        <Mark size={42} />
      </a>
      {places.map(({ to, name, drawn }) => (
        <a
          key={to}
          href={to}
          aria-current={at(to, pathname) ? "page" : undefined}
          className={at(to, (next ?? { pathname }).pathname) ? "rail-place chosen" : "rail-place"}
        >
          <Icon drawn={drawn} height={22} />
          {name}
        </a>
      ))}
      <div className="rail-account">
        <Account practitioner={practitioner} />
      </div>
    </nav>
  );
}

function Account({
  practitioner,
}: {
  practitioner: { name: string; practiceName: string; settings: { dim?: boolean } };
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const fetcher = useFetcher();
  const submit = (intent: string, more: Record<string, string> = {}) => {
    setAnchor(null);
    void fetcher.submit({ intent, ...more }, { method: "post", action: "/account" });
  };
  return (
    <>
      <Button
        size="small"
        color="inherit"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minWidth: 0, fontSize: 13, fontWeight: 450, color: "text.secondary" }}
      >
        {practitioner.name.split(" ")[0]}
      </Button>
      {anchor && (
        <Menu anchorEl={anchor} open onClose={() => setAnchor(null)}>
          <MenuItem disabled sx={{ opacity: "1 !important", display: "block" }}>
            <strong>{practitioner.name}</strong>
            <br />
            {practitioner.practiceName}
          </MenuItem>
          <MenuItem onClick={() => submit("dim", { dim: String(!practitioner.settings.dim) })}>
            {practitioner.settings.dim ? "Light theme" : "Dim theme"}
          </MenuItem>
          <MenuItem onClick={() => submit("sign-out")}>Sign out</MenuItem>
          <MenuItem onClick={() => submit("sign-out-everywhere")}>Sign out on every device</MenuItem>
        </Menu>
      )}
    </>
  );
}
