import Button from "@mui/material/Button";
import { Link } from "react-router";
import type { Route } from "./+types/templates";
import { startingTemplate, templatesInUse } from "~core/series/template";
import { counted } from "~core/words";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Fine } from "~app/ui/fine";
import { Page } from "~app/ui/page";
import { TemplateCurve } from "./template-curve";

export const meta: Route.MetaFunction = () => [{ title: "Series templates · Ember Path" }];

/** The series a plan is solved by: how deep each session goes, and where its attention lies. */
export default function Templates() {
  const { offered, versions, find, current } = templatesInUse();
  const retired = [...new Map(versions.map((version) => [version.stem, version])).values()]
    .filter(({ stem }) => !current(stem))
    .flatMap(({ key, stem }) => find(key) ?? startingTemplate(stem) ?? []);
  return (
    <Page
      title="Series templates"
      note={`${offered.length} templates, common practice${versions.length > 0 ? " and your own" : ""}. A series keeps the version it was made by.`}
      actions={
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          <Button component={Link} to="/library/templates/new" variant="contained">
            New template
          </Button>
          <Button component={Link} to="/library" variant="outlined" color="inherit">
            Techniques
          </Button>
        </Box>
      }
    >
      <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
        {[...offered, ...retired].map((template) => (
          <Box
            component="li"
            key={template.key}
            sx={(t) => ({
              borderTop: `1px solid ${t.tokens.line}`,
              py: 2,
              display: "grid",
              gridTemplateColumns: { xs: "1fr", md: "260px minmax(0, 1fr)" },
              gap: 2,
            })}
          >
            <Box>
              <Typography variant="h2">{template.name}</Typography>
              <Fine>
                {counted(template.sessions.length, "session")}
                {template.key !== template.stem && (startingTemplate(template.stem) ? ", adapted by us" : ", our own")}
                {retired.includes(template) && ", retired"}
              </Fine>
              <Button
                component={Link}
                to={`/library/template/${template.stem}`}
                size="small"
                variant="outlined"
                color="inherit"
                sx={{ mt: 1, mr: 1 }}
                aria-label={`Adapt or retire ${template.name}`}
              >
                Adapt or retire
              </Button>
              <Button
                component={Link}
                to={`/library/templates/new?from=${encodeURIComponent(template.key)}`}
                size="small"
                variant="outlined"
                color="inherit"
                sx={{ mt: 1 }}
                aria-label={`New from ${template.name}`}
              >
                New from this
              </Button>
            </Box>
            <Box>
              <TemplateCurve
                sessions={template.sessions}
                width={Math.max(420, 128 + 90 + 56 * template.sessions.length)}
              />
              <Fine>{template.sessions.map(({ name }, i) => `${i + 1} ${name}`).join(" · ")}</Fine>
            </Box>
          </Box>
        ))}
      </Box>
    </Page>
  );
}
