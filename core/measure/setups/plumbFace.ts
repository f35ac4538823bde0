import type { Column } from '../../base/columns/graph'
import type { Setup } from '../../file/build/setup'
import type { NamedAxis } from '../../file/parts/named'
import type { Id } from '../../file/parts/id'
import type { ReadingContext } from '../figures/context'
import { levelledByHand } from '../attitude/levelledByHand'

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
): { readonly slopeDeg: Column; readonly setup: Setup } | null {
  const { build } = context
  const setup = build.setups.findLast(
    (one) =>
      one.datum === 'face-plumb' &&
      one.plumbAxis === axis.id &&
      one.id !== exceptSetup &&
      build.readings.some((reading) => reading.kind === 'chassis-fall' && reading.setup === one.id),
  )
  if (!setup) return null
  const label = `${axis.name}, face made plumb`
  return { slopeDeg: levelledByHand(context, { id: setup.id, field: 'plumb-face', label }), setup }
}
