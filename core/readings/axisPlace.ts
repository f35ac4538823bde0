import { axisDirection, fallPlan, type FallPlan } from '../frame/axis'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Build, NamedAxis, Setup } from '../project/build'
import type { AxisFaceReading, AxisLevelReading, GivenAxisReading, Reading } from '../project/reading'
import { asRadians, radians, type Radians } from '../units/angle'
import { parseAngle } from '../units/parseAngle'
import { fallFromSlope, slopeOf } from './attitude'
import { lastReading, type PlacedReading } from './chosen'
import { pointFigures } from './pointPlace'
import { readRepeats } from './readingValue'
import { setupAttitude, type Attitude } from './setupAttitude'
import { signed } from './signed'

type LevelReading = AxisLevelReading | AxisFaceReading

/**
 * Fall and plan of a named axis as measured, in the chassis frame.
 *
 * Plan comes from two points on the axis, else from a given axis, else it is taken as straight ahead and said so. Fall
 * comes from the level, else from the heights of two points, else from a given axis.
 */
export function axisPlace(build: Build, axis: NamedAxis): Known<FallPlan> {
  const is = (...kinds: Reading['kind'][]) =>
    ((reading: Reading) => kinds.includes(reading.kind) && 'axis' in reading && reading.axis === axis.id) as (
      reading: Reading,
    ) => reading is never
  const level = lastReading(build, is('axis-level', 'axis-face')) as PlacedReading<LevelReading> | null
  const given = lastReading(build, is('given-axis')) as PlacedReading<GivenAxisReading> | null
  const plan = axisPlan(build, axis, given)
  const fall = level
    ? levelFall(build, axis, level, plan)
    : (fallThroughPoints(build, axis) ?? givenFall(axis, given) ?? unknown(`${axis.name}: level not read`))
  const both = mapKnown(allKnown<[Radians, Radians]>([fall, plan]), ([f, p]) => ({ fall: f, plan: p }))
  const source = level ?? given
  if (!both.known || !source?.reading.provisional) return both
  return known(both.value, [
    ...both.assumptions,
    `${axis.name}: provisional, read it again when the part is there`,
  ])
}

/** The slope a level reading tells, positive when the rear end of the axis is low. */
export function readSlope(axis: NamedAxis, { reading, path }: PlacedReading<LevelReading>): Known<Radians> {
  const size = readRepeats(reading.values, parseAngle, `${axis.name}, level`, `${path}.values`)
  if (!size.known) return size
  const shown = size.value.mean
  if (reading.kind === 'axis-level') {
    if (shown > 90)
      return unknown(`${axis.name}: a level laid along an axis shows no more than 90°`, `${path}.values`)
    const question = `${axis.name}: which end is lower?`
    return mapKnown(signed(shown, reading.low, 'rear', null, question, `${path}.low`), radians)
  }
  // A face square to the axis stands plumb when the axis is level, whatever the display calls plumb.
  const fromPlumb = reading.from === 'level' ? 90 - shown : shown
  if (Math.abs(fromPlumb) > 60) {
    return unknown(
      `${axis.name}: ${shown}° is far from plumb for a face; was the level laid along the axis?`,
      `${path}.values`,
    )
  }
  const question = `${axis.name}: where does the top of the face lean?`
  return mapKnown(signed(Math.abs(fromPlumb), reading.lean, 'rear', null, question, `${path}.lean`), radians)
}

function levelFall(
  build: Build,
  axis: NamedAxis,
  placed: PlacedReading<LevelReading>,
  plan: Known<Radians>,
): Known<Radians> {
  const setup = build.setups.find((one) => one.id === placed.reading.setup)
  if (!setup) return unknown(`${axis.name}: its setup is missing`, `${placed.path}.setup`)
  const rezeroed = placed.reading.zero === 'chassis'
  const attitude = rezeroed ? attitudeOfRezeroed(build, setup) : setupAttitude(build, setup)
  const all = allKnown<[Radians, Radians, Attitude]>([readSlope(axis, placed), plan, attitude])
  if (!all.known) return all
  const [shown, planAngle, { up }] = all.value
  const surface: FallPlan = { fall: radians(setup.zeroSurfaceFallDeg ?? 0), plan: asRadians(0) }
  const slope = rezeroed ? asRadians(shown + slopeOf(axisDirection(surface), up)) : shown
  const fall = fallFromSlope(slope, planAngle, up)
  if (fall === null) return unknown(`${axis.name}: no axis can show this slope in this attitude`, placed.path)
  return known(fall, all.assumptions)
}

