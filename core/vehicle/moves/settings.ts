import { leverFacts, type Lever } from '../../file/build/lever'
import type { Id } from '../../file/parts/id'

/** Amount of each lever by its id, mm or degrees; absent means 0. */
export type LeverSettings = Readonly<Record<Id, number>>

/** Where a search begins: locked levers where they stand, all others as measured. */
export const lockedSettings = (levers: readonly Lever[], settings: LeverSettings): LeverSettings =>
  Object.fromEntries(
    levers.flatMap(({ id, locked }) => (locked === true ? [[id, settings[id] ?? 0] as const] : [])),
  )

/** True where something is moved that cannot be taken back: a wedge that is welded, an adapter that is made. */
export const movesLasting = (levers: readonly Lever[], settings: LeverSettings): boolean =>
  levers.some(({ id, kind }) => leverFacts(kind).isLasting === true && (settings[id] ?? 0) !== 0)
