import { evaluateBuild } from '../../model/evaluateBuild'
import { movePoint, type RigidMove } from '../../base/linalg/mat3'
import type { Vec3 } from '../../base/linalg/vec3'
import { leastEffortCure } from '../../answers/solver/findCures'
import { changedDemo, type RawBuild } from '../../testdata/builds'
import { leverName, leverInstruction } from '../../show/told/leverText'
import { whyFigure } from '../../answers/why/why'

/** A centre bearing bracket on the chassis and an alternator on the engine, each with levers and a point. */
const withBodies = (edit: (raw: RawBuild) => void = () => undefined) =>
  changedDemo((raw) => {
    raw.bodies.push(
      { id: 'bracket', kind: 'bearing-bracket', name: 'bearing bracket' },
      { id: 'alternator', kind: 'item', name: 'alternator', standsOn: 'powertrain' },
    )
    raw.points.push(
      { id: 'bearing', name: 'centre bearing', body: 'bracket' },
      { id: 'pulley', name: 'pulley', body: 'alternator' },
    )
    const given = (point: string, station: string, offset: string, height: string) => ({
      id: `g-${point}`,
      kind: 'given-point',
      point,
      unit: 'mm',
      station,
      stationWay: 'rearward',
      offset,
      side: 'right',
      height,
      heightWay: 'above',
    })
    raw.readings.push(given('bearing', '1700', '10', '20'), given('pulley', '100', '180', '220'))
    raw.levers.push(
      { id: 'bracket-up', kind: 'up', body: 'bracket', range: [-20, 20], step: 1 },
      { id: 'bracket-left', kind: 'sideways', body: 'bracket', range: [-20, 20], step: 1 },
      { id: 'alternator-up', kind: 'up', body: 'alternator', range: [-30, 30], step: 1 },
    )
    edit(raw)
  })
const place = (build: ReturnType<typeof withBodies>, point: string, settings = {}): Vec3 => {
  const found = evaluateBuild(build, settings).placed.points.get(point)
  if (!found?.known) throw new Error(point)
  return found.value
}

describe('bodies with levers of their own', () => {
  const build = withBodies()

  it('are shifted as they are', () => {
    const [x, y, z] = place(build, 'bearing')
    const moved = place(build, 'bearing', { 'bracket-up': 7, 'bracket-left': -3 })
    expect(moved).toEqual([x, y - 3, z + 7].map((part) => expect.closeTo(part, 9)))
    expect(place(build, 'bearing', { tail: 8, 'alternator-up': 5 })).toEqual([x, y, z])
  })

  it('go along with what they stand on, after their own move', () => {
    const moves = evaluateBuild(build, { tail: 9 }).moves
    const powertrain = moves.get('powertrain')
    if (!powertrain?.known) throw new Error('its mounts are read')
    const move: RigidMove = powertrain.value
    const [x, y, z] = place(build, 'pulley')
    const both = place(build, 'pulley', { tail: 9, 'alternator-up': 12 })
    expect(both).toEqual(movePoint(move, [x, y, z + 12]).map((part) => expect.closeTo(part, 9)))
    const whole = evaluateBuild(build, { tail: 9, 'alternator-up': 12 }).moves.get('alternator')
    if (!whole?.known) throw new Error('both are known')
    expect(movePoint(whole.value, [x, y, z])).toEqual(both.map((part) => expect.closeTo(part, 9)))
  })

  it('leave out of the story of a figure the move that was not made', () => {
    const names = (settings: Record<string, number>) => {
      const why = whyFigure(build, settings, `points[${build.points.length - 1}].heightMm`)
      return why.ok ? JSON.stringify(why.origin) : ''
    }
    expect(names({})).not.toMatch(/moved on its mounts|shifted/)
    expect(names({ tail: 4 })).toContain('powertrain, moved on its mounts')
    expect(names({ 'alternator-up': 4 })).toContain('alternator, shifted')
    expect(names({ 'alternator-up': 4 })).not.toContain('moved on its mounts')
  })

  it('name their levers with themselves, the powertrain its own without', () => {
    const name = (id: string) =>
      leverName(
        build,
        build.levers.find((lever) => lever.id === id)!,
      )
    expect(name('tail')).toBe('tail at the crossmember')
    expect(name('bracket-left')).toBe('bearing bracket, sideways')
    expect(
      leverInstruction(
        build,
        build.levers.find(({ id }) => id === 'bracket-up')!,
        4,
      ),
    ).toBe('Move bearing bracket 4.0 mm up')
  })
})

describe('levers with a cost of their own', () => {
  const finished = (build: ReturnType<typeof withBodies>) => {
    const search = leastEffortCure(build, {})
    for (;;) {
      const step = search.next()
      if (step.done) return step.value
    }
  }
  const moved = (edit: (raw: RawBuild) => void) =>
    finished(changedDemo(edit))
      .changes.map(({ lever }) => lever.id)
      .sort()

  it('stay where they stand when they are locked', () => {
    expect(moved(() => undefined)).toContain('wedge')
    expect(moved((raw) => (raw.levers[1].locked = true))).not.toContain('wedge')
  })
})