/** A level zeroed on the chassis carries the attitude in its zero; unread, the chassis is taken as level. */
function attitudeOfRezeroed(build: Build, setup: Setup): Known<Attitude> {
  const attitude = setupAttitude(build, setup)
  if (attitude.known) return attitude
  return known({ up: [0, 0, 1], rearLowDeg: 0, leftLowDeg: 0 }, [
    `${setup.name}: level zeroed on the chassis, whose own roll was not read`,
  ])
}

function axisPlan(
  build: Build,
  axis: NamedAxis,
  given: PlacedReading<GivenAxisReading> | null,
): Known<Radians> {
  const ends = farthestPair(build, axis, ['station', 'offset'])
  if (ends === 'too-close') return tooClose(axis)
  if (ends) {
    const [front, rear] = ends
    return known(asRadians(Math.atan2(rear.offset - front.offset, rear.station - front.station)))
  }
  if (given?.reading.plan !== undefined) {
    const { reading, path } = given
    const size = readRepeats([given.reading.plan], parseAngle, `${axis.name}, plan`, `${path}.plan`)
    if (!size.known)
      return { known: false, missing: size.missing.map((one) => ({ ...one, path: `${path}.plan` })) }
    const question = `${axis.name}: to which side does the rear end point?`
    return mapKnown(
      signed(size.value.mean, reading.rearPoints, 'left', null, question, `${path}.rearPoints`),
      radians,
    )
  }
  return known(
    radians(0),
    given ? [] : [`${axis.name}: direction in top view not read, taken as straight ahead`],
  )
}

function fallThroughPoints(build: Build, axis: NamedAxis): Known<Radians> | null {
  const ends = farthestPair(build, axis, ['station', 'offset', 'height'])
  if (!ends) return null
  if (ends === 'too-close') return tooClose(axis)
  const [front, rear] = ends
  const along: Vec3 = [front.station - rear.station, rear.offset - front.offset, rear.height - front.height]
  return known(fallPlan(along).fall)
}

function givenFall(axis: NamedAxis, given: PlacedReading<GivenAxisReading> | null): Known<Radians> | null {
  if (!given) return null
  const { reading, path } = given
  const size = readRepeats([reading.fall], parseAngle, `${axis.name}, fall`, `${path}.fall`)
  if (!size.known)
    return { known: false, missing: size.missing.map((one) => ({ ...one, path: `${path}.fall` })) }
  const question = `${axis.name}: which end is lower?`
  return mapKnown(signed(size.value.mean, reading.low, 'rear', null, question, `${path}.low`), radians)
}

interface EndFigures {
  readonly station: number
  readonly offset: number
  readonly height: number
}

/** Two points this close, in mm, say nothing about a direction. */
const CLOSEST = 10

/** The two points on an axis that lie farthest apart in station and have all figures asked for, front first; null for fewer. */
function farthestPair(
  build: Build,
  axis: NamedAxis,
  wanted: readonly ('station' | 'offset' | 'height')[],
): readonly [EndFigures, EndFigures] | 'too-close' | null {
  const ends: EndFigures[] = []
  for (const id of axis.through ?? []) {
    const point = build.points.find((one) => one.id === id)
    if (!point) continue
    const figures = pointFigures(build, point)
    if (!wanted.every((which) => figures[which].known)) continue
    const value = (figure: Known<number>) => (figure.known ? figure.value : 0)
    ends.push({
      station: value(figures.station),
      offset: value(figures.offset),
      height: value(figures.height),
    })
  }
  ends.sort((a, b) => a.station - b.station)
  const front = ends[0]
  const rear = ends.at(-1)
  if (!front || !rear || front === rear) return null
  return rear.station - front.station >= CLOSEST ? [front, rear] : 'too-close'
}

const tooClose = (axis: NamedAxis) =>
  unknown(`${axis.name}: its points stand at the same station and show no direction`)

/**
 * Smallest spacing of two points, in mm, for which their angle is good to the wanted accuracy.
 *
 * @param accuracy - standard error of one offset or height, in mm
 * @param wantedDeg - standard error wanted of the angle, in degrees
 * @see docs/methods/readings.md (standard error of the angle is √2·σ/Δ)
 */
export const spacingFor = (accuracy: number, wantedDeg: number): number =>
  (Math.SQRT2 * accuracy) / Math.tan(radians(wantedDeg))
