import { boolean, object } from 'yup'
import { figure, maybe, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import { askPlace, type Things } from './ask'
import type { LeverKindFacts } from './leverRow'
import type { EntryComplaint } from './listFacts'
import type { SubjectKinds } from './subjectKinds'

/** How a mount holds: an eye bush is soft along its bolt, a pad presses and cannot pull, a stop presses once its gap is used up, anything else by what it takes along each way. */
export const MOUNT_KINDS = ['bush', 'pad', 'stop', 'ways'] as const
export type MountKind = (typeof MOUNT_KINDS)[number]
/** Which way the bolt of a bush lies. */
export const BOLT_WAYS = ['along', 'across', 'up'] as const

/** The way in which a stop pushes the powertrain. */
export const STOP_WAYS = ['up', 'down', 'left', 'right', 'forward', 'back'] as const

const PER_MM = () => figure(0, 1e6)
const SIZE_MM = () => figure(0.5, 1000)

const mountShape = object({
  id: requiredId(),
  name: requiredName(),
  /** Where it holds the powertrain. */
  point: requiredId(),
  kind: wordField(MOUNT_KINDS).required(),
  bolt: wordField(BOLT_WAYS),
  /** Of a bush: along its bolt and square to it, N/mm. */
  axialNPerMm: PER_MM(),
  radialNPerMm: PER_MM(),
  /** Of a pad, and of a stop, which has no shear. */
  pressNPerMm: PER_MM(),
  shearNPerMm: PER_MM(),
  forwardNPerMm: PER_MM(),
  leftNPerMm: PER_MM(),
  upNPerMm: PER_MM(),
  /** Of a bush or a pad that leans: its top to the left is positive. */
  leanDeg: figure(-90, 90),
  /** Of a stop. */
  way: wordField(STOP_WAYS),
  gapMm: figure(0, 1000),
  /** What its rubber is: a sleeve between two radii, or a pad between two plates. */
  rubber: maybe({
    shoreA: figure(20, 95),
    outerMm: SIZE_MM(),
    innerMm: SIZE_MM(),
    longMm: SIZE_MM(),
    wideMm: SIZE_MM(),
    highMm: SIZE_MM(),
  }),
  /** A push at it, and how far it gave. */
  push: maybe({ loadN: figure(1, 1e6), moveMm: figure(0.01, 1000) }),
  /** How far its hole was off when it was pulled in. */
  misfit: maybe({ forwardMm: figure(-50, 50), leftMm: figure(-50, 50), upMm: figure(-50, 50) }),
  /** At the gearbox: what goes out there twists its tail housing. */
  isTail: boolean(),
})

/** What a powertrain stands on. */
export type ElasticMountEntry = Told<typeof mountShape>

export interface MountTypes {
  readonly asked: object
  readonly unasked: object
  readonly targets: object
  readonly lists: { readonly mounts?: readonly ElasticMountEntry[] }
}

/** The figures that a kind of mount has. */
export const MOUNT_FIGURES = {
  bush: ['axialNPerMm', 'radialNPerMm'],
  pad: ['pressNPerMm', 'shearNPerMm'],
  stop: ['pressNPerMm'],
  ways: ['forwardNPerMm', 'leftNPerMm', 'upNPerMm'],
} as const satisfies Readonly<Record<MountKind, readonly (keyof ElasticMountEntry)[]>>

/** The figure of a kind that a push at it tells: across its bolt, as it is pressed, upright. */
export const PUSHED = {
  bush: 'radialNPerMm',
  pad: 'pressNPerMm',
  stop: 'pressNPerMm',
  ways: 'upNPerMm',
} as const satisfies Readonly<Record<MountKind, keyof ElasticMountEntry>>

/** Where a mount stands on what it holds: its bracket or its slots are made elsewhere. */
const STANDS = {
  unit: 'mm',
  on: ['powertrain', 'transfer-case', 'axle'],
  usual: [-100, 100, 5],
  picture: 'slots',
  names: 'mount',
} as const satisfies LeverKindFacts

/** Mounts that give. */
export const KINDS_OF_MOUNTS = {
  readings: {},
  shapes: {},
  targets: {},
  asks: ({ mounts }) =>
    (mounts ?? []).flatMap(({ point }) => askPlace({ group: 'gaps', role: 'seat', optional: true }, point)),
  quantities: {
    'mount-share': {
      unit: '%',
      shown: { as: 'figure', decimals: 0, behind: ' %', isSaidAgain: true },
      label: 'of the shaft’s reaction at the gearbox',
      name: 'Reaction that goes out by the mounts at the gearbox',
      usualRoom: 10,
    },
  },
  levers: { 'mount-fore': STANDS, 'mount-aside': STANDS, 'mount-up': STANDS },
  lists: {
    mounts: {
      shape: mountShape,
      most: 20,
      holds: 'stands on it',
      names: ({ point }) => [{ at: 'point', in: 'points', id: point }],
      problems: mountProblems,
    },
  },
} as const satisfies SubjectKinds<MountTypes>

function mountProblems(_: Things, mount: ElasticMountEntry, complain: EntryComplaint): void {
  if (mount.kind === 'bush' && mount.bolt === undefined)
    complain('bolt', 'is missing: which way its bolt lies')
  if (mount.kind === 'stop' && mount.way === undefined)
    complain('way', 'is missing: which way it pushes the powertrain')
}
