import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { LimitEntry, Quantity } from '../limits/limit'
import type { LineFigures } from '../line/lineFigures'
import type { Line } from '../project/lineSpec'
import type { ShaftSpeed } from '../strength/shaftSpeed'
import type { Check, CheckState } from './check'
import { checkValue } from './checkValue'
import { judge, type CheckHead } from './judge'
import { jointChecks } from './jointChecks'

/**
 * All checks of one line.
 *
 * @param ride - the line at ride height
 * @param drive - the line with the axle wound up, for the low-set pinion school; null for the others
 */
export function lineChecks(
  line: Line,
  limits: readonly LimitEntry[],
  speed: Known<ShaftSpeed>,
  ride: Known<LineFigures>,
  drive: Known<LineFigures> | null,
): Check[] {
  const ours = limits.filter((limit) => !limit.schools || limit.schools.includes(line.school))
  const of = (quantity: Quantity) => ours.filter((limit) => limit.quantity === quantity)
  const evenness = drive ?? ride
  const state: CheckState = drive ? 'drive' : 'ride'
  return [
    ...jointChecks(line, ride, speed, ours),
    ...pairCheck(line, of('pair-difference'), evenness, state),
    ...torsionalCheck(line, of('torsional-acceleration'), evenness, speed, state),
    ...criticalChecks(line, of('critical-speed-ratio'), ride, speed),
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

/** The two joints of the last shaft are meant to cancel; other kinds of joint have nothing to cancel. */
function pairCheck(
  line: Line,
  limits: LimitEntry[],
  figures: Known<LineFigures>,
  state: CheckState,
): Check[] {
  const last = line.joints.length - 1
  const areCross = line.joints.slice(-2).every((joint) => joint.kind === 'cross')
  if (limits.length === 0 || last < 1 || !areCross) return []
  const head = headOf(line, 'pair', {
    quantity: 'pair-difference',
    subject: { of: 'shaft', index: last - 1 },
    state,
    speedRpm: null,
  })
  const difference = mapKnown(figures, (known) => checkValue(head, known, null))
  return [judge(head, difference, limits)]
}

function torsionalCheck(
  line: Line,
  limits: LimitEntry[],
  figures: Known<LineFigures>,
  speed: Known<ShaftSpeed>,
  state: CheckState,
): Check[] {
  if (limits.length === 0) return []
  const head = headOf(line, 'torsional', {
    quantity: 'torsional-acceleration',
    subject: { of: 'line' },
    state,
    speedRpm: speed.known ? speed.value.speedRpm : null,
  })
  const both = allKnown<[LineFigures, ShaftSpeed]>([figures, speed])
  return [
    judge(
      head,
      mapKnown(both, ([line3d, at]) => checkValue(head, line3d, at.speedRpm)),
      limits,
    ),
  ]
}

function criticalChecks(
  line: Line,
  limits: LimitEntry[],
  figures: Known<LineFigures>,
  speed: Known<ShaftSpeed>,
): Check[] {
  if (limits.length === 0) return []
  return line.shafts.map((shaft, index) => {
    const head = headOf(line, `critical/${index + 1}`, {
      quantity: 'critical-speed-ratio',
      subject: { of: 'shaft', index },
      state: 'ride',
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
    return judge(head, ratio, limits)
  })
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
