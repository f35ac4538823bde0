import type { LineEvaluation } from '../../model/lineEvaluation'

/**
 * How far a shaft grows and shrinks between the places of the wheels it is judged in, in mm, under any torque.
 *
 * @returns null where no place but ride height is told, or none is known
 */
export function slipTravel({ states }: Pick<LineEvaluation, 'states'>, shaft: number): number | null {
  if (states.every(({ at }) => at === null)) return null
  const lengths = states.flatMap(({ figures }) => {
    if (!figures.known) return []
    const length = figures.value.shafts()[shaft]?.lengths.all[0]?.length
    // With a slip yoke the shaft keeps its length and slides.
    return length === undefined ? [] : [length + (shaft === 0 ? (figures.value.slideMm ?? 0) : 0)]
  })
  return lengths.length < 2 ? null : Math.max(...lengths) - Math.min(...lengths)
}
