import { evaluateBuild } from '../../model/evaluateBuild'
import { resultJson } from '../../show/result/resultJson'
import { changedDemo } from '../../testdata/builds'
import { circleProofMemory } from '../figures/memo'
import { setupAttitude } from './measured'

/** Two setups pitched until a face is plumb, each of those axes read by level in the other. */
const pitchedByEachOther = () =>
  changedDemo((raw) => {
    raw.readings = raw.readings.filter((one: any) => !/^(chassis|axis)/.test(one.kind))
    Object.assign(raw.setups[0], { datum: 'face-plumb', plumbAxis: 'pinion' })
    raw.setups.push({ ...raw.setups[0], id: 'two', name: 'Ramp', plumbAxis: 'output' })
    raw.readings.push(
      { id: 'a', kind: 'axis-level', axis: 'output', setup: 'setup-1', values: ['3'], low: 'rear' },
      { id: 'b', kind: 'axis-level', axis: 'pinion', setup: 'two', values: ['3'], low: 'rear' },
    )
  })

/** A setup brought to the chassis by datum points, one of which was dropped plumb in that setup. */
const plumbInItself = () =>
  changedDemo((raw) => {
    raw.readings = raw.readings.filter((one: any) => !one.kind.startsWith('chassis'))
    const places = [
      ['d1', '0', '400'],
      ['d2', '1500', '-400'],
      ['d3', '3000', '380'],
      ['d4', '700', '-390'],
    ] as const
    for (const [id, along, across] of places) {
      const left = Number(across) > 0
      const side = left ? 'left' : 'right'
      const offset = String(Math.abs(Number(across)))
      raw.points.push({ id, name: id, body: 'chassis', datum: true })
      raw.readings.push(
        {
          id: `${id}g`,
          kind: 'given-point',
          point: id,
          station: along,
          offset,
          side,
          height: id === 'd4' ? '90' : '0',
        },
        {
          id: `${id}s`,
          kind: 'setup-point',
          point: id,
          setup: 'setup-1',
          values: [along, offset, id === 'd4' ? '90' : '0'],
          acrossSide: side,
        },
      )
    }
    raw.readings.push({
      id: 'drop',
      kind: 'point-offset',
      point: 'd4',
      setup: 'setup-1',
      values: ['390'],
      side: 'right',
      by: 'plumb',
      aboveCentreline: '90',
    })
  })

describe('readings that rest on each other', () => {
  it('are unknown and say so, instead of going round for ever', () => {
    const result = resultJson(pitchedByEachOther())
    expect(result.verdict).toBe('unknown')
    expect(result.missing[0]!.what).toMatch(/read the chassis too, or pinion in another setup/)
  })

  it('are left out where something else is enough: three datum points still bring the setup home', () => {
    const build = plumbInItself()
    const attitude = setupAttitude(build, build.setups[0]!)
    expect(attitude.known).toBe(true)
    expect(evaluateBuild(build, {}).checks.every(({ verdict }) => verdict !== 'unknown')).toBe(true)
  })
})

describe('circleProofMemory', () => {
  it('makes each thing once, and gives the same answer wherever one enters a circle', () => {
    const made: string[] = []
    const memory = () => {
      const once = circleProofMemory()
      const follows: Record<string, string> = { a: 'b', b: 'c', c: 'a', d: 'a' }
      const get: (key: string) => string = once(
        (key: string) => key,
        (key): string => {
          made.push(key)
          return `${key}${get(follows[key]!)}`
        },
        (key) => `(${key})`,
      )
      return get
    }
    const first = memory()
    expect([first('a'), first('a')]).toEqual(['abc(a)', 'abc(a)'])
    expect(made).toEqual(['a', 'b', 'c'])
    // What was made inside the circle of "a" is made anew as its own question.
    expect(first('b')).toBe(memory()('b'))
    const second = memory()
    expect(second('d')).toBe('dabc(a)')
  })
})
