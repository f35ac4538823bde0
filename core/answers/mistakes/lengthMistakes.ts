import { degrees } from '../../base/units/angle'
import { flowSense, linePoints } from '../../file/parts/lineSpec'
import { powertrainOf } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import type { PointOffsetReading, PointStationReading } from '../../file/kinds/vehicleReadings'
import { readingContext } from '../../measure/geometry/readingContext'
import { pointFigures } from '../../measure/geometry/measured'
import { setupRegistration } from '../../measure/setups/registrationColumns'
import { repeatFigures } from '../../measure/figures/scatter'
import { bodyName, isSameQuantity } from '../../measure/targets/target'
import type { LengthUnit } from '../../base/units/unitSettings'
import { edited, turnRound } from './edits'
import type { Correction, Detector, Edit, Mistake } from './mistake'

type LengthReading = Extract<Reading, { kind: 'point-station' | 'point-offset' | 'point-height' }>

const isLength = (reading: Reading): reading is LengthReading =>
  reading.kind === 'point-station' || reading.kind === 'point-offset' || reading.kind === 'point-height'

const INCH = 25.4
/** A ratio this near to 25.4 is no accident. */
const RATIO_SLACK = 0.03
/** Longer than any vehicle, in mm. */
const TOO_LONG = 15_000

