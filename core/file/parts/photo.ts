import type { OUTLINE_VIEWS } from './body'
import type { Id } from './id'

/** The sides a photograph can be taken from, and the view that each shows. */
export const SEEN_FROM = {
  left: 'side',
  right: 'side',
  above: 'top',
  below: 'top',
  front: 'front',
  behind: 'front',
} as const satisfies Record<string, (typeof OUTLINE_VIEWS)[number]>
export type SeenFrom = keyof typeof SEEN_FROM

/** Two points that say how large a photograph is and where it lies. */
export interface PhotoScale {
  readonly seenFrom: SeenFrom
  /** The two points, in px from the left edge and from the top. */
  readonly points: readonly [readonly [number, number], readonly [number, number]]
  /** Where they are in that view, in mm, as corners of outlines are; without the second the picture is taken as level. */
  readonly places: readonly [readonly [number, number], (readonly [number, number])?]
  /** How far they are apart on the vehicle, in mm; not needed with both places. */
  readonly distanceMm?: number
  /** From the lens to the two points, in mm. */
  readonly cameraMm?: number
  /** How much nearer to the lens than the two points that is which is traced, in mm; below nought for farther. */
  readonly nearerMm?: number
}

/** A photograph, kept beside the build and never in it. */
export interface PhotoReference {
  readonly id: Id
  readonly name: string
  readonly takenAt?: string
  /** The body, point, reading or trial it shows. */
  readonly shows?: Id
  readonly scale?: PhotoScale
}
