import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isSameState } from '../check/check'
import { movePoint } from '../base/linalg/mat3'
import type { Build } from '../file/build/build'
import { parseBuildText } from '../file/open/parseBuild'
import { compile } from './compile'
import { crossMap } from './crossMap'
import { evaluateBuild } from './evaluateBuild'
import { lineAt, travelWays, valueAt } from './travelCurves'

const raw = () => JSON.parse(readFileSync(join(__dirname, '../../demo/tansy-wagon.lurvan.json'), 'utf8'))
function wagon(edit: (one: any) => void = () => undefined): Build {
  const one = raw()
  edit(one)
  const parsed = parseBuildText(JSON.stringify(one))
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
const build = wagon()
const at = (of: Build, settings: Record<string, number>, place: string | null) => {
  const { states } = evaluateBuild(of, settings).lines[0]!
  const found = states.find((one) =>
    isSameState(one, { state: 'ride', at: place === null ? null : { id: place, name: '' } }),
  )!
  if (!found.figures.known) throw new Error(JSON.stringify(found.figures.missing))
  return found.figures.value
}
const pinionZ = (of: Build, settings: Record<string, number>, place: string | null) =>
  at(of, settings, place).geometry.centres[1]![2]
const distance = (a: readonly number[], b: readonly number[]) =>
  Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!)

describe('levers of an axle', () => {
  it('longer springs let the wheels down at ride height, and leave droop and bump where their stops are', () => {
    const here = evaluateBuild(build, { lift: 30 }).moves.get('rear-axle')!
    if (!here.known) throw new Error('not known')
    const centre = [-2800, 0, -50] as const
    expect(movePoint(here.value, [...centre])[2]).toBeCloseTo(-80, 6)
    for (const place of ['travel-droop', 'travel-bump'])
      expect(pinionZ(build, { lift: 30 }, place)).toBeCloseTo(pinionZ(build, {}, place), 6)
    // So far as they let down, they stand where the sweep has them there.
    const [way] = travelWays(compile(build), {})
    const height = way!.lines[0]!.centres.map((centres) => centres[1]![2])
    expect(pinionZ(build, { lift: 30 }, null)).toBeCloseTo(valueAt(way!.leftUpMm, height, -30), 2)
  })

  it('a strap takes from the droop alone, and the sweep ends there', () => {
    const [way] = travelWays(compile(build), { strap: 45 })
    expect(way!.leftUpMm[0]).toBeCloseTo(-85, 9)
    expect(way!.leftUpMm.at(-1)).toBeCloseTo(80, 9)
    const short = wagon((one) => (one.bodies[2].travel.strapMm = 85))
    expect(pinionZ(build, { strap: 45 }, 'travel-droop')).toBeCloseTo(pinionZ(short, {}, 'travel-droop'), 9)
    expect(pinionZ(build, { strap: 45 }, 'travel-bump')).toBeCloseTo(pinionZ(build, {}, 'travel-bump'), 9)
  })

  it('a longer link keeps its new length in every place, and the others theirs', () => {
    const { bodies } = build
    const axle = bodies.find(({ kind }) => kind === 'axle')
    const holdings = axle?.kind === 'axle' && axle.motion?.kind === 'links' ? axle.motion.holdings : []
    const { measured, moves } = evaluateBuild(build, { 'upper-length': 6 })
    const move = moves.get('rear-axle')!
    if (!move.known) throw new Error('not known')
    const pointOf = (id: string) => {
      const point = measured.points.get(id)!
      if (!point.known) throw new Error(id)
      return point.value
    }
    for (const holding of holdings) {
      if (holding.kind !== 'link') continue
      const [chassis, own] = [pointOf(holding.chassis), pointOf(holding.axle)]
      const longer = holding.id === 'upper' ? 6 : 0
      expect(distance(chassis, movePoint(move.value, own))).toBeCloseTo(distance(chassis, own) + longer, 6)
    }
  })

  it('a block raises the axle on its springs, wherever the wheels are', () => {
    const blocked = wagon((one) =>
      one.levers.push({ id: 'block', kind: 'block', body: 'rear-axle', range: [0, 60], step: 5 }),
    )
    for (const place of [null, 'travel-droop'])
      expect(pinionZ(blocked, { block: 25 }, place)).toBeCloseTo(pinionZ(build, {}, place) + 25, 0)
  })
})

describe('longer shackles', () => {
  const leaf = wagon((one) => {
    const axle = one.bodies[2]
    axle.motion = { kind: 'arc', seat: 'left-lower-axle', eye: 'left-lower-chassis', noseUpDegPerMm: 0.01 }
    axle.suspension = 'leaf'
    one.levers = [{ id: 'shackle', kind: 'shackle', body: 'rear-axle', range: [-50, 80], step: 5 }]
  })
  const spring = 2 * Math.hypot(610, 15, 60)

  it('turn the nose up with the spring and let the vehicle stand higher by half', () => {
    const nose = (settings: Record<string, number>) => {
      const pinion = evaluateBuild(leaf, settings).placed.axes.get('pinion')!
      if (!pinion.known) throw new Error('not known')
      return (pinion.value.fall * 180) / Math.PI
    }
    const turned = ((40 / spring) * 180) / Math.PI
    // Half of the 40 mm lets the wheels down, and the nose goes with that by the springs' own turn.
    expect(nose({ shackle: 40 }) - nose({})).toBeCloseTo(turned - 0.01 * 20, 2)
    const { moves } = evaluateBuild(leaf, { shackle: 40 })
    const move = moves.get('rear-axle')!
    if (!move.known) throw new Error('not known')
    expect(movePoint(move.value, [-2800, 0, -50])[2]).toBeCloseTo(-70, 0)
  })

  it('go by the length of the spring where it is told', () => {
    const long = wagon((one) => {
      one.bodies[2].motion = {
        kind: 'arc',
        seat: 'left-lower-axle',
        eye: 'left-lower-chassis',
        springMm: 1500,
      }
      one.levers = [{ id: 'shackle', kind: 'shackle', body: 'rear-axle', range: [-50, 80], step: 5 }]
    })
    const { moves } = evaluateBuild(long, { shackle: 30 })
    const move = moves.get('rear-axle')!
    if (!move.known) throw new Error('not known')
    const down = (30 * Math.hypot(610, 15, 60)) / 1500
    expect(movePoint(move.value, [-2800, 0, -50])[2]).toBeCloseTo(-50 - down, 0)
  })
})

