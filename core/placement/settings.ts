import type { Id } from '../project/id'

/** Amount of each lever by its id, mm or degrees; absent means 0. */
export type LeverSettings = Readonly<Record<Id, number>>
