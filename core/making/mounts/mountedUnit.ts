import { known, unknown, type Known, type Missing } from '../../base/known'
import { add, dot, norm, scale, sub, turnAbout, type Vec3 } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'
import type { Build } from '../../file/build/build'
import { MOUNT_FIGURES, type ElasticMountEntry } from '../../file/kinds/mountKinds'
import { centreOfMass, type Mass } from '../../vehicle/weight/masses'
import { hangingMasses, laterMasses } from '../../vehicle/weight/weightOf'
import type { ShaftTorque } from './load'
import type { MountedUnit } from './mountCases'
import { springParts, type MountSpring, type SpringParts } from './spring'
import { driveOf, type GoesOut } from './unitDrive'

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

const STOPS: Readonly<Record<NonNullable<ElasticMountEntry['way']>, Vec3>> = {
  up: [0, 0, 1],
  down: [0, 0, -1],
  left: [0, 1, 0],
  right: [0, -1, 0],
  forward: [1, 0, 0],
  back: [-1, 0, 0],
}

/** Of a bush its bolt, of a stop the way in which it pushes, of anything else upright to its face; a lean takes its top to the left. */
export function directionOf({ kind, bolt = 'along', way = 'up', leanDeg = 0 }: ElasticMountEntry): Vec3 {
  const told = kind === 'bush' ? BOLTS[bolt] : kind === 'stop' ? STOPS[way] : BOLTS.up
  return leanDeg === 0 ? told : turnAbout(told, BOLTS.along, -radians(leanDeg))
}

function springOf(entry: ElasticMountEntry): MountSpring {
  const { axialNPerMm = NaN, radialNPerMm = NaN, pressNPerMm = NaN, shearNPerMm = NaN } = entry
  const { forwardNPerMm = NaN, leftNPerMm = NaN, upNPerMm = NaN, gapMm = 0 } = entry
  const direction = directionOf(entry)
  switch (entry.kind) {
    case 'bush':
      return { kind: 'bush', axis: direction, axial: axialNPerMm, radial: radialNPerMm }
    case 'pad':
      return { kind: 'pad', normal: direction, press: pressNPerMm, shear: shearNPerMm }
    case 'stop':
      return { kind: 'stop', normal: direction, gapMm, press: pressNPerMm }
    case 'ways':
      return { kind: 'axes', perMm: [forwardNPerMm, leftNPerMm, upNPerMm] }
  }
}

/** What stays in a bolt that was pulled in over a hole that was off: stiffness times misfit, on the powertrain; null where nothing was off. */
export function strainOf(entry: ElasticMountEntry): Vec3 | null {
  const { forwardMm = 0, leftMm = 0, upMm = 0 } = entry.misfit ?? {}
  const off: Vec3 = [forwardMm, leftMm, upMm]
  if (norm(off) === 0 || MOUNT_FIGURES[entry.kind].some((figure) => entry[figure] === undefined)) return null
  const { always, contact } = springParts(springOf(entry))
  const held: Vec3 = [dot(always[0], off), dot(always[1], off), dot(always[2], off)]
  if (!contact) return held
  // Pressed against it, not drawn off it.
  return add(held, scale(contact.normal, contact.press * Math.max(0, dot(contact.normal, off))))
}

/** A unit with its centre of gravity as it was measured: forward, left and up. */
export interface CarriedUnit extends MountedUnit {
  readonly centre: Vec3
}

/** What hangs on the hoist stands on the mounts. */
export function unitOf(build: Build): Known<CarriedUnit> {
  const { weight, drivetrain, bodies } = build
  const sheet = weight ?? { masses: [] }
  const [hanging, later, drive] = [hangingMasses(sheet), laterMasses(sheet), driveOf(build)]
  const { peakTorqueNm, converterRatio = 1, gears = [], ranges = [], turns } = drivetrain
  const missing: Missing[] = [
    ...[hanging, later, drive].flatMap((one) => (one.known ? [] : one.missing)),
    ...(peakTorqueNm === undefined
      ? [{ what: 'the engine’s highest torque', path: 'drivetrain.peakTorqueNm' }]
      : []),
    ...(gears.length > 0 ? [] : [{ what: 'the gears', path: 'drivetrain.gears' }]),
  ]
  if (!hanging.known || !later.known || !drive.known || missing.length > 0 || peakTorqueNm === undefined)
    return { known: false, missing }
  const { kg, ...centre } = centreOfMass(hanging.value)
  // A transfer case that stands for itself takes its own reaction.
  const isApart = bodies.some(({ kind }) => kind === 'transfer-case')
  const torque: ShaftTorque = {
    engineNm: peakTorqueNm,
    gearRatio: Math.max(...gears.map(({ ratio }) => ratio)),
    range: (isApart ? 1 : Math.max(1, ...ranges.map(({ ratio }) => ratio))) * drive.value.final,
    converter: converterRatio,
    shock: weight?.shock ?? USUAL_SHOCK,
    turns: turns ?? 'anticlockwise',
    ...WHEELS[drive.value.goesOut],
  }
  const back = gears.find(({ ratio }) => ratio < 0)
  const unit: CarriedUnit = {
    massKg: kg,
    centre: placeOf(centre),
    torque,
    reverse: back ? { ...torque, gearRatio: back.ratio, shock: REVERSE_SHOCK } : null,
    later: later.value.map((mass) => ({ kg: mass.kg, aside: sub(placeOf(mass), placeOf(centre)) })),
  }
  const isTurned = drive.value.goesOut === 'shaft' && turns === undefined
  return known(unit, [
    ...(weight?.shock === undefined ? [`a shock of ${USUAL_SHOCK}, as nobody said another`] : []),
    ...(isTurned ? ['the shaft turns anticlockwise in first gear, seen from behind'] : []),
  ])
}

/** The wheels' torque goes out across: the front rises as they drive forward, whichever way the engine lies. */
const WHEELS: Readonly<Record<GoesOut, Partial<ShaftTorque>>> = {
  shaft: {},
  wheels: { axis: [0, 1, 0], turns: 'anticlockwise' },
  chain: {},
}

const placeOf = ({ station, offset, height }: Omit<Mass, 'kg'>): Vec3 => [-station, offset, height]

/** All is told that it takes to say how the powertrain gives on its mounts. */
export const isSprung = (build: Build): boolean => springsOf(build).known && unitOf(build).known
