import { shiftBuild, type ToldShift } from '../testdata/shiftBuild'
import type { ShiftKnob } from '../file/parts/shiftLinkage'
import { knobTexts } from '../show/text/shiftText'
import { evaluateBuild } from './evaluateBuild'
import { SHIFTS } from './shiftSubject'
import { foundOf } from './subject'

const TOLD: ToldShift = {
  lever: { pivotMm: [-900, 120], armMm: 60, clockDeg: -90 },
  box: { pivotMm: [-300, 120], armMm: 60, clockDeg: -90 },
  rodMm: 600,
  gates: ['1', '2', '3'].map((name, k) => ({ name, leverDeg: 20 * k - 20, boxDeg: 20 * k - 20 })),
}
const withKnob = (knob: ShiftKnob) => {
  const build = shiftBuild(TOLD)
  return { ...build, shifts: build.shifts!.map((shift) => ({ ...shift, knob })) }
}
const evaluated = (knob: ShiftKnob) => {
  const one = foundOf(evaluateBuild(withKnob(knob), {}).subjects, SHIFTS)[0]!
  if (!one.found.known) throw new Error(JSON.stringify(one.found.missing))
  return { ...one, knob: one.found.value.knob! }
}

describe('the knob of a lever', () => {
  it('goes round the bearing in every gate, straight on from the arm; bent, its throw stays', () => {
    const { knob } = evaluated({ longMm: 300, turnDeg: 180, asideMm: 70 })
    // The arm 20° back is the knob 20° forward; up when it is plumb.
    expect(knob.gates[1]!.at).toEqual([-900, 70, 420].map((mm) => expect.closeTo(mm, 6)))
    const sine = 300 * Math.sin(Math.PI / 9)
    expect(knob.gates.map(({ at }) => at[0] + 900)).toEqual(
      [sine, 0, -sine].map((mm) => expect.closeTo(mm, 6)),
    )
    expect(knob.figures.throwMm).toBeCloseTo(2 * sine, 6)
    const bent = evaluated({ longMm: 300, turnDeg: 150, asideMm: -20 }).knob
    expect(bent.figures.throwMm).toBeCloseTo(2 * sine, 6)
    expect(bent.gates[1]!.at[0]).not.toBeCloseTo(-900, 0)
  })

  it('keeps a hand’s gap to what is near, gates passed and all; nearer is out', () => {
    // The bearing of the gearbox's arm stands 600 ahead of that of the lever.
    const near = [{ point: 'shift-box' }]
    const close = evaluated({ longMm: 560, turnDeg: 90, acrossMm: 30, near })
    const { gapMm } = close.knob.near[0]!
    // Turned a quarter the knob lies forward, level in the second gate: 40 short of the point, less half its width.
    expect(gapMm).toBeCloseTo(25, 6)
    const verdict = ({ checks }: typeof close) =>
      checks.find(({ id }) => id === 'shift/shift/knob/near/0')!.verdict
    expect(verdict(close)).toBe('out')
    expect(verdict(evaluated({ longMm: 500, turnDeg: 90, acrossMm: 30, near }))).toBe('holds')
    expect(verdict(evaluated({ longMm: 560, turnDeg: 90, near: [{ point: 'shift-box', gapMm: 30 }] }))).toBe(
      'holds',
    )
    // Beyond its last gate it comes nearer still.
    const [within, beyond] = [0, 40].map(
      (overDeg) => evaluated({ longMm: 600, turnDeg: 30, overDeg, near }).knob.near[0]!.gapMm,
    )
    expect(beyond).toBeLessThan(within! - 1)
  })

  it('tells the opening of the skin it comes through', () => {
    const { figures } = evaluated({
      ...{ longMm: 300, turnDeg: 180, overDeg: 5, skinMm: 100, stemMm: 14, freeMm: 6, rockMm: 4 },
    }).knob
    expect(figures.openingMm).toBeCloseTo(2 * 100 * Math.sin((25 * Math.PI) / 180) + 14 + 20, 6)
    const build = withKnob({ longMm: 300, turnDeg: 180, near: [{ point: 'shift-box' }] })
    const one = foundOf(evaluateBuild(build, {}).subjects, SHIFTS)[0]!
    expect(knobTexts(one, build).map(({ title, value }) => `${title}: ${value}`)).toEqual([
      'The knob goes, first gate to last: 205.2 mm',
      expect.stringMatching(/^Hand to box bearing, of 40\.0 mm wanted: [56]\d\d\.\d mm$/),
    ])
  })
})
