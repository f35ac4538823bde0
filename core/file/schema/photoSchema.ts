import { array, object } from 'yup'
import { figure, idField, requiredId, requiredName, timeField, wordField } from '../parts/fields'
import { SEEN_FROM } from '../parts/photo'

const pixel = () => array().of(figure(-100_000, 100_000).required()).length(2)
const photoScale = object({
  seenFrom: wordField(Object.keys(SEEN_FROM)).required(),
  points: array().of(pixel().required()).length(2).required(),
  places: array().of(pixel().required()).min(1).max(2).required(),
  distanceMm: figure(1, 100_000),
  cameraMm: figure(100, 1_000_000),
  nearerMm: figure(-100_000, 100_000),
})
  .default(undefined)
  .test('scaled', 'needs the distance of its two points, or the places of both', (scale) => {
    const { distanceMm, places } = (scale ?? {}) as { distanceMm?: number; places?: unknown[] }
    return !scale || distanceMm !== undefined || places?.length === 2
  })
/** The Yup schema of one photograph. */
export const photoSchema = object({
  id: requiredId(),
  name: requiredName(),
  takenAt: timeField(),
  shows: idField(),
  scale: photoScale,
})
