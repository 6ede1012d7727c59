import Button from "@mui/material/Button";
import { useEffect, useRef, useState } from "react";
import { data, Link, useSearchParams } from "react-router";
import { number, object, string } from "yup";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { MomentToggle } from "~app/ui/moment-toggle";
import { cachedLoader } from "~app/server/cached-loader.server";
import type { Route } from "./+types/listen";
import { isUsualRate, leastTaps, rateBand, rateOfTaps, usualRates } from "~core/light-touch/rhythm";
import {
  balanceIndex,
  compareListening,
  freedom,
  overallChange,
  leadsChanged,
  overallFreedom,
  rateChange,
  stations,
  weakest,
  type HandFelt,
  type Listening,
  type StationFelt,
  type StationKey,
} from "~core/light-touch/stations";
import { gradeError, gradeErrorWords } from "~core/light-touch/own-hands";
import { z95 } from "~core/units";
import { counted, sideTitle, sideWord } from "~core/words";
import { ownHands } from "~app/server/client/looks.server";
import { keeping } from "~app/server/request/session.server";
import { ownVisit, visitOf } from "~app/server/client/workspace.server";
import { Overtaken, useKeeper } from "~app/ui/use-keeper";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { validate } from "~app/validation";
import { deserialised } from "~app/serialised";
import { getClient } from "~data/clients";
import { listeningsOf, saveStation, type ListenMoment } from "~data/findings";
import { eventsOf } from "~data/session-events";
import { foldRun } from "~core/session/fold";
import { ListenMap } from "./listen-map";

export const handle = { slim: true };

export function loader(asked: Route.LoaderArgs) {
  return cachedLoader(asked, "listen", async ({ tx, practitioner }) => {
    const client = await getClient(tx, asked.params.clientId);
    const { visit } = await visitOf(tx, client.id, asked.request);
    const all = await listeningsOf(tx, client.id);
    const at = (moment: ListenMoment) => all.find((each) => each.visitId === visit.id && each.moment === moment);
    const of = (moment: ListenMoment) => at(moment)?.stations ?? {};
    const by = at("before")?.by ?? practitioner.id;
    const { phase } = foldRun(await eventsOf(tx, visit.id));
    return {
      clientId: client.id,
      visit,
      before: of("before"),
      again: of("again"),
      after: of("after"),
      mine: by === practitioner.id,
      /** Other hands listened after the work: how far they agree is not known. */
      others: (at("after")?.by ?? by) !== by,
      hands: (await ownHands(tx))[by] ?? {},
      running: phase === "running" || phase === "paused",
    };
  });
}

const hand = object({
  quality: number()
    .integer()
    .min(0, "Quality: at least 0.")
    .max(3, "Quality: at most 3, got ${value}.")
    .required("Quality: choose 0 to 3."),
  amplitude: number()
    .integer()
    .min(0, "Amplitude: at least 0.")
    .max(3, "Amplitude: at most 3, got ${value}.")
    .required("Amplitude: choose 0 to 3."),
});
const feltSchema = object({
  L: hand.default(undefined).optional(),
  R: hand.default(undefined).optional(),
  symmetry: string()
    .oneOf(["even", "left leads", "right leads"], "Symmetry: “${value}” is not one of the words.")
    .optional(),
  rate: object({
    perMinute: number().positive("Rate: above 0.").max(200, "Rate: ${value} per minute is over 200.").required(),
    se: number().min(0).required(),
    cycles: number().integer().min(1).required(),
  })
    .default(undefined)
    .optional(),
});
const schema = object({
  station: string<StationKey>()
    .oneOf(
      stations.map((each) => each.key),
      "Station: “${value}” is not one of the stations.",
    )
    .required("Station: choose one."),
  moment: string<ListenMoment>()
    .oneOf(["before", "again", "after"], "Moment: before, again or after.")
    .required("Moment: before, again or after."),
  felt: feltSchema.required(),
  was: feltSchema.nullable().default(undefined),
});
/** Without the fields that hold nothing, as it is stored. */
const plain = (felt: unknown) => JSON.parse(JSON.stringify(felt)) as StationFelt;

