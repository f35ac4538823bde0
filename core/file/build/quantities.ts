import { KINDS } from '../kinds/kinds'
import { merged, type Together } from '../parts/merged'
import type { QuantityFacts } from '../kinds/quantityRow'

/** A quantity that can be limited. */
export type Quantity = keyof Together<(typeof KINDS)[number]['quantities']>

/** Every quantity that can be limited: one row each, and whoever needs to know reads it here. */
export const QUANTITIES: Readonly<Record<Quantity, QuantityFacts>> = merged(KINDS, 'quantities')

/** What is known of a quantity. */
export const factsOf = (quantity: Quantity): QuantityFacts => QUANTITIES[quantity]

/** Quantities of which something is true, in the order of the table. */
export const quantitiesThat = (is: (facts: QuantityFacts) => boolean): Quantity[] =>
  (Object.keys(QUANTITIES) as Quantity[]).filter((quantity) => is(QUANTITIES[quantity]))
