import { measuringTour } from '../../measure/tour/tour'
import { readingOf } from '../../measure/targets/asked'
import { bodyName, thingName } from '../../measure/targets/target'
import { unitOfReading } from '../../measure/figures/usualTool'
import { demoBuild, rawDemos } from '../../testdata/demos'
import type { AxisFaceReading } from '../kinds/vehicleReadings'
import { READING_KINDS, readingFacts, wayOf, wordsOf } from './readingKinds'
import type { ReadingKindFacts } from '../kinds/readingRow'

const demos = rawDemos().map(({ id }) => demoBuild(id as Parameters<typeof demoBuild>[0]))

describe('READING_KINDS', () => {
  it('does not compile without a field that holds a word, or with one the kind does not have', () => {
    const face = READING_KINDS['axis-face']
    // @ts-expect-error from is missing
    const without: ReadingKindFacts<AxisFaceReading>['words'] = { lean: 'ends', zero: [], display: 'sides' }
    // @ts-expect-error a face has no such way
    const other: ReadingKindFacts<AxisFaceReading> = { ...face, way: 'low' }
    expect(Object.keys(without)).not.toEqual(Object.keys(face.words))
    expect(other.way).not.toBe(face.way)
  })

  it('holds every word of every demo, each among those of its kind', () => {
    let held = 0
    for (const build of demos)
      for (const reading of build.readings) {
        const across = build.axes.filter(({ lies }) => lies === 'across').map(({ id }) => id)
        const isAcross = 'axis' in reading && across.includes(reading.axis)
        for (const field of Object.keys(readingFacts(reading.kind).words)) {
          const word = (reading as unknown as Record<string, string | undefined>)[field]
          if (word === undefined) continue
          held += 1
          expect(wordsOf(reading.kind, field, isAcross)).toContain(word)
        }
      }
    expect(held).toBeGreaterThan(300)
  })

  it('turns the words of an axis and of a display by how the axis lies', () => {
    expect(wordsOf('axis-level', 'low', false)).toEqual(['front', 'rear'])
    expect(wordsOf('axis-level', 'low', true)).toEqual(['left', 'right'])
    expect(wordsOf('axis-level', 'display', false)).toEqual(['left', 'right'])
    expect(wordsOf('axis-level', 'display', true)).toEqual(['front', 'rear'])
    expect(wordsOf('axis-level', 'low', null)).toEqual(['front', 'rear', 'left', 'right'])
    expect(wordsOf('chassis-roll', 'display', false)).toEqual(['front', 'rear'])
    expect(wordsOf('chain-slack', 'display', false)).toEqual([])
  })

  it('says which way by the field of its kind, and of a kind without one says nothing', () => {
    const base = { id: 'a', setup: 's', values: ['1'] }
    expect(wayOf({ ...base, kind: 'axis-face', axis: 'x', lean: 'rear', from: 'plumb' })).toBe('rear')
    expect(wayOf({ ...base, kind: 'point-offset', point: 'p', side: 'left' })).toBe('left')
    expect(wayOf({ ...base, kind: 'chain-slack', chain: 'c' })).toBeUndefined()
    const given = {
      id: 'g',
      kind: 'given-point',
      point: 'p',
      station: '1',
      offset: '2',
      height: '3',
    } as const
    expect(wayOf({ ...given, side: 'left' })).toBeUndefined()
  })

  it('answers each step of every demo’s tour with a reading of the step’s unit and name', () => {
    let answered = 0
    for (const build of demos)
      for (const step of measuringTour(build, build.setups[0]!.id)) {
        const reading = readingOf(build, build.setups[0]!.id, step)
        if (!reading) continue
        answered += 1
        expect(unitOfReading(reading)).toBe(READING_KINDS[step.quantity].unit)
        expect(bodyName(build, reading)).toContain(thingName(build, step.quantity, step))
      }
    expect(answered).toBeGreaterThan(150)
  })
})
