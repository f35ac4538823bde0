import type { Estimate } from '../../file/kinds/taskKinds'

/** What it takes to make something oneself. */
export interface OwnMaking {
  readonly hours: number
  /** Money. */
  readonly material: number
  /** Chance that it is made twice, 0 to 100. */
  readonly twicePercent: number
}

/** Making against buying. */
export interface MakeOrBuy {
  /** With what it costs on average to make it a second time. */
  readonly ownCost: number
  readonly ownHours: number
  readonly price: number
  /** What making saves; below nought it costs more. */
  readonly saved: number
  /** Days that are not waited for; null where nobody said how long it is on its way. */
  readonly sparedDays: number | null
  /** What an hour of one's own would have to be worth for both to cost alike; null where none is spent. */
  readonly evenRate: number | null
}

/**
 * What it costs to make something oneself, by hours and material and the chance of doing it twice, against its price and its way.
 *
 * @param rate - what an hour of one's own is worth
 */
export function makeOrBuy(
  { hours, material, twicePercent }: OwnMaking,
  price: number,
  {
    rate = 0,
    leadDays = null,
  }: { readonly rate?: number | undefined; readonly leadDays?: Estimate | null } = {},
): MakeOrBuy {
  const times = 1 + twicePercent / 100
  const ownHours = hours * times
  const ownCost = ownHours * rate + material * times
  return {
    ownCost,
    ownHours,
    price,
    saved: price - ownCost,
    sparedDays: leadDays?.likely ?? null,
    evenRate: ownHours > 0 ? Math.max(0, (price - material * times) / ownHours) : null,
  }
}
