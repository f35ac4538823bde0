import type { Id } from './id'

/** What a chain does: it drives, or carries a steering column or a shift past what is in the way. */
export const CHAIN_DUTIES = ['drive', 'steering', 'shift'] as const
export type ChainDuty = (typeof CHAIN_DUTIES)[number]

/** How a sprocket is held: by bearings on both sides of it, or beyond them. */
export const SPROCKET_SUPPORTS = ['both-sides', 'overhung'] as const

/** A sprocket of a chain; its id is its own among all chains of a build. */
export interface ChainSprocket {
  readonly id: Id
  readonly name?: string
  readonly teeth: number
  /** Middle of its teeth, on the axis it turns on. */
  readonly point: Id
  /** What it turns on; taken to lie straight across the vehicle when absent. */
  readonly axis?: Id
  /** It presses on the chain from outside and turns the other way. */
  readonly outside?: boolean
  /** It only guides or tensions the chain. */
  readonly idler?: boolean
  /** From the face that is read to the middle of its teeth, in mm to the left. */
  readonly faceToTeethMm?: number
  readonly support?: (typeof SPROCKET_SUPPORTS)[number]
}

/** A chain round its sprockets, in the order in which it visits them; the first drives. */
export interface ChainLine {
  readonly id: Id
  readonly name: string
  readonly duty: ChainDuty
  readonly pitchMm: number
  readonly sprockets: readonly ChainSprocket[]
  readonly links?: number
  /** One of the links is a half link, so that their number may be odd. */
  readonly halfLink?: boolean
  /** How much longer it has worn, in percent; new when absent. */
  readonly wearPercent?: number
  /** Wear at which it is thrown away; two percent when absent. */
  readonly wornPercent?: number
  /** Least tensile strength, by its maker. */
  readonly tensileN?: number
  readonly massKgPerM?: number
  /** The lever it is set by: the engine on its slots, an idler, an axle. */
  readonly adjuster?: Id
  /** The first sprocket turns backward when the vehicle goes forward. */
  readonly turnsBackward?: boolean
  /** Turns of the steering wheel from lock to lock, or of a shift's first sprocket from end to end. */
  readonly wheelTurns?: number
}

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
