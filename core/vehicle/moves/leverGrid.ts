import { leverUnit, type Lever } from '../../file/build/lever'
import { stackHeights } from './spacers'

/** One step a lever can stand at, and what it costs to put it there. */
export interface LeverStep {
  /** In mm or degrees. */
  readonly amount: number
  /** Nought for leaving the lever where it stands; more for whatever is more work. */
  readonly effort: number
}

/** About equally much work at the bench: ten millimetres of spacers, one degree of wedge. */
const PER_UNIT = { mm: 0.1, deg: 1 } as const
/** Steps of one lever looked at to either side at the most. */
const MOST_STEPS = 2000

/**
 * What it takes to bring a lever from one amount to another, both in mm or degrees: its own cost for touching it at all and for
 * each unit, or without them the usual work.
 *
 * @returns nought for leaving it where it stands
 */
export function effortOf(lever: Lever, from: number, to: number): number {
  if (from === to) return 0
  const { fixed = 0, perUnit = lever.effort ? 0 : PER_UNIT[leverUnit(lever)] } = lever.effort ?? {}
  return fixed + Math.abs(to - from) * perUnit
}

/**
 * The amounts a lever can be brought to, nearest first: its own steps from where it stands, since nobody packs half a step;
 * where spacers are at hand what they can be stacked to, since nobody has others.
 */
export function leverGrid(lever: Lever, stands: number): LeverStep[] {
  const [least, most] = lever.range
  // The ends of the range count, though steps that are added up may pass them by a rounding.
  const isInRange = (amount: number) => amount >= least - 1e-9 && amount <= most + 1e-9
  const steps = stepsAbout(lever, stands).filter(isInRange)
  const stock = (lever.stock ?? []).filter((thickness) => thickness > 0)
  // Spacers lift; to come down something is taken away or cut, which goes by steps.
  const amounts =
    stock.length === 0
      ? steps
      : [
          ...steps.filter((amount) => amount <= 0),
          ...[...stackHeights(stock.map((thickness) => ({ thickness }))).keys()].filter(isInRange),
        ]
  return [...new Set([stands, ...amounts])]
    .map((amount) => ({ amount, effort: effortOf(lever, stands, amount) }))
    .sort((a, b) => a.effort - b.effort)
}

function stepsAbout({ range: [least, most], step }: Lever, stands: number): number[] {
  const count = Math.min(MOST_STEPS, Math.ceil((most - least) / step))
  return Array.from({ length: count }, (_, i) => [stands + (i + 1) * step, stands - (i + 1) * step])
    .flat()
    .map((amount) => Math.round(amount * 1e6) / 1e6)
}
