import { axlesOf, powertrainOf } from '../file/parts/bodies'
import { evaluateBuild } from '../model/evaluateBuild'
import { changedDemo, demoBuild } from '../testdata/builds'
import twoSetups from '../../docs/examples/two-setups.lurvan.json'
import { parseBuild } from '../file/open/parseBuild'
import { framePlan } from './framePlan'
import { axleWithSizes, chassisSizes, powertrainSizes } from './usualSizes'

const planOf = (build: ReturnType<typeof demoBuild>) =>
  framePlan(build, evaluateBuild(build, {}), build.setups.at(-1)!)

describe('framePlan', () => {
  it('places what has station and offset, and names the rest', () => {
    const plan = planOf(demoBuild())
    const at = (id: string) => plan.points.find((point) => point.id === id)!
    expect(at('output-joint')).toMatchObject({ at: [1178, -4], height: 56, isDatum: false, isRead: true })
    expect(at('mount-left').at).toEqual([148, 262])
    expect(plan.unplaced.map(({ id }) => id)).toEqual(['axle-centre'])
    for (const {
      at: [, offset],
    } of plan.points)
      expect(Math.abs(offset)).toBeLessThan(plan.halfWidth)
    expect(plan.rails.map(([, , offset]) => offset)).toEqual(
      [410, -410].map((one) => one * (plan.rails[0]![2] / 410)),
    )
  })

  it('shows what datum points miss the fit by', () => {
    const parsed = parseBuild(structuredClone(twoSetups))
    if (!parsed.ok) throw new Error('refused')
    const { points } = framePlan(parsed.value, evaluateBuild(parsed.value, {}), parsed.value.setups.at(-1)!)
    const datums = points.filter(({ isDatum }) => isDatum)
    expect(datums.length).toBeGreaterThan(2)
    expect(datums.some(({ miss }) => miss !== null && Math.hypot(...miss) < 5)).toBe(true)
  })
})

describe('usual sizes', () => {
  it('fill in what was not entered, and say so; what was entered stands', () => {
    const bare = changedDemo((raw) => {
      delete raw.bodies[1].sizes
      raw.bodies[0].sizes = {}
      delete raw.bodies[2].sizes
    })
    expect(powertrainSizes(bare)).toMatchObject({ isUsual: true, sizes: { lengthMm: 1250 } })
    expect(axleWithSizes(axlesOf(bare)[0]!)).toMatchObject({
      isUsual: true,
      axle: { sizes: { trackMm: 1450 } },
    })
    expect(chassisSizes(bare, [-100, 3000])).toMatchObject({
      isUsual: true,
      sizes: { railFrontStationMm: -100, railRearStationMm: 3000 },
    })
    const demo = demoBuild()
    expect(powertrainSizes(demo)).toEqual({ isUsual: false, sizes: powertrainOf(demo)!.sizes })
    expect(axleWithSizes(axlesOf(demo)[0]!).isUsual).toBe(false)
    const partly = changedDemo((raw) => delete raw.bodies[1].sizes.widthMm)
    expect(powertrainSizes(partly)).toMatchObject({
      isUsual: true,
      sizes: { lengthMm: powertrainOf(demo)!.sizes!.lengthMm },
    })
  })
})
