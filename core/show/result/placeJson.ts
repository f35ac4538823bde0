import { toStation } from '../../base/frame/station'
import type { Known, Missing } from '../../base/known'
import { roundAnswer, stackAnswer } from '../../bay/mating/matingOf'
import { compile } from '../../model/compile'
import { evaluate, type Evaluation } from '../../model/evaluateBuild'
import type { CompiledGap, GapEvaluation } from '../../model/gaps'
import type { Build } from '../../file/build/build'
import type { GapKind } from '../../file/parts/gap'
import type { Verdict } from '../../file/build/limit'
import { weightAnswer } from '../../vehicle/weight/weightOf'

/** A gap at a position; its check, with limits and ±, is among the checks as `gap/<id>`. */
export interface GapJson {
  readonly id: string
  readonly name: string
  readonly kind: GapKind
  readonly verdict: Verdict
  /** At ride height; null when it is not known. */
  readonly gapMm: number | null
  /** How deep they lie in each other: what has to be cut or dented. */
  readonly cutMm: number | null
  readonly stationMm: number | null
  readonly offsetLeftMm: number | null
  readonly heightMm: number | null
  /** The trial it was read in; null where it was not read or there are no trials. */
  readonly trial: string | null
  readonly missing: readonly Missing[]
}

/** A lift-in. */
export interface TrialJson {
  readonly id: string
  readonly name: string
  readonly date: string | null
  readonly packed: Readonly<Record<string, number>>
  readonly readings: number
}

/** A position beside the others. */
export interface PositionJson {
  readonly id: string
  readonly name: string
  readonly chosen: boolean
  readonly settings: Readonly<Record<string, number>>
  readonly verdict: Verdict
  readonly cuts: number
  readonly deepestCutMm: number
  readonly leastGap: { readonly id: string; readonly gapMm: number } | null
  /** Share of the weight in front; null while it was not weighed. */
  readonly frontPercent: number | null
}

/** How engine and gearbox meet. */
export interface MatingJson {
  readonly stacks: readonly {
    readonly id: string
    readonly name: string
    readonly verdict: Verdict | null
    readonly nominalMm: number | null
    readonly worstMm: readonly [number, number] | null
    readonly likelyMm: readonly [number, number] | null
    readonly outsideShare: number | null
    readonly missing: readonly Missing[]
  }[]
  readonly rounds: readonly {
    readonly id: string
    readonly name: string
    readonly of: 'bore' | 'face'
    readonly verdict: Verdict | null
    readonly totalMm: number | null
    /** Of the bore's centre, or where the face stands furthest to the rear. */
    readonly clockDeg: number | null
    readonly offsetMm: number | null
    readonly tiltDeg: number | null
    readonly dowelMm: number | null
    readonly missing: readonly Missing[]
  }[]
}

/** Everything of a build's placing, for other programs. */
export interface PlaceJson {
  readonly gaps: readonly GapJson[]
  readonly trials: readonly TrialJson[]
  readonly positions: readonly PositionJson[]
  readonly mating: MatingJson
}

/** Gaps at the position that is asked for, trials, all positions, and how engine and gearbox meet. */
export function placeJson(build: Build, evaluation: Evaluation): PlaceJson {
  const compiled = compile(build)
  return {
    gaps: evaluation.gaps.map((gap, index) =>
      gapJson(gap, compiled.gaps[index], build.trials[0]?.id ?? null),
    ),
    trials: build.trials.map(({ id, name, date, packed }, index) => ({
      id,
      name,
      date: date ?? null,
      packed: packed ?? {},
      readings: build.readings.filter(
        (reading) =>
          'trial' in reading &&
          (reading.trial === id || (index === 0 && reading.kind === 'gap' && reading.trial === undefined)),
      ).length,
    })),
    positions: build.positions.map(({ id, name, settings }) =>
      positionJson(build, evaluate(compiled, settings), { id, name, settings, chosen: id === build.chosen }),
    ),
    mating: matingJson(build),
  }
}

function gapJson(
  { gap, check, ride }: GapEvaluation,
  compiled: CompiledGap | undefined,
  firstTrial: string | null,
): GapJson {
  const { id, name, kind } = gap
  const place = ride.known ? toStation(ride.value.point) : null
  const gapMm = ride.known ? ride.value.gapMm : null
  return {
    id,
    name,
    kind,
    verdict: check.verdict,
    gapMm,
    cutMm: gapMm === null ? null : Math.max(0, -gapMm),
    stationMm: place?.station ?? null,
    offsetLeftMm: place?.offsetLeft ?? null,
    heightMm: place?.height ?? null,
    trial: compiled?.read.known ? (compiled.read.value.trial ?? firstTrial) : null,
    missing: ride.known ? [] : ride.missing,
  }
}

function positionJson(
  build: Build,
  there: Evaluation,
  head: Pick<PositionJson, 'id' | 'name' | 'chosen' | 'settings'>,
): PositionJson {
  const rooms = there.gaps.flatMap(({ gap, ride }) =>
    ride.known ? [{ id: gap.id, gapMm: ride.value.gapMm }] : [],
  )
  const cuts = rooms.filter(({ gapMm }) => gapMm < 0)
  const loads = build.weight
    ? weightAnswer(build.weight, (body) => {
        const move = there.moves.get(body)
        return move?.known ? move.value : null
      })
    : null
  return {
    ...head,
    verdict: there.verdict,
    cuts: cuts.length,
    deepestCutMm: Math.max(0, ...cuts.map(({ gapMm }) => -gapMm)),
    leastGap: rooms.reduce<PositionJson['leastGap']>(
      (least, room) => (least === null || room.gapMm < least.gapMm ? room : least),
      null,
    ),
    frontPercent: loads?.known ? loads.value.after.frontPercent : null,
  }
}

const missingOf = (answer: Known<unknown>): readonly Missing[] => (answer.known ? [] : answer.missing)

const matingJson = ({ mating }: Build): MatingJson => ({
  stacks: (mating?.stacks ?? []).map((stack) => {
    const answer = stackAnswer(stack)
    const found = answer.known ? answer.value : null
    return {
      id: stack.id,
      name: stack.name,
      verdict: found?.verdict ?? null,
      nominalMm: found?.nominal ?? null,
      worstMm: found?.worst ?? null,
      likelyMm: found ? [found.quantiles[0], found.quantiles[2]] : null,
      outsideShare: found ? found.below + found.above : null,
      missing: missingOf(answer),
    }
  }),
  rounds: (mating?.rounds ?? []).map((round) => {
    const answer = roundAnswer(round)
    const found = answer.known ? answer.value : null
    return {
      id: round.id,
      name: round.name,
      of: round.of,
      verdict: found?.verdict ?? null,
      totalMm: found?.totalMm ?? null,
      clockDeg: found?.bore?.centre.clockDeg ?? found?.face?.highClockDeg ?? null,
      offsetMm: found?.bore?.offsetMm ?? null,
      tiltDeg: found?.face?.tiltDeg ?? null,
      dowelMm: found?.dowel?.sizeMm ?? null,
      missing: missingOf(answer),
    }
  }),
})
