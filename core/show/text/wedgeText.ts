import { axleById } from '../../file/parts/bodies'
import type { AxleBody } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Lever } from '../../file/build/lever'
import { formatAngle } from '../../base/units/format'

/** A wedge as an instruction: "2.0° wedge, nose up: thick end to the rear". */
export function wedgeInstruction(build: Build, lever: Lever, change: number): string {
  const axle = axleById(build, lever.body)
  const size = formatAngle(Math.abs(change), build.units)
  const nose = `nose ${change > 0 ? 'up' : 'down'}`
  const thick = axle ? thickEnd(axle, change) : null
  return `${size} wedge, ${nose}${thick ? `: thick end to the ${thick}` : ''}`
}

/**
 * Which way the thick end of a wedge goes.
 *
 * Between an axle and a spring above it the thick end pushes its end of the axle pad down; with the spring below, up.
 *
 * @returns null when it is not known where the spring lies
 */
export function thickEnd(axle: AxleBody, noseUpDeg: number): 'front' | 'rear' | null {
  if (!axle.spring || noseUpDeg === 0) return null
  const noseEnd = axle.noseFaces === 'forward' ? 'front' : 'rear'
  const farEnd = noseEnd === 'front' ? 'rear' : 'front'
  const pushedDown = noseUpDeg > 0 ? farEnd : noseEnd
  return axle.spring === 'above' ? pushedDown : pushedDown === 'front' ? 'rear' : 'front'
}
