import { effectScope, nextTick, ref } from 'vue'
import type { TourStep } from '~~/core/measure/tour/tour'
import { measuringTour } from '~~/core/measure/tour/tour'
import { demoBuild } from '~~/core/testdata/builds'
import { forgetDrafts } from '../storage/drafts'
import { useHandleDrag } from './useHandleDrag'
import { usePartSteps } from './usePartSteps'
import { useReadingDraft } from './useReadingDraft'
import { useTurns } from './useTurns'
import { useTyping } from './useTyping'

/** A store of texts like the browser's. */
function fakeStorage() {
  const kept = new Map<string, string>()
  return {
    get length() {
      return kept.size
    },
    key: (i: number) => [...kept.keys()][i] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => void kept.set(key, text),
    removeItem: (key: string) => void kept.delete(key),
  }
}
const scoped = <T>(make: () => T) => {
  const scope = effectScope()
  return { made: scope.run(make)!, stop: () => scope.stop() }
}

describe('useTyping', () => {
  it('shows what is typed until the kept figure changes', async () => {
    const kept = ref('12')
    const { made: typing } = scoped(() => useTyping(kept))
    typing.type('12.')
    expect(typing.text.value).toBe('12.')
    typing.settle()
    expect(typing.text.value).toBe('12')
    typing.type('13')
    kept.value = '14'
    await nextTick()
    expect(typing.text.value).toBe('14')
  })
})

describe('useReadingDraft', () => {
  const steps = measuringTour(demoBuild(), 'setup-1')
  const step = ref<TourStep | null>(steps[0]!)
  beforeEach(() => Object.assign(globalThis, { localStorage: fakeStorage() }))

  it('outlives a lost page, a step at a time, and is forgotten once kept', async () => {
    const first = scoped(() => useReadingDraft('b', step)).made
    first.set({ text: '0.8', way: 'front' })
    expect(scoped(() => useReadingDraft('b', step)).made.draft.value).toMatchObject({
      text: '0.8',
      way: 'front',
    })
    expect(scoped(() => useReadingDraft('other', step)).made.draft.value.text).toBe('')
    step.value = steps[1]!
    await nextTick()
    expect(first.draft.value.text).toBe('')
    step.value = steps[0]!
    await nextTick()
    expect(first.draft.value.text).toBe('0.8')
    first.forget()
    expect([first.draft.value.text, localStorage.length]).toEqual(['', 0])
  })

  it('keeps nothing once it is erased, and goes with a build that is thrown away', () => {
    const { made } = scoped(() => useReadingDraft('b', step))
    made.set({ text: '1' })
    made.set({ text: '' })
    expect(localStorage.length).toBe(0)
    made.set({ text: '1' })
    localStorage.setItem('lurvan-draft/c/chassis-fall', '{}')
    forgetDrafts('b')
    expect(localStorage.key(0)).toBe('lurvan-draft/c/chassis-fall')
    expect(localStorage.length).toBe(1)
  })

  it('takes over only what has the shape of a draft', () => {
    for (const text of ['{', '7', 'null', '{"text":5,"way":"rear","more":1}']) {
      localStorage.setItem('lurvan-draft/b/chassis-fall', text)
      const { draft } = scoped(() => useReadingDraft('b', step)).made
      expect(typeof draft.value.text).toBe('string')
      expect(draft.value).not.toHaveProperty('more')
    }
  })

  it('goes on typing when nothing can be stored', () => {
    Object.assign(globalThis, {
      localStorage: {
        getItem: () => null,
        setItem: () => {
          throw new Error('full')
        },
        removeItem: () => undefined,
      },
    })
    const { draft, set } = scoped(() => useReadingDraft('b', step)).made
    set({ text: '2.2' })
    expect(draft.value.text).toBe('2.2')
  })
})

