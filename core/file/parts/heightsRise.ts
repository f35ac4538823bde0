interface WithHeights {
  readonly rows?: readonly { readonly wheelUpMm?: number }[]
}

/** Rows by heights of the wheels go upward. */
export const heightsRise = {
  name: 'rising',
  message: 'its heights must rise from row to row',
  test: (value: WithHeights | null | undefined) =>
    (value?.rows ?? []).every(
      ({ wheelUpMm = NaN }, i, rows) => i === 0 || !(wheelUpMm <= (rows[i - 1]?.wheelUpMm ?? -Infinity)),
    ),
}
