import { answered } from '../../base/answered'
import { known, type Known, type Missing } from '../../base/known'
import { powertrainOf } from '../../file/parts/bodies'
import type { Build } from '../../file/build/build'
import { CORNERS, type WeightSheet } from '../../file/parts/weightSheet'
import { pointOf, type Geometry } from '../../measure/geometry/geometry'
import { heightByTilt, type TiltedHeight } from './axleLoads'
import { centreOfMass } from './masses'
import { mountLoads, type MountLoads } from './mountLoads'
import { hangOnLegs, type SlingLeg, type TwoLegHang } from './sling'
import { hangingMasses } from './weightOf'

/** Figures that all have to be there, or what is not. */
function told<K extends string>(
  figures: Readonly<Record<K, number | undefined>>,
  names: Readonly<Record<K, string>>,
): Known<Readonly<Record<K, number>>> {
  const missing = (Object.keys(names) as K[]).flatMap((key): Missing[] =>
    figures[key] === undefined ? [{ what: names[key], path: `weight.${key}` }] : [],
  )
  return missing.length > 0 ? { known: false, missing } : known(figures as Readonly<Record<K, number>>)
}

/**
 * How what hangs on the hoist hangs on two legs, and what each carries.
 *
 * @returns unknown with what is not told yet, or with why it cannot hang so
 */
export function legsAnswer(sheet: WeightSheet): Known<TwoLegHang> {
  const hanging = hangingMasses(sheet)
  const legs = (sheet.legs ?? []).map(({ stationMm, heightMm, lengthMm }): SlingLeg | null =>
    stationMm === undefined || heightMm === undefined || lengthMm === undefined
      ? null
      : { station: stationMm, height: heightMm, lengthMm },
  )
  const [first, second] = legs
  const missing: Missing[] = [
    ...(hanging.known ? [] : hanging.missing),
    ...(first
      ? []
      : [{ what: 'where the first leg is made fast and how long it is', path: 'weight.legs[0]' }]),
    ...(second
      ? []
      : [{ what: 'where the second leg is made fast and how long it is', path: 'weight.legs[1]' }]),
  ]
  if (!hanging.known || !first || !second) return { known: false, missing }
  return answered(() => hangOnLegs(centreOfMass(hanging.value), first, second))
}

const MOUNTS = ['frontLeft', 'frontRight', 'tail'] as const
export type MountKey = (typeof MOUNTS)[number]

/** Loads of the three mounts, and by what. */
export interface MountsAnswer {
  readonly loads: MountLoads
  /** The gear, and the range with it, that turns the unit most. */
  readonly gear: string
  readonly ratio: number
}

/**
 * Loads of the mounts of the powertrain as measured: standing, and under full torque in the gear that turns it most.
 *
 * @returns unknown with what is not told yet
 */
