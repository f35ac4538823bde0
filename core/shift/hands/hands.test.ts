import fc from 'fast-check'
import { LIMBS, type Limb } from '../../file/parts/control'
import { clutchFigures } from './clutch'
import { shareJobs, type Job } from './share'

const job = (id: string, ...limbs: readonly Limb[]): Job => ({ id, limbs })
const WHEEL = job('wheel', 'leftHand', 'rightHand')
const SHIFT = job('shift', 'rightHand')
const CLUTCH = job('clutch', 'leftFoot')

describe('jobs of one moment', () => {
  it('go to the limbs that are free, by choice of each where nothing is in the way', () => {
    expect(shareJobs([WHEEL, CLUTCH])).toEqual({
      by: new Map([
        ['wheel', 'leftHand'],
        ['clutch', 'leftFoot'],
      ]),
      most: 1,
      clash: null,
    })
    // A lever for the left hand moves the wheel to the right one.
    expect(shareJobs([WHEEL, job('lever', 'leftHand')]).by.get('wheel')).toBe('rightHand')
    expect(shareJobs([])).toEqual({ by: new Map(), most: 0, clash: null })
  })

  it('clash where they want more limbs than there are: the fewest that do are named', () => {
    const parking = job('parking', 'rightHand')
    expect(shareJobs([WHEEL, SHIFT, CLUTCH, parking]).clash).toEqual({
      jobs: ['shift', 'parking'],
      limbs: ['rightHand'],
    })
    const third = job('tip', 'leftHand', 'rightHand')
    expect(shareJobs([WHEEL, SHIFT, third])).toMatchObject({
      most: 2,
      clash: { jobs: ['wheel', 'shift', 'tip'], limbs: ['leftHand', 'rightHand'] },
    })
  })

  const limbs = fc.uniqueArray(fc.constantFrom(...LIMBS), { minLength: 1, maxLength: 4 })
  it('each go to a limb that reaches it; none has two unless some jobs have fewer limbs than they are', () => {
    fc.assert(
      fc.property(fc.array(limbs, { maxLength: 7 }), (all) => {
        const jobs = all.map((some, k) => job(`job-${k}`, ...some))
        const { by, most, clash } = shareJobs(jobs)
        for (const { id, limbs: own } of jobs) expect(own).toContain(by.get(id))
        const counts = LIMBS.map((limb) => [...by.values()].filter((one) => one === limb).length)
        expect(Math.max(0, ...counts)).toBe(most)
        expect(clash === null).toBe(most <= 1)
        if (clash) expect(clash.limbs.length).toBeLessThan(clash.jobs.length)
      }),
    )
  })
})

describe('a clutch by oil', () => {
  const TOLD = {
    ...{ id: 'c', name: 'clutch', pedalMm: 150, pedalRatio: 5, masterMm: 16, slaveMm: 20 },
    ...{ freeMm: 1, releaseMm: 8, fork: { pivot: 'between' as const, toBearingMm: 60, toRodMm: 96 } },
  }

  it('goes by the squares of the bores and the arms of the fork', () => {
    const found = clutchFigures({ ...TOLD, masterStrokeMm: 28, slaveStrokeMm: 25, socketMm: 6.5 })
    // 150/5 = 30; 30·(16/20)² = 19.2; 19.2·60/96 = 12; 6.5/(1 + 96/60) = 2.5.
    expect(found).toMatchObject({
      known: true,
      value: {
        masterTakesMm: 30,
        slaveGoesMm: expect.closeTo(19.2, 9),
        bearingGoesMm: expect.closeTo(12, 9),
        leftMm: expect.closeTo(3, 9),
        freeAtMm: expect.closeTo(112.5, 9),
        ratio: expect.closeTo(12.5, 9),
        masterLeftMm: -2,
        slaveLeftMm: expect.closeTo(5.8, 9),
        pivotByMm: expect.closeTo(2.5, 9),
      },
    })
  })

  it('turns the other way round with the pivot at the end, has no fork at a slave on the shaft, and waits for its sizes', () => {
    const end = clutchFigures({ ...TOLD, socketMm: 3, fork: { ...TOLD.fork, pivot: 'end' } })
    expect(end.known && end.value.pivotByMm).toBeCloseTo(3 / (1 - 1.6), 9)
    const onShaft = clutchFigures({ ...TOLD, fork: undefined, socketMm: 3 })
    expect(onShaft.known && onShaft.value).toMatchObject({ bearingGoesMm: expect.closeTo(19.2, 9) })
    expect(onShaft.known && onShaft.value.pivotByMm).toBeUndefined()
    const bare = clutchFigures({ id: 'c', name: 'clutch', pedalMm: 150 })
    expect(bare.known ? [] : bare.missing.map(({ what }) => what)).toEqual([
      'clutch: ratio of the pedal',
      'clutch: bore of the master cylinder',
      'clutch: bore of the slave cylinder',
      'clutch: free travel of the release bearing',
      'clutch: travel of the bearing that frees the plate',
    ])
  })
})
