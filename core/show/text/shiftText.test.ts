import { demoBuild } from '../../testdata/demos'
import { shiftBuild, type ToldShift } from '../../testdata/shiftBuild'
import { norm, sub } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'
import { shiftScene, shiftViews } from '../../drawing/shiftScene'
import type { Build } from '../../file/build/build'
import { evaluateBuild } from '../../model/evaluateBuild'
import { shiftAdvice } from '../../model/shiftAdvice'
import { SHIFTS } from '../../model/shiftSubject'
import { foundOf } from '../../model/subject'
import { pinAt } from '../../shift/rod/arm'
import { adviceTexts, shiftRows, shiftSentence } from './shiftText'

const shiftOf = (build: Build) => foundOf(evaluateBuild(build, {}).subjects, SHIFTS)[0]!
const LEANING: ToldShift = {
  lever: { pivotMm: [-900, 120], armMm: 60, clockDeg: -110, playMm: 0.2 },
  box: { pivotMm: [-300, 120], armMm: 60, clockDeg: -70, playMm: 0.4 },
  rodMm: 640,
  gates: ['P', 'R', 'N', 'D', '2'].map((name, k) => ({ name, leverDeg: 12 * k - 24, boxDeg: 12 * k - 24 })),
}
const told = (build: Build) => {
  const found = shiftOf(build)
  return { found, ...adviceTexts(found, shiftAdvice(found)!, build.units) }
}

describe('a shift linkage in words', () => {
  it('says which gate is worst, and what each arm and its error lean to', () => {
    const build = shiftBuild(LEANING)
    const found = shiftOf(build)
    expect(shiftSentence(found, build.units)).toMatch(
      /^(P|2) is not caught: \d\.\d° off; a detent draws in 3\.0°, 0\.6° of play in it\.$/,
    )
    const [park] = shiftRows(found, 0, build.units)
    expect(park).toMatchObject({
      name: 'P',
      lever: '44.0° back',
      box: '4.0° back',
      place: 'shifts[0].gates[0]',
    })
    expect(park!.error).toMatch(/^\d\.\d° (forward|back)$/)
    // From the other bearing to the lever's pin in P it is 643.1, and 60 more to the farthest: 196.9 are too long.
    expect(shiftSentence(shiftOf(shiftBuild({ ...LEANING, rodMm: 900 })), build.units)).toBe(
      'Cannot reach P: the rod misses it by 196.9 mm.',
    )
    expect(shiftSentence(shiftOf(shiftBuild({ ...LEANING, rodMm: undefined })), build.units)).toContain(
      'No rod yet',
    )
  })

  it('advises a rod, a gate to set it in, holes that are there, and the slot', () => {
    const build = shiftBuild(LEANING)
    const withHoles = {
      ...build,
      shifts: build.shifts!.map((one) => ({
        ...one,
        lever: { ...one.lever, holesMm: [50] },
        slot: { beyondFirstMm: 0, beyondLastMm: 40, radiusMm: 100, overMm: 1 },
      })),
    }
    const { rod, set, holes, slot } = told(withHoles)
    expect(rod).toMatch(
      /^A rod of 6\d\d\.\d mm from pin to pin errs least: \d\.\d°; the one of 640\.0 mm errs \d\.\d°\.$/,
    )
    expect(set).toMatch(/^Set on the vehicle, it errs least when it is set in \w: \d\.\d° at worst\.$/)
    expect(holes).toHaveLength(2)
    expect(holes[0]).toContain('gearbox 60.0 mm')
    expect(slot).toMatch(
      /^For 1\.0 mm beyond both end detents and the play, file the slot \d+\.\d mm beyond P\.$/,
    )
    expect(told(build)).toMatchObject({ holes: [], slot: null })
    const out = { ...build, shifts: build.shifts!.map((one) => ({ ...one, rodFromMm: 100, rodToMm: 200 })) }
    expect(told(out).rod).toContain('No rod between these holes')
  })
})

describe('the long van’s column lever', () => {
  const build = demoBuild('osier-van')
  const found = shiftOf(build)
  if (!found.found.known) throw new Error(JSON.stringify(found.found.missing))
  const { arms, gates, rodMm } = found.found.value

  it('turns about a sloping column, its rod set in one gate: from pin to pin a rod apart in all', () => {
    expect([build.shifts![0]!.setIn, gates.map(({ id }) => id)]).toEqual(['r', ['p', 'r', 'n', 'd']])
    expect(gates[1]!.figures.errorDeg).toBeCloseTo(0, 9)
    for (const { leverDeg, boxDeg, figures } of gates) {
      const pins = [
        pinAt(arms.lever, radians(leverDeg)),
        pinAt(arms.box, radians(boxDeg + figures.errorDeg!)),
      ] as const
      expect(norm(sub(...pins))).toBeCloseTo(rodMm!, 6)
    }
    // The column's rear is high: what is up in its plane is forward too.
    expect(arms.lever.toward[0]).toBeGreaterThan(0.5)
  })

  it('has a gate that no mark of the lever stands for', () => {
    const rows = shiftRows(found, 0, build.units)
    expect(rows.at(-1)).toMatchObject({ name: 'L', only: 'gearbox alone', error: '–', place: null })
    expect(rows.slice(0, 4).map(({ verdict }) => verdict)).toEqual(Array(4).fill('holds'))
    expect(shiftSentence(found, build.units)).toMatch(/^Every gate is caught: worst is P, 0\.\d° off;/)
  })

  it('is drawn from both sides, each arm’s gates where it is seen turning', () => {
    expect(shiftViews(found)).toEqual(['side', 'behind'])
    const [side, behind] = (['side', 'behind'] as const).map((view) => shiftScene(found, 'n', view, 400)!)
    expect(side!.arms.map(({ isTurning }) => isTurning)).toEqual([false, true])
    expect(behind!.arms.map(({ isTurning }) => isTurning)).toEqual([true, false])
    for (const scene of [side!, behind!])
      for (const arm of scene.arms)
        for (const [x, y] of [arm.pivot, arm.pin!, ...arm.gates.map(({ at }) => at)]) {
          expect(x >= 0 && x <= scene.width).toBe(true)
          expect(y >= 0 && y <= scene.height).toBe(true)
        }
    // Forward is to the left: the column's foot stands ahead of the gearbox.
    expect(side!.arms[0].pivot[0]).toBeLessThan(side!.arms[1].pivot[0])
    expect(shiftScene(shiftOf({ ...build, readings: [] }), '', 'side', 400)).toBeNull()
  })
})
