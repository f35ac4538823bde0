import type { AxleCut } from '../parts/axleCut'
import type { DonorPattern } from '../parts/donorPattern'
import type { Drivetrain } from '../parts/drivetrain'
import type { LimitEntry } from './limit'
import type { UnitSettings } from '../../base/units/unitSettings'
import type { Id } from '../parts/id'
import type { Things } from '../kinds/ask'
import type { Kinds } from '../kinds/kinds'
import type { Lever } from './lever'
import type { Mating } from '../parts/mating'
import type { CentrePair } from '../parts/named'
import type { Reading } from './reading'
import type { ReadingChange } from './readingChange'
import type { ServiceCheck } from '../parts/serviceCheck'
import type { CrossEntry, TubeEntry } from '../parts/stock'
import type { Tool } from '../parts/tool'
import type { WayInPlan } from '../parts/wayInPlan'
import type { WeightSheet } from '../parts/weightSheet'
import type { PhotoReference } from '../parts/photo'
import type { Trial, VehicleState } from '../parts/vehicleState'

/** Name every build file starts with. */
export const FORMAT_NAME = 'lurvan-build'
/** The version this program writes. */
export const FORMAT_VERSION = 2

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

/** A named candidate setting of the levers; a lever not named stands at 0, as measured. */
export interface Position {
  readonly id: Id
  readonly name: string
  readonly settings: Readonly<Record<Id, number>>
  /** Why it was chosen. */
  readonly reason?: string
  /** Mounts, plates or shafts were made to it on a day, as the levers stood then. */
  readonly made?: { readonly at: string; readonly settings: Readonly<Record<Id, number>> }
}

/** Named limits a build is judged by, copied from a profile and edited. */
export interface LimitProfile {
  readonly profile: 'road' | 'heavy' | 'trail' | 'track' | 'own'
  readonly name: string
  readonly entries: readonly LimitEntry[]
}

/** Where the shift lever comes through the floor, against the old hole and the driver's seat. */
export interface ShiftLever {
  /** Its foot on the gearbox. */
  readonly point: Id
  /** Middle of the hole it is to come through, in mm. */
  readonly holeStationMm: number
  readonly holeLeftMm: number
  /** Front edge of the driver's seat, in mm. */
  readonly seatStationMm?: number
}

/** The lists that subjects add. */
type ListsOfKinds = Kinds['lists']

/** One vehicle's driveline: everything Lurvan keeps about it, as plain data. */
export interface Build extends Things, ListsOfKinds {
  readonly format: typeof FORMAT_NAME
  readonly version: typeof FORMAT_VERSION
  readonly id: Id
  readonly name: string
  readonly vehicle?: string
  readonly note?: string
  readonly units: UnitSettings
  readonly tools: readonly Tool[]
  readonly setups: readonly Setup[]
  readonly trials: readonly Trial[]
  readonly readings: readonly Reading[]
  /** What was done to readings after they were taken, oldest first. */
  readonly readingLog?: readonly ReadingChange[]
  readonly centrePairs?: readonly CentrePair[]
  readonly drivetrain: Drivetrain
  /** Places of the wheels besides ride height. */
  readonly states: readonly VehicleState[]
  readonly levers: readonly Lever[]
  readonly positions: readonly Position[]
  /** The position that the mounts are made to. */
  readonly chosen: Id
  /** The trial from which levers count, once it was read how it stood; as first measured when absent. */
  readonly countedFrom?: Id
  readonly limits: LimitProfile
  readonly mating?: Mating
  readonly weight?: WeightSheet
  readonly wayIn?: WayInPlan
  readonly shiftLever?: ShiftLever
  /** What has to come out on its own. */
  readonly services?: readonly ServiceCheck[]
  readonly photos?: readonly PhotoReference[]
  /** Tubes that can be had; the usual ones when absent. */
  readonly tubes?: readonly TubeEntry[]
  /** Sizes of crosses; the usual ones when absent. */
  readonly crosses?: readonly CrossEntry[]
  /** Lengths of halfshafts by donor pieces. */
  readonly patterns?: readonly DonorPattern[]
  /** Live axles that are made to another width. */
  readonly axleCuts?: readonly AxleCut[]
}
