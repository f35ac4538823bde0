import fc from 'fast-check'
import { changedDemo, demoBuild, rawDemo } from '../../testdata/builds'
import { doorProblems, MAX_DEPTH } from './door'
import { jsonFault } from './jsonFault'
import { buildText, parseBuild, parseBuildText } from '../open/parseBuild'
import { proveChange } from '../open/proveChange'
import { repaired } from '../open/repair'

const nested = (depth: number): object => {
  let value: object = {}
  for (let i = 0; i < depth; i++) value = { deeper: value }
  return value
}
const problemsOf = (raw: unknown) => {
  const parsed = parseBuild(raw)
  return parsed.ok ? [] : parsed.problems
}

describe('the door of a file', () => {
  it('refuses nesting that would break whatever writes it out again, with its place', () => {
    const raw = { ...rawDemo(), mine: nested(20_000) }
    const [problem] = problemsOf(raw)
    expect(problem!.message).toBe(`is nested deeper than ${MAX_DEPTH} levels`)
    expect(problem!.path).toMatch(/^mine\.deeper\.deeper/)
    const text = `{"format":"lurvan-build","version":1,"name":"x","mine":${'['.repeat(200_000)}${']'.repeat(200_000)}}`
    expect(parseBuildText(text)).toMatchObject({ ok: false })
    // Fields of a person's own are kept as long as they are sane.
    expect(parseBuild({ ...rawDemo(), mine: nested(10) })).toMatchObject({
      ok: true,
      value: { mine: nested(10) },
    })
  })

  it('refuses by count before it looks at a hundred thousand readings', () => {
    const raw = rawDemo()
    raw.readings = Array.from({ length: 100_000 }, (_, i) => ({ ...raw.readings[0], id: `r${i}` }))
    expect(problemsOf(raw)).toEqual([{ path: 'readings', message: 'holds 100000 entries, more than 5000' }])
  })

  it('looks at anything without breaking', () => {
    fc.assert(
      fc.property(fc.anything({ maxDepth: 6 }), (value) => {
        expect(Array.isArray(doorProblems(value))).toBe(true)
      }),
      { seed: 5, numRuns: 300 },
    )
  })
})

describe('what is wrong with a text', () => {
  it('is told with line and column, whatever it is', () => {
    expect(jsonFault('')).toBe('line 1, column 1: the file is empty')
    expect(jsonFault('{\n  "a": 1,\n  "b": NaN\n}')).toBe(
      'this is not JSON: line 3, column 8: NaN is not a number that a file can hold',
    )
    expect(jsonFault('{"a": [1, 2')).toBe(
      'this is not JSON: the file breaks off at line 1, column 12, before its end',
    )
    expect(jsonFault('{"a": -Infinity}')).toContain('-Infinity is not a number')
    expect(jsonFault('{"a" 1}')).toBe('this is not JSON: line 1, column 6 cannot be read')
    expect(parseBuildText('  [1]')).toMatchObject({
      problems: [{ message: expect.stringMatching(/^line 1, column 3: this is not a Lurvan build/) }],
    })
    expect(jsonFault('['.repeat(100_000))).toContain('line 1, column 501')
  })

  it('always names a place, for a demo cut or bent anywhere', () => {
    const text = buildText(demoBuild())
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: text.length - 2 }),
        fc.constantFrom('', '}', ']', ',', ':', '"', 'NaN', 'x', '\u0000'),
        fc.boolean(),
        (at, put, isCut) => {
          const bent = isCut ? text.slice(0, at) + put : text.slice(0, at) + put + text.slice(at + 1)
          const parsed = parseBuildText(bent)
          if (parsed.ok) return
          for (const { path, message } of parsed.problems)
            expect(path !== '' || /line \d+, column \d+/.test(message)).toBe(true)
        },
      ),
      { seed: 11, numRuns: 400 },
    )
  })
})

