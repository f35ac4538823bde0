/** A lever that tightens a chain, looked at along its range: the chain's length less what it needs and the slack it is to keep, in mm. */
export interface AdjusterWay {
  readonly range: readonly [number, number]
  /** NaN where the chain does not close. */
  readonly excessAt: (amount: number) => number
}

/** Steps along the range between which the place is looked for. */
const STEPS = 12

/** Where an adjuster stands for a chain: in its range, or how the chain is to it all along. */
export type AdjusterPlace =
  | { readonly at: number }
  | {
      readonly never: 'too-short' | 'too-long'
      /** Way that the range lacks, roundly: half the length that is missing, for a shaft that moves pulls two runs. */
      readonly lacksMm: number
    }
  | { readonly never: 'not-closed' }

/**
 * Where an adjuster is to stand so that a chain is just right: of several places the one nearest to where it stands now.
 *
 * @returns why nowhere, where the chain is too short or too long all along the range
 */
export function adjusterPlace({ range: [from, to], excessAt }: AdjusterWay, stands: number): AdjusterPlace {
  const amounts = Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS)
  const excesses = amounts.map(excessAt)
  const found = amounts.flatMap((low, i): number[] => {
    const [a = NaN, b = NaN] = [excesses[i], excesses[i + 1]]
    if (a === 0) return [low]
    return a * b < 0 ? [narrowed(excessAt, [low, amounts[i + 1] ?? low], [a, b])] : []
  })
  if (excesses.at(-1) === 0) found.push(to)
  const [first] = found
  if (first !== undefined)
    return {
      at: found.reduce((near, one) => (Math.abs(one - stands) < Math.abs(near - stands) ? one : near), first),
    }
  const real = excesses.filter((one) => !Number.isNaN(one))
  if (real.length === 0) return { never: 'not-closed' }
  const least = real.reduce((near, one) => (Math.abs(one) < Math.abs(near) ? one : near))
  return { never: least < 0 ? 'too-short' : 'too-long', lacksMm: Math.abs(least) / 2 }
}

/** As near as nobody can turn a bolt, in mm of chain. */
const NEAR_MM = 1e-7
const MOST_STEPS = 60

/**
 * Where a length that changes its sign between two places is nought: by the straight line between them, an end that stays put counting half.
 *
 * @see docs/methods/chains.md (Illinois method)
 */
function narrowed(
  of: (x: number) => number,
  [from, to]: readonly [number, number],
  [atFrom, atTo]: readonly [number, number],
): number {
  let [a, b, fa, fb] = [from, to, atFrom, atTo]
  let stayed: 'a' | 'b' | null = null
  for (let i = 0; i < MOST_STEPS; i++) {
    const x = b - (fb * (b - a)) / (fb - fa)
    const f = of(x)
    if (Number.isNaN(f) || Math.abs(f) < NEAR_MM) return x
    if (f > 0 === fb > 0) {
      b = x
      fb = f
      if (stayed === 'a') fa /= 2
      stayed = 'a'
    } else {
      a = x
      fa = f
      if (stayed === 'b') fb /= 2
      stayed = 'b'
    }
  }
  return (a + b) / 2
}
