import { CoreError } from '../../base/errors'
import { summit } from '../../base/summit'

/** Where a lever stands best among all that it moves, in its own unit. */
export interface LeverWindow {
  /** The setting with the most room to spare at its tightest. */
  readonly best: number
  readonly margin: number
  /** From where to where nothing falls short, about the best; null when something does everywhere. */
  readonly window: readonly [number, number] | null
  /** The best whole step in range, with its room; null without steps. */
  readonly stepped: { readonly at: number; readonly margin: number } | null
}

/** Settings that are looked at first; between them it is narrowed down. */
const LOOKED = 400
const NARROWINGS = 80
/** Margins this near, in mm, are equal. */
const SAME = 1e-6

/**
 * The middle of what one lever may do: two gaps that grow and shrink against each other have their best setting where both
 * have as much to spare, or at an end of the range.
 *
 * @param marginAt - least room to spare at a setting, in mm, continuous
 * @param step - settings that can be made are multiples of it
 * @throws CoreError `out-of-range` for a range the wrong way round or a step that is not above nought
 * @see docs/methods/gaps.md
 */
export function leverWindow(
  marginAt: (setting: number) => number,
  [low, high]: readonly [number, number],
  step?: number,
): LeverWindow {
  if (!(low < high)) throw new CoreError('out-of-range', 'range', 'must run from a lower to a higher setting')
  if (step !== undefined && !(step > 0)) throw new CoreError('out-of-range', 'step', 'must be above nought')
  const width = (high - low) / LOOKED
  const settings = Array.from({ length: LOOKED + 1 }, (_, k) => (k === LOOKED ? high : low + k * width))
  const margins = settings.map(marginAt)
  const top = margins.reduce((at, margin, k) => (margin > (margins[at] as number) ? k : at), 0)
  const best = summit(
    marginAt,
    Math.max(low, (settings[top] as number) - width),
    Math.min(high, (settings[top] as number) + width),
  )
  const margin = marginAt(best)
  return { best, margin, window: margin >= 0 ? around() : null, stepped: bestStep() }

  function around(): [number, number] {
    let [from, to] = [low, high]
    for (let k = top; k >= 0; k--)
      if ((margins[k] as number) < 0) {
        from = crossing(marginAt, settings[k] as number, Math.min(best, settings[k + 1] as number))
        break
      }
    for (let k = top; k <= LOOKED; k++)
      if ((margins[k] as number) < 0) {
        to = crossing(marginAt, settings[k] as number, Math.max(best, settings[k - 1] as number))
        break
      }
    return [from, to]
  }

  function bestStep(): LeverWindow['stepped'] {
    if (step === undefined) return null
    const [first, last] = [Math.ceil(low / step - 1e-9), Math.floor(high / step + 1e-9)]
    let found: LeverWindow['stepped'] = null
    for (let k = first; k <= last; k++) {
      const there = marginAt(k * step)
      // Where another gap is the tightest the room is the same at many steps: of equals the one that moves least.
      const isMore = !found || there > found.margin + SAME
      const isEqual = found !== null && Math.abs(there - found.margin) <= SAME
      if (isMore || (isEqual && Math.abs(k * step) < Math.abs(found?.at ?? 0)))
        found = { at: k * step, margin: there }
    }
    return found
  }
}

/** Where a function comes to nought between a setting where it is below and one where it is not. */
function crossing(of: (at: number) => number, below: number, above: number): number {
  for (let k = 0; k < NARROWINGS; k++) {
    const middle = (below + above) / 2
    if (of(middle) < 0) below = middle
    else above = middle
  }
  return above
}
