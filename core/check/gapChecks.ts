import type { Column } from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { Gap } from '../file/parts/gap'
import type { LimitEntry } from '../file/build/limit'
import type { Check, GapState, WheelPlace } from './check'
import { judge, windowOf, type Bound, type CheckHead } from './judge'
import { worstOf } from '../file/limits/worst'
import { appliesIn } from './judgedState'
import type { PlannedCheck } from './plannedCheck'

/** A gap at one place of the wheels: its column, or what is missing for it. */
export interface GapAt {
  readonly at: WheelPlace | null
  /** The torque under which it stands so. */
  readonly state: GapState
  readonly gap: Known<Column>
}

/** The check of a gap at one place of the wheels, with its figure or what is missing for it. */
export interface PlannedGap {
  readonly planned: PlannedCheck
  readonly gap: Known<Column>
}

/**
 * The check of a gap at ride height and, where a limit speaks of the whole travel, at every other place of the wheels.
 *
 * What the pair itself needs goes before what its kind does. A gap that nothing limits is judged by nought: less is an overlap.
 */
export function gapChecks(gap: Gap, places: readonly GapAt[], limits: readonly LimitEntry[]): PlannedGap[] {
  const ours = limits.filter(({ quantity, gaps }) => quantity === 'gap' && (gaps?.includes(gap.kind) ?? true))
  return places.flatMap(({ at, state: torque, gap: column }): PlannedGap[] => {
    const state = { state: torque, at }
    const inState = ours.filter((limit) => appliesIn(limit, state))
    // Away from ride height only what a limit asks for there is looked at.
    if ((at !== null || (torque !== 'ride' && torque !== 'load')) && inState.length === 0) return []
    // What a gap is asked for at rest is its reserve for this.
    const bounds = torque === 'load' ? [{ basis: GIVES, failBelow: 0 }] : boundsOf(gap, inState)
    return [
      {
        gap: column,
        planned: {
          head: headOf(gap, at, torque),
          bounds,
          window: windowOf(bounds),
          unknownBounds: [],
          needs: mapKnown(column, () => null),
          value: column.known ? { column: column.value } : null,
        },
      },
    ]
  })
}

function boundsOf(gap: Gap, limits: readonly LimitEntry[]): Bound[] {
  const { failBelow, warnBelow } = gap
  if (failBelow === undefined && warnBelow === undefined)
    return limits.length > 0 ? [...limits] : [{ basis: TOUCHES, failBelow: 0 }]
  return [
    {
      basis: OWN,
      failBelow: failBelow ?? Math.min(warnBelow ?? 0, ...limits.map((limit) => limit.failBelow ?? 0)),
      warnBelow,
    },
  ]
}

const OWN = 'what this very pair was said to need'
const GIVES = 'as what is on mounts gives under load, the two touch'
const TOUCHES = 'below nought the two lie in each other'

const headOf = ({ id, name }: Gap, at: WheelPlace | null, state: GapState): CheckHead => ({
  id: `gap/${id}`,
  lineId: null,
  lineName: null,
  quantity: 'gap',
  subject: { of: 'gap', id, name },
  state,
  at,
  speedRpm: null,
})

/**
 * A gap's check at its worst place, as the levers stand.
 *
 * @param calledNow - a place of the wheels as it is called now; undefined for one that nothing stands at
 */
export const judgedGap = (
  plans: readonly PlannedGap[],
  figure: (column: Column) => number,
  stands: (at: WheelPlace | null) => Known<unknown>,
  calledNow: (at: WheelPlace | null) => WheelPlace | null | undefined,
): Check | null =>
  worstOf(
    plans.flatMap(({ gap, planned: { head, bounds, window } }) => {
      const at = calledNow(head.at)
      if (at === undefined) return []
      const place = stands(head.at)
      const figures = place.known ? mapKnown(gap, figure) : place
      return [judge(at === head.at ? head : { ...head, at }, figures, bounds, [], window)]
    }),
  )
