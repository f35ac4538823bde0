import { useNotices } from './useNotices'

describe('useNotices', () => {
  const tab = Object.assign(new EventTarget(), { hidden: false })
  const titles = () => notices.shown.value.map(({ title }) => title)
  const notices = useNotices()
  beforeAll(() => {
    Object.assign(globalThis, { document: tab })
    jest.useFakeTimers()
  })
  afterAll(() => {
    jest.useRealTimers()
    Reflect.deleteProperty(globalThis, 'document')
  })

  it('goes after six seconds, or twelve where it offers something', () => {
    notices.add({ title: 'done', icon: 'i' })
    notices.add({ title: 'deleted', icon: 'i', actions: [{ label: 'Undo', onClick: () => undefined }] })
    jest.advanceTimersByTime(5999)
    expect(titles()).toEqual(['done', 'deleted'])
    jest.advanceTimersByTime(1)
    expect(titles()).toEqual(['deleted'])
    jest.advanceTimersByTime(6000)
    expect(titles()).toEqual([])
  })

  it('stays while its tab is behind another, and as long again once it is seen', () => {
    tab.hidden = true
    notices.add({ title: 'changed elsewhere', icon: 'i' })
    jest.advanceTimersByTime(60_000)
    expect(titles()).toEqual(['changed elsewhere'])
    tab.hidden = false
    tab.dispatchEvent(new Event('visibilitychange'))
    jest.advanceTimersByTime(5999)
    expect(titles()).toEqual(['changed elsewhere'])
    jest.advanceTimersByTime(1)
    expect(titles()).toEqual([])
  })

  it('shows the last four', () => {
    for (const title of 'abcde') notices.add({ title, icon: 'i' })
    expect(titles()).toEqual(['b', 'c', 'd', 'e'])
    jest.runAllTimers()
  })
})
