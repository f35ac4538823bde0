import { sum } from '../../base/numbers'
import { deviationOf, toolVariance } from '../../base/chance/spread'
import type { Id } from '../../file/parts/id'
import type { Input } from './inputs'

/** The level whose zero error an input holds; null for what holds none. */
const levelOf = ({ zeroOf, source, readingId }: Input): Id | null =>
  zeroOf ?? (source === 'tool' ? readingId : null)

/** Numbers of the inputs that hold one and the same zero error, some of them with a sign that is not known. */
export function sideGroups(inputs: readonly Input[]): number[][] {
  const groups = new Map<Id, number[]>()
  inputs.forEach((input, index) => {
    const level = levelOf(input)
    if (level !== null) groups.set(level, [...(groups.get(level) ?? []), index])
  })
  const isDoubtful = (group: readonly number[]) =>
    group.length > 1 && group.some((index) => inputs[index]?.zeroOf !== undefined)
  return [...groups.values()].filter(isDoubtful)
}

/**
 * Variance that a figure has more than its inputs bring one by one, since a level's one zero error may count the same way in
 * all readings that do not say which way the display looked: (Σ|cᵢ|a)²/3 at the worst, of which Σcᵢ²a²/3 is counted already.
 *
 * @param groups - of the inputs, as `sideGroups` tells them
 * @param changeOf - what one standard deviation of an input makes of the figure, in its unit
 * @returns in the figure's unit squared
 * @see docs/methods/uncertainty.md
 */
export function sidesVariance(
  inputs: readonly Input[],
  groups: readonly (readonly number[])[],
  changeOf: (input: number) => number,
): number {
  return groups.reduce((total, group) => {
    const parts = group.map((index) => {
      const input = inputs[index] as Input
      return Math.abs(changeOf(index)) * (Math.sqrt(toolVariance(input)) / (deviationOf(input) || 1))
    })
    const [together, apart] = [sum(parts) ** 2, sum(parts.map((one) => one ** 2))]
    return total + together - apart
  }, 0)
}
