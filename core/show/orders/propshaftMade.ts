import { fixed, formatAngle, formatBothUnits, grouped } from '../../base/units/format'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import type { Shaft } from '../../file/parts/lineSpec'
import type { LineEvaluation } from '../../model/lineEvaluation'
import { residualUnbalance } from '../../vehicle/strength/residualUnbalance'
import { jointText } from '../text/jointText'
import type { Fact } from '../text/lineFacts'
import { tubeText } from '../text/tubeText'
import { askedRows, TO_BE_AGREED, type OrderSite, type SheetSection } from './orderBody'

/** How a propshaft is made: joints, tube, phase, splines, speed, balance, run-out, and what the shop is told in words. */
export function madeSection(
  site: OrderSite,
  order: OrderEntry,
  line: LineEvaluation,
  shaft: number,
): SheetSection {
  const { build } = site
  const { joints, shafts } = line.line
  const own = shafts[shaft]
  const rpm = line.speed.known ? line.speed.value.speedRpm : null
  const grade = order.asks?.balanceG
  const ends = [joints[shaft], joints[shaft + 1]].flatMap((joint, k) =>
    joint ? [{ name: `${k === 0 ? 'driving' : 'driven'} end, joint`, value: jointText(build, joint) }] : [],
  )
  const critical = line.ride.known ? line.ride.value.shafts()[shaft]?.criticalSpeedRpm : null
  return {
    title: 'How it is made',
    rows: [
      ...ends,
      { name: 'tube', value: own?.tube ? `${tubeText(own.tube)} mm ${own.tube.material}` : TO_BE_AGREED },
      { name: 'phase of the yokes', value: phaseText(own, build) },
      ...slipSizes(own, build.units.inchFraction),
      {
        name: 'highest speed',
        value: rpm === null ? '?' : `${grouped(rpm)} rev/min`,
        remark: line.speed.known ? `from ${line.speed.value.basis}` : 'not told yet',
      },
      ...(critical == null ? [] : [{ name: 'critical speed', value: `${grouped(critical)} rev/min` }]),
      {
        name: 'balance',
        value:
          grade === undefined
            ? TO_BE_AGREED
            : `G ${grade}${rpm === null ? '' : ` at ${grouped(rpm)} rev/min`}`,
        ...(grade !== undefined &&
          rpm !== null && { remark: `leaves ${fixed(residualUnbalance(grade, rpm), 1)} g·mm for each kg` }),
      },
      {
        name: 'run-out, at three places',
        value: order.asks?.runoutMm === undefined ? TO_BE_AGREED : `${order.asks.runoutMm} mm at the most`,
      },
      ...askedRows(order),
    ],
  }
}

function phaseText(shaft: Shaft | undefined, { units }: OrderSite['build']): string {
  const { phaseDeg = 0, splineTeeth } = shaft ?? {}
  if (Math.abs(phaseDeg) < 0.05) return 'in phase'
  const turn = `${formatAngle(Math.abs(phaseDeg), units)} ${phaseDeg > 0 ? 'anticlockwise' : 'clockwise'}`
  return `rear yoke ${turn} from behind${splineTeeth === undefined ? '' : `, spline of ${splineTeeth} teeth`}`
}

/** Of a spline within the shaft. */
function slipSizes(shaft: Shaft | undefined, inchFraction: 16 | 32): Fact[] {
  const both = (mm: number) => formatBothUnits(mm, inchFraction)
  const { closedMm, engagedMm, diameterMm } = shaft?.slip ?? {}
  return [
    ...(closedMm === undefined ? [] : [{ name: 'joint to joint, pushed home', value: both(closedMm) }]),
    ...(engagedMm === undefined ? [] : [{ name: 'spline engaged then', value: both(engagedMm) }]),
    ...(diameterMm === undefined ? [] : [{ name: 'diameter of the spline', value: both(diameterMm) }]),
  ]
}
