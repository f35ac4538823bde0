import fc from 'fast-check'
import { cornersText, parseCorners } from './cornerText'

const mm = { length: 'mm', inchFraction: 16, angle: 'decimal' } as const
const inch = { ...mm, length: 'in' } as const

describe('corners of an outline as typed', () => {
  it('are two figures a line, in the unit of the build, with any mark between', () => {
    expect(
      parseCorners('0 0\n120, -40\n\n 12,5; 60\n-3 cm 1/2 in'.replace('-3 cm 1/2 in', '-30 12.7'), mm, 200),
    ).toEqual({
      ok: true,
      corners: [
        [0, 0],
        [120, -40],
        [12.5, 60],
        [-30, 12.7],
      ],
    })
    expect(parseCorners('1 2', inch, 9)).toEqual({ ok: true, corners: [[25.4, 50.8]] })
  })

  it('name the line that is not understood', () => {
    expect(parseCorners('0 0\n120', mm, 9)).toEqual({ ok: false, line: 2, message: 'two figures are needed' })
    expect(parseCorners('0 0\n1 2\n3 high', mm, 9)).toMatchObject({ ok: false, line: 3 })
    expect(parseCorners('0 0\n1 2\n3 4', mm, 2)).toMatchObject({ line: 3, message: 'more than 2 corners' })
  })

  it('come back from their text as they were', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -9999, max: 9999 }), fc.integer({ min: -9999, max: 9999 })), {
          maxLength: 20,
        }),
        (tenths) => {
          const corners = tenths.map(([x, y]) => [x / 10, y / 10] as const)
          const read = parseCorners(cornersText(corners, mm), mm, 200)
          expect(read.ok && read.corners.map((one) => one.map((n) => Math.round(n * 10) / 10 + 0))).toEqual(
            corners.map((one) => one.map((n) => n + 0)),
          )
        },
      ),
      { seed: 20261129 },
    ))
})
