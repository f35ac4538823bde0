import { CoreError } from '../errors'
import { known, unknown, type Known, type Missing } from '../known'
import { movePoint, type RigidMove } from '../linalg/mat3'
import type { Id } from '../project/id'
import type { MassEntry, MassSpot, WeightSheet } from '../project/weightSheet'
import { loadChange, type LoadChange, type MassChange, type Weighing } from './axleLoads'
import { centreOf, type Centre, type Mass, type MassPlace } from './masses'
import { hangDeg, hookStation } from './sling'

/** The move of a body at a setting of the levers; null where it cannot be told. */
export type MoveOf = (body: Id) => RigidMove | null

/** How what hangs on the hoist hangs. */
export interface Hang {
  readonly centre: Centre
  /** Tail down; null while no hook is told or it is not above. */
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
  const changes = sheet.masses.map((entry) => changeOf(entry, moveOf))
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

const NEEDED = {
  cornersKg: 'what the four scales show',
  frontStationMm: 'the station of the front axle',
  rearStationMm: 'the station of the rear axle',
  trackFrontMm: 'the front track',
  trackRearMm: 'the rear track',
} as const

function weighingOf(sheet: WeightSheet): Known<Weighing> {
  const missing = Object.entries(NEEDED).flatMap(([key, what]): Missing[] =>
    sheet[key as keyof typeof NEEDED] === undefined ? [{ what, path: `weight.${key}` }] : [],
  )
  const { cornersKg, frontStationMm, rearStationMm, trackFrontMm, trackRearMm, cgHeightMm } = sheet
  if (missing.length > 0 || !cornersKg) return { known: false, missing }
  return known({
    cornersKg,
    frontStation: frontStationMm ?? NaN,
    rearStation: rearStationMm ?? NaN,
    trackFrontMm: trackFrontMm ?? NaN,
    trackRearMm: trackRearMm ?? NaN,
    cgHeightMm: cgHeightMm ?? null,
  })
}

function changeOf(entry: MassEntry, moveOf: MoveOf): Known<MassChange> {
  const { name, kg, at, to, done, body } = entry
  if (kg === undefined) return unknown(`the weight of “${name}”`)
  if (!at || (done === 'moved' && !to)) return unknown(`where “${name}” has its centre of gravity`)
  const move = body === undefined ? null : moveOf(body)
  const placed = (spot: MassSpot): MassPlace => {
    const { station, offset, height } = placeOf(spot)
    if (!move) return { station, offset, height }
    const [x, y, z] = movePoint(move, [-station, offset, height])
    return { station: -x, offset: y, height: z }
  }
  if (done === 'moved') return known({ do: 'move', kg, ...placeOf(at), to: placed(to ?? at) })
  // What is taken out comes from where it was; levers move only what is put in.
  return known(done === 'out' ? { do: 'remove', kg, ...placeOf(at) } : { do: 'add', kg, ...placed(at) })
}

const placeOf = ([station, offset, height]: MassSpot): MassPlace => ({ station, offset, height })

/** How the unit hangs; unknown until something with its weight and place is said to hang. */
export function hangAnswer(sheet: WeightSheet): Known<Hang> {
  const hanging = sheet.masses.filter(({ hangs, done }) => hangs === true && done !== 'out')
  if (hanging.length === 0) return unknown('what hangs on the hoist: mark it in the list of masses')
  const missing = hanging.flatMap(({ name, kg, at }): Missing[] =>
    kg === undefined || kg <= 0 || !at ? [{ what: `weight and place of “${name}”`, path: '' }] : [],
  )
  if (missing.length > 0) return { known: false, missing }
  const centre = centreOf(
    hanging.map(({ kg, at }): Mass => ({ kg: kg ?? NaN, ...placeOf(at ?? [NaN, NaN, NaN]) })),
  )
  const { hook, hangDeg: wanted } = sheet
  const isAbove = hook !== undefined && hook.heightMm > centre.height
  return known({
    centre,
    hangDeg: isAbove ? hangDeg(centre, { station: hook.stationMm, height: hook.heightMm }) : null,
    hookStationMm: isAbove && wanted !== undefined ? hookStation(centre, hook.heightMm, wanted) : null,
  })
}
