import { chainCheck } from '../check/chainChecks'
import type { Check } from '../check/check'
import { judge, windowOf } from '../check/judge'
import { adjusterPlace, type AdjusterPlace } from '../chain/adjuster'
import { chainLength } from '../chain/chainDrive'
import { excessOf } from '../chain/slack'
import type { Column } from '../columns/graph'
import { newRun, type Run } from '../columns/run'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { LeverSettings } from '../placement/settings'
import { USUAL_WORN_PERCENT } from '../project/chainLine'
import type { Lever } from '../project/lever'
import type { ChainTravel } from './chainTravel'
import type { CompiledBuild } from './compile'
import { slackQuantity, type CompiledChain } from './compiledChain'
import { givenFigures } from './screen'

/** Where the adjuster of a chain stands, and where it has to for a new and for a worn chain. */
export interface AdjusterTravel {
  readonly lever: Lever
  readonly standsMm: number
  /** With the middle of the wanted slack, as the chain is now. */
  readonly right: AdjusterPlace
  /** Just taut. */
  readonly taut: AdjusterPlace
  /** With the wanted slack, new and worn out; unknown while its links are not told. */
  readonly fresh: Known<AdjusterPlace>
  readonly worn: Known<AdjusterPlace>
  /** Room left in the range at the nearer end, from new to worn; below nought, how much is missing. */
  readonly leftMm: Known<number>
}

/** What slack is wanted, in percent of the run: between its warnings. */
export function wantedPercent(
  { build }: CompiledBuild,
  compiled: CompiledChain,
): readonly [number, number] | null {
  const quantity = slackQuantity(compiled)
  const limit = build.limits.entries.find((one) => one.quantity === quantity && one.scope === 'ride')
  const [low, high] = [limit?.warnBelow ?? limit?.failBelow, limit?.warnAbove ?? limit?.failAbove]
  return low === undefined || high === undefined ? null : [low, high]
}

/** Runs in which adjusters are moved to and fro, apart from what is shown. */
const runs = new WeakMap<CompiledChain, { readonly run: Run; readonly wanted: readonly Column[] }>()

/** Where the lever that tightens a chain has to stand; null where none does. */
export function chainAdjuster(
  build: CompiledBuild,
  compiled: CompiledChain,
  settings: LeverSettings,
  travel: ChainTravel | null,
  stands: Known<number>,
): Known<AdjusterTravel> | null {
  const { chain, length, places, slackSpan } = compiled
  const lever = build.build.levers.find(({ id }) => id === chain.adjuster)
  const amount = lever && build.levers.get(lever.id)
  if (!lever || amount === undefined) return null
  const columns = places.find(({ at }) => at === null)?.columns ?? unknown(`${chain.name}: not read`)
  return mapKnown(allKnown([columns, length] as const), ([ride, { lengthMm }]) => {
    const span = ride.spansMm[slackSpan ?? 0] ?? ride.neededMm
    const there = runs.get(compiled) ?? {
      run: newRun(build.graph, 1),
      wanted: [ride.neededMm, span, lengthMm],
    }
    runs.set(compiled, there)
    const { run, wanted: looked } = there
    for (const [column, value] of givenFigures(build, settings, [])) run.set(column, value)
    const wanted = wantedPercent(build, compiled)
    const middle = wanted ? (wanted[0] + wanted[1]) / 2 : 0
    // How much more the tightest place needs hardly changes with the adjuster.
    const more = travel && stands.known ? travel.tightest.neededMm - stands.value : 0
    const standsMm = settings[lever.id] ?? 0
    const measured = new Map<
      number,
      { readonly needed: number; readonly spanMm: number; readonly long: number }
    >()
    /** The chain with the adjuster elsewhere; looked at once for all that is asked of it. */
    const chainAt = (at: number) => {
      const there = measured.get(at)
      if (there) return there
      run.set(amount, at)
      run.bring(looked, 1)
      const found = {
        needed: run.figure(ride.neededMm),
        spanMm: run.figure(span),
        long: run.figure(lengthMm),
      }
      measured.set(at, found)
      return found
    }
    const placeFor = (longMm: number | null, percent: number): AdjusterPlace =>
      adjusterPlace(
        {
          range: lever.range,
          excessAt: (at) => {
            const { needed, spanMm, long } = chainAt(at)
            if (!(spanMm > 0)) return NaN
            const keeps = excessOf({ spanMm }, 'vee', (percent * spanMm) / 200)
            return (longMm ?? long) - needed - (percent === 0 ? 0 : more) - keeps
          },
        },
        standsMm,
      )
    const { links, pitchMm, wornPercent = USUAL_WORN_PERCENT } = chain
    const ofLinks = (wear: number): Known<AdjusterPlace> =>
      links === undefined
        ? unknown(`${chain.name}: how many links it has`)
        : known(placeFor(chainLength({ links, wear }, pitchMm), middle))
    const [fresh, worn] = [ofLinks(0), ofLinks(wornPercent / 100)]
    return {
      lever,
      standsMm,
      right: placeFor(null, middle),
      taut: placeFor(null, 0),
      fresh,
      worn,
      leftMm: mapKnown(allKnown([fresh, worn] as const), ([one, other]) =>
        Math.min(roomOf(lever, one), roomOf(lever, other)),
      ),
    }
  })
}

/** Room of a place to the nearer end of a lever's range; below nought, what the range lacks. */
function roomOf({ range: [from, to] }: Lever, place: AdjusterPlace): number {
  if ('at' in place) return Math.min(place.at - from, to - place.at)
  return 'lacksMm' in place ? -place.lacksMm : NaN
}

/** The room that is left at the ends of the adjuster, judged. */
export function judgedLeft(
  { build }: CompiledBuild,
  { chain }: CompiledChain,
  adjuster: Known<AdjusterTravel>,
): Check[] {
  const read: Known<number> = adjuster.known ? adjuster.value.leftMm : adjuster
  const left =
    read.known && Number.isNaN(read.value)
      ? unknown(`${chain.name}: it does not close anywhere along its adjuster`)
      : read
  const planned = chainCheck({ chain, quantity: 'adjuster-left', at: null }, known(0), build.limits.entries)
  if (!planned) return []
  const { head, bounds } = planned.planned
  return [judge(head, left, bounds, [], windowOf(bounds))]
}
