import type { At } from "~kinds/kind";
import { boneName, compareBones } from "~core/light-touch/bones";
import { gradeError, gradeErrorWords, type HandsBy } from "~core/light-touch/own-hands";
import { compareListening, leadsChanged, overallChange, rateChange } from "~core/light-touch/stations";
import { z95 } from "~core/units";
import { counted, sideWord } from "~core/words";
import type { LightOfVisit } from "~core/light-touch/light-of-visit";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";

/** What changed under listening hands between two moments: the stations altogether and each, and how the bones moved. */
export function LightChange({
  light,
  first,
  second,
  hands,
}: {
  light: readonly LightOfVisit[];
  first: At;
  second: At;
  /** What is known of everybody's hands. */
  hands: HandsBy;
}) {
  const of = (at: At) => light.find(({ visit }) => visit === at.visit);
  const heard = (at: At) => of(at)?.heard[at.moment] ?? {};
  const felt = (at: At) => (of(at)?.bones ?? []).filter(({ moment }) => moment === at.moment);
  const whose = [first, second].map((at) => of(at)?.by[at.moment]);
  const others = Boolean(whose[0] && whose[1] && whose[0] !== whose[1]);
  const own = hands[whose[0] ?? ""];
  const { se } = gradeError("stations", own);
  // how two practitioners' hands agree is not known
  const stations = others ? [] : compareListening(heard(first), heard(second), se);
  const bones = compareBones(felt(first), felt(second), hands).filter(({ before, after }) => before !== after);
  const all = overallChange(stations, se);
  const rate = others ? undefined : rateChange(heard(first), heard(second), own);
  const leads = leadsChanged(heard(first), heard(second));
  if (stations.length + bones.length === 0 && !others) return null;
  const told = stations.filter(({ verdict }) => verdict !== "cannot be told");
  const percent = (value: number) => `${Math.round(100 * value)}`;
  return (
    <Box component="section" aria-label="Light touch">
      <Typography variant="h3" component="h3" sx={{ mt: 2.5 }}>
        Light touch
      </Typography>
      {others && (
        <Typography>The stations were heard by other hands each time: how far they agree is not known.</Typography>
      )}
      {all && (
        <Typography>
          Stations altogether: {all.difference >= 0 ? "+" : "−"}
          {percent(Math.abs(all.difference))} ±{percent(z95 * all.se)} % of free ({all.verdict}
          {all.verdict === "cannot be told" ? "" : all.difference > 0 ? ", freer" : ", less free"}).
          {told.length === 0 && " No station alone can be told."}
        </Typography>
      )}
      {rate && (
        <Typography>
          Rate over {counted(rate.of, "station")}: {rate.before.toFixed(1)} → {rate.after.toFixed(1)} a minute, ±
          {(z95 * rate.se).toFixed(1)} ({rate.verdict}).
          {leads.of > 0 && ` Another side leads at ${leads.other} of ${leads.of} stations.`}
        </Typography>
      )}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {told.map(({ station, name, side, before, after, verdict }) => (
          <li key={`${station} ${side}`}>
            {name}, {sideWord[side]}: {percent(before)} → {percent(after)} % of free ({verdict})
          </li>
        ))}
        {bones.map((each) => (
          <li key={`${each.segment.key} ${each.test.key} ${each.side} ${each.end}`}>
            {boneName(each.segment, each.test, each.side)}, {each.test.ends[each.end]}: {each.before} → {each.after} of
            3 ({each.verdict})
          </li>
        ))}
      </Box>
      <Fine>
        Felt by hand; between examiners agreement on the rate was poor (ICC about −0.02 in Wirth-Pattullo &amp; Hayes
        1994). {gradeErrorWords("stations", own)}
        {first.visit !== second.visit &&
          " How much a body differs from one day to another by itself is not known and not in it: between visits this tells what was felt apart, not what made it so."}
      </Fine>
    </Box>
  );
}
