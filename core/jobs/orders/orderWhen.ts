import type { Build } from '../../file/build/build'
import type { OrderEntry, OrderKind, OrderWhen } from '../../file/kinds/orderKinds'
import { partsBelow } from '../made/partsBelow'

/** What of a thing has to stand before it is ordered, as is usual. */
export const USUAL_WHEN: Readonly<Record<OrderKind, OrderWhen>> = {
  propshaft: 'ride',
  halfshafts: 'ride',
  chain: 'mounts',
  pattern: 'ride',
  'live-axle': 'mounts',
  adapter: 'now',
  plate: 'now',
}

export const whenOf = ({ kind, when }: Pick<OrderEntry, 'kind' | 'when'>): OrderWhen =>
  when ?? USUAL_WHEN[kind]

/** Why it is too early to order something. */
export type Early = 'mounts' | 'ride'

/**
 * Why it is too early: what holds the powertrain is not tacked yet, or the vehicle was last measured anywhere but settled on its wheels with its weight
 * on. Null when nothing that it rests on is to come.
 */
export function earlyBy(build: Build, order: Pick<OrderEntry, 'kind' | 'when'>): Early | null {
  const when = whenOf(order)
  if (when === 'now') return null
  if (!areMountsTacked(build)) return 'mounts'
  const last = build.setups.at(-1)
  return when === 'ride' && !(last?.loaded && last.settled) ? 'ride' : null
}

/** By the gate, or by the parts themselves. */
const areMountsTacked = (build: Build): boolean =>
  (build.gates ?? []).some(({ gate }) => gate === 'tacked') ||
  ((build.crossmembers ?? []).length > 0 && partsBelow(build, 'tacked').length === 0)
