import { fixed, formatLength, signedText } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Known } from '../../base/known'
import type { Plate, PlateFace } from '../../file/kinds/plateKinds'
import type { FacePlaces } from '../../making/plates/facePlaces'
import type { PlateAnswer } from '../../making/plates/plateAnswer'
import { plateFigureId, type PlateEvaluation } from '../../model/plateSubject'
import type { Sureness } from '../../answers/uncertainty/monteCarlo'
import { spreadText } from './lineFacts'

const SEEN = { front: 'seen from the front', back: 'seen from the back' } as const

/** "3 o'clock", "half past 3": as one points on a plate. */
export function hourText(hour: number): string {
  const halves = Math.round(hour * 2)
  const whole = Math.floor(halves / 2) % 12 || 12
  return halves % 2 === 0 ? `${whole} o’clock` : `half past ${whole}`
}

/** What is to be done so that a plate goes on; null while it is not known. */
export function fitSentence({ seenFrom }: Plate, { fit }: PlateAnswer): string | null {
  if (!fit.known) return null
  const { verdict, missMm, open, alternatives } = fit.value
  if (verdict === 'fits') return `It fits: the worst hole has ${fixed(-missMm, 2)} mm of its play left.`
  if (verdict === 'redrill')
    return `No two holes opened let it go on: the worst is ${fixed(missMm, 1)} mm beyond its play in the best place. Measure again, or drill it anew.`
  const holes = open.map(
    ({ id, byMm, hour }) => `hole ${id} by ${fixed(byMm, 1)} mm toward ${hourText(hour)}`,
  )
  const others = alternatives.map(({ ids, totalMm }) => `${ids.join(' and ')} by ${fixed(totalMm, 1)} mm`)
  const or = others.length > 0 ? ` Or ${others.join(', or ')}.` : ''
  return `Open ${holes.join(' and ')}, ${SEEN[seenFrom]}; all others stay as they are.${or}`
}

/** How far the points by which a plate stands are beside its holes; null while that is not known. */
export function standsSentence(
  { plate, standing }: PlateEvaluation,
  units: UnitSettings,
  sureness: Sureness | null = null,
): string | null {
  if (!standing?.known) return null
  const spread = sureness?.figures[plateFigureId(plate.id)] ?? null
  const give = spreadText(spread, (mm) => formatLength(mm, units))
  return `Its points lie up to ${formatLength(standing.value.missMm, units)}${give ? ` ${give}` : ''} beside its holes.`
}

const signed = (mm: number): string => signedText(mm, (size) => fixed(size, 2))

/** A tape over two holes beside what all tapes together say. */
export interface TapeRow {
  readonly index: number
  readonly tape: string
  readonly read: string
  readonly off: string
  /** What it would be off by if it alone is wrong. */
  readonly alone: string
  readonly isSuspect: boolean
}

export const tapeRows = ({ tapes }: PlateFace, face: Known<FacePlaces>): TapeRow[] =>
  tapes.map(({ a, b, mm }, index) => {
    const pattern = face.known ? face.value.pattern : null
    const residual = pattern?.residuals[index]
    return {
      index,
      tape: `${a} – ${b}`,
      read: `${fixed(mm, 1)} mm`,
      off: residual ? `${signed(residual.residualMm)} mm` : '?',
      alone:
        residual?.estimatedErrorMm === null || !residual
          ? 'nothing checks it'
          : `${signed(residual.estimatedErrorMm)} mm`,
      isSuspect: pattern?.suspect?.index === index,
    }
  })

/** How well the tapes of a face agree; null without tapes. */
export function patternSentence(face: Known<FacePlaces>): string | null {
  const pattern = face.known ? face.value.pattern : null
  if (!pattern) return null
  const { scatterMm, suspect, isAmbiguous, degreesOfFreedom } = pattern
  const other = isAmbiguous
    ? ' Another arrangement of the holes fits as well: one more tape tells which.'
    : ''
  if (scatterMm === null) return `Just enough tapes: nothing checks them.${other}`
  const tapes = degreesOfFreedom === 1 ? 'one tape' : `${degreesOfFreedom} tapes`
  const doubt = suspect
    ? ` Read ${suspect.a} – ${suspect.b} again: without it the others agree to ${fixed(suspect.scatterWithoutMm, 2)} mm.`
    : ''
  return `They agree to ${fixed(scatterMm, 2)} mm, ${tapes} more than it takes.${doubt}${other}`
}

/** A spacer under each hole. */
export const spacerRows = (
  { holes }: Plate,
  { spacers }: PlateAnswer,
): { readonly hole: string; readonly spacer: string }[] =>
  holes.map(({ id }) => {
    const mm = spacers.known ? spacers.value.spacersMm.get(id) : undefined
    return { hole: id, spacer: mm === undefined ? '?' : `${fixed(mm, 2)} mm` }
  })
