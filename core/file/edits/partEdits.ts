import type { Build } from '../build/build'
import type { Id } from '../parts/id'
import { linePoints, type Joint, type JointKind, type Line, type Shaft } from '../parts/lineSpec'
import { isUsed, withoutBody } from './withoutBody'
import { omit } from './omit'
import { withoutSeatAxis } from './seatAxis'
import { idsOf, newBearing, type Additions } from './withLayout'

/** What can be moved along a line, or taken out of it, by its place along the power flow. */
export type PartOfLine =
  | { readonly part: 'joint'; readonly index: number }
  | { readonly part: 'shaft'; readonly index: number }
  | { readonly part: 'bearing'; readonly index: number }
  | { readonly part: 'slip'; readonly index: number }
  | { readonly part: 'plunge'; readonly index: number }

/** What can be put into a shaft. */
export type Insertion = 'bearing' | 'slip' | 'plunge'

const withLine = (build: Build, lineId: Id, edit: (line: Line) => Line): Build => ({
  ...build,
  lines: build.lines.map((line) => (line.id === lineId ? edit(line) : line)),
})

const lineOf = (build: Build, lineId: Id): Line | undefined => build.lines.find(({ id }) => id === lineId)

/** What may be put into a shaft as it is. */
export function insertionsIn({ shafts, joints }: Line, index: number): Insertion[] {
  const shaft = shafts[index]
  if (!shaft) return []
  return [
    ...(shaft.bearing || joints.length >= 12 ? [] : (['bearing'] as const)),
    ...(shaft.slip || shaft.plunge ? [] : (['slip', 'plunge'] as const)),
  ]
}

/**
 * Puts something into a shaft: a spline, a joint that plunges, or a centre bearing with a joint behind it, which makes two shafts of one. The tube
 * and what slips stay with the rear piece, as it is the one that goes to the axle.
 *
 * @returns the same build where nothing can be put in
 */
export function withInsertion(build: Build, lineId: Id, index: number, what: Insertion): Build {
  const line = lineOf(build, lineId)
  if (!line || !insertionsIn(line, index).includes(what)) return build
  if (what !== 'bearing')
    return withLine(build, lineId, (there) => ({
      ...there,
      shafts: there.shafts.map((shaft, i) => (i === index ? { ...shaft, [what]: {} } : shaft)),
    }))
  const ids = idsOf(build)
  const added: Additions = { bodies: [], points: [], axes: [], levers: [], lines: [] }
  const bearing = newBearing(line.name, index, line.joints.length, ids, added)
  const own = new Set([...line.joints.map(({ id }) => id), ...line.shafts.map(({ id }) => id)])
  const free = (base: string): Id => {
    let count = 1
    while (own.has(`${base}-${count}`)) count++
    return `${base}-${count}`
  }
  const joint: Joint = { id: free('joint'), kind: 'cross' }
  const split = ({ drivingEnd, ...rear }: Shaft): Shaft[] => [
    {
      id: free('shaft'),
      ...(drivingEnd && { drivingEnd }),
      ...(rear.tube && { tube: rear.tube }),
      ...(bearing && { bearing }),
    },
    rear,
  ]
  return {
    ...withLine(build, lineId, (there) => ({
      ...there,
      joints: [...there.joints.slice(0, index + 1), joint, ...there.joints.slice(index + 1)],
      shafts: there.shafts.flatMap((shaft, i) => (i === index ? split(shaft) : [shaft])),
    })),
    bodies: [...build.bodies, ...added.bodies],
    points: [...build.points, ...added.points],
    levers: [...build.levers, ...added.levers],
  }
}

/** Why a part has to stay; null for one that may be taken out. */
export function partStaysBecause({ joints }: Line, { part, index }: PartOfLine): string | null {
  if (part === 'shaft') return 'a shaft goes with the joint behind it'
  if (part !== 'joint') return null
  return index === 0 || index === joints.length - 1 ? 'a line begins and ends with a joint' : null
}

/**
 * Takes a part out. A joint goes with the bearing in front of it, and the two shafts it parted become one.
 *
 * @returns the same build where the part has to stay
 */
export function withoutPart(before: Build, lineId: Id, place: PartOfLine): Build {
  const line = lineOf(before, lineId)
  if (!line || partStaysBecause(line, place) !== null) return before
  const { part, index } = place
  if (part === 'slip' || part === 'plunge')
    return withLine(before, lineId, (there) => ({
      ...there,
      shafts: there.shafts.map((shaft, i) => (i === index ? omit(shaft, part) : shaft)),
    }))
  // The joint that a bearing sets cannot stay without it.
  const joint = part === 'bearing' ? index + 1 : index
  const isSet = line.joints[joint]?.point === undefined
  const build = withoutSeatAxis(before, lineId, joint - 1)
  const left = withLine(build, lineId, (there) => {
    if (part === 'bearing' && !isSet)
      return {
        ...there,
        shafts: there.shafts.map((shaft, i) => (i === index ? omit(shaft, 'bearing') : shaft)),
      }
    const front = there.shafts[joint - 1] ?? {}
    const rear = there.shafts[joint] ?? {}
    const { drivingEnd } = front
    const merged: Shaft = { ...omit(rear, 'drivingEnd'), ...(drivingEnd && { drivingEnd }) }
    return {
      ...there,
      joints: there.joints.filter((_, i) => i !== joint),
      shafts: there.shafts.flatMap((shaft, i) => (i === joint - 1 ? [] : i === joint ? [merged] : [shaft])),
    }
  })
  const gone = [
    ...(part === 'bearing' || isSet ? [line.shafts[joint - 1]?.bearing?.point] : []),
    ...(part === 'joint' ? [line.joints[joint]?.point] : []),
  ]
  return gone.reduce((all, point) => (point === undefined ? all : withoutPlace(all, point)), left)
}

