import { axisDirection, riseSweep } from '../../base/frame/axis'
import { toStation } from '../../base/frame/station'
import type { Missing } from '../../base/known'
import type { Verdict, Window } from '../../file/build/limit'
import { factsOf } from '../../file/build/quantities'
import type { Build } from '../../file/build/build'
import type { NamedAxis } from '../../file/parts/named'
import { findMistakes } from '../../answers/mistakes/findMistakes'
import { DEFAULT_SEED, runMonteCarlo } from '../../answers/uncertainty/monteCarlo'
import { sampleModel } from '../../answers/uncertainty/sampleModel'
import { sureEvaluation } from '../../answers/uncertainty/sureness'
import { checkLabel, checkSentence, marginText } from '../text/checkText'
import { stateSentence } from '../told/stateSentence'
import { degrees } from '../../base/units/angle'
import { chainJson, type ChainJson } from './chainJson'
import { halfshaftJson, type HalfshaftJson } from './halfshaftJson'
import { lineJson, type LineJson } from './lineJson'
import { shopJson, type ShopJson } from './shopJson'
import { uncertaintyJson, type UncertaintyJson } from './uncertaintyJson'
import { foundOf } from '../../model/subject'
import { SUBJECTS } from '../../model/subjects'
import { chosenSettings, evaluateBuild, type Evaluation } from '../../model/evaluateBuild'
import type { Check } from '../../check/check'
import { placeJson, type PlaceJson } from './placeJson'
import { registrationsJson, type RegistrationJson } from './registrationsJson'

/** The result of checking a build, as the command line and the server give it; every figure's key ends in its unit. */
export interface ResultJson extends PlaceJson, ShopJson {
  readonly format: 'lurvan-result'
  readonly version: 1
  readonly build: { readonly id: string; readonly name: string }
  readonly position: {
    readonly id: string
    readonly name: string
    readonly settings: Readonly<Record<string, number>>
  }
  readonly verdict: Verdict
  readonly sentence: string
  readonly axes: readonly AxisJson[]
  readonly points: readonly PointJson[]
  readonly lines: readonly LineJson[]
  /** Lengths of shafts with a joint that plunges, through the whole travel. */
  readonly halfshafts: readonly HalfshaftJson[]
  readonly chains: readonly ChainJson[]
  readonly checks: readonly CheckJson[]
  /** How sure the figures are; null when it was not asked for. */
  readonly uncertainty: UncertaintyJson | null
  readonly missing: readonly Missing[]
  readonly assumptions: readonly string[]
  /** What is probably wrong with the readings, likeliest culprit first. */
  readonly mistakes: readonly {
    readonly kind: string
    readonly readings: readonly string[]
    readonly sentence: string
  }[]
  /** One for each setup that was measured from its own line: how its datum points fit, or why they do not. */
  readonly registrations: readonly RegistrationJson[]
}

/** An axis in the chassis frame at this position; nulls when it is not known. */
export interface AxisJson {
  readonly id: string
  readonly fallDeg: number | null
  readonly planDeg: number | null
  /** Of an axis that lies across the vehicle, which has no fall and plan. */
  readonly riseDeg: number | null
  readonly sweepDeg: number | null
  readonly missing: readonly Missing[]
}

export interface PointJson {
  readonly id: string
  readonly stationMm: number | null
  readonly offsetLeftMm: number | null
  readonly heightMm: number | null
  readonly missing: readonly Missing[]
}

export interface CheckJson {
  readonly id: string
  readonly line: string | null
  readonly quantity: string
  readonly state: string
  /** Id of the place of the wheels; null at ride height. */
  readonly at: string | null
  readonly label: string
  readonly verdict: Verdict
  readonly value: number | null
  readonly unit: string
  readonly window: Window
  readonly margin: number | null
  readonly plusMinus: number | null
  /** 95 % of the likely truths where the value may as well be nought, else null. */
  readonly interval: readonly [number, number] | null
  readonly probability: number | null
  readonly marginText: string
  readonly sentence: string
  readonly basis: string
  readonly missing: readonly Missing[]
}

