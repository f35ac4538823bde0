import { DIFFERENCE, PLUS_TIMES } from '../base/columns/arithmetic'
import {
  scalarStep,
  vectorStep,
  type Column,
  type Graph,
  type MoveColumns,
  type VectorColumns,
} from '../base/columns/graph'
import type { LeverKind } from '../file/build/lever'
import type { Id } from '../file/parts/id'
import type { Shift, ShiftGateEntry } from '../file/parts/shiftLinkage'
import { SMALL_MOVE } from '../making/mounts/mountKernels'
import { PIN_AT, ROD_BETWEEN, ROD_REACH } from '../shift/rod/rodKernels'
import { bodiesOf } from '../stand/placedState'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import { rigidly } from '../vehicle/moves/bodyMove'
import type { StandingArm } from './standingArm'
import type { Ground } from './subject'

/** A gate of both ends as it was read: where each arm stands in its plane, in radians. */
export interface ReadGate {
  readonly gate: ShiftGateEntry
  readonly lever: Column
  readonly box: Column
}

/** Both arms of a linkage, and what lies between them. */
export interface Train {
  readonly lever: StandingArm
  readonly box: StandingArm
  /** Of a cable its outer fixings; null for a rod. */
  readonly cable: { readonly from: VectorColumns; readonly to: VectorColumns } | null
}

/** The cable that a linkage is worked by, where its outer fixings are. */
export interface ShiftCable extends NonNullable<Train['cable']> {
  readonly points: { readonly from: Id; readonly to: Id }
  /** What it loses at each reversal; absent where nobody told its play. */
  readonly lostMm: Column | undefined
}

export const pinOf = (graph: Graph, { pivot, from, toward, armMm }: StandingArm, at: Column): VectorColumns =>
  vectorStep(graph, PIN_AT, [...pivot, ...from, ...toward, at, armMm])

/** A size of a linkage with what its levers make it more. */
export function leveredBy(
  { build, graph, levers }: Ground,
  shift: Shift,
  kind: LeverKind,
  size: Column,
): Column {
  return build.levers
    .filter((lever) => lever.kind === kind && lever.shift === shift.id)
    .reduce((sum, { id }) => {
      const amount = levers.get(id)
      return amount === undefined ? sum : scalarStep(graph, PLUS_TIMES, [sum, amount], [1])
    }, size)
}

/**
 * The length between both arms: of a rod from pin to pin, of a cable what of its inner is outside its outer at both ends. As it is told, or as it comes to in the
 * gate that it is set in; with what a lever makes it longer. Null without either.
 */
export function lengthOf(
  ground: Ground,
  shift: Shift,
  train: Train,
  gates: readonly ReadGate[],
): Column | null {
  const { graph } = ground
  const { setIn, rodMm } = shift
  const longer = (length: Column) => leveredBy(ground, shift, 'rod-length', length)
  if (setIn === undefined) return rodMm === undefined || train.cable ? null : longer(graph.source(rodMm))
  const set = gates.find(({ gate }) => gate.id === setIn)
  if (!set) return null
  const [pin, boxPin] = [pinOf(graph, train.lever, set.lever), pinOf(graph, train.box, set.box)]
  const between = (a: VectorColumns, b: VectorColumns) => scalarStep(graph, ROD_BETWEEN, [...a, ...b])
  if (!train.cable) return longer(between(pin, boxPin))
  const { from, to } = train.cable
  return longer(scalarStep(graph, PLUS_TIMES, [between(pin, from), between(boxPin, to)], [1]))
}

/** Where what lies between lets the gearbox's arm stand in a gate of the lever. */
export interface Reach {
  readonly read: ReadGate
  readonly pin: VectorColumns
  /** The place from which the arm's pin is held, and how far. */
  readonly held: VectorColumns
  readonly heldMm: Column
  readonly middle: Column
  readonly half: Column
  readonly short: Column
}

export function reachIn(graph: Graph, { lever, box, cable }: Train, read: ReadGate, lengthMm: Column): Reach {
  const pin = pinOf(graph, lever, read.lever)
  const heldMm = cable
    ? scalarStep(graph, DIFFERENCE, [lengthMm, scalarStep(graph, ROD_BETWEEN, [...pin, ...cable.from])])
    : lengthMm
  const held = cable ? cable.to : pin
  const [middle, half, short] = graph.step(ROD_REACH, [
    ...[...held, ...box.pivot, ...box.from, ...box.toward],
    ...[heldMm, box.armMm],
  ]) as unknown as VectorColumns
  return { read, pin, held, heldMm, middle, half, short }
}

/** The train in each case of the mounts: what is on a body that gives has moved along. */
export function rockedTrains(ground: Ground, shift: Shift, train: Train, cable: ShiftCable | null): Train[] {
  const { graph, build, places } = ground
  const bodyOf = bodiesOf(build).point
  return places.sprung().flatMap(({ body, sprung }) => {
    if (!sprung.known) return []
    const isOn = (point: Id | undefined) => {
      const on = point === undefined ? undefined : bodyOf.get(point)
      return on !== undefined && goesAlongWith(build, on, body.id)
    }
    const points = [shift.lever.pivot, shift.box.pivot, cable?.points.from, cable?.points.to]
    const on = points.filter((point) => point !== undefined).map(isOn)
    // What goes along as one is as it was.
    if (on.every((one) => one === on[0])) return []
    return sprung.value.cases.map(({ shift: by, turn }) => {
      const move = rigidly(graph, graph.step(SMALL_MOVE, [...by, ...turn]) as unknown as MoveColumns)
      const arm = (one: StandingArm, pivot: Id): StandingArm =>
        isOn(pivot)
          ? {
              ...{ pivot: move.point(one.pivot), armMm: one.armMm },
              ...{ from: move.direction(one.from), toward: move.direction(one.toward) },
            }
          : one
      const end = (place: VectorColumns, point: Id) => (isOn(point) ? move.point(place) : place)
      return {
        lever: arm(train.lever, shift.lever.pivot),
        box: arm(train.box, shift.box.pivot),
        cable: cable && { from: end(cable.from, cable.points.from), to: end(cable.to, cable.points.to) },
      }
    })
  })
}
