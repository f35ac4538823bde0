import { sprocketsFor, type SprocketPair } from '../sprockets/gearing'
import { allKnown, mapKnown, type Known } from '../base/known'
import type { Build } from '../file/build/build'
import { drivenIndex } from '../file/parts/chainLine'
import { chainRatio, chainToWheels, tyreRadiusOf } from '../vehicle/strength/chainDuty'
import type { ChainEvaluation } from './chainEvaluation'

/** Sprockets that are looked at: so many teeth either way of those there are, and no fewer than these. */
const FRONT_EITHER_WAY = 3
const REAR_EITHER_WAY = 10
const FEWEST_TEETH = 9
const MOST_PAIRS = 8

/**
 * Pairs of sprockets for a top speed in the fastest gear at the redline, nearest first, with the links and the shafts' distance each takes.
 *
 * @see docs/methods/chains.md
 */
export function chainPairs(
  build: Build,
  { chain, centreMm, duty }: ChainEvaluation,
  wantedKmh: number,
): Known<readonly SprocketPair[]> {
  const [front = NaN, rear = NaN] = [chain.sprockets[0]?.teeth, chain.sprockets[drivenIndex(chain)]?.teeth]
  return mapKnown(
    allKnown([tyreRadiusOf(build), centreMm, chainToWheels(build, chain), duty] as const),
    ([radius, centre, toWheels, { speedRpm }]) =>
      sprocketsFor(
        wantedKmh,
        // Behind another chain or a final drive the wheels turn slower by as much again.
        { rpm: (speedRpm * chainRatio(chain)) / toWheels, gears: [1], tyreMm: 2 * radius },
        {
          front: teethAbout(front, FRONT_EITHER_WAY),
          rear: teethAbout(rear, REAR_EITHER_WAY),
          pitchMm: chain.pitchMm,
          centreMm: centre,
        },
      ).slice(0, MOST_PAIRS),
  )
}

const teethAbout = (teeth: number, either: number): number[] =>
  Array.from({ length: 2 * either + 1 }, (_, i) => teeth - either + i).filter((one) => one >= FEWEST_TEETH)