describe('useHandleDrag', () => {
  const listeners: Record<string, Set<(event: unknown) => void>> = {}
  const frames: (() => void)[] = []
  const log: string[] = []
  const lever = { id: 'tail', kind: 'tail-up', body: 'powertrain', range: [-40, 60], step: 1 } as const
  const view = { pxPerMm: 0.5, exaggeration: 1 } as never

  beforeEach(() => {
    log.length = 0
    frames.length = 0
    Object.assign(globalThis, {
      Element: class {
        readonly isFake = true
      },
      window: {
        addEventListener: (type: string, listener: (event: unknown) => void) =>
          (listeners[type] ??= new Set()).add(listener),
        removeEventListener: (type: string, listener: (event: unknown) => void) =>
          listeners[type]?.delete(listener),
      },
      requestAnimationFrame: (paint: () => void) => frames.push(paint),
      cancelAnimationFrame: () => void (frames.length = 0),
    })
  })
  const drag = () =>
    scoped(() =>
      useHandleDrag(view, {
        hold: (id, amount) => void log.push(`${id} ${amount}`),
        release: () => void log.push('release'),
      }),
    )
  const start = (of: ReturnType<typeof useHandleDrag>, pointerId: number) =>
    of.start(
      {
        button: 0,
        pointerId,
        clientX: 0,
        clientY: 100,
        currentTarget: null,
        preventDefault: () => undefined,
      } as never,
      { leverId: 'tail', view: 'side', at: [0, 0], along: [0, 1], arm: 0 },
      lever,
      0,
    )
  const send = (type: string, pointerId: number, clientY = 0) =>
    [...(listeners[type] ?? [])].forEach((listener) =>
      listener({ pointerId, clientX: 0, clientY, shiftKey: false }),
    )
  const paint = () => frames.splice(0).forEach((one) => one())

  it('moves with its own finger only, once a frame, and lets go once', () => {
    const { made } = drag()
    start(made, 1)
    send('pointermove', 2, 40)
    paint()
    expect(log).toEqual([])
    send('pointermove', 1, 96)
    send('pointermove', 1, 90)
    paint()
    expect(log).toEqual(['tail 20'])
    start(made, 2)
    send('pointerup', 2)
    expect(log).toEqual(['tail 20'])
    send('pointermove', 1, 80)
    send('pointerup', 1)
    // The last move waited for its frame and is not lost.
    expect(log).toEqual(['tail 20', 'tail 40', 'release'])
    expect(listeners.pointermove!.size).toBe(0)
  })

  it('lets go when the drawing goes away', () => {
    const { made, stop } = drag()
    start(made, 1)
    send('pointermove', 1, 95)
    stop()
    expect(log).toEqual(['tail 10', 'release'])
    paint()
    expect(log).toHaveLength(2)
  })
})

describe('useTurns', () => {
  const list = (stamp: number, count = 10) =>
    Array.from({ length: count }, (_, i) => ({ id: `item ${i}`, stamp }))
  const stamps = (shown: ReadonlyMap<string, { stamp: number }>) =>
    [...shown.values()].map(({ stamp }) => stamp)

  it('brings a few items up to date at a time while something is held, and all of them at rest', async () => {
    const items = ref(list(0))
    const held = ref(false)
    const { made: shown, stop } = scoped(() =>
      useTurns(
        () => items.value,
        ({ id }) => id,
        () => held.value,
      ),
    )
    expect(stamps(shown)).toEqual(Array(10).fill(0))
    held.value = true
    await nextTick()
    items.value = list(1)
    await nextTick()
    expect(stamps(shown).filter((stamp) => stamp === 1)).toHaveLength(4)
    // After three changes each item has had its turn.
    items.value = list(2)
    await nextTick()
    items.value = list(3)
    await nextTick()
    expect(stamps(shown).every((stamp) => stamp > 0)).toBe(true)
    held.value = false
    await nextTick()
    expect(stamps(shown)).toEqual(Array(10).fill(3))
    stop()
  })

  it('shows at once what is new and what has gone, held or not', async () => {
    const items = ref(list(0, 3))
    const { made: shown } = scoped(() =>
      useTurns(
        () => items.value,
        ({ id }) => id,
        () => true,
      ),
    )
    items.value = list(1, 5)
    await nextTick()
    expect(stamps(shown)).toEqual([1, 1, 1, 1, 1])
    items.value = list(2, 2)
    await nextTick()
    expect([...shown.keys()]).toEqual(['item 0', 'item 1'])
  })
})

describe('parts of a drawing, one after the other', () => {
  const press = (key: string) => {
    const event = { key, preventDefault: jest.fn() }
    return { event: event as unknown as KeyboardEvent, kept: event.preventDefault }
  }

  it('go round by the arrow keys, each name once, and are let go of', () => {
    const looked = ref('')
    const steps = usePartSteps(() => ['sump', '', 'rack', 'sump', 'fan'], looked)
    steps.begin()
    expect(looked.value).toBe('sump')
    const walked = ['ArrowRight', 'ArrowDown', 'ArrowRight', 'ArrowLeft', 'ArrowUp'].map((key) => {
      const { event, kept } = press(key)
      steps.press(event)
      expect(kept).toHaveBeenCalledTimes(1)
      return looked.value
    })
    expect(walked).toEqual(['rack', 'fan', 'sump', 'fan', 'rack'])
    steps.press(press('Escape').event)
    expect(looked.value).toBe('')
    // With nothing looked at, and by other keys, the page keeps its own.
    for (const key of ['Escape', 'Tab']) {
      const { event, kept } = press(key)
      steps.press(event)
      expect(kept).not.toHaveBeenCalled()
    }
    usePartSteps(() => [], looked).begin()
    expect(looked.value).toBe('')
  })
})