describe('names that cannot be', () => {
  const refusal = (edit: (raw: Record<string, any>) => void) => {
    const raw = rawDemo()
    edit(raw)
    return problemsOf(raw).map(({ path, message }) => `${path}: ${message}`)
  }

  it('are refused for an axle that would be taken for another body', () => {
    const said = refusal((raw) => {
      raw.bodies[2].id = 'powertrain'
      raw.levers[1].body = 'powertrain'
      for (const item of [...raw.points, ...raw.axes]) if (item.body === 'rear-axle') item.body = 'powertrain'
    })
    expect(said).toContain('bodies[2].id: "powertrain" is already used in bodies')
  })

  it('are refused for a tape that reads an angle, a level that reads a length, a display side that cannot be', () => {
    expect(refusal((raw) => (raw.readings[0].tool = 'tape'))).toEqual([
      'readings[0].tool: "5 m steel tape" is a tape and shows no angle',
    ])
    expect(refusal((raw) => (raw.readings[4].tool = 'level'))).toEqual([
      'readings[4].tool: "digital level, 0.1°" is a level and shows no length',
    ])
    expect(refusal((raw) => (raw.readings[0].display = 'front'))).toEqual([
      'readings[0].display: a level laid this way shows its display to the left or right, not "front"',
    ])
    expect(refusal((raw) => (raw.readings[1].display = 'rear'))).toEqual([])
  })
})

describe('proveChange', () => {
  const before = demoBuild()

  it('passes a sound change and finds what a broken one breaks, with its place in the whole build', () => {
    const renamed = { ...before, name: 'New name' }
    expect(proveChange(before, renamed)).toEqual({ ok: true, value: renamed })
    const readings = before.readings.map((one, i) => (i === 7 ? { ...one, values: [] } : one))
    expect(proveChange(before, { ...before, readings } as never)).toEqual({
      ok: false,
      problems: [{ path: 'readings[7].values', message: 'needs at least 1' }],
    })
    const lost = { ...before, points: before.points.filter(({ id }) => id !== 'pinion-joint') }
    expect(proveChange(before, lost)).toMatchObject({ ok: false })
    const doubled = { ...before, readings: [...before.readings, before.readings[0]!] }
    expect(proveChange(before, doubled)).toMatchObject({
      problems: [{ message: '"r1" is already used in readings' }],
    })
    const many = Array.from({ length: 101 }, (_, i) => ({ ...before.setups[0]!, id: `s${i}` }))
    expect(proveChange(before, { ...before, setups: [...before.setups, ...many] })).toMatchObject({
      problems: [{ path: 'setups', message: 'holds 102 entries, more than 100' }],
    })
  })

  it.each(['trials', 'gaps'] as const)('refuses to take away %s that readings still name', (list) => {
    const named = changedDemo((raw) => {
      raw.trials = [{ id: 't1', name: 'first' }]
      raw.gaps = [{ id: 'g', name: 'tail to floor', kind: 'static', point: 'mount-tail', toward: [0, 0, 1] }]
      raw.readings.push({ id: 'gr', kind: 'gap', gap: 'g', setup: 'setup-1', trial: 't1', values: ['12'] })
    })
    const result = proveChange(named, { ...named, [list]: [] })
    expect(result).toMatchObject({
      ok: false,
      problems: [{ path: `readings[${named.readings.length - 1}].${list.slice(0, -1)}` }],
    })
  })

  it('agrees with reading the whole build, whatever was changed', () => {
    const words = fc.constantFrom(
      'name',
      'readings',
      'points',
      'lines',
      'limits',
      'levers',
      'chosen',
      'units',
    )
    fc.assert(
      fc.property(words, fc.jsonValue({ maxDepth: 3 }), (key, value) => {
        const after = { ...before, [key]: value } as never
        expect(proveChange(before, after).ok).toBe(parseBuild(after).ok)
      }),
      { seed: 3, numRuns: 300 },
    )
  })
})

describe('repaired', () => {
  it('leaves what is sound alone and survives anything', () => {
    expect(repaired(rawDemo())).toEqual(rawDemo())
    fc.assert(
      fc.property(fc.anything({ maxDepth: 4 }), (value) => void repaired(value)),
      { seed: 9, numRuns: 200 },
    )
  })

  it('keeps the demo with a long name readable', () => {
    expect(() =>
      changedDemo((raw) => Object.assign(raw, repaired({ ...raw, name: 'x'.repeat(500) }))),
    ).not.toThrow()
  })
})
