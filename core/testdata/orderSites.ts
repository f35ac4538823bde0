import type { Build } from '../file/build/build'
import type { OrderEntry } from '../file/kinds/orderKinds'
import { orderables } from '../jobs/orders/orderable'
import { compile } from '../model/compile'
import { chosenSettings, evaluate } from '../model/evaluateBuild'
import type { OrderSite } from '../show/orders/orderBody'
import { orderSheet, type OrderSheet } from '../show/orders/orderSheet'
import { demoBuild, rawDemos } from './demos'

/** What an order is looked at with, as the build stands at its position. */
export function orderSite(build: Build): OrderSite {
  const compiled = compile(build)
  return { build, compiled, evaluation: evaluate(compiled, chosenSettings(build)), sureness: null }
}

export const sheetOf = (build: Build, order: OrderEntry): OrderSheet => orderSheet(orderSite(build), order)

/** The orders of all that can be ordered of a build. */
export const ordersOf = (build: Build): OrderEntry[] => orderables(build).map((thing, i) => ({ id: `o-${i}`, ...thing }))

/** Every sheet of every demo. */
export const demoSheets = (): { readonly demo: string; readonly build: Build; readonly order: OrderEntry }[] =>
  rawDemos().flatMap(({ id }) => {
    const build = demoBuild(id as Parameters<typeof demoBuild>[0])
    return ordersOf(build).map((order) => ({ demo: `${id}: ${order.name}`, build, order }))
  })
