import { isUneven, JOINTS } from '../file/parts/joints'
import { known, type Known, type Missing } from '../base/known'
import type { LimitEntry } from '../file/build/limit'
import { permittedAngleDeg } from '../line/uniformity'
import type { Joint, Line } from '../file/parts/lineSpec'
import type { ShaftSpeed } from '../vehicle/strength/shaftSpeed'
import type { Check, StateOfVehicle } from './check'
import { windowOf, type Bound, type CheckHead } from './judge'
import { appliesIn, type PlannedState } from './judgedState'
import type { CheckPlan } from './plannedCheck'

/** One check of its working angle for every joint of a line in all its states, and of the pilot of a flexible disc. */
export function jointChecks(
  line: Line,
  states: readonly PlannedState[],
  speed: Known<ShaftSpeed>,
  limits: readonly LimitEntry[],
): CheckPlan[] {
  return line.joints.flatMap((joint, index): CheckPlan[] => {
    const angle: CheckPlan = {
      inStates: states.map((one) => {
        const inState = limits.filter((limit) => appliesIn(limit, one))
        const { bounds, missing } = angleBounds(line, joint, index, speed, inState)
        return {
          head: angleHead(line, joint, index, one, speed),
          bounds,
          window: windowOf(bounds),
          unknownBounds: missing,
          needs: known(null),
          value: one.figures?.angles[index] ?? null,
        }
      }),
    }
    const isLoose = JOINTS[joint.kind].needsPilot && joint.centringPilot !== true
    return isLoose
      ? [angle, { certain: pilotCheck(angleHead(line, joint, index, { state: 'ride', at: null }, speed)) }]
      : [angle]
  })
}

const angleHead = (
  line: Line,
  joint: Joint,
  index: number,
  { state, at }: StateOfVehicle,
  speed: Known<ShaftSpeed>,
): CheckHead => ({
  id: `${line.id}/angle/${index + 1}`,
  lineId: line.id,
  lineName: line.name,
  quantity: JOINTS[joint.kind].angle,
  subject: { of: 'joint', index },
  state,
  at,
  speedRpm: speed.known && isUneven(joint) ? speed.value.speedRpm : null,
})

function angleBounds(
  line: Line,
  joint: Joint,
  index: number,
  speed: Known<ShaftSpeed>,
  limits: readonly LimitEntry[],
): { bounds: Bound[]; missing: readonly Missing[] } {
  const { isConstant, angle } = JOINTS[joint.kind]
  const bounds: Bound[] = []
  let missing: readonly Missing[] = []
  for (const limit of limits) {
    if (angle !== 'joint-angle') {
      if (limit.quantity === angle) bounds.push({ ...limit, failAbove: joint.limitDeg ?? limit.failAbove })
      continue
    }
    if (limit.quantity === 'joint-limit-margin' && joint.limitDeg !== undefined)
      bounds.push(ownLimitBound(limit, joint.limitDeg))
    if (isConstant) continue
    if (limit.quantity === 'joint-angle' && speaksOf(limit, index, line.joints.length)) bounds.push(limit)
    if (limit.quantity === 'shaft-inertia') {
      if (speed.known) bounds.push(inertiaBound(limit, speed.value.speedRpm))
      else missing = speed.missing
    }
  }
  return { bounds, missing }
}

const speaksOf = (limit: LimitEntry, index: number, count: number): boolean =>
  limit.joints === 'first' ? index === 0 : limit.joints === 'last' ? index === count - 1 : true

/** Room to a joint's own limit as the angle that leaves it. */
function ownLimitBound(limit: LimitEntry, limitDeg: number): Bound {
  const angle = (room: number | undefined) => (room === undefined ? undefined : limitDeg - room)
  return { basis: limit.basis, warnAbove: angle(limit.warnBelow), failAbove: angle(limit.failBelow) }
}

/** An acceleration limit as the angle that reaches it at this speed. */
function inertiaBound(limit: LimitEntry, speedRpm: number): Bound {
  const angle = (acceleration: number | undefined) =>
    acceleration === undefined ? undefined : permittedAngleDeg(acceleration, speedRpm)
  return { basis: limit.basis, warnAbove: angle(limit.warnAbove), failAbove: angle(limit.failAbove) }
}

/** Without a pilot nothing holds the shaft's end in the middle of the disc: an error, not a warning. */
function pilotCheck(head: CheckHead): Check {
  return {
    ...head,
    id: `${head.id}/pilot`,
    quantity: 'centring-pilot',
    value: null,
    window: { failLow: null, warnLow: null, warnHigh: null, failHigh: null },
    margin: null,
    plusMinus: null,
    interval: null,
    probability: null,
    verdict: 'out',
    basis: 'a flexible disc without a centring pilot does not hold the shaft in place',
    missing: [],
    assumptions: [],
  }
}
