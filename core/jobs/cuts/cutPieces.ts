import { isCut } from '../../file/kinds/madePart'
import { MEMBER_KINDS, type Crossmember } from '../../file/kinds/memberKinds'
import type { Build } from '../../file/build/build'
import { COPED_TUBES, type CopedTubeEvaluation } from '../../model/copedTubeSubject'
import type { Evaluation } from '../../model/evaluateBuild'
import { MEMBERS, type MemberEvaluation } from '../../model/memberSubject'
import type { WayFound } from '../../model/memberWork'
import { foundOf } from '../../model/subject'
import { sawMm } from '../../making/crossmembers/memberWay'
import type { Section } from './section'

/** A piece that is cut from a bar. */
export interface Piece extends Section {
  readonly id: string
  readonly name: string
  /** From tip to tip; null while it is not known. */
  readonly lengthMm: number | null
  readonly count: number
  readonly role: 'bar' | 'plate' | 'ledge' | 'own'
  /** What its length waits for; absent where nothing more is known of it. */
  readonly lacks?: string
  /** The part that it is of; null for one of the builder's own. */
  readonly of: string | null
}

/** Thickness of the ledges of a bar. */
const LEDGE_MM = 6

/** All that is still to be cut from bars: made parts that are not cut yet, and pieces of the builder's own. */
export function cutPieces(build: Build, { subjects }: Pick<Evaluation, 'subjects'>): Piece[] {
  const bars = foundOf(subjects, MEMBERS).filter(({ member }) => !isCut(member))
  const tubes = foundOf(subjects, COPED_TUBES).filter(({ tube }) => !isCut(tube))
  return [
    ...bars.flatMap(memberPieces),
    ...tubes.map(tubePiece),
    ...(build.cutPieces ?? []).map((own): Piece => ({
      ...own,
      lengthMm: own.lengthMm ?? null,
      role: 'own',
      of: null,
    })),
  ]
}

function memberPieces({ member, ways }: MemberEvaluation): Piece[] {
  const found = ways.find(({ way }) => way.id === member.chosen)
  return found ? piecesOfWay(found, member) : []
}

/** What a crossmember is cut of. */
export function piecesOfWay({ way, figures }: WayFound, member: Crossmember): Piece[] {
  const { widthMm, heightMm, wallMm, kind, plateMm, doubled } = way
  const { id, name, endMm } = member
  const lengthMm = (figures.known ? figures.value.blankMm : undefined) ?? null
  const twice = { section: 'flat', count: 2, of: name } as const
  if (kind === 'old') {
    const plate = { widthMm: endMm, heightMm: plateMm, lengthMm, role: 'plate' } as const
    return [{ id: `${id}/plates`, name: `plates of ${name}`, ...twice, ...plate }]
  }
  const { of } = MEMBER_KINDS[kind]
  const bar: Piece = {
    id,
    name,
    ...(of === 'tube' ? { section: 'round', heightMm, wallMm } : { section: of, widthMm, heightMm, wallMm }),
    lengthMm: lengthMm === null ? null : sawMm(way, lengthMm),
    ...(kind === 'coped' && way.railOuterMm === undefined && { lacks: 'the tubes that it lies on' }),
    count: doubled ? 2 : 1,
    role: 'bar',
    of: name,
  }
  if (kind !== 'ledges') return [bar]
  const ledge = { widthMm, heightMm: LEDGE_MM, lengthMm: endMm, role: 'ledge' } as const
  return [bar, { id: `${id}/ledges`, name: `ledges of ${name}`, ...twice, ...ledge }]
}

/** A coped tube counts from tip to tip: its saw length. */
const tubePiece = ({ tube, found }: CopedTubeEvaluation): Piece => ({
  id: tube.id,
  name: tube.name,
  section: 'round',
  heightMm: tube.outerMm,
  wallMm: tube.wallMm,
  lengthMm: (found.known ? found.value.figures.sawMm : undefined) ?? null,
  count: 1,
  role: 'bar',
  of: tube.name,
})
