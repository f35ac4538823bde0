import fc from 'fast-check'
import { resultJson } from '../../show/result/resultJson'
import { rawDemo } from '../../testdata/builds'
import { pathsOf, put } from '../../testdata/mutations'
import { buildText, parseBuild, parseBuildText } from './parseBuild'
import { migrate } from './migrate'
import { newBuild } from '../edits/newBuild'

const problems = (raw: unknown) => {
  const parsed = parseBuild(raw)
  return parsed.ok ? [] : parsed.problems.map((one) => `${one.path}: ${one.message}`)
}
const changed = (edit: (raw: Record<string, any>) => void) => {
  const raw = rawDemo()
  edit(raw)
  return problems(raw)
}

describe('parseBuild', () => {
  it('names the place and the reason', () => {
    expect(changed((raw) => (raw.lines[0].joints[1].kind = 'knuckle'))).toEqual([
      'lines[0].joints[1].kind: must be one of: cross, double-cardan, cv, flex-disc',
    ])
    expect(changed((raw) => delete raw.lines[0].joints[0].point)).toEqual([
      'lines[0].joints[0].point: is missing: neither a point nor the bearing of the shaft in front says where it is',
    ])
    expect(changed((raw) => (raw.readings[2].values = 'x'))).toEqual([
      'readings[2].values: must be a list, got "x"',
    ])
    expect(changed((raw) => (raw.readings[2].kind = 'guess'))).toEqual([
      expect.stringContaining('readings[2].kind: must be one of'),
    ])
    expect(
      changed((raw) => (raw.lines[0].speed = { basis: 'engine', redlineRpm: 0, topGearRatio: 1 })),
    ).toEqual(['lines[0].speed.redlineRpm: must be at least 1'])
    expect(changed((raw) => (raw.positions[0].settings = { tail: 'up' }))).toEqual([
      'positions[0].settings.tail: must be a number from -1000 to 1000',
    ])
  })

  it('finds names that point at nothing and ids given twice', () => {
    expect(changed((raw) => (raw.readings[4].point = 'nowhere'))).toEqual([
      'readings[4].point: there is no point "nowhere"',
    ])
    expect(changed((raw) => (raw.lines[0].driving = 'x'))).toEqual(['lines[0].driving: there is no axis "x"'])
    expect(changed((raw) => (raw.readings[1].id = 'r1'))).toEqual([
      'readings[1].id: "r1" is already used in readings',
    ])
    expect(changed((raw) => (raw.lines[0].shafts = []))).toEqual([
      'lines[0].shafts: must hold 1: one shaft between each two joints',
    ])
    expect(changed((raw) => (raw.chosen = 'z'))).toEqual(['chosen: there is no position "z"'])
    expect(changed((raw) => (raw.levers[1].body = 'front'))).toEqual([
      'levers[1].body: there is no body "front"',
    ])
  })

  it('keeps fields it does not know through a round trip', () => {
    const raw = rawDemo()
    raw.colour = 'fen green'
    raw.lines[0].joints[0].grease = { every: 5000 }
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error('refused')
    expect(JSON.parse(buildText(parsed.value))).toEqual(raw)
  })

  it('keeps a reading it cannot understand and says where it is', () => {
    const raw = rawDemo()
    raw.readings[4].values = ['abuot 2317']
    const parsed = parseBuild(raw)
    if (!parsed.ok) throw new Error('refused')
    expect(parsed.value.readings[4]).toMatchObject({ values: ['abuot 2317'] })
    const result = resultJson(parsed.value)
    expect(result.verdict).toBe('unknown')
    expect(result.missing[0]).toEqual({
      path: 'readings[4].values[0]',
      what: 'pinion end, station: "abuot 2317" is not a figure',
    })
  })

  it('refuses what is not a build, a newer one, and broken JSON, each with its place', () => {
    expect(problems([])).toEqual([': this is not a Lurvan build: the file must hold one object'])
    expect(problems({ format: 'other', version: 1 })).toEqual(['format: must be "lurvan-build"'])
    expect(problems({ format: 'lurvan-build', version: 7, name: 'x' })).toEqual([
      'version: this file was written by a newer Lurvan (version 7; this one reads up to 2)',
    ])
    expect(problems({ format: 'lurvan-build', version: '1', name: 'x' })).toEqual([
      'version: must be a whole number from 1',
    ])
    expect(parseBuildText('{\n  "format": "lurvan-build",\n  oops }')).toEqual({
      ok: false,
      problems: [{ path: '', message: 'this is not JSON: line 3, column 3 cannot be read' }],
    })
    expect(parseBuildText('')).toMatchObject({
      problems: [{ message: 'line 1, column 1: the file is empty' }],
    })
    expect(parseBuildText('{"a": ')).toMatchObject({
      problems: [{ message: expect.stringContaining('this is not JSON') }],
    })
    expect(parseBuildText(' '.repeat(5_000_001))).toMatchObject({
      problems: [{ message: 'the file is larger than 5 MB' }],
    })
  })

  it('survives 400 mutations: each is read and checked, or refused with a place', () => {
    const junk = fc.oneof(
      fc.constantFrom(null, '', 'x', -1, 1e9, NaN, true, [], {}, [[]], '__proto__', '9'.repeat(300)),
      fc.string(),
      fc.double(),
    )
    const paths = pathsOf(rawDemo()).filter((path) => path.length > 0)
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.option(junk, { nil: undefined }), (path, value) => {
        const raw = rawDemo()
        put(raw, path, value)
        const text = JSON.stringify(raw)
        const parsed = parseBuildText(text)
        if (parsed.ok) {
          const result = resultJson(parsed.value)
          return JSON.parse(JSON.stringify(result)).format === 'lurvan-result'
        }
        return (
          parsed.problems.length > 0 &&
          parsed.problems.every((one) => one.message !== '' && (one.path !== '' || path.length <= 1))
        )
      }),
      { seed: 41, numRuns: 400 },
    )
  })

  it('accepts a new build, which asks for its readings', () => {
    const build = newBuild({
      id: 'n',
      name: 'New',
      units: { length: 'in', inchFraction: 16, angle: 'decimal' },
      profile: 'trail',
      date: '2026-11-24',
    })
    expect(problems(JSON.parse(buildText(build)))).toEqual([])
    const { verdict, sentence } = resultJson(build)
    expect(verdict).toBe('unknown')
    expect(sentence).toContain('Not settled: ')
  })
})

describe('migrate', () => {
  it('takes a file through every version, and keeps its data', () => {
    const steps = {
      1: { step: (raw: any) => ({ ...raw, two: true }), placeBefore: (place: string) => `1:${place}` },
      2: { step: (raw: any) => ({ ...raw, three: raw.two }), placeBefore: (place: string) => `2:${place}` },
    }
    const migrated = migrate({ format: 'lurvan-build', version: 1, name: 'old' }, steps, 3)
    if (!migrated.ok) throw new Error('readable')
    expect(migrated.value.build).toEqual({
      format: 'lurvan-build',
      version: 3,
      name: 'old',
      two: true,
      three: true,
    })
    // A place is told as it stands in the file that came.
    expect(migrated.value.placeInFile('name')).toBe('1:2:name')
  })

  it('says which version can no longer be read', () => {
    expect(migrate({ format: 'lurvan-build', version: 1 }, {}, 2)).toEqual({
      ok: false,
      problems: [{ path: 'version', message: 'version 1 can no longer be read' }],
    })
  })
})
