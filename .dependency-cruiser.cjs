/** The rooms of the house and which way imports may point. See README. */
const computing = ["stemmer", "fastest-levenshtein", "highs", "date-fns", "d3", "d3-[a-z-]+", "@stdlib/[a-z-]+"].join(
  "|",
);
module.exports = {
  forbidden: [
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
