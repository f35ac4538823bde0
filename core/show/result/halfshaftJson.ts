import type { HalfshaftFigure } from '../../stand/compiledTravel'
import type { HalfshaftEvaluation, LengthExtreme } from '../../model/halfshafts'
import type { Sureness } from '../../answers/uncertainty/monteCarlo'
import { halfshaftFigureId } from '../../model/halfshaftSubject'

/** Where a shaft is longest or shortest. */
export interface LengthExtremeJson {
  readonly lengthMm: number
  readonly wheelUpMm: number
  readonly rackLeftMm: number
}

/** A shaft with a joint that plunges, by both schools of its length; all of it joint centre to joint centre. */
export interface HalfshaftJson {
  readonly line: string
  readonly shaft: number
  readonly rideMm: number
  readonly longest: LengthExtremeJson
  readonly shortest: LengthExtremeJson
  readonly strokeMm: number
  /** Middle of the lengths it takes, and where the joint then stands at ride height. */
  readonly middleMm: number
  readonly middleAtRideMm: number
  /** At mid plunge at ride height, or as far off it as is wished, and whether that keeps clear of both stops. */
  readonly fromRideMm: number
  readonly fromRideIsClear: boolean | null
  /** Shortest and longest it may be made; null for none, or while the joint's plunge is not told. */
  readonly windowMm: readonly [number, number] | null
  /** Of the lengths by their keys; null when it was not asked for. */
  readonly plusMinus: {
    readonly rideMm: number | null
    readonly middleMm: number | null
    readonly strokeMm: number | null
  } | null
}

/** The lengths of one shaft as they are published. */
export function halfshaftJson(found: HalfshaftEvaluation, sureness: Sureness | null): HalfshaftJson {
  const { lengths, room } = found
  const spread = (name: HalfshaftFigure): number | null =>
    sureness?.figures[halfshaftFigureId(found, name)]?.plusMinus ?? null
  return {
    line: found.lineId,
    shaft: found.shaft,
    rideMm: found.rideMm,
    longest: extremeJson(found.longest),
    shortest: extremeJson(found.shortest),
    strokeMm: lengths.strokeMm,
    middleMm: lengths.middleMm,
    middleAtRideMm: lengths.atRideMm,
    fromRideMm: lengths.fromRide.lengthMm,
    fromRideIsClear: room.known ? lengths.fromRide.isClear : null,
    windowMm: room.known ? lengths.window : null,
    plusMinus: sureness && {
      rideMm: spread('rideMm'),
      middleMm: spread('middleMm'),
      strokeMm: spread('strokeMm'),
    },
  }
}

const extremeJson = ({ lengthMm, upMm, rackMm }: LengthExtreme): LengthExtremeJson => ({
  lengthMm,
  wheelUpMm: upMm,
  rackLeftMm: rackMm,
})
