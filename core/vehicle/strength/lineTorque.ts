import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { AxleBody } from '../../file/parts/body'
import { axleById, bodyById } from '../../file/parts/bodies'
import type { DriveKind } from '../../file/parts/drivetrain'
import type { Line } from '../../file/parts/lineSpec'
import { weightAnswer } from '../weight/weightOf'
import { drivenTorqueNm, isJackshaft, type DrivenBuild } from './drivetrainFigures'
import { gripNm, shaftTorques, type DrivenEnd } from './shaftTorque'

/** The most torque of a line's driving axis, in Nm. */
export interface LineTorque {
  /** What the engine would give in its slowest gear and range. */
  readonly grossNm: number
  /** What is left of it where the tyres slip first. */
  readonly limitedNm: number
  readonly limitedBy: 'engine' | 'grip'
  /** With the shock. */
  readonly designNm: number
  /** What the tyres hold at this line's driving axis; null where it is not known. */
  readonly gripNm: number | null
  readonly basis: string
}

const ENDS: readonly DrivenEnd[] = ['front', 'rear']

/**
 * The most torque of a line: what the engine gives through gearbox, ranges and final drives, but no more than the tyres hold. Where the tyres
 * are not told, only the engine limits it, which is taken down as an assumption.
 *
 * @see docs/methods/strength.md
 */
export function lineTorque(build: DrivenBuild, line: Line): Known<LineTorque> {
  const gross = drivenTorqueNm(build, line)
  if (!gross.known) return gross
  const { torqueNm, basis } = gross.value
  const { shock = 1 } = build.drivetrain
  const held = heldNm(build, line)
  const limit = held.known ? held.value : Infinity
  const limitedNm = Math.min(torqueNm, limit)
  return known(
    {
      grossNm: torqueNm,
      limitedNm,
      limitedBy: limit < torqueNm ? 'grip' : 'engine',
      designNm: limitedNm * shock,
      gripNm: held.known ? held.value : null,
      basis,
    },
    held.known
      ? held.assumptions
      : [
          `${line.name}: the tyres are left out of its torque (${held.missing.map(({ what }) => what).join('; ')})`,
        ],
  )
}

/** What holds a line's torque back at its driving axis, in Nm: its own tyres, or those of both axles. */
export function heldNm(build: DrivenBuild, line: Line): Known<number> {
  if (isJackshaft(build, line)) return jackshaftNm(build)
  const outputRatio = build.drivetrain.outputs?.find(({ axis }) => axis === line.driving)?.ratio ?? 1
  const axle = drivenAxle(build, line)
  if (axle) {
    const end = endOf(line)
    return mapKnown(propshaftNm(build, end), (torque) => torque * outputRatio)
  }
  const side = bodyById(build, build.axes.find(({ id }) => id === line.driven)?.body)
  if (side?.kind !== 'hub') return unknown('it drives no axle')
  const driving = axleById(build, build.axes.find(({ id }) => id === line.driving)?.body)
  const feeding = driving && build.lines.find((one) => drivenAxle(build, one)?.id === driving.id)
  const end = feeding ? endOf(feeding) : onlyEnd(build)
  // Half the axle's load at one wheel; a final drive has multiplied the torque before.
  return end ? mapKnown(gripAt(build, end, 1), (torque) => torque / 2) : unknown('which axle it drives')
}

/** The axle a propshaft ends at. */
export const drivenAxle = (build: DrivenBuild, line: Line): AxleBody | undefined =>
  axleById(build, build.axes.find(({ id }) => id === line.driven)?.body)

/** A shaft that runs forward goes to the front axle. */
export const endOf = ({ flow }: Line): DrivenEnd => (flow === 'forward' ? 'front' : 'rear')

const onlyEnd = (build: DrivenBuild): DrivenEnd | null => {
  const drive = driveOf(build)
  return drive === 'front' || drive === 'rear' ? drive : null
}

