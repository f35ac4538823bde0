import { driveForces } from '../../sprockets/chainDrive'
import { mapKnown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import { drivenIndex, type ChainLine } from '../../file/parts/chainLine'
import { wheelRpmPerKmh } from './gearing'
import { chainDuty, chainToWheels, tyreRadiusOf } from './chainDuty'

/** A chain in one gear: the most it pulls, and how fast it runs at the redline. */
export interface ChainGear {
  readonly gear: string
  /** At the first sprocket, no more than the tyres hold, without the shock. */
  readonly torqueNm: number
  readonly limitedBy: 'engine' | 'grip'
  readonly pullN: number
  readonly chainMs: number
  /** Tensile strength over the pull, at rest and running; null while it was not entered. */
  readonly staticSafety: number | null
  readonly movingSafety: number | null
  /** Over the ground; null for a chain that leads to no wheels. */
  readonly speedKmh: number | null
}

/**
 * A chain in every gear: what the engine pulls and the tyres let through, and the speed at the redline.
 *
 * @see docs/methods/chains.md
 */
export function chainGears(build: Build, chain: ChainLine): Known<ChainGear[]> {
  const { gears, shock = 1 } = build.drivetrain
  const slowest = Math.max(...(gears ?? []).map(({ ratio }) => Math.abs(ratio)))
  const fastest = Math.min(...(gears ?? []).flatMap(({ ratio }) => (ratio > 0 ? [ratio] : [])))
  const toWheels = chainToWheels(build, chain)
  const radius = tyreRadiusOf(build)
  const teeth = [chain.sprockets[0]?.teeth ?? NaN, chain.sprockets[drivenIndex(chain)]?.teeth ?? NaN] as const
  return mapKnown(chainDuty(build, chain), ({ torqueNm, limitedBy, speedRpm, grossNm }) =>
    (gears ?? []).map(({ name, ratio }): ChainGear => {
      const size = Math.abs(ratio)
      const engineNm = (grossNm * size) / slowest
      const limit = limitedBy === 'grip' ? torqueNm / shock : Infinity
      const rpm = (speedRpm * fastest) / size
      const torque = Math.min(engineNm, limit)
      const forces = driveForces(
        { teeth, pitchMm: chain.pitchMm },
        { rpm, torqueNm: torque, tensileN: chain.tensileN, massKgPerM: chain.massKgPerM },
      )
      return {
        gear: name,
        torqueNm: torque,
        limitedBy: limit < engineNm ? 'grip' : 'engine',
        pullN: forces.pullN.radius,
        chainMs: forces.speedMs,
        staticSafety: forces.staticSafety?.peak ?? null,
        movingSafety: forces.movingSafety?.peak ?? null,
        speedKmh: toWheels.known && radius.known ? rpm / toWheels.value / wheelRpmPerKmh(radius.value) : null,
      }
    }),
  )
}
