import fc from 'fast-check'
import { movePoint } from '../base/linalg/mat3'
import { norm, sub } from '../base/linalg/vec3'
import { pointOf } from '../measure/geometry/geometry'
import { resultJson } from '../show/result/resultJson'
import { checkLabel } from '../show/text/checkText'
import { changedDemo, type RawBuild } from '../testdata/builds'
import { runMonteCarlo } from '../answers/uncertainty/monteCarlo'
import { sampleModel } from '../answers/uncertainty/sampleModel'
import { whyFigure } from '../answers/why/why'
import { compile } from './compile'
import { evaluate, evaluateBuild } from './evaluateBuild'
import { figuresAt, placesAt } from './screen'

const TABLE = [
  { wheelUpMm: -90, forwardMm: -7, noseUpDeg: -2.4 },
  { wheelUpMm: -40, forwardMm: -2, noseUpDeg: -1 },
  { wheelUpMm: 0, forwardMm: 0, noseUpDeg: 0 },
  { wheelUpMm: 60, forwardMm: -1.5, noseUpDeg: 1.2 },
]
const wheels = (leftUpMm: number, rightUpMm = leftUpMm) => [{ axle: 'rear-axle', leftUpMm, rightUpMm }]
const travelling = (states: object[], edit: (raw: RawBuild) => void = () => undefined) =>
  changedDemo((raw) => {
    raw.bodies[2].motion = { kind: 'table', rows: TABLE }
    raw.states = states
    edit(raw)
  })
const droop = { id: 'droop', name: 'droop', wheels: wheels(-90) }
const bump = { id: 'bump', name: 'bump', wheels: wheels(60) }

/** The points of the demo's axle in one of its states, and where they are measured. */
function placesIn(build: ReturnType<typeof travelling>, at: string) {
  const compiled = compile(build)
  const figure = figuresAt(compiled, {}, [])
  const state = compiled.lines[0]!.states.find(
    (one) => one.state.at?.id === at && one.state.state === 'ride',
  )!
  const places = placesAt(compiled, state.placed, figure)
  const before = (id: string) => {
    const place = pointOf(evaluate(compiled, {}).measured, id)
    if (!place.known) throw new Error('the demo is read')
    return place.value
  }
  const move = places.move('rear-axle')
  if (!move.known) throw new Error(JSON.stringify(move.missing))
  const of = (id: string) => movePoint(move.value, before(id))
  return { of, before, move: move.value }
}

