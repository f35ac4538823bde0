import { known, type Known, type Missing } from '../../base/known'
import { sub, type Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import type { Gear } from '../../file/parts/drivetrain'
import { centreOfMass, type Mass } from '../../vehicle/weight/masses'
import { bodyMasses, hangingMasses, laterMasses } from '../../vehicle/weight/weightOf'
import type { GivenTorque } from './load'
import type { MountedUnit } from './mountCases'
import type { MountableBody, MountedBody } from './mountedBodies'
import { springsOf } from './mountSprings'
import { driveOf, type UnitDrive } from './unitDrive'

/** Taken for a clutch that is let go, where nobody said how hard; backwards it is let go more gently. */
const USUAL_SHOCK = 2
const REVERSE_SHOCK = 1.5

/** A unit with its centre of gravity as it was measured: forward, left and up. */
export interface CarriedUnit extends MountedUnit {
  readonly centre: Vec3
}

/** What a body carries, and what turns it; what hangs on the hoist stands on the mounts of the powertrain. */
export function unitOf(build: Build, body: MountableBody): Known<CarriedUnit> {
  const { weight, drivetrain } = build
  const sheet = weight ?? { masses: [] }
  const isPowertrain = body.kind === 'powertrain'
  const masses = isPowertrain ? hangingMasses(sheet) : bodyMasses(sheet, body)
  const [later, drive, given] = [laterMasses(sheet), driveOf(build, body), givenBy(build)]
  if (!masses.known || !later.known || !drive.known || !given.known)
    return {
      known: false,
      missing: [masses, later, drive, given].flatMap((one) => (one.known ? [] : one.missing)),
    }
  const { kg, ...centre } = centreOfMass(masses.value)
  const out: GivenTorque = { ...given.value.first, ...torqueOut(build, drive.value) }
  const unit: CarriedUnit = {
    massKg: kg,
    centre: placeOf(centre),
    torque: out,
    reverse: given.value.back ? { ...out, gearRatio: given.value.back.ratio, shock: REVERSE_SHOCK } : null,
    reaction: drive.value.reaction,
    later: isPowertrain
      ? later.value.map((mass) => ({ kg: mass.kg, aside: sub(placeOf(mass), placeOf(centre)) }))
      : [],
  }
  const isTurned = drive.value.reaction.along !== 0 && drivetrain.turns === undefined
  return known(unit, [
    ...(weight?.shock === undefined ? [`a shock of ${USUAL_SHOCK}, as nobody said another`] : []),
    ...(isTurned ? ['the shaft turns anticlockwise in first gear, seen from behind'] : []),
    ...drive.assumptions,
  ])
}

/** What the gearbox gives in the gear that turns it most, and backwards. */
function givenBy({
  drivetrain,
  weight,
}: Build): Known<{ readonly first: GivenTorque; readonly back: Gear | undefined }> {
  const { peakTorqueNm, converterRatio = 1, gears = [] } = drivetrain
  const missing: Missing[] = [
    ...(peakTorqueNm === undefined
      ? [{ what: 'the engine’s highest torque', path: 'drivetrain.peakTorqueNm' }]
      : []),
    ...(gears.length > 0 ? [] : [{ what: 'the gears', path: 'drivetrain.gears' }]),
  ]
  if (peakTorqueNm === undefined || gears.length === 0) return { known: false, missing }
  const first = {
    engineNm: peakTorqueNm,
    gearRatio: Math.max(...gears.map(({ ratio }) => ratio)),
    converter: converterRatio,
    shock: weight?.shock ?? USUAL_SHOCK,
  }
  return known({ first, back: gears.find(({ ratio }) => ratio < 0) })
}

/** Behind the gears: ranges and final drive inside it, and no more than the tyres hold. */
const torqueOut = (
  { drivetrain }: Build,
  { hasRanges, final, limitNm }: UnitDrive,
): Pick<GivenTorque, 'range' | 'limitNm'> => ({
  range: (hasRanges ? Math.max(1, ...(drivetrain.ranges ?? []).map(({ ratio }) => ratio)) : 1) * final,
  ...(limitNm !== null && { limitNm }),
})

const placeOf = ({ station, offset, height }: Omit<Mass, 'kg'>): Vec3 => [-station, offset, height]

/** All is told that it takes to say how a body gives on its mounts. */
export const isSprung = (build: Build, { body, mounts }: MountedBody): boolean =>
  springsOf(mounts).known && unitOf(build, body).known
