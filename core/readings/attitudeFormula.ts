import { axisDirection, type FallPlan } from '../frame/axis'
import { known, unknown, type Known } from '../known'
import { apply3 } from '../linalg/mat3'
import type { Vec3 } from '../linalg/vec3'
import type { Build, Setup } from '../project/build'
import type { ChassisFallReading, ChassisRollReading } from '../project/reading'
import { degrees, radians, type Radians } from '../units/angle'
import { parseAngle } from '../units/parseAngle'
import { chassisUp, isStanding, LEVEL_UP, rearLowForLevelAxis, type Attitude } from './attitude'
import { lastReading, type PlacedReading } from './chosen'
import type { ReadingContext } from './context'
import { assumedFigure, measuredFigure } from './figure'
import { combined, meansOf, type Formula } from './formula'
import { levelledByHand } from './levelledByHand'
import { USUAL_DOUBT } from './usualTool'

/**
 * The attitude of the chassis in a setup: from its own fall and roll readings; without them from its registration, or
 * from the axis whose face was made plumb; a chassis made level is level.
 *
 * @returns unknown when the fall was not read; a missing roll is taken as 0 and said so
 * @see docs/methods/readings.md
 */
export function attitudeFormula(context: ReadingContext, setup: Setup): Known<Formula<Attitude>> {
  const fall = slopeFormula(context, setup, 'chassis-fall')
  const roll = slopeFormula(context, setup, 'chassis-roll')
  if (!fall && setup.datum !== 'levelled') {
    const registered = context.registration(setup)
    if (registered?.known) {
      return combined([registered], (move) => attitudeOf(apply3(move.rotation, LEVEL_UP)))
    }
  }
  const across = roll ?? missingRoll(context, setup)
  const along = fall ?? missingFall(context, setup, across)
  const attitude = combined<[number, number], Attitude>([along, across], (rearLowDeg, leftLowDeg) => ({
    up: upOrNone(radians(rearLowDeg), radians(leftLowDeg)),
    rearLowDeg,
    leftLowDeg,
  }))
  const slopes = combined<[number, number], boolean>([along, across], (p, r) =>
    isStanding(radians(p), radians(r)),
  )
  if (slopes.known && !slopes.value(meansOf(context.list.inputs)))
    return unknown(`${setup.name}: chassis fall and roll cannot both be true`)
  return attitude
}

const attitudeOf = (up: Vec3): Attitude => ({
  up,
  rearLowDeg: degrees(Math.asin(Math.max(-1, Math.min(1, up[0])))),
  leftLowDeg: degrees(-Math.asin(Math.max(-1, Math.min(1, up[1])))),
})

/** World up, or no answer for slopes that cannot belong together: a sample may stray where the readings do not. */
const upOrNone = (rearLow: Radians, leftLow: Radians): Vec3 =>
  isStanding(rearLow, leftLow) ? chassisUp(rearLow, leftLow) : [NaN, NaN, NaN]

function missingRoll(context: ReadingContext, setup: Setup): Known<Formula<number>> {
  if (setup.datum === 'levelled')
    return known(
      levelledByHand(context, {
        id: setup.id,
        field: 'roll-levelled',
        label: `${setup.name}: chassis made level across`,
      }),
    )
  return known(takenRoll(context, setup), [`${setup.name}: chassis roll not read, taken as none`])
}

/** Roll of a chassis that nobody read: none, with the usual doubt about a workshop floor. */
export const takenRoll = (context: ReadingContext, setup: Setup): Formula<number> =>
  assumedFigure(
    context,
    { id: setup.id, field: 'roll-assumed', label: `${setup.name}: chassis roll, not read` },
    USUAL_DOUBT.roll,
  )

function missingFall(
  context: ReadingContext,
  setup: Setup,
  roll: Known<Formula<number>>,
): Known<Formula<number>> {
  if (setup.datum === 'levelled')
    return known(
      levelledByHand(context, {
        id: setup.id,
        field: 'fall-levelled',
        label: `${setup.name}: chassis made level fore and aft`,
      }),
    )
  const axis = context.build.axes.find((one) => one.id === setup.plumbAxis)
  if (setup.datum !== 'face-plumb' || !axis)
    return unknown(`${setup.name}: how the chassis falls was not read`)
  const place = context.axis(axis, { exceptSetup: setup.id })
  if (!place.known) {
    return unknown(
      `${setup.name}: read the chassis too, or ${axis.name} in another setup, to know how the vehicle was pitched`,
    )
  }
  return combined<[FallPlan, number], number>([place, roll], (lie, leftLowDeg) =>
    degrees(rearLowForLevelAxis(axisDirection(lie), radians(leftLowDeg))),
  )
}

function slopeFormula(
  context: ReadingContext,
  setup: Setup,
  kind: 'chassis-fall' | 'chassis-roll',
): Known<Formula<number>> | null {
  const isIt = (reading: Build['readings'][number]): reading is ChassisFallReading | ChassisRollReading =>
    reading.kind === kind && reading.setup === setup.id
  const placed = lastReading(context.build, isIt)
  return placed ? slopeReading(context, placed) : null
}

function slopeReading(
  context: ReadingContext,
  placed: PlacedReading<ChassisFallReading | ChassisRollReading>,
): Known<Formula<number>> {
  const { reading, path } = placed
  const isFall = reading.kind === 'chassis-fall'
  const label = isFall ? 'chassis fall' : 'chassis roll'
  return measuredFigure(context, placed, {
    field: 'value',
    label,
    unit: 'deg',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: parseAngle,
    direction: {
      word: reading.low,
      positive: isFall ? 'rear' : 'left',
      fallback: null,
      question: `${label}: which ${isFall ? 'end' : 'side'} is lower?`,
      path: `${path}.low`,
    },
  })
}
