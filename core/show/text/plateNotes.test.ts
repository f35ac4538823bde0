import { boltCircle, circlePlaces } from '../../making/bolts/boltCircle'
import { plateAnswer } from '../../making/plates/plateAnswer'
import type { Plate } from '../../file/kinds/plateKinds'
import { plateNotes } from './plateNotes'

/** Four holes of 9 at the corners of a square of 100, each boss with its depth and its spacer. */
const square = (edit: (plate: any) => void = () => undefined): Plate => {
  const corner = (xMm: number, yMm: number) => ({ at: { xMm, yMm }, boss: { xMm, yMm } })
  const plate = {
    ...{ id: 'p', name: 'plate', thicknessMm: 10, marginMm: 12, seenFrom: 'front' },
    holes: [corner(0, 0), corner(100, 0), corner(100, 100), corner(0, 100)].map((at, k) => ({
      ...{ id: 'ABCD'[k]!, holeMm: 9, boltMm: 8, ...at },
    })),
  }
  edit(plate)
  return plate as Plate
}
const notes = (edit: (plate: any) => void) => plateNotes(plateAnswer(square(edit)))
const standing =
  (depths: readonly number[], spacers: readonly (number | undefined)[]) =>
  ({ holes }: any) =>
    holes.forEach((hole: any, k: number) => Object.assign(hole, { depthMm: depths[k], spacerMm: spacers[k] }))

describe('what else is to be said of a plate', () => {
  it('says nothing while all is well, and names holes too near to an edge or to each other', () => {
    expect(notes(() => undefined)).toEqual([])
    // A margin of 8 leaves 8 + 4.5 from the middle, 12.5 / 9 of its size; of 5, 9.5 / 9.
    expect(notes((plate) => (plate.marginMm = 8))).toEqual([
      {
        text: 'Holes A, B, C, D: from the middle to the edge 12.5 mm, 1.4 of its size; 1.5 keeps it from tearing out.',
        verdict: 'tight',
      },
    ])
    const large = notes((plate) => {
      plate.marginMm = 5
      plate.holes[0].holeMm = 8
    })
    // Of the smaller hole 9 / 8 are less than 9.5 / 9.
    expect(large.map(({ text, verdict }) => [text.slice(0, 56), verdict])).toEqual([
      ['Hole A: from the middle to the edge 9.0 mm, 1.1 of its s', 'out'],
      ['Holes B, C, D: from the middle to the edge 9.5 mm, 1.1 o', 'out'],
    ])
    const near = notes(({ holes }) => (holes[1].at = holes[1].boss = { xMm: 21, yMm: 0 }))
    expect(near).toEqual([
      {
        text: 'The nearest two holes are 21.0 mm apart, 2.3 of their size; 2.5 keeps the metal between them.',
        verdict: 'tight',
      },
    ])
    expect(notes(({ holes }) => (holes[1].at = holes[1].boss = { xMm: 19, yMm: 0 }))[0]!.verdict).toBe('out')
  })

  it('says how it lies on the spacers that are there: rock, what to grind, flat and leaning', () => {
    // Tops at 5 but for C at 5.4: it rocks on the line B – D, over A or over C.
    const rocks = notes(standing([0, 0, 0, 0], [5, 5, 5.4, 5]))
    expect(rocks).toEqual([
      {
        text: expect.stringMatching(/ rocks by 0\.40 mm: grind 0\.40 mm off the spacer of (A or )?C\.$/),
        verdict: 'out',
      },
    ])
    // One in a hundred up from A and D to B and C.
    expect(notes(standing([0, 1, 1, 0], [5, 7, 7, 5]))).toEqual([
      {
        text: 'On the spacers that are there it lies flat on all; it leans 0.57° to the straight edge.',
        verdict: 'holds',
      },
    ])
    // Of one boss the spacer is not there yet.
    expect(notes(standing([0, 0, 0, 0], [5, 5, 5.4, undefined]))).toEqual([])
    const five = notes((plate) => {
      plate.holes.push({ ...plate.holes[0], id: 'E', at: { xMm: 50, yMm: 50 }, boss: { xMm: 50, yMm: 50 } })
      standing([0, 0, 0, 0, 0], [5, 5, 5, 5, 4])(plate)
    })
    expect(five[0]!.text).toContain('rocks by 1.00 mm: 1.00 mm are open at E.')
  })

  it('lays holes evenly on a circle by whichever distance was measured', () => {
    const places = circlePlaces(5, boltCircle({ holes: 5, by: { chordMm: 70 } }).circleMm)
    const apart = (a: number, b: number) =>
      Math.hypot(places[a]![0] - places[b]![0], places[a]![1] - places[b]![1])
    expect([apart(0, 1), apart(4, 0)]).toEqual([expect.closeTo(70, 9), expect.closeTo(70, 9)])
    expect(places[0]![0]).toBeCloseTo(0, 9)
    // Clockwise from the top: the second lies to the right.
    expect(places[1]![0]).toBeGreaterThan(0)
    const { acrossMm, circleMm } = boltCircle({ holes: 6, by: { acrossMm: 120 } })
    expect([acrossMm, circleMm]).toEqual([expect.closeTo(120, 9), expect.closeTo(120, 9)])
  })
})
