import { GRAVITY } from '../../base/gravity'
import type { Build } from '../../file/build/build'
import { lineStates } from '../../check/lineStates'
import { changedBay } from '../../testdata/bay'
import { demoBuild } from '../../testdata/demos'
import { casesFor, loadOf, type MountCaseKey } from './mountCases'
import { mountedBodies } from './mountedBodies'
import { springsOf } from './mountSprings'
import { isSprung as isOneSprung, unitOf } from './mountedUnit'
import { powertrainOf } from '../../file/parts/bodies'

const told = (build: Build) => unitOf(build, powertrainOf(build)!)
const isSprung = (build: Build) => mountedBodies(build).some((one) => isOneSprung(build, one))
const known = (build: Build) => {
  const unit = told(build)
  if (!unit.known) throw new Error(unit.missing[0]!.what)
  return unit.value
}

describe('what stands on the mounts of a build', () => {
  it('is what hangs on the hoist, turned by the gear and the range that turn it most', () => {
    const build = changedBay()
    const hanging = (build.weight!.masses ?? []).filter(({ hangs }) => hangs)
    const unit = known(build)
    expect(unit.massKg).toBeCloseTo(
      hanging.reduce((sum, { kg = 0 }) => sum + kg, 0),
      9,
    )
    expect(unit.torque).toMatchObject({ engineNm: 240, gearRatio: 3.9, range: 1, shock: 1.5 })
    expect(unit.reverse).toBeNull()
    const crawling = known(
      changedBay((raw) => {
        raw.drivetrain.ranges = [
          { name: 'high', ratio: 1 },
          { name: 'low', ratio: 2.6 },
        ]
        raw.drivetrain.converterRatio = 1.9
        raw.drivetrain.gears.push({ name: 'R', ratio: -3.2 })
      }),
    )
    expect(crawling.torque).toMatchObject({ range: 2.6, converter: 1.9 })
    expect(crawling.reverse).toMatchObject({ gearRatio: -3.2, shock: 1.5 })
  })

  it('leaves the low range to a transfer case that stands for itself', () => {
    const apart = changedBay((raw) => {
      raw.drivetrain.ranges = [{ name: 'low', ratio: 2.6 }]
      raw.bodies.push({ id: 'box', kind: 'transfer-case', name: 'transfer case' })
    })
    expect(known(apart).torque.range).toBe(1)
  })

  it('is not known until all is told, and then its lines are judged under torque', () => {
    const states = (build: Build) => lineStates(build, build.lines[0]!).map(({ state }) => state)
    const whole = changedBay()
    expect([isSprung(whole), states(whole).slice(0, 3)]).toEqual([true, ['ride', 'drive', 'coast']])
    const lacks = (edit: (raw: any) => void) => {
      const build = changedBay(edit)
      expect([isSprung(build), states(build)[1] ?? 'ride']).toEqual([false, 'ride'])
      const springs = springsOf(mountedBodies(build)[0]?.mounts ?? [])
      const unit = told(build)
      return [springs, unit].flatMap((one) => (one.known ? [] : one.missing.map(({ what }) => what)))
    }
    expect(lacks((raw) => delete raw.mounts[1].leftNPerMm)).toEqual(['how stiff right engine mount is'])
    expect(lacks((raw) => delete raw.mounts)).toEqual(['what the powertrain stands on'])
    expect(lacks((raw) => delete raw.drivetrain.gears)).toEqual(['the gears'])
    expect(lacks((raw) => raw.weight.masses.forEach((one: any) => delete one.hangs))[0]).toContain('hoist')
    expect(isSprung(demoBuild('medlar-hatch'))).toBe(false)
  })
})

describe('the cases of mounts', () => {
  const unit = known(changedBay((raw) => raw.drivetrain.gears.push({ name: 'R', ratio: -3.2 })))
  const at = (key: MountCaseKey) =>
    loadOf(
      casesFor(unit).find((one) => one.key === key)!,
      unit,
    )
  const weight = unit.massKg * GRAVITY

  it('bear weight by its shares, about the way in which the vehicle is thrown', () => {
    expect(at('standing')).toEqual({
      force: [0, 0, -weight].map((one) => expect.closeTo(one, 6)),
      moment: [0, 0, 0],
      alongNmm: 0,
    })
    expect(at('bump').force[2]).toBeCloseTo(-3 * weight, 6)
    expect(at('crest').force[2]).toBeCloseTo(weight, 6)
    expect(at('braking').force[0]).toBeCloseTo(weight, 6)
    expect([at('left').force[1], at('right').force[1]]).toEqual([
      expect.closeTo(weight, 6),
      expect.closeTo(-weight, 6),
    ])
  })

  it('turn by the torque with or without its shock, turned over on overrun and in reverse', () => {
    const first = 240 * 3.9 * 1000
    expect(at('pulling').alongNmm).toBeCloseTo(-first, 3)
    expect(at('drive').alongNmm).toBeCloseTo(-1.5 * first, 3)
    expect(at('overrun').alongNmm).toBeCloseTo(0.3 * first, 3)
    expect(at('bump').alongNmm).toBeCloseTo(-first, 3)
    expect(at('reverse').alongNmm).toBeCloseTo(240 * 3.2 * 1.5 * 1000, 3)
    expect(casesFor({ ...unit, reverse: null }).map(({ key }) => key)).not.toContain('reverse')
  })
})
