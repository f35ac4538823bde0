import type { Evaluation } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { wheelPlaces } from '../../file/build/wheelPlaces'
import { formatAngle, formatLength, formatTravel } from '../../base/units/format'

/** A line at one place of its wheels, in words and figures. */
export interface TravelRow {
  readonly line: string
  readonly place: string
  /** Left and right, from ride height; empty at ride height itself. */
  readonly wheels: string
  readonly angles: string
  readonly left: string
  readonly engaged: string
}

/** Places between the named ones that are no further apart, in mm. */
const SIDE_BY_SIDE_MM = 5

/**
 * Every line that goes along with an axle, at ride height and every other place of the wheels, cruising; what cannot be worked out says why.
 *
 * @returns none where no other place is told
 */
export function travelRows(
  build: Build,
  { lines, between }: Pick<Evaluation, 'lines' | 'between'>,
): TravelRow[] {
  const { units } = build
  const places = wheelPlaces(build)
  if (places.length === 0) return []
  return lines.flatMap(({ line, states }) => {
    const judged = states.filter(({ state }) => state === 'ride')
    const told: number[] = []
    return judged.flatMap(({ at, figures }): TravelRow[] => {
      const place = places.find(({ id }) => id === at?.id)
      if (at !== null && !place && !between.some(({ id }) => id === at.id)) return []
      const height = figures.known ? (figures.value.geometry.centres.at(-1)?.[2] ?? NaN) : NaN
      // Under every torque the worst place is another; on paper those side by side are one.
      if (at !== null && !place) {
        if (told.some((one) => Math.abs(one - height) < SIDE_BY_SIDE_MM)) return []
        told.push(height)
      }
      const [wheels] = place?.wheels ?? []
      const row = {
        line: line.name,
        place: at === null ? 'ride height' : place ? place.name : 'between',
        wheels: wheels
          ? wheels.leftUpMm === wheels.rightUpMm
            ? formatTravel(wheels.leftUpMm, units)
            : `${formatTravel(wheels.leftUpMm, units)} / ${formatTravel(wheels.rightUpMm, units)}`
          : at === null
            ? ''
            : at.name,
      }
      if (!figures.known)
        return [
          { ...row, angles: figures.missing.map(({ what }) => what).join('; '), left: '?', engaged: '?' },
        ]
      const shafts = figures.value.shafts()
      const slip = shafts.find(({ slipLeftMm }) => slipLeftMm !== null)
      const left = slip?.slipLeftMm ?? shafts.find(({ plungeLeftMm }) => plungeLeftMm !== null)?.plungeLeftMm
      return [
        {
          ...row,
          angles: figures.value.anglesDeg.map((angle) => formatAngle(angle, units, 1)).join(' · '),
          left: left == null ? '' : formatLength(left, units),
          engaged: slip?.engagedMm == null ? '' : formatLength(slip.engagedMm, units),
        },
      ]
    })
  })
}
