import { flowSense, pointOfJoint } from '../../file/parts/lineSpec'
import { fallPlan } from '../../base/frame/axis'
import { fallWords } from '../../base/frame/words'
import { lineFigures } from '../../line/lineFigures'
import { scale, type Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import type { NamedAxis } from '../../file/parts/named'
import type { Reading } from '../../file/build/reading'
import type { ShaftLevelReading } from '../../file/kinds/lineKinds'
import { fallFromSlope, slopeOf } from '../../measure/attitude/attitude'
import { signedFigure } from '../../measure/figures/figure'
import { measuredGeometry, type Geometry } from '../../measure/geometry/geometry'
import { axisPlace, setupAttitude } from '../../measure/geometry/measured'
import { shaftReadingSpec } from '../../measure/points/shaftReading'
import { toolError } from '../../measure/figures/toolError'
import { bodyName } from '../../measure/targets/target'
import { asRadians, degrees, radians } from '../../base/units/angle'
import { edited, turnRound } from './edits'
import type { Correction, Detector, Edit, Mistake } from './mistake'

/** Two ways of knowing one angle may differ by this much, in degrees, before somebody has made a mistake. */
const APART = 0.5
/** A correction counts when it brings them this near, in degrees. */
const TOGETHER = 0.3

type LevelReading = Extract<Reading, { kind: 'axis-level' | 'axis-face' }>

/**
 * Angles known in two ways that do not agree: from two setups, or from a level and from the heights of two points. Where
 * turning one word round makes them agree, that word was most likely wrong: an unsigned tool was taken the wrong way.
 */
export const wrongWay: Detector = (build, isAsked) =>
  build.axes.flatMap((axis) => {
    const levels = lastPerSetup(build, axis)
    const newest = levels.at(-1)
    // It is the newest that is doubted.
    if (!newest || !isAsked(newest)) return []
    const others = levels.slice(0, -1)
    const against = others.length > 0 ? others : []
    const pairs = against.flatMap((older) =>
      contradiction(build, axis, newest, (one) => fallBy(one, axis, older)),
    )
    if (pairs.length > 0) return pairs.slice(0, 1)
    return contradiction(build, axis, newest, (one) => fallByPoints(one, axis))
  })

/** The last level reading of an axis in each setup, in the order of the readings. */
function lastPerSetup(build: Build, axis: NamedAxis): LevelReading[] {
  const bySetup = new Map<string, LevelReading>()
  for (const reading of build.readings) {
    if ((reading.kind === 'axis-level' || reading.kind === 'axis-face') && reading.axis === axis.id) {
      bySetup.delete(reading.setup)
      bySetup.set(reading.setup, reading)
    }
  }
  return [...bySetup.values()]
}

/** The fall of an axis by one of its level readings alone, in degrees. */
function fallBy(build: Build, axis: NamedAxis, reading: LevelReading): number | null {
  const readings = build.readings.filter(
    (one) => one.id === reading.id || !('axis' in one) || one.axis !== axis.id || one.kind === 'given-axis',
  )
  const place = axisPlace({ ...build, readings }, axis)
  return place.known ? degrees(place.value.fall) : null
}

/** The fall of an axis by the heights of its points alone, in degrees. */
function fallByPoints(build: Build, axis: NamedAxis): number | null {
  if ((axis.through?.length ?? 0) < 2) return null
  const readings = build.readings.filter((one) => !('axis' in one) || one.axis !== axis.id)
  const setups = build.setups.map((setup) => ({ ...setup, datum: 'levelled' as const, plumbAxis: undefined }))
  const place = axisPlace({ ...build, readings, setups }, axis)
  return place.known ? degrees(place.value.fall) : null
}

function contradiction(
  build: Build,
  axis: NamedAxis,
  reading: LevelReading,
  otherWay: (build: Build) => number | null,
): Mistake[] {
  const ours = fallBy(build, axis, reading)
  const theirs = otherWay(build)
  if (ours === null || theirs === null || Math.abs(ours - theirs) <= APART) return []
  const isCured = (edits: readonly Edit[]) => {
    const after = edited(build, edits)
    const [a, b] = [fallBy(after, axis, editedReading(after, reading)), otherWay(after)]
    return a !== null && b !== null && Math.abs(a - b) <= TOGETHER
  }
  const say = (fallDeg: number) => fallWords(fallDeg, 'tail', build.units, 1).replace('tail', 'rear')
  return [
    {
      kind: 'wrong-way',
      readingIds: [reading.id],
      sentence: `${axis.name}: this reading says ${say(ours)}, other readings say ${say(theirs)}. They cannot both be right.`,
      corrections: turnCandidates(build, reading).filter(({ edits }) => isCured(edits)),
    },
  ]
}

const editedReading = (build: Build, reading: LevelReading): LevelReading =>
  build.readings.find((one): one is LevelReading => one.id === reading.id) ?? reading

/** Words that may have been said the wrong way: the reading's own, and those of the chassis in its setup. */
function turnCandidates(build: Build, reading: Extract<Reading, { setup: string }>): Correction[] {
  const chassis = build.readings.findLast((one) => one.kind === 'chassis-fall' && one.setup === reading.setup)
  const candidates = [reading, ...(chassis ? [chassis] : [])]
  return candidates.flatMap((one) => {
    const edit = turnRound(one)
    return edit ? [{ label: turnLabel(build, one, edit), edits: [edit] }] : []
  })
}

function turnLabel(build: Build, reading: Reading, { set }: Edit): string {
  const [word] = Object.values(set)
  const name = bodyName(build, reading)
  return reading.kind === 'axis-face'
    ? `${name}: the top leaned to the ${word}`
    : `${name}: the ${word} was the low end`
}

/** A shaft's own angle that does not lie along its joint points. */
export const shaftContradictions: Detector = (build, isAsked) => {
  const shafts = build.readings.filter(
    (reading): reading is ShaftLevelReading => reading.kind === 'shaft-level' && isAsked(reading),
  )
  if (shafts.length === 0) return []
  const geometry = measuredGeometry(build)
  return shafts.flatMap((reading): Mistake[] => {
    const apart = shaftApart(build, geometry, reading)
    if (apart === null || Math.abs(apart.readDeg - apart.byPointsDeg) <= APART) return []
    const say = (fallDeg: number) => fallWords(fallDeg, 'tail', build.units, 1).replace('tail', 'rear')
    const cures = turnCandidates(build, reading).filter(({ edits }) => {
      const after = edited(build, edits)
      const there = after.readings.find((one): one is ShaftLevelReading => one.id === reading.id)
      const now = there ? shaftApart(after, measuredGeometry(after), there) : null
      return now !== null && Math.abs(now.readDeg - now.byPointsDeg) <= TOGETHER
    })
    return [
      {
        kind: 'shaft-contradiction',
        readingIds: [reading.id],
        sentence: `${bodyName(build, reading)}: the level on the shaft says ${say(apart.readDeg)}, its joint points say ${say(apart.byPointsDeg)}. One of them is off by ${Math.abs(apart.readDeg - apart.byPointsDeg).toFixed(1)}°.`,
        corrections: [...cures, ...provisionalHeights(build, reading)],
      },
    ]
  })
}

/** A shaft's fall as read and by its joint points, in degrees; null while either is unknown. */
function shaftApart(
  build: Build,
  geometry: Geometry,
  reading: ShaftLevelReading,
): { readonly readDeg: number; readonly byPointsDeg: number } | null {
  const line = build.lines.find((one) => one.id === reading.line)
  const setup = build.setups.find((one) => one.id === reading.setup)
  if (!line || !setup || !line.shafts[reading.shaft]) return null
  const shown = signedFigure(shaftReadingSpec(build, { reading, path: '' }))
  const attitude = setupAttitude(build, setup)
  const figures = lineFigures(line, geometry)
  if (!figures.known || !shown.known || !attitude.known) return null
  const along = figures.value.geometry.axes[reading.shaft + 1] as Vec3
  const lie = fallPlan(scale(along, flowSense(line)))
  const { up } = attitude.value
  // Its level's zero error is taken out as from any other reading.
  const shownDeg = shown.value + toolError(build, reading).correctionDeg
  const slope =
    reading.zero === 'chassis' ? asRadians(radians(shownDeg) + slopeOf([-1, 0, 0], up)) : radians(shownDeg)
  const fall = fallFromSlope(slope, lie.plan, up)
  return fall === null ? null : { readDeg: degrees(fall), byPointsDeg: degrees(lie.fall) }
}

function provisionalHeights(build: Build, reading: ShaftLevelReading): Correction[] {
  const line = build.lines.find((one) => one.id === reading.line)
  const points = [reading.shaft, reading.shaft + 1].map((i) => line && pointOfJoint(line, i))
  const edits = points.flatMap((point): Edit[] => {
    const height = build.readings.findLast((one) => one.kind === 'point-height' && one.point === point)
    return height && !height.provisional ? [{ of: 'reading', id: height.id, set: { provisional: true } }] : []
  })
  return edits.length > 0
    ? [{ label: 'Keep the joint heights as provisional and take them again', edits }]
    : []
}
