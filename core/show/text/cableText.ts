import { fixed, formatAngle, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import { norm, sub } from '../../base/linalg/vec3'
import { CoreError } from '../../base/errors'
import type { Build } from '../../file/build/build'
import type { Verdict } from '../../file/build/limit'
import type { CableBand } from '../../model/cableBand'
import type { CableFigure } from '../../model/cableColumns'
import type { CableEvaluation, CableFound } from '../../model/cableSubject'
import { cableSlack } from '../../shift/cable/slack'

/** A figure of a cable in words. */
export interface CableRow {
  readonly key: string
  readonly name: string
  readonly value: string
  /** Its place in the published result; null for what is told by hand. */
  readonly place: string | null
  readonly verdict: Verdict | null
}

const NAMES: readonly (readonly [CableFigure, string])[] = [
  ['cableMm', 'Between the fixings, as it is laid'],
  ['stringMm', 'A string round its corners would read'],
  ['byStringMm', 'By the string that was read, less its corners'],
  ['turnDeg', 'Bends in all'],
  ['straightMm', 'Shortest straight between two bends'],
  ['looseMm', 'Loose for the rock of the engine'],
  ['leftMm', 'Left of the adjuster'],
  ['passes', 'Effort that comes through'],
  ['lostMm', 'Lost at each reversal'],
]
const CHECKS: Readonly<Partial<Record<CableFigure, string>>> = { straightMm: 'straight', leftMm: 'length' }

/**
 * Everything worked out of a cable.
 *
 * @param index - of the cable in the build
 */
export function cableRows(
  { cable, found, checks }: CableEvaluation,
  index: number,
  { units, points }: Build,
): CableRow[] {
  if (!found.known) return []
  const { figures, radiiMm, hot } = found.value
  const verdictOf = (key: string | undefined) =>
    (key && checks.find(({ id }) => id === `cable/${cable.id}/${key}`)?.verdict) || null
  const plain = NAMES.flatMap(([key, name]): CableRow[] => {
    const value = figures[key]
    if (value === undefined) return []
    const place = `cables[${index}].${key}`
    return [{ key, name, value: shown(key, value, units), place, verdict: verdictOf(CHECKS[key]) }]
  })
  const tightest: CableRow[] =
    radiiMm.length === 0
      ? []
      : [
          {
            ...{ key: 'radius', name: 'Tightest bend', place: null, verdict: verdictOf('radius') },
            value: formatLength(Math.min(...radiiMm), units),
          },
        ]
  const toHot = hot.map(({ point, toMm, gapMm }, k): CableRow => ({
    key: `hot-${k}`,
    name: `To ${points.find(({ id }) => id === point)?.name ?? point}, of ${formatLength(gapMm, units)} wanted`,
    value: formatLength(toMm, units),
    place: `cables[${index}].hot[${k}].toMm`,
    verdict: verdictOf(`hot/${k}`),
  }))
  return [...plain, ...tightest, ...toHot]
}

function shown(key: CableFigure, value: number, units: UnitSettings): string {
  if (key === 'turnDeg') return formatAngle(value, units, 0)
  if (key === 'passes') return `${fixed(100 * value, 0)} %`
  return formatLength(value, units)
}

/** What a cable comes to, in one or two sentences. */
export function cableSentence({ cable, found }: CableEvaluation, units: UnitSettings): string {
  if (!found.known) return `${cable.name}: its way is not known yet.`
  const { cableMm, looseMm = 0, leftMm, straightMm = NaN } = found.value.figures
  const length = (mm: number) => formatLength(mm, units)
  if (cableMm === undefined)
    return `${cable.name}: its way doubles back on itself, so that it cannot be laid.`
  if (straightMm < 0)
    return `Its bends do not fit beside each other: ${length(-straightMm)} are missing between two. Bend it tighter or move a corner.`
  const loose = looseMm > 0 ? `, ${length(looseMm)} of it loose for the rock of the engine` : ''
  const wanted = cableMm + looseMm
  if (cable.lengthMm === undefined || leftMm === undefined)
    return `Order it ${length(wanted)} long between its outer fixings${loose}.`
  const over = cable.lengthMm - wanted
  if (leftMm >= 0)
    return `Its way takes ${length(wanted)}${loose}; with ${length(cable.lengthMm)} the adjuster has ${length(leftMm)} left.`
  return over < 0
    ? `It is ${length(-leftMm)} too short, beyond what its adjuster gives: its way takes ${length(wanted)}${loose}.`
    : `It is ${length(-leftMm)} too long, beyond what its adjuster takes up${bow(found.value, over, units)}.`
}

/** Where slack goes: into the longest straight, as one arc. */
function bow({ points }: CableFound, overMm: number, units: UnitSettings): string {
  const chord = Math.max(...points.slice(1).map((point, k) => norm(sub(point, points[k] ?? point))))
  try {
    const { bowMm } = cableSlack(chord, chord + overMm)
    return `: in its longest straight of ${formatLength(chord, units)} it bows out ${formatLength(bowMm, units)}`
  } catch (error) {
    if (error instanceof CoreError) return ''
    throw error
  }
}

/** Where the hole is to be drilled; null without a bulkhead. */
export function holeSentence(
  { cable, found }: CableEvaluation,
  band: CableBand | null,
  { units, points }: Build,
): string | null {
  const sheet = found.known ? found.value.bulkhead?.bulkhead : undefined
  if (!sheet || !cable.hole) return null
  const mark = points.find(({ id }) => id === sheet.mark)?.name ?? sheet.mark
  if (!band)
    return `Its hole is ${placeText(cable.hole, units)} ${mark}. With its length told, the band is drawn where it may be.`
  if (!band.best)
    return `A cable of this length reaches nowhere through ${sheet.name}: another length, radius or corner is wanted.`
  const { leftMm, upMm } = cable.hole
  const off = Math.hypot(band.best.leftMm - leftMm, band.best.upMm - upMm)
  const here = `Its hole is ${placeText(cable.hole, units)} ${mark}`
  return `${here}; the nearest place where the adjuster stands in its middle is ${placeText(band.best, units)} it, ${formatLength(off, units)} away.`
}

const placeText = (
  { leftMm, upMm }: { readonly leftMm: number; readonly upMm: number },
  units: UnitSettings,
): string =>
  `${formatLength(Math.abs(leftMm), units)} ${leftMm < 0 ? 'right' : 'left'} of and ${formatLength(Math.abs(upMm), units)} ${upMm < 0 ? 'below' : 'above'}`
