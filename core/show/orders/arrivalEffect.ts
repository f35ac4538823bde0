import { withArrived, type Arrived } from '../../jobs/orders/takeArrival'
import { stateKey, type Check } from '../../check/check'
import type { OrderEntry } from '../../file/kinds/orderKinds'
import { evaluateBuild } from '../../model/evaluateBuild'
import { checkLabel, checkValueText } from '../text/checkText'
import type { OrderSite } from './orderBody'

/** A check that stands otherwise with what came. */
export interface ArrivalEffect {
  readonly label: string
  readonly was: string
  readonly is: string
  readonly verdict: Check['verdict']
}

const WORST_FIRST: readonly Check['verdict'][] = ['out', 'unknown', 'tight', 'holds']
const keyOf = (check: Check): string => `${stateKey(check)}/${check.id}`

/** Every check that stands otherwise once what came is the figure that counts, worst first. */
export function arrivalEffects(
  { build, evaluation }: OrderSite,
  order: OrderEntry,
  arrived: readonly Arrived[],
): ArrivalEffect[] {
  const before = new Map(evaluation.checks.map((check) => [keyOf(check), check]))
  const after = evaluateBuild(withArrived(build, order, arrived), evaluation.settings).checks
  return after
    .flatMap((check): ArrivalEffect[] => {
      const old = before.get(keyOf(check))
      const [was, is] = [old, check].map((one) => (one ? checkValueText(one, one.value, build.units) : '?'))
      if (!old || was === undefined || is === undefined || was === is) return []
      return [{ label: checkLabel(check, true), was, is, verdict: check.verdict }]
    })
    .sort((a, b) => WORST_FIRST.indexOf(a.verdict) - WORST_FIRST.indexOf(b.verdict))
}
