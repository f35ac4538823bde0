import { known, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import { setupAttitude } from '../../measure/geometry/measured'
import type { Attitude } from '../../measure/attitude/attitude'
import { formatAngle } from '../../base/units/format'

/** How the chassis stood in a setup: its attitude, and the same in words or what is missing for it. */
export interface SetupStand {
  readonly attitude: Known<Attitude>
  readonly words: string
}

/** Below this, in degrees, a chassis is called level. */
const LEVEL_DEG = 0.005

/** How the chassis stood in a setup. */
export function setupStand(build: Build, setup: Setup): SetupStand {
  const attitude = setupAttitude(build, setup)
  if (!attitude.known) return { attitude, words: attitude.missing[0]?.what ?? 'not read' }
  const { rearLowDeg, leftLowDeg } = attitude.value
  const say = (size: number, positive: string, negative: string, level: string) =>
    Math.abs(size) < LEVEL_DEG
      ? level
      : `${size > 0 ? positive : negative} low by ${formatAngle(Math.abs(size), build.units, 2)}`
  const words = `${say(rearLowDeg, 'rear', 'front', 'level fore and aft')}, ${say(leftLowDeg, 'left', 'right', 'level across')}`
  return { attitude: known(attitude.value, attitude.assumptions), words }
}