export { keepTyped as clientAction } from "~app/ui/keep-typed";

export function action({ params, context }: Route.ActionArgs) {
  return keeping(context, async ({ tx, practitioner, body }) => {
    const { value, errors } = await validate(schema, body.fields);
    if (errors) return data({ errors }, { status: 400 });
    const visit = await ownVisit(tx, params.clientId, body.fields.visitId);
    const { station, moment, felt, was } = value;
    await saveStation(tx, visit.id, moment, station, plain(felt), was && plain(was), practitioner.id);
    return { ok: true };
  });
}

export default function Listen({ loaderData: serial }: Route.ComponentProps) {
  const loaderData = deserialised(serial);
  const { clientId, visit, running, mine, others, hands } = loaderData;
  const [search] = useSearchParams();
  const [moment, setMoment] = useState<ListenMoment>(search.get("moment") === "after" ? "after" : "before");
  const [station, setStation] = useState<StationKey>("heels");
  const at = `${visit.id} ${moment} ${station}`;
  // what was chosen and is not confirmed yet, shown at once, whichever station one has gone on to
  const [chosen, setChosen] = useState<{ at: string; moment: ListenMoment; station: StationKey; felt: StationFelt }>();
  const withChosen = (which: ListenMoment): Listening =>
    chosen?.moment === which ? { ...loaderData[which], [chosen.station]: chosen.felt } : loaderData[which];
  const [before, again, after] = [withChosen("before"), withChosen("again"), withChosen("after")];
  const blind = moment === "again";
  const index = stations.findIndex((each) => each.key === station);
  const begin = weakest(before);
  const [freeBefore, freeAfter] = [overallFreedom(before), overallFreedom(after)];
  const { se } = gradeError("stations", hands);
  const change = overallChange(compareListening(before, after, se), se);
  const rate = rateChange(before, after, hands);
  const leads = leadsChanged(before, after);
  const felt = { before, again, after }[moment][station] ?? {};
  // once there was work it is another body
  const maySecond = mine && Object.keys(before).length > 0 && Object.keys(after).length === 0;
  const percent = (value: number) => `${Math.round(value * 100)}%`;

  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "260px minmax(0, 1fr)", md: "440px minmax(0, 1fr)" },
      }}
    >
      <Box
        sx={(t) => ({
          bgcolor: "background.paper",
          borderRight: { sm: `1px solid ${t.tokens.line}` },
          // the hands come first where there is no room beside them
          order: { xs: 1, sm: 0 },
          p: { xs: 2, sm: 1, md: 2 },
          minHeight: { md: "calc(100dvh - 132px)" },
        })}
      >
        <ListenMap before={blind ? again : before} after={blind ? {} : after} chosen={station} choose={setStation} />
      </Box>
      <Box sx={{ p: { xs: 2, sm: 3 }, maxWidth: 720 }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center", mb: 2 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            {index + 1}. {stations[index]!.name}
          </Typography>
          {blind ? (
            <Button variant="outlined" onClick={() => setMoment("before")}>
              Back to the first round
            </Button>
          ) : (
            <>
              {maySecond && (
                <Button
                  color="inherit"
                  onClick={() => {
                    setMoment("again");
                    setStation(stations[0].key);
                  }}
                >
                  Second round, blind
                </Button>
              )}
              <MomentToggle moment={moment} visit={visit.ordinal} set={setMoment} />
            </>
          )}
        </Box>
        {blind && (
          <Typography sx={{ mb: 1.5, color: "text.secondary" }}>
            Second round, before any work: nothing of the first is shown. It tells how your own hands repeat; what
            counts for the client is the first.
          </Typography>
        )}
        <Station
          key={at}
          visitId={visit.id}
          moment={moment}
          station={station}
          stored={loaderData[moment][station] ?? null}
          chose={(felt) => setChosen(felt && { at, moment, station, felt })}
        />
        <Box sx={{ display: "flex", gap: 1.5, mt: 3 }}>
          <Button variant="outlined" disabled={index === 0} onClick={() => setStation(stations[index - 1]!.key)}>
            Back
          </Button>
          {index < stations.length - 1 ? (
            <Button variant="contained" onClick={() => setStation(stations[index + 1]!.key)}>
              Next: {stations[index + 1]!.name.toLowerCase()}
            </Button>
          ) : (
            <Button
              variant="contained"
              component={Link}
              to={running ? `/run/${visit.id}` : `/clients/${clientId}/assess/arc?visit=${visit.ordinal}`}
            >
              {running ? "Back to the session" : "To the arc"}
            </Button>
          )}
        </Box>
        <Box sx={(t) => ({ mt: 4, pt: 2, borderTop: `1px solid ${t.tokens.line}` })}>
          {blind ? (
            <Typography>
              Listened to again at {counted(Object.keys(again).length, "station")} of {Object.keys(before).length}. What
              it says stands in Practice, Repeatability.
            </Typography>
          ) : begin ? (
            <Typography>
              Motion was weakest at the{" "}
              <strong>
                {stations.find((each) => each.key === begin.station)!.name.toLowerCase()}, {sideWord[begin.side]}
              </strong>
              : begin there.
              {felt.L &&
                felt.R &&
                ` At this station the balance is ${balanceIndex(freedom(felt.L), freedom(felt.R)).toFixed(2)} (0 even, + left freer).`}
            </Typography>
          ) : (
            <Typography sx={{ color: "text.secondary" }}>
              Same order, same hands, before and after. The map fills as you go.
            </Typography>
          )}
          {!blind && freeBefore !== undefined && freeAfter !== undefined && (
            <Typography sx={{ mt: 1 }}>
              Freedom over all stations: {percent(freeBefore)} before, {percent(freeAfter)} after
              {change && !others && ` (${change.verdict}, ±${Math.round(100 * z95 * change.se)} %)`}.
              {rate &&
                ` Rate over ${counted(rate.of, "station")}: ${rate.before.toFixed(1)} → ${rate.after.toFixed(1)} a minute (${others ? "not judged" : `${rate.verdict}, ±${(z95 * rate.se).toFixed(1)}`}).`}
              {leads.of > 0 &&
                ` Another side leads at ${leads.other} of ${leads.of} stations; ${
                  hands.leads
                    ? `in your own second rounds it did at ${hands.leads.other} of ${hands.leads.of}`
                    : "how often it does so by itself in your hands is not known yet"
                }.`}
              {others && " Other hands listened after the work: how far they agree is not known, so nothing is judged."}
            </Typography>
          )}
          {!blind && (
            <Typography sx={{ mt: 1.5, fontSize: 13.5, color: "text.secondary" }}>
              {gradeErrorWords("stations", hands)}
            </Typography>
          )}
          <Typography sx={{ mt: 1.5, fontSize: 13.5, color: "text.secondary" }}>
            These are your hands’ findings. Agreement between examiners on the rate is poor (ICC about −0.02:
            Wirth-Pattullo & Hayes, Phys Ther 74 (1994) 908–916): compare only with your own.
          </Typography>
        </Box>
      </Box>
    </Box>
  );
}

