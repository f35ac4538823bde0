import { object } from 'yup'
import {
  figure,
  list,
  maybe,
  nameField,
  requiredId,
  requiredName,
  timeField,
  wordField,
} from '../parts/fields'
import { spacersField } from '../parts/spacers'
import type { Told } from '../parts/told'
import { askPlace, type Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { partMade } from './madePart'
import { length } from './quantityRow'
import type { SubjectKinds } from './subjectKinds'

/** How a crossmember comes from rail to rail; what is on the faces of the rails is wedged where they lean. */
export const MEMBER_KINDS = {
  /** Straight from rail to rail, spacers between it and the gearbox's bush. */
  straight: { isCornered: false, hasSpacers: true, isWelded: false, isOnFaces: true, of: 'flat' },
  /** Flat bar bent in a press. */
  bent: { isCornered: true, hasSpacers: false, isWelded: false, isOnFaces: true, of: 'flat' },
  /** Square tube notched, folded and welded on the bench. */
  folded: { isCornered: true, hasSpacers: false, isWelded: false, isOnFaces: true, of: 'box' },
  /** Round tube bent over a mandrel; its ends may be pressed flat. */
  tube: { isCornered: true, hasSpacers: false, isWelded: false, isOnFaces: true, of: 'tube' },
  /** Round tube, straight between the tubes of a frame, coped to lie on them and welded; spacers between it and the bush. */
  coped: { isCornered: false, hasSpacers: true, isWelded: true, isOnFaces: false, of: 'tube' },
  /** Straight at the height of the bush, on ledges that are welded to the rails or the tunnel. */
  ledges: { isCornered: false, hasSpacers: false, isWelded: true, isOnFaces: false, of: 'flat' },
  /** A bar that is there, moved by a plate at each rail. */
  old: { isCornered: false, hasSpacers: false, isWelded: false, isOnFaces: true, of: 'flat' },
} as const
export type MemberKind = keyof typeof MEMBER_KINDS
const KIND_WORDS = Object.keys(MEMBER_KINDS) as MemberKind[]

const wayShape = object({
  id: requiredId(),
  kind: wordField(KIND_WORDS).required(),
  /** Along the vehicle; a round tube has none. */
  widthMm: figure(5, 500),
  /** Of a flat; of a tube its height, of a round one its diameter. */
  heightMm: figure(1, 300).required(),
  /** Of a tube. */
  wallMm: figure(0.5, 50),
  /** Two flats on each other: lying loose, or joined all round. */
  doubled: wordField(['loose', 'joined'] as const),
  /** Of bent flats: inside, and where the neutral line runs. */
  insideRadiusMm: figure(0, 500),
  kFactor: figure(0.2, 0.5),
  /** Of a tube over a mandrel: to its middle. */
  midlineRadiusMm: figure(1, 1000),
  /** Of a tube's ends pressed flat: from the bolt to where it is round again. */
  flatMm: figure(1, 500),
  /** Of the tubes that a coped one lies on, square to them. */
  railOuterMm: figure(5, 1000),
  /** Of an old bar on the bench: its seat from both of its bolts, ahead of the line between them, over the faces that lie on the rails. */
  old: maybe({
    leftMm: figure(1, 3000),
    rightMm: figure(1, 3000),
    aheadMm: figure(-1000, 1000),
    upMm: figure(-500, 500),
  }),
  /** Of the plates that move it. */
  plateMm: figure(1, 100),
  /** The press it is bent in: opening of its die, die block and ram along the bar. */
  press: maybe({ dieMm: figure(1, 500), blockMm: figure(1, 2000), ramMm: figure(1, 1000) }),
  /** A strip of it that was bent once: as cut, both legs to the corner of the outsides, its change of direction. */
  strip: maybe({
    blankMm: figure(10, 5000),
    firstMm: figure(5, 5000),
    secondMm: figure(5, 5000),
    angleDeg: figure(1, 170),
  }),
  /** What a bend comes back once it is let go. */
  springbackDeg: figure(0, 30),
  yieldMPa: figure(50, 2000).required(),
})

/** How the face of a rail stands, read with a level: up to the left, and up forward, is positive. */
const leanShape = maybe({ acrossDeg: figure(-45, 45), alongDeg: figure(-45, 45) })

const seatShape = object({
  forwardMm: figure(-1e5, 1e5).required(),
  leftMm: figure(-1e5, 1e5).required(),
  upMm: figure(-1e5, 1e5).required(),
})

/** Thicknesses of spacers for one bush: few enough to try all stacks at every step of a lever. */
export const MOST_MEMBER_SPACERS = 6

const memberShape = object({
  id: requiredId(),
  name: requiredName(),
  /** Middle of the face of each rail that it lies against. */
  left: requiredId(),
  right: requiredId(),
  /** Middle of the face of the gearbox that its bush is bolted to. */
  pad: requiredId(),
  /** How it lies on the rails. */
  side: wordField(['under', 'over'] as const).required(),
  /** That lies on each rail, and under the bush, along the member. */
  endMm: figure(10, 1000).required(),
  padMm: figure(10, 1000).required(),
  /** From the face of the gearbox to the seat, with the weight on. */
  bushMm: figure(0, 500).required(),
  leans: maybe({ left: leanShape, right: leanShape }),
  /** Those at hand for its bush. */
  spacersMm: spacersField(MOST_MEMBER_SPACERS),
  /** Largest load of the bush, with its shock. */
  loadN: figure(1, 1e6),
  /** Heads of bolts below its underside. */
  boltHeadMm: figure(0, 100),
  ways: list(wayShape, 8).min(1).required(),
  /** The way it is made. */
  chosen: requiredId(),
  ...partMade,
  /** Where its three seats were when it was taken as made. */
  made: maybe({
    at: timeField().required(),
    position: nameField(),
    left: seatShape,
    right: seatShape,
    pad: seatShape,
  }),
})

/** A bar between two rails that carries the tail of the gearbox. */
export type Crossmember = Told<typeof memberShape>
/** One way to make it. */
export type MemberWay = Crossmember['ways'][number]

export interface MemberTypes {
  readonly asked: object
  readonly unasked: object
  readonly targets: object
  readonly lists: { readonly crossmembers?: readonly Crossmember[] }
}

/** Crossmembers. */
export const KINDS_OF_MEMBERS = {
  readings: {},
  shapes: {},
  targets: {},
  asks: ({ crossmembers }) =>
    (crossmembers ?? []).flatMap(({ left, right, pad }) =>
      [left, right, pad].flatMap((point) => askPlace({ group: 'gaps', role: 'seat', optional: true }, point)),
    ),
  quantities: {
    'member-stress': {
      unit: '%',
      shown: { as: 'figure', decimals: 0, behind: ' %', isSaidAgain: true },
      label: 'stress of its yield',
      name: 'Stress of a made part, of its yield',
      usualRoom: 20,
    },
    'member-sag': {
      unit: 'mm',
      shown: length,
      label: 'sags under load',
      name: 'Sag of a made part under load',
      usualRoom: 1,
    },
    'member-ground': {
      unit: 'mm',
      shown: length,
      label: 'over the ground',
      name: 'Made part over the ground',
      usualRoom: 40,
    },
    'member-straight': {
      unit: 'mm',
      shown: length,
      label: 'least straight between bends',
      name: 'Straight left between two bends',
      usualRoom: 20,
    },
    'member-fill': {
      unit: 'mm',
      shown: length,
      label: 'left for spacers',
      name: 'Room for spacers under a bush',
      usualRoom: 10,
    },
  },
  levers: {},
  lists: {
    crossmembers: {
      shape: memberShape,
      most: 10,
      holds: 'carries it',
      names: ({ left, right, pad }) => [
        { at: 'left', in: 'points', id: left },
        { at: 'right', in: 'points', id: right },
        { at: 'pad', in: 'points', id: pad },
      ],
      problems: memberProblems,
    },
  },
} as const satisfies SubjectKinds<MemberTypes>

function memberProblems(_: Things, member: Crossmember, complain: EntryComplaint): void {
  const { left, right, pad, ways, chosen } = member
  if (new Set([left, right, pad]).size < 3) complain('pad', 'is one of the other two points')
  if (!ways.some(({ id }) => id === chosen)) complain('chosen', `"${chosen}" is none of its ways`)
  ways.forEach((way, k) => {
    const at = `ways[${k}]`
    if (ways.slice(0, k).some(({ id }) => id === way.id)) complain(`${at}.id`, `"${way.id}" is there twice`)
    for (const [key, why] of lacksOf(way)) complain(`${at}.${key}`, why)
  })
}

type Lack = readonly [key: keyof MemberWay, why: string]

/** What a way of its kind has to say, and does not; what it says that cannot be. */
function lacksOf(way: MemberWay): Lack[] {
  const { of, isCornered } = MEMBER_KINDS[way.kind]
  const must = (key: keyof MemberWay, isAsked: boolean): Lack[] =>
    isAsked && way[key] === undefined ? [[key, 'is missing']] : []
  const least = Math.min(way.heightMm, of === 'box' ? (way.widthMm ?? Infinity) : Infinity)
  const isFilled = of !== 'flat' && way.wallMm !== undefined && 2 * way.wallMm >= least
  const isTight = way.midlineRadiusMm !== undefined && 2 * way.midlineRadiusMm < way.heightMm
  const isOver = way.kind === 'coped' && way.railOuterMm !== undefined && way.railOuterMm < way.heightMm
  return [
    ...must('widthMm', of !== 'tube'),
    ...must('wallMm', of !== 'flat'),
    ...must('insideRadiusMm', way.kind === 'bent'),
    ...must('kFactor', way.kind === 'bent'),
    ...must('midlineRadiusMm', way.kind === 'tube'),
    ...must('plateMm', way.kind === 'old'),
    ...(isFilled ? [['wallMm', 'is no less than half the tube'] as const] : []),
    ...(isOver ? [['railOuterMm', 'is less than the tube that lies on it'] as const] : []),
    ...(isTight ? [['midlineRadiusMm', 'is less than half the tube'] as const] : []),
    ...(way.doubled && (of !== 'flat' || isCornered)
      ? [['doubled', 'is said of straight flats alone'] as const]
      : []),
  ]
}
