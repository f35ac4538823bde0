import { createPinia, setActivePinia } from 'pinia'
import 'fake-indexeddb/auto'
import { MADE_UP_PARTS } from '../../core/bay/shelf/madeUpParts'
import { partText } from '../../core/bay/shelf/partFile'
import { useShelf } from './shelf'

const part = { ...MADE_UP_PARTS[0]!, id: 'own-fan', name: 'own fan' }
const fileOf = (text: string) =>
  ({ name: 'fan.lurvan-part.json', size: text.length, text: async () => text }) as File
const ownOf = () => useShelf().parts.flatMap((one) => (one.isOwn ? [one.part.name] : []))

beforeEach(() => setActivePinia(createPinia()))

describe('the shelf', () => {
  it('has the made-up parts, then the builder’s own before them, kept for the next visit', async () => {
    const shelf = useShelf()
    expect(await shelf.load()).toBe(true)
    expect(shelf.parts.map(({ part: one }) => one.id)).toEqual(MADE_UP_PARTS.map(({ id }) => id))
    expect(await shelf.keep(part)).toBe(true)
    expect(ownOf()).toEqual(['own fan'])
    setActivePinia(createPinia())
    await useShelf().load()
    expect(ownOf()).toEqual(['own fan'])
  })

  it('takes a file in beside one that is there, and overwrites none', async () => {
    const shelf = useShelf()
    await shelf.load()
    await shelf.take(fileOf(partText({ ...part, name: 'another fan' })))
    expect(ownOf().toSorted()).toEqual(['another fan', 'own fan'])
    expect([shelf.notice.includes('another fan'), shelf.failure]).toEqual([true, ''])
  })

  it('refuses what is no part by its name and place, and changes nothing', async () => {
    const shelf = useShelf()
    await shelf.load()
    const before = ownOf()
    await shelf.take(fileOf(partText(part).replace('"name": "own fan"', '"name": 7')))
    expect(shelf.failure).toMatch(/fan\.lurvan-part\.json.*name/)
    await shelf.take({ name: 'big.json', size: 2e6 } as File)
    expect(shelf.failure).toContain('it is larger than any part')
    expect(ownOf()).toEqual(before)
  })

  it('forgets a part', async () => {
    const shelf = useShelf()
    await shelf.load()
    for (const { part: one, isOwn } of shelf.parts) if (isOwn) await shelf.forget(one.id)
    expect(ownOf()).toEqual([])
  })
})
