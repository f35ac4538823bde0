import type { Build } from '../build/build'
import type { Quantity } from '../build/limit'
import { bareBuild, newBuild, type NewBuild } from './newBuild'
import { withNewChain } from './chainEdits'
import { LAYOUTS, type Layout, type LayoutKey } from './layouts'
import { withMissingLimits } from './withMissingLimits'
import { withLayout } from './withLayout'

/** What a shaft that grows longer and shorter is judged by. */
export const SLIP_LIMITS = {
  slip: ['slip-left', 'spline-engaged'],
  plunge: ['plunge-left'],
} as const satisfies Record<string, readonly Quantity[]>

/** A build with the lines of a layout besides those it has, and the limits that these are judged by. */
export function withLines(build: Build, layout: Layout): Build {
  const slips = layout.lines.flatMap(({ slip }) =>
    slip === 'spline' ? SLIP_LIMITS.slip : slip === 'plunge' ? SLIP_LIMITS.plunge : [],
  )
  return withMissingLimits(withLayout(build, layout), slips)
}

/** What a build may begin with: the lines of a layout, or a chain to a live axle. */
export type Beginning = LayoutKey | 'chain'

/**
 * A build with nothing read yet that begins with a layout.
 *
 * @throws Error for a layout that there is not
 */
export function beginBuild(wanted: NewBuild, key: Beginning = 'one-piece'): Build {
  if (key === 'chain') return withNewChain(bareBuild(wanted), 'drive', 'drive chain').build
  // The plain vehicle has points of its own by which its gearbox is told.
  if (key === 'one-piece') return newBuild(wanted)
  const layout = LAYOUTS.find((one) => one.key === key)
  if (!layout) throw new Error(`no layout ${key}`)
  return withLines(bareBuild(wanted), layout)
}
