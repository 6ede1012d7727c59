import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["build/", ".react-router/", ".data/", "node_modules/", "**/*.cjs"] },
  ...tseslint.configs.recommended,
  {
    files: ["**/*.{ts,tsx}"],
    plugins: { "react-hooks": hooks },
    rules: {
      "react-hooks/rules-of-hooks": "error",
      "react-hooks/exhaustive-deps": "error",
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", ignoreRestSiblings: true }],
      eqeqeq: "error",
      // private parts of router, interface and style library change without notice
      "no-restricted-imports": [
        "error",
        {
          patterns: [
            {
              regex:
                "^(react-router|@react-router/[a-z]+|@mui/[a-z-]+|@emotion/[a-z]+)/(dist|internal|esm|node|build)\\b",
              message: "A private part of a library.",
            },
            {
              regex: "^@mui/(system|styled-engine|utils|private-theming)\\b",
              message: "Below the interface library: use @mui/material.",
            },
            { regex: "^@mui/material/[A-Za-z]+/.+", message: "A private part of the interface library." },
            {
              regex: "^(react-router|@emotion/react|react|react-dom)$",
              importNamePattern: "(^|_)(UNSAFE|unsafe|INTERNAL|SECRET)_",
              message: "A private part of a library.",
            },
          ],
        },
      ],
    },
  },
  {
    files: ["app/**/*.server.ts", "app/**/*.server.tsx", "app/routes/**/*.ts", "app/routes/**/*.tsx"],
    ignores: ["**/*.test.ts", "app/server/practice-cache.server.ts"],
    rules: {
      // what a process keeps between requests is kept by practice: PracticeCache
      "no-restricted-syntax": [
        "error",
        {
          selector:
            ":matches(Program, Program > ExportNamedDeclaration) > VariableDeclaration > VariableDeclarator > NewExpression[callee.name=/^(Map|WeakMap)$/][arguments.length=0]",
          message: "A cache of the server is a PracticeCache: its keys carry the practice.",
        },
      ],
    },
  },
  {
    files: ["data/**/*.ts", "app/**/*.ts", "app/**/*.tsx", "bench/**/*.ts", "e2e/**/*.ts"],
    ignores: ["data/transaction.ts"],
    rules: {
      // "stored" is said after COMMIT only, and that is known in one place
      "no-restricted-properties": [
        "error",
        ...["transaction", "commit", "rollback"].map((property) => ({
          property,
          message: "data/transaction.ts opens and ends transactions.",
        })),
      ],
    },
  },
  {
    files: ["core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      // core takes time and chance as arguments
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random" },
        { object: "Date", property: "now" },
      ],
    },
  },
);
