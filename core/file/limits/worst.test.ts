import { evaluateBuild } from '../../model/evaluateBuild'
import type { Quantity } from '../build/limit'
import { stateSentence } from '../../show/told/stateSentence'
import { checkLabel } from '../../show/text/checkText'
import { rawDemos } from '../../testdata/demos'
import { parseBuild } from '../open/parseBuild'
import { OPEN_WINDOW, standing } from './verdict'
import { byWorst, worstOf } from './worst'

const check = (quantity: Quantity, value: number, limit: { failHigh?: number; failLow?: number }) => {
  const window = { ...OPEN_WINDOW, ...limit }
  const { verdict, margin } = standing(value, window)
  return { quantity, value, margin, window, verdict }
}

describe('the one order of checks', () => {
  it('puts the graver first, whatever its room', () => {
    const [holds, out] = [check('joint-angle', 3, { failHigh: 4 }), check('gap', 9.9, { failLow: 10 })]
    expect([holds, out].toSorted(byWorst)).toEqual([out, holds])
  })

  it('tells unlike quantities apart by their limits, not by bare figures', () => {
    // 0.28 of 0.6 left is nearly half; 0.5° of 4° an eighth.
    const shear = check('tube-shear', 0.32, { failHigh: 0.6 })
    const angle = check('joint-angle', 3.5, { failHigh: 4 })
    expect(shear.margin!).toBeLessThan(angle.margin!)
    expect(worstOf([shear, angle])).toBe(angle)
  })

  it('speaks first of what is not known, among what is not known, and last of what nothing limits', () => {
    const unread = {
      ...check('joint-angle', 3, { failHigh: 4 }),
      value: null,
      margin: null,
      verdict: 'unknown' as const,
    }
    const free = { ...check('joint-angle', 3, {}), verdict: 'unknown' as const }
    expect([free, unread].toSorted(byWorst)).toEqual([unread, free])
    expect(worstOf([])).toBeNull()
  })

  it('is that of the sentence on top, over all demos', () => {
    for (const { raw } of rawDemos()) {
      const parsed = parseBuild(raw)
      if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
      const evaluation = evaluateBuild(parsed.value, {})
      const worst = worstOf(evaluation.checks)!
      if (evaluation.verdict === 'unknown') continue
      expect(stateSentence(parsed.value, evaluation)).toContain(
        checkLabel(worst, parsed.value.lines.length > 1),
      )
    }
  })
})
