import { boolean, object } from 'yup'
import { figure, idField, list, nameField, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** What a chain does: it drives, or carries a steering column or a shift past what is in the way. */
export const CHAIN_DUTIES = ['drive', 'steering', 'shift'] as const
export type ChainDuty = (typeof CHAIN_DUTIES)[number]

/** How a sprocket is held: by bearings on both sides of it, or beyond them. */
export const SPROCKET_SUPPORTS = ['both-sides', 'overhung'] as const

/** Sprockets of one chain at the most. */
const MOST_SPROCKETS = 12

/** A sprocket of a chain; its id is its own among all chains of a build. */
const sprocketShape = object({
  id: requiredId(),
  name: nameField(),
  teeth: figure(5, 500).integer().required(),
  /** Middle of its teeth, on the axis it turns on. */
  point: requiredId(),
  /** What it turns on; taken to lie straight across the vehicle when absent. */
  axis: idField(),
  /** It presses on the chain from outside and turns the other way. */
  outside: boolean(),
  /** It only guides or tensions the chain. */
  idler: boolean(),
  /** From the face that is read to the middle of its teeth, in mm to the left. */
  faceToTeethMm: figure(-500, 500),
  support: wordField(SPROCKET_SUPPORTS),
})
export type ChainSprocket = Told<typeof sprocketShape>

/** A chain round its sprockets, in the order in which it visits them; the first drives. */
export const chainShape = object({
  id: requiredId(),
  name: requiredName(),
  duty: wordField(CHAIN_DUTIES).required(),
  pitchMm: figure(1, 200).required(),
  sprockets: list(sprocketShape, MOST_SPROCKETS).min(2).required(),
  links: figure(1, 5000).integer(),
  /** One of the links is a half link, so that their number may be odd. */
  halfLink: boolean(),
  /** How much longer it has worn, in percent; new when absent. */
  wearPercent: figure(0, 10),
  /** Wear at which it is thrown away; two percent when absent. */
  wornPercent: figure(0, 10),
  /** Least tensile strength, by its maker. */
  tensileN: figure(1, 1e7),
  massKgPerM: figure(0, 100),
  /** The lever it is set by: the engine on its slots, an idler, an axle. */
  adjuster: idField(),
  /** The first sprocket turns backward when the vehicle goes forward. */
  turnsBackward: boolean(),
  /** Turns of the steering wheel from lock to lock, or of a shift's first sprocket from end to end. */
  wheelTurns: figure(0.1, 20),
})
export type ChainLine = Told<typeof chainShape>

/** Percent of wear at which a chain is thrown away, where nothing else is told. */
export const USUAL_WORN_PERCENT = 2

/** All sprockets of the chains of a build. */
export const sprocketsOf = ({ chains }: { readonly chains?: readonly ChainLine[] }): ChainSprocket[] =>
  (chains ?? []).flatMap(({ sprockets }) => sprockets)

/** The sprocket that the first one drives: the first that is no idler. */
export const drivenIndex = ({ sprockets }: Pick<ChainLine, 'sprockets'>): number =>
  Math.max(
    1,
    sprockets.findIndex(({ idler }, i) => i > 0 && idler !== true),
  )

/** The sprocket with the most teeth: its plane is the line that the others are held against. */
export const largestIndex = ({ sprockets }: Pick<ChainLine, 'sprockets'>): number =>
  sprockets.reduce((most, { teeth }, i) => (teeth > (sprockets[most]?.teeth ?? 0) ? i : most), 0)

/** What a sprocket is called. */
export const sprocketName = ({ name, teeth }: Pick<ChainSprocket, 'name' | 'teeth'>): string =>
  name ?? `sprocket of ${teeth}`
