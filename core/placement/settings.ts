import type { Lever } from '../project/lever'
import type { Id } from '../project/id'

/** Amount of each lever by its id, mm or degrees; absent means 0. */
export type LeverSettings = Readonly<Record<Id, number>>

/** Where a search begins: locked levers where they stand, all others as measured. */
export const lockedSettings = (levers: readonly Lever[], settings: LeverSettings): LeverSettings =>
  Object.fromEntries(
    levers.flatMap(({ id, locked }) => (locked === true ? [[id, settings[id] ?? 0] as const] : [])),
  )
