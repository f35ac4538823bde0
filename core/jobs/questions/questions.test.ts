import { changedDemo } from '../../testdata/builds'
import { demoBuild } from '../../testdata/demos'
import type { Build } from '../../file/build/build'
import { parseBuild } from '../../file/open/parseBuild'
import type { MakingState } from '../../file/kinds/madePart'
import { QUESTIONS, type AnswerEntry } from '../../file/kinds/questionKinds'
import { questionText, questionWhy } from '../../show/text/questionText'
import { tasksOf } from '../tasks/buildTasks'
import { questionNow } from './questionNow'

const now = (build: Build, keys: readonly string[] = []) =>
  questionNow({ build, now: tasksOf(build, 0).filter(({ key }) => keys.includes(key)) })
const answered = (build: Build, ...all: readonly (readonly [AnswerEntry['question'], string?])[]): Build => ({
  ...build,
  answers: all.map(([question, of], i) => ({
    id: `a-${i}`,
    name: question,
    question,
    at: '2026-11-30',
    ...(of && { of }),
  })),
})

describe('what is asked at its moment', () => {
  const plain = changedDemo((raw) => (raw.orders = []))
  const wagon = { ...demoBuild('sedge-wagon'), gates: [] }

  it('is one question at a time, in the order of the work, each once', () => {
    expect(now(plain)!.question).toBe('brackets')
    expect(now(answered(plain, ['brackets']))!.question).toBe('fixed')
    expect(now(answered(plain, ['brackets'], ['fixed']))!.question).toBe('final')
    expect(now(answered(plain, ['brackets'], ['fixed'], ['final']))).toBeNull()
    expect(now({ ...plain, readings: [] })!.question).toBe('fixed')
  })

  it('is asked of a thing before it is cut, welded or fitted, and of no other', () => {
    const first = [['brackets'], ['fixed'], ['final']] as const
    const plate = `plates/${wagon.plates![0]!.id}`
    expect(now(answered(wagon, ...first))).toMatchObject({ question: 'centres', of: plate })
    const done = answered(wagon, ...first, ['centres', plate])
    expect(now(done, ['cutout/floor'])).toMatchObject({ question: 'behind', of: 'cutouts/floor' })
    const bar = (state: MakingState): Build => ({
      ...done,
      crossmembers: wagon.crossmembers!.map((one) => ({ ...one, state })),
    })
    expect(now(bar('tacked'))).toMatchObject({ question: 'again', of: 'crossmembers/gearbox-bar' })
    const welded = bar('welded')
    expect(now(welded)).toBeNull()
    const here = {
      ...welded,
      orders: [
        { ...wagon.orders![0]!, arrived: { at: '2026-12-20', figures: [], verdict: 'accepted' as const } },
      ],
    }
    expect(now(here)).toMatchObject({ question: 'tested', thing: 'rear shaft' })
    expect(now(welded, ['first-drive'])!.question).toBe('with')
  })

  it('has words, and is kept in the file', () => {
    for (const question of QUESTIONS) {
      expect(questionText({ question, thing: 'the bar' })).toMatch(/\?$/)
      expect(questionWhy({ question })).toMatch(/\.$/)
    }
    const kept = answered(plain, ['behind', 'cutouts/floor'])
    const again = parseBuild(JSON.parse(JSON.stringify(kept)))
    expect(again.ok && again.value.answers).toEqual(kept.answers)
  })
})
