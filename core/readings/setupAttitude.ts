import { CoreError } from '../errors'
import { allKnown, known, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Build, Setup } from '../project/build'
import type { ChassisFallReading, ChassisRollReading } from '../project/reading'
import { radians } from '../units/angle'
import { parseAngle } from '../units/parseAngle'
import { chassisUp } from './attitude'
import { lastReading, type PlacedReading } from './chosen'
import { readRepeats } from './readingValue'
import { signed } from './signed'

/** How the vehicle stood in one setup. */
export interface Attitude {
  /** World up in the chassis frame. */
  readonly up: Vec3
  /** Slope of the chassis along, in degrees, positive when its rear is low. */
  readonly rearLowDeg: number
  /** Slope of the chassis across, in degrees, positive when its left is low. */
  readonly leftLowDeg: number
}

/**
 * The attitude of the chassis in a setup, from its own fall and roll readings.
 *
 * @returns unknown when the setup is to be read and its fall was not; a missing roll is taken as 0 and said so
 */
export function setupAttitude(build: Build, setup: Setup): Known<Attitude> {
  const fall = chassisSlope(build, setup, 'chassis-fall')
  const roll = chassisSlope(build, setup, 'chassis-roll')
  const slopes = allKnown<[number, number]>([fall, roll])
  if (!slopes.known) return slopes
  const [rearLowDeg, leftLowDeg] = slopes.value
  try {
    return known(
      { up: chassisUp(radians(rearLowDeg), radians(leftLowDeg)), rearLowDeg, leftLowDeg },
      slopes.assumptions,
    )
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return unknown(`${setup.name}: chassis fall and roll cannot both be true`)
  }
}

function chassisSlope(build: Build, setup: Setup, kind: 'chassis-fall' | 'chassis-roll'): Known<number> {
  const isIt = (reading: Build['readings'][number]): reading is ChassisFallReading | ChassisRollReading =>
    reading.kind === kind && reading.setup === setup.id
  const placed = lastReading(build, isIt)
  if (placed) return slopeReading(placed)
  if (setup.datum === 'levelled') return known(0)
  if (kind === 'chassis-fall') return unknown(`${setup.name}: how the chassis falls was not read`)
  return known(0, [`${setup.name}: chassis roll not read, taken as none`])
}

function slopeReading({
  reading,
  path,
}: PlacedReading<ChassisFallReading | ChassisRollReading>): Known<number> {
  const isFall = reading.kind === 'chassis-fall'
  const name = isFall ? 'chassis fall' : 'chassis roll'
  const size = readRepeats(reading.values, parseAngle, name, `${path}.values`)
  if (!size.known) return size
  return signed(
    size.value.mean,
    reading.low,
    isFall ? 'rear' : 'left',
    null,
    `${name}: which ${isFall ? 'end' : 'side'} is lower?`,
    `${path}.low`,
  )
}
