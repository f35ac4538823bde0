import { scalarStep, type Column, type VectorColumns } from '../base/columns/graph'
import type { LeverKind } from '../file/build/lever'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../base/known'
import type { Cable } from '../file/parts/cable'
import { hasGate, type Shift, type ShiftEnd } from '../file/parts/shiftLinkage'
import { armPlane, gateAngle, type ArmPlane } from '../measure/points/armReading'
import { CAPTURE } from '../shift/rod/gates'
import { detentCapture, PLAYS_LET } from '../shift/rod/detentKernels'
import * as kernels from '../shift/rod/rodKernels'
import type { CableColumns } from './cableColumns'
import { gateFigures, type ShiftGateFigure } from './gateFigures'
import {
  lengthOf,
  leveredBy,
  reachIn,
  rockedTrains,
  type ReadGate,
  type ShiftCable,
  type Train,
} from './shiftDrive'
import { knobColumns, type KnobColumns } from './knobColumns'
import type { StandingArm } from './standingArm'
import type { Ground } from './subject'

/** A gate of both ends. */
export interface ShiftGateColumns extends ReadGate {
  /** Without a rod or a set cable there are none; none with the engine rocked where no mounts are told. */
  readonly figures: Readonly<Partial<Record<ShiftGateFigure, Column>>>
}

export interface ShiftColumns {
  readonly lever: StandingArm
  readonly box: StandingArm
  readonly gates: readonly ShiftGateColumns[]
  /** Detents that the lever has no mark for, as far as they are read. */
  readonly alone: readonly Pick<ReadGate, 'gate' | 'box'>[]
  /** Null where nobody told the lever's other end. */
  readonly knob: Known<KnobColumns> | null
  /** From pin to pin, as it is or as it is set; null without either, or for a cable. */
  readonly rodMm: Column | null
  /** Outer fixings of the cable that works it; null for a rod. */
  readonly cable: Train['cable']
  /** What a detent draws in, and what both plays let the gearbox's arm turn; in degrees. */
  readonly captureDeg: Column
  readonly lostDeg: Column
}

/** All that is worked out of a shift linkage. */
export function shiftColumns(
  ground: Ground,
  shift: Shift,
  cables: readonly { readonly cable: Cable; readonly columns: Known<CableColumns> }[],
): Known<ShiftColumns> {
  const arms = allKnown([
    armAt(ground, shift, 'lever'),
    armAt(ground, shift, 'box'),
    cableOf(shift, cables),
  ] as const)
  return andThen(arms, ([lever, box, cable]) => {
    const both = shift.gates.filter((gate) => hasGate(gate, 'lever') && hasGate(gate, 'box'))
    const { context } = ground.measured
    const read = allKnown<ReadGate[]>(
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
    const alone = shift.gates.flatMap((gate) => {
      const at = gate.only === 'box' ? gateAngle(context, shift, 'box', gate, box.read) : null
      return at?.known ? [{ gate, box: at.value }] : []
    })
    return mapKnown(read, (gates) => ({
      ...columnsOf(ground, shift, { lever: lever.now, box: box.now, cable }, gates),
      alone,
    }))
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

/** The cable that works a linkage; null for one that a rod works. */
function cableOf(
  shift: Shift,
  cables: readonly { readonly cable: Cable; readonly columns: Known<CableColumns> }[],
): Known<ShiftCable | null> {
  if (shift.cable === undefined) return known(null)
  const found = cables.find(({ cable }) => cable.id === shift.cable)
  if (!found) return unknown(`cable "${shift.cable}" is not in the build`)
  return andThen(found.columns, ({ points, figures }) => {
    const [from, to] = [points[0], points.at(-1)]
    if (!from || !to) return unknown(`${found.cable.name}: its way is not known`)
    const ends = { from: found.cable.from.point, to: found.cable.to.point }
    return known({ from, to, points: ends, lostMm: figures.lostMm })
  })
}

function columnsOf(
  ground: Ground,
  shift: Shift,
  {
    lever,
    box,
    cable,
  }: { readonly lever: StandingArm; readonly box: StandingArm; readonly cable: ShiftCable | null },
  gates: readonly ReadGate[],
): Omit<ShiftColumns, 'alone'> {
  const { graph } = ground
  const detents = gates.map((gate) => gate.box)
  const captureDeg = scalarStep(graph, detentCapture(detents.length, CAPTURE), detents)
  const plays = (shift.lever.playMm ?? 0) + (shift.box.playMm ?? 0)
  const lostMm = cable?.lostMm ?? graph.source(0)
  const lostDeg = scalarStep(graph, PLAYS_LET, [box.armMm, lostMm], [plays])
  const train: Train = { lever, box, cable: cable && { from: cable.from, to: cable.to } }
  const lengthMm = lengthOf(ground, shift, train, gates)
  const knob = knobColumns(ground, shift, lever, gates)
  const plain = { lever, box, captureDeg, lostDeg, knob, cable: train.cable, rodMm: cable ? null : lengthMm }
  if (lengthMm === null) return { ...plain, gates: gates.map((gate) => ({ ...gate, figures: {} })) }
  const reaches = gates.map((gate) => reachIn(graph, train, gate, lengthMm))
  const [first] = reaches
  if (!first) return { ...plain, gates: [] }
  const branch = scalarStep(graph, kernels.ROD_BRANCH, [first.middle, first.half, first.read.box])
  const rocked = rockedTrains(ground, shift, train, cable)
  return {
    ...plain,
    gates: reaches.map((reach) => ({
      ...reach.read,
      figures: gateFigures(graph, reach, { train, rocked, lengthMm, branch, captureDeg, lostDeg }),
    })),
  }
}
