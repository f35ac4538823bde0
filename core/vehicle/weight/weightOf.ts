import { CoreError } from '../../base/errors'
import { known, unknown, type Known, type Missing } from '../../base/known'
import { movePoint, type RigidMove } from '../../base/linalg/mat3'
import type { Id } from '../../file/parts/id'
import {
  CORNERS,
  type Corner,
  type MassEntry,
  type MassSpot,
  type WeightSheet,
} from '../../file/parts/weightSheet'
import { loadChange, type LoadChange, type MassChange, type Weighing } from './axleLoads'
import { centreOfMass, type Centre, type Mass, type MassPlace } from './masses'
import { hangDeg, hookStation } from './sling'

/** The move of a body at a setting of the levers; null where it cannot be told. */
export type MoveOf = (body: Id) => RigidMove | null

/** How what hangs on the hoist hangs. */
export interface Hang {
  readonly centre: Centre
  /** The hook is not above the centre of gravity. */
  readonly isHookLow: boolean
  /** Tail down; null while the hook is not told or not above. */
  readonly hangDeg: number | null
  /** Where the hook has to be at its height to hang as wanted; null while none is wanted. */
  readonly hookStationMm: number | null
}

/**
 * Loads before and after all changes of a sheet, its bodies at a setting of the levers.
 *
 * @returns unknown with every figure that is still to be weighed or measured
 */
export function weightAnswer(sheet: WeightSheet, moveOf: MoveOf = () => null): Known<LoadChange> {
  const weighing = weighingOf(sheet)
  const changes = sheet.masses.map((entry) => changeOf(entry, moveOf, sheet.cgHeightMm !== undefined))
  const missing = [
    ...(weighing.known ? [] : weighing.missing),
    ...changes.flatMap((change) => (change.known ? [] : change.missing)),
  ]
  if (!weighing.known || missing.length > 0) return { known: false, missing }
  try {
    return known(
      loadChange(
        weighing.value,
        changes.flatMap((change) => (change.known ? [change.value] : [])),
      ),
    )
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return unknown(error.message)
  }
}

const SCALES: Readonly<Record<Corner, string>> = {
  frontLeft: 'what the scale shows, front left',
  frontRight: 'what the scale shows, front right',
  rearLeft: 'what the scale shows, rear left',
  rearRight: 'what the scale shows, rear right',
}

const NEEDED = {
  frontStationMm: 'the station of the front axle',
  rearStationMm: 'the station of the rear axle',
  trackFrontMm: 'the front track',
  trackRearMm: 'the rear track',
} as const

function weighingOf(sheet: WeightSheet): Known<Weighing> {
  const { cornersKg = {}, frontStationMm, rearStationMm, trackFrontMm, trackRearMm, cgHeightMm } = sheet
  const missing = [
    ...CORNERS.flatMap((corner): Missing[] =>
      cornersKg[corner] === undefined ? [{ what: SCALES[corner], path: `weight.cornersKg.${corner}` }] : [],
    ),
    ...Object.entries(NEEDED).flatMap(([key, what]): Missing[] =>
      sheet[key as keyof typeof NEEDED] === undefined ? [{ what, path: `weight.${key}` }] : [],
    ),
  ]
  if (missing.length > 0) return { known: false, missing }
  const [frontLeft = NaN, frontRight = NaN, rearLeft = NaN, rearRight = NaN] = CORNERS.map(
    (corner) => cornersKg[corner],
  )
  return known({
    cornersKg: [frontLeft, frontRight, rearLeft, rearRight],
    frontStation: frontStationMm ?? NaN,
    rearStation: rearStationMm ?? NaN,
    trackFrontMm: trackFrontMm ?? NaN,
    trackRearMm: trackRearMm ?? NaN,
    cgHeightMm: cgHeightMm ?? null,
  })
}

function changeOf(entry: MassEntry, moveOf: MoveOf, needsHeight: boolean): Known<MassChange> {
  const { name, kg, done, body } = entry
  if (kg === undefined || kg <= 0) return unknown(`the weight of “${name}”`)
  const at = placeOf(entry.at, needsHeight)
  const to = done === 'moved' ? placeOf(entry.to, needsHeight) : at
  if (!at || !to) return unknown(`where “${name}” has its centre of gravity`)
  const move = body === undefined ? null : moveOf(body)
  const placed = (spot: MassPlace): MassPlace => {
    if (!move) return spot
    const [x, y, z] = movePoint(move, [-spot.station, spot.offset, spot.height])
    return { station: -x, offset: y, height: z }
  }
  if (done === 'moved') return known({ do: 'move', kg, ...at, to: placed(to) })
  // What is taken out comes from where it was; levers move only what is put in.
  return known(done === 'out' ? { do: 'remove', kg, ...at } : { do: 'add', kg, ...placed(at) })
}

/** A place; null while something of it that counts is not told. Heights count only where the vehicle's own is known. */
function placeOf(spot: MassSpot | undefined, needsHeight: boolean): MassPlace | null {
  const { stationMm, leftMm, upMm } = spot ?? {}
  if (stationMm === undefined || leftMm === undefined) return null
  if (upMm === undefined && needsHeight) return null
  return { station: stationMm, offset: leftMm, height: upMm ?? 0 }
}

/** How the unit hangs; unknown until something with its weight and place is said to hang. */
export function hangAnswer(sheet: WeightSheet): Known<Hang> {
  const masses = hangingMasses(sheet)
  if (!masses.known) return masses
  const centre = centreOfMass(masses.value)
  const { hook, hangDeg: wanted } = sheet
  const [station, height] = [hook?.stationMm, hook?.heightMm]
  const isAbove = height !== undefined && height > centre.height
  return known({
    centre,
    isHookLow: height !== undefined && !isAbove,
    hangDeg: isAbove && station !== undefined ? hangDeg(centre, { station, height }) : null,
    hookStationMm: isAbove && wanted !== undefined ? hookStation(centre, height, wanted) : null,
  })
}

/** Masses of the unit that hangs on the hoist; unknown until each has its weight and place. */
export function hangingMasses(sheet: WeightSheet): Known<Mass[]> {
  const hanging = sheet.masses.filter(({ hangs, later, done }) => hangs === true && !later && done !== 'out')
  if (hanging.length === 0) return unknown('what hangs on the hoist: mark it in the list of masses')
  return massesOf(hanging)
}

/** Masses that go along with a body; unknown until each has its weight and place. */
export function bodyMasses(
  sheet: WeightSheet,
  { id, name }: { readonly id: Id; readonly name: string },
): Known<Mass[]> {
  const own = sheet.masses.filter(({ body, later, done }) => body === id && !later && done !== 'out')
  if (own.length === 0)
    return unknown(`the weight of ${name}: a weight that goes along with it`, 'weight.masses')
  return massesOf(own)
}

/** Masses of the unit that are still to be hung on it; none where nothing is. */
export const laterMasses = (sheet: WeightSheet): Known<Mass[]> =>
  massesOf(sheet.masses.filter(({ later, done }) => later === true && done !== 'out'))

function massesOf(entries: readonly MassEntry[]): Known<Mass[]> {
  const missing: Missing[] = []
  const masses = entries.flatMap(({ name, kg, at }): Mass[] => {
    const place = placeOf(at, true)
    if (kg !== undefined && kg > 0 && place) return [{ kg, ...place }]
    missing.push({ what: `weight and place of “${name}”`, path: '' })
    return []
  })
  return missing.length > 0 ? { known: false, missing } : known(masses)
}