/** What both hands feel at one station, kept as soon as it is chosen. */
function Station({
  visitId,
  moment,
  station,
  stored,
  chose,
}: {
  visitId: string;
  moment: ListenMoment;
  station: StationKey;
  stored: StationFelt | null;
  chose: (felt: StationFelt | undefined) => void;
}) {
  const kept = useKeeper<StationFelt>(stored, (felt) => ({ visitId, moment, station, felt }));
  const felt = kept.value ?? {};
  const send = (change: Partial<StationFelt>) => {
    const next = { ...felt, ...change };
    chose(next);
    kept.keep(next);
  };
  const words = (each: StationFelt | null) =>
    each
      ? [
          ...(["L", "R"] as const).flatMap((side) =>
            each[side] ? [`${sideWord[side]} ${each[side].quality} and ${each[side].amplitude}`] : [],
          ),
          ...(each.symmetry ? [each.symmetry] : []),
          ...(each.rate ? [`${each.rate.perMinute.toFixed(1)} per minute`] : []),
        ].join(", ")
      : "nothing";
  return (
    <>
      <Overtaken by={{ ...kept, yield: () => (chose(undefined), kept.yield()) }} what="This station" words={words} />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: { xs: 2, sm: 4 } }}>
        {(["L", "R"] as const).map((side) => (
          <Hand key={side} side={side} felt={felt[side]} set={(value) => send({ [side]: value })} />
        ))}
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 4, mt: 3 }}>
        <Box>
          <Typography sx={{ fontSize: 14, color: "text.secondary", mb: 0.5 }}>Symmetry</Typography>
          <ToggleButtonGroup
            exclusive
            value={felt.symmetry ?? null}
            onChange={(_, value: StationFelt["symmetry"] | null) => value && send({ symmetry: value })}
            aria-label="Symmetry"
          >
            {(["left leads", "even", "right leads"] as const).map((each) => (
              <ToggleButton key={each} value={each}>
                {each}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        <Taps rate={felt.rate} set={(rate) => send({ rate })} />
      </Box>
    </>
  );
}

function Hand({ side, felt, set }: { side: "L" | "R"; felt: HandFelt | undefined; set: (felt: HandFelt) => void }) {
  const name = sideTitle[side];
  const scale = (key: keyof HandFelt, label: string, ends: [string, string]) => (
    <Box sx={{ mb: 1.5 }}>
      <Typography sx={{ fontSize: 14, color: "text.secondary", mb: 0.5 }}>
        {label}, {ends[0]} to {ends[1]}
      </Typography>
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={felt?.[key] ?? null}
        onChange={(_, value: 0 | 1 | 2 | 3 | null) =>
          value !== null && set({ quality: felt?.quality ?? value, amplitude: felt?.amplitude ?? value, [key]: value })
        }
        aria-label={`${name} ${label.toLowerCase()}`}
      >
        {([0, 1, 2, 3] as const).map((value) => (
          <ToggleButton key={value} value={value} sx={{ minHeight: 56, fontSize: 18 }}>
            {value}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
  return (
    <Box role="group" aria-label={`${name} hand`}>
      <Typography variant="h3" sx={{ mb: 1 }}>
        {name}
      </Typography>
      {scale("quality", "Quality", ["flat", "free"])}
      {scale("amplitude", "Amplitude", ["none", "wide"])}
    </Box>
  );
}

/** Tap once per full cycle; the rate comes with its error once there are three taps. */
function Taps({ rate, set }: { rate: StationFelt["rate"]; set: (rate: NonNullable<StationFelt["rate"]>) => void }) {
  const [taps, setTaps] = useState<number[]>([]);
  const latest = useRef(set);
  useEffect(() => {
    latest.current = set;
  });
  const found = rateOfTaps(taps);
  // The rate is kept as soon as the tapping rests.
  useEffect(() => {
    const counted = rateOfTaps(taps);
    if (!counted) return;
    const timer = window.setTimeout(() => latest.current(counted), 1200);
    return () => window.clearTimeout(timer);
  }, [taps]);
  const shown = found ?? rate;
  return (
    <Box>
      <Typography sx={{ fontSize: 14, color: "text.secondary", mb: 0.5 }}>Rate, one tap per full cycle</Typography>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Button
          variant="outlined"
          sx={{ minWidth: 120, minHeight: 64, fontSize: 18, borderColor: "primary.main" }}
          onClick={(event) => {
            const now = event.timeStamp / 1000;
            setTaps((known) => (known.length > 0 && now - known.at(-1)! > 30 ? [now] : [...known, now]));
          }}
        >
          Tap
        </Button>
        <Typography role="status">
          {shown ? (
            <>
              <strong>{shown.perMinute.toFixed(1)}</strong> ±{rateBand(shown).toFixed(1)} per minute, {shown.cycles}{" "}
              cycles
              {!isUsualRate(shown) &&
                `. Rates of ${usualRates[0]} to ${usualRates[1]} are felt in practice: is one tap one full cycle?`}
            </>
          ) : taps.length > 0 ? (
            `${Math.max(1, leastTaps - taps.length)} more`
          ) : (
            "not counted"
          )}
        </Typography>
      </Box>
    </Box>
  );
}
