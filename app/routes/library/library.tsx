import { isFixed } from "~core/series/arc-session";
import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import MuiLink from "@mui/material/Link";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useDeferredValue, useMemo, useState } from "react";
import { Link, useSearchParams, type ShouldRevalidateFunctionArgs } from "react-router";
import type { Route } from "./+types/library";
import { depthOf } from "~core/anatomy/layers";
import { regions } from "~core/anatomy/regions";
import { acting } from "~core/screening/outcome";
import { leavesOut, schoolKinds } from "~core/screening/schools";
import { verdictOn } from "~core/screening/verdict";
import { libraryInUse, offered, startingVersion, type Library } from "~core/techniques/library";
import { askedWords, findTechniques, readAsked } from "~core/techniques/find";
import { positionName, type Technique } from "~core/techniques/technique";
import { counted } from "~core/words";
import { judgedOf } from "~app/server/client/screening.server";
import { addressOf } from "~app/server/request/address.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { Empty, Page } from "~app/ui/page";
import { depthColours } from "~app/ui/theme";
import { getClient } from "~data/clients";
import { Card } from "./card";
import { layerWord, loadWord } from "./words";

export const meta: Route.MetaFunction = () => [{ title: "Library · Ember Path" }];

/** Asked for a client, the library says what today's cautions leave of each technique. */
export function loader({ request, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const id = addressOf(request).id("client");
    if (!id) return { client: null };
    const client = await getClient(tx, id);
    const cautions = acting(await judgedOf(tx, client, practitioner), today());
    return {
      client: {
        id: client.id,
        name: client.name,
        out: Object.fromEntries(
          offered().flatMap((technique) => {
            const { no } = verdictOn(technique, cautions);
            return no ? [[technique.key, no]] : [];
          }),
        ) as Record<string, string>,
      },
    };
  });
}

/** Typing asks the server nothing: only another client does. */
export const shouldRevalidate = ({ currentUrl, nextUrl, defaultShouldRevalidate }: ShouldRevalidateFunctionArgs) =>
  currentUrl.pathname === nextUrl.pathname &&
  currentUrl.searchParams.get("client") === nextUrl.searchParams.get("client")
    ? false
    : defaultShouldRevalidate;

/** So much of a typed line is looked for: more is nothing that anybody asks. */
const mostTyped = 200;

