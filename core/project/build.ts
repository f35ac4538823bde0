import type { LimitEntry } from './limit'
import type { UnitSettings } from '../units/unitSettings'
import type { Id } from './id'
import type { Reading } from './reading'
import type { ReadingChange } from './readingChange'
import type { Tool } from './tool'
import type { Line } from './lineSpec'

/** Name every build file starts with. */
export const FORMAT_NAME = 'lurvan-build'
/** The version this program writes. */
export const FORMAT_VERSION = 1

/** A body that moves as one: the chassis, the powertrain, or an axle by its id. */
export type BodyId = 'chassis' | 'powertrain' | Id

/** A pair of frame holes, left and right, whose middle lies on the chassis centreline. */
export interface CentrePair {
  readonly id: Id
  readonly name: string
  readonly left: Id
  readonly right: Id
}

/** One measuring occasion: the vehicle stands in one attitude and all its readings share it. */
export interface Setup {
  readonly id: Id
  readonly name: string
  readonly date?: string
  readonly standsOn: 'floor' | 'lift-wheels' | 'lift-frame' | 'stands'
  /** On its wheels at ride height with its weight on. */
  readonly loaded: boolean
  /** Rolled forth and back after lowering. */
  readonly settled: boolean
  /** Who measures. */
  readonly by?: string
  /**
   * `read`: chassis fall and roll are readings; `levelled`: the chassis was made level; `face-plumb`: the vehicle was
   * pitched until the face of `plumbAxis` stood plumb.
   */
  readonly datum: (typeof DATUM_SCHOOLS)[number]
  readonly plumbAxis?: Id
  /** `pairs`: offsets of this setup were taken from a string, and the true centreline is that of the frame-hole pairs. */
  readonly centreline?: 'string' | 'pairs'
  /** Fall of the chassis surface a re-zeroed level was zeroed on, in the chassis frame; 0 when it lies along the datum plane. */
  readonly zeroSurfaceFallDeg?: number
}

export const DATUM_SCHOOLS = ['read', 'levelled', 'face-plumb'] as const

/** A named point on a body; its place comes from readings. */
export interface NamedPoint {
  readonly id: Id
  readonly name: string
  readonly body: BodyId
  /** A stud, bolt or hole of the chassis that setups are registered by. */
  readonly datum?: boolean
}

/** A named axis of a body; its fall and plan come from readings. */
export interface NamedAxis {
  readonly id: Id
  readonly name: string
  readonly body: BodyId
  /** Points that lie on it; two with station and offset give its plan, with heights its fall too. */
  readonly through?: readonly Id[]
}

/** Sizes that only the picture needs, all in mm. */
export interface PowertrainSizes {
  readonly lengthMm?: number
  readonly gearboxLengthMm?: number
  readonly aboveAxisMm?: number
  readonly belowAxisMm?: number
  readonly widthMm?: number
}

export interface Powertrain {
  /** Points of the powertrain on its mounts; all three are needed to move it. */
  readonly mounts?: { readonly frontLeft: Id; readonly frontRight: Id; readonly tail: Id }
  readonly sizes?: PowertrainSizes
}

export interface Axle {
  readonly id: Id
  readonly name: string
  /** Point on the wheel axis in the middle of the axle; a wedge turns the axle about it. */
  readonly centre?: Id
  readonly noseFaces: 'forward' | 'rearward'
  readonly suspension: 'leaf' | 'soft-links' | 'rigid-links'
  /** Leaf spring above the axle tube or below it; decides which way a wedge points. */
  readonly spring?: 'above' | 'below'
  readonly sizes?: {
    readonly housingDiameterMm?: number
    readonly tyreDiameterMm?: number
    readonly trackMm?: number
  }
}

export interface ChassisSizes {
  readonly railDepthMm?: number
  readonly railSpacingMm?: number
  readonly railFrontStationMm?: number
  readonly railRearStationMm?: number
  /** Height of the ground under the datum plane at ride height, as a positive length. */
  readonly groundBelowMm?: number
}

/** What a builder can turn, pack, slot or cut; `range` and `step` in mm, or degrees for a wedge. */
export interface Lever {
  readonly id: Id
  readonly kind: LeverKind
  /** The axle a wedge belongs to. */
  readonly axle?: Id
  readonly range: readonly [number, number]
  readonly step: number
  /** Spacer thicknesses at hand, in mm. */
  readonly stock?: readonly number[]
}

export const LEVER_KINDS = [
  'tail-up',
  'front-left-up',
  'front-right-up',
  'fore',
  'sideways',
  'tail-sideways',
  'wedge',
] as const
export type LeverKind = (typeof LEVER_KINDS)[number]

/** A named candidate setting of the levers; a lever not named stands at 0, as measured. */
export interface Position {
  readonly id: Id
  readonly name: string
  readonly settings: Readonly<Record<Id, number>>
}

/** Named limits a build is judged by, copied from a profile and edited. */
export interface LimitProfile {
  readonly profile: 'road' | 'heavy' | 'trail' | 'track' | 'own'
  readonly name: string
  readonly entries: readonly LimitEntry[]
}

/** One vehicle's driveline: everything Lurvan keeps about it, as plain data. */
export interface Build {
  readonly format: typeof FORMAT_NAME
  readonly version: typeof FORMAT_VERSION
  readonly id: Id
  readonly name: string
  readonly vehicle?: string
  readonly note?: string
  readonly units: UnitSettings
  readonly tools: readonly Tool[]
  readonly setups: readonly Setup[]
  readonly points: readonly NamedPoint[]
  readonly axes: readonly NamedAxis[]
  readonly readings: readonly Reading[]
  /** What was done to readings after they were taken, oldest first. */
  readonly readingLog?: readonly ReadingChange[]
  readonly centrePairs?: readonly CentrePair[]
  readonly powertrain: Powertrain
  readonly axles: readonly Axle[]
  readonly chassis: ChassisSizes
  readonly lines: readonly Line[]
  readonly levers: readonly Lever[]
  readonly positions: readonly Position[]
  /** The position that the mounts are made to. */
  readonly chosen: Id
  readonly limits: LimitProfile
}
