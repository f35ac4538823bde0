import { allKnown, known, unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Line } from '../../file/parts/lineSpec'
import { goesAlongWith } from '../../vehicle/bodies/bodyMoves'
import { heldNm } from '../../vehicle/strength/lineTorque'
import { chainOf } from './chainRuns'
import type { Reaction } from './mountCases'
import { mountableBodies, type MountableBody } from './mountedBodies'

/** How a powertrain gives its torque: to a shaft, straight to the wheels with the final drive inside, or to a chain. */
export type GoesOut = 'shaft' | 'wheels' | 'chain'

/** What goes out of a unit, and what that does to it. */
export interface UnitDrive {
  readonly goesOut: GoesOut
  /** Inside it, behind the gears. */
  readonly final: number
  /** The ranges of a transfer case turn it as well. */
  readonly hasRanges: boolean
  /** What the tyres hold of what goes out; null where that is not known. */
  readonly limitNm: number | null
  readonly reaction: Reaction
  /** Axes whose ways it is turned about, each with its part of the torque; none where no shaft says which. */
  readonly shafts: readonly { readonly axis: Id; readonly part: number }[]
}

/**
 * How the torque of a build goes through a unit.
 *
 * @returns unknown where its shafts go to the wheels and nobody said how a final drive turns them
 */
export function driveOf(build: Build, body: MountableBody): Known<UnitDrive> {
  switch (body.kind) {
    case 'powertrain':
      return powertrainDrive(build, body)
    case 'transfer-case':
      return transferDrive(build, body)
    case 'axle':
      return axleDrive(build, body)
  }
}

/** A shaft that turns anticlockwise seen from behind turns about the way to the rear. */
const senseOf = ({ drivetrain }: Build): 1 | -1 => (drivetrain.turns === 'clockwise' ? -1 : 1)

function powertrainDrive(build: Build, body: MountableBody): Known<UnitDrive> {
  const driven = linesFrom(build, body)
  const kinds = new Map(build.bodies.map(({ id, kind }) => [id, kind]))
  const bodies = new Map(build.axes.map((axis) => [axis.id, axis.body]))
  const toWheels = driven.filter((line) => kinds.get(bodies.get(line.driven) ?? '') === 'hub')
  const limitNm = heldAlong(build, driven)
  // A transfer case that stands for itself takes its own reaction.
  const hasRanges = !mountableBodies(build).some(({ kind }) => kind === 'transfer-case')
  const [first] = toWheels
  if (first) {
    const final = build.drivetrain.outputs?.find(({ axis }) => axis === first.driving)?.ratio
    if (final === undefined)
      return unknown('turns of the gearbox for one of the wheels’ shafts', 'drivetrain.outputs')
    // The front rises as they drive forward, whichever way the engine lies.
    const reaction: Reaction = { along: 0, fixed: [0, -1, 0] }
    return known({ goesOut: 'wheels', final, hasRanges, limitNm, reaction, shafts: [] })
  }
  if (driven.length === 0 && chainOf(build) !== null)
    return known({
      ...{ goesOut: 'chain', final: 1, hasRanges, limitNm },
      ...{ reaction: { along: 0, fixed: [0, 0, 0] }, shafts: [] },
    })
  const reaction: Reaction = { along: -senseOf(build), fixed: [0, 0, 0] }
  return shaftDrive({ goesOut: 'shaft', final: 1, hasRanges, limitNm, reaction }, build, driven)
}

/** Turned by what it gives beyond what it is given. */
function transferDrive(build: Build, body: MountableBody): Known<UnitDrive> {
  const driven = linesFrom(build, body)
  const range = Math.max(1, ...(build.drivetrain.ranges ?? []).map(({ ratio }) => ratio))
  const reaction: Reaction = { along: -senseOf(build) * (1 - 1 / range), fixed: [0, 0, 0] }
  const limitNm = heldAlong(build, driven)
  return shaftDrive({ goesOut: 'shaft', final: 1, hasRanges: true, limitNm, reaction }, build, driven)
}

/** Turned by its pinion, and the other way by its wheels. */
function axleDrive(build: Build, body: MountableBody): Known<UnitDrive> {
  const line = lineInto(build, body)
  const final = build.drivetrain.axleRatios?.find(({ axle }) => axle === body.id)?.ratio
  if (!line) return unknown(`a line that drives ${body.name}`, 'lines')
  if (final === undefined) return unknown(`the final drive of ${body.name}`, 'drivetrain.axleRatios')
  const before = build.drivetrain.outputs?.find(({ axis }) => axis === line.driving)?.ratio ?? 1
  return known({
    ...{ goesOut: 'shaft', final: before, hasRanges: true, limitNm: heldAlong(build, [line]) },
    reaction: { along: senseOf(build), fixed: [0, -final, 0] },
    shafts: [{ axis: line.driven, part: 1 }],
  })
}

function shaftDrive(
  drive: Omit<UnitDrive, 'shafts'>,
  { drivetrain }: Build,
  driven: readonly Line[],
): Known<UnitDrive> {
  const isOpen = drivetrain.drive === 'open' && driven.length === 2
  const { frontShare = 0.5 } = drivetrain
  const shafts = driven.map(({ driving, flow }) => ({
    axis: driving,
    part: isOpen ? (flow === 'forward' ? frontShare : 1 - frontShare) : 1 / driven.length,
  }))
  if (shafts.length === 0)
    return known({ ...drive, shafts }, ['torque goes out along the vehicle, as no line says which way'])
  const isShared = shafts.length > 1 && !isOpen
  return known({ ...drive, shafts }, isShared ? ['its outputs bear alike'] : [])
}

/** What the tyres hold at the outputs of all lines together; null where it is not known of each. */
function heldAlong(build: Build, lines: readonly Line[]): number | null {
  const held = allKnown(lines.map((line) => heldNm(build, line)))
  return held.known && lines.length > 0 ? held.value.reduce((sum, one) => sum + one, 0) : null
}

/** The line that drives a body from another. */
export function lineInto(build: Build, { id }: MountableBody): Line | undefined {
  const own = new Set(build.axes.flatMap((axis) => (axis.body === id ? [axis.id] : [])))
  return build.lines.find(({ driving, driven }) => own.has(driven) && !own.has(driving))
}

/** Lines that a body drives, or what is bolted to it, to another. */
export function linesFrom(build: Build, { id }: MountableBody): Line[] {
  const own = new Set(build.axes.flatMap((axis) => (goesAlongWith(build, axis.body, id) ? [axis.id] : [])))
  return build.lines.filter(({ driving, driven }) => own.has(driving) && !own.has(driven))
}