export function mountsAnswer(build: Build, { points }: Geometry, sheet: WeightSheet): Known<MountsAnswer> {
  const hanging = hangingMasses(sheet)
  const mounts = powertrainOf(build)?.mounts
  const stiffness = sheet.mountsNPerMm ?? {}
  const { peakTorqueNm, converterRatio = 1, gears = [], ranges = [] } = build.drivetrain
  const places = MOUNTS.map((key) => {
    const place = mounts && pointOf({ points, axes: new Map() }, mounts[key])
    return { key, place: place?.known ? place.value : null, stiffness: stiffness[key] }
  })
  const missing: Missing[] = [
    ...(hanging.known ? [] : hanging.missing),
    ...places.flatMap(({ key, place }) =>
      place ? [] : [{ what: `where the mount is: ${MOUNT_NAMES[key]}`, path: 'bodies' }],
    ),
    ...places.flatMap(({ key, stiffness: one }) =>
      one
        ? []
        : [{ what: `how stiff the mount is: ${MOUNT_NAMES[key]}`, path: `weight.mountsNPerMm.${key}` }],
    ),
    ...(peakTorqueNm === undefined
      ? [{ what: 'the engine’s highest torque', path: 'drivetrain.peakTorqueNm' }]
      : []),
    ...(gears.length > 0 ? [] : [{ what: 'the gears', path: 'drivetrain.gears' }]),
  ]
  const gear = highest(gears)
  if (missing.length > 0 || !hanging.known || !gear || peakTorqueNm === undefined)
    return { known: false, missing }
  // A transfer case that stands apart turns its own mounts, not these.
  const isApart = build.bodies.some(({ kind }) => kind === 'transfer-case')
  const range = isApart ? undefined : highest(ranges)
  const ratio = gear.ratio * (range?.ratio ?? 1)
  return answered(() => ({
    loads: mountLoads(
      hanging.value,
      places.map(({ key, place, stiffness: one }) => ({
        id: key,
        station: -(place?.[0] ?? NaN),
        offset: place?.[1] ?? NaN,
        stiffness: one ?? NaN,
      })),
      { engineTorqueNm: peakTorqueNm * converterRatio, ratio, shock: sheet.shock },
    ),
    gear: range ? `${gear.name}, ${range.name}` : gear.name,
    ratio,
  }))
}

export const MOUNT_NAMES: Readonly<Record<MountKey, string>> = {
  frontLeft: 'front left',
  frontRight: 'front right',
  tail: 'tail',
}

const highest = <T extends { readonly ratio: number }>(list: readonly T[]): T | undefined =>
  [...list].sort((a, b) => b.ratio - a.ratio)[0]

/** Height of the vehicle's centre of gravity by tilting it, also over the datum plane where the ground below that is known. */
export interface TiltAnswer extends TiltedHeight {
  readonly overDatumMm: number | null
}

const TILT_NAMES = {
  frontKgRaised: 'what the front scales show with the rear raised',
  raisedMm: 'how far the rear wheels were raised',
  radiusFrontMm: 'the loaded radius of the front wheels',
  radiusRearMm: 'the loaded radius of the rear wheels',
}

/**
 * Height of the centre of gravity from the scales, level and with the rear raised.
 *
 * @returns unknown with what is not weighed or measured yet
 */
export function tiltAnswer(build: Build, sheet: WeightSheet): Known<TiltAnswer> {
  const { cornersKg = {}, frontStationMm, rearStationMm, tilt = {} } = sheet
  const corners = CORNERS.map((corner) => cornersKg[corner])
  const figures = told({ ...ABSENT, ...tilt }, TILT_NAMES)
  const missing: Missing[] = [
    ...(corners.includes(undefined) ? [{ what: 'all four scales, level', path: 'weight.cornersKg' }] : []),
    ...(frontStationMm === undefined || rearStationMm === undefined
      ? [{ what: 'where both axles stand', path: 'weight.frontStationMm' }]
      : []),
    ...(figures.known ? [] : figures.missing),
  ]
  if (missing.length > 0 || !figures.known) return { known: false, missing }
  const [frontLeft = NaN, frontRight = NaN, rearLeft = NaN, rearRight = NaN] = corners
  const chassis = build.bodies.find((body) => body.kind === 'chassis')
  const below = chassis?.kind === 'chassis' ? chassis.sizes?.groundBelowMm : undefined
  return answered(() => {
    const tilted = heightByTilt({
      ...figures.value,
      frontKgLevel: frontLeft + frontRight,
      totalKg: frontLeft + frontRight + rearLeft + rearRight,
      wheelbaseMm: (rearStationMm ?? NaN) - (frontStationMm ?? NaN),
    })
    return { ...tilted, overDatumMm: below === undefined ? null : tilted.heightMm - below }
  })
}

const ABSENT = {
  frontKgRaised: undefined,
  raisedMm: undefined,
  radiusFrontMm: undefined,
  radiusRearMm: undefined,
}
