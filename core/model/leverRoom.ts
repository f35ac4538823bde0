import { newRun } from '../base/columns/run'
import { leverWindow, type LeverWindow } from '../vehicle/gaps/leverWindow'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { Id } from '../file/parts/id'
import type { CompiledBuild } from './compile'

/**
 * What one lever may do while all others stay: from where to where every gap keeps its failing limit, and where the
 * tightest of them has the most room.
 *
 * @returns null without a gap that is known and hangs on it
 * @see docs/methods/gaps.md
 */
export function leverRoom(compiled: CompiledBuild, settings: LeverSettings, leverId: Id): LeverWindow | null {
  const lever = compiled.build.levers.find(({ id }) => id === leverId)
  const amount = compiled.levers.get(leverId)
  if (!lever || amount === undefined) return null
  const watched = compiled.gaps.flatMap(({ plans }) =>
    plans.flatMap(({ gap, planned: { window } }) => {
      const least = window.failLow ?? window.warnLow
      return gap.known && least !== null ? [{ column: gap.value, least }] : []
    }),
  )
  if (watched.length === 0) return null
  const run = newRun(compiled.graph, 1)
  for (const [id, column] of compiled.levers) run.set(column, settings[id] ?? 0)
  const wanted = watched.map(({ column }) => column)
  const marginAt = (setting: number) => {
    run.set(amount, setting)
    run.bring(wanted, 1)
    return watched.reduce((room, { column, least }) => {
      const gap = run.figure(column)
      // Where the body cannot go there is no room at all.
      return Math.min(room, Number.isNaN(gap) ? -Infinity : gap - least)
    }, Infinity)
  }
  const [low, high] = lever.range
  return low < high ? leverWindow(marginAt, [low, high], lever.step) : null
}
