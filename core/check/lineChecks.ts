import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { LimitEntry, Quantity } from '../limits/limit'
import type { LineFigures } from '../line/lineFigures'
import { turning } from '../line/turning'
import type { Line } from '../project/lineSpec'
import type { ShaftSpeed } from '../strength/shaftSpeed'
import type { Check } from './check'
import { checkValue } from './checkValue'
import { judge, type CheckHead } from './judge'
import { appliesIn, worstState, type JudgedState } from './judgedState'
import { jointChecks } from './jointChecks'

/**
 * All checks of one line, each in its worst state.
 *
 * @param states - the line in each state it is judged in, at ride height first
 * @see docs/methods/limits.md
 */
export function lineChecks(
  line: Line,
  limits: readonly LimitEntry[],
  speed: Known<ShaftSpeed>,
  states: readonly JudgedState[],
): Check[] {
  const ours = limits.filter((limit) => !limit.schools || limit.schools.includes(line.school))
  const of = (quantity: Quantity) => ours.filter((limit) => limit.quantity === quantity)
  // Beyond a right angle only the joint itself can be spoken of.
  const turned = states.map(({ state, figures }) => ({ state, figures: turning(line, figures) }))
  return [
    ...jointChecks(line, states, speed, ours),
    ...pairCheck(line, of('pair-difference'), turned),
    ...torsionalCheck(line, of('torsional-acceleration'), turned, speed),
    ...criticalChecks(line, of('critical-speed-ratio'), turned, speed),
    ...setInChecks(line, of('set-in')),
  ]
}

const headOf = (
  line: Line,
  id: string,
  rest: Pick<CheckHead, 'quantity' | 'subject' | 'state' | 'speedRpm'>,
): CheckHead => ({
  id: `${line.id}/${id}`,
  lineId: line.id,
  lineName: line.name,
  ...rest,
})

/** One check in each state that some of its limits apply in, and the worst of them. */
function overStates(
  limits: readonly LimitEntry[],
  states: readonly JudgedState[],
  isIn: (limit: LimitEntry, state: JudgedState['state']) => boolean,
  check: (state: JudgedState, limits: readonly LimitEntry[]) => Check,
): Check[] {
  const checks = states.flatMap((one) => {
    const inState = limits.filter((limit) => isIn(limit, one.state))
    return inState.length > 0 ? [check(one, inState)] : []
  })
  const worst = worstState(checks)
  return worst ? [worst] : []
}

/** The two joints of the last shaft are meant to cancel; other kinds of joint have nothing to cancel. */
function pairCheck(line: Line, limits: LimitEntry[], states: readonly JudgedState[]): Check[] {
  const last = line.joints.length - 1
  const areCross = line.joints.slice(-2).every((joint) => joint.kind === 'cross')
  if (last < 1 || !areCross) return []
  // A pinion that is set low is meant to be even with the other joint once it has risen.
  const aim = line.school === 'low-pinion' ? 'drive' : 'ride'
  return overStates(
    limits,
    states,
    (limit, state) => limit.scope === 'max-speed' || state === aim,
    ({ state, figures }, inState) => {
      const head = headOf(line, 'pair', {
        quantity: 'pair-difference',
        subject: { of: 'shaft', index: last - 1 },
        state,
        speedRpm: null,
      })
      const difference = mapKnown(figures, (known) => checkValue(head, known, null))
      return judge(head, difference, inState)
    },
  )
}

function torsionalCheck(
  line: Line,
  limits: LimitEntry[],
  states: readonly JudgedState[],
  speed: Known<ShaftSpeed>,
): Check[] {
  return overStates(limits, states, appliesIn, ({ state, figures }, inState) => {
    const head = headOf(line, 'torsional', {
      quantity: 'torsional-acceleration',
      subject: { of: 'line' },
      state,
      speedRpm: speed.known ? speed.value.speedRpm : null,
    })
    const both = allKnown<[LineFigures, ShaftSpeed]>([figures, speed])
    const value = mapKnown(both, ([line3d, at]) => checkValue(head, line3d, at.speedRpm))
    return judge(head, value, inState)
  })
}

function criticalChecks(
  line: Line,
  limits: LimitEntry[],
  states: readonly JudgedState[],
  speed: Known<ShaftSpeed>,
): Check[] {
  if (limits.length === 0) return []
  return line.shafts.flatMap((shaft, index) =>
    overStates(limits, states, appliesIn, ({ state, figures }, inState) => {
      const head = headOf(line, `critical/${index + 1}`, {
        quantity: 'critical-speed-ratio',
        subject: { of: 'shaft', index },
        state,
        speedRpm: speed.known ? speed.value.speedRpm : null,
      })
      const name = line.shafts.length > 1 ? `shaft ${index + 1}` : 'shaft'
      const tube = shaft.tube ? known(shaft.tube) : unknown(`${line.name}, ${name}: tube not entered`)
      const all = allKnown([figures, speed, tube] as const as [
        Known<LineFigures>,
        Known<ShaftSpeed>,
        typeof tube,
      ])
      const ratio = mapKnown(all, ([line3d, at]) => checkValue(head, line3d, at.speedRpm))
      return judge(head, ratio, inState)
    }),
  )
}

function setInChecks(line: Line, limits: LimitEntry[]): Check[] {
  if (limits.length === 0) return []
  return line.shafts.flatMap((shaft, index) => {
    const slip = [shaft.drivingEnd, shaft.drivenEnd].find((end) => end?.kind === 'slip-yoke')
    if (slip?.kind !== 'slip-yoke') return []
    const head = headOf(line, `set-in/${index + 1}`, {
      quantity: 'set-in',
      subject: { of: 'shaft', index },
      state: 'ride',
      speedRpm: null,
    })
    return [judge(head, known(slip.setInMm), limits)]
  })
}
