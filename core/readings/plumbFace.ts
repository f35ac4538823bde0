import type { NamedAxis, Setup } from '../project/build'
import type { Id } from '../project/id'
import type { ReadingContext } from './context'
import type { Formula } from './formula'

/**
 * The slope of an axis in a setup in which the vehicle was pitched until its face stood plumb: nought, give or take what
 * the level can tell.
 *
 * @returns null when no such setup has its chassis read
 */
export function plumbFaceSlope(
  context: ReadingContext,
  axis: NamedAxis,
  exceptSetup: Id | undefined,
): { readonly slopeDeg: Formula<number>; readonly setup: Setup } | null {
  const { build, list } = context
  const setup = build.setups.findLast(
    (one) =>
      one.datum === 'face-plumb' &&
      one.plumbAxis === axis.id &&
      one.id !== exceptSetup &&
      build.readings.some((reading) => reading.kind === 'chassis-fall' && reading.setup === one.id),
  )
  if (!setup) return null
  const level = build.tools.find((tool) => tool.kind === 'level')
  const slopeDeg = list.add({
    readingId: setup.id,
    field: 'plumb-face',
    label: `${axis.name}, face made plumb`,
    unit: 'deg',
    mean: 0,
    halfWidth: level?.accuracy ?? 0,
    scatter: 0,
    count: 1,
  })
  return { slopeDeg, setup }
}
