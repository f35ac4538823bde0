import { OPPOSITE, type ArmWay } from '../file/parts/armWays'
import type { ShiftEnd } from '../file/parts/shiftLinkage'
import { changedDemo, type RawBuild } from './builds'

/** An arm by where it is and which way it stands while it reads 0°, seen from the right. */
export interface ToldArm {
  readonly pivotMm: readonly [forward: number, up: number]
  readonly armMm: number
  readonly clockDeg: number
  readonly playMm?: number
}

/** A linkage told by both arms, its gates and its rod. */
export interface ToldShift {
  readonly lever: ToldArm
  readonly box: ToldArm
  readonly rodMm?: number
  readonly gates: readonly { readonly name: string; readonly leverDeg: number; readonly boxDeg: number }[]
}

const QUARTERS: readonly ArmWay[] = ['forward', 'up', 'back', 'down']
const quarterAt = (k: number): ArmWay => QUARTERS[((k % 4) + 4) % 4] ?? 'forward'
const given = (id: string, [forward, up]: readonly [number, number], setup: string) => ({
  ...{ id: `${id}-given`, setup, kind: 'given-point', point: id },
  ...{ station: String(Math.abs(forward)), stationWay: forward > 0 ? 'forward' : 'rearward' },
  ...{ offset: '0', side: 'left', height: String(Math.abs(up)), heightWay: up < 0 ? 'below' : 'above' },
})

/** A raw build with a shift linkage whose lever is on the chassis and whose arm is on the powertrain, read from the chassis. */
export function withShift(raw: RawBuild, { lever, box, rodMm, gates }: ToldShift): void {
  const setup = raw.setups[0].id
  const arms = { lever, box }
  const pointsOf = ({ clockDeg }: ToldArm) => {
    const quarter = Math.round(clockDeg / 90)
    return { quarter, points: quarterAt(quarter) }
  }
  for (const end of ['lever', 'box'] as const) {
    const { pivotMm } = arms[end]
    raw.points.push({ id: `shift-${end}`, name: `${end} bearing`, body: end === 'lever' ? 'chassis' : 'powertrain' })
    raw.readings.push(given(`shift-${end}`, pivotMm, setup))
  }
  const armOf = (end: ShiftEnd) => ({
    ...{ pivot: `shift-${end}`, lies: 'across', points: pointsOf(arms[end]).points },
    ...{ armMm: arms[end].armMm, playMm: arms[end].playMm },
  })
  raw.shifts = [
    {
      ...{ id: 'shift', name: 'shift rod', lever: armOf('lever'), box: armOf('box'), rodMm },
      gates: gates.map(({ name }) => ({ id: name.toLowerCase(), name })),
    },
  ]
  gates.forEach((gate) => {
    for (const end of ['lever', 'box'] as const) {
      const { quarter, points } = pointsOf(arms[end])
      const leanDeg = arms[end].clockDeg + (end === 'lever' ? gate.leverDeg : gate.boxDeg) - 90 * quarter
      const further = quarterAt(QUARTERS.indexOf(points) + 1)
      raw.readings.push({
        ...{ id: `${end}-${gate.name}`, setup, kind: 'shift-gate', shift: 'shift', end, gate: gate.name.toLowerCase() },
        ...{ values: [String(Math.abs(leanDeg))], lean: leanDeg < 0 ? OPPOSITE[further] : further, zero: 'chassis' },
      })
    }
  })
}

export const shiftBuild = (told: ToldShift) => changedDemo((raw) => withShift(raw, told))
