import { openedBay, storedBuild } from '../../tests/support/opened'
import { useLog } from './log'
import { useOrders } from './orders'
import { useQuestions } from './questions'
import { useTasks } from './tasks'

const last = () => useLog().all[0]!

describe('the log of the open build', () => {
  it('writes itself with what happens, once a day, and goes with its undo', async () => {
    const workbench = await openedBay()
    const log = useLog()
    const before = (await storedBuild()).log!.length
    useOrders().send()
    expect((await storedBuild()).log).toHaveLength(before + 1)
    expect(last().what).toBe('ordered: rear shaft')
    useOrders().takeBack()
    useOrders().send()
    expect((await storedBuild()).log).toHaveLength(before + 1)
    await workbench.undo()
    await workbench.undo()
    await workbench.undo()
    expect((await storedBuild()).log).toHaveLength(before)
    useTasks().markDone('make/gearbox-bar')
    await storedBuild()
    expect(last()).toMatchObject({
      what: 'gearbox bar: welded',
      entry: { sort: 'made', of: 'crossmembers/gearbox-bar' },
    })
    await workbench.undo()
    await storedBuild()
    expect(log.all.some(({ what }) => what === 'gearbox bar: welded')).toBe(false)
  })

  it('takes a line by hand, is told more of, searched, and keeps what is not right', async () => {
    await openedBay()
    const log = useLog()
    const id = log.add('tail stands on a block')
    log.change(id, { defect: 'open', hours: 0.5, mistake: 'forgotten' })
    const kept = (await storedBuild()).log!.at(-1)!
    expect(kept).toMatchObject({ name: 'tail stands on a block', sort: 'note', defect: 'open', hours: 0.5 })
    expect(log.defects.map(({ name }) => name)).toContain('tail stands on a block')
    expect(log.mistakes.map(({ mistake }) => mistake)).toEqual(['side', 'forgotten'])
    log.search = 'BLOCK tail'
    expect(log.found.map(({ what }) => what)).toEqual(['tail stands on a block'])
    log.remove(id)
    await storedBuild()
    expect(log.found).toEqual([])
  })

  it('keeps what was answered when it was asked', async () => {
    await openedBay()
    const questions = useQuestions()
    expect(questions.text).toBe('Are these the final engine, gearbox, springs and sump?')
    expect(questions.why).toMatch(/stand-in/)
    questions.answer('all but the sump')
    await storedBuild()
    expect(last()).toMatchObject({
      what: 'Are these the final engine, gearbox, springs and sump?',
      detail: 'all but the sump',
    })
    expect(questions.asked).toMatchObject({ question: 'centres' })
    questions.answer('')
    const { answers } = await storedBuild()
    expect(answers!.map(({ question, text }) => [question, text])).toEqual([
      ['final', 'all but the sump'],
      ['centres', undefined],
    ])
    expect(last().detail).toBe('all but the sump')
  })
})
