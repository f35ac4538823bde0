import type { Id } from './id'

/** What a body is: it decides how it can be moved and which levers it may have. */
export const BODY_KINDS = [
  'chassis',
  'powertrain',
  'transfer-case',
  'axle',
  'bearing-bracket',
  'hub',
  'item',
] as const
export type BodyKind = (typeof BODY_KINDS)[number]

/** A body by its id. */
export type BodyId = Id

/** The sides an outline is drawn from, as the views of the drawing are. */
export const OUTLINE_VIEWS = ['side', 'top', 'front'] as const

/**
 * An outline of a body in one view, in mm as it stood in the first trial: station and height from the side, station and offset to the
 * left from above, offset to the left and height from the front.
 */
export interface Outline {
  readonly view: (typeof OUTLINE_VIEWS)[number]
  readonly corners: readonly (readonly [number, number])[]
  /** A line that does not close: a floor, a bonnet. */
  readonly open?: boolean
  readonly name?: string
  /** The photograph it was traced over. */
  readonly photo?: Id
}

/** A box in mm as it stood in the first trial: stations rearward, offsets to the left, heights. */
export interface BodyBox {
  readonly stations: readonly [number, number]
  readonly offsets: readonly [number, number]
  readonly heights: readonly [number, number]
}

interface BodyBase {
  readonly id: BodyId
  readonly name: string
  /** The body it is bolted to and goes along with; the chassis when absent. */
  readonly standsOn?: BodyId
  /** A box of cardboard in its place until the part is there. */
  readonly provisional?: boolean
  readonly box?: BodyBox
  readonly outlines?: readonly Outline[]
}

/** Sizes that only the picture needs, all in mm. */
export interface ChassisSizes {
  readonly railDepthMm?: number
  readonly railSpacingMm?: number
  /** Of the rails at their front ends, where they taper, and the station from which they no longer do; the rear end when absent. */
  readonly railFrontSpacingMm?: number
  readonly railTaperStationMm?: number
  readonly railFrontStationMm?: number
  readonly railRearStationMm?: number
  /** Height of the ground under the datum plane at ride height, as a positive length. */
  readonly groundBelowMm?: number
}

/** What all else is measured from; every build has exactly one. */
export interface ChassisBody extends BodyBase {
  readonly kind: 'chassis'
  readonly sizes?: ChassisSizes
}

/** Sizes that only the picture needs, all in mm. */
export interface PowertrainSizes {
  readonly lengthMm?: number
  readonly gearboxLengthMm?: number
  readonly aboveAxisMm?: number
  readonly belowAxisMm?: number
  readonly widthMm?: number
}

/** The three points of a body on its mounts; all are needed to move it by them. */
export interface Mounts {
  readonly frontLeft: Id
  readonly frontRight: Id
  readonly tail: Id
}

/** Engine and gearbox as one. */
export interface PowertrainBody extends BodyBase {
  readonly kind: 'powertrain'
  readonly mounts?: Mounts
  readonly sizes?: PowertrainSizes
  /** Station of the face that the gearbox is bolted to, as measured; what lies behind it goes along with an adapter. */
  readonly faceStationMm?: number
  /** How far it rocks on its mounts either way, in degrees. */
  readonly rockDeg?: number
}

/** A transfer case that stands apart from the gearbox. */
export interface TransferCaseBody extends BodyBase {
  readonly kind: 'transfer-case'
  readonly mounts?: Mounts
}

/** Where an axle stands at one height of its wheels, against ride height. */
export interface AxleMotionRow {
  /** Of both wheels together, positive when they come up against the chassis, in mm. */
  readonly wheelUpMm: number
  /** How far the axle goes forward, in mm. */
  readonly forwardMm: number
  /** How far its nose turns up, in degrees. */
  readonly noseUpDeg: number
}

/** How an axle moves with its wheels: read at several heights. */
export interface AxleMotion {
  readonly kind: 'table'
  /** Three at least, from droop to bump; one of them is ride height. */
  readonly rows: readonly AxleMotionRow[]
}

export interface AxleSizes {
  readonly housingDiameterMm?: number
  readonly tyreDiameterMm?: number
  readonly trackMm?: number
}

/** A live axle or a sprung differential with its pinion. */
export interface AxleBody extends BodyBase {
  readonly kind: 'axle'
  /** Point on the wheel axis in the middle of the axle; wedges and wheels turn the axle about it. */
  readonly centre?: Id
  readonly noseFaces: 'forward' | 'rearward'
  /** `fixed`: its differential is bolted to the chassis, and only the halfshafts move. */
  readonly suspension: 'leaf' | 'soft-links' | 'rigid-links' | 'fixed'
  /** Leaf spring above the axle tube or below it; decides which way a wedge points. */
  readonly spring?: 'above' | 'below'
  readonly sizes?: AxleSizes
  readonly motion?: AxleMotion
}

/** The bracket that holds a centre bearing. */
export interface BearingBracketBody extends BodyBase {
  readonly kind: 'bearing-bracket'
}

/** A hub that a halfshaft drives. */
export interface HubBody extends BodyBase {
  readonly kind: 'hub'
  readonly side?: 'left' | 'right'
}

/** Anything else in the bay: radiator, exhaust, battery. */
export interface ItemBody extends BodyBase {
  readonly kind: 'item'
}

/** A part of the vehicle that moves as one. */
export type Body =
  ChassisBody | PowertrainBody | TransferCaseBody | AxleBody | BearingBracketBody | HubBody | ItemBody
