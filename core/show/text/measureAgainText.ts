import type { Build } from '../../file/build/build'
import type { MeasureAgain } from '../../answers/uncertainty/measureAgain'
import { formatAngle, formatLength } from '../../base/units/format'
import { checkLabel, checkValueText, sentenceCase } from './checkText'

const COUNTS = ['no', 'one repeat', 'two repeats', 'three repeats'] as const

/** What to do, in few words: "two repeats", "turn digital level end for end". */
export function measureAgainAction(build: Build, { action, input }: MeasureAgain): string {
  if (action.kind === 'repeat') return COUNTS[action.count] ?? `${action.count} repeats`
  if (action.kind === 'read') return 'reading it'
  if (action.kind === 'flip-test') return `turning ${action.tool.name} end for end`
  if (action.kind === 'say-side') return `saying which way the display of ${action.tool.name} looked`
  const size =
    input.unit === 'deg'
      ? formatAngle(action.halfWidth, build.units, 2)
      : formatLength(action.halfWidth, build.units)
  return `a tool good to ±${size}`
}

/**
 * What to measure again and what it would bring: "Measure again: pinion, level. Two repeats would settle torsional
 * (± 50 becomes ± 31 rad/s²)."
 */
export function measureAgainSentence(build: Build, advice: MeasureAgain): string {
  const { check, settles, from, to } = advice
  const label = checkLabel(check, build.lines.length > 1)
  const show = (value: number) => checkValueText(check, value, build.units)
  const effect = settles ? 'would settle' : 'would help with'
  const what = whatToDo(advice)
  return `${what}. ${sentenceCase(measureAgainAction(build, advice))} ${effect} ${label}: ± ${show(from)} becomes ± ${show(to)}.`
}

function whatToDo({ action, input }: MeasureAgain): string {
  if (action.kind === 'read') return `Still to read: ${input.label.replace(/, not read$/, '')}`
  return `${action.kind === 'say-side' ? 'Still to say' : 'Measure again'}: ${input.label}`
}
