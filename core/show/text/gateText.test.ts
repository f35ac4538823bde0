import { demoBuild } from '../../testdata/demos'
import { chosenSettings, evaluateBuild } from '../../model/evaluateBuild'
import { gateStates } from '../../jobs/gates/gateStates'
import { tasksOf } from '../../jobs/tasks/buildTasks'
import { marksUnder } from '../../jobs/gates/under'
import { rawTexts } from '../../measure/figures/rawTexts'
import { gateReadings } from './gateReadings'
import { changedText, gateSentence, needText } from './gateText'

const TODAY = '2026-11-30'
const bay = demoBuild('sedge-wagon')
const siteOf = (build: typeof bay) => {
  const { checks } = evaluateBuild(build, chosenSettings(build))
  return { build, checks, tasks: tasksOf(build, 0) }
}

describe('the words of gates', () => {
  it('say where each stands, and why it fell', () => {
    const [position, checks, tacked, bolted] = gateStates(siteOf(bay))
    expect([position, checks, tacked, bolted].map((one) => gateSentence(one!, TODAY))).toEqual([
      'Passed on Sat 14 November.',
      'Passed on Sat 21 November by both of us.',
      'It waits for what is open below.',
      'It waits for the gate “tacked”.',
    ])
    const moved = structuredClone(bay) as any
    moved.readings.find(({ kind, axis }: any) => kind === 'axis-level' && axis === 'pinion').note = 'again'
    moved.tools.push({ id: 'new', name: 'new level', kind: 'level' })
    moved.lines.pop()
    const [, fallen] = gateStates(siteOf(moved))
    expect(gateSentence(fallen!, TODAY)).toContain(
      'Passed on Sat 21 November, fallen back since: 3 things under it changed',
    )
    expect(fallen!.changed.map((one) => changedText(moved, one))).toEqual([
      'new level is new',
      'pinion: level is otherwise',
      'something of lines is gone',
    ])
    const levers = { ...bay, positions: bay.positions.map((one) => ({ ...one, settings: { tail: 1 } })) }
    const [first, second] = gateStates(siteOf(levers))
    expect(first!.changed.map((one) => changedText(levers, one))).toEqual([
      'the position that is chosen is otherwise',
    ])
    expect(gateSentence({ ...second!, changed: [], needs: [] }, TODAY)).toBe(
      'Passed on Sat 21 November, fallen back since: “position chosen” no longer stands.',
    )
    expect(gateSentence({ ...second!, state: 'ready' }, TODAY)).toBe(
      'Ready: all that “checks hold” asks for is there.',
    )
  })

  it('say what is asked for by the names of checks and parts', () => {
    const { checks } = siteOf(bay)
    const text = (kind: 'out' | 'tacked', open: string[]) => needText({ kind, open }, checks, false)
    expect(text('out', [])).toBe('no check is out')
    expect(text('out', [checks[0]!.id])).toMatch(/^out: [a-z]/)
    expect(text('tacked', ['a', 'b', 'c', 'd', 'e'])).toBe('not tacked yet: a, b, c and 2 more')
  })
})

describe('the readings under a gate', () => {
  it('are told by name as they were typed, with who read them when; later lift-ins tell of themselves alone', () => {
    expect(gateReadings(bay, 'position')).toEqual([])
    const rows = gateReadings(bay, 'checks')
    const marks = marksUnder(bay, 'checks').filter(({ part }) => part === 'readings')
    expect(rows.map(({ id }) => id)).toEqual(marks.map(({ id }) => id))
    expect(gateReadings(bay, 'road')).toEqual(rows)
    const pinion = bay.readings.find((one) => one.kind === 'axis-level' && one.axis === 'pinion')!
    const told = rows.find(({ id }) => id === pinion.id)!
    expect(told.name).toBe('pinion: level')
    expect(told.value).toBe(
      rawTexts(pinion)
        .map((text) => `${text}°`)
        .join(', '),
    )
    const guessed = { ...bay, readings: bay.readings.map((one) => ({ ...one, provisional: true as const })) }
    expect(gateReadings(guessed, 'checks').every(({ isGuess }) => isGuess)).toBe(true)
  })
})
