import fc from 'fast-check'
import { paperDrawing } from './paperDrawing'
import type { PaperMark } from './paperMarks'
import type { Dimension } from './sheetDrawing'

const ROOM = [186, 90] as const
const lines = (marks: readonly PaperMark[]) =>
  marks.flatMap((mark) =>
    mark.form === 'path' && (mark.look === 'main' || mark.look === 'dimension') ? [mark.points] : [],
  )
const long = ([from, to]: readonly (readonly [number, number])[]) =>
  Math.hypot(to![0] - from![0], to![1] - from![1])
const along = (from: number, to: number): Dimension => ({
  from: [from, 0],
  to: [to, 0],
  along: 'x',
  text: `${to - from}`,
})

describe('a drawing on paper', () => {
  it('stands at the largest scale that fits, and a line of a size is as long as the size', () => {
    const drawing = {
      marks: [
        {
          stroke: 'edge',
          form: 'outline',
          points: [
            [0, -38],
            [1240, -38],
            [1240, 38],
            [0, 38],
          ],
        },
      ] as const,
      labels: [],
      dimensions: [
        along(0, 1240),
        { from: [1240, -38], to: [1240, 38], along: 'y', text: 'ø76' } as const,
        { from: [0, 0], to: [300, 40], along: 'straight', text: '302.7' } as const,
      ],
    }
    const { scale, size, marks } = paperDrawing(drawing, ROOM)
    expect(scale).toBe(8)
    expect(size[0]).toBeLessThanOrEqual(ROOM[0])
    expect(lines(marks).map(long)).toEqual(
      [155, 9.5, Math.hypot(300, 40) / 8].map((mm) => expect.closeTo(mm, 9)),
    )
  })

  it('is true for any sizes, which never lie over each other', () => {
    const spans = fc.array(fc.tuple(fc.integer({ min: 0, max: 2000 }), fc.integer({ min: 0, max: 2000 })), {
      minLength: 1,
      maxLength: 8,
    })
    fc.assert(
      fc.property(spans, (all) => {
        const dimensions = all.map(([from, to]) => along(Math.min(from, to), Math.max(from, to) + 1))
        const { scale, marks } = paperDrawing({ marks: [], labels: [], dimensions }, ROOM)
        const sizes = lines(marks).map((line) => long(line) * scale)
        const wanted = dimensions.map(({ from, to }) => to[0] - from[0])
        expect(sizes.toSorted((a, b) => a - b)).toEqual(
          wanted.toSorted((a, b) => a - b).map((mm) => expect.closeTo(mm, 6)),
        )
        const drawn = lines(marks).map(([from, to]) => ({ y: from![1], left: from![0], right: to![0] }))
        for (const [i, one] of drawn.entries())
          for (const other of drawn.slice(i + 1))
            if (Math.abs(one.y - other.y) < 1)
              expect(one.right < other.left || other.right < one.left).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})
