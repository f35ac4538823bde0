import { known, unknown, type Known, type Missing } from '../../base/known'
import type { Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import { MOUNT_FIGURES, type ElasticMountEntry } from '../../file/kinds/mountKinds'
import { centreOfMass } from '../../vehicle/weight/masses'
import { hangingMasses } from '../../vehicle/weight/weightOf'
import type { MountedUnit } from './mountCases'
import { springParts, type MountSpring, type SpringParts } from './spring'

/** Taken for a clutch that is let go, where nobody said how hard; backwards it is let go more gently. */
const USUAL_SHOCK = 2
const REVERSE_SHOCK = 1.5

/** How the mounts of a build hold, in their order; unknown with what is not told of one. */
export function springsOf({ mounts = [] }: Build): Known<readonly SpringParts[]> {
  if (mounts.length === 0) return unknown('what the powertrain stands on', 'mounts')
  const soft = mounts.find((entry) => MOUNT_FIGURES[entry.kind].some((figure) => entry[figure] === undefined))
  if (soft) return unknown(`how stiff ${soft.name} is`, 'mounts')
  return known(mounts.map((entry) => springParts(springOf(entry))))
}

const BOLTS: Readonly<Record<'along' | 'across' | 'up', Vec3>> = {
  along: [1, 0, 0],
  across: [0, 1, 0],
  up: [0, 0, 1],
}

function springOf(entry: ElasticMountEntry): MountSpring {
  const { axialNPerMm = NaN, radialNPerMm = NaN, pressNPerMm = NaN, shearNPerMm = NaN } = entry
  const { forwardNPerMm = NaN, leftNPerMm = NaN, upNPerMm = NaN } = entry
  switch (entry.kind) {
    case 'bush':
      return { kind: 'bush', axis: BOLTS[entry.bolt ?? 'along'], axial: axialNPerMm, radial: radialNPerMm }
    case 'pad':
      return { kind: 'pad', normal: [0, 0, 1], press: pressNPerMm, shear: shearNPerMm }
    case 'ways':
      return { kind: 'axes', perMm: [forwardNPerMm, leftNPerMm, upNPerMm] }
  }
}

/** A unit with its centre of gravity as it was measured: forward, left and up. */
export interface CarriedUnit extends MountedUnit {
  readonly centre: Vec3
}

/** What hangs on the hoist stands on the mounts. */
export function unitOf({ weight, drivetrain, bodies }: Build): Known<CarriedUnit> {
  const hanging = hangingMasses(weight ?? { masses: [] })
  const { peakTorqueNm, converterRatio = 1, gears = [], ranges = [], turns } = drivetrain
  const missing: Missing[] = [
    ...(hanging.known ? [] : hanging.missing),
    ...(peakTorqueNm === undefined
      ? [{ what: 'the engine’s highest torque', path: 'drivetrain.peakTorqueNm' }]
      : []),
    ...(gears.length > 0 ? [] : [{ what: 'the gears', path: 'drivetrain.gears' }]),
  ]
  if (missing.length > 0 || !hanging.known || peakTorqueNm === undefined) return { known: false, missing }
  const { kg, station, offset, height } = centreOfMass(hanging.value)
  // A transfer case that stands for itself takes its own reaction.
  const isApart = bodies.some(({ kind }) => kind === 'transfer-case')
  const torque = {
    engineNm: peakTorqueNm,
    gearRatio: Math.max(...gears.map(({ ratio }) => ratio)),
    range: isApart ? 1 : Math.max(1, ...ranges.map(({ ratio }) => ratio)),
    converter: converterRatio,
    shock: weight?.shock ?? USUAL_SHOCK,
    turns: turns ?? 'anticlockwise',
  } as const
  const back = gears.find(({ ratio }) => ratio < 0)
  const unit: CarriedUnit = {
    massKg: kg,
    centre: [-station, offset, height],
    torque,
    reverse: back ? { ...torque, gearRatio: back.ratio, shock: REVERSE_SHOCK } : null,
  }
  return known(unit, [
    ...(weight?.shock === undefined ? [`a shock of ${USUAL_SHOCK}, as nobody said another`] : []),
    ...(turns === undefined ? ['the shaft turns anticlockwise in first gear, seen from behind'] : []),
  ])
}

/** All is told that it takes to say how the powertrain gives on its mounts. */
export const isSprung = (build: Build): boolean => springsOf(build).known && unitOf(build).known
