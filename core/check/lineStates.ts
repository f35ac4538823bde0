import { known, type Known } from '../known'
import type { BodyId, Build } from '../project/build'
import type { Line } from '../project/lineSpec'
import type { CheckState } from './check'

/** A state a line is judged in: how far its axle is wound up there, nose up positive, in degrees. */
export interface LineState {
  readonly state: CheckState
  readonly noseUpDeg: Known<number>
}

/** The brake of an engine is about a third of its pull. */
const OVERRUN_SHARE = 1 / 3

/**
 * The states a line is judged in: cruising, and where its axle winds up also pulling and overrunning.
 *
 * @see docs/methods/limits.md
 */
export function lineStates(line: Line): LineState[] {
  const ride: LineState = { state: 'ride', noseUpDeg: known(0) }
  const rise = line.expectedRiseDeg
  if (rise === undefined && line.school !== 'low-pinion') return [ride]
  const riseDeg = rise ?? 0
  const isTaken = line.expectedDropDeg === undefined && riseDeg !== 0
  const dropDeg = line.expectedDropDeg ?? riseDeg * OVERRUN_SHARE
  const said = isTaken
    ? [`${line.name}: on overrun the nose is taken to drop by a third of what it rises under drive`]
    : []
  return [
    ride,
    { state: 'drive', noseUpDeg: known(riseDeg) },
    { state: 'coast', noseUpDeg: known(-dropDeg, said) },
  ]
}

/** The body of the driven axis, which winds up. */
export const windingBody = (build: Build, line: Line): BodyId =>
  build.axes.find((axis) => axis.id === line.driven)?.body ?? ''
