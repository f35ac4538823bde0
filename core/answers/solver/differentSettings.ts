import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Build } from '../../file/build/build'
import { buildProblem } from './buildProblem'
import type { Cure, Proof } from './cure'
import { freeLevers, judged, newSearch } from './findCures'
import { searchByEffort } from './byEffort'
import { roomiestSetting, type LeaveOff } from './byRoom'
import type { SearchedSetting } from './problem'

/** A setting that was found, with what it takes and how much room it leaves. */
export interface FoundSetting {
  readonly cure: Cure
  readonly effort: number
  /** Least room to any limit, as a share of that limit. */
  readonly room: number
}

/** What a search for settings came to. */
export interface FoundSettings {
  /** Each moves other levers than those before it; the cheapest first, proved to be the cheapest there is. */
  readonly settings: readonly FoundSetting[]
  /** Without any: the one that misses its limits by the least, and what stays out there; null where the levers reach nothing. */
  readonly nearest: FoundSetting | null
  /** Settings looked at or ruled out. */
  readonly looked: number
  /** Whether that was every one there is: then no other levers can do it. */
  readonly isWhole: boolean
  /** Every setting of less effort than this was looked at; null where all were. */
  readonly lookedTo: number | null
  /** No setting comes nearer to keeping its limits than by this share of one, below nought; null where `nearest` is proved to be the nearest. */
  readonly mostRoom: number | null
}

/** Settings told apart at the most: more nobody compares. */
const MOST_SETTINGS = 5
/** Candidates proved with their ± at the most. */
const MOST_PROOFS = 40
/** Reports waited for without another, once one was found. */
const MOST_REPORTS = 1500

/**
 * Settings of the free levers in which every check holds, each moving other levers than those before it.
 *
 * A setting that moves all that a cheaper one moves and something besides is no other way to do it and is left out. Yields the settings
 * looked at, so that the caller can report and stop.
 *
 * @param prove - judges a candidate with its own ±; without it what holds as computed is taken
 * @param most - settings told at the most
 * @param leaveOff - asked on the way: whether to end with the best so far
 * @see docs/methods/placement.md
 */
export function* differentSettings(
  build: Build,
  settings: LeverSettings,
  prove: Proof | null = null,
  most = MOST_SETTINGS,
  leaveOff: LeaveOff = () => false,
): Generator<number, FoundSettings> {
  const search = newSearch(build, settings, prove)
  const levers = freeLevers(build)
  const { compiled, unread, spreads } = search
  const problem = buildProblem(compiled, settings, levers, { unread, strictness: 'holds', spreads })
  const found: FoundSetting[] = []
  /** What the settings found so far move, by the places of the levers. */
  const told: (readonly number[])[] = []
  let [looked, waited, proofs, lookedTo] = [0, 0, 0, 0]
  let isWhole = true
  let likeliest: FoundSetting | null = null
  const movedIn = ({ amounts }: SearchedSetting) =>
    amounts.flatMap((amount, i) => (amount === (settings[levers[i]?.id ?? ''] ?? 0) ? [] : [i]))
  for (const report of searchByEffort(problem, told)) {
    ;({ looked, lookedTo } = report)
    waited++
    for (const one of report.found) {
      const moved = movedIn(one)
      if (told.some((set) => set.every((lever) => moved.includes(lever)))) continue
      proofs++
      const cure = judged(search, levers, one.amounts, prove)
      if (cure.reaches !== 'holds') {
        const here = { cure, effort: one.effort, room: one.room }
        if ((cure.likelihood ?? 0) > (likeliest?.cure.likelihood ?? -1)) likeliest = here
        continue
      }
      told.push(moved)
      found.push({ cure, effort: one.effort, room: one.room })
      waited = 0
    }
    const isEnough = found.length >= most || proofs >= MOST_PROOFS || leaveOff()
    if (isEnough || (found.length > 0 && waited >= MOST_REPORTS)) {
      isWhole = false
      break
    }
    yield looked
  }
  const came = { looked, isWhole, lookedTo: isWhole ? null : lookedTo, mostRoom: null }
  if (found.length > 0) return { settings: found, nearest: null, ...came }
  // What holds as computed is nearer than anything that does not: of those the likeliest.
  if (likeliest) return { settings: [], nearest: likeliest, ...came }
  const roomiest = roomiestSetting(problem, leaveOff)
  let step = roomiest.next()
  for (; !step.done; step = roomiest.next()) yield looked
  const best = step.value
  if (!best) return { settings: [], nearest: null, ...came }
  const nearest = {
    cure: judged(search, levers, best.amounts, prove),
    effort: best.effort,
    room: best.room,
  }
  return { settings: [], nearest, ...came, mostRoom: best.mostRoom > best.room ? best.mostRoom : null }
}
