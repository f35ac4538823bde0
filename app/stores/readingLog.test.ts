import { produce } from 'immer'
import { findMistakes } from '~~/core/answers/mistakes/findMistakes'
import { parseBuild } from '~~/core/file/open/parseBuild'
import { readingHistory } from '~~/core/measure/targets/history'
import { measuringTour } from '~~/core/measure/tour/tour'
import { demoBuild } from '~~/core/testdata/builds'
import { draftLike, draftReading, EMPTY_DRAFT } from './readingDraft'
import { applyEdits, logChange, newStamp } from './readingLog'

const wall = () => {
  const build = structuredClone(demoBuild()) as any
  build.readings[3].values = ['86.6']
  const parsed = parseBuild(build)
  if (!parsed.ok) throw new Error('the demo is sound')
  return parsed.value
}

describe('applyEdits', () => {
  it('puts a reading right and writes down how it was, by whom and why', () => {
    const before = wall()
    const [mistake] = findMistakes(before)
    const [correction] = mistake!.corrections
    const after = produce(before, (draft) =>
      applyEdits(draft, correction!.edits, 'it was a face', newStamp('Odo')),
    )
    expect(after.readings[3]).toMatchObject({
      kind: 'axis-face',
      from: 'level',
      lean: 'rear',
      values: ['86.6'],
    })
    expect(after.readings[3]).not.toHaveProperty('low')
    expect(after.readingLog).toHaveLength(1)
    expect(after.readingLog![0]).toMatchObject({
      what: 'corrected',
      by: 'Odo',
      why: 'it was a face',
      before: { kind: 'axis-level', low: 'rear' },
      after: { kind: 'axis-face', lean: 'rear' },
    })
    const proven = parseBuild(structuredClone(after))
    expect(proven.ok || proven.problems).toBe(true)
    expect(readingHistory(after, after.readings[3]!).map(({ what }) => what)).toEqual(['read', 'corrected'])
    expect(findMistakes(after)).toEqual([])
  })

  it('keeps no more of the log than a file can carry', () => {
    const build = demoBuild()
    const after = produce(build, (draft) => {
      for (let i = 0; i < 2010; i++)
        logChange(draft, { what: 'repeated', reading: `r${i}` }, newStamp(undefined))
    })
    expect(after.readingLog).toHaveLength(2000)
    expect(after.readingLog!.at(-1)!.reading).toBe('r2009')
  })
})

describe('a draft', () => {
  const build = demoBuild()
  const steps = measuringTour(build, 'setup-1')

  it('begins the way the step was read last time, so that a repeat is one figure', () => {
    for (const step of steps) {
      const { reading } = step
      if (!reading || !('values' in reading)) continue
      const again = draftReading(
        build,
        'setup-1',
        step,
        { ...draftLike(reading), text: reading.values[0]! },
        'new',
      )
      // What is said by leaving it out is written out by the draft.
      const square = reading.kind === 'point-offset' ? { by: 'square' } : {}
      const plain = (one: object) => {
        const copy = { ...square, ...JSON.parse(JSON.stringify(one)) }
        for (const key of ['id', 'takenAt', 'takenBy']) Reflect.deleteProperty(copy, key)
        return { ...copy, values: [copy.values[0]] }
      }
      expect(plain(again)).toEqual(plain(reading))
    }
  })

  it('takes the simulated tool by its name, and no tool of the wrong kind', () => {
    const step = steps.find(({ quantity }) => quantity === 'axis-level')!
    const draft = { ...EMPTY_DRAFT, text: '3', way: 'rear' }
    expect(draftReading(build, 'setup-1', step, { ...draft, toolId: 'simulated-level' }, 'a').tool).toBe(
      'simulated-level',
    )
    expect(draftReading(build, 'setup-1', step, { ...draft, toolId: 'tape' }, 'a').tool).toBe('level')
  })

  it('of a shaft’s own angle says which line and shaft it is on', () => {
    const step = steps.find(({ quantity }) => quantity === 'shaft-level')!
    expect(
      draftReading(build, 'setup-1', step, { ...EMPTY_DRAFT, text: '3.6', way: 'rear' }, 'a'),
    ).toMatchObject({
      kind: 'shaft-level',
      line: 'rear',
      shaft: 0,
      low: 'rear',
    })
  })
})
