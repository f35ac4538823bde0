import type { Build } from '../file/build/build'
import type { Setup } from '../file/build/setup'
import type { Id } from '../file/parts/id'
import { pointFigures } from '../measure/geometry/measured'
import { readingContext } from '../measure/geometry/readingContext'
import { setupRegistration } from '../measure/setups/registrationColumns'
import { stationSpan } from './lineScene'
import type { Evaluation } from '../model/evaluateBuild'
import type { ViewPoint } from './shape'
import { chassisSizes } from './usualSizes'

/** A point on the plan of the frame. */
export interface PlanPoint {
  readonly id: Id
  readonly name: string
  /** Station rearward and offset left, in mm. */
  readonly at: ViewPoint
  /** Height above the datum plane in mm; null when it was not read. */
  readonly height: number | null
  readonly isDatum: boolean
  /** Read in the setup that is looked at. */
  readonly isRead: boolean
  /** How far it misses the registration, seen from above, in mm; null when it takes no part. */
  readonly miss: ViewPoint | null
  readonly isSuspect: boolean
}

/** The frame from above with everything that is known to stand on it. */
export interface FramePlan {
  /** Stations from the front of what is drawn to its rear, in mm. */
  readonly span: readonly [number, number]
  /** Half the width drawn, in mm. */
  readonly halfWidth: number
  /** Each rail as [from station, to station, offset of its middle]. */
  readonly rails: readonly (readonly [number, number, number])[]
  readonly areRailsUsual: boolean
  readonly points: readonly PlanPoint[]
  /** Points whose place is not known yet. */
  readonly unplaced: readonly { readonly id: Id; readonly name: string }[]
}

/** Room beside the outermost point, in mm. */
const MARGIN = 160

/**
 * The frame from above: rails, and the points that have a station and an offset.
 *
 * @param setup - whose readings and registration are marked
 */
export function framePlan(build: Build, evaluation: Evaluation, setup: Setup | null): FramePlan {
  const span = stationSpan(build, evaluation)
  const { sizes, isUsual } = chassisSizes(build, span)
  const registration = setup ? setupRegistration(readingContext(build), setup) : null
  const missOf = (id: Id) =>
    registration?.known ? registration.value.residuals.find((one) => one.id === id) : undefined
  const points: PlanPoint[] = []
  const unplaced: { id: Id; name: string }[] = []
  for (const point of build.points) {
    const { station, offset, height } = pointFigures(build, point)
    if (!station.known || !offset.known) {
      unplaced.push({ id: point.id, name: point.name })
      continue
    }
    const miss = missOf(point.id)
    points.push({
      id: point.id,
      name: point.name,
      at: [station.value, offset.value],
      height: height.known ? height.value : null,
      isDatum: point.datum === true,
      isRead: build.readings.some(
        (one) => 'point' in one && one.point === point.id && 'setup' in one && one.setup === setup?.id,
      ),
      // X points forward, stations run rearward.
      miss: miss ? [-miss.vector[0], miss.vector[1]] : null,
      isSuspect: registration?.known === true && registration.value.suspect === point.id,
    })
  }
  const spacing = sizes.railSpacingMm ?? 0
  const rail = (offset: number) =>
    [sizes.railFrontStationMm ?? span[0], sizes.railRearStationMm ?? span[1], offset] as const
  const widest = Math.max(spacing / 2, ...points.map(({ at }) => Math.abs(at[1])))
  return {
    span,
    halfWidth: widest + MARGIN,
    rails: [rail(spacing / 2), rail(-spacing / 2)],
    areRailsUsual: isUsual,
    points,
    unplaced,
  }
}
