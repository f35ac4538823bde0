import { closePairs } from '../bay/closePairs'
import { lowOrder } from '../bay/ground/lowOrder'
import { rockedGaps } from '../bay/rocking'
import { serviceWay } from '../bay/serviceWay'
import { thingsOf } from '../bay/things'
import { readingTable } from '../measure/csv/readingTable'
import { chainPicture, linePicture } from '../drawing/chainScene'
import { lineScene } from '../drawing/lineScene'
import { placeScene } from '../drawing/placeScene'
import { roundAnswer, stackAnswer } from '../bay/mating/matingOf'
import { findMistakes } from '../answers/mistakes/findMistakes'
import { compile, type CompiledBuild } from '../model/compile'
import { evaluate, type Evaluation } from '../model/evaluateBuild'
import { travelWays } from '../model/travelCurves'
import { partsScene } from '../show/parts/partsScene'
import { dimensionsOf } from '../show/parts/dimensions'
import { crossStrengths, shaftStrengths } from '../show/parts/strengthOf'
import { tubeForAll, tubesThatDo } from '../show/parts/tubesThatDo'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { Build } from '../file/build/build'
import type { Check } from '../check/check'
import { setupAttitude } from '../measure/geometry/measured'
import { measuringTour } from '../measure/tour/tour'
import { resultJson } from '../show/result/resultJson'
import { pairRows, serviceRow } from '../show/text/bayText'
import { chainOrder } from '../show/told/chainOrder'
import {
  adjusterText,
  linksText,
  offsetText,
  percentText,
  slackText,
  spacerText,
  slotEndText,
  tiltText,
  unreadText,
  yawText,
} from '../show/told/chainText'
import { checkLabel, checkSentence, checkValueText, marginText, plusMinusText } from '../show/text/checkText'
import { clockAdvice } from '../show/text/clockText'
import { cutCostText, cutRows } from '../show/text/cutText'
import { dialFacts } from '../show/text/dialFacts'
import { rawTexts } from '../measure/figures/rawTexts'
import { readingEcho } from '../show/told/echo'
import { axisWords } from '../show/text/axisText'
import { leverAmount, leverInstruction, leverName } from '../show/told/leverText'
import { lineFacts } from '../show/text/lineFacts'
import { loadRows } from '../show/text/loadRows'
import { originLines, originTree } from '../show/told/originText'
import { positionFacts } from '../show/told/positionFacts'
import { centrelineReport, registrationReport } from '../show/text/registrationText'
import { repeatText } from '../show/text/repeatText'
import { settingSheet } from '../show/told/settingSheet'
import { setupStand } from '../show/text/setupText'
import { stateSentence } from '../show/told/stateSentence'
import { travelRows } from '../show/text/travelRows'
import { legsAnswer, mountsAnswer, tiltAnswer } from '../vehicle/weight/unitAnswers'
import { hangAnswer, weightAnswer } from '../vehicle/weight/weightOf'
import { figureNames } from '../answers/why/figureColumn'
import { whyFigure } from '../answers/why/why'

/** All that is said of a build at a setting, by where it is said: sentences, sheets, tables, drawings, results. */
export const allSaid = (build: Build, settings: LeverSettings): Record<string, unknown> => {
  const compiled = compile(build)
  return {
    ...saidOf(build),
    ...saidAt(compiled, settings),
    why: originWords(build, settings, figureNames(compiled, evaluate(compiled, settings))),
  }
}

/** What is said of a build by its readings, and its published result as its position stands. */
export function saidOf(build: Build): Record<string, unknown> {
  const result = resultJson(build, undefined, 0)
  return {
    mating: [
      (build.mating?.stacks ?? []).map((stack) => stackAnswer(stack)),
      (build.mating?.rounds ?? []).map((round) => {
        const answer = roundAnswer(round)
        return answer.known ? [answer.value, dialFacts(answer.value, build.units)] : answer
      }),
    ],
    readings: build.readings.map((reading) => [
      rawTexts(reading),
      repeatText(build, reading),
      reading.kind.startsWith('given') ? null : readingEcho(build, reading as never),
    ]),
    setups: build.setups.map((setup) => [
      setupStand(build, setup).words,
      registrationReport(build, setup),
      centrelineReport(build, setup),
      setupAttitude(build, setup),
      measuringTour(build, setup.id),
    ]),
    axes: build.axes.map((axis) => axisWords(build, axis)),
    mistakes: findMistakes(build),
    csv: readingTable(build),
    result,
  }
}

