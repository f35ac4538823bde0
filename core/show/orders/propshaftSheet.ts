import { fixed, formatBothUnits } from '../../base/units/format'
import { slipYokeOf, type Shaft } from '../../file/parts/lineSpec'
import type { LengthMark } from '../../file/parts/lengthMarks'
import type { LengthFigure } from '../../line/shaftLengths'
import type { LineEvaluation } from '../../model/lineEvaluation'
import { lengthName, lineSpread, spreadText, type Fact } from '../text/lineFacts'
import {
  waitsFor,
  type ArrivalFigure,
  type BodyOf,
  type OrderBody,
  type OrderSite,
  type SheetSection,
} from './orderBody'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import { madeSection } from './propshaftMade'
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
    arrival: arrivalOf(own, lengths.find((one) => isAlike(one, main)) ?? centres),
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

/** A shaft comes without the gearbox: what is measured from its output shaft or its seal is measured from the joint. */
const ONLY_IN_PLACE: readonly LengthMark[] = ['shaft-end', 'seal-face']
const onBenchMark = (mark: LengthMark): LengthMark => (ONLY_IN_PLACE.includes(mark) ? 'joint-centre' : mark)
const isAlike = (one: LengthFigure, main: LengthFigure): boolean =>
  one.from === onBenchMark(main.from) && one.to === onBenchMark(main.to)

/** What is measured on it when it comes: what it slips by first. */
function arrivalOf(shaft: Shaft, main: LengthFigure): ArrivalFigure[] {
  const { slip, tube, phaseDeg = 0 } = shaft
  const hasYoke = slipYokeOf(shaft)?.setInMm !== undefined
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
