import { allKnown, known, mapKnown, unknown, type Known } from '../../base/known'
import type { Clutch } from '../../file/parts/clutch'

/** Figures of a clutch, by their names in the published result. */
export interface ClutchFigures {
  /** Strokes for the whole of the pedal's. */
  readonly masterTakesMm: number
  readonly slaveGoesMm: number
  readonly bearingGoesMm: number
  /** Of the bearing beyond what frees the plate; below nought it drags. */
  readonly leftMm: number
  /** Of the pedal when the plate is free. */
  readonly freeAtMm: number
  /** What the pedal is pressed for each that the bearing goes: of the way, and so of the force. */
  readonly ratio: number
  /** What is left of each cylinder's own stroke; absent where nobody told it. */
  readonly masterLeftMm?: number
  readonly slaveLeftMm?: number
  /** How much longer the pivot has to be so that the rod's socket stands right; absent without a fork. */
  readonly pivotByMm?: number
}

/** Told, or what is missing. */
const NEEDS = {
  pedalMm: 'stroke of the pedal at its pad',
  pedalRatio: 'ratio of the pedal',
  masterMm: 'bore of the master cylinder',
  slaveMm: 'bore of the slave cylinder',
  freeMm: 'free travel of the release bearing',
  releaseMm: 'travel of the bearing that frees the plate',
} as const satisfies Partial<Record<keyof Clutch, string>>

/**
 * A pedal, its master and slave cylinders and the release fork: slave stroke = master stroke × (d_m/d_s)² (oil does not shrink), bearing travel = slave stroke ×
 * p/q (lever), and with the bearing held the pivot moved by Δ moves the rod's socket by `Δ(1 + q/p)`, or `Δ(1 − q/p)` where the pivot is at the end.
 *
 * @returns lengths in mm; unknown with each size that nobody told
 */
export function clutchFigures(clutch: Clutch): Known<ClutchFigures> {
  const told = (key: keyof typeof NEEDS): Known<number> => {
    const value = clutch[key]
    return value === undefined ? unknown(`${clutch.name}: ${NEEDS[key]}`, `clutches.${key}`) : known(value)
  }
  const needed = allKnown<Sizes>([
    told('pedalMm'),
    told('pedalRatio'),
    told('masterMm'),
    told('slaveMm'),
    told('freeMm'),
    told('releaseMm'),
  ])
  return mapKnown(needed, (sizes) => figuresOf(clutch, sizes))
}

type Sizes = readonly [
  pedal: number,
  ratio: number,
  master: number,
  slave: number,
  free: number,
  release: number,
]

function figuresOf(
  { fork, masterStrokeMm, slaveStrokeMm, socketMm }: Clutch,
  [pedalMm, pedalRatio, masterMm, slaveMm, freeMm, releaseMm]: Sizes,
): ClutchFigures {
  const oil = (masterMm / slaveMm) ** 2
  const lever = fork ? fork.toBearingMm / fork.toRodMm : 1
  const masterTakesMm = pedalMm / pedalRatio
  const slaveGoesMm = masterTakesMm * oil
  const bearingGoesMm = slaveGoesMm * lever
  const ratio = pedalRatio / (oil * lever)
  const turned = fork ? (fork.pivot === 'between' ? 1 + 1 / lever : 1 - 1 / lever) : 0
  return {
    ...{ masterTakesMm, slaveGoesMm, bearingGoesMm, ratio },
    leftMm: bearingGoesMm - freeMm - releaseMm,
    freeAtMm: (freeMm + releaseMm) * ratio,
    ...(masterStrokeMm !== undefined && { masterLeftMm: masterStrokeMm - masterTakesMm }),
    ...(slaveStrokeMm !== undefined && { slaveLeftMm: slaveStrokeMm - slaveGoesMm }),
    ...(socketMm !== undefined && turned !== 0 && { pivotByMm: socketMm / turned }),
  }
}
