import { worstOf } from '../../file/limits/worst'
import type { Evaluation } from '../../model/evaluateBuild'
import type { Cure } from '../../answers/solver/cure'
import type { Build } from '../../file/build/build'
import { checkLabel, checkValueText, likelihoodText, marginText, sentenceCase } from '../text/checkText'
import { changeBrief, changeInstruction, leverName } from './leverText'

/** The one sentence on top of every view: the worst matter, and how many more. */
export function stateSentence(build: Build, { checks, verdict, missing }: Evaluation): string {
  const many = build.lines.length > 1
  const worst = worstOf(checks)
  if (!worst) return 'Nothing to judge yet: add a line of shafts.'
  const label = checkLabel(worst, many)
  const value = checkValueText(worst, worst.value, build.units)
  const more = othersText(checks.filter((check) => check.verdict === verdict).length - 1, verdict)
  switch (verdict) {
    case 'out':
      return worst.value === null
        ? `Out: ${label}, ${worst.basis}${more}.`
        : `Out: ${label} is ${value}, ${marginText(worst, build.units)}${more}.`
    case 'unknown':
      return `Not settled: ${missing[0]?.what ?? 'a reading is missing'}${missing.length > 1 ? `, and ${missing.length - 1} more to read or enter` : ''}.`
    case 'tight':
      return `${sentenceCase(`tight: ${label} is ${value}`)}; ${worst.basis}${more}.`
    case 'holds':
      return `Holds: every check. Closest is ${label}, ${marginText(worst, build.units)}.`
  }
}

const othersText = (count: number, verdict: string): string => (count > 0 ? `; ${count} more ${verdict}` : '')

/** A cure as an instruction: "Pack the tail up 9 mm (6 + 3)". */
export const cureInstruction = (build: Build, cure: Cure): string =>
  cure.changes
    .filter(({ change }) => change !== 0)
    .map((change, i) => inSentence(changeInstruction(build, change), i))
    .join(' and ')

/** An instruction that follows another one: it begins no sentence. */
const inSentence = (text: string, index: number): string =>
  index === 0 ? text : text.charAt(0).toLowerCase() + text.slice(1)

/** A cure in few words, for its button. */
export const cureBrief = (build: Build, cure: Cure): string =>
  cure.changes
    .filter(({ change }) => change !== 0)
    .map((change, i) => inSentence(changeBrief(build, change), i))
    .join(' + ')

/** Why a lever alone does not do it, or what it leaves: one sentence. */
export function cureRemark(build: Build, cure: Cure): string {
  const labels = cure.leaves.map((check) => checkLabel(check, build.lines.length > 1)).join(', ')
  const likely =
    cure.likelihood === null ? '' : `, ${likelihoodText(cure.likelihood)} likely with what was read`
  if (cure.reaches === 'holds') return `Then every check holds${likely}.`
  if (cure.reaches === 'tight') {
    const holds = cure.likelihood === null ? '' : ` All limits are kept${likely}.`
    return `Then nothing is out; still tight: ${labels}.${holds}`
  }
  const names = cure.changes.map(({ lever }) => leverName(build, lever)).join(' and ')
  const stuck = cure.leaves.find((check) => check.verdict === 'unknown')
  if (stuck) return `The ${names} cannot be moved: ${stuck.missing[0]?.what ?? 'its points were not read'}.`
  return labels === ''
    ? `The ${names} cannot be moved yet: its points were not read.`
    : `The ${names} alone does not do it: ${labels} stays out.`
}