/** What subjects tell of themselves. */
const ofSubjects = ({ subjects }: Evaluation): Readonly<Record<string, unknown>> =>
  Object.fromEntries(
    SUBJECTS.flatMap((subject) =>
      subject.json ? [[subject.key, subject.json(foundOf(subjects, subject))]] : [],
    ),
  )

/** A pilot is there or not. */
const unitOf = (quantity: Check['quantity']): string =>
  quantity === 'centring-pilot' ? '1' : factsOf(quantity).unit

/**
 * The full result of a build at one of its positions.
 *
 * @param positionId - the chosen position when absent
 * @param samples - samples for the uncertainty; 0 leaves it out; what is published has at least `LEAST_SAMPLES`
 * @see docs/format.md
 */
export function resultJson(build: Build, positionId: string = build.chosen, samples = 0): ResultJson {
  const position = build.positions.find((one) => one.id === positionId)
  const settings = position?.settings ?? chosenSettings(build)
  const plain = evaluateBuild(build, settings)
  const sureness =
    samples > 0 ? runMonteCarlo(sampleModel(build, settings), { samples, seed: DEFAULT_SEED }) : null
  const evaluation = sureness ? sureEvaluation(plain, sureness) : plain
  return {
    format: 'lurvan-result',
    version: 1,
    build: { id: build.id, name: build.name },
    position: { id: position?.id ?? build.chosen, name: position?.name ?? '', settings },
    verdict: evaluation.verdict,
    sentence: stateSentence(build, evaluation),
    axes: build.axes.map((axis) => axisJson(axis, evaluation)),
    points: build.points.map((point) => pointJson(point.id, evaluation)),
    lines: evaluation.lines.map((line) => lineJson(build, line)),
    ...ofSubjects(evaluation),
    halfshafts: evaluation.halfshafts.map((one) => halfshaftJson(one, sureness)),
    chains: evaluation.chains.map(chainJson),
    checks: evaluation.checks.map((check) => checkJson(check, build)),
    ...placeJson(build, evaluation),
    ...shopJson(build, evaluation),
    uncertainty: sureness && uncertaintyJson(build, evaluation, sureness),
    missing: evaluation.missing,
    assumptions: evaluation.assumptions,
    mistakes: findMistakes(build).map(({ kind, readingIds, sentence }) => ({
      kind,
      readings: readingIds,
      sentence,
    })),
    registrations: registrationsJson(build),
  }
}

function axisJson({ id, lies }: NamedAxis, { placed }: Evaluation): AxisJson {
  const place = placed.axes.get(id)
  const none = { fallDeg: null, planDeg: null, riseDeg: null, sweepDeg: null }
  if (!place?.known) return { id, ...none, missing: place?.missing ?? [] }
  if (lies === 'across') {
    const { rise, sweep } = riseSweep(axisDirection(place.value))
    return { id, ...none, riseDeg: degrees(rise), sweepDeg: degrees(sweep), missing: [] }
  }
  const { fall, plan } = place.value
  return { id, ...none, fallDeg: degrees(fall), planDeg: degrees(plan), missing: [] }
}

function pointJson(id: string, { placed }: Evaluation): PointJson {
  const place = placed.points.get(id)
  if (!place?.known)
    return { id, stationMm: null, offsetLeftMm: null, heightMm: null, missing: place?.missing ?? [] }
  const { station, offsetLeft, height } = toStation(place.value)
  return { id, stationMm: station, offsetLeftMm: offsetLeft, heightMm: height, missing: [] }
}

function checkJson(check: Check, build: Build): CheckJson {
  const many = build.lines.length > 1
  return {
    id: check.id,
    line: check.lineId,
    quantity: check.quantity,
    state: check.state,
    at: check.at?.id ?? null,
    label: checkLabel(check, many),
    verdict: check.verdict,
    value: check.value,
    unit: unitOf(check.quantity),
    window: check.window,
    margin: check.margin,
    plusMinus: check.plusMinus,
    interval: check.interval,
    probability: check.probability,
    marginText: marginText(check, build.units),
    sentence: checkSentence(check, build.units, many),
    basis: check.basis,
    missing: check.missing,
  }
}
