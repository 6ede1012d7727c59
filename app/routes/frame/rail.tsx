import AccessTime from "@mui/icons-material/AccessTime";
import CalendarToday from "@mui/icons-material/CalendarTodayOutlined";
import LibraryBooks from "@mui/icons-material/AutoStoriesOutlined";
import Person from "@mui/icons-material/PersonOutlined";
import Timeline from "@mui/icons-material/ShowChart";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useState } from "react";
import { Link, NavLink, useFetcher } from "react-router";
import { Mark } from "~app/ui/mark";

const places = [
  { to: "/", name: "Today", icon: AccessTime },
  { to: "/clients", name: "Clients", icon: Person },
  { to: "/calendar", name: "Calendar", icon: CalendarToday },
  { to: "/library", name: "Library", icon: LibraryBooks },
  { to: "/practice", name: "Practice", icon: Timeline },
];

/** The five places, and the account at the foot; on a phone the rail lies at the bottom. */
export function Rail({
  practitioner,
}: {
  practitioner: { name: string; practiceName: string; settings: { dim?: boolean } };
}) {
  return (
    <Box
      component="nav"
      aria-label="Places"
      sx={(theme) => ({
        width: { xs: "100%", sm: 84 },
        flexShrink: 0,
        position: { xs: "fixed", sm: "sticky" },
        bottom: { xs: 0, sm: "auto" },
        top: { sm: 0 },
        height: { xs: 64, sm: "100dvh" },
        zIndex: 20,
        display: "flex",
        flexDirection: { xs: "row", sm: "column" },
        alignItems: "stretch",
        bgcolor: "background.default",
        borderRight: { sm: `1px solid ${theme.tokens.line}` },
        borderTop: { xs: `1px solid ${theme.tokens.line}`, sm: "none" },
      })}
    >
      <Box
        component={Link}
        to="/"
        aria-label="Ember Path, Today"
        sx={{ display: { xs: "none", sm: "grid" }, placeItems: "center", height: 80 }}
      >
        <Mark size={42} />
      </Box>
      {places.map(({ to, name, icon: Icon }) => (
        <Box
          key={to}
          component={NavLink}
          to={to}
          end={to === "/"}
          sx={(theme) => ({
            flex: { xs: 1, sm: "none" },
            height: { xs: 64, sm: 67 },
            display: "flex",
            flexDirection: "column",
            alignItems: "center",
            justifyContent: "center",
            gap: 0.5,
            fontSize: 12.5,
            textDecoration: "none",
            color: theme.tokens.inkSoft,
            borderLeft: { sm: "3px solid transparent" },
            "&:hover": { color: theme.tokens.ink },
            "&.active": {
              color: theme.tokens.ink,
              fontWeight: 700,
              borderLeftColor: theme.tokens.ember,
              bgcolor: theme.tokens.emberWash,
            },
          })}
        >
          <Icon sx={{ fontSize: 22 }} aria-hidden />
          {name}
        </Box>
      ))}
      <Box
        sx={{
          flex: { xs: 1, sm: "none" },
          mt: { sm: "auto" },
          pb: { sm: 2 },
          display: "grid",
          placeItems: "center",
        }}
      >
        <Account practitioner={practitioner} />
      </Box>
    </Box>
  );
}

function Account({
  practitioner,
}: {
  practitioner: { name: string; practiceName: string; settings: { dim?: boolean } };
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const fetcher = useFetcher();
  const submit = (intent: string) => {
    setAnchor(null);
    void fetcher.submit({ intent }, { method: "post", action: "/account" });
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
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem disabled sx={{ opacity: "1 !important", display: "block" }}>
          <strong>{practitioner.name}</strong>
          <br />
          {practitioner.practiceName}
        </MenuItem>
        <MenuItem onClick={() => submit("dim")}>{practitioner.settings.dim ? "Light theme" : "Dim theme"}</MenuItem>
        <MenuItem onClick={() => submit("sign-out")}>Sign out</MenuItem>
        <MenuItem onClick={() => submit("sign-out-everywhere")}>Sign out on every device</MenuItem>
      </Menu>
    </>
  );
}
