import Button from "@mui/material/Button";
import MuiLink from "@mui/material/Link";
import { addDays, addWeeks, format, parseISO, startOfWeek } from "date-fns";
import { Link } from "react-router";
import type { Route } from "./+types/calendar";
import { addressOf } from "~app/server/request/address.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Page } from "~app/ui/page";
import { visitsBetween } from "~data/visits";

export const meta: Route.MetaFunction = () => [{ title: "Calendar · Ember Path" }];
const iso = (date: Date) => format(date, "yyyy-MM-dd");
const weeks = 4;

export function loader({ request, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const day = today();
    const start = startOfWeek(parseISO(addressOf(request).day("from") ?? day), { weekStartsOn: 1 });
    const visits = await visitsBetween(tx, iso(start), iso(addDays(start, weeks * 7 - 1)));
    return {
      day,
      start: iso(start),
      visits: visits.map(({ id, clientId, clientName, ordinal, onDate, status }) => ({
        id,
        clientId,
        clientName,
        ordinal,
        onDate,
        status,
      })),
    };
  });
}

const statusWord = { planned: "", open: ", under way", closed: ", done" } as const;

export default function Calendar({ loaderData: { day, start, visits } }: Route.ComponentProps) {
  const first = parseISO(start);
  const to = (by: number) => `/calendar?from=${iso(addWeeks(first, by))}`;
  return (
    <Page
      title={`${format(first, "d MMMM")} to ${format(addDays(first, weeks * 7 - 1), "d MMMM yyyy")}`}
      actions={
        <>
          <Button component={Link} to={to(-weeks)} variant="outlined">
            Earlier
          </Button>
          <Button component={Link} to="/calendar" variant="outlined">
            This week
          </Button>
          <Button component={Link} to={to(weeks)} variant="outlined">
            Later
          </Button>
        </>
      }
    >
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "repeat(7, minmax(0, 1fr))" } }}>
        {Array.from({ length: weeks * 7 }, (_, i) => {
          const date = addDays(first, i);
          const key = iso(date);
          const own = visits.filter((visit) => visit.onDate === key);
          return (
            <Box
              key={key}
              sx={(t) => ({
                borderTop: `1px solid ${t.tokens.line}`,
                minHeight: { md: 128 },
                p: 1,
                bgcolor: key === day ? t.tokens.emberWash : undefined,
                display: { xs: own.length > 0 || key === day ? "block" : "none", md: "block" },
              })}
            >
              <Typography sx={{ fontSize: 13.5, color: "text.secondary", fontWeight: key === day ? 700 : 400 }}>
                {format(date, "EEE d")}
              </Typography>
              {own.map((visit) => (
                <MuiLink
                  key={visit.id}
                  component={Link}
                  to={`/clients/${visit.clientId}?visit=${visit.ordinal}`}
                  sx={{ display: "block", fontSize: 14.5, mt: 0.5, fontWeight: 600 }}
                >
                  {visit.clientName}
                  <Box component="span" sx={{ fontWeight: 400, color: "text.secondary" }}>
                    {" "}
                    {visit.ordinal}
                    {statusWord[visit.status]}
                  </Box>
                </MuiLink>
              ))}
            </Box>
          );
        })}
      </Box>
    </Page>
  );
}
