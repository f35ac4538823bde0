import { stackScale, stackScene } from './stackScene'
import type { DialRound, Stack } from '../../file/parts/mating'
import { changedBay } from '../../testdata/bay'
import { without } from '../../testdata/without'
import { parseDial } from './dialText'
import { clockText, roundAnswer, stackAnswer } from './matingOf'

const bay = changedBay()
const stack = (id: string, change: Partial<Stack> = {}): Stack => ({
  ...bay.mating!.stacks.find((one) => one.id === id)!,
  ...change,
})
const round = (id: string, change: Partial<DialRound> = {}): DialRound => ({
  ...bay.mating!.rounds.find((one) => one.id === id)!,
  ...change,
})

describe('chains of the tight bay', () => {
  it('add up with their signs, and the worst of each stays within or not', () => {
    const pilot = stackAnswer(stack('pilot'))
    if (!pilot.known) throw new Error('unknown')
    // 178 − 152.4 − 12 + 2 − 2.5, each tolerance at its end.
    expect(pilot.value.nominal).toBeCloseTo(13.1, 9)
    expect(pilot.value.worst[0]).toBeCloseTo(12.1, 9)
    expect(pilot.value.worst[1]).toBeCloseTo(14.1, 9)
    expect(pilot.value.verdict).toBe('holds')
    const release = stackAnswer(stack('release'))
    if (!release.known) throw new Error('unknown')
    expect(release.value.worst[0]).toBeCloseTo(1.1, 9)
    expect(release.value.verdict).toBe('tight')
    const short = stackAnswer(stack('release', { minMm: 2.4 }))
    expect(short.known && short.value.verdict).toBe('out')
    expect(short.known && short.value.below).toBeGreaterThan(0.3)
  })

  it('give no verdict without a window, and say which size is missing', () => {
    const answer = stackAnswer(without(stack('pilot'), 'minMm', 'maxMm'))
    expect(answer.known && answer.value.verdict).toBeNull()
    const [first, ...others] = stack('pilot').parts
    const bare = without(first!, 'nominalMm')
    const unread = stackAnswer(stack('pilot', { parts: [bare, ...others] }))
    expect(unread).toEqual({
      known: false,
      missing: [{ what: expect.stringContaining('input shaft, tip beyond the gearbox face'), path: '' }],
    })
    expect(stackScene(stack('pilot', { parts: [bare, ...others] }))).toBeNull()
  })

  it('say which parts are taken as exact', () => {
    const exact = without(stack('pilot').parts[0]!, 'plusMm', 'minusMm')
    const answer = stackAnswer(stack('pilot', { parts: [exact] }))
    expect(answer.known && answer.assumptions).toEqual([
      'Pilot in its bush: “input shaft, tip beyond the gearbox face” is taken as exact',
    ])
  })

  it('are drawn one part after the other, to one scale', () => {
    const pilot = stack('pilot')
    const scene = stackScene(pilot)!
    const perMm = scene.bars[0]!.width / 178
    scene.bars.forEach((bar, k) => expect(bar.width).toBeCloseTo(pilot.parts[k]!.nominalMm! * perMm, 9))
    expect(scene.bars[1]!.left + scene.bars[1]!.width).toBeCloseTo(scene.bars[0]!.end, 9)
    expect(scene.result.width).toBeCloseTo(13.1 * perMm, 9)
    const answer = stackAnswer(pilot)
    const scale = stackScale(pilot, answer.known ? answer.value : (null as never))
    expect(scale.marks.map(({ mm }) => mm)).toEqual([10, 15])
    expect(scale.worst[0]).toBeGreaterThan(scale.window![0])
    expect(scale.likely[1] - scale.likely[0]).toBeLessThan(scale.worst[1] - scale.worst[0])
  })
})

describe('dial rounds of the tight bay', () => {
  it('find the offset, half of the total reading, and the dowel against it', () => {
    const answer = roundAnswer(round('bore'))
    if (!answer.known) throw new Error('unknown')
    const { bore, totalMm, verdict, dowel } = answer.value
    expect(bore?.offsetMm).toBeCloseTo(0.19, 2)
    expect(totalMm).toBeCloseTo(2 * (bore?.offsetMm ?? NaN), 12)
    expect(verdict).toBe('out')
    expect(dowel?.sizeMm).toBe(0.18)
    // The dial read most at 25°, so the bore's centre lies at 205° and the housing moves toward 25°.
    expect(bore?.centre.clockDeg).toBeCloseTo(205, -1)
    expect(dowel?.moveClockDeg).toBeCloseTo(((bore?.centre.clockDeg ?? NaN) + 180) % 360, 9)
  })

  it('turn round for a dial that counts backwards', () => {
    const there = roundAnswer(round('bore'))
    const back = roundAnswer(round('bore', { countsBackwards: true }))
    const clock = (one: typeof there) => (one.known ? (one.value.bore?.centre.clockDeg ?? NaN) : NaN)
    expect(Math.abs(clock(there) - clock(back))).toBeCloseTo(180, 9)
  })

  it('say what is still to be read, and which text cannot be', () => {
    const two = roundAnswer(round('bore', { spots: round('bore').spots.slice(0, 2) }))
    expect(two.known ? '' : two.missing[0]?.what).toContain('three places well round the clock, 2 are read')
    const spots = round('bore').spots.map((spot, k) => (k === 1 ? { ...spot, text: 'tight' } : spot))
    const bad = roundAnswer(round('bore', { spots }))
    expect(bad.known ? '' : bad.missing[0]?.what).toContain('half past 1')
    const face = roundAnswer(without(round('face'), 'radiusMm'))
    expect(face.known ? '' : face.missing[0]?.what).toContain('radius')
  })

  it.each([
    ['-0.2', 'mm', -0.2],
    ['−0,05', 'mm', -0.05],
    ['+0.1', 'mm', 0.1],
    ['.008', 'in', 0.2032],
    ['-0.004', 'in', -0.1016],
  ] as const)('read %s %s on either side of nought', (text, unit, mm) => {
    const parsed = parseDial(text, unit)
    expect(parsed.ok ? parsed.value : NaN).toBeCloseTo(mm, 9)
  })

  it.each(['', '--1', 'tight'])('do not guess at “%s”', (text) => {
    expect(parseDial(text, 'mm').ok).toBe(false)
  })

  it.each([
    [0, '12 o’clock'],
    [45, 'half past 1'],
    [90, '3 o’clock'],
    [360, '12 o’clock'],
    [205, 'about 7 o’clock (205°)'],
    [52, 'about half past 1 (52°)'],
    [359, 'about 12 o’clock (359°)'],
  ])('%d° is %s', (angle, words) => {
    expect(clockText(angle)).toBe(words)
  })
})