/** The catalogue the planner chooses from: search it as one speaks, open a card, compare two. */
export default function Library({ loaderData: { client } }: Route.ComponentProps) {
  const [params, setParams] = useSearchParams();
  const [text, setText] = useState(params.get("q") ?? "");
  const region = params.get("region") ?? "";
  const whose = params.get("own") === "1" ? "own" : params.get("own") === "retired" ? "retired" : "";
  const kind = schoolKinds.find(({ key }) => key === params.get("school"));
  const library = libraryInUse();
  const retired = useMemo(() => retiredIn(library), [library]);
  const all = whose === "retired" ? retired : library.offered;
  const open = params.get("open");
  const beside = params.get("beside");
  const typed = useDeferredValue(text);
  const asked = useMemo(() => readAsked(typed.slice(0, mostTyped)), [typed]);
  const found = useMemo(
    () =>
      findTechniques(asked, all)
        .map(({ technique }) => technique)
        .filter(({ doses }) => !region || doses.some((dose) => dose.region === region && dose.share >= 0.3))
        .filter(({ key, stem }) => whose !== "own" || key !== stem)
        .filter((technique) => !kind || !leavesOut(kind.school, technique)),
    [asked, region, all, whose, kind],
  );
  const out = useMemo(() => client?.out ?? {}, [client]);
  const sorted = useMemo(() => [...found].sort((a, b) => Number(a.key in out) - Number(b.key in out)), [found, out]);
  const set = (change: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change))
      if (value) next.set(key, value);
      else next.delete(key);
    setParams(next, { replace: true, preventScrollReset: true });
  };
  const one = all.find(({ key }) => key === open);
  const two = all.find(({ key }) => key === beside);
  const said = askedWords(asked);
  // the steps of the arc belong to the application
  const exported = library.offered.filter(({ stem }) => !isFixed(stem)).length;
  const own = library.offered.filter(({ key, stem }) => key !== stem).length;
  const [more, setMore] = useState(false);
  // nobody reads more at once, and typing stays quick
  const shown = more ? sorted : sorted.slice(0, firstShown);
  return (
    <Page
      title="Techniques"
      note={`${library.offered.length} techniques, common practice${own > 0 ? ` and ${own} of your own making` : ""}, from which a series is solved. Check against your local codes and training.`}
      actions={
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          <Button component={Link} to="/library/new" variant="contained">
            New technique
          </Button>
          <Button component={Link} to="/library/templates" variant="outlined" color="inherit">
            Series templates
          </Button>
          <Button component={Link} to="/library/import" variant="outlined" color="inherit">
            Import
          </Button>
          <Button
            component="a"
            href={`/library/techniques.json${whose === "own" ? "" : "?all=1"}`}
            download
            variant="outlined"
            color="inherit"
          >
            {whose === "own" ? `Export our own (${own})` : `Export all but the arc (${exported})`}
          </Button>
        </Box>
      }
    >
      <Box role="search" sx={{ display: "flex", gap: 2, maxWidth: 1100, mb: 1, flexWrap: "wrap" }}>
        <TextField
          label="Find a technique"
          placeholder="psoas · easy on thumbs, prone, dry · cranial"
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            set({ q: event.target.value });
          }}
          sx={{ flex: 2, minWidth: 260 }}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <TextField
          select
          label="Region"
          value={region}
          onChange={(event) => set({ region: event.target.value })}
          sx={{ flex: 1, minWidth: 180 }}
        >
          <MenuItem value="">Everywhere</MenuItem>
          {regions.map((each) => (
            <MenuItem key={each.key} value={each.key}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="School"
          value={kind?.key ?? ""}
          onChange={(event) => set({ school: event.target.value })}
          sx={{ flex: 1, minWidth: 160 }}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">Any</MenuItem>
          {schoolKinds.map((each) => (
            <MenuItem key={each.key} value={each.key}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Whose"
          value={whose}
          onChange={(event) => set({ own: { own: "1", retired: "retired" }[event.target.value] ?? null })}
          sx={{ flex: 1, minWidth: 150 }}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">All in use</MenuItem>
          <MenuItem value="own">Of our own making</MenuItem>
          <MenuItem value="retired">Retired</MenuItem>
        </TextField>
      </Box>
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap", minHeight: 36, mb: 1 }}>
        <Fine role="status">
          {counted(sorted.length, "technique")}
          {said.length > 0 && ", read as:"}
        </Fine>
        {said.map((each) => (
          <Chip key={each} size="small" label={each} sx={{ borderRadius: "6px" }} />
        ))}
        {client && (
          <Fine sx={{ ml: "auto" }}>
            For {client.name} today; what is out comes last.{" "}
            <MuiLink component={Link} underline="always" to={`/clients/${client.id}/path`}>
              Back to the path
            </MuiLink>
          </Fine>
        )}
      </Box>
      {one && two && one !== two && (
        <Box
          component="section"
          aria-label="Compared"
          sx={(t) => ({
            display: "grid",
            gridTemplateColumns: { xs: "1fr", md: "1fr 1fr" },
            gap: 3,
            mb: 3,
            p: 2,
            border: `1px solid ${t.tokens.line}`,
            borderRadius: "10px",
          })}
        >
          {[one, two].map((each) => (
            <Box key={each.key}>
              <Typography variant="h2">{each.name}</Typography>
              <Card technique={each} no={out[each.key]} />
            </Box>
          ))}
          <Button color="inherit" sx={{ justifySelf: "start" }} onClick={() => set({ beside: null })}>
            Compare no more
          </Button>
        </Box>
      )}
      {sorted.length === 0 && (
        <Empty title={whose === "retired" && retired.length === 0 ? "Nothing is retired" : "Nothing is all of that"}>
          {whose === "retired" && retired.length === 0
            ? "A technique that you retire is planned no more; plans and logs keep it, and it can be taken back here."
            : whose === "own" && own === 0
              ? "Adapt a technique from its card, or add a new one."
              : "No technique is everything that was typed. Take a word away, or another region."}
        </Empty>
      )}
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {shown.map((technique) => (
          <Row
            key={technique.key}
            technique={technique}
            no={out[technique.key]}
            open={open === technique.key}
            toggle={() => set({ open: open === technique.key ? null : technique.key, beside: null })}
            {...(one && one !== technique ? { compare: () => set({ beside: technique.key }) } : {})}
            choose={(key) => {
              setText("");
              set({ q: null, region: null, open: key, beside: null });
            }}
          />
        ))}
      </Box>
      {shown.length < sorted.length && (
        <Button sx={{ mt: 1 }} variant="outlined" color="inherit" onClick={() => setMore(true)}>
          Show all {sorted.length}
        </Button>
      )}
    </Page>
  );
}

const firstShown = 60;

/** What is out of use, as it was last. */
function retiredIn({ versions, find, current }: Library): Technique[] {
  const last = new Map(versions.map((version) => [version.stem, version]));
  return [...last.values()].flatMap(({ stem, key, retired }) => (retired && !current(stem) ? (find(key) ?? []) : []));
}

function Row({
  technique,
  no,
  open,
  toggle,
  compare,
  choose,
}: {
  technique: Technique;
  /** Why it is out for the client the library was asked for. */
  no: string | undefined;
  open: boolean;
  toggle: () => void;
  /** Sets it beside the one that is open. */
  compare?: () => void;
  choose: (key: string) => void;
}) {
  return (
    <Box
      component="li"
      id={`technique-${technique.key}`}
      sx={(t) => ({ borderTop: `1px solid ${t.tokens.line}`, py: 0.5 })}
    >
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr auto", lg: "minmax(0,1fr) 140px 130px 110px 150px 96px" },
          columnGap: 2,
          alignItems: "baseline",
        }}
      >
        <Box
          component="button"
          type="button"
          aria-expanded={open}
          onClick={toggle}
          sx={(t) => ({
            font: "inherit",
            color: "inherit",
            background: "none",
            border: 0,
            p: 0.75,
            textAlign: "left",
            cursor: "pointer",
            "&:hover": { bgcolor: t.tokens.band },
            "&:focus-visible": { outline: `2px solid ${t.tokens.ember}`, outlineOffset: -2 },
          })}
        >
          <Box component="span" sx={{ fontWeight: 650, display: "block" }}>
            {technique.name}
            {technique.key !== technique.stem && (
              <Fine component="span" sx={{ ml: 1 }}>
                {startingVersion(technique.stem) ? "adapted by us" : "our own"}
              </Fine>
            )}
          </Box>
          <Fine component="span">{no ? `Out today: ${no}` : technique.what}</Fine>
        </Box>
        <Box sx={{ display: { xs: "none", lg: "flex" }, alignItems: "center", gap: 1, fontSize: 14.5 }}>
          <Box
            sx={(t) => ({
              width: 12,
              height: 12,
              borderRadius: "2px",
              border: `1px solid ${t.tokens.inkSoft}`,
              bgcolor: technique.layer === "LT" ? t.tokens.plum : depthColours[depthOf(technique.layer) - 1],
            })}
          />
          {layerWord(technique)}
        </Box>
        <Typography sx={{ fontSize: 14.5, display: { xs: "none", lg: "block" } }}>
          {technique.positions.length === 0
            ? "any position"
            : technique.positions.map((each) => positionName[each].toLowerCase()).join(", ")}
        </Typography>
        <Typography sx={{ fontSize: 14.5, display: { xs: "none", lg: "block" } }}>
          {technique.minutes.ideal} ({technique.minutes.least}) min{technique.sided ? " a side" : ""}
        </Typography>
        <Fine sx={{ display: { xs: "none", lg: "block" } }}>
          {technique.pressure} of 10{loadWord(technique) && `; ${loadWord(technique)}`}
        </Fine>
        <Box>
          {compare && (
            <Button size="small" color="inherit" onClick={compare} aria-label={`Compare ${technique.name}`}>
              Compare
            </Button>
          )}
        </Box>
      </Box>
      {open && <Card technique={technique} no={no} choose={choose} adapt />}
    </Box>
  );
}