/** A build without a point that nothing rests on any more, and without its bracket where that carried it alone. */
function withoutPlace(build: Build, id: Id): Build {
  const point = build.points.find((one) => one.id === id)
  if (!point || isUsed(build, id) || build.gaps.some((gap) => gap.point === id)) return build
  const bracket = build.bodies.find((body) => body.id === point.body && body.kind === 'bearing-bracket')
  const isAlone = bracket && !build.points.some((one) => one.id !== id && one.body === bracket.id)
  if (isAlone) return withoutBody(build, bracket.id)
  return {
    ...build,
    points: build.points.filter((one) => one.id !== id),
    readings: build.readings.filter((reading) => !('point' in reading && reading.point === id)),
  }
}

/**
 * Moves what a place holds one place along the power flow or against it: two joints change kinds, two shafts their tubes, a spline goes over to
 * the next shaft. Where they stand stays as it was read.
 *
 * @returns the same build at an end of the line
 */
export function withPartMoved(build: Build, lineId: Id, { part, index }: PartOfLine, by: 1 | -1): Build {
  const line = lineOf(build, lineId)
  const other = index + by
  if (!line || part === 'bearing') return build
  if (part === 'joint') {
    const [here, there] = [line.joints[index], line.joints[other]]
    if (!here || !there) return build
    return withLine(build, lineId, (now) => ({
      ...now,
      joints: now.joints.map((joint, i) =>
        i === index ? asKind(joint, there) : i === other ? asKind(joint, here) : joint,
      ),
    }))
  }
  const [here, there] = [line.shafts[index], line.shafts[other]]
  if (!here || !there) return build
  const keys = part === 'shaft' ? (['tube', 'endMasses'] as const) : ([part] as const)
  return withLine(build, lineId, (now) => ({
    ...now,
    shafts: now.shafts.map((shaft, i) =>
      i === index ? taking(shaft, there, keys) : i === other ? taking(shaft, here, keys) : shaft,
    ),
  }))
}

/** A joint where it stands, of the kind and make of another. */
const asKind = (joint: Joint, make: Joint): Joint => ({
  ...omit(joint, 'kind', 'limitDeg', 'centringPilot', 'cross'),
  ...omit(make, 'id', 'name', 'point', 'pointIs'),
})

function taking(shaft: Shaft, from: Shaft, keys: readonly (keyof Shaft)[]): Shaft {
  const taken = Object.fromEntries(keys.flatMap((key) => (from[key] === undefined ? [] : [[key, from[key]]])))
  return { ...omit(shaft, ...keys), ...taken }
}

/** A joint made another kind; what only the old one had goes. */
export function withJointKind(build: Build, lineId: Id, index: number, kind: JointKind): Build {
  return withLine(build, lineId, (line) => ({
    ...line,
    joints: line.joints.map((joint, i) => {
      if (i !== index || joint.kind === kind) return joint
      return { ...omit(joint, 'centringPilot', 'cross', 'limitDeg'), kind }
    }),
  }))
}

/** Why a line has to stay; null for one that may go. */
export const lineStaysBecause = (build: Build): string | null =>
  build.lines.length > 1 || (build.chains?.length ?? 0) > 0
    ? null
    : 'a build keeps one line or chain at least'

/** A build without a line: its axes and points go where nothing else rests on them, its brackets and their levers with it. */
export function withoutLine(build: Build, lineId: Id): Build {
  const line = lineOf(build, lineId)
  if (!line || lineStaysBecause(build) !== null) return build
  const points = [...linePoints(line), ...line.shafts.flatMap(({ bearing }) => bearing?.point ?? [])]
  const lines = build.lines.filter(({ id }) => id !== lineId)
  const isFree = (axis: Id): boolean =>
    !lines.some(({ driving, driven }) => driving === axis || driven === axis) &&
    !build.setups.some(({ plumbAxis }) => plumbAxis === axis) &&
    !(build.drivetrain.outputs ?? []).some((output) => output.axis === axis)
  const goneAxes = new Set([line.driving, line.driven].filter(isFree))
  const left: Build = {
    ...build,
    lines,
    axes: build.axes.filter(({ id }) => !goneAxes.has(id)),
    readings: build.readings.filter(
      (reading) =>
        !('axis' in reading && goneAxes.has(reading.axis)) && !('line' in reading && reading.line === lineId),
    ),
  }
  return [...new Set(points)].reduce(withoutPlace, left)
}
