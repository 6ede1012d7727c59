import { sideTitle } from "~core/words";
import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import type { Route } from "./+types/bones";
import {
  balanceOf,
  balanceWords,
  boneName,
  bonesAfter,
  compareBones,
  lockedSegments,
  rangeWords,
  segmentOf,
  steps,
  type BoneFelt,
  type BoneTest,
  type Segment,
  type Step,
} from "~core/light-touch/bones";
import { gradeError, gradeErrorWords, type HandsBy } from "~core/light-touch/own-hands";
import type { Side } from "~core/units";
import { ownHands } from "~app/server/client/looks.server";
import { cachedLoader } from "~app/server/cached-loader.server";
import { visitOf } from "~app/server/client/workspace.server";
import { Kept, usePressed } from "~app/routes/client/table/use-pressed";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { HandSide } from "~app/ui/hand-side";
import { MomentToggle } from "~app/ui/moment-toggle";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { deserialised, type LoaderData } from "~app/serialised";
import { getClient } from "~data/clients";
import { logOf } from "~data/session-events";
import { BoneMap } from "./bone-map";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "bones", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
    return {
      clientId: client.id,
      visit,
      events: await logOf(tx, "table_event", visit.id),
      hands: await ownHands(tx),
      me: practitioner.id,
    };
  });
}

export default function Bones({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  // another visit is another log
  return <Moving key={loaderData.visit.id} {...loaderData} />;
}

const none = (moment: BoneFelt["moment"], segment: string, test: string, side: Side | null): BoneFelt => ({
  moment,
  segment,
  test,
  side,
  range: [null, null],
  step: null,
  eased: [false, false],
});

function Moving({ clientId, visit, events: stored, hands, me }: LoaderData<typeof loader>) {
  const log = usePressed(clientId, visit.id, stored);
  const felt = useMemo(() => bonesAfter(log.events), [log.events]);
  // what is not stored yet was felt by whoever is signed in
  const whose = (list: readonly BoneFelt[]) => list.map((each) => ({ ...each, by: each.by ?? me }));
  const [moment, setMoment] = useState<BoneFelt["moment"]>("before");
  const [key, setKey] = useState("sphenoid");
  const of = (which: BoneFelt["moment"]) => felt.filter((one) => one.moment === which);
  const [before, again, after] = [of("before"), of("again"), of("after")];
  const blind = moment === "again";
  const { se } = gradeError("bones", hands[me]);
  const segment = segmentOf(key)!;
  const sides: readonly (Side | null)[] = segment.sided ? ["R", "L"] : [null];
  const locked = lockedSegments(before);
  return (
    <HandSide sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", md: "470px minmax(0, 1fr)" } }}>
      <Box
        sx={(t) => ({
          bgcolor: "background.paper",
          borderRight: { md: `1px solid ${t.tokens.line}` },
          order: { xs: 1, md: 0 },
          p: 1.5,
          minHeight: { md: "calc(100dvh - 132px)" },
        })}
      >
        <BoneMap before={blind ? again : before} after={blind ? [] : after} chosen={key} choose={setKey} />
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 }, minWidth: 0, maxWidth: 860 }}>
        <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
          <Typography variant="h2" sx={{ flex: "1 0 auto" }}>
            {segment.name}
          </Typography>
          {blind ? (
            <Button variant="outlined" onClick={() => setMoment("before")}>
              Back to the first round
            </Button>
          ) : (
            <>
              {before.length > 0 && after.length === 0 && (
                <Button color="inherit" onClick={() => setMoment("again")}>
                  Second round, blind
                </Button>
              )}
              <MomentToggle moment={moment} visit={visit.ordinal} set={setMoment} />
            </>
          )}
        </Box>
        {blind && (
          <Typography sx={{ mb: 0.5, color: "text.secondary" }}>
            Second round, before any work: nothing of the first is shown. It tells how your own hands repeat (Practice,
            Repeatability); what counts for the client is the first.
          </Typography>
        )}
        <Typography sx={{ fontSize: 17, mb: 0.5 }}>{segment.hands}</Typography>
        <Kept log={log} blind={moment === "again"} />
        {sides.map((side) => (
          <Box key={String(side)} role="group" aria-label={side ? sideTitle[side] : segment.name} sx={{ mb: 2 }}>
            {side && <Typography variant="h3">{sideTitle[side]}</Typography>}
            {segment.tests.map((test) => (
              <OneTest
                key={test.key}
                segment={segment}
                test={test}
                felt={
                  felt.find(
                    (each) =>
                      each.moment === moment && each.segment === key && each.test === test.key && each.side === side,
                  ) ?? none(moment, key, test.key, side)
                }
                se={se}
                // whose hands pressed is the server's to say
                keep={({ moment: at, segment: bone, test: way, side: on, range, step, eased }) =>
                  log.add({
                    kind: "bone",
                    body: { moment: at, segment: bone, test: way, side: on, range, step, eased },
                  })
                }
              />
            ))}
          </Box>
        ))}
        {!blind && <Found before={whose(before)} after={whose(after)} hands={hands} />}
        {!blind && locked.length > 0 && (
          <Typography sx={(t) => ({ color: t.tokens.amber, mb: 1.5 })}>
            {locked.map(({ name }) => name).join(", ")}: nothing of it moves. Ask again about whiplash, falls on the
            head or tailbone and dental work, and give it more time.{" "}
            <Link to={`/clients/${clientId}/intake`}>Their history</Link>
          </Typography>
        )}
        <Fine>
          Felt by hand: published agreement between examiners is poor. What is compared is your own feeling before and
          after; no cause is claimed. {gradeErrorWords("bones", hands[me])}
        </Fine>
      </Box>
    </HandSide>
  );
}

