import { fixed, formatAngle, formatBothUnits, formatLength } from '../../base/units/format'
import type { Check } from '../../check/check'
import type { Line } from '../../file/parts/lineSpec'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import type { HalfshaftEvaluation } from '../../model/halfshafts'
import { halfshaftFigureId } from '../../model/halfshaftSubject'
import { namedFigures } from '../../model/namedFigures'
import { plungeVerdict } from '../../vehicle/halfshaft/plungeWindow'
import { tubeText } from '../text/tubeText'
import { ball, bar } from './barMarks'
import {
  askedRows,
  waitsFor,
  type BodyOf,
  type OrderBody,
  type OrderSite,
  type SheetSection,
} from './orderBody'

/** Between the drawings of two shafts, and their joints, in mm. */
const APART_MM = 240
const INNER_MM = 55
const OUTER_MM = 45
const BAR_MM = 30

interface Half {
  readonly line: Line
  readonly shaft: number
  readonly found: HalfshaftEvaluation
  readonly lengthMm: number
  readonly isTaken: boolean
  readonly checks: readonly Check[]
  /** It comes too near a stop in the travel. */
  readonly isOut: boolean
}

/** Both halfshafts of an axle: their lengths by the length that was taken, with what the travel asks of each. */
export const halfshaftSheet: BodyOf = (site, order): OrderBody => {
  const halves = [order.of, ...(order.other === undefined ? [] : [order.other])].map((id) => halfOf(site, id))
  const missing = halves.flatMap((one) => ('missing' in one ? one.missing : []))
  const told = halves.flatMap((one) => ('missing' in one ? [] : [one]))
  if (missing.length > 0 || told.length === 0) return waitsFor(missing)
  const both = (mm: number) => formatBothUnits(mm, site.build.units.inchFraction)
  const ids = new Set(
    told.flatMap(({ found }) =>
      (['rideMm', 'longestMm', 'shortestMm', 'middleMm'] as const).map((name) =>
        halfshaftFigureId(found, name),
      ),
    ),
  )
  return {
    missing: [],
    drawing: {
      labels: told.map(({ line }, k) => ({ at: [0, -k * APART_MM + INNER_MM + 12], text: line.name })),
      marks: told.flatMap(({ lengthMm }, k) => [
        ...ball(0, -k * APART_MM, INNER_MM),
        ...ball(lengthMm, -k * APART_MM, OUTER_MM),
        bar(INNER_MM, lengthMm - OUTER_MM, -k * APART_MM, BAR_MM),
      ]),
      dimensions: told.map(({ lengthMm }, k) => ({
        from: [0, -k * APART_MM],
        to: [lengthMm, -k * APART_MM],
        along: 'x',
        text: both(lengthMm),
        isMain: true,
      })),
    },
    sections: [
      ...told.map((one) => halfSection(site, one)),
      { title: 'How they are made', rows: askedRows(order) },
    ],
    cautions: [
      'One-piece shafts, from a maker of the trade. A shaft that carries torque is not cut and welded but by who is qualified for it, and local rules come first.',
    ],
    alerts: told.flatMap(alertsOf),
    checks: told.flatMap(({ checks }) => checks),
    columns: namedFigures(site.compiled).flatMap(({ id, column }) => (ids.has(id) ? [column] : [])),
    arrival: told.map(({ line, lengthMm }) => ({
      key: `length/${line.id}`,
      name: `${line.name}, joint centre to joint centre at mid plunge`,
      unit: 'mm',
      asked: lengthMm,
      becomes: 'its length at mid plunge',
    })),
  }
}

const alertsOf = ({ isOut, isTaken, line }: Half): string[] => [
  ...(isOut ? [`${line.name} does not keep clear of both stops over the travel: do not order it`] : []),
  ...(isTaken ? [] : [`${line.name}: its length is not decided, this is the middle of what the travel uses`]),
]

function halfOf(
  { evaluation }: OrderSite,
  id: OrderEntry['of'],
): Half | { readonly missing: readonly string[] } {
  const line = evaluation.lines.find((one) => one.line.id === id)
  const shaft = line?.line.shafts.findIndex(({ plunge }) => plunge !== undefined) ?? -1
  const plunge = line?.line.shafts[shaft]?.plunge
  if (!line || !plunge) return { missing: ['a shaft with a joint that plunges'] }
  const found = evaluation.halfshafts.find((one) => one.lineId === id && one.shaft === shaft)
  if (!found) {
    const unread = line.states.flatMap(({ figures }) => (figures.known ? [] : figures.missing))
    const what = [...new Set(unread.map((one) => one.what))]
    return { missing: what.length > 0 ? what : [`${line.line.name}: how far its wheel goes`] }
  }
  const { middleMm } = plunge
  return {
    line: line.line,
    shaft,
    found,
    lengthMm: middleMm ?? found.lengths.middleMm,
    isTaken: middleMm !== undefined,
    checks: line.checks,
    isOut: plungeVerdict(found, found.room, middleMm ?? found.lengths.middleMm) === 'out',
  }
}

function halfSection({ build, sureness }: OrderSite, half: Half): SheetSection {
  const { line, shaft, found, lengthMm, isTaken, isOut } = half
  const { units } = build
  const both = (mm: number) => formatBothUnits(mm, units.inchFraction)
  const spread = (name: 'rideMm' | 'middleMm') => {
    const size = sureness?.figures[halfshaftFigureId(found, name)]?.plusMinus
    return size === undefined ? undefined : `± ${fixed(size, 1)} mm`
  }
  const { reachMm } = line.shafts[shaft]?.plunge ?? {}
  const steep = (one: HalfshaftEvaluation['steepest'][number] | undefined) =>
    one ? `${formatAngle(one.deg, units, 1)}, ${one.place}` : '?'
  const tube = line.shafts[shaft]?.tube
  return {
    title: line.name,
    rows: [
      {
        name: 'joint centre to joint centre, inner joint at mid plunge',
        value: both(lengthMm),
        plusMinus: isTaken ? undefined : spread('middleMm'),
        remark: isOut
          ? 'too near a stop in the travel'
          : isTaken
            ? undefined
            : 'not decided: the middle of the range',
        isMain: true,
      },
      {
        name: 'may be made from … to',
        value:
          found.lengths.window && found.room.known
            ? found.lengths.window.map((mm) => formatLength(mm, units)).join(' … ')
            : '?',
        remark: 'within it either way is safe',
      },
      { name: 'inner joint plunges, either way', value: reachMm === undefined ? '?' : both(reachMm) },
      { name: 'as a check: at ride height', value: both(found.rideMm), plusMinus: spread('rideMm') },
      { name: 'longest in the travel', value: both(found.longest.lengthMm), remark: found.longest.place },
      { name: 'shortest in the travel', value: both(found.shortest.lengthMm), remark: found.shortest.place },
      { name: 'steepest inner joint', value: steep(found.steepest[0]) },
      { name: 'steepest outer joint', value: steep(found.steepest.at(-1)) },
      ...(tube ? [{ name: 'tube or bar', value: `${tubeText(tube)} mm ${tube.material}` }] : []),
    ],
  }
}
