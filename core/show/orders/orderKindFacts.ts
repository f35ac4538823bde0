import type { OrderKind } from '../../file/kinds/orderKinds'
import { axleSheet } from './axleSheet'
import { chainSheet } from './chainSheet'
import { halfshaftSheet } from './halfshaftSheet'
import type { BodyOf } from './orderBody'
import { patternSheet } from './patternSheet'
import { adapterSheet, plateSheet } from './plateSheet'
import { propshaftSheet } from './propshaftSheet'

/** All that a kind of order is. */
export interface OrderKindFacts {
  readonly title: string
  readonly body: BodyOf
  /** Whether it is balanced, and its run-out read. */
  readonly turns: boolean
}

/** Every kind of order: one row each. */
export const ORDER_KIND_FACTS: Readonly<Record<OrderKind, OrderKindFacts>> = {
  propshaft: {
    title: 'Propshaft',
    body: propshaftSheet,
    turns: true,
  },
  halfshafts: {
    title: 'Pair of halfshafts',
    body: halfshaftSheet,
    turns: false,
  },
  chain: {
    title: 'Chain set',
    body: chainSheet,
    turns: false,
  },
  pattern: {
    title: 'Machinist’s pattern',
    body: patternSheet,
    turns: false,
  },
  'live-axle': {
    title: 'Live axle',
    body: axleSheet,
    turns: false,
  },
  adapter: {
    title: 'Adapter',
    body: adapterSheet,
    turns: false,
  },
  plate: {
    title: 'Plate to be cut',
    body: plateSheet,
    turns: false,
  },
}
