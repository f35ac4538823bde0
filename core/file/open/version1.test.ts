import fc from 'fast-check'
import { pathsOf, put } from '../../testdata/mutations'
import saved from '../../testdata/version-1/fen-tender.lurvan.json'
import { parseBuild } from './parseBuild'

const PATHS = pathsOf(saved).filter((path) => path.length > 0)
const problemsOf = (edit: (raw: Record<string, any>) => void): string[] => {
  const raw = structuredClone(saved)
  edit(raw)
  const parsed = parseBuild(raw)
  return parsed.ok ? [] : parsed.problems.map(({ path, message }) => `${path}: ${message}`)
}

describe('a file of version 1', () => {
  it('becomes version 2 with nothing lost', () => {
    const mine = { ...structuredClone(saved), mine: { kept: true } }
    Object.assign(mine.axles[0]!, { paint: 'green' })
    Object.assign(mine.powertrain, { paint: 'red' })
    Object.assign(mine.chassis, { paint: 'black' })
    const parsed = parseBuild(mine)
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
    const { bodies, levers, version } = parsed.value
    expect(version).toBe(2)
    expect(parsed.value).toMatchObject({ mine: { kept: true } })
    expect(bodies).toMatchObject([
      { kind: 'chassis', sizes: { ...saved.chassis, paint: 'black' } },
      { kind: 'powertrain', ...saved.powertrain, paint: 'red' },
      { kind: 'axle', ...saved.axles[0], paint: 'green' },
    ])
    expect(levers.map(({ body }) => body)).toEqual(['powertrain', 'rear-axle'])
    expect(parsed.value).not.toHaveProperty('axles')
  })

  it('is refused with the place as it stands in that file', () => {
    expect(problemsOf((raw) => (raw.axles[0].centre = 'x'))).toEqual([
      'axles[0].centre: there is no point "x"',
    ])
    expect(problemsOf((raw) => (raw.powertrain.mounts.tail = 'x'))).toEqual([
      'powertrain.mounts.tail: there is no point "x"',
    ])
    expect(problemsOf((raw) => (raw.chassis.railDepthMm = -1))).toEqual([
      'chassis.railDepthMm: must be at least 0',
    ])
    expect(problemsOf((raw) => delete raw.levers[1].axle)).toEqual(['levers[1].axle: is missing'])
    expect(problemsOf((raw) => (raw.levers[1].axle = 'front'))).toEqual([
      'levers[1].axle: there is no body "front"',
    ])
    expect(problemsOf((raw) => (raw.axles = 'x'))[0]).toBe('axles: must be a list, got "x"')
    expect(problemsOf((raw) => (raw.axles[0] = 3))).toEqual(['axles[0]: must be an object, got 3'])
    expect(problemsOf((raw) => (raw.powertrain = 3))[0]).toBe('powertrain: must be an object, got 3')
    expect(problemsOf((raw) => (raw.chassis = 3))[0]).toBe('chassis: must be an object, got 3')
  })

  it('broken in any one place is read or refused with a place of its own, never with a crash', () => {
    let refusals = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...PATHS),
        fc.constantFrom<unknown>(undefined, null, '', 'x', -1, 1e300, true, [], {}, [[]], 'chassis'),
        (path, value) => {
          for (const problem of problemsOf((raw) => put(raw, path, value))) {
            refusals++
            expect(problem).not.toMatch(/bodies|levers\[\d+\]\.body/)
          }
        },
      ),
      { seed: 61, numRuns: 400 },
    )
    expect(refusals).toBeGreaterThan(100)
  })
})
