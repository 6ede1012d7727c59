/** Who gives a session (from 0) of a series: one after the other where several do; undefined where nobody is named. */
export const giverOf = ({ by = [] }: { by?: readonly string[] }, session: number): string | undefined =>
  by[session % Math.max(1, by.length)];
