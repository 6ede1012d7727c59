/** @type {import("jest").Config} */
module.exports = {
  testEnvironment: "node",
  // a gate says nothing about speed (that is npm run bench): a busy machine must not fail it
  testTimeout: 120_000,
  setupFiles: ["<rootDir>/jest.setup.cjs"],
  // Test files run in a vm where each look-up of a global costs a microsecond: arithmetic is ten times as fast with these
  sandboxInjectedGlobals: ["Math", "Infinity", "Map", "Set"],
  roots: ["<rootDir>/core", "<rootDir>/data", "<rootDir>/devices", "<rootDir>/app", "<rootDir>/kinds"],
  testMatch: ["**/*.test.ts", "**/*.test.tsx"],
  moduleNameMapper: { "^~(core|data|devices|app|kinds)/(.*)$": "<rootDir>/$1/$2" },
  transform: {
    "^.+\\.(t|j|mj)sx?$": [
      "@swc/jest",
      {
        jsc: {
          target: "es2022",
          parser: { syntax: "typescript", tsx: true },
          transform: { react: { runtime: "automatic" } },
        },
        module: { type: "commonjs" },
      },
    ],
  },
  transformIgnorePatterns: [
    "/node_modules/(?!(d3|d3-[a-z-]+|internmap|delaunator|robust-predicates|glpk.js|stemmer|fastest-levenshtein)/)",
  ],
};
