import { known, type Known } from '../base/known'
import type { BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Line } from '../file/parts/lineSpec'
import { isLock, wheelPlaces, type PlaceOfWheels } from '../file/build/wheelPlaces'
import { mountedBodies } from '../making/mounts/mountedBodies'
import { isSprung } from '../making/mounts/mountedUnit'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import type { CheckState, WheelPlace } from './check'

/** A state a line is judged in: where the wheels stand, the torque, and how far its axle is wound up, nose up, in degrees. */
export interface LineState {
  readonly state: CheckState
  readonly at: WheelPlace | null
  readonly noseUpDeg: Known<number>
}

/** The brake of an engine is about a third of its pull. */
const OVERRUN_SHARE = 1 / 3

/**
 * The states a line is judged in: cruising, and where its axle winds up or a body of it gives on its mounts also pulling and overrunning; at ride
 * height first, then at every other place of the wheels.
 *
 * @see docs/methods/limits.md
 */
export const lineStates = (build: Build, line: Line): LineState[] =>
  [null, ...placesOfLine(build, line)].flatMap((place) =>
    statesAt(build, line, place && { id: place.id, name: place.name }),
  )

/** The places of the wheels in which a line is judged besides ride height: steered ones only where it runs to a hub that is steered. */
export const placesOfLine = (
  build: Pick<Build, 'states' | 'bodies' | 'axes'>,
  { driving, driven }: Pick<Line, 'driving' | 'driven'>,
): PlaceOfWheels[] => {
  const ends = build.axes.flatMap(({ id, body }) => (id === driving || id === driven ? [body] : []))
  return wheelPlaces(build).filter(
    ({ travel, wheels }) =>
      travel === null || !isLock(travel) || wheels.some(({ axle }) => ends.includes(axle)),
  )
}

/** A line at one place of the wheels, under every torque it is judged with. */
export const statesAt = (build: Build, line: Line, at: WheelPlace | null): LineState[] =>
  torqueStates(build, line).map((state) => ({ ...state, at }))

function torqueStates(build: Build, line: Line): Omit<LineState, 'at'>[] {
  const ride = { state: 'ride', noseUpDeg: known(0) } as const
  const rise = line.expectedRiseDeg
  if (rise === undefined && line.school !== 'low-pinion' && !isGiven(build, line)) return [ride]
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

/** A line of a body that is known to give on its mounts. */
function isGiven(build: Build, { driving, driven }: Line): boolean {
  const ends = build.axes.filter(({ id }) => id === driving || id === driven)
  return mountedBodies(build).some(
    (mounted) =>
      ends.some((end) => goesAlongWith(build, end.body, mounted.body.id)) && isSprung(build, mounted),
  )
}

/** The body of the driven axis, which winds up. */
export const windingBody = (build: Build, line: Line): BodyId =>
  build.axes.find((axis) => axis.id === line.driven)?.body ?? ''
