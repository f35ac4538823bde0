import { PLUS_TIMES, SIZE } from '../base/columns/arithmetic'
import { scalarStep, vectorStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import type { LeverKind } from '../file/build/lever'
import { allKnown, andThen, mapKnown, unknown, type Known } from '../base/known'
import { hasGate, type Shift, type ShiftEnd, type ShiftGateEntry } from '../file/parts/shiftLinkage'
import { armPlane, gateAngle, type ArmPlane } from '../measure/points/armReading'
import { CAPTURE } from '../shift/rod/gates'
import * as kernels from '../shift/rod/rodKernels'
import { knobColumns, type KnobColumns } from './knobColumns'
import type { StandingArm } from './standingArm'
import type { Ground } from './subject'

/** Figures of one gate, by their names in the published result. */
export const SHIFT_GATE_FIGURES = ['errorDeg', 'leftDeg', 'transmissionDeg', 'ratio', 'missesMm'] as const
export type ShiftGateFigure = (typeof SHIFT_GATE_FIGURES)[number]

/** A gate of both ends. */
export interface ShiftGateColumns {
  readonly gate: ShiftGateEntry
  /** Where each arm stands in it as read, in radians in its plane. */
  readonly lever: Column
  readonly box: Column
  /** Absent without a rod. */
  readonly figures: Readonly<Record<ShiftGateFigure, Column>> | null
}

export interface ShiftColumns {
  readonly lever: StandingArm
  readonly box: StandingArm
  readonly gates: readonly ShiftGateColumns[]
  /** Null where nobody told the lever's other end. */
  readonly knob: Known<KnobColumns> | null
  /** From pin to pin, as it is or as it is set; null without either. */
  readonly rodMm: Column | null
  /** What a detent draws in, and what both plays let the gearbox's arm turn; in degrees. */
  readonly captureDeg: Column
  readonly lostDeg: Column
}

/** All that is worked out of a shift linkage. */
export function shiftColumns(ground: Ground, shift: Shift): Known<ShiftColumns> {
  const arms = allKnown([armAt(ground, shift, 'lever'), armAt(ground, shift, 'box')] as const)
  return andThen(arms, ([lever, box]) => {
    const both = shift.gates.filter((gate) => hasGate(gate, 'lever') && hasGate(gate, 'box'))
    const { context } = ground.measured
    const read = allKnown<{ gate: ShiftGateEntry; lever: Column; box: Column }[]>(
      both.map((gate) =>
        mapKnown(
          allKnown([
            gateAngle(context, shift, 'lever', gate, lever.read),
            gateAngle(context, shift, 'box', gate, box.read),
          ] as const),
          ([leverAt, boxAt]) => ({ gate, lever: leverAt, box: boxAt }),
        ),
      ),
    )
    return mapKnown(read, (gates) => columnsOf(ground, shift, { lever: lever.now, box: box.now }, gates))
  })
}

const ARM_LEVERS = { lever: 'lever-arm', box: 'box-arm' } as const satisfies Record<ShiftEnd, LeverKind>

/** An arm as its plane was read, and where it stands now. */
function armAt(
  ground: Ground,
  shift: Shift,
  end: ShiftEnd,
): Known<{ readonly read: ArmPlane; readonly now: StandingArm }> {
  const { build, measured, places } = ground
  const { pivot: id } = shift[end]
  const ride = places.placed(null, null)
  if (!build.points.some((point) => point.id === id)) return unknown(`point "${id}" is not in the build`)
  return mapKnown(
    allKnown([armPlane(measured.context, shift[end]), ride.point(id)] as const),
    ([read, pivot]) => {
      const turned = (way: VectorColumns) =>
        ride.pointMoves(id).reduce((from, move) => move.direction(from), way)
      const armMm = leveredBy(ground, shift, ARM_LEVERS[end], ground.graph.source(shift[end].armMm))
      return { read, now: { pivot, armMm, from: turned(read.from), toward: turned(read.toward) } }
    },
  )
}

/** A gate of both ends as it was read. */
type Read = Omit<ShiftGateColumns, 'figures'>
interface Arms {
  readonly lever: StandingArm
  readonly box: StandingArm
}

function columnsOf(ground: Ground, shift: Shift, arms: Arms, gates: readonly Read[]): ShiftColumns {
  const { graph } = ground
  const detents = gates.map(({ box }) => box)
  const captureDeg = scalarStep(graph, kernels.detentCapture(detents.length, CAPTURE), detents)
  const plays = (shift.lever.playMm ?? 0) + (shift.box.playMm ?? 0)
  const lostDeg = scalarStep(graph, kernels.PLAYS_LET, [arms.box.armMm], [plays])
  const rodMm = rodOf(ground, shift, arms, gates)
  const knob = knobColumns(ground, shift, arms.lever, gates)
  const plain = { ...arms, captureDeg, lostDeg, rodMm, knob }
  if (rodMm === null) return { ...plain, gates: gates.map((gate) => ({ ...gate, figures: null })) }
  const reaches = gates.map((gate) => reachIn(graph, arms, gate, rodMm))
  const [first] = reaches
  if (!first) return { ...plain, gates: [] }
  const branch = scalarStep(graph, kernels.ROD_BRANCH, [first.middle, first.half, first.read.box])
  const shared = { rodMm, branch, captureDeg, lostDeg }
  return {
    ...plain,
    gates: reaches.map((reach) => ({ ...reach.read, figures: figuresIn(graph, arms, reach, shared) })),
  }
}

/** Where the rod lets the gearbox's arm stand in a gate of the lever. */
interface Reach {
  readonly read: Read
  readonly pin: VectorColumns
  readonly middle: Column
  readonly half: Column
  readonly short: Column
}

function reachIn(graph: Graph, { lever, box }: Arms, read: Read, rodMm: Column): Reach {
  const pin = pinOf(graph, lever, read.lever)
  const [middle, half, short] = graph.step(kernels.ROD_REACH, [
    ...pin,
    ...box.pivot,
    ...box.from,
    ...box.toward,
    rodMm,
    box.armMm,
  ]) as unknown as VectorColumns
  return { read, pin, middle, half, short }
}

function figuresIn(
  graph: Graph,
  { lever, box }: Arms,
  { read, pin, middle, half, short }: Reach,
  {
    rodMm,
    branch,
    captureDeg,
    lostDeg,
  }: Pick<ShiftColumns, 'captureDeg' | 'lostDeg'> & { readonly rodMm: Column; readonly branch: Column },
): Readonly<Record<ShiftGateFigure, Column>> {
  const reached = graph.step(kernels.ARM_REACHED, [middle, half, branch, read.box])
  const [angle, errorDeg] = reached as unknown as [Column, Column]
  const sway = (arm: StandingArm, at: Column) =>
    vectorStep(graph, kernels.PIN_SWAY, [...arm.from, ...arm.toward, at, arm.armMm])
  const leverSway = sway(lever, read.lever)
  const boxSway = sway(box, angle)
  const boxPin = pinOf(graph, box, angle)
  const pulls = graph.step(kernels.ROD_ON_ARM, [
    ...pin,
    ...boxPin,
    ...leverSway,
    ...boxSway,
    rodMm,
    box.armMm,
  ])
  const [transmissionDeg, ratio] = pulls as unknown as [Column, Column]
  return {
    errorDeg,
    leftDeg: scalarStep(graph, kernels.LEFT_OF_DETENT, [captureDeg, lostDeg, errorDeg]),
    transmissionDeg,
    ratio,
    missesMm: scalarStep(graph, SIZE, [short]),
  }
}

/** The rod as it is told, or as long as it is from pin to pin in the gate that it is set in; with what a lever screws it out. */
function rodOf(ground: Ground, shift: Shift, arms: Arms, gates: readonly Read[]): Column | null {
  const { graph } = ground
  const { setIn, rodMm } = shift
  if (setIn === undefined)
    return rodMm === undefined ? null : leveredBy(ground, shift, 'rod-length', graph.source(rodMm))
  const set = gates.find(({ gate }) => gate.id === setIn)
  if (!set) return null
  const pins = [...pinOf(graph, arms.lever, set.lever), ...pinOf(graph, arms.box, set.box)]
  return leveredBy(ground, shift, 'rod-length', scalarStep(graph, kernels.ROD_BETWEEN, pins))
}

/** A size of a linkage with what its levers make it more. */
function leveredBy({ build, graph, levers }: Ground, shift: Shift, kind: LeverKind, size: Column): Column {
  return build.levers
    .filter((lever) => lever.kind === kind && lever.shift === shift.id)
    .reduce((sum, { id }) => {
      const amount = levers.get(id)
      return amount === undefined ? sum : scalarStep(graph, PLUS_TIMES, [sum, amount], [1])
    }, size)
}

const pinOf = (graph: Graph, { pivot, from, toward, armMm }: StandingArm, at: Column): VectorColumns =>
  vectorStep(graph, kernels.PIN_AT, [...pivot, ...from, ...toward, at, armMm])
