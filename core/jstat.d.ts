/** The general statistics package the quantiles are held against in tests; it ships no types of its own. */
declare module "jstat" {
  type Distribution2 = { inv: (p: number, a: number) => number; cdf: (x: number, a: number) => number };
  type Distribution3 = {
    inv: (p: number, a: number, b: number) => number;
    cdf: (x: number, a: number, b: number) => number;
  };
  const jstat: { studentt: Distribution2; chisquare: Distribution2; centralF: Distribution3; normal: Distribution3 };
  export default jstat;
}
