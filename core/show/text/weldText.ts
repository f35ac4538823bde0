import { fixed, formatAngle, formatLength, signedText } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { WeldEntry, WeldReading } from '../../file/kinds/weldKinds'
import { drawnAskew } from '../../making/welds/diagonals'
import { seamShrink, warmLongerMm, weldChange } from '../../making/welds/shrink'
import { tackPlan } from '../../making/welds/tacks'

/** A reading of a weld: once it is welded, what was read before stays hidden until what is read now is typed. */
export interface WeldRow {
  readonly reading: WeldReading
  readonly before: string
  readonly change: string
  readonly verdict: 'holds' | 'out' | null
}

/** By which the heat is told. */
const WARM = { mm: 300, warmerK: 100 }

export const HIDDEN = 'hidden'

const figureText = ({ isAngle }: WeldReading, figure: number, units: UnitSettings): string =>
  isAngle === true ? formatAngle(figure, units, 2) : formatLength(figure, units)

export const weldRows = ({ readings, hotAt }: WeldEntry, units: UnitSettings): WeldRow[] =>
  readings.map((reading): WeldRow => {
    const { before, after } = reading
    const change = weldChange(reading)
    return {
      reading,
      before:
        before === undefined
          ? ''
          : hotAt !== undefined && after === undefined
            ? HIDDEN
            : figureText(reading, before, units),
      change: change ? signedText(change.by, (by) => figureText(reading, by, units), 'as it was') : '',
      verdict: change?.isWithin == null ? null : change.isWithin ? 'holds' : 'out',
    }
  })

/** What stands after welding, in one sentence; null until something was read again. */
export function weldSentence(weld: WeldEntry): { readonly text: string; readonly isOut: boolean } | null {
  const read = weld.readings.filter((one) => weldChange(one) !== null)
  if (read.length === 0) return null
  const out = read.filter((one) => weldChange(one)?.isWithin === false)
  const left = weld.readings.length - read.length
  const more = left > 0 ? `; ${left} still to be read` : ''
  return out.length === 0
    ? { text: `Nothing drew further than it may${more}.`, isOut: false }
    : { text: `Drew too far: ${out.map(({ name }) => name).join(', ')}${more}.`, isOut: true }
}

/** What the diagonals say while it is tacked; null until they were read twice. */
export function diagonalSentence(
  { diagonals = [] }: WeldEntry,
  units: UnitSettings,
): { readonly text: string; readonly isOut: boolean } | null {
  const drawn = drawnAskew(diagonals)
  if (!drawn) return null
  const by = formatLength(drawn.byMm, units)
  return drawn.stops
    ? {
        text: `Stop: the ${drawn.grew} diagonal grew by ${by}; the next tack at the other corner.`,
        isOut: true,
      }
    : { text: `Square as it was, to ${by}.`, isOut: false }
}

/**
 * How the seam is tacked, and how much it is likely to draw, a line each.
 *
 * @param others - the shop's other welds
 */
export function weldSteps(weld: WeldEntry, others: readonly WeldEntry[], units: UnitSettings): string[] {
  const { lengthMm, atMm } = tackPlan(weld.lengthMm, weld.thicknessMm)
  const shrink = seamShrink(weld, others)
  const [from, to] = [fixed(shrink.fromMm, 2), fixed(shrink.toMm, 2)]
  const much = from === to ? `${to} mm` : `${from} to ${to} mm`
  const whose =
    shrink.ownWelds === 0
      ? 'a guide until you have your own'
      : `by ${shrink.ownWelds} of your own ${shrink.ownWelds === 1 ? 'weld' : 'welds'}`
  return [
    `${atMm.length} tacks of ${formatLength(lengthMm, units)} to each side, ends first: ${atMm.map((mm) => formatLength(mm, units)).join(', ')} from one end; opposite ones in pairs`,
    'diagonals after each pair; the next tack at the other corner where one grew',
    'weld short, opposite and back-stepped, from the stiff side outwards',
    `it is likely to draw ${much} (${whose})`,
    `read again once it is cold: ${formatLength(WARM.mm, units)} of steel that are ${WARM.warmerK} °C warmer are ${fixed(warmLongerMm(WARM.mm, WARM.warmerK), 2)} mm longer`,
  ]
}