/** Millimetres typed as inches or the other way round. */
export const inchOrMm: Detector = (build, isAsked) => {
  const known = lengthsRead(build)
  return build.readings.flatMap((reading): Mistake[] => {
    if (!isAsked(reading) || !isLength(reading) || reading.values.some((text) => /[a-z"']/i.test(text)))
      return []
    const unit = reading.unit ?? build.units.length
    const other: LengthUnit | null = unit === 'in' ? 'mm' : unit === 'mm' ? 'in' : null
    const figure = repeatFigures(build, reading)[0]
    if (other === null || figure === undefined || figure === 0) return []
    const reason = unitReason(build, known, { reading, figure, other })
    if (reason === null) return []
    const name = `${bodyName(build, reading)}, ${reading.kind.replace('point-', '')}`
    return [
      {
        kind: 'inch-or-mm',
        readingIds: [reading.id],
        sentence: `${name}: ${reading.values[0]} ${unit} ${reason}. It looks like ${other}.`,
        corrections: [
          {
            label: `It was read in ${other}`,
            edits: [{ of: 'reading', id: reading.id, set: { unit: other } }],
          },
        ],
      },
    ]
  })
}

/** What is asked of every length, worked out once for all of a build: thousands of readings are looked at. */
interface LengthsRead {
  /** Readings by the quantity they are of, with their first figures in mm. */
  readonly of: (reading: LengthReading) => readonly { readonly reading: LengthReading; readonly mm: number }[]
  /** Whether the joints of a line stand in the wrong order. */
  readonly isBackwards: () => boolean
}

function lengthsRead(build: Build): LengthsRead {
  const quantities = new Map<string, ReturnType<LengthsRead['of']>>()
  const readingsOf = (reading: LengthReading) =>
    build.readings.flatMap((one) => {
      if (!isLength(one) || !isSameQuantity(one, reading)) return []
      const mm = repeatFigures(build, one)[0]
      return mm === undefined ? [] : [{ reading: one, mm }]
    })
  let backwards: boolean | null = null
  return {
    of: (reading) => {
      const key = `${reading.kind}/${reading.point}`
      const there = quantities.get(key) ?? readingsOf(reading)
      quantities.set(key, there)
      return there
    },
    isBackwards: () => (backwards ??= runsBackwards(build)),
  }
}

/** A length in one unit that may have been meant in another. */
interface DoubtedLength {
  readonly reading: LengthReading
  readonly figure: number
  readonly other: LengthUnit
}

function unitReason(
  build: Build,
  known: LengthsRead,
  { reading, figure, other }: DoubtedLength,
): string | null {
  const meant = other === 'in' ? figure * INCH : figure / INCH
  const twin = known
    .of(reading)
    .find((one) => one.reading !== reading && Math.abs(meant / one.mm - 1) < RATIO_SLACK)
  if (twin) return 'is 25.4 times off another reading of it'
  if (figure > TOO_LONG && meant < TOO_LONG) return 'is longer than any vehicle'
  const isJointStation =
    reading.kind === 'point-station' && build.lines.some((line) => linePoints(line).includes(reading.point))
  if (!isJointStation || !known.isBackwards()) return null
  const asOther = edited(build, [{ of: 'reading', id: reading.id, set: { unit: other } }])
  return runsBackwards(asOther) ? null : 'puts the joints of the line in the wrong order'
}

/** Whether the joints of a line that runs lengthwise stand in the wrong order. */
function runsBackwards(build: Build): boolean {
  return build.lines.some((line) => {
    // A line that runs across has no order of stations.
    if (line.flow === 'left' || line.flow === 'right') return false
    const stations = linePoints(line).map((id) => {
      const point = build.points.find((one) => one.id === id)
      const { station } = point ? pointFigures(build, point) : { station: null }
      return station?.known ? station.value : null
    })
    const sense = flowSense(line)
    return stations.some((s, i) => {
      const before = stations[i - 1]
      return i > 0 && s !== null && before != null && (s - before) * sense < 0
    })
  })
}

/** A turn of an axis in top view beyond this, in degrees, that turning one side round takes below `STRAIGHT` is a slip. */
const TURNED = 6
const STRAIGHT = 2

/** Left and right swapped: mounts that stand on the wrong side, axes that cross the vehicle, mirrored datum points. */
export const swappedSides: Detector = (build, isAsked) => {
  const isAny = build.readings.findLast((one) => SIDED.has(one.kind) && isAsked(one)) !== undefined
  return isAny ? [...swappedMounts(build), ...swappedAxisPoints(build), ...mirroredSetups(build)] : []
}

/** Readings that a side can be told wrong of, or that show it. */
const SIDED: ReadonlySet<Reading['kind']> = new Set(['point-offset', 'point-station', 'setup-point'])

const offsetReading = (build: Build, point: string): PointOffsetReading | null =>
  build.readings.findLast(
    (reading): reading is PointOffsetReading => reading.kind === 'point-offset' && reading.point === point,
  ) ?? null

function swappedMounts(build: Build): Mistake[] {
  const mounts = powertrainOf(build)?.mounts
  const left = mounts && offsetReading(build, mounts.frontLeft)
  const right = mounts && offsetReading(build, mounts.frontRight)
  if (!left || !right || !left.side || !right.side) return []
  const wrong = [...(left.side === 'right' ? [left] : []), ...(right.side === 'left' ? [right] : [])]
  const [first, second] = wrong
  if (!first) return []
  const names = wrong.map((reading) => bodyName(build, reading)).join(' and ')
  return [
    {
      kind: 'swapped-sides',
      readingIds: wrong.map((reading) => reading.id),
      sentence: second
        ? `${names}: each was entered on the other side. Left and right were swapped.`
        : `${names}: entered on the ${first.side} of the centreline. Was the side mixed up?`,
      corrections: sideCorrection(`Put ${names} on the other side`, wrong),
    },
  ]
}

function sideCorrection(label: string, readings: readonly Reading[]): Correction[] {
  const edits = readings.map(turnRound).filter((edit): edit is Edit => edit !== null)
  return edits.length > 0 ? [{ label, edits }] : []
}

function swappedAxisPoints(build: Build): Mistake[] {
  return build.axes.flatMap((axis): Mistake[] => {
    const points = (axis.through ?? []).flatMap((id) => {
      const offset = offsetReading(build, id)
      const station = build.readings.findLast(
        (reading): reading is PointStationReading => reading.kind === 'point-station' && reading.point === id,
      )
      return offset && station ? [offset] : []
    })
    // An axis that lies across is meant to cross the vehicle.
    if (axis.lies === 'across') return []
    if (points.length < 2 || Math.abs(planOf(build, axis.id)) < TURNED) return []
    const culprit = points.find((reading) => {
      const edit = turnRound(reading)
      return edit !== null && Math.abs(planOf(edited(build, [edit]), axis.id)) < STRAIGHT
    })
    if (!culprit) return []
    return [
      {
        kind: 'swapped-sides',
        readingIds: [culprit.id],
        sentence: `${axis.name} would point ${Math.abs(planOf(build, axis.id)).toFixed(1)}° across the vehicle. With ${bodyName(build, culprit)} on the other side it runs straight.`,
        corrections: sideCorrection(`Put ${bodyName(build, culprit)} on the other side`, [culprit]),
      },
    ]
  })
}

/** Plan of an axis from its farthest points, in degrees. */
function planOf(build: Build, axisId: string): number {
  const axis = build.axes.find((one) => one.id === axisId)
  const places = (axis?.through ?? []).flatMap((id) => {
    const point = build.points.find((one) => one.id === id)
    if (!point) return []
    const { station, offset } = pointFigures(build, point)
    return station.known && offset.known ? [[station.value, offset.value] as const] : []
  })
  places.sort((a, b) => a[0] - b[0])
  const [front, rear] = [places[0], places.at(-1)]
  if (!front || !rear || front === rear) return 0
  return degrees(Math.atan2(rear[1] - front[1], rear[0] - front[0]))
}

function mirroredSetups(build: Build): Mistake[] {
  const context = readingContext(build)
  return build.setups.flatMap((setup): Mistake[] => {
    const result = setupRegistration(context, setup)
    if (result === null || result.known || !result.missing[0]?.what.includes('mirror image')) return []
    const shots = build.readings.filter(
      (reading) => reading.kind === 'setup-point' && reading.setup === setup.id,
    )
    return [
      {
        kind: 'swapped-sides',
        readingIds: shots.map((reading) => reading.id),
        sentence: `${result.missing[0].what}.`,
        corrections: [
          {
            label: `Turn left and right round in "${setup.name}"`,
            edits: shots.flatMap((reading): Edit[] =>
              reading.kind === 'setup-point'
                ? [
                    {
                      of: 'reading',
                      id: reading.id,
                      set: { acrossSide: reading.acrossSide === 'left' ? 'right' : 'left' },
                    },
                  ]
                : [],
            ),
          },
        ],
      },
    ]
  })
}