/** One test: how far it goes at either end, in step or not, and what was eased. */
function OneTest({
  segment,
  test,
  felt,
  se,
  keep,
}: {
  segment: Segment;
  test: BoneTest;
  felt: BoneFelt;
  /** Standard error of a grade. */
  se: number;
  keep: (felt: BoneFelt) => void;
}) {
  const balance = balanceOf(felt.range, se);
  const at = <T,>(pair: readonly [T, T], end: 0 | 1, value: T): [T, T] =>
    end === 0 ? [value, pair[1]] : [pair[0], value];
  return (
    <Box
      component="section"
      aria-label={boneName(segment, test, felt.side)}
      sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 1 })}
    >
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "baseline" }}>
        <Typography sx={{ fontWeight: 650 }}>{test.name}</Typography>
        {balance && <Fine>{balanceWords(balance, test.ends)}</Fine>}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", xl: "1fr 1fr" }, columnGap: 3, rowGap: 1 }}>
        {([0, 1] as const).map((end) => (
          <Box key={end} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
            <Typography sx={{ width: 84 }}>{test.ends[end]}</Typography>
            <ToggleButtonGroup
              exclusive
              size="small"
              value={felt.range[end]}
              aria-label={`${test.ends[end]}: how far`}
              onChange={(_, value: number | null) => keep({ ...felt, range: at(felt.range, end, value) })}
            >
              {rangeWords.map((word, grade) => (
                <ToggleButton key={word} value={grade} aria-label={`${grade}, ${word}`} sx={{ minWidth: 44 }}>
                  {grade}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <Button
              size="small"
              variant={felt.eased[end] ? "contained" : "outlined"}
              color={felt.eased[end] ? "primary" : "inherit"}
              aria-pressed={felt.eased[end]}
              onClick={() => keep({ ...felt, eased: at(felt.eased, end, !felt.eased[end]) })}
            >
              5 g here
            </Button>
          </Box>
        ))}
      </Box>
      {segment.sided && felt.side === "R" ? null : (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={felt.step}
          aria-label="In step"
          sx={{ mt: 1 }}
          onChange={(_, value: Step | null) => keep({ ...felt, step: value })}
        >
          {steps.map((step) => (
            <ToggleButton key={step} value={step} sx={{ px: 1.5 }}>
              {step}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
    </Box>
  );
}

/** What was felt before and after, end by end, where anything differs. */
function Found({ before, after, hands }: { before: readonly BoneFelt[]; after: readonly BoneFelt[]; hands: HandsBy }) {
  const compared = compareBones(before, after, hands);
  const differing = compared.filter((each) => each.before !== each.after);
  if (compared.length === 0) return null;
  return (
    <Box component="section" aria-label="Before and after" sx={{ mb: 2 }}>
      <Typography variant="h3" sx={{ mt: 1, mb: 0.5 }}>
        Before and after
      </Typography>
      {differing.length === 0 && <Typography>Every end was felt as before.</Typography>}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {differing.map((each) => (
          <li key={`${each.segment.key} ${each.test.key} ${each.side} ${each.end}`}>
            {boneName(each.segment, each.test, each.side)}, {each.test.ends[each.end]}: {each.before} → {each.after} (
            {each.verdict === "cannot be told"
              ? each.verdict
              : `${each.verdict}, ${each.after > each.before ? "freer" : "less free"}`}
            )
          </li>
        ))}
      </Box>
      <Fine>{compared.length} ends were felt twice; all are judged together.</Fine>
    </Box>
  );
}
