import type { Body, BodyId } from '../parts/body'
import { powertrainOf } from '../parts/bodies'
import type { Build } from '../build/build'
import type { NamedAxis, NamedPoint } from '../parts/named'
import { sprocketsOf } from '../parts/chainLine'
import type { Id } from '../parts/id'
import type { Lever } from '../build/lever'
import type { Joint, Line, Shaft, ShaftEnd } from '../parts/lineSpec'
import type { EndKind, Layout, LineEnd, LinePlan } from './layouts'

/** What a layout adds to a build, gathered as it goes. */
export interface Additions {
  readonly bodies: Body[]
  readonly points: NamedPoint[]
  readonly axes: NamedAxis[]
  readonly levers: Lever[]
  readonly lines: Line[]
}

/**
 * A build with the lines of a layout besides those it has: the bodies, axes and points they need, centre bearings with their levers.
 *
 * A body that is there already is used again; an axis that already drives or is driven by a line is not, for a shaft each has its own.
 *
 * @see docs/methods/layouts.md
 */
export function withLayout(build: Build, layout: Layout): Build {
  const added: Additions = { bodies: [], points: [], axes: [], levers: [], lines: [] }
  const ids = idsOf(build)
  const bodies = new Map<LineEnd, BodyId>()
  const axisNames = new Set(build.axes.map(({ name }) => name))
  for (const plan of layout.lines) {
    const name = freeName(plan.name, [...build.lines, ...added.lines])
    const end = (which: LineEnd) => {
      const there = bodies.get(which) ?? bodyAt(build, which) ?? newBody(which, layout, ids, added)
      bodies.set(which, there)
      return there
    }
    added.lines.push(newLine(plan, name, end(plan.from), end(plan.to), ids, added, axisNames))
  }
  return {
    ...build,
    bodies: [...build.bodies, ...added.bodies],
    points: [...build.points, ...added.points],
    axes: [...build.axes, ...added.axes],
    levers: [...build.levers, ...added.levers],
    lines: [...build.lines, ...added.lines],
  }
}

/** Gives ids that are not used yet, from plain words. */
export type Ids = (base: string) => Id

export function idsOf(build: Build): Ids {
  const lists = [
    build.bodies,
    build.points,
    build.axes,
    build.levers,
    build.lines,
    build.chains ?? [],
    sprocketsOf(build),
  ]
  const taken = new Set(lists.flatMap((list) => list.map(({ id }) => id)))
  return (base) => {
    const plain = base
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .slice(0, 50)
    let id = plain
    for (let count = 2; taken.has(id); count++) id = `${plain}-${count}`
    taken.add(id)
    return id
  }
}

function freeName(name: string, lines: readonly Line[]): string {
  let free = name
  for (let count = 2; lines.some((line) => line.name === free); count++) free = `${name} ${count}`
  return free
}

const NAMES: Readonly<Record<LineEnd, string>> = {
  gearbox: 'powertrain',
  'transfer-case': 'transfer case',
  'front-axle': 'front axle',
  'rear-axle': 'rear axle',
  'left-hub': 'left hub',
  'right-hub': 'right hub',
}

const SHAFT_NAMES: Readonly<Record<LineEnd, string>> = {
  gearbox: 'gearbox output',
  'transfer-case': 'transfer case',
  'front-axle': 'front pinion',
  'rear-axle': 'pinion',
  'left-hub': 'left hub',
  'right-hub': 'right hub',
}

/** What the ends of a line are called: a builder stands before a gearbox or a pinion, not before what drives. */
const END_NAMES: Readonly<Record<LineEnd, string>> = {
  gearbox: 'gearbox end',
  'transfer-case': 'transfer case end',
  'front-axle': 'front pinion end',
  'rear-axle': 'pinion end',
  'left-hub': 'hub end',
  'right-hub': 'hub end',
}

function bodyAt(build: Build, which: LineEnd): BodyId | undefined {
  if (which === 'gearbox') return powertrainOf(build)?.id
  const isIt = (body: Body): boolean => {
    switch (which) {
      case 'transfer-case':
        return body.kind === 'transfer-case'
      case 'front-axle':
        return body.kind === 'axle' && body.noseFaces === 'rearward'
      case 'rear-axle':
        return body.kind === 'axle' && body.noseFaces === 'forward'
      default:
        return body.kind === 'hub' && body.side === (which === 'left-hub' ? 'left' : 'right')
    }
  }
  return build.bodies.find(isIt)?.id
}

