import { changedBay } from '../../testdata/bay'
import { diagonalSentence } from '../../show/text/weldText'
import { drawnAskew } from './diagonals'

const { units } = changedBay()
const weld = (diagonals: readonly (readonly [number, number])[]) => ({
  ...changedBay().welds![0]!,
  diagonals: diagonals.map(([firstMm, secondMm]) => ({ firstMm, secondMm })),
})

describe('diagonals while a frame is tacked', () => {
  it('stop the next tack where one grew against the other', () => {
    expect(
      drawnAskew([
        { firstMm: 1000, secondMm: 999 },
        { firstMm: 1001.4, secondMm: 998 },
      ]),
    ).toEqual({ grew: 'first', byMm: expect.closeTo(2.4, 9), stops: true })
    expect(drawnAskew([{ firstMm: 1000, secondMm: 999 }])).toBeNull()
    const texts = [
      weld([
        [1000, 999],
        [1001.4, 998],
      ]),
      weld([
        [1000, 999],
        [999.7, 999.2],
      ]),
      weld([]),
    ].map((one) => diagonalSentence(one, units))
    expect(texts).toEqual([
      { text: 'Stop: the first diagonal grew by 2.4 mm; the next tack at the other corner.', isOut: true },
      { text: 'Square as it was, to 0.5 mm.', isOut: false },
      null,
    ])
  })
})
