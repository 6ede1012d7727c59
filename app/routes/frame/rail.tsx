import AccessTime from "@mui/icons-material/AccessTime";
import AutoStoriesOutlined from "@mui/icons-material/AutoStoriesOutlined";
import CalendarTodayOutlined from "@mui/icons-material/CalendarTodayOutlined";
import PersonOutlined from "@mui/icons-material/PersonOutlined";
import ShowChart from "@mui/icons-material/ShowChart";
import Button from "@mui/material/Button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { styled } from "@mui/material/styles";
import { useState } from "react";
import { Link, useFetcher, useLocation, useNavigation } from "react-router";
import { Mark } from "~app/ui/mark";

const places = [
  { to: "/", name: "Today", Icon: AccessTime },
  { to: "/clients", name: "Clients", Icon: PersonOutlined },
  { to: "/calendar", name: "Calendar", Icon: CalendarTodayOutlined },
  { to: "/library", name: "Library", Icon: AutoStoriesOutlined },
  { to: "/practice", name: "Practice", Icon: ShowChart },
];

const Strip = styled("nav")(({ theme: { tokens, breakpoints } }) => ({
  width: 84,
  flexShrink: 0,
  position: "sticky",
  top: 0,
  height: "100dvh",
  zIndex: 20,
  display: "flex",
  flexDirection: "column",
  background: tokens.paper,
  borderRight: `1px solid ${tokens.line}`,
  [breakpoints.down("sm")]: {
    width: "100%",
    position: "fixed",
    bottom: 0,
    top: "auto",
    height: 64,
    flexDirection: "row",
    borderRight: "none",
    borderTop: `1px solid ${tokens.line}`,
  },
}));
const Home = styled(Link)(({ theme: { breakpoints } }) => ({
  display: "grid",
  placeItems: "center",
  height: 80,
  [breakpoints.down("sm")]: { display: "none" },
}));
/** `data-chosen`: what was pressed looks chosen at once, before its page is there. */
const Place = styled(Link)(({ theme: { tokens, breakpoints } }) => ({
  flex: "none",
  height: 67,
  display: "flex",
  flexDirection: "column",
  alignItems: "center",
  justifyContent: "center",
  gap: 4,
  fontSize: 12.5,
  textDecoration: "none",
  color: tokens.inkSoft,
  borderLeft: "3px solid transparent",
  "&:hover": { color: tokens.ink },
  "&[data-chosen=true]": {
    color: tokens.ink,
    fontWeight: 700,
    borderLeftColor: tokens.ember,
    background: tokens.emberWash,
  },
  "& svg": { fontSize: 22 },
  [breakpoints.down("sm")]: { flex: 1, height: 64, borderLeft: "none" },
}));
const Foot = styled("div")(({ theme: { breakpoints } }) => ({
  marginTop: "auto",
  paddingBottom: 16,
  display: "grid",
  placeItems: "center",
  [breakpoints.down("sm")]: { flex: 1, marginTop: 0, paddingBottom: 0 },
}));

/** The five places, and the account at the foot; on a phone the rail lies at the bottom. */
export function Rail({
  practitioner,
}: {
  practitioner: { name: string; practiceName: string; settings: { dim?: boolean } };
}) {
  const { pathname } = useLocation();
  const { location: next } = useNavigation();
  const at = (to: string, path: string) => (to === "/" ? path === "/" : `${path}/`.startsWith(`${to}/`));
  return (
    <Strip aria-label="Places">
      <Home to="/" aria-label="Ember Path, Today">
        <Mark size={42} />
      </Home>
      {places.map(({ to, name, Icon }) => (
        <Place
          key={to}
          to={to}
          aria-current={at(to, pathname) ? "page" : undefined}
          data-chosen={at(to, (next ?? { pathname }).pathname)}
        >
          <Icon />
          {name}
        </Place>
      ))}
      <Foot>
        <Account practitioner={practitioner} />
      </Foot>
    </Strip>
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
