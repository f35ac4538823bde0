import type { Vec3 } from '../base/linalg/vec3'
import { evaluateBuild } from '../model/evaluateBuild'
import { changedBay } from './bay'

/* Points of the tight bay read again. */

/** Three mounts and the output joint. */
export const AGAIN = ['mount-left', 'mount-right', 'mount-tail', 'output-joint'] as const

/** Where points stand at a setting of the levers. */
export function placesAt(settings: Record<string, number>): (point: string) => Vec3 {
  const { placed } = evaluateBuild(changedBay(), settings)
  return (point) => {
    const place = placed.points.get(point)
    if (!place?.known) throw new Error(point)
    return place.value
  }
}

/** Station, offset and height of a place as a tape reads them, in a trial or as first measured. */
export const placeReadings = (
  point: string,
  [x, y, z]: Vec3,
  trial?: string,
  error: (axis: number) => number = () => 0,
): object[] =>
  (
    [
      ['point-station', x, { way: x <= 0 ? 'rearward' : 'forward' }],
      ['point-offset', y, { side: y >= 0 ? 'left' : 'right' }],
      ['point-height', z, { way: z >= 0 ? 'above' : 'below' }],
    ] as const
  ).map(([kind, mm, words], axis) => ({
    ...{ id: `again-${trial ?? 'first'}-${point}-${axis}`, kind, point, setup: 'setup-1', unit: 'mm', ...words },
    ...(trial && { trial }),
    values: [(Math.abs(mm) + error(axis)).toFixed(3)],
  }))

/** Reads points in a trial as they stand at a setting of the levers. */
export function readAgainIn(
  trial: string,
  settings: Record<string, number>,
  points: readonly string[] = AGAIN,
  error: (point: string, axis: number) => number = () => 0,
): (raw: any) => void { // eslint-disable-line @typescript-eslint/no-explicit-any
  const placeOf = placesAt(settings)
  return (raw) => {
    for (const point of points)
      raw.readings.push(...placeReadings(point, placeOf(point), trial, (axis) => error(point, axis)))
  }
}
