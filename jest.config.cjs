/** @type {import("jest").Config} */
module.exports = {
  testEnvironment: "node",
  roots: ["<rootDir>/core", "<rootDir>/data", "<rootDir>/devices", "<rootDir>/app"],
  testMatch: ["**/*.test.ts", "**/*.test.tsx"],
  moduleNameMapper: { "^~(core|data|devices|app)/(.*)$": "<rootDir>/$1/$2" },
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
  transformIgnorePatterns: ["/node_modules/(?!(d3|d3-[a-z-]+|internmap|delaunator|robust-predicates|glpk.js)/)"],
};
