import type { Column } from '../base/columns/graph'
import { andThen, known, unknown, type Known } from '../base/known'
import type { Bound } from '../check/judge'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import type { Quantity } from '../file/build/limit'
import type { Cable } from '../file/parts/cable'
import type { CableColumns } from './cableColumns'
import type { Ground } from './subject'

/** The least radius of a bend where none is told (an estimate). */
export const USUAL_RADIUS_MM = 200

const STRAIGHTS: Bound = { failBelow: 0, basis: 'two bends that overlap cannot be laid' }
const REACHES: Bound = {
  failBelow: 0,
  basis: 'a cable has one length: its way may be off it by what the adjuster takes up',
}

/** A cable: how tight it bends, whether its bends fit beside each other, whether it is as long as its way, how near it comes to what is hot. */
export function cablePlans(
  { build, graph }: Ground,
  cable: Cable,
  columns: Known<CableColumns>,
): PlannedCheck[] {
  const plan = (
    key: string,
    quantity: Quantity,
    bounds: readonly Bound[],
    { needs, column }: { readonly needs: Known<unknown>; readonly column: Column | undefined },
  ): PlannedCheck =>
    thingPlan(
      { id: `cable/${cable.id}/${key}`, quantity, thing: cable.id, name: cable.name },
      build.limits.entries,
      bounds,
      needs,
      column,
    )
  const all = columns.known ? columns.value : undefined
  const length = andThen(columns, (one) =>
    cable.lengthMm === undefined
      ? unknown(`${cable.name}: length between its fixings, once it is ordered`, 'cables')
      : known(one),
  )
  const radii = all?.radiiMm ?? []
  const least: Bound = {
    failBelow: cable.leastRadiusMm ?? USUAL_RADIUS_MM,
    basis: 'bent tighter, a cable drags in its liner and wears through it',
  }
  const tightest = radii.length === 0 ? undefined : graph.source(Math.min(...radii))
  return [
    // A cable without a bend has none that is too tight.
    ...(all && radii.length === 0
      ? []
      : [plan('radius', 'cable-radius', [least], { needs: columns, column: tightest })]),
    plan('straight', 'cable-straight', [STRAIGHTS], { needs: columns, column: all?.figures.straightMm }),
    plan('length', 'cable-left', [REACHES], { needs: length, column: all?.figures.leftMm }),
    ...(cable.hot ?? []).map(({ point, gapMm }, k) =>
      plan(
        `hot/${k}`,
        'cable-heat',
        [{ failBelow: gapMm, basis: `nearer than this to ${nameOf(build, point)} it scorches` }],
        { needs: columns, column: all?.hot[k]?.column },
      ),
    ),
  ]
}

const nameOf = ({ points }: Ground['build'], point: string): string =>
  points.find(({ id }) => id === point)?.name ?? point
