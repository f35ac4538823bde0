import { array, object, type AnyObject, type ArraySchema } from 'yup'
import type { OUTLINE_VIEWS } from './outline'
import { figure, idField, maybe, pair, requiredId, requiredName, timeField, wordField } from './fields'
import type { Told } from './told'

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

type Spot = [number, number]
/** Places in a picture or a view, two of them or one. */
type Spots<T extends unknown[]> = ArraySchema<T, AnyObject>
const spots = () => array().of(pair(-100_000, 100_000).required()).required()

/** Two points that say how large a photograph is and where it lies. */
const photoScale = maybe({
  seenFrom: wordField(Object.keys(SEEN_FROM) as SeenFrom[]).required(),
  /** The two points, in px from the left edge and from the top. */
  points: spots().length(2) as unknown as Spots<[Spot, Spot]>,
  /** Where they are in that view, in mm, as corners of outlines are; without the second the picture is taken as level. */
  places: spots().min(1).max(2) as unknown as Spots<[Spot, Spot?]>,
  /** How far they are apart on the vehicle, in mm; not needed with both places. */
  distanceMm: figure(1, 100_000),
  /** From the lens to the two points, in mm. */
  cameraMm: figure(100, 1_000_000),
  /** How much nearer to the lens than the two points that is which is traced, in mm; below nought for farther. */
  nearerMm: figure(-100_000, 100_000),
}).test(
  'scaled',
  'needs the distance of its two points, or the places of both',
  (scale) => !scale || scale.distanceMm !== undefined || scale.places?.length === 2,
)
export type PhotoScale = NonNullable<Told<typeof photoScale>>

/** A photograph, kept beside the build and never in it. */
export const photoShape = object({
  id: requiredId(),
  name: requiredName(),
  takenAt: timeField(),
  /** The body, point, reading or trial it shows. */
  shows: idField(),
  scale: photoScale,
})
