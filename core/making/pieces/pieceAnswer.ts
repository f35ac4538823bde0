import { answered } from '../../base/answered'
import { unknown, type Known } from '../../base/known'
import type { Piece } from '../../file/kinds/pieceKinds'
import { tabStress, type TabStress } from './tab'

/** What is found of a small part besides its shape. */
export interface PieceAnswer {
  /** How far a drill may wander at the far side of the rail; null for what guides none, or while its play is not told. */
  readonly wanderMm: number | null
  /** The tab over a gusset; null for any other part. */
  readonly tab: Known<TabStress> | null
}

/** A guide lets its drill wander by `c·L/B`: play, depth and height of the block; a gusset holds a tab. */
export function pieceAnswer(piece: Piece): PieceAnswer {
  const { kind, highMm = NaN, wideMm = NaN, playMm, throughMm } = piece
  const isTold = kind === 'guide' && playMm !== undefined && throughMm !== undefined
  return {
    wanderMm: isTold ? (playMm * throughMm) / highMm : null,
    tab: kind === 'gusset' ? tabOf(piece, { highMm: wideMm, thickMm: highMm }) : null,
  }
}

function tabOf(
  { tab = {} }: Piece,
  gusset: { readonly highMm: number; readonly thickMm: number },
): Known<TabStress> {
  const { loadN, offMm, wideMm, thickMm } = tab
  if (loadN === undefined || offMm === undefined || wideMm === undefined || thickMm === undefined)
    return unknown('the tab over it: its load, how far off, its width and thickness')
  return answered(() => tabStress({ loadN, offMm, wideMm, thickMm }, gusset))
}
