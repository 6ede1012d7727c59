/** The rooms of the house and which way imports may point. See README. */
const computing = [
  "stemmer",
  "ajv",
  "jsonc-parser",
  "fastest-levenshtein",
  "highs",
  "date-fns",
  "d3",
  "d3-[a-z-]+",
  "@stdlib/[a-z-]+",
  "polygon-clipping",
].join("|");

/**
 * The rooms of core, and which others each may look into: the arrows run one way, from what is known of the body to what
 * is done with it. Room -> rooms.
 */
const rooms = {
  anatomy: [],
  statistics: [],
  consent: ["anatomy", "techniques"],
  findings: ["anatomy", "statistics"],
  techniques: ["anatomy"],
  "light-touch": ["anatomy", "findings", "screening", "statistics", "techniques"],
  trainer: ["light-touch", "statistics"],
  "own-measures": [],
  measure: ["anatomy", "findings", "statistics"],
  repeatability: ["anatomy", "light-touch", "measure", "statistics", "table"],
  change: ["anatomy", "findings", "measure", "statistics"],
  reading: ["anatomy", "findings", "light-touch", "measure", "move", "statistics", "table"],
  table: ["anatomy", "findings", "statistics"],
  move: ["anatomy", "findings", "measure", "statistics"],
  screening: ["anatomy", "findings", "move", "table", "techniques"],
  "home-care": ["anatomy", "reading", "screening", "techniques"],
  series: ["anatomy", "change", "light-touch", "reading", "screening", "techniques"],
  session: ["anatomy", "consent", "light-touch", "move", "screening", "series", "techniques"],
};
const oneWay = Object.entries(rooms).map(([room, others]) => ({
  name: `core-${room}-looks-only-where-it-may`,
  severity: "error",
  from: { path: `^core/${room}/`, pathNot: "[.]test[.]ts$" },
  to: { path: "^core/[^/]+/", pathNot: `^core/(${[room, ...others].join("|")})/` },
}));

module.exports = {
  forbidden: [
    ...oneWay,
    {
      name: "core-has-only-these-rooms",
      severity: "error",
      from: {},
      to: { path: "^core/[^/]+/", pathNot: `^core/(${[...Object.keys(rooms), "test"].join("|")})/` },
    },
    {
      name: "core-knows-nothing-outside",
      severity: "error",
      from: { path: "^core/", pathNot: "[.]test[.]ts$" },
      to: { pathNot: `^core/|node_modules/(${computing})/` },
    },
    {
      name: "devices-know-core-only",
      severity: "error",
      from: { path: "^devices/", pathNot: "[.]test[.]ts$" },
      to: { pathNot: "^devices/|^core/" },
    },
    {
      name: "data-knows-core-only",
      severity: "error",
      from: { path: "^data/" },
      to: { path: "^(app|scripts|e2e|bench)/" },
    },
    {
      name: "a-kind-knows-core-only",
      comment: "what a kind answers is computation: the register is read by data, server and page alike",
      severity: "error",
      from: {
        path: "^kinds/",
        pathNot: "^kinds/[^/]+/(screen[.]tsx|store[.]ts|form[.]ts)$|^kinds/screen[.]ts$|[.]test[.]ts$",
      },
      to: { pathNot: "^core/|^kinds/" },
    },
    {
      name: "a-kinds-store-knows-data",
      severity: "error",
      from: { path: "^kinds/[^/]+/store[.]ts$" },
      to: { pathNot: "^(core|data|kinds)/" },
    },
    {
      name: "data-knows-the-register-only",
      severity: "error",
      from: { path: "^data/", pathNot: "[.]test[.]ts$|^data/demo/" },
      to: { path: "^kinds/", pathNot: "^kinds/(register|kind)[.]ts$" },
    },
    {
      name: "devices-not-in-data-repositories",
      severity: "error",
      from: { path: "^data/", pathNot: "^data/demo/|[.]test[.]ts$" },
      to: { path: "^devices/" },
    },
    {
      name: "app-is-not-imported",
      severity: "error",
      from: { path: "^(core|data|devices)/" },
      to: { path: "^app/" },
    },
    {
      name: "screens-without-sql",
      severity: "error",
      from: { path: "^app/", pathNot: "[.]server[.]tsx?$|^app/server[.]ts$" },
      to: { path: "node_modules/(knex|pg)/" },
    },
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: "specify",
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      extensions: [".ts", ".tsx", ".js", ".mjs"],
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default"],
    },
  },
};
