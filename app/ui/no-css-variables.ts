/** Stands in for MUI's themes of CSS variables in the build (`vite.config.ts`): ours have none. */
export default function noThemeWithVariables(): never {
  throw new Error("a theme asked for CSS variables: take this stand-in out of vite.config.ts");
}
