import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { LowVehicle } from '../../bay/ground/overHumps'
import type { Hump } from '../../file/kinds/humpKinds'
import type { RolledOver } from '../../making/ground/rollOver'

/** "round, 900 × 100 mm". */
export function humpName({ kind, lengthMm, heightMm, rampMm }: Hump, units: UnitSettings): string {
  const length = (mm: number | undefined) => formatLength(mm ?? NaN, units)
  switch (kind) {
    case 'round':
      return `round, ${length(lengthMm)} long, ${length(heightMm)} high`
    case 'table':
      return `flat top of ${length(lengthMm)}, ramps of ${length(rampMm)}, ${length(heightMm)} high`
    case 'kerb':
      return `a step of ${length(heightMm)}`
    case 'ramp':
      return `a ramp of ${length(rampMm)}, ${length(heightMm)} high`
  }
}

/** A low point on its way over. */
export interface HumpRow {
  readonly id: string
  readonly name: string
  readonly least: string
  readonly isOut: boolean
  /** Where the front axle is then. */
  readonly where: string
  readonly breakover: string
}

/** "340 mm past its middle". */
const along = (mm: number, units: UnitSettings): string =>
  Math.abs(mm) < 5
    ? 'at its middle'
    : `${formatLength(Math.abs(mm), units)} ${mm > 0 ? 'past' : 'before'} its middle`

/** All low points, the nearest to the ground first. */
export function humpRows(vehicle: LowVehicle, over: RolledOver, units: UnitSettings): HumpRow[] {
  return over.order.map((id): HumpRow => {
    const low = vehicle.lows.find((one) => one.id === id)
    const { leastMm = NaN, frontXMm = null } = over.points.find((one) => one.id === id) ?? {}
    const crest = low?.breakoverDeg ?? null
    return {
      id,
      name: low?.name ?? id,
      least: formatLength(leastMm, units),
      isOut: leastMm <= 0,
      where: frontXMm === null ? 'as long as it is on the level' : `front axle ${along(frontXMm, units)}`,
      breakover: crest === null ? '–' : `${fixed(crest, 1)}°`,
    }
  })
}

/** What touches first, or what comes nearest. */
export function humpSentence(vehicle: LowVehicle, over: RolledOver, units: UnitSettings): string {
  const nameOf = (id: string) => vehicle.lows.find((one) => one.id === id)?.name ?? id
  const { firstTouch, order, points } = over
  if (firstTouch) {
    const others = over.touches.filter((id) => id !== firstTouch.id).map(nameOf)
    const also = others.length > 0 ? `; so do ${others.join(', ')}` : ''
    return `${nameOf(firstTouch.id)} touches first, with the front axle ${along(firstTouch.frontXMm, units)}${also}.`
  }
  const [nearest = ''] = order
  const least = points.find(({ id }) => id === nearest)?.leastMm ?? NaN
  return `Nothing touches; ${nameOf(nearest)} comes nearest, by ${formatLength(least, units)}.`
}
