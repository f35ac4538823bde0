import type { Body, BodyId } from '../parts/body'
import type { ChainLine } from '../parts/chainLine'
import type { Gap } from '../parts/gap'
import type { Line } from '../parts/lineSpec'
import type { NamedAxis, NamedPoint } from '../parts/named'
import type { Id } from '../parts/id'

/** Things of a build that can be read. */
export interface Things {
  readonly bodies: readonly Body[]
  readonly points: readonly NamedPoint[]
  readonly axes: readonly NamedAxis[]
  readonly lines: readonly Line[]
  readonly gaps: readonly Gap[]
  /** Chains round sprockets. */
  readonly chains?: readonly ChainLine[]
}

/** A thing that can be read, by the name it is called. */
export interface NamedThing {
  readonly id: Id
  readonly name: string
}

/** A cell of a table of readings by its column; empty where nothing stands. */
type CellOf = (column: 'of' | PartColumn) => string
/** Columns of a table of readings that hold a part of a thing. */
type PartColumn = 'shaft' | 'place' | 'gate'

/**
 * All that is known of what a reading can be of; `F` are the fields by which it says so, `B` what
 * of a build is looked at.
 */
export interface TargetFacts<F = Readonly<Record<string, unknown>>, B = Things> {
  /** The fields that name it, first the one that holds its id. */
  readonly keys: readonly (keyof F & string)[]
  /** What it is called when it is asked for. */
  readonly word: string
  readonly things: (build: B) => readonly NamedThing[]
  /** Said behind the name, where the thing alone is not what is read. */
  readonly part?: (build: B, target: Partial<F>) => string
  /** The part is told in the title of what is asked, so that its name goes without. */
  readonly isPartInTitle?: true
  /** The point it is on or the body it is of; absent for what lies between two bodies. */
  readonly body?: (build: B, target: Partial<F>) => BodyId | undefined
  /** It lies across the vehicle: its ends are left and right. */
  readonly isAcross?: (build: B, target: Partial<F>) => boolean
  /** The way from it to what stands against it, chassis frame. */
  readonly toward?: (build: B, target: Partial<F>) => Gap['toward'] | undefined
  /** The part in a table of readings: what stands in its cell, and which fields are read from there, or why it cannot be. */
  readonly cell?: {
    readonly column: PartColumn
    readonly written: (reading: Readonly<Record<string, unknown>>) => string
    readonly read: (build: B, id: Id, cell: CellOf) => Readonly<Record<string, unknown>> | string
  }
}

/** Groups of readings in the order in which one works under the vehicle. */
export const TOUR_GROUPS = [
  'attitude',
  'levels',
  'joints',
  'chains',
  'checks',
  'levers',
  'gaps',
  'shift',
] as const
export type TourGroup = (typeof TOUR_GROUPS)[number]

/** What a point on the vehicle is there for. */
export type PointRole =
  | 'joint'
  | 'on-axis'
  | 'link-end'
  | 'axle-centre'
  | 'front-mount'
  | 'tail-mount'
  | 'frame-hole'
  | 'touch-point'
  | 'seat'
  | 'sprocket'
  | 'bearing'

/** Something that a tour asks for. */
export interface Ask<Asked> {
  readonly group: TourGroup
  readonly asked: Asked
  readonly role: PointRole | null
  /** Not needed for the verdict: it refines the top view or lets a lever move. */
  readonly optional: boolean
}

export type PointQuantity = 'point-station' | 'point-offset' | 'point-height'
const ALL_THREE: readonly PointQuantity[] = ['point-station', 'point-offset', 'point-height']

/** The place of a point, in up to three figures. */
export const askPlace = (
  { group, role, optional }: Omit<Ask<unknown>, 'asked'>,
  point: Id,
  quantities = ALL_THREE,
): Ask<{ readonly quantity: PointQuantity; readonly point: Id }>[] =>
  quantities.map((quantity) => ({ group, role, optional, asked: { quantity, point } }))
