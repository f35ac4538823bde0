import { CoreError } from '../base/errors'
import { centreFor, driveLoop } from './chainDrive'
import { linksToOrder } from './chainLoop'

/** From the engine to the ground by a chain. */
export interface Gearing {
  /** Of the engine. */
  readonly rpm: number
  /** From the crank to the gearbox; 1 when absent. */
  readonly primaryRatio?: number
  /** Turns in for one turn out, first gear first. */
  readonly gears: readonly number[]
  readonly teeth: readonly [number, number]
  /** Rolling diameter. */
  readonly tyreMm: number
}

/** Metres a tyre rolls a minute for each turn, as km/h. */
const kmhPerRpm = (tyreMm: number): number => (Math.PI * tyreMm * 60) / 1e6

/**
 * Speed over the ground in each gear, in km/h.
 *
 * @throws CoreError `out-of-range` for a ratio or a tyre not above 0
 */
export function speedByGear({ rpm, primaryRatio = 1, gears, teeth, tyreMm }: Gearing): number[] {
  if (!(tyreMm > 0)) throw new CoreError('out-of-range', 'tyre', 'a tyre has a diameter')
  return gears.map((gear, i) => {
    if (!(gear > 0 && primaryRatio > 0))
      throw new CoreError('out-of-range', `gears[${i}]`, 'a ratio is above 0')
    return ((rpm / (primaryRatio * gear)) * teeth[0] * kmhPerRpm(tyreMm)) / teeth[1]
  })
}

/** A pair of sprockets that is offered, with the speed and the chain it makes. */
export interface SprocketPair {
  readonly teeth: readonly [number, number]
  readonly topKmh: number
  /** Next even number of links at the centre that is there, and the centre that makes it taut. */
  readonly links: number
  readonly centreMm: number
}

/** What sprockets can be had, and where the shafts stand. */
export interface SprocketOffer {
  readonly front: readonly number[]
  readonly rear: readonly number[]
  readonly pitchMm: number
  readonly centreMm: number
}

/**
 * Pairs of sprockets by how near they come to a wanted top speed, nearest first; of equals the one with more teeth in front runs smoother. Pairs whose
 * sprockets would overlap are left out.
 *
 * @param gearing - its sprockets do not matter; its last gear is the top one
 */
export function sprocketsFor(
  wantedKmh: number,
  gearing: Omit<Gearing, 'teeth'>,
  { front, rear, pitchMm, centreMm }: SprocketOffer,
): SprocketPair[] {
  const pairs = front.flatMap((n1) => rear.map((n2) => [n1, n2] as const))
  const found = pairs.flatMap((teeth): SprocketPair[] => {
    const topKmh = speedByGear({ ...gearing, teeth }).at(-1) ?? NaN
    try {
      const links = linksToOrder(driveLoop({ teeth, pitchMm, centreMm }).linksNeeded)
      return [{ teeth, topKmh, links, centreMm: centreFor({ teeth, pitchMm }, { links }) }]
    } catch (error) {
      if (error instanceof CoreError) return []
      throw error
    }
  })
  const off = ({ topKmh }: SprocketPair) => Math.abs(topKmh - wantedKmh)
  return found.sort((a, b) => off(a) - off(b) || b.teeth[0] - a.teeth[0])
}
