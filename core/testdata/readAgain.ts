import { evaluateBuild } from '../model/evaluateBuild'
import { changedBay } from './bay'

/* Points of the tight bay read again. */

/** Three mounts and the output joint. */
export const AGAIN = ['mount-left', 'mount-right', 'mount-tail', 'output-joint'] as const

/** Reads points in a trial as they stand at a setting of the levers. */
export function readAgainIn(
  trial: string,
  settings: Record<string, number>,
  points: readonly string[] = AGAIN,
  error: (point: string, axis: number) => number = () => 0,
): (raw: any) => void { // eslint-disable-line @typescript-eslint/no-explicit-any
  const { placed } = evaluateBuild(changedBay(), settings)
  return (raw) => {
    for (const point of points) {
      const place = placed.points.get(point)
      if (!place?.known) throw new Error(point)
      const [x, y, z] = place.value
      const read = (kind: string, mm: number, axis: number, words: object) =>
        raw.readings.push({
          id: `again-${trial}-${point}-${axis}`,
          kind,
          point,
          setup: raw.setups[0].id,
          trial,
          values: [(Math.abs(mm) + error(point, axis)).toFixed(3)],
          unit: 'mm',
          ...words,
        })
      read('point-station', x, 0, { way: x <= 0 ? 'rearward' : 'forward' })
      read('point-offset', y, 1, { side: y >= 0 ? 'left' : 'right' })
      read('point-height', z, 2, { way: z >= 0 ? 'above' : 'below' })
    }
  }
}
