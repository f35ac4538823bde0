import type { HubMotion, HubTravel } from './hubMotion'
import type { Id } from './id'

/** What a body is: it decides how it can be moved and which levers it may have. */
export const BODY_KIND_NAMES = [
  'chassis',
  'powertrain',
  'transfer-case',
  'axle',
  'bearing-bracket',
  'hub',
  'live-axle',
  'item',
] as const
export type BodyKind = (typeof BODY_KIND_NAMES)[number]

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

/** Read at several heights of the wheels: best of all where it can be had. */
export interface TableMotion {
  readonly kind: 'table'
  /** From droop to bump; one of them is ride height, and it takes three to tell how the axle moves. */
  readonly rows: readonly AxleMotionRow[]
  /** The point of the axle whose way forward was read; its centre when absent. */
  readonly at?: Id
  /** What was read at ride height: rows count from it. */
  readonly ride?: { readonly stationMm?: number; readonly noseDeg?: number }
}

/** A leaf spring by its arc: its seat goes round a point near the front eye. */
export interface ArcMotion {
  readonly kind: 'arc'
  /** Middle of the spring's seat on the axle. */
  readonly seat: Id
  /** The eye that does not swing, on the chassis. */
  readonly eye: Id
  /** Radius of the arc as a share of the way from seat to eye; three quarters when absent. */
  readonly radiusShare?: number
  /** How far the nose turns up with each mm the wheels come up. */
  readonly noseUpDegPerMm?: number
  /** From eye to eye; twice the way from seat to front eye when absent. */
  readonly springMm?: number
}

/** What holds an axle to the chassis, by points that are read like all others. */
export type AxleHolding =
  | {
      readonly id: Id
      readonly kind: 'link'
      readonly name?: string
      readonly chassis: Id
      readonly axle: Id
    }
  | { readonly id: Id; readonly kind: 'ball'; readonly name?: string; readonly axle: Id }
  | {
      readonly id: Id
      readonly kind: 'slider'
      readonly name?: string
      readonly axle: Id
      readonly stays: SliderWay
    }
  | { readonly id: Id; readonly kind: 'hinge'; readonly name?: string; readonly axle: Id; readonly axle2: Id }

/** The way in which a slider does not let its point go. */
export const SLIDER_WAYS = ['along', 'aside', 'up'] as const
export type SliderWay = (typeof SLIDER_WAYS)[number]

/** Usual arrangements of what holds an axle. */
export const ARRANGEMENTS = ['four-link', 'three-link', 'torque-arm', 'torque-tube', 'trailing'] as const
export type Arrangement = (typeof ARRANGEMENTS)[number]

/** An axle on links, a torque tube, an arm: what holds it says how it moves. */
export interface LinkMotion {
  readonly kind: 'links'
  /** What it was begun as, for its name alone. */
  readonly like?: Arrangement
  readonly holdings: readonly AxleHolding[]
}

/** How an axle moves with its wheels. */
export type AxleMotion = TableMotion | ArcMotion | LinkMotion

/** How far the wheels of an axle go from ride height, in mm; the right one like the left where nothing is told of it. */
export interface AxleTravel {
  readonly bumpMm: number
  readonly droopMm: number
  readonly rightBumpMm?: number
  readonly rightDroopMm?: number
  /** Where a stop ends the bump, or a strap the droop, before the spring does. */
  readonly stopMm?: number
  readonly strapMm?: number
  /** One wheel up while the other is down, each so far; the one at its bump, the other at its droop, when absent. */
  readonly crossMm?: number
  /** How far the wheels come up once the weight to come is in, or other springs; negative: down. */
  readonly settleMm?: number
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
  readonly travel?: AxleTravel
}

/** The bracket that holds a centre bearing. */
export interface BearingBracketBody extends BodyBase {
  readonly kind: 'bearing-bracket'
}

/** A hub that a halfshaft drives. */
export interface HubBody extends BodyBase {
  readonly kind: 'hub'
  readonly side?: 'left' | 'right'
  /** Middle of the wheel: its height is what the travel is told by. */
  readonly centre?: Id
  readonly motion?: HubMotion
  readonly travel?: HubTravel
}

/** A body that goes up and down with its wheels. */
export type WheeledBody = AxleBody | HubBody

/** A shaft through two bearings, with what sits on it along it: sprockets by the chains, hubs and a brake by their points. */
export interface LiveAxleBody extends BodyBase {
  readonly kind: 'live-axle'
  /** Middles of its bearings: pillow blocks on the frame. */
  readonly bearings?: { readonly left: Id; readonly right: Id }
  readonly shaft?: { readonly outerMm: number; readonly boreMm?: number }
  /** Outer faces of its hubs, and the brake's disc. */
  readonly hubs?: { readonly left: Id; readonly right: Id }
  readonly brake?: Id
  /** How far the shaft reaches beyond each hub's face. */
  readonly beyondMm?: number
  readonly tyreDiameterMm?: number
}

/** The points that a live axle is told by. */
export const liveAxlePoints = ({ bearings, hubs, brake }: LiveAxleBody): Id[] => [
  ...Object.values(bearings ?? {}),
  ...Object.values(hubs ?? {}),
  ...(brake === undefined ? [] : [brake]),
]

/** Anything else in the bay: radiator, exhaust, battery. */
export interface ItemBody extends BodyBase {
  readonly kind: 'item'
}

/** A part of the vehicle that moves as one. */
export type Body =
  | ChassisBody
  | PowertrainBody
  | TransferCaseBody
  | AxleBody
  | BearingBracketBody
  | HubBody
  | LiveAxleBody
  | ItemBody
