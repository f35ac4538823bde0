import type { Column } from '../base/columns/graph'
import { mapKnown, unknown, type Known } from '../base/known'
import { sprocketName, type ChainLine, type ChainSprocket } from '../file/parts/chainLine'
import type { LimitEntry, Quantity } from '../file/build/limit'
import type { Check, WheelPlace } from './check'
import { judge, windowOf, type CheckHead } from './judge'
import { worstOf } from '../file/limits/worst'
import { appliesIn } from './judgedState'
import type { PlannedCheck } from './plannedCheck'

/** A figure of a chain that is judged: a column of the model, with what is said where it has no answer, or a figure of the file. */
export type ChainFigure = { readonly column: Column; readonly nowhere?: string } | number

/** One check of a chain at one place of the wheels, with its figure or what is missing for it. */
export interface PlannedChainCheck {
  readonly planned: PlannedCheck
  readonly value: Known<ChainFigure>
}

/** What a check of a chain looks at. */
export interface ChainAspect {
  readonly chain: Pick<ChainLine, 'id' | 'name'>
  readonly quantity: Quantity
  /** One of its sprockets; the chain as a whole when absent. */
  readonly sprocket?: Pick<ChainSprocket, 'id' | 'name' | 'teeth'>
  readonly at: WheelPlace | null
}

/**
 * Limits of a chain that goes along with wheels: what it is to hang at least counts at the tightest place of its travel, so that at ride height
 * it may well hang more than a chain that stands still; only what is far too slack is told there.
 */
export const slackLimitsOfTravel = (limits: readonly LimitEntry[], quantity: Quantity): LimitEntry[] =>
  limits.flatMap((limit): LimitEntry[] => {
    if (limit.quantity !== quantity || limit.scope !== 'ride') return [limit]
    const { warnBelow, failAbove } = limit
    const none = { failBelow: undefined, warnBelow: undefined, warnAbove: undefined, failAbove: undefined }
    return [
      ...(warnBelow === undefined ? [] : [{ ...limit, ...none, scope: 'travel' as const, warnBelow }]),
      ...(failAbove === undefined ? [] : [{ ...limit, ...none, failAbove }]),
    ]
  })

/** The check of a figure; null where nothing limits it there. */
export function chainCheck(
  aspect: ChainAspect,
  value: Known<ChainFigure>,
  limits: readonly LimitEntry[],
): PlannedChainCheck | null {
  const head = chainHead(aspect)
  const bounds = limits.filter(
    (limit) => limit.quantity === aspect.quantity && appliesIn(limit, { state: 'ride', at: aspect.at }),
  )
  if (bounds.length === 0) return null
  return {
    value,
    planned: {
      head,
      bounds,
      window: windowOf(bounds),
      unknownBounds: [],
      needs: mapKnown(value, () => null),
      value: value.known ? value.value : null,
    },
  }
}

const chainHead = ({ chain, quantity, sprocket, at }: ChainAspect): CheckHead => ({
  id: `chain/${chain.id}/${quantity}${sprocket ? `/${sprocket.id}` : ''}`,
  lineId: null,
  lineName: null,
  quantity,
  subject: {
    of: 'chain',
    id: chain.id,
    name: chain.name,
    ...(sprocket && { sprocket: { id: sprocket.id, name: sprocketName(sprocket) } }),
  },
  state: 'ride',
  at,
  speedRpm: null,
})

/**
 * The checks of a chain, each at its worst place, as the levers stand.
 *
 * @param closes - whether the chain closes round its sprockets at a place; else why not
 * @param calledNow - a place of the wheels as it is called now; undefined for one that nothing stands at
 */
export function judgedChain(
  plans: readonly PlannedChainCheck[],
  figure: (column: Column) => number,
  closes: (at: WheelPlace | null) => Known<unknown>,
  calledNow: (at: WheelPlace | null) => WheelPlace | null | undefined,
): Check[] {
  const ids = [...new Set(plans.map(({ planned }) => planned.head.id))]
  return ids.flatMap((id) => {
    const own = plans.filter(({ planned }) => planned.head.id === id)
    const judged = own.flatMap(({ value, planned: { head, bounds, window } }): Check[] => {
      const at = calledNow(head.at)
      if (at === undefined) return []
      return [judge(at === head.at ? head : { ...head, at }, read(value, head.at), bounds, [], window)]
    })
    return worstOf(judged) ?? []
  })

  function read(value: Known<ChainFigure>, at: WheelPlace | null): Known<number> {
    if (!value.known) return value
    if (typeof value.value === 'number') return { ...value, value: value.value }
    const place = closes(at)
    const { column, nowhere } = value.value
    const found = figure(column)
    // A place along a lever is looked for whether or not the chain closes where that stands.
    if (nowhere !== undefined) return Number.isNaN(found) ? unknown(nowhere) : { ...value, value: found }
    return place.known ? { ...value, value: found } : place
  }
}
