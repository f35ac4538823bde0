import type { Column } from '../../base/columns/graph'
import type { Id } from '../../file/parts/id'
import type { ReadingContext } from '../figures/context'
import { assumedFigure } from '../figures/figure'
import { handScatter, widenedScatter } from '../figures/scatter'
import { usualFigures } from '../figures/usualTool'

/** An angle that was made nought by a level: nought, give or take what the level tells and the hand does. */
export function levelledByHand(
  context: ReadingContext,
  of: { readonly id: Id; readonly field: string; readonly label: string },
): Column {
  const level = context.build.tools.find((tool) => tool.kind === 'level' && !tool.simulated) ?? null
  const halfWidth = level?.accuracy ?? (level?.resolution ?? 2 * usualFigures('level', 'deg').accuracy) / 2
  const scatter = widenedScatter(handScatter(context.scatter, level, 'deg'), halfWidth, 1)
  return assumedFigure(context, of, scatter, halfWidth)
}
