import type { PhotoScale } from '../../file/parts/photo'
import { draftOf, NEW_SCALE, placeSeen, scaleOf, type ScaleDraft } from './scaleDraft'

const WHOLE: ScaleDraft = {
  ...NEW_SCALE,
  first: [0, 0],
  second: [100, 0],
  at: [10, 20],
  distanceMm: 50,
}
const lacks = (draft: ScaleDraft) => {
  const result = scaleOf(draft)
  return 'lacks' in result ? result.lacks : []
}

describe('a scale in the making', () => {
  it('tells what it lacks, one thing after the other', () => {
    expect(lacks(NEW_SCALE)).toEqual(['first', 'second', 'at', 'distance'])
    expect(lacks({ ...WHOLE, second: undefined })).toEqual(['second'])
    expect(lacks({ ...WHOLE, at: [10] })).toEqual(['at'])
    expect(lacks({ ...WHOLE, distanceMm: undefined, other: [60] })).toEqual(['distance'])
    expect(lacks({ ...WHOLE, second: [3, 3] })).toEqual(['apart'])
    expect(lacks(WHOLE)).toEqual([])
  })

  it('is a scale once both places are known, with the distance or without', () => {
    const result = scaleOf({ ...WHOLE, distanceMm: undefined, other: [10, 220] })
    expect('map' in result && result.map.mmPerPx).toBeCloseTo(2, 12)
    expect('scale' in result && result.scale).toEqual({
      seenFrom: 'left',
      points: [
        [0, 0],
        [100, 0],
      ],
      places: [
        [10, 20],
        [10, 220],
      ],
    })
  })

  it('goes to and fro between the two without a loss', () => {
    const scale: PhotoScale = {
      seenFrom: 'behind',
      points: [
        [5, 6],
        [70, 80],
      ],
      places: [
        [1, 2],
        [30, 40],
      ],
      distanceMm: 48,
      cameraMm: 2500,
      nearerMm: -40,
    }
    const result = scaleOf(draftOf(scale))
    expect('scale' in result && result.scale).toEqual(scale)
  })

  it('puts a point where it is seen: stations rearward, offsets to the left, heights up', () => {
    expect(placeSeen([-300, 40, 90], 'right')).toEqual([300, 90])
    expect(placeSeen([-300, 40, 90], 'above')).toEqual([300, 40])
    expect(placeSeen([-300, 40, 90], 'behind')).toEqual([40, 90])
  })
})
