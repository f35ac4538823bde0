import type { Shaft } from '../../file/parts/lineSpec'
import { whirling, whirlRpm } from './criticalSpeed'
import type { Metal } from './metal'
import { tubeSection } from './tubeSection'
import { shearMPa, tubeMassKg, twistDeg } from './tubeStrength'

/** A tube that can be bought. */
export interface StockTube {
  readonly name: string
  readonly outerMm: number
  readonly wallMm: number
  readonly metal: Metal
}

/** A piece of shaft between two supports, and what it has to bear. */
export interface TubeDuty {
  readonly lengthMm: number
  /** With its shock. */
  readonly torqueNm: number
  readonly speedRpm: number
  /** What sits at its ends; absent for a plain tube. */
  readonly endMasses?: Shaft['endMasses']
}

/** How a tube stands to its duty. */
export interface TubeFigures {
  readonly shearMPa: number
  /** Of the yield in tension. */
  readonly shearShare: number
  readonly twistDeg: number
  readonly massKg: number
  readonly criticalRpm: number
  /** Highest speed over critical speed. */
  readonly speedShare: number
}

/** Most that a share may be, and the room there is. */
export interface TubeLimits {
  readonly shearShare: number
  readonly speedShare: number
  readonly outerMm?: number | undefined
}

export interface TubeRow extends TubeFigures {
  readonly tube: StockTube
  /** Greatest of its shares over what they may be: up to 1 it will do. */
  readonly worst: number
  readonly isRoomy: boolean
  readonly willDo: boolean
}

export function tubeFigures(
  tube: Omit<StockTube, 'name'>,
  { lengthMm, torqueNm, speedRpm, endMasses }: TubeDuty,
): TubeFigures {
  const section = tubeSection(tube)
  const { metal } = tube
  const shear = Math.abs(shearMPa(section, torqueNm))
  const criticalRpm = whirlRpm(whirling(section, metal, endMasses), lengthMm)
  return {
    shearMPa: shear,
    shearShare: shear / metal.yieldMPa,
    twistDeg: Math.abs(twistDeg(section, metal, lengthMm, torqueNm)),
    massKg: tubeMassKg(section, metal, lengthMm),
    criticalRpm,
    // Ends that leave no tube between them bear no speed at all.
    speedShare: Number.isNaN(criticalRpm) ? Infinity : speedRpm / criticalRpm,
  }
}

/**
 * Every tube of a stock for one duty, lightest first; of equals the slimmer one.
 *
 * @see docs/methods/strength.md
 */
export function tubeRows(stock: readonly StockTube[], duty: TubeDuty, limits: TubeLimits): TubeRow[] {
  return stock
    .map((tube): TubeRow => {
      const figures = tubeFigures(tube, duty)
      const worst = Math.max(figures.shearShare / limits.shearShare, figures.speedShare / limits.speedShare)
      const isRoomy = limits.outerMm === undefined || tube.outerMm <= limits.outerMm
      return { ...figures, tube, worst, isRoomy, willDo: worst <= 1 && isRoomy }
    })
    .sort((a, b) => a.massKg - b.massKg || a.tube.outerMm - b.tube.outerMm)
}

/** The lightest tube that does all duties alike, with its mass over all of them; null for none. */
export function oneForAll(
  stock: readonly StockTube[],
  duties: readonly TubeDuty[],
  limits: TubeLimits,
): { readonly tube: StockTube; readonly massKg: number } | null {
  const serving = stock.flatMap((tube) => {
    const rows = duties.flatMap((duty) => tubeRows([tube], duty, limits))
    return rows.every(({ willDo }) => willDo)
      ? [{ tube, massKg: rows.reduce((sum, row) => sum + row.massKg, 0) }]
      : []
  })
  return serving.sort((a, b) => a.massKg - b.massKg || a.tube.outerMm - b.tube.outerMm)[0] ?? null
}
