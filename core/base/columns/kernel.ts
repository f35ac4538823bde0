/**
 * A row of a column. Which rows there are is the caller's count; to the type checker any of them is a cell that exists, so
 * that formulas need no guards in their loops.
 */
export type Row = 0

/** The figures of one quantity, one cell a row: a `Float64Array` seen by its rows. */
export type Cells = { [row in Row]: number }

type Eight<T> = readonly [T, T, T, T, T, T, T, T]
/** Columns of a step in its kernel's order; to the type checker there are as many as a kernel names. */
export type Columns = readonly [...Eight<Cells>, ...Eight<Cells>, ...Eight<Cells>]
/** Figures of a step that are the same in all rows. */
export type Parameters = readonly [...Eight<number>, ...Eight<number>]

/** One formula, worked on columns: it reads `count` rows of `from` and fills those of `to`, without allocating. */
export interface Kernel {
  /** What it works out, in a builder's words. */
  readonly name: string
  /** Plain arithmetic, which nobody asks about. */
  readonly isPlain?: true
  /** Takes many times what arithmetic takes: a search looks at what hangs on it late. */
  readonly isSlow?: true
  /** Page of docs/methods that explains it. */
  readonly page: string
  /** Columns it fills. */
  readonly outputs: number
  /** NaN stands where there is no answer. */
  readonly run: (count: number, from: Columns, to: Columns, parameters: Parameters) => void
}

/**
 * A kernel worked on single figures.
 *
 * @returns its outputs, in the kernel's order
 */
export function workedOnce(
  { run, outputs }: Kernel,
  figures: readonly number[],
  parameters: readonly number[] = [],
): Float64Array {
  // Of one kind with the columns of a run: loops that see both kinds would be slow for good.
  const from = figures.map((figure) => Float64Array.of(figure))
  const to = Array.from({ length: outputs }, () => new Float64Array(1))
  run(1, from as unknown as Columns, to as unknown as Columns, parameters as unknown as Parameters)
  const out = new Float64Array(outputs)
  to.forEach((cells, k) => (out[k] = cells[0] ?? NaN))
  return out
}
