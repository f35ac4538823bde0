import { byGrade, graded, gravestOf } from './grade'

const OPEN = { failLow: null, warnLow: null, warnHigh: null, failHigh: null }

describe('the grade of a value', () => {
  it('is told by its verdict and by its room as a share of the limit, whatever the unit', () => {
    expect(graded(3, { ...OPEN, failHigh: 4 }, 'joint-angle')).toEqual({ gravity: 0, room: 0.25 })
    expect(graded(350, { ...OPEN, warnHigh: 300, failHigh: 400 }, 'joint-angle')).toEqual({
      gravity: 1,
      room: 0.125,
    })
    expect(graded(8, { ...OPEN, failLow: 10 }, 'joint-angle')).toEqual({ gravity: 2, room: -0.2 })
    // What has to come out past an obstacle has no more room for the long way it needs.
    expect(graded(510, { ...OPEN, failLow: 500 }, 'gap')).toEqual({ gravity: 0, room: 0.5 })
    // A limit of nought has no share to be told by.
    expect(graded(-0.5, { ...OPEN, failLow: 0 }, 'joint-angle')).toEqual({ gravity: 2, room: -500 })
  })

  it('is none without a limit or a figure', () => {
    expect(graded(3, OPEN, 'joint-angle')).toBeNull()
    expect(graded(NaN, { ...OPEN, failHigh: 4 }, 'joint-angle')).toBeNull()
  })

  it('sorts the graver first, of equals that with less room', () => {
    const grades = [
      { gravity: 0, room: 0.1 },
      { gravity: 1, room: 0.9 },
      { gravity: 1, room: 0.2 },
    ]
    expect(grades.toSorted(byGrade)).toEqual([grades[2], grades[1], grades[0]])
    expect(gravestOf(grades)).toBe(grades[2])
    expect(gravestOf([])).toBeNull()
  })
})
