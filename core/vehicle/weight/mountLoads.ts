import { Matrix, SVD } from 'ml-matrix'
import { CoreError } from '../../base/errors'
import { asRadians, degrees } from '../../base/units/angle'
import { GRAVITY } from '../../base/gravity'
import { centreOfMass, type Centre, type Mass } from './masses'

/** A mount that holds by its spring upward. */
export interface Mount {
  readonly id: string
  readonly station: number
  readonly offset: number
  /** N per mm. */
  readonly stiffness: number
}

/** What turns the unit on its mounts. */
export interface TorqueReaction {
  readonly engineTorqueNm: number
  /** Of the gear and every range that sits in the unit; negative for reverse. */
  readonly ratio: number
  /** Multiplies the torque alone; 1 when absent. */
  readonly shock?: number
}

/** Loads of mounts and how the unit gives on them. */
export interface MountLoads {
  readonly centre: Centre
  readonly outputTorqueNm: number
  /** Upward push of each mount in N, in their order: standing, and under torque. */
  readonly standingN: readonly number[]
  readonly underTorqueN: readonly number[]
  /** How far each moves from free under both, in mm up; negative where it gives. */
  readonly upMm: readonly number[]
  /** How the unit leans from free under both: tail down, left side up. */
  readonly fallChangeDeg: number
  readonly rollChangeDeg: number
}

/**
 * Vertical loads of three or more mounts under weight and torque.
 *
 * The reaction is that of the output: the shaft turns clockwise seen from the front and so the unit leans the other way, which
 * loads its right mounts and lifts the left ones. Stiffness shares the load where there are more than three.
 *
 * @throws CoreError `degenerate` for mounts in one line, `out-of-range` for a stiffness not above nought
 * @see docs/methods/weight.md
 */
export function mountLoads(
  masses: readonly Mass[],
  mounts: readonly Mount[],
  torque: TorqueReaction,
): MountLoads {
  const centre = centreOfMass(masses)
  if (mounts.some(({ stiffness }) => !(stiffness > 0)))
    throw new CoreError('out-of-range', 'mount', 'its stiffness must be above nought')
  const outputTorqueNm = torque.engineTorqueNm * torque.ratio * (torque.shock ?? 1)
  const weight = centre.kg * GRAVITY
  const standing = gives(mounts, [weight, weight * centre.station, weight * centre.offset])
  const turned = gives(mounts, [0, 0, -outputTorqueNm * 1000])
  const at = ([drop = 0, pitch = 0, roll = 0]: readonly number[], { station, offset }: Mount) =>
    drop + pitch * station + roll * offset
  const drops = mounts.map((mount) => at(standing, mount) + at(turned, mount))
  const [, pitch = 0, roll = 0] = turned.map((part, k) => part + (standing[k] ?? 0))
  return {
    centre,
    outputTorqueNm,
    standingN: mounts.map((mount) => mount.stiffness * at(standing, mount)),
    underTorqueN: mounts.map((mount, k) => mount.stiffness * (drops[k] ?? NaN)),
    upMm: drops.map((drop) => -drop),
    fallChangeDeg: degrees(asRadians(Math.atan(pitch))),
    rollChangeDeg: degrees(asRadians(Math.atan(-roll))),
  }
}

/** Drop of the unit as a plane, by station and by offset, that balances a load and its two moments. */
function gives(mounts: readonly Mount[], loads: readonly [number, number, number]): number[] {
  const springs = new Matrix(3, 3)
  for (const { station, offset, stiffness } of mounts) {
    const arm = [1, station, offset]
    arm.forEach((row, i) => {
      arm.forEach((column, j) => springs.set(i, j, springs.get(i, j) + stiffness * row * column))
    })
  }
  const parts = new SVD(springs)
  const [largest = 0, , least = 0] = parts.diagonal
  if (mounts.length < 3 || !(least > 1e-12 * largest))
    throw new CoreError('degenerate', 'mounts', 'three that are not in one line are needed')
  return parts.solve(Matrix.columnVector([...loads])).to1DArray()
}
