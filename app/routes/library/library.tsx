import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { Form, useSearchParams, useSubmit } from "react-router";
import type { Route } from "./+types/library";
import { depthOf } from "~core/anatomy/layers";
import { regions, regionName } from "~core/anatomy/regions";
import { catalogue } from "~core/techniques/catalogue";
import { positionName, type Technique } from "~core/techniques/technique";
import { depthColours } from "~app/ui/theme";
import { Empty, Page } from "~app/ui/page";

export const meta: Route.MetaFunction = () => [{ title: "Library · Ember Path" }];

const layerWord = (technique: Technique) =>
  technique.layer === "LT"
    ? "light touch"
    : ["surface fascia", "deep fascia", "outer muscle", "inner muscle", "joint"][depthOf(technique.layer) - 1]!;
const loadWord = (technique: Technique) =>
  Object.entries(technique.load)
    .map(([part, load]) => `${part} ${load}`)
    .join(", ");

/** The catalogue the planner chooses from: search it, and see what each technique reaches and costs. */
export default function Library() {
  const [params] = useSearchParams();
  const submit = useSubmit();
  const query = (params.get("q") ?? "").toLowerCase();
  const region = params.get("region") ?? "";
  const found = catalogue.filter(
    (technique) =>
      (!query || `${technique.name} ${technique.what}`.toLowerCase().includes(query)) &&
      (!region || technique.doses.some((dose) => dose.region === region && dose.share >= 0.3)),
  );
  return (
    <Page
      title="Techniques"
      note={`${catalogue.length} techniques, common practice, from which a series is solved. Check against your local codes and training.`}
    >
      <Box
        component={Form}
        role="search"
        onChange={(event: React.FormEvent<HTMLFormElement>) => void submit(event.currentTarget, { replace: true })}
        sx={{ display: "flex", gap: 2, maxWidth: 640, mb: 2 }}
      >
        <TextField name="q" label="Find a technique" defaultValue={params.get("q") ?? ""} />
        <TextField
          select
          label="Region"
          value={region}
          onChange={(event) => void submit({ q: params.get("q") ?? "", region: event.target.value }, { replace: true })}
        >
          <MenuItem value="">Everywhere</MenuItem>
          {regions.map((each) => (
            <MenuItem key={each.key} value={each.key}>
              {each.name}
            </MenuItem>
          ))}
        </TextField>
        <input type="hidden" name="region" value={region} />
      </Box>
      {found.length === 0 && (
        <Empty title="Nothing by that name">No technique matches. Try a shorter word or another region.</Empty>
      )}
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {found.map((technique) => (
          <Box
            component="li"
            key={technique.key}
            sx={(t) => ({
              borderTop: `1px solid ${t.tokens.line}`,
              py: 1.25,
              display: "grid",
              gridTemplateColumns: { xs: "1fr", md: "minmax(0,1fr) 150px 130px 110px 150px" },
              columnGap: 3,
              alignItems: "baseline",
            })}
          >
            <Box>
              <Typography sx={{ fontWeight: 650 }}>{technique.name}</Typography>
              <Typography sx={{ fontSize: 14, color: "text.secondary" }}>
                {technique.what}{" "}
                {technique.doses.length > 0 && (
                  <>Reaches {technique.doses.map((dose) => regionName(dose.region).toLowerCase()).join("; ")}.</>
                )}
              </Typography>
            </Box>
            <Box sx={{ display: "flex", alignItems: "center", gap: 1, fontSize: 14.5 }}>
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
            <Typography sx={{ fontSize: 14.5 }}>
              {technique.positions.length === 0
                ? "any position"
                : technique.positions.map((each) => positionName[each].toLowerCase()).join(", ")}
            </Typography>
            <Typography sx={{ fontSize: 14.5 }}>
              {technique.minutes.ideal} ({technique.minutes.least}) min{technique.sided ? " a side" : ""}
            </Typography>
            <Typography sx={{ fontSize: 14, color: "text.secondary" }}>
              {technique.pressure} of 10{loadWord(technique) && `; ${loadWord(technique)}`}
            </Typography>
          </Box>
        ))}
      </Box>
    </Page>
  );
}
