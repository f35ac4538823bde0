import type { Cells, Kernel, Row } from '../../base/columns/kernel'
import { arcGap, straightGap, type Bend } from './nearest'

type Numbers = readonly number[]

/** A corner of columns, three each. */
function read(cells: readonly Cells[], corner: number, row: Row, to: Float64Array): void {
  for (let part = 0; part < 3; part++) to[part] = (cells[3 * corner + part] as Cells)[row]
}

/** From a cable to a place, the nearest way: from three columns a corner, then the place. Parameters: the radius at each inner corner. */
export const cableTo = (corners: number): Kernel => {
  const room = () => new Float64Array(3)
  const told = { before: room(), corner: room(), after: room() }
  const bend: Bend = { ...told, back: room(), on: room(), start: room(), end: room() }
  const [place, begins] = [room(), room()]
  return {
    name: 'from a cable to what is hot',
    page: 'shift',
    outputs: 1,
    run: (count, from, [gap], parameters) => {
      const cells = from as unknown as readonly Cells[]
      const radii = parameters as unknown as Numbers
      for (let i: Row = 0; i < count; i++) {
        read(cells, corners, i, place)
        read(cells, 0, i, begins)
        let least = Infinity
        for (let k = 1; k < corners - 1; k++) {
          read(cells, k - 1, i, bend.before)
          read(cells, k, i, bend.corner)
          read(cells, k + 1, i, bend.after)
          least = Math.min(least, arcGap(place, bend, radii[k - 1] as number))
          least = Math.min(least, straightGap(place, begins, bend.start))
          for (let part = 0; part < 3; part++) begins[part] = bend.end[part] as number
        }
        read(cells, corners - 1, i, bend.after)
        gap[i] = Math.min(least, straightGap(place, begins, bend.after))
      }
    },
  }
}