describe('the curves of the travel', () => {
  const ways = travelWays(compile(build), {})

  it('go through both ways, and agree with the named places at their ends and at ride height', () => {
    expect(ways.map(({ way }) => way)).toEqual(['parallel', 'crossed'])
    const ends = { parallel: ['travel-droop', 'travel-bump'], crossed: ['travel-right-up', 'travel-left-up'] }
    for (const { way, lines, leftUpMm } of ways) {
      if (way !== 'parallel' && way !== 'crossed') throw new Error(way)
      const { anglesDeg } = lines[0]!
      const ride = leftUpMm.indexOf(0)
      expect(anglesDeg[0]![1]).toBeCloseTo(at(build, {}, ends[way][0]!).anglesDeg[1]!, 6)
      expect(anglesDeg[ride]![1]).toBeCloseTo(at(build, {}, null).anglesDeg[1]!, 6)
      expect(anglesDeg.at(-1)![1]).toBeCloseTo(at(build, {}, ends[way][1]!).anglesDeg[1]!, 6)
    }
    // A lateral bar pulls the axle aside, so left up and right up are not alike.
    const [up, down] = ends.crossed.map((place) => at(build, {}, place).anglesDeg[0]!)
    expect(Math.abs(up! - down!)).toBeGreaterThan(0.5)
  })

  it('find the worst place between the named ones, which the checks then tell', () => {
    const { checks, between } = evaluateBuild(build, {})
    const engaged = checks.find(({ id }) => id === 'rear/spline-engaged/1')!
    expect(between.map(({ name }) => name)).toContain(engaged.at!.name)
    const [parallel] = ways
    const curve = parallel!.curves.find(({ head }) => head.id === engaged.id)!
    const values = [...curve.values]
    expect(engaged.value!).toBeLessThanOrEqual(Math.min(values[0]!, values.at(-1)!))
    expect(engaged.value!).toBeCloseTo(curve.worst!.value, 3)
  })

  it('tell the line anywhere between their rows, as it is worked there', () => {
    const [way] = ways
    const there = lineAt(way!, way!.lines[0]!, -37.3)
    const settled = wagon((one) => (one.bodies[2].travel.settleMm = -37.3))
    const figures = at(settled, {}, 'travel-settled')
    there.centres.forEach((centre, i) =>
      expect(distance(centre, figures.geometry.centres[i]!)).toBeLessThan(0.02),
    )
    there.anglesDeg.forEach((angle, i) => expect(angle).toBeCloseTo(figures.anglesDeg[i]!, 2))
    expect(there.slope).toBeCloseTo(0, 9)
    const [, crossed] = ways
    expect(lineAt(crossed!, crossed!.lines[0]!, 40).slope).toBeCloseTo(40 + 65, 6)
  })

  it('are none where nobody has told how far the wheels go', () => {
    expect(travelWays(compile(wagon((one) => delete one.bodies[2].travel)), {})).toEqual([])
  })

  it('with the weight to come the vehicle stands lower, as a place of its own', () => {
    const settling = wagon((one) => (one.bodies[2].travel.settleMm = 20))
    const [way] = travelWays(compile(build), {})
    const height = way!.lines[0]!.centres.map((centres) => centres[1]![2])
    expect(pinionZ(settling, {}, 'travel-settled')).toBeCloseTo(valueAt(way!.leftUpMm, height, 20), 2)
  })
})

describe('the left wheel against the right one', () => {
  const map = crossMap(compile(build), {})!
  const cell = (left: number, right: number) => map.cells[right * map.size + left]!
  const last = map.size - 1

  it('has full droop and full bump in its corners, judged as those places are', () => {
    expect(cell(0, 0)).toMatchObject({ leftUpMm: -130, rightUpMm: -130, state: 'tight' })
    expect(cell(last, last)).toMatchObject({ leftUpMm: 80, rightUpMm: 80, state: 'holds' })
    expect(cell(last, 0)).toMatchObject({ leftUpMm: 80, rightUpMm: -130 })
    const { worst } = cell(0, 0)
    expect(worst!.id).toBe('rear/slip-left/1')
    const slip = evaluateBuild(build, {}).checks.find(({ id }) => id === worst!.id)!
    expect(worst!.value).toBeCloseTo(slip.value!, 5)
  })

  it('goes as far as a strap lets, and is not told where nothing crosses', () => {
    expect(crossMap(compile(build), { strap: 40 })!.cells[0]!.leftUpMm).toBeCloseTo(-90, 9)
    const narrow = wagon((one) => delete one.bodies[2].travel)
    expect(crossMap(compile(narrow), {})).toBeNull()
  })

  it('leaves cells that are not reached', () => {
    const far = wagon((one) => Object.assign(one.bodies[2].travel, { droopMm: 700 }))
    const cells = crossMap(compile(far), {})!.cells
    expect(cells[0]!.state).toBe('unknown')
    expect(cells.some(({ state }) => state !== 'unknown')).toBe(true)
  })
})
