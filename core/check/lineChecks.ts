import { isUneven } from '../file/parts/joints'
import { allKnown, known, unknown, type Known } from '../base/known'
import type { LimitEntry, Quantity } from '../file/build/limit'
import type { Line, Tube } from '../file/parts/lineSpec'
import type { ShaftSpeed } from '../vehicle/strength/shaftSpeed'
import { windowOf } from './judge'
import { bearingChecks } from './bearingChecks'
import { appliesIn, type PlannedState } from './judgedState'
import { headOf, overStates, shaftName, told, type LineNeeds } from './lineCheck'
import { jointChecks } from './jointChecks'
import type { CheckPlan } from './plannedCheck'
import { slipChecks } from './slipChecks'
import { strengthChecks } from './strengthChecks'

/**
 * All checks of one line as planned: what is looked at, in which states, by which limits.
 *
 * @param states - the states the line is judged in, at ride height first
 * @see docs/methods/limits.md
 */
export function lineChecks(
  line: Line,
  limits: readonly LimitEntry[],
  needs: LineNeeds,
  states: readonly PlannedState[],
): CheckPlan[] {
  const { speed } = needs
  const ours = limits.filter((limit) => !limit.schools || limit.schools.includes(line.school))
  const of = (quantity: Quantity) => ours.filter((limit) => limit.quantity === quantity)
  return [
    ...jointChecks(line, states, speed, ours),
    ...pairCheck(line, of('pair-difference'), states),
    ...torsionalCheck(line, of('torsional-acceleration'), states, speed),
    ...criticalChecks(line, of('critical-speed-ratio'), states, speed),
    ...setInChecks(line, of('set-in')),
    ...bearingChecks(line, of, needs, states),
    ...strengthChecks(line, of, needs, states),
    ...slipChecks(line, of, states),
  ]
}

/** The two joints of the last shaft are meant to cancel; other kinds of joint have nothing to cancel. */
function pairCheck(line: Line, limits: LimitEntry[], states: readonly PlannedState[]): CheckPlan[] {
  const last = line.joints.length - 1
  const areCross = line.joints.slice(-2).every(isUneven)
  if (last < 1 || !areCross) return []
  // A pinion that is set low is meant to be even with the other joint once it has risen.
  const aim = line.school === 'low-pinion' ? 'drive' : 'ride'
  return overStates(
    limits,
    states,
    (limit, { state, at }) =>
      limit.scope === 'travel' || (at === null && (limit.scope === 'max-speed' || state === aim)),
    ({ state, at, figures }) => ({
      head: headOf(line, 'pair', {
        quantity: 'pair-difference',
        subject: { of: 'shaft', index: last - 1 },
        state,
        at,
        speedRpm: null,
      }),
      needs: known(null),
      value: figures?.pair ?? null,
    }),
  )
}

function torsionalCheck(
  line: Line,
  limits: LimitEntry[],
  states: readonly PlannedState[],
  speed: Known<ShaftSpeed>,
): CheckPlan[] {
  return overStates(limits, states, appliesIn, ({ state, at, figures }) => ({
    head: headOf(line, 'torsional', {
      quantity: 'torsional-acceleration',
      subject: { of: 'line' },
      state,
      at,
      speedRpm: speed.known ? speed.value.speedRpm : null,
    }),
    needs: speed,
    value: figures?.acceleration ?? null,
  }))
}

function criticalChecks(
  line: Line,
  limits: LimitEntry[],
  states: readonly PlannedState[],
  speed: Known<ShaftSpeed>,
): CheckPlan[] {
  if (limits.length === 0) return []
  return line.shafts.flatMap((shaft, index) =>
    overStates(limits, states, appliesIn, ({ state, at, figures }) => {
      const tube = shaft.tube
        ? known(shaft.tube)
        : unknown(`${line.name}, ${shaftName(line, index)}: tube not entered`)
      return {
        head: headOf(line, `critical/${index + 1}`, {
          quantity: 'critical-speed-ratio',
          subject: { of: 'shaft', index },
          state,
          at,
          speedRpm: speed.known ? speed.value.speedRpm : null,
        }),
        needs: allKnown<[ShaftSpeed, Tube]>([speed, tube]),
        value: figures?.criticalRatios[index] ?? null,
      }
    }),
  )
}

function setInChecks(line: Line, limits: LimitEntry[]): CheckPlan[] {
  if (limits.length === 0) return []
  return line.shafts.flatMap((shaft, index) => {
    const slip = [shaft.drivingEnd, shaft.drivenEnd].find((end) => end?.kind === 'slip-yoke')
    if (slip?.kind !== 'slip-yoke') return []
    const head = headOf(line, `set-in/${index + 1}`, {
      quantity: 'set-in',
      subject: { of: 'shaft', index },
      state: 'ride',
      at: null,
      speedRpm: null,
    })
    return [
      {
        inStates: [
          {
            head,
            bounds: limits,
            window: windowOf(limits),
            unknownBounds: [],
            needs: told(line, 'set-in of the slip yoke', slip.setInMm),
            value: slip.setInMm ?? null,
          },
        ],
      },
    ]
  })
}
