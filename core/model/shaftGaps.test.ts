import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isSameState } from '../check/check'
import { norm, sub, scale, add, dot, type Vec3 } from '../base/linalg/vec3'
import { parseBuild } from '../file/open/parseBuild'
import type { RawBuild } from '../testdata/builds'
import { checkLabel } from '../show/text/checkText'
import { checkFigureId, sampleModel } from '../answers/uncertainty/sampleModel'
import { runMonteCarlo } from '../answers/uncertainty/monteCarlo'
import { evaluateBuild } from './evaluateBuild'

const demo = JSON.parse(readFileSync(join(__dirname, '../../demo/tansy-wagon.lurvan.json'), 'utf8'))

/** The linked wagon with a hoop under its shaft and a pan that comes near the ground. */
function wagon(edit: (raw: RawBuild) => void = () => undefined) {
  const raw = structuredClone(demo) as RawBuild
  const given = (point: string, station: number, height: number) => ({
    id: `read-${point}`,
    kind: 'given-point',
    point,
    unit: 'mm',
    station: String(station),
    stationWay: 'rearward',
    offset: '0',
    side: 'left',
    height: String(Math.abs(height)),
    heightWay: height < 0 ? 'below' : 'above',
    plusMinus: '2 mm',
  })
  raw.points.push(
    { id: 'hoop', name: 'hoop, lowest inside', body: 'chassis' },
    { id: 'pan', name: 'pan', body: 'powertrain' },
    { id: 'housing', name: 'housing', body: 'rear-axle' },
  )
  raw.readings.push(given('hoop', 1800, -90), given('pan', 600, -210), given('housing', 2800, -260))
  raw.gaps = [
    {
      id: 'hoop-shaft',
      name: 'hoop to shaft',
      kind: 'moving',
      point: 'hoop',
      shaft: { line: 'rear', index: 0 },
      toward: [0, 0, 1],
    },
    { id: 'pan-ground', name: 'pan to ground', kind: 'ground', point: 'pan', toward: [0, 0, -1] },
    { id: 'housing-ground', name: 'housing to ground', kind: 'ground', point: 'housing', toward: [0, 0, -1] },
  ]
  raw.limits.entries.push({
    id: 'gaps',
    quantity: 'gap',
    unit: 'mm',
    scope: 'travel',
    failBelow: 15,
    basis: 'own',
  })
  edit(raw)
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
const reads = (gap: string, value: string) => ({
  id: `gap-${gap}`,
  kind: 'gap',
  gap,
  setup: 'setup-1',
  unit: 'mm',
  values: [value],
})
const HOOP: Vec3 = [-1800, 0, -90]

/** The gap by hand: from the hoop to the line between the joints, less half the tube. */
function byHand(
  build: ReturnType<typeof wagon>,
  at: string | null,
  state: 'ride' | 'drive' | 'coast' = 'ride',
) {
  const { lines } = evaluateBuild(build, {})
  const there = lines[0]!.states.find((one) =>
    isSameState(one, { state, at: at === null ? null : { id: at, name: '' } }),
  )!
  if (!there.figures.known) throw new Error(JSON.stringify(there.figures.missing))
  const [a, b] = there.figures.value.geometry.centres as [Vec3, Vec3]
  const along = sub(b, a)
  const share = dot(sub(HOOP, a), along) / dot(along, along)
  return norm(sub(HOOP, add(a, scale(along, share)))) - 89 / 2
}
const gapOf = (build: ReturnType<typeof wagon>, id: string) => {
  const { gaps } = evaluateBuild(build, {})
  return gaps.find(({ gap }) => gap.id === id)!
}

describe('a gap to a turning shaft', () => {
  it('is as wide as the tube lies off the point, at its worst under every torque and all over the travel', () => {
    const build = wagon()
    const { ride, check } = gapOf(build, 'hoop-shaft')
    if (!ride.known) throw new Error(JSON.stringify(ride.missing))
    expect(ride.value.gapMm).toBeCloseTo(byHand(build, null), 6)
    // The nearest of the shaft lies straight over the hoop.
    expect(ride.value.toward[2]).toBeGreaterThan(0.99)
    const places = ['travel-droop', 'travel-bump', 'travel-left-up', 'travel-right-up']
    const worst = Math.min(
      ...places.flatMap((at) =>
        (['ride', 'drive', 'coast'] as const).map((state) => byHand(build, at, state)),
      ),
    )
    expect(check.value).toBeLessThanOrEqual(worst + 1e-3)
    expect(check.value).toBeGreaterThan(worst - 0.5)
    expect(check.at?.id).toBe('travel-droop')
    expect(checkLabel(check)).toContain('hoop to shaft')
  })

  it('goes by what was measured where it was, and moves on from there', () => {
    const build = wagon((raw) => raw.readings.push(reads('hoop-shaft', '31')))
    const { ride, check } = gapOf(build, 'hoop-shaft')
    expect(ride).toMatchObject({ known: true, value: { gapMm: expect.closeTo(31, 9) } })
    const plain = wagon()
    const moved = gapOf(plain, 'hoop-shaft').check.value! - byHand(plain, null)
    expect(check.value).toBeCloseTo(31 + moved, 6)
  })

  it('has its ±, less where it was measured', () => {
    const spread = (build: ReturnType<typeof wagon>) => {
      const found = evaluateBuild(build, {})
      const check = found.gaps.find(({ gap }) => gap.id === 'hoop-shaft')!.check
      const sampled = runMonteCarlo(sampleModel(build, {}, found), { samples: 2000, seed: 3 })
      return sampled.figures[checkFigureId(check)]!.plusMinus
    }
    const [plain, read] = [
      spread(wagon()),
      spread(wagon((raw) => raw.readings.push(reads('hoop-shaft', '31')))),
    ]
    expect(plain).toBeGreaterThan(1)
    // What was read takes the shared part of the touch point's doubt out.
    expect(read).toBeLessThan(plain * 0.9)
  })

  it('needs a tube, and a shaft that is there', () => {
    const bare = wagon((raw) => delete raw.lines[0].shafts[0].tube)
    const { check } = gapOf(bare, 'hoop-shaft')
    expect([check.verdict, check.missing.map(({ what }) => what)]).toEqual([
      'unknown',
      ['rear shaft, shaft 1: tube not entered'],
    ])
    expect(() => wagon((raw) => (raw.gaps[0].shaft.index = 1))).toThrow('has no shaft 2')
    expect(() => wagon((raw) => (raw.gaps[0].shaft.line = 'front'))).toThrow('there is no line')
    expect(() => wagon((raw) => (raw.gaps[0].obstacle = 'powertrain'))).toThrow('only one of them can be')
  })
})

describe('a gap to the ground in bump', () => {
  const build = wagon((raw) => {
    raw.readings.push(reads('pan-ground', '195'), reads('housing-ground', '190'))
  })

  it('closes under what is on the springs by as much as the wheels come up, and stays under the axle', () => {
    const pan = gapOf(build, 'pan-ground').check
    expect([pan.at?.id, pan.value]).toEqual(['travel-bump', expect.closeTo(195 - 80, 6)])
    const housing = gapOf(build, 'housing-ground').check
    // Its nose turns with the links, so a point below the middle comes a little nearer.
    expect(Math.abs(housing.value! - 190)).toBeLessThan(12)
  })
})