describe('an axle in its travel', () => {
  it('stands where the table says, at its rows and on a smooth curve between', () => {
    for (const row of TABLE.filter(({ wheelUpMm }) => wheelUpMm !== 0)) {
      const build = travelling([{ id: 's', name: 's', wheels: wheels(row.wheelUpMm) }])
      const { of, before } = placesIn(build, 's')
      const [x, , z] = sub(of('axle-centre'), before('axle-centre'))
      expect(x).toBeCloseTo(row.forwardMm, 9)
      expect(z).toBeCloseTo(row.wheelUpMm, 9)
      const fall = resultJson(build).lines[0]!.travel[0]!.ride!
      expect(fall.joints).toHaveLength(2)
    }
    const middle = placesIn(travelling([{ id: 's', name: 's', wheels: wheels(20) }]), 's')
    const forward = sub(middle.of('axle-centre'), middle.before('axle-centre'))[0]
    expect(forward).toBeLessThan(0)
    expect(forward).toBeGreaterThan(-1.5)
  })

  it('keeps its shape, and rolls by what one wheel is above the other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (left, right) => {
          const build = travelling([{ id: 's', name: 's', wheels: wheels(left, right) }])
          const { of, before, move } = placesIn(build, 's')
          expect(norm(sub(of('pinion-joint'), of('axle-centre')))).toBeCloseTo(
            norm(sub(before('pinion-joint'), before('axle-centre'))),
            8,
          )
          // The hubs, half the track to either side of the centre.
          const [x, y, z] = before('axle-centre')
          const hub = (side: 1 | -1) => movePoint(move, [x, y + side * 720, z])
          expect(hub(1)[2] - hub(-1)[2]).toBeCloseTo(left - right, 8)
          expect((hub(1)[2] + hub(-1)[2]) / 2 - z).toBeCloseTo((left + right) / 2, 8)
        },
      ),
      { seed: 81, numRuns: 40 },
    )
  })

  it('is judged there by limits of the travel, the worst told with its place', () => {
    const build = travelling([droop, bump], (raw) => {
      for (const limit of raw.limits.entries) if (limit.id === 'inertia') limit.scope = 'travel'
    })
    const { checks, lines } = evaluateBuild(build, {})
    const joint = checks.find(({ id }) => id === 'rear/angle/2')!
    const inPlace = lines[0]!.states.map(({ at, state, figures }) => ({
      key: `${at?.id ?? 'ride'}/${state}`,
      angle: figures.known ? figures.value.anglesDeg[1]! : NaN,
    }))
    expect(inPlace).toHaveLength(9)
    const worst = inPlace.reduce((one, other) => (other.angle > one.angle ? other : one))
    expect(joint.value).toBeCloseTo(worst.angle, 9)
    expect(`${joint.at?.id ?? 'ride'}/${joint.state}`).toBe(worst.key)
    expect(checkLabel(joint)).toContain(`at ${joint.at!.name}`)
    // A limit of ride height does not look there.
    expect(checks.find(({ id }) => id === 'rear/pair')!.at).toBeNull()
  })

  it('carries its ± and tells where it comes from, the wheels included', () => {
    const build = travelling([droop, bump], (raw) => {
      for (const limit of raw.limits.entries) if (limit.id === 'inertia') limit.scope = 'travel'
    })
    const { figures } = runMonteCarlo(sampleModel(build, {}), { samples: 400, seed: 3 })
    expect(figures['line/rear/ride@droop/joints[1].angleDeg']!.plusMinus).toBeGreaterThan(0.05)
    const why = whyFigure(build, {}, 'lines[0].travel[0].ride.joints[1].angleDeg')
    if (!why.ok) throw new Error(why.names.join(' '))
    const said = JSON.stringify(why.origin)
    expect(said).toContain('rear axle, with its wheels, at droop')
    expect(said).toContain('wheels up from ride height, at droop')
    expect(why.origin.figure).toBeCloseTo(resultJson(build).lines[0]!.travel[0]!.ride!.joints[1]!.angleDeg, 9)
    const { uncertainty } = resultJson(build, undefined, 200)
    expect(uncertainty!.plusMinus['lines[0].travel[1].ride.joints[0].angleDeg']).toBeGreaterThan(0)
  })

  it('is unknown, with what is missing, where nobody said how it moves or how far', () => {
    const missingIn = (build: ReturnType<typeof travelling>) =>
      resultJson(build).lines[0]!.travel[0]!.missing.map(({ what }) => what)
    expect(missingIn(changedDemo((raw) => (raw.states = [droop])))).toEqual([
      'rear axle: how it moves with its wheels was not entered',
    ])
    expect(missingIn(travelling([{ ...droop, wheels: wheels(-140) }]))).toEqual([
      'rear axle: how it moves was not read that far, at droop',
    ])
    expect(
      missingIn(
        travelling([{ ...droop, wheels: wheels(-20, 20) }], (raw) => delete raw.bodies[2].sizes.trackMm),
      ),
    ).toEqual([expect.stringContaining('its track was not entered')])
    // At ride height all is known as before.
    expect(
      evaluateBuild(
        changedDemo((raw) => (raw.states = [droop])),
        {},
      ).lines[0]!.ride.known,
    ).toBe(true)
  })

  it('adds what its torque turns it to what its wheels do', () => {
    const angles = (wedgeDeg: number) => {
      const positions = [{ id: 'p', name: 'P', settings: { wedge: wedgeDeg } }]
      const build = { ...travelling([droop]), positions, chosen: 'p' }
      const [there] = resultJson(build).lines[0]!.travel
      return [there!.ride!, there!.drive!].map(({ joints }) => joints[1]!.angleDeg)
    }
    // The demo's nose rises by two degrees under drive, as a wedge of two would turn it.
    expect(angles(0)[1]).toBeCloseTo(angles(2)[0]!, 9)
    expect(angles(0)[1]).not.toBeCloseTo(angles(0)[0]!, 1)
  })
})

describe('the rows of an axle’s travel', () => {
  it('must rise and hold ride height', () => {
    const refused = (rows: object[]) => () => travelling([], (raw) => (raw.bodies[2].motion.rows = rows))
    expect(refused([])).toThrow('needs at least 1')
    expect(refused([TABLE[2]!, TABLE[1]!, TABLE[3]!])).toThrow('its heights must rise from row to row')
    expect(refused([TABLE[0]!, TABLE[1]!, TABLE[3]!])).toThrow('must hold ride height')
  })

  it('tell nothing alone, and with one other height a straight line, which is said', () => {
    const at = (rows: object[]) => {
      const build = travelling([droop], (raw) => (raw.bodies[2].motion.rows = rows))
      const { states } = evaluateBuild(build, {}).lines[0]!
      return states.find(({ at: place }) => place?.id === 'droop')!.figures
    }
    const alone = at([TABLE[2]!])
    expect(alone.known ? [] : alone.missing.map(({ what }) => what)).toContain(
      'rear axle: how it moves was read at ride height alone; it takes three heights',
    )
    expect(at([{ ...TABLE[0]!, wheelUpMm: -95 }, TABLE[2]!])).toMatchObject({
      assumptions: expect.arrayContaining([
        'rear axle: read at two heights only, it is taken to move straight between them',
      ]),
    })
  })
})
