import cases from '../../testdata/release.json'
import { casesOf, expectCase } from '../../../tests/support/expectCase'
import { release } from './release'

describe('parts that are to come out again against independent cases', () => {
  const work = ({ dim: dimensions, contacts, pins = [] }: any) => {
    const found = release({
      dimensions,
      contacts,
      pins: pins.map(({ id, axis, drawable = false, one_way: oneWay = false }: any) => ({
        id,
        axis,
        isDrawable: drawable,
        isOneWay: oneWay,
      })),
    })
    return {
      free: found.isFree,
      pins_to_draw: found.pinsToDraw,
      kind: found.kind,
      best_margin: found.margin,
      best_d: found.bestWay?.slice(0, dimensions),
      slide_both_ways: found.slidesAlong,
      removable_alone: found.removableAlone,
    }
  }
  it.each(casesOf(cases))('%s', (_id, one) => expectCase(cases, one, work))
})
