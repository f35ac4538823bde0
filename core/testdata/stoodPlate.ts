import { plateAnswer } from '../making/plates/plateAnswer'
import type { RawBuild } from './builds'

/** Holes of the tight bay's plate by which it stands. */
const HOLES = ['A', 'B', 'C']
/** Where its face stands: square across the vehicle, looked at from the front. */
export const STATION_MM = 500

/** Stands the tight bay's plate on its powertrain, each of three points just where its hole would have it. */
export function stoodPlate(raw: RawBuild): void {
  const plate = raw.plates[0]
  const face = plateAnswer(plate).plate
  if (!face.known) throw new Error('the plate was taped')
  plate.stands = HOLES.map((hole) => ({ hole, point: `plate-${hole}` }))
  for (const hole of HOLES) {
    const [x, y] = face.value.places.get(hole) ?? [NaN, NaN]
    const point = `plate-${hole}`
    raw.points.push({ id: point, name: `plate face at ${hole}`, body: 'powertrain' })
    raw.readings.push({
      ...{ id: `given-${point}`, kind: 'given-point', point, unit: 'mm' },
      ...{ station: `${STATION_MM}`, stationWay: 'rearward' },
      ...{ offset: `${Math.abs(x)}`, side: x < 0 ? 'right' : 'left' },
      ...{ height: `${Math.abs(y)}`, heightWay: y < 0 ? 'below' : 'above' },
      ...{ plusMinus: '1', source: 'rule from the datum' },
    })
  }
}
