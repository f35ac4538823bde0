import { boolean, object, type ObjectSchema, type AnyObject } from 'yup'
import { axleTravel, AXLE_MOTION } from './axleMotion'
import { byWord } from './byWord'
import { figure, idField, kindOf, list, maybe, requiredId, requiredName, rising, wordField } from './fields'
import { HUB_MOTION, hubTravel } from './hubMotion'
import type { Id } from './id'
import { outlineShape } from './outline'
import type { Told } from './told'

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

const size = () => figure(0, 100_000)
const place = () => figure(-100_000, 100_000)

/** A box in mm as it stood in the first trial: stations rearward, offsets to the left, heights. */
const box = maybe({
  stations: rising(-100_000, 100_000),
  offsets: rising(-100_000, 100_000),
  heights: rising(-100_000, 100_000),
})
export type BodyBox = NonNullable<Told<typeof box>>

/** What every body of a kind has. */
const bodyOf = <K extends BodyKind>(kind: K) => ({
  id: requiredId(),
  name: requiredName(),
  kind: kindOf(kind),
  /** The body it is bolted to and goes along with; the chassis when absent. */
  standsOn: idField(),
  /** A box of cardboard in its place until the part is there. */
  provisional: boolean(),
  box,
  outlines: list(outlineShape, 20),
})

/** Sizes that only the picture needs, all in mm. */
const chassisSizes = maybe({
  railDepthMm: size(),
  railSpacingMm: size(),
  /** Of the rails at their front ends, where they taper, and the station from which they no longer do; the rear end when absent. */
  railFrontSpacingMm: size(),
  railTaperStationMm: place(),
  railFrontStationMm: place(),
  railRearStationMm: place(),
  /** Height of the ground under the datum plane at ride height, as a positive length. */
  groundBelowMm: size(),
})
export type ChassisSizes = NonNullable<Told<typeof chassisSizes>>

/** Sizes that only the picture needs, all in mm. */
const powertrainSizes = maybe({
  lengthMm: size(),
  gearboxLengthMm: size(),
  aboveAxisMm: size(),
  belowAxisMm: size(),
  widthMm: size(),
})
export type PowertrainSizes = NonNullable<Told<typeof powertrainSizes>>

/** The three points of a body on its mounts; all are needed to move it by them. */
const mounts = maybe({ frontLeft: requiredId(), frontRight: requiredId(), tail: requiredId() })
export type Mounts = NonNullable<Told<typeof mounts>>

const sides = () => maybe({ left: requiredId(), right: requiredId() })

/** The shape of a body of each kind. */
export const BODY_SHAPES = {
  /** What all else is measured from; every build has exactly one. */
  chassis: object({ ...bodyOf('chassis'), sizes: chassisSizes }),
  /** Engine and gearbox as one. */
  powertrain: object({
    ...bodyOf('powertrain'),
    mounts,
    sizes: powertrainSizes,
    /** Station of the face that the gearbox is bolted to, as measured; what lies behind it goes along with an adapter. */
    faceStationMm: place(),
    /** How far it rocks on its mounts either way, in degrees. */
    rockDeg: figure(0, 30),
  }),
  /** A transfer case that stands apart from the gearbox. */
  'transfer-case': object({ ...bodyOf('transfer-case'), mounts }),
  /** A live axle or a sprung differential with its pinion. */
  axle: object({
    ...bodyOf('axle'),
    /** Point on the wheel axis in the middle of the axle; wedges and wheels turn the axle about it. */
    centre: idField(),
    noseFaces: wordField(['forward', 'rearward']).required(),
    /** `fixed`: its differential is bolted to the chassis, and only the halfshafts move. */
    suspension: wordField(['leaf', 'soft-links', 'rigid-links', 'fixed']).required(),
    /** Leaf spring above the axle tube or below it; decides which way a wedge points. */
    spring: wordField(['above', 'below']),
    sizes: maybe({ housingDiameterMm: size(), tyreDiameterMm: size(), trackMm: size() }),
    motion: byWord('kind', AXLE_MOTION),
    travel: axleTravel,
  }),
  /** The bracket that holds a centre bearing. */
  'bearing-bracket': object(bodyOf('bearing-bracket')),
  /** A hub that a halfshaft drives. */
  hub: object({
    ...bodyOf('hub'),
    side: wordField(['left', 'right']),
    /** Middle of the wheel: its height is what the travel is told by. */
    centre: idField(),
    motion: byWord('kind', HUB_MOTION),
    travel: hubTravel,
  }),
  /** A shaft through two bearings, with what sits on it along it: sprockets by the chains, hubs and a brake by their points. */
  'live-axle': object({
    ...bodyOf('live-axle'),
    /** Middles of its bearings: pillow blocks on the frame. */
    bearings: sides(),
    shaft: maybe({ outerMm: figure(1, 1000).required(), boreMm: figure(0, 999) }),
    /** Outer faces of its hubs, and the brake's disc. */
    hubs: sides(),
    brake: idField(),
    /** How far the shaft reaches beyond each hub's face. */
    beyondMm: figure(0, 1000),
    tyreDiameterMm: figure(50, 5000),
  }),
  /** Anything else in the bay: radiator, exhaust, battery. */
  item: object(bodyOf('item')),
} as const satisfies Readonly<Record<BodyKind, ObjectSchema<AnyObject>>>
type BodyShapes = typeof BODY_SHAPES

/** A part of the vehicle that moves as one. */
export type Body = { [K in BodyKind]: Told<BodyShapes[K]> }[BodyKind]
export type ChassisBody = Told<BodyShapes['chassis']>
export type PowertrainBody = Told<BodyShapes['powertrain']>
export type TransferCaseBody = Told<BodyShapes['transfer-case']>
export type ItemBody = Told<BodyShapes['item']>
export type AxleBody = Told<BodyShapes['axle']>
export type HubBody = Told<BodyShapes['hub']>
export type LiveAxleBody = Told<BodyShapes['live-axle']>
/** A body that goes up and down with its wheels. */
export type WheeledBody = AxleBody | HubBody

/** The Yup schema of one body, chosen by its kind. */
export const bodySchema = byWord('kind', BODY_SHAPES, true)

/** The points that a live axle is told by. */
export const liveAxlePoints = ({ bearings, hubs, brake }: LiveAxleBody): Id[] => [
  ...Object.values(bearings ?? {}),
  ...Object.values(hubs ?? {}),
  ...(brake === undefined ? [] : [brake]),
]
