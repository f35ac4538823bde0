import { object } from 'yup'
import { radians } from '../../base/units/angle'
import { figure, maybe, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import type { Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { partMade } from './madePart'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** Small parts that are cut from a print, and the sizes that each must have. */
export const PIECE_KINDS = {
  /** A block with a hole, to drill square by. */
  guide: ['longMm', 'wideMm', 'highMm', 'holeMm', 'inMm'],
  /** A triangle under a tab: along the tab, along what it is welded to, its own thickness. */
  gusset: ['longMm', 'wideMm', 'highMm'],
  /** A block beside a tube, its end the saw's way. */
  saw: ['longMm', 'wideMm', 'highMm', 'angleDeg'],
} as const
export type PieceKind = keyof typeof PIECE_KINDS

const SIZE = () => figure(1, 2000)

const pieceShape = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(Object.keys(PIECE_KINDS) as PieceKind[]).required(),
  longMm: SIZE(),
  wideMm: SIZE(),
  highMm: SIZE(),
  /** Of a guide: its hole, and from the edge that lies along the rail to its middle. */
  holeMm: figure(1, 200),
  inMm: figure(0, 2000),
  /** How loose the drill is in it, and how far the drill goes through the rail. */
  playMm: figure(0, 10),
  throughMm: figure(1, 2000),
  /** From square to the tube. */
  angleDeg: figure(0, 75),
  /** Of a gusset: blunt ends, and the corner cut off over the weld that runs through. */
  noseMm: figure(0, 200),
  snipMm: figure(0, 200),
  /** The tab over it: how far off its root the load stands, and what it is of. */
  tab: maybe({
    loadN: figure(1, 1e6),
    offMm: figure(1, 1000),
    wideMm: SIZE(),
    thickMm: figure(1, 100),
    yieldMPa: figure(50, 2000),
  }),
  ...partMade,
})

/** A drill guide, a gusset, a saw block. */
export type Piece = Told<typeof pieceShape>

export interface PieceTypes extends OnlyTold {
  readonly lists: { readonly pieces?: readonly Piece[] }
}

/** Small made parts. */
export const KINDS_OF_PIECES = {
  ...ONLY_TOLD,
  lists: { pieces: { shape: pieceShape, most: 40, names: () => [], problems: pieceProblems } },
} as const satisfies SubjectKinds<PieceTypes>

function pieceProblems(_: Things, piece: Piece, complain: EntryComplaint): void {
  for (const size of PIECE_KINDS[piece.kind]) if (piece[size] === undefined) complain(size, 'is missing')
  const { kind, longMm = 0, wideMm = 0, holeMm = 0, inMm = 0, noseMm = 0, snipMm = 0, angleDeg = 0 } = piece
  if (kind === 'guide' && (inMm - holeMm / 2 <= 0 || inMm + holeMm / 2 >= wideMm || holeMm >= longMm))
    complain('inMm', 'its hole breaks out of the block')
  if (kind === 'gusset' && Math.max(noseMm, snipMm) >= Math.min(longMm, wideMm))
    complain('noseMm', 'nothing of the triangle is left')
  if (kind === 'saw' && wideMm * Math.tan(radians(angleDeg)) >= longMm)
    complain('angleDeg', 'is too flat for a block so short')
}
