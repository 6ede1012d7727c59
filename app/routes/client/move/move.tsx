import { useMemo, useState } from "react";
import type { Route } from "./+types/move";
import type { Moment } from "~core/findings/restriction";
import { edgesAfter } from "~core/move/edge-of-table";
import { movementOf, movements } from "~core/move/movements";
import { rangeOf, rangesAfter } from "~core/move/ranges";
import { movedOf } from "~app/server/client/table.server";
import { cachedLoader } from "~app/server/cached-loader.server";
import { visitOf } from "~app/server/client/workspace.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { HandSide } from "~app/ui/hand-side";
import { SideColumn } from "~app/ui/side-column";
import { MomentToggle } from "~app/ui/moment-toggle";
import { SideList } from "~app/ui/side-list";
import { Kept, usePressed } from "~app/routes/client/table/use-pressed";
import { deserialised, type LoaderData } from "~app/serialised";
import { getClient } from "~data/clients";
import { logOf } from "~data/session-events";
import { EdgeCard } from "./edge-card";
import { RangeCard } from "./range-card";
import { RangesFound } from "./ranges-found";
import { useInclinometerKind, WhichInclinometer } from "./which-inclinometer";
import { rangeWords } from "~core/move/words";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "move", async ({ tx }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit, visits } = await visitOf(tx, client.id, asked.request);
    return {
      clientId: client.id,
      visit,
      events: await logOf(tx, "table_event", visit.id),
      earlier: (
        await movedOf(
          tx,
          visits.filter(({ ordinal }) => ordinal < visit.ordinal),
        )
      ).at(-1),
    };
  });
}

export default function Move({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  // another visit is another log
  return <Ranges key={loaderData.visit.id} {...loaderData} />;
}

const edgeKey = "edge";
function Ranges({ clientId, visit, events: stored, earlier }: LoaderData<typeof loader>) {
  const log = usePressed(clientId, visit.id, stored);
  const { events, add } = log;
  const [moment, setMoment] = useState<Moment>("before");
  const [key, setKey] = useState(movements[0]!.key);
  const inclinometer = useInclinometerKind();
  const ranges = useMemo(() => rangesAfter(events).map(rangeOf), [events]);
  const edges = useMemo(() => edgesAfter(events), [events]);
  const before = useMemo(
    () => (earlier?.ranges ?? []).filter((taken) => taken.moment === "before").map(rangeOf),
    [earlier],
  );
  const now = ranges.filter(({ taken }) => taken.moment === moment);
  const groups = [...new Set(movements.map(({ group }) => group))];
  return (
    <HandSide
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "230px minmax(0, 1fr)", md: "280px minmax(0, 1fr)" },
      }}
    >
      <SideColumn>
        <SideList aria-label="Movements">
          {groups.map((group) => (
            <section key={group}>
              <h3>{group}</h3>
              {movements
                .filter((movement) => movement.group === group)
                .map((movement) => {
                  const own = now.filter((range) => range.movement === movement);
                  return (
                    <button
                      key={movement.key}
                      type="button"
                      aria-current={movement.key === key ? "true" : undefined}
                      onClick={() => setKey(movement.key)}
                    >
                      {movement.name}
                      {own.length > 0 && <small>{own.map(rangeWords).join("; ")}</small>}
                    </button>
                  );
                })}
              {group === "Hip" && (
                <button
                  type="button"
                  aria-current={key === edgeKey ? "true" : undefined}
                  onClick={() => setKey(edgeKey)}
                >
                  Hip at the edge of the table
                  {edges.some((each) => each.moment === moment) && <small>angles taken</small>}
                </button>
              )}
            </section>
          ))}
        </SideList>
      </SideColumn>
      <Box sx={{ p: { xs: 2, sm: 3 }, minWidth: 0 }}>
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 1 }}>
          <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
            Ranges
          </Typography>
          <WhichInclinometer {...inclinometer} />
          <MomentToggle moment={moment} visit={visit.ordinal} set={setMoment} />
        </Box>
        <Kept log={log} />
        {key === edgeKey ? (
          <EdgeCard moment={moment} edges={edges} keep={(body) => add({ kind: "edge", body })} />
        ) : (
          <RangeCard
            key={key}
            movement={movementOf(key)}
            clientId={clientId}
            inclinometer={inclinometer.kind}
            moment={moment}
            now={now.filter(({ movement }) => movement.key === key)}
            earlier={before.filter(({ movement }) => movement.key === key)}
            keep={(body) => add({ kind: "range", body })}
          />
        )}
        <RangesFound
          before={ranges.filter(({ taken }) => taken.moment === "before")}
          after={ranges.filter(({ taken }) => taken.moment === "after")}
          earlier={earlier ? { visit: earlier.visit, ranges: before } : undefined}
        />
      </Box>
    </HandSide>
  );
}
