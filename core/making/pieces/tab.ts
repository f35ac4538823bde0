import { CoreError } from '../../base/errors'

/** A tab that stands out from a rail, loaded square to its flat face. */
export interface TabLoad {
  readonly loadN: number
  /** From its root. */
  readonly offMm: number
  readonly wideMm: number
  readonly thickMm: number
}

/** What a tab bears at its root, N/mm². */
export interface TabStress {
  readonly bare: number
  /** As a T section with the gusset under it; null without one. */
  readonly withGusset: number | null
  /** Throat that its weld needs all round, for a load that repeats. */
  readonly throatMm: number
  /** A throat is no more than this part of the thinner metal. */
  readonly mostThroatMm: number
}

/** A weld bears so much under a load that repeats, N/mm². */
const REPEATED_MPA = 45
const MOST_THROAT = 0.7

/**
 * Bending of a tab at its root, `6·F·e/(t²·b)`; as a T section where a gusset stands under it; and its weld all round as lines, `√((V/ℓ)² + (M/Z)²)` with
 * `Z = b·t + t²/3`.
 *
 * @param gusset - its height at the root and its thickness
 * @throws CoreError `out-of-range` for a size or a load not above 0
 */
export function tabStress(
  { loadN, offMm, wideMm, thickMm }: TabLoad,
  gusset: { readonly highMm: number; readonly thickMm: number } | null = null,
): TabStress {
  if (![loadN, offMm, wideMm, thickMm].every((size) => size > 0))
    throw new CoreError('out-of-range', 'tab', 'its sizes and its load are above 0')
  const moment = loadN * offMm
  const around = 2 * (wideMm + thickMm)
  const line = Math.hypot(loadN / around, moment / (wideMm * thickMm + thickMm ** 2 / 3))
  return {
    bare: (6 * moment) / (thickMm ** 2 * wideMm),
    withGusset: gusset && moment / teeModulus([wideMm, thickMm], [gusset.thickMm, gusset.highMm]),
    throatMm: line / REPEATED_MPA,
    mostThroatMm: MOST_THROAT * thickMm,
  }
}

/** The smaller section modulus of a flat with a web under its middle, each wide by high. */
function teeModulus([flatWide, flatHigh]: Size, [webWide, webHigh]: Size): number {
  const [flat, web] = [flatWide * flatHigh, webWide * webHigh]
  const [flatAt, webAt] = [webHigh + flatHigh / 2, webHigh / 2]
  const middle = (flat * flatAt + web * webAt) / (flat + web)
  const inertia =
    (flatWide * flatHigh ** 3 + webWide * webHigh ** 3) / 12 +
    flat * (flatAt - middle) ** 2 +
    web * (webAt - middle) ** 2
  return inertia / Math.max(middle, webHigh + flatHigh - middle)
}

type Size = readonly [wide: number, high: number]
