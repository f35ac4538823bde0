import { fixed, formatAngle, formatBothUnits, grouped } from '../../base/units/format'
import type { Shaft } from '../../file/parts/lineSpec'
import type { LengthFigure } from '../../line/shaftLengths'
import type { LineEvaluation } from '../../model/lineEvaluation'
import { residualUnbalance } from '../../vehicle/strength/residualUnbalance'
import { jointText } from '../text/jointText'
import { lengthName, lineSpread, spreadText, type Fact } from '../text/lineFacts'
import { tubeText } from '../text/tubeText'
import {
  askedRows,
  TO_BE_AGREED,
  waitsFor,
  type ArrivalFigure,
  type BodyOf,
  type OrderBody,
  type OrderSite,
  type SheetSection,
} from './orderBody'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import { propshaftDrawing } from './propshaftDrawing'
import { shopLength, WAY_WORDS } from './shopLength'
import { slipReserve, type SlipReserve } from './slipRows'

/** A propshaft, or one shaft of several: its length by the convention of the shop, and all that it is made by. */
export const propshaftSheet: BodyOf = (site, order): OrderBody => {
  const shaft = order.shaft ?? 0
  const line = site.evaluation.lines.find((one) => one.line.id === order.of)
  const own = line?.line.shafts[shaft]
  if (!line || !own) return waitsFor(['the line that it is of'])
  if (!line.ride.known) return waitsFor(line.ride.missing.map(({ what }) => what))
  const lengths = line.ride.value.shafts()[shaft]?.lengths.all ?? []
  const centres = lengths.find(isOfCentres)
  if (!centres) return waitsFor(['the length between its joints'])
  const main = lengths.find(({ from, to }) => from === order.from && to === order.to) ?? centres
  const reserve = slipReserve(site.build, line, shaft)
  const columns = site.compiled.lines
    .find((one) => one.line.id === line.line.id)
    ?.states.flatMap(({ columns: of }) => (of.known ? [of.value] : []))
  const { inchFraction } = site.build.units
  return {
    missing: [],
    drawing: propshaftDrawing({
      line: line.line,
      shaft,
      lengthMm: centres.length,
      main: { from: main.from, to: main.to, mm: main.onBench },
      inchFraction,
    }),
    sections: [
      lengthSection(site, order, line, main, lengths, reserve),
      ...(reserve.rows.length > 0 ? [{ title: 'Slip reserve', rows: reserve.rows }] : []),
      madeSection(site, order, line, shaft),
    ],
    cautions: [
      'A shaft that bottoms breaks the gearbox: measure the set-in again at full bump before the first drive.',
      'Welded shafts are straightened and balanced after welding, by a shop that answers for it; local rules decide.',
    ],
    checks: line.checks,
    columns: (columns ?? []).flatMap(({ spans, shafts, slide }) => {
      const { slip, plungeLeftMm } = shafts[shaft] ?? {}
      return [spans[shaft], slip?.leftMm, slip?.engagedMm, plungeLeftMm, shaft === 0 ? slide : null].flatMap(
        (column) => column ?? [],
      )
    }),
    arrival: arrivalOf(own, main),
  }
}

const isOfCentres = ({ from, to }: LengthFigure) => from === 'joint-centre' && to === 'joint-centre'

/** A difference below this, in mm, is not worth a second figure on the order. */
const SEEN_ON_TAPE = 0.5

function lengthSection(
  { build, sureness }: OrderSite,
  order: OrderEntry,
  line: LineEvaluation,
  main: LengthFigure,
  lengths: readonly LengthFigure[],
  { safe }: SlipReserve,
): SheetSection {
  const { inchFraction } = build.units
  const both = (mm: number) => formatBothUnits(mm, inchFraction)
  const at = lengths.findIndex(isOfCentres)
  const spread = lineSpread(sureness, line.line.id)(
    'ride',
    `shafts[${order.shaft ?? 0}].lengths[${at}].vehicleMm`,
  )
  const plusMinus = spreadText(spread, (size) => `${fixed(size, 1)} mm`)
  const standing = (one: LengthFigure): string | undefined =>
    Math.abs(one.onBench - one.length) > SEEN_ON_TAPE
      ? `as it stands in the vehicle ${both(one.length)}`
      : undefined
  const second: Fact[] =
    order.secondMm === undefined
      ? []
      : [
          {
            name: `measured again${order.secondBy ? ` by ${order.secondBy}` : ''}`,
            value: both(order.secondMm),
            remark: `${fixed(Math.abs(order.secondMm - main.onBench), 1)} mm ${order.secondMm < main.onBench ? 'shorter' : 'longer'} than ordered`,
          },
        ]
  return {
    title: 'Length',
    rows: [
      { name: lengthName(main), value: both(main.onBench), plusMinus, remark: standing(main), isMain: true },
      { name: 'for the shop', value: shopLength(main.onBench, inchFraction, safe), remark: WAY_WORDS[safe] },
      ...second,
      ...lengths
        .filter((one) => one !== main)
        .map((one) => ({
          name: `as a check: ${lengthName(one)}`,
          value: both(one.onBench),
          remark: standing(one),
        })),
    ],
  }
}

function madeSection(site: OrderSite, order: OrderEntry, line: LineEvaluation, shaft: number): SheetSection {
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

/** What is measured on it when it comes: what it slips by first. */
function arrivalOf(shaft: Shaft, main: LengthFigure): ArrivalFigure[] {
  const { drivingEnd, drivenEnd, slip, tube, phaseDeg = 0 } = shaft
  const hasYoke = [drivingEnd, drivenEnd].some(
    (end) => end?.kind === 'slip-yoke' && end.setInMm !== undefined,
  )
  const mm = (
    key: string,
    name: string,
    asked: number | undefined,
    becomes: string | null,
  ): ArrivalFigure[] => (asked === undefined ? [] : [{ key, name, unit: 'mm', asked, becomes }])
  return [
    ...mm('length', lengthName(main), main.onBench, hasYoke ? 'the set-in at ride height' : null),
    ...mm('closed', 'joint to joint, pushed home', slip?.closedMm, 'its length pushed home'),
    ...mm('outer', 'diameter of the tube', tube?.outerMm, 'its tube'),
    ...mm('wall', 'wall of the tube', tube?.wallMm, 'its tube'),
    {
      key: 'phase',
      name: 'phase: rear yoke anticlockwise from behind',
      unit: 'deg',
      asked: phaseDeg,
      becomes: 'its phase',
    },
  ]
}