/** What is said of a build at a setting of its levers. */
export function saidAt(compiled: CompiledBuild, settings: LeverSettings): Record<string, unknown> {
  const { build } = compiled
  const now = evaluate(compiled, settings)
  const measured = evaluate(compiled, {})
  return {
    state: stateSentence(build, now),
    missing: [now.missing, now.assumptions],
    checks: now.checks.map((check) => checkWords(build, check)),
    sheet: settingSheet(build, now, measured),
    position: [positionFacts(build, now), cutRows(now, build.units), cutCostText(now)],
    lines: now.lines.map((line) => [
      lineFacts(build, line),
      shaftStrengths(line),
      crossStrengths(build, line),
      line.line.shafts.map((_, shaft) => tubesThatDo(build, line, shaft)),
      line.ride.known ? clockAdvice(line.line, line.ride.value, build.units) : null,
      dimensionsOf(line.line, line.ride),
      partsScene(line.line, line.ride, 1200),
    ]),
    tubes: tubeForAll(build, now.lines),
    travel: [travelRows(build, now), now.halfshafts, words(travelWays(compiled, settings))],
    chains: now.chains.map((chain) => [
      chainWords(build, chain),
      chainPicture(build, chain),
      linePicture(chain),
    ]),
    levers: build.levers.map((lever) => [
      leverName(build, lever),
      leverAmount(lever, settings[lever.id] ?? 0, build.units),
      leverInstruction(build, lever, 3),
    ]),
    bay: bayWords(build, now),
    weight: build.weight ? weightWords(build, now, build.weight) : null,
    scenes: [lineScene(build, now), placeScene(build, now, [])],
  }
}

/** Where some of the figures come from, the first, the last and every ninth. */
const originWords = (build: Build, settings: LeverSettings, names: readonly string[]) =>
  names
    .filter((_, i) => i % 9 === 0 || i === names.length - 1)
    .map((name) => {
      const why = whyFigure(build, settings, name)
      return why.ok ? originTree(originLines(build, why.origin.parts)) : null
    })

/** Texts alone: a curve that ends where the links cannot reach goes on as no figure, and is drawn as far as it goes. */
const words = (told: unknown): unknown =>
  typeof told === 'object' && told !== null
    ? Object.values(told).map(words)
    : typeof told === 'string'
      ? told
      : null

const checkWords = ({ units }: Build, check: Check) => [
  checkLabel(check, true),
  checkSentence(check, units, true),
  marginText(check, units),
  plusMinusText(check, units),
  check.value === null ? null : checkValueText(check, check.value, units),
]

function chainWords(build: Build, chain: Evaluation['chains'][number]) {
  const { units } = build
  const { adjuster } = chain
  const travel = adjuster?.known ? adjuster.value : null
  return [
    chainOrder(build, chain),
    slackText(chain, units),
    chain.linksToOrder.known ? linksText(chain.linksToOrder.value) : null,
    chain.aligned.map((one) => [
      offsetText(chain, one, units),
      percentText(one.offsetPercent),
      yawText(chain, one, units),
      tiltText(chain, one, units),
      unreadText(one),
      spacerText(chain, one, units),
    ]),
    travel && [travel.right, travel.taut].map((place) => adjusterText(travel, place, units)),
    travel && [travel.right, travel.taut].map((place) => slotEndText(travel, place, units)),
    chain.forces,
    chain.travel,
  ]
}

function bayWords(build: Build, now: Evaluation) {
  const { things, unusable } = thingsOf(build, (id) => {
    const move = now.moves.get(id)
    return move?.known ? move.value : null
  })
  return [
    unusable,
    pairRows(closePairs(build, things), build.units),
    (build.services ?? []).map((check) => serviceRow(build, check, serviceWay(build, check, things))),
    lowOrder(build, now, { front: 60, rear: 20 }),
    lowOrder(build, now, { front: 0, rear: 0 }),
    rockedGaps(build, now, 3),
  ]
}

function weightWords(build: Build, now: Evaluation, sheet: NonNullable<Build['weight']>) {
  const loads = weightAnswer(sheet)
  return [
    loads.known ? loadRows(loads.value, build.units) : loads,
    hangAnswer(sheet),
    legsAnswer(sheet),
    mountsAnswer(build, now.measured, sheet),
    tiltAnswer(build, sheet),
  ]
}

/** A word that is none, in a text. */
const NO_WORD = /\b(NaN|undefined|null|Infinity)\b|\[object/

/** Places where something is told that is no word or no figure. */
export function notWords(told: unknown, at = ''): string[] {
  if (typeof told === 'string') return NO_WORD.test(told) ? [`${at}: ${told}`] : []
  if (typeof told === 'number') return Number.isFinite(told) ? [] : [`${at}: ${told}`]
  if (told instanceof Map) return notWords([...told.entries()], at)
  if (typeof told !== 'object' || told === null) return []
  return Object.entries(told).flatMap(([key, one]) => notWords(one, `${at}.${key}`))
}
