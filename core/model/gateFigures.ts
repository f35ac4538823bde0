import { SIZE } from '../base/columns/arithmetic'
import { scalarStep, vectorStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import { largestOf, leftOfDetent } from '../shift/rod/detentKernels'
import * as kernels from '../shift/rod/rodKernels'
import { pinOf, reachIn, type Reach, type Train } from './shiftDrive'
import type { StandingArm } from './standingArm'

/** Figures of one gate, by their names in the published result. */
export const SHIFT_GATE_FIGURES = [
  'errorDeg',
  'rockedDeg',
  'leftDeg',
  'transmissionDeg',
  'ratio',
  'missesMm',
] as const
export type ShiftGateFigure = (typeof SHIFT_GATE_FIGURES)[number]

/** What the gates of a linkage share. */
export interface SharedByGates {
  readonly train: Train
  /** In each case of the mounts. */
  readonly rocked: readonly Train[]
  readonly lengthMm: Column
  readonly branch: Column
  readonly captureDeg: Column
  readonly lostDeg: Column
}

/** Everything that is told of a gate. */
export function gateFigures(
  graph: Graph,
  reach: Reach,
  { train, rocked, lengthMm, branch, captureDeg, lostDeg }: SharedByGates,
): Readonly<Partial<Record<ShiftGateFigure, Column>>> {
  const { read, pin, held, heldMm, middle, half, short } = reach
  const reached = graph.step(kernels.ARM_REACHED, [middle, half, branch, read.box])
  const [angle, errorDeg] = reached as unknown as [Column, Column]
  const sway = (arm: StandingArm, at: Column) =>
    vectorStep(graph, kernels.PIN_SWAY, [...arm.from, ...arm.toward, at, arm.armMm])
  const boxPin = pinOf(graph, train.box, angle)
  const pulls: VectorColumns = train.cable
    ? vectorStep(graph, kernels.CABLE_PULLS, [...train.cable.from, ...pin, heldMm])
    : vectorStep(graph, kernels.ROD_PULLS, [...pin, ...boxPin])
  const [transmissionDeg, ratio] = graph.step(kernels.ROD_ON_ARM, [
    ...[...held, ...boxPin, ...pulls, ...sway(train.lever, read.lever), ...sway(train.box, angle)],
    ...[heldMm, train.box.armMm],
  ]) as unknown as [Column, Column]
  const errors = rocked.map((one) => {
    const there = reachIn(graph, one, read, lengthMm)
    return graph.step(kernels.ARM_REACHED, [there.middle, there.half, branch, read.box])[1] as Column
  })
  return {
    ...{ errorDeg, transmissionDeg, ratio, missesMm: scalarStep(graph, SIZE, [short]) },
    ...(errors.length > 0 && {
      rockedDeg: scalarStep(graph, largestOf(errors.length), errors),
    }),
    leftDeg: scalarStep(graph, leftOfDetent(errors.length + 1), [captureDeg, lostDeg, errorDeg, ...errors]),
  }
}