function newBody(which: LineEnd, { isFixed }: Layout, ids: Ids, added: Additions): BodyId {
  const id = ids(NAMES[which])
  const named = { id, name: NAMES[which] }
  const suspension = isFixed ? 'fixed' : 'leaf'
  if (which === 'gearbox') added.bodies.push({ ...named, kind: 'powertrain' })
  else if (which === 'transfer-case') added.bodies.push({ ...named, kind: 'transfer-case' })
  else if (which === 'left-hub' || which === 'right-hub')
    added.bodies.push({ ...named, kind: 'hub', side: which === 'left-hub' ? 'left' : 'right' })
  else {
    const centre = ids(`${NAMES[which]} centre`)
    added.points.push({ id: centre, name: `${NAMES[which]}, wheel axis`, body: id })
    const noseFaces = which === 'front-axle' ? 'rearward' : 'forward'
    added.bodies.push({ ...named, kind: 'axle', centre, noseFaces, suspension })
    if (!isFixed)
      added.levers.push({
        id: ids(`${NAMES[which]} wedge`),
        kind: 'wedge',
        body: id,
        range: [-6, 6],
        step: 0.5,
      })
  }
  return id
}

function newLine(
  plan: LinePlan,
  name: string,
  from: BodyId,
  to: BodyId,
  ids: Ids,
  added: Additions,
  axisNames: Set<string>,
): Line {
  const isAcross = plan.flow === 'left' || plan.flow === 'right'
  const axis = (which: LineEnd, body: BodyId): Id => {
    const id = ids(`${name} ${which === plan.from ? 'drive' : 'driven'}`)
    const plain = SHAFT_NAMES[which]
    added.axes.push({
      id,
      name: axisNames.has(plain) ? `${plain}, ${name}` : plain,
      body,
      ...(isAcross && { lies: 'across' as const }),
    })
    axisNames.add(plain)
    return id
  }
  const point = (which: string, body: BodyId): Id => {
    const id = ids(`${name} ${which}`)
    added.points.push({ id, name: `${name}, ${which}`, body })
    return id
  }
  const last = plan.joints.length - 1
  const joints = plan.joints.map((kind, index): Joint => {
    const ends =
      index === 0
        ? { point: point(END_NAMES[plan.from], from) }
        : index === last
          ? { point: point(END_NAMES[plan.to], to) }
          : {}
    return { id: `joint-${index + 1}`, kind, ...ends }
  })
  const shafts = plan.joints.slice(1).map((_, index): Shaft => {
    const isLast = index === last - 1
    return {
      id: `shaft-${index + 1}`,
      ...(index === 0 && { drivingEnd: hardware(plan.ends?.[0]) }),
      ...(isLast && { drivenEnd: hardware(plan.ends?.[1]) }),
      ...(!isLast && { bearing: newBearing(name, index, last, ids, added) }),
      ...(isLast && plan.slip === 'spline' && { slip: {} }),
      ...(isLast && plan.slip === 'plunge' && { plunge: {} }),
    }
  })
  return {
    id: ids(name),
    name,
    school: plan.school,
    driving: axis(plan.from, from),
    driven: axis(plan.to, to),
    ...(plan.flow !== 'rearward' && { flow: plan.flow }),
    joints,
    shafts,
  }
}

const hardware = (kind: EndKind = 'flange'): ShaftEnd => ({ kind })

/** Behind the bearing a joint usually stands about as far as its yoke is long. */
const USUAL_OVERHANG_MM = 60

/** A centre bearing on a bracket of its own, which can be packed up, aside and along. */
export function newBearing(
  line: string,
  index: number,
  last: number,
  ids: Ids,
  added: Additions,
): Shaft['bearing'] {
  const name = last > 2 ? `centre bearing ${index + 1}` : 'centre bearing'
  const body = ids(`${line} ${name}`)
  const point = ids(`${line} ${name} middle`)
  added.bodies.push({ id: body, kind: 'bearing-bracket', name: `${line}, ${name}` })
  added.points.push({ id: point, name: `${line}, ${name}`, body })
  const lever = (kind: Lever['kind'], range: readonly [number, number], step: number) =>
    added.levers.push({ id: ids(`${line} ${name} ${kind}`), kind, body, range, step })
  lever('up', [-30, 30], 1)
  lever('sideways', [-20, 20], 1)
  lever('fore', [-40, 40], 5)
  return { point, overhangMm: USUAL_OVERHANG_MM }
}
