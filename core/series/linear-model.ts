/** A linear model under construction: columns with cost and bounds, rows with bounds and a rule's name. */
export class LinearModel {
  readonly cost: number[] = [];
  readonly lower: number[] = [];
  readonly upper: number[] = [];
  readonly integer: boolean[] = [];
  readonly rows: {
    low: number;
    high: number;
    entries: [number, number][];
    rule: string | undefined;
    unit: string;
  }[] = [];

  /** Adds a column and returns its index. The model maximises. */
  column(cost: number, lower: number, upper: number, integer = false): number {
    this.cost.push(cost);
    this.lower.push(lower);
    this.upper.push(upper);
    this.integer.push(integer);
    return this.cost.length - 1;
  }

  /** Adds low ≤ Σ coefficient·column ≤ high. Rows with a `rule` may be relaxed to explain a contradiction. */
  row(low: number, high: number, entries: readonly (readonly [number, number])[], rule?: string, unit = ""): void {
    const merged = new Map<number, number>();
    for (const [column, value] of entries) merged.set(column, (merged.get(column) ?? 0) + value);
    this.rows.push({ low, high, entries: [...merged].filter(([, value]) => value !== 0), rule, unit });
  }

  /** Row arrays as solvers take them. */
  arrays() {
    const starts = [0];
    const indices: number[] = [];
    const values: number[] = [];
    for (const row of this.rows) {
      for (const [column, value] of row.entries) {
        indices.push(column);
        values.push(value);
      }
      starts.push(indices.length);
    }
    return {
      numCols: this.cost.length,
      numRows: this.rows.length,
      colCost: Float64Array.from(this.cost),
      colLower: Float64Array.from(this.lower),
      colUpper: Float64Array.from(this.upper),
      rowLower: Float64Array.from(this.rows, (row) => row.low),
      rowUpper: Float64Array.from(this.rows, (row) => row.high),
      integrality: Int32Array.from(this.integer, (is) => (is ? 1 : 0)),
      matrix: {
        format: "csr" as const,
        numRows: this.rows.length,
        numCols: this.cost.length,
        starts: Int32Array.from(starts),
        indices: Int32Array.from(indices),
        values: Float64Array.from(values),
      },
    };
  }
}
