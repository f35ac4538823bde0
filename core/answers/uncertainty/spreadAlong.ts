import type { CheckHead } from '../../check/judge'
import { valueAt } from '../../model/travelCurves'
import type { SweepWay } from '../../stand/sweep'
import { factsOf } from '../../file/build/quantities'
import { travelPlaceId } from '../../file/build/wheelPlaces'
import type { Sureness } from './monteCarlo'
import { lineFigureId } from '../../model/lineSubject'

/** Under which name a checked figure of a line is sampled in each state; null for one that is not. */
export function sampledName({ quantity, subject }: Pick<CheckHead, 'quantity' | 'subject'>): string | null {
  const name = quantity === 'centring-pilot' ? undefined : factsOf(quantity).sampledAs
  return name?.replace('#', String('index' in subject ? subject.index : 0)) ?? null
}

const lockEnds = (lock: 'left-lock' | 'right-lock') =>
  [travelPlaceId(`droop-${lock}`), travelPlaceId(lock), travelPlaceId(`bump-${lock}`)] as const

/** The places a way goes from, over and to; null for ride height. */
const ENDS = {
  parallel: [travelPlaceId('droop'), null, travelPlaceId('bump')],
  crossed: [travelPlaceId('right-up'), null, travelPlaceId('left-up')],
  'left-lock': lockEnds('left-lock'),
  'right-lock': lockEnds('right-lock'),
} as const satisfies Readonly<Record<SweepWay, readonly [string, string | null, string]>>

/**
 * The ± of a checked figure along a way through the travel, in its unit: as it was sampled at both ends and at ride height, between them in proportion.
 *
 * @returns NaN where it is not known
 */
export function spreadAlong(
  { figures }: Pick<Sureness, 'figures'>,
  { lineId, quantity, subject, state }: CheckHead,
  way: SweepWay,
  atMm: readonly number[],
): number[] {
  const name = sampledName({ quantity, subject })
  const at = (place: string | null) =>
    lineId === null || name === null
      ? NaN
      : (figures[lineFigureId(lineId, { state, at: place === null ? null : { id: place, name: '' } }, name)]
          ?.plusMinus ?? NaN)
  const places = [atMm[0] ?? NaN, 0, atMm.at(-1) ?? NaN]
  const spreads = ENDS[way].map(at)
  return atMm.map((mm) => valueAt(places, spreads, mm))
}
