import { fixed, formatLength } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Piece } from '../../file/kinds/pieceKinds'
import type { PieceAnswer } from '../../making/pieces/pieceAnswer'

/** What is found of a small part, a sentence each. */
export function pieceSentences({ wanderMm, tab }: PieceAnswer, piece: Piece, units: UnitSettings): string[] {
  const wander =
    wanderMm === null
      ? []
      : [`The drill may come out ${formatLength(wanderMm, units)} off: pilot, look, then full size.`]
  if (!tab?.known) return wander
  const { bare, withGusset, throatMm, mostThroatMm } = tab.value
  const of = piece.tab?.yieldMPa
  const stress = (mpa: number) =>
    `${fixed(mpa, 0)} N/mm²${of === undefined ? '' : `, ${fixed((100 * mpa) / of, 0)} % of yield`}`
  const isThin = throatMm > mostThroatMm
  return [
    ...wander,
    `The tab alone bears ${stress(bare)} at its root${withGusset === null ? '' : `, with the gusset ${stress(withGusset)}`}.`,
    `Welded all round it takes a throat of ${formatLength(throatMm, units)}${isThin ? `, more than its metal bears (${formatLength(mostThroatMm, units)}): a thicker tab, or more of it` : ''}.`,
  ]
}
