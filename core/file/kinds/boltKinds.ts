import { boolean, object } from 'yup'
import { figure, idField, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What a bolt is screwed into. */
export const BOLTED_INTO = ['nut', 'steel', 'cast-iron', 'aluminium'] as const
/** Classes by what they may bear without staying longer, N/mm². */
export const BOLT_CLASSES = { '8.8': 600, '10.9': 830 } as const
export type BoltClass = keyof typeof BOLT_CLASSES
/** How its thread turns: torque by preload and diameter. */
export const THREAD_STATES = { dry: 0.2, oiled: 0.15, paste: 0.12 } as const
export type ThreadState = keyof typeof THREAD_STATES
/** Faces that hold by friction. */
export const FACE_STATES = { painted: 0.15, blasted: 0.3 } as const
export type FaceState = keyof typeof FACE_STATES

const slotShape = object({
  /** What moves along the slot: by a lever's range, or by hand. */
  lever: idField(),
  travelMm: figure(0, 1000),
  /** How far its place may come out otherwise, each way. */
  placeMm: figure(0, 100),
  washerOuterMm: figure(5, 200),
  faces: figure(1, 8).integer().required(),
  bolts: figure(1, 40).integer().required(),
  state: wordField(Object.keys(FACE_STATES) as FaceState[]).required(),
  /** What pulls along it: a chain of the build, or a force. */
  chain: idField(),
  loadN: figure(1, 1e6),
})

const boltShape = object({
  id: requiredId(),
  name: requiredName(),
  sizeMm: figure(3, 40).required(),
  /** Coarse when absent. */
  pitchMm: figure(0.2, 6),
  boltClass: wordField(Object.keys(BOLT_CLASSES) as BoltClass[]).required(),
  thread: wordField(Object.keys(THREAD_STATES) as ThreadState[]).required(),
  into: wordField(BOLTED_INTO).required(),
  /** Everything that is clamped together, but for washers. */
  gripMm: figure(0.5, 500).required(),
  /** Under the head, and under the nut. */
  headWasherMm: figure(0, 20),
  nutWasherMm: figure(0, 50),
  isFullThread: boolean(),
  /** The plate that it holds: its card under the vehicle goes on with it. */
  plate: idField(),
  /** Of what is clamped, the face that slides: so far from its head's side. */
  slidesAtMm: figure(0, 500),
  /** Depth of thread that is there. */
  depthMm: figure(1, 300),
  slot: slotShape.default(undefined).optional(),
})

/** A bolt with what it clamps. */
export type BoltEntry = Told<typeof boltShape>
export type BoltSlot = NonNullable<BoltEntry['slot']>

export interface BoltTypes extends OnlyTold {
  readonly lists: { readonly bolts?: readonly BoltEntry[] }
}

/** Bolts. */
export const KINDS_OF_BOLTS = {
  ...ONLY_TOLD,
  lists: {
    // A lever, a chain or a plate that is gone leaves its bolt: then what moves it or pulls is not known.
    bolts: { shape: boltShape, most: 60, names: () => [] },
  },
} as const satisfies SubjectKinds<BoltTypes>