/** Which axles are driven, as told, or as the lines run. */
export function driveOf(build: DrivenBuild): DriveKind | null {
  if (build.drivetrain.drive) return build.drivetrain.drive
  const [first, other] = ENDS.filter((end) => lineTo(build, end))
  return other ? 'locked' : (first ?? null)
}

const lineTo = (build: DrivenBuild, end: DrivenEnd): Line | undefined =>
  build.lines.find((line) => drivenAxle(build, line) && endOf(line) === end)

/** What the tyres of one end hold at its propshaft, behind the transfer case. */
function gripAt(build: DrivenBuild, end: DrivenEnd, axleRatio: number): Known<number> {
  const { grip, tyreRadiusMm } = build.drivetrain
  const load = loadKg(build, end)
  const radius =
    tyreRadiusMm === undefined
      ? unknown('rolling radius of the tyres', 'drivetrain.tyreRadiusMm')
      : known(tyreRadiusMm)
  return mapKnown(allKnown<[number, number]>([load, radius]), ([kg, mm]) =>
    gripNm(grip?.mu ?? 1, kg, mm, axleRatio),
  )
}

export function loadKg({ drivetrain, weight }: DrivenBuild, end: DrivenEnd): Known<number> {
  const told = end === 'front' ? drivetrain.grip?.frontKg : drivetrain.grip?.rearKg
  if (told !== undefined) return known(told)
  const weighed = weight ? weightAnswer(weight) : null
  if (weighed?.known)
    return known(end === 'front' ? weighed.value.after.frontKg : weighed.value.after.rearKg, [
      'what rests on the axles is taken from the weights, as measured',
    ])
  return unknown(`load of the ${end} axle`, `drivetrain.grip.${end}Kg`)
}

/** Grip at the propshaft of an end; null where there is none or it is not known. */
function propshaftGrip(build: DrivenBuild, end: DrivenEnd): Known<number> {
  const line = lineTo(build, end)
  const axle = line && drivenAxle(build, line)
  const final = build.drivetrain.axleRatios?.find((one) => one.axle === axle?.id)
  if (!axle || !final) return unknown(`final drive of the ${end} axle`, 'drivetrain.axleRatios')
  return gripAt(build, end, final.ratio)
}

/** Torques as the axles share them: locked, through a centre differential, or one axle alone; without an engine's limit. */
function shared(build: DrivenBuild): Known<ReturnType<typeof shaftTorques>> {
  const drive = driveOf(build)
  const {
    peakTorqueNm,
    converterRatio = 1,
    gears,
    ranges,
    efficiency = 1,
    frontShare = 0.5,
  } = build.drivetrain
  if (!drive || peakTorqueNm === undefined || !gears?.length) return unknown('engine, gears or driven axle')
  const driven = drive === 'locked' || drive === 'open' ? ENDS : [drive]
  const grips = allKnown<number[]>(driven.map((end) => propshaftGrip(build, end)))
  return mapKnown(grips, (held) => {
    const at = (end: DrivenEnd) => held[driven.indexOf(end)] ?? null
    return shaftTorques({
      engineNm: peakTorqueNm,
      converter: converterRatio,
      gear: Math.max(...gears.map(({ ratio }) => Math.abs(ratio))),
      ranges: ranges?.map(({ ratio }) => ratio) ?? [],
      efficiency,
      drive,
      frontShare,
      gripNm: { front: at('front'), rear: at('rear') },
    })
  })
}

function propshaftNm(build: DrivenBuild, end: DrivenEnd): Known<number> {
  const drive = driveOf(build)
  // With one axle, or both locked together, an axle's own tyres are all that holds it.
  if (drive !== 'open') return propshaftGrip(build, end)
  return mapKnown(shared(build), ({ ends }) => ends[end]?.limitedNm ?? Infinity)
}

const jackshaftNm = (build: DrivenBuild): Known<number> =>
  mapKnown(shared(build), ({ jackshaftNm: torque }) => torque)
